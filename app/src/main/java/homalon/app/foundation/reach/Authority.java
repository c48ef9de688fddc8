package homalon.app.foundation.reach;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.cert.CertificateFactory;
import java.util.HexFormat;
import java.util.Locale;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** The shop's own authority, when the command made one: devices install its root once and trust the shop's address from then on. */
@Component
public class Authority {
    private final Optional<Root> root;

    /**
     * A root as a device installs it.
     *
     * @param der its bytes
     * @param fingerprint SHA-256 over them in pairs of hex digits, as devices show it
     */
    public record Root(byte[] der, String fingerprint) {}

    Authority(@Value("${homalon.authority:}") String file) {
        this.root = file.isBlank() ? Optional.empty() : Optional.of(read(Path.of(file)));
    }

    public Optional<Root> root() {
        return root;
    }

    private static Root read(Path file) {
        try (InputStream in = Files.newInputStream(file)) {
            byte[] der = CertificateFactory.getInstance("X.509")
                    .generateCertificate(in)
                    .getEncoded();
            String hex = HexFormat.ofDelimiter(":")
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(der))
                    .toUpperCase(Locale.ROOT);
            return new Root(der, hex);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(file + " is no certificate: remove it, and the command makes a new one", e);
        }
    }
}
