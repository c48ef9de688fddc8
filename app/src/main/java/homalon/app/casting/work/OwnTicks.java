package homalon.app.casting.work;

import homalon.app.foundation.people.People;
import homalon.app.foundation.people.Signature;
import homalon.core.input.BadInputException;
import homalon.core.quantity.DayForm;
import homalon.core.route.StepKind;
import homalon.core.rulebook.OwnLines;
import homalon.core.visit.PartFile;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Lines that are ticked at a step: those that the shop has for every casting, and those put down for this one alone. */
@Component
@RequiredArgsConstructor
public class OwnTicks {
    private final WorkLog work;
    private final People people;

    /**
     * A line as a page shows it.
     *
     * @param done who ticked it and when; empty while nobody did
     * @param takeBack line of the log that ticked it, or that put it down while nobody ticked it; null where there is neither
     */
    public record Line(String words, String done, @Nullable UUID takeBack) {
        public boolean open() {
            return done.isEmpty();
        }
    }

    /** What is ticked at that step of this visit: the shop's lines first, then those put down for it. */
    @Transactional(readOnly = true)
    public List<Line> at(PartFile part, StepKind step) {
        List<WorkEntry> log = work.of(part);
        Map<UUID, String> names = people.names();
        return words(part, step, log).stream()
                .map(words -> line(words, step, log, names, part.rules().paper().days()))
                .toList();
    }

    private static Line line(String words, StepKind step, List<WorkEntry> log, Map<UUID, String> names, DayForm days) {
        WorkEntry ticked = last(log, WorkEntry.Kind.LINE_TICKED, step, words);
        if (ticked != null) {
            return new Line(words, Signature.of(names, ticked.by(), ticked.at(), days), ticked.id());
        }
        WorkEntry listed = last(log, WorkEntry.Kind.LISTED, step, words);
        return new Line(words, "", listed == null ? null : listed.id());
    }

    private static @Nullable WorkEntry last(List<WorkEntry> log, WorkEntry.Kind kind, StepKind step, String words) {
        return log.stream()
                .filter(e -> e.kind() == kind && e.what().equals(step.name()))
                .filter(e -> OwnLines.same(List.of(e.note()), words).isPresent())
                .reduce((a, b) -> b)
                .orElse(null);
    }

    private static List<String> words(PartFile part, StepKind step, List<WorkEntry> log) {
        List<String> all = new ArrayList<>(part.rules().lines().at(step == StepKind.CLEAN));
        log.stream()
                .filter(e -> e.kind() == WorkEntry.Kind.LISTED || e.kind() == WorkEntry.Kind.LINE_TICKED)
                .filter(e -> e.what().equals(step.name()))
                .map(WorkEntry::note)
                .filter(words -> OwnLines.same(all, words).isEmpty())
                .forEach(all::add);
        return all;
    }

    /**
     * Puts a line down for this visit alone.
     *
     * @throws BadInputException when it has no words, is too long, or stands there already
     */
    @Transactional
    public void put(PartFile part, UUID id, StepKind step, String typed, UUID by) {
        List<String> read = OwnLines.read("line", typed.replace('\n', ' '));
        if (read.isEmpty()) {
            throw new BadInputException("line", "app.work.key-what-is-to-be-ticked");
        }
        List<String> there = words(part, step, work.of(part));
        if (OwnLines.same(there, read.get(0)).isPresent()) {
            throw new BadInputException("line", "app.work.that-line-stands-there-already");
        }
        if (there.size() >= 2 * OwnLines.MOST) {
            throw new BadInputException("line", "rulebook.at-most-so-many-lines", 2 * OwnLines.MOST);
        }
        work.write(part, id, WorkEntry.Kind.LISTED, step, read.get(0), by);
    }

    /**
     * Ticks a line. One that was ticked already is left.
     *
     * @throws BadInputException when it is not asked for, or not any more
     */
    @Transactional
    public void tick(PartFile part, UUID id, StepKind step, String words, UUID by) {
        List<WorkEntry> log = work.of(part);
        String asked = OwnLines.same(words(part, step, log), words)
                .orElseThrow(() -> new BadInputException("line", "app.work.that-line-is-not-asked-for-any-more"));
        if (last(log, WorkEntry.Kind.LINE_TICKED, step, asked) == null) {
            work.write(part, id, WorkEntry.Kind.LINE_TICKED, step, asked, by);
        }
    }
}
