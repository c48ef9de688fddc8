package homalon.app.outcome.report;

import java.io.IOException;
import org.erdtman.jcs.JsonCanonicalizer;

/** JSON in the one form of RFC 8785: whoever holds the same values gets the same bytes. */
final class Canonical {
    private Canonical() {}

    /** @throws IllegalArgumentException when it is no JSON */
    static byte[] of(String json) {
        try {
            return new JsonCanonicalizer(json).getEncodedUTF8();
        } catch (IOException e) {
            throw new IllegalArgumentException("that is no JSON: " + e.getMessage(), e);
        }
    }
}
