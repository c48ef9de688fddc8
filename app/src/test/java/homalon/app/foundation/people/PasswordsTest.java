package homalon.app.foundation.people;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;

/** NIST SP 800-63B: length and a list of common ones, no rules about kinds of letters, every letter counts. */
class PasswordsTest {
    private static final PasswordEncoder ENCODER = Passwords.encoder();

    @ParameterizedTest
    @ValueSource(
            strings = {
                "lantern and rope",
                "abcdefgh1jk!",
                "öööäääüüüßßßéèêë",
                "crab pots by the slipway",
                "тихая гавань у моря",
                "tove keeps bees on the roof"
            })
    void whatIsLongAndTheirOwnMayBeOne(String password) {
        assertEquals("", Passwords.wrong(password, List.of("tove", "Tove Lind")).orElse(""));
    }

    @ParameterizedTest
    @CsvSource({
        "elevenchars, at least 12",
        "'', at least 12",
        "passwordpassword, many people",
        "correct horse battery staple, many people",
        "aaaaaaaaaaaaaaaa, again and again",
        "abcabcabcabcabc, again and again",
        "Password123456, many people",
        "qwertyuiop12, many people",
        "unbelievable, many people",
        "1234567890123, many people",
        "tovelind2026, a name",
        "Tove-Lind-77, a name"
    })
    void whatManyHaveOrEverybodyKnowsMayNot(String password, String says) {
        String wrong = Passwords.wrong(password, List.of("tove", "Tove Lind")).orElse("");
        assertTrue(wrong.contains(says), password + ": " + wrong);
    }

    /** bcrypt alone reads 72 bytes: two that differ behind them would be one. */
    @Test
    void everyLetterCountsHoweverManyBytesItTakes() {
        String umlauts = "ö".repeat(40);
        String hash = ENCODER.encode(umlauts + "a");
        assertTrue(ENCODER.matches(umlauts + "a", hash));
        assertFalse(ENCODER.matches(umlauts + "b", hash));
        assertNotEquals(hash, ENCODER.encode(umlauts + "a"), "salted");
    }

    @Test
    void aHashOfBeforeIsReadAndWantsToBeRenewed() {
        String before = new BCryptPasswordEncoder(4).encode("lantern and rope");
        assertTrue(ENCODER.matches("lantern and rope", before));
        assertFalse(ENCODER.matches("lantern and hope", before));
        assertFalse(ENCODER.matches("ö".repeat(40), before), "too long for it, and no error");
        assertTrue(ENCODER.upgradeEncoding(before));
        assertFalse(ENCODER.upgradeEncoding(ENCODER.encode("lantern and rope")));
    }
}
