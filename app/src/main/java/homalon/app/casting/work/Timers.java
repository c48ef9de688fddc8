package homalon.app.casting.work;

import homalon.app.casting.part.CastingLocks;
import homalon.app.casting.part.Parts;
import homalon.core.input.BadInputException;
import homalon.core.visit.PartFile;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Timers of ovens, dye and soaking. They stand in the database: no page and no server has to stay up for them. */
@Service
@Transactional
@RequiredArgsConstructor
public class Timers {
    private final CastingLocks locks;
    private final Parts parts;
    private final EntityManager entities;
    private final Clock clock;

    /** One that nobody has stopped yet. */
    public record Running(UUID id, String tag, String what, int seconds, Instant startedAt) {
        public Instant endsAt() {
            return startedAt.plusSeconds(seconds);
        }
    }

    /** All that run or have run out, of every part that is in the shop; the first to end first. */
    @Transactional(readOnly = true)
    public List<Running> running() {
        List<TimerRow> all = entities.createQuery("from TimerRow where endedAt is null", TimerRow.class)
                .getResultList();
        Map<UUID, String> tags =
                parts.tagsInTheShop(all.stream().map(t -> t.visit).toList());
        return all.stream()
                .filter(t -> tags.containsKey(t.visit))
                .map(t -> new Running(t.id, tags.get(t.visit), t.what, t.seconds, t.startedAt))
                .sorted(Comparator.comparing(Running::endsAt))
                .toList();
    }

    /** @throws BadInputException when it is no time for a timer */
    public void start(PartFile part, UUID id, String what, String minutes, UUID by) {
        if (!locks.first(part, id)) {
            return;
        }
        part.requireHere("timer", "to work on it");
        String name = what == null ? "" : what.strip();
        if (name.isEmpty() || name.length() > 60) {
            throw new BadInputException("what", "app.work.say-what-it-is-for-in-a-few-words-such");
        }
        String tidy = minutes == null ? "" : minutes.strip().replace(',', '.');
        double m = tidy.matches("[0-9]{1,4}(\\.[0-9]{1,2})?") ? Double.parseDouble(tidy) : 0;
        if (m <= 0 || m > 2880) {
            throw new BadInputException("minutes", "app.work.key-minutes-such-as-90-above-zero-and");
        }
        TimerRow timer = new TimerRow();
        timer.id = id;
        timer.visit = part.visit().id();
        timer.what = name;
        timer.seconds = (int) Math.max(1, Math.round(m * 60));
        timer.startedBy = by;
        timer.startedAt = clock.instant();
        entities.persist(timer);
    }

    /** Heard, or not wanted any more. */
    public void stop(UUID id) {
        TimerRow timer = entities.find(TimerRow.class, id);
        if (timer != null && timer.endedAt == null) {
            timer.endedAt = clock.instant();
        }
    }
}
