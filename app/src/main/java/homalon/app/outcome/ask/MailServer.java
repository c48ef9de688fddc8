package homalon.app.outcome.ask;

import java.util.Properties;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.mail.javamail.JavaMailSender;
import org.springframework.mail.javamail.JavaMailSenderImpl;
import org.springframework.stereotype.Component;

/** The shop's own mail server, where one is set. */
@Component
class MailServer {
    private static final String PATIENCE_MILLIS = "10000";
    private static final int SUBMISSION = 587;

    private final String host;
    private final String from;
    private final JavaMailSenderImpl sender = new JavaMailSenderImpl();

    /**
     * @param at host, or host:port; empty for none
     * @param from the address that letters carry
     * @param user empty where the server asks for none
     * @param plain for one that speaks no TLS: of this machine, or of a test
     */
    MailServer(
            @Value("${homalon.smtp.at:}") String at,
            @Value("${homalon.smtp.from:}") String from,
            @Value("${homalon.smtp.user:}") String user,
            @Value("${homalon.smtp.password:}") String password,
            @Value("${homalon.smtp.plain:false}") boolean plain) {
        int colon = at.lastIndexOf(':');
        this.host = colon < 0 ? at.strip() : at.substring(0, colon).strip();
        this.from = from.strip();
        sender.setHost(host);
        sender.setPort(
                colon < 0
                        ? SUBMISSION
                        : Integer.parseInt(at.substring(colon + 1).strip()));
        if (!user.isBlank()) {
            sender.setUsername(user);
            sender.setPassword(password);
        }
        Properties how = sender.getJavaMailProperties();
        how.setProperty("mail.smtp.auth", Boolean.toString(!user.isBlank()));
        how.setProperty("mail.smtp.starttls.enable", Boolean.toString(!plain));
        how.setProperty("mail.smtp.starttls.required", Boolean.toString(!plain));
        how.setProperty("mail.smtp.ssl.checkserveridentity", "true");
        how.setProperty("mail.smtp.connectiontimeout", PATIENCE_MILLIS);
        how.setProperty("mail.smtp.timeout", PATIENCE_MILLIS);
        how.setProperty("mail.smtp.writetimeout", PATIENCE_MILLIS);
    }

    boolean set() {
        return !host.isEmpty() && !from.isEmpty();
    }

    String from() {
        return from;
    }

    JavaMailSender sender() {
        return sender;
    }
}
