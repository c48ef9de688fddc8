package homalon.app.outcome.report;

import homalon.app.foundation.load.Sha256;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.KeyFactory;
import java.security.PrivateKey;
import java.security.PublicKey;
import java.security.Signature;
import java.security.spec.PKCS8EncodedKeySpec;
import java.security.spec.X509EncodedKeySpec;
import java.util.Base64;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** The shop's own Ed25519 key, where the owner made one ({@code homalon seal-key}): seals are signed with it. */
@Component
class ShopKey {
    private final Optional<Pair> pair;

    private record Pair(PrivateKey own, PublicKey open, String id) {}

    /** @param folder holds {@code seal.key} (PKCS #8) and {@code seal.pub}, PEM; empty: nothing is signed */
    ShopKey(@Value("${homalon.seal-key:}") String folder) {
        this.pair = folder.isBlank() ? Optional.empty() : Optional.of(read(Path.of(folder)));
    }

    private static Pair read(Path folder) {
        try {
            KeyFactory factory = KeyFactory.getInstance("Ed25519");
            PublicKey open = factory.generatePublic(new X509EncodedKeySpec(pem(folder.resolve("seal.pub"))));
            return new Pair(
                    factory.generatePrivate(new PKCS8EncodedKeySpec(pem(folder.resolve("seal.key")))),
                    open,
                    Sha256.of(open.getEncoded()).substring(0, 16));
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(folder + " holds no key to seal with: make one with homalon seal-key", e);
        }
    }

    private static byte[] pem(Path file) {
        try {
            String text = Files.readString(file, StandardCharsets.US_ASCII);
            return Base64.getMimeDecoder().decode(text.replaceAll("-----[A-Z ]+-----", ""));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** First digits of the SHA-256 of the open half, by which a signature names its key. */
    Optional<String> id() {
        return pair.map(Pair::id);
    }

    Optional<byte[]> sign(byte[] what) {
        return pair.map(p -> {
            try {
                Signature signature = Signature.getInstance("Ed25519");
                signature.initSign(p.own());
                signature.update(what);
                return signature.sign();
            } catch (GeneralSecurityException e) {
                throw new IllegalStateException("the shop's key does not sign", e);
            }
        });
    }

    /** Empty when the key that signed is not the one at hand. */
    Optional<Boolean> verifies(String keyId, byte[] what, byte[] signed) {
        return pair.filter(p -> p.id().equals(keyId)).map(p -> {
            try {
                Signature signature = Signature.getInstance("Ed25519");
                signature.initVerify(p.open());
                signature.update(what);
                return signature.verify(signed);
            } catch (GeneralSecurityException e) {
                return false;
            }
        });
    }
}
