package homalon.app.foundation.people;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import me.gosimple.nbvcxz.resources.DictionaryUtil;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;

/**
 * What may be a password (NIST SP 800-63B: long enough, none that many have, none made of what everybody knows of the person, no
 * rules about kinds of letters), and how it is kept.
 */
public final class Passwords {
    public static final int SHORTEST = 12;
    public static final int LONGEST = 200;
    /** Hashes of before start otherwise. */
    private static final String KIND = "{sha256-bcrypt}";

    /** Read when the first password is chosen. Shorter ones are too short anyway, with a few digits behind them too. */
    private static final class Common {
        private static final Set<String> WORDS =
                DictionaryUtil.loadRankedDictionary(DictionaryUtil.passwords).keySet().stream()
                        .filter(w -> w.length() >= 6)
                        .collect(Collectors.toUnmodifiableSet());
    }

    private Passwords() {}

    /**
     * @param known what everybody knows of the person or the shop
     * @return why it cannot be one, with what to key instead; empty when it can
     */
    static Optional<String> wrong(String given, List<String> known) {
        int letters = given.codePointCount(0, given.length());
        if (letters < SHORTEST || letters > LONGEST) {
            return Optional.of("Password: at least " + SHORTEST + " characters, three or four words will do; at most "
                    + LONGEST + ".");
        }
        String small = given.toLowerCase(Locale.ROOT).strip();
        String bare = small.replaceAll("[^\\p{L}\\p{N}]", "");
        if (Common.WORDS.contains(small)
                || Common.WORDS.contains(bare)
                || Common.WORDS.contains(bare.replaceAll("[0-9]+$", ""))) {
            return Optional.of(
                    "Password: many people have this one, and it is tried first. Key three or four words that"
                            + " do not belong together.");
        }
        if (small.codePoints().distinct().count() < 5 || repeats(small)) {
            return Optional.of("Password: it says the same again and again. Key three or four different words.");
        }
        boolean aName = known.stream()
                .map(k -> k.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]", ""))
                .filter(k -> k.length() >= 4)
                .anyMatch(k -> bare.replace(k, "").length() < 5);
        return aName
                ? Optional.of("Password: it is little more than a name that everybody here knows. Key other words.")
                : Optional.empty();
    }

    /** One short piece all over. */
    private static boolean repeats(String text) {
        for (int length = 1; length <= text.length() / 3; length++) {
            if (text.length() % length == 0
                    && text.substring(0, length).repeat(text.length() / length).equals(text)) {
                return true;
            }
        }
        return false;
    }

    /** bcrypt reads 72 bytes and stops: what is longer, or not in ASCII, is digested first. Hashes of before are read too. */
    public static PasswordEncoder encoder() {
        BCryptPasswordEncoder bcrypt = new BCryptPasswordEncoder(10);
        return new PasswordEncoder() {
            @Override
            public String encode(CharSequence password) {
                return KIND + bcrypt.encode(digest(password));
            }

            @Override
            public boolean matches(CharSequence password, String hash) {
                if (hash.startsWith(KIND)) {
                    return bcrypt.matches(digest(password), hash.substring(KIND.length()));
                }
                byte[] bytes = password.toString().getBytes(StandardCharsets.UTF_8);
                return bytes.length <= 72 && bcrypt.matches(password, hash);
            }

            @Override
            public boolean upgradeEncoding(String hash) {
                return !hash.startsWith(KIND);
            }
        };
    }

    private static String digest(CharSequence password) {
        try {
            byte[] sum = MessageDigest.getInstance("SHA-256")
                    .digest(password.toString().getBytes(StandardCharsets.UTF_8));
            return Base64.getEncoder().withoutPadding().encodeToString(sum);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
