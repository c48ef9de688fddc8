package homalon.app.casting.sheets;

import homalon.app.casting.part.CastingLocks;
import homalon.app.foundation.memory.Memory;
import homalon.app.foundation.memory.Question;
import homalon.app.foundation.people.People;
import homalon.app.foundation.store.EvidenceLog;
import homalon.app.foundation.store.SingleOrList;
import homalon.app.foundation.web.AskAgainException;
import homalon.app.foundation.web.Keyed;
import homalon.app.foundation.web.ReadTransaction;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.visit.Figure;
import homalon.core.visit.PartFile;
import homalon.core.visit.Sheet;
import homalon.core.visit.SheetFile;
import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps sheets: how each is set up, and every figure ever keyed on it. */
@Service
@Transactional
@RequiredArgsConstructor
public class Sheets {
    private final CastingLocks locks;
    private final People people;
    private final EvidenceLog log;
    private final EntityManager entities;
    private final ReadTransaction reading;
    private final Memory memory;

    /** Taken only for the lines that the store says are there now. */
    private record Of(UUID visit) implements Question<Known> {}

    /**
     * What a visit's sheets were read at: lines are only ever added, so that as many lines with the same last one are the same
     * lines. Cheap to ask for beside the lines themselves.
     */
    private record Stamp(UUID visit, long setups, long lastSetup, long figures, long lastFigure) {}

    private record Known(Stamp stamp, List<SheetSetup> setups, List<FigureLine> figures, Map<Sheet, SheetFile> files) {}

    /** Sheets that were begun, by visit. */
    @Transactional(readOnly = true)
    public Map<UUID, Map<Sheet, SheetFile>> ofVisits(Collection<UUID> visits) {
        return visits.isEmpty() ? Map.of() : reading.once(new OfVisits(List.copyOf(visits)), () -> readOf(visits));
    }

    private record OfVisits(List<UUID> visits) {}

    private Map<UUID, Map<Sheet, SheetFile>> readOf(Collection<UUID> visits) {
        List<Stamp> stamps = entities.createQuery("""
                        select s.visit, s.n, s.last, coalesce(f.n, 0), coalesce(f.last, 0)
                        from (select visit visit, count(*) n, max(seq) last from SheetSetup
                              where visit :which group by visit) s
                        left join (select visit visit, count(*) n, max(seq) last from FigureLine
                              where visit :which group by visit) f on f.visit = s.visit
                        """.replace(":which", SingleOrList.among(visits)), Stamp.class)
                .setParameter("ids", SingleOrList.value(visits))
                .getResultList();
        Map<UUID, Map<Sheet, SheetFile>> all = new HashMap<>();
        List<Stamp> unread = new ArrayList<>();
        for (Stamp stamp : stamps) {
            Of of = new Of(stamp.visit());
            memory.at(of, stamp)
                    .or(() -> memory.last(of).flatMap(known -> grown(known, stamp)))
                    .ifPresentOrElse(now -> all.put(stamp.visit(), now.files()), () -> unread.add(stamp));
        }
        whole(unread).forEach(k -> all.put(k.stamp().visit(), k.files()));
        return all;
    }

    /** The lines that came since; empty when that does not come to what stands there now, and all has to be read. */
    private Optional<Known> grown(Known known, Stamp stamp) {
        Stamp was = known.stamp();
        List<SheetSetup> setups = new ArrayList<>(known.setups());
        List<FigureLine> figures = new ArrayList<>(known.figures());
        if (was.lastSetup() != stamp.lastSetup()) {
            setups.addAll(log.after(SheetSetup.class, List.of(stamp.visit()), was.lastSetup()));
        }
        if (was.lastFigure() != stamp.lastFigure()) {
            figures.addAll(log.after(FigureLine.class, List.of(stamp.visit()), was.lastFigure()));
        }
        // Two who write at once may be seen in the other order than that of their numbers.
        return setups.size() == stamp.setups() && figures.size() == stamp.figures()
                ? Optional.of(kept(stamp, setups, figures))
                : Optional.empty();
    }

    private List<Known> whole(List<Stamp> stamps) {
        if (stamps.isEmpty()) {
            return List.of();
        }
        List<UUID> visits = stamps.stream().map(Stamp::visit).toList();
        Map<UUID, List<SheetSetup>> setups = EvidenceLog.byVisit(log.ofVisits(SheetSetup.class, visits));
        Map<UUID, List<FigureLine>> figures = EvidenceLog.byVisit(log.ofVisits(FigureLine.class, visits));
        return stamps.stream()
                .map(s ->
                        kept(s, setups.getOrDefault(s.visit(), List.of()), figures.getOrDefault(s.visit(), List.of())))
                .toList();
    }

    private Known kept(Stamp stamp, List<SheetSetup> setups, List<FigureLine> figures) {
        Map<Sheet, SheetFile> files = new EnumMap<>(Sheet.class);
        for (SheetSetup s : setups) {
            List<FigureLine> own =
                    figures.stream().filter(r -> r.sheet() == s.sheet()).toList();
            List<Map<String, String>> until = setups.stream()
                    .filter(o -> o.sheet() == s.sheet() && o.seq() <= s.seq())
                    .map(SheetSetup::values)
                    .toList();
            files.put(s.sheet(), file(s, until, own));
        }
        Known known = new Known(stamp, setups, figures, files);
        // A line that came between the two questions is not taken for the state that was asked about.
        boolean whole = setups.size() == stamp.setups() && figures.size() == stamp.figures();
        return whole ? memory.keep(new Of(stamp.visit()), stamp, known) : known;
    }

    private static SheetFile file(SheetSetup setup, List<Map<String, String>> setups, List<FigureLine> history) {
        List<Figure> kept = List.copyOf(EvidenceLog.standing(history));
        Map<String, Figure> standing = new LinkedHashMap<>();
        kept.forEach(f -> standing.put(f.place(), f));
        return new SheetFile(
                setup.sheet(),
                setup.values(),
                setups,
                standing,
                List.copyOf(history),
                kept,
                setup.seq() + history.size());
    }

    @Transactional(readOnly = true)
    public SheetFile of(PartFile part, Sheet sheet) {
        return ofVisits(List.of(part.visit().id()))
                .getOrDefault(part.visit().id(), Map.of())
                .getOrDefault(sheet, SheetFile.empty(sheet));
    }

    public void setUp(PartFile part, UUID id, Sheet sheet, Map<String, String> values, UUID by) {
        if (!locks.first(part, id)) {
            return;
        }
        part.requireHere("sheet", "to measure it");
        log.add(new SheetSetup(id, part.visit().id(), sheet, values, by));
    }

    /**
     * The hand that keys at a place.
     *
     * @param id made by the browser, so that a repeat stores once
     * @param seen number of the last line that the hand knows at the place; 0 for none
     */
    public record Hand(UUID id, long seen, UUID by) {
        public static Hand of(Keyed keyed, UUID by) {
            return new Hand(keyed.id(), keyed.seen(), by);
        }

        /** One that puts its figure there whatever stands. */
        public static Hand sure(UUID id, UUID by) {
            return new Hand(id, Long.MAX_VALUE, by);
        }
    }

    /**
     * One figure as typed; {@code /} skips the place.
     *
     * @throws AskAgainException when somebody else keyed there since the hand looked
     */
    public void key(PartFile part, Sheet sheet, Keyed keyed, UUID by) {
        Hand hand = Hand.of(keyed, by);
        if (keyed.skips()) {
            skip(part, sheet, keyed.place(), keyed.unit(), hand);
            return;
        }
        Length value = Length.parse(keyed.tidy(), keyed.unit());
        if (Math.abs(value.nanometres()) > sheet.furthest().nanometres()) {
            throw new BadInputException("typed", "app.sheets.that-is-too-far-off-for-this-place-key");
        }
        say(part, sheet, keyed.place(), Optional.of(value), keyed.tidy(), keyed.unit(), hand);
    }

    /**
     * Something said at a place, or a figure that its reader took in its own way: kept as typed.
     *
     * @param value empty for what is no length; the words are read again wherever they are used
     * @throws AskAgainException when somebody else keyed there since the hand looked
     */
    public void say(
            PartFile part, Sheet sheet, String place, Optional<Length> value, String typed, BenchUnit unit, Hand hand) {
        if (may(part, sheet, place, hand)) {
            log.add(FigureLine.keyed(
                    hand.id(), part.visit().id(), sheet, place, value, typed.strip(), unit, hand.by()));
        }
    }

    /** @throws AskAgainException when somebody else keyed there since the hand looked */
    public void skip(PartFile part, Sheet sheet, String place, BenchUnit unit, Hand hand) {
        if (may(part, sheet, place, hand)) {
            log.add(FigureLine.skipped(hand.id(), part.visit().id(), sheet, place, unit, hand.by()));
        }
    }

    /**
     * Asks first whether somebody else keyed there, before anything is asked about the value itself.
     *
     * @throws AskAgainException when somebody did since the hand looked
     */
    public void ask(PartFile part, Sheet sheet, String place, Hand hand) {
        locks.take(part);
        if (!locks.kept(hand.id())) {
            meanwhile(part, sheet, place, hand);
        }
    }

    /** False for a repeat. */
    private boolean may(PartFile part, Sheet sheet, String place, Hand hand) {
        if (!locks.first(part, hand.id())) {
            return false;
        }
        part.requireHere("sheet", "to measure it");
        meanwhile(part, sheet, place, hand);
        return true;
    }

    /** Two may key one place: the later one is told who keyed what, and decides. */
    private void meanwhile(PartFile part, Sheet sheet, String place, Hand hand) {
        Figure there = of(part, sheet).standing().get(place);
        if (there != null && there.seq() > hand.seen() && !there.by().equals(hand.by())) {
            throw new AskAgainException(
                    people.nameOf(there.by()) + " keyed "
                            + (there.kind() == Figure.Kind.SKIPPED ? "a skip" : there.typed())
                            + " here meanwhile. Press Enter again to put yours in its place, or Escape to leave it.",
                    there.seq());
        }
    }

    /** Takes back what stands at one place; nothing where nothing does. */
    public void withdraw(PartFile part, Sheet sheet, UUID id, String place, UUID by) {
        if (!locks.first(part, id)) {
            return;
        }
        part.requireHere("sheet", "to work on it");
        Figure standing = of(part, sheet).standing().get(place);
        if (standing != null) {
            log.add(FigureLine.takingBack(standing, part.visit().id(), id, by));
        }
    }

    /** Takes back the last figure of this person that stands; the place it was keyed at, or empty. */
    public Optional<String> undo(PartFile part, Sheet sheet, UUID id, UUID by) {
        return undo(part, sheet, id, by, place -> true);
    }

    /** The same among some places only. */
    public Optional<String> undo(PartFile part, Sheet sheet, UUID id, UUID by, Predicate<String> among) {
        if (!locks.first(part, id)) {
            return log.find(FigureLine.class, id).map(Figure::place);
        }
        part.requireHere("sheet", "to measure it");
        Optional<Figure> last = of(part, sheet).standing().values().stream()
                .filter(f -> among.test(f.place()))
                .filter(f -> f.by().equals(by))
                .max(Comparator.comparingLong(Figure::seq));
        last.ifPresent(f -> log.add(FigureLine.takingBack(f, part.visit().id(), id, by)));
        return last.map(Figure::place);
    }
}
