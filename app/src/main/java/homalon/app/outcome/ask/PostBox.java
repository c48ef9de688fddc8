package homalon.app.outcome.ask;

import homalon.app.foundation.store.EvidenceLog;
import homalon.app.foundation.web.WriteTransaction;
import homalon.core.input.BadInputException;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.AddressException;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.io.ByteArrayResource;
import org.springframework.mail.MailException;
import org.springframework.mail.javamail.MimeMessageHelper;
import org.springframework.stereotype.Service;

/** Sends letters by the shop's own mail server; where none is set, keeps what would be sent, and says so. */
@Service
@RequiredArgsConstructor
class PostBox {
    private static final Logger LOG = LoggerFactory.getLogger(PostBox.class);
    private static final int LONGEST = 200;
    private static final int LONGEST_WHY = 300;

    private final MailServer server;
    private final EvidenceLog log;
    private final WriteTransaction writing;

    enum State {
        /** No mail server is set: nothing went out. */
        SIMULATED,
        SENT,
        FAILED
    }

    /** @param why it failed; empty where it did not */
    record Outcome(State state, String why) {}

    /**
     * A letter.
     *
     * @param text as it goes out
     * @param kept the same without the secret of any address in it
     * @param pdf the letter on paper
     * @param file its name
     */
    record Letter(String to, String subject, String text, String kept, byte[] pdf, String file) {}

    record Sent(String to, String subject, String text, Outcome outcome, UUID by, Instant at) {}

    /** @throws BadInputException for what is no address of one person */
    static void requireAddress(String to) {
        try {
            InternetAddress[] all = InternetAddress.parse(to.strip(), true);
            if (all.length != 1 || to.length() > LONGEST || !all[0].getAddress().contains("@")) {
                throw new AddressException();
            }
        } catch (AddressException e) {
            throw new BadInputException("to", "app.ask.key-an-address-such-as");
        }
    }

    boolean simulated() {
        return !server.set();
    }

    /** Sent outside of any transaction: a slow server holds nothing up here. */
    Outcome send(UUID visit, Letter letter, UUID by) {
        Outcome outcome = server.set() ? sent(letter) : new Outcome(State.SIMULATED, "");
        writing.of(() -> log.add(new SentMailRow(visit, letter, outcome, by)));
        return outcome;
    }

    private Outcome sent(Letter letter) {
        try {
            MimeMessage message = server.sender().createMimeMessage();
            MimeMessageHelper helper = new MimeMessageHelper(message, true, StandardCharsets.UTF_8.name());
            helper.setFrom(server.from());
            helper.setTo(letter.to());
            helper.setSubject(letter.subject());
            helper.setText(letter.text());
            helper.addAttachment(letter.file(), new ByteArrayResource(letter.pdf()), "application/pdf");
            server.sender().send(message);
            return new Outcome(State.SENT, "");
        } catch (MailException | MessagingException e) {
            LOG.warn("a letter was not sent", e);
            String why = String.valueOf(e.getMessage()).lines().findFirst().orElse("");
            return new Outcome(State.FAILED, why.length() > LONGEST_WHY ? why.substring(0, LONGEST_WHY) : why);
        }
    }

    /** What was sent about a visit, the last first. */
    List<Sent> of(UUID visit) {
        List<Sent> all = new ArrayList<>(log.ofVisit(SentMailRow.class, visit).stream()
                .map(SentMailRow::told)
                .toList());
        Collections.reverse(all);
        return all;
    }
}
