package homalon.app.outcome.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import homalon.app.casting.part.Parts;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The owner hears of backups when there is something to hear, and not on the first day. */
class BackupsTest {
    private static final Instant NOW = Instant.parse("2026-11-27T12:00:00Z");

    private final Parts parts = mock(Parts.class);
    private final BackupMadeRepository made = mock(BackupMadeRepository.class);

    private static Optional<Instant> ago(Integer hours) {
        return Optional.ofNullable(hours).map(h -> NOW.minusSeconds(3600L * h));
    }

    /** Hours since the first casting and since the last backup; blank for none. */
    @ParameterizedTest
    @CsvSource({
        "true, , , ",
        "true, 23, , ",
        "true, 25, , No backup was ever written",
        "true, 900, 47, ",
        "true, 900, 49, The last good backup is 2 days old",
        "true, 900, 240, 10 days old",
        "true, , 49, 2 days old",
        "false, 900, 240, "
    })
    void theOwnerIsToldInTime(boolean wanted, Integer firstCasting, Integer lastBackup, String says) {
        when(parts.firstOpened()).thenReturn(ago(firstCasting));
        when(made.last()).thenReturn(ago(lastBackup));
        String warning = new Backups(made, parts, Clock.fixed(NOW, ZoneOffset.UTC), wanted)
                .warning()
                .orElse("");
        if (says == null) {
            assertEquals("", warning);
        } else {
            assertTrue(warning.contains(says), warning);
        }
    }
}
