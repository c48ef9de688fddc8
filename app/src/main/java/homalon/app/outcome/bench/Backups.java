package homalon.app.outcome.bench;

import homalon.app.casting.part.Parts;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the command wrote of backups, and whether the last good one is old. */
@Service
public class Backups {
    private static final Duration OLD = Duration.ofDays(2);
    /** A shop of the first days is left alone with it. */
    private static final Duration YOUNG = Duration.ofDays(1);

    private final BackupMadeRepository made;
    private final Parts parts;
    private final Clock clock;
    private final boolean wanted;

    /** @param wanted false for the sample shop, which nobody backs up */
    Backups(
            BackupMadeRepository made,
            Parts parts,
            Clock clock,
            @Value("${homalon.backups-wanted:false}") boolean wanted) {
        this.made = made;
        this.parts = parts;
        this.clock = clock;
        this.wanted = wanted;
    }

    /** A sentence for the owner; empty when the last good backup is young enough. */
    @Transactional(readOnly = true)
    public Optional<String> warning() {
        if (!wanted) {
            return Optional.empty();
        }
        Instant now = clock.instant();
        Optional<Instant> last = made.last();
        if (last.isPresent()) {
            long days = Duration.between(last.get(), now).toDays();
            return Duration.between(last.get(), now).compareTo(OLD) <= 0
                    ? Optional.empty()
                    : Optional.of("The last good backup is " + days
                            + " days old: look whether its disk is there, and write one with homalon backup.");
        }
        return parts.firstOpened()
                .filter(f -> Duration.between(f, now).compareTo(YOUNG) > 0)
                .map(f -> "No backup was ever written: set HOMALON_BACKUP_TO, or write one with homalon backup.");
    }
}
