package homalon.core.visit;

import homalon.core.guides.Ladder;
import homalon.core.input.BadInputException;
import homalon.core.part.Layout;
import homalon.core.part.Valve;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.BenchGauges;
import homalon.core.rulebook.BookDefaults;
import homalon.core.valves.Aspect;
import homalon.core.valves.Look;
import homalon.core.valves.Measure;
import homalon.core.valves.ValveBook;
import homalon.core.valves.ValveFinding;
import homalon.core.valves.ValveJudge;
import homalon.core.valves.ValveReadings;
import homalon.core.verdict.Verdict;
import homalon.core.words.Message;
import java.time.Instant;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;

/** The valves of one visit: how they lie, what was read and said of each, and what follows. */
public final class ValveFile {
    private final PartFile part;
    private final SheetFile sheet;
    private final Judged judged;

    public ValveFile(PartFile part, SheetFile sheet, Judged judged) {
        this.part = part;
        this.sheet = sheet;
        this.judged = judged;
    }

    /** All that stands of one valve. */
    private record One(
            Map<Measure, Figure> measured, Map<Said, Figure> said, ValveReadings readings, ValveFinding finding) {}

    /** What follows from a sheet and the layout alone, whatever became of the part since. */
    public static final class Judged {
        private final ValveSetup setup;
        private final List<Valve> valves;
        private final Map<String, One> byKey = new HashMap<>();

        private Judged(SheetFile sheet, Layout layout, BookDefaults shop, BenchGauges gauges) {
            this.setup = ValveSetup.of(sheet.setup(), shop);
            this.valves = setup.pattern().of(layout);
            Map<String, Map<Measure, Figure>> measured = new HashMap<>();
            Map<String, Map<Said, Figure>> said = new HashMap<>();
            sheet.standing().forEach((place, figure) -> {
                int dot = place.indexOf('.');
                String valve = place.substring(0, dot);
                String what = place.substring(dot + 1);
                if (MEASURES.containsKey(what)) {
                    measured.computeIfAbsent(valve, v -> new EnumMap<>(Measure.class))
                            .put(MEASURES.get(what), figure);
                } else {
                    said.computeIfAbsent(valve, v -> new EnumMap<>(Said.class)).put(Said.valueOf(what), figure);
                }
            });
            for (Valve v : valves) {
                Map<Measure, Figure> own = measured.getOrDefault(v.key(), Map.of());
                ValveReadings read = read(own);
                byKey.put(
                        v.key(),
                        new One(
                                own,
                                said.getOrDefault(v.key(), Map.of()),
                                read,
                                judged(read, setup.book(v.kind()), gauges)));
            }
        }

        /**
         * @param sheet set up already
         * @param shop what stands where nothing was keyed
         * @param gauges what they leave open
         */
        public static Judged of(SheetFile sheet, Layout layout, BookDefaults shop, BenchGauges gauges) {
            return new Judged(sheet, layout, shop, gauges);
        }
    }

    private static final Map<String, Measure> MEASURES =
            Arrays.stream(Measure.values()).collect(Collectors.toUnmodifiableMap(Measure::name, m -> m));

    /** @param sheet set up already */
    public static ValveFile of(PartFile part, SheetFile sheet, Layout layout) {
        return new ValveFile(
                part,
                sheet,
                Judged.of(sheet, layout, part.rules().books(), part.rules().gauges()));
    }

    /** What was kept before the book was changed may not stand beside it any more: it is not proven then, and says why. */
    private static ValveFinding judged(ValveReadings read, ValveBook book, BenchGauges gauges) {
        try {
            return ValveJudge.of(read, book, gauges);
        } catch (BadInputException e) {
            Aspect odd = new Aspect(
                    Aspect.Subject.GUIDE,
                    Optional.of(Verdict.NOT_PROVEN),
                    Optional.empty(),
                    OptionalDouble.empty(),
                    Message.NONE,
                    e.sentence(),
                    false,
                    Optional.empty());
            return new ValveFinding(
                    List.of(odd), Optional.empty(), Optional.empty(), Verdict.NOT_PROVEN, !read.empty());
        }
    }

    public static String place(String valve, Measure measure) {
        return valve + "." + measure.name();
    }

    public static String place(String valve, Said said) {
        return valve + "." + said.name();
    }

    private static ValveReadings read(Map<Measure, Figure> standing) {
        Map<Measure, Double> figures = new EnumMap<>(Measure.class);
        Set<Look> looks = EnumSet.noneOf(Look.class);
        standing.forEach((m, f) -> {
            if (f.kind() != Figure.Kind.KEYED) {
                return;
            }
            if (m == Measure.LOOKS) {
                looks.addAll(Look.read(f.typed()));
            } else if (m.isLength()) {
                f.value().ifPresent(v -> figures.put(m, v.mm()));
            } else {
                figures.put(m, Double.parseDouble(f.typed()));
            }
        });
        return new ValveReadings(figures, looks);
    }

    public PartFile part() {
        return part;
    }

    public ValveSetup setup() {
        return judged.setup;
    }

    public SheetFile sheet() {
        return sheet;
    }

    /** In the order of the walk. */
    public List<Valve> valves() {
        return judged.valves;
    }

    public Valve valve(String key) {
        return judged.valves.stream()
                .filter(v -> v.key().equals(key))
                .findFirst()
                .orElseThrow(() -> new BadInputException("valve", "visit.there-is-no-such-valve-on-this-casting"));
    }

    private One judged(Valve valve) {
        return Objects.requireNonNull(judged.byKey.get(valve.key()));
    }

    public ValveBook book(Valve valve) {
        return judged.setup.book(valve.kind()).measured(readings(valve).stem());
    }

    public ValveReadings readings(Valve valve) {
        return judged(valve).readings();
    }

    public ValveFinding finding(Valve valve) {
        return judged(valve).finding();
    }

    public Optional<Figure> figure(Valve valve, Said what) {
        return Optional.ofNullable(judged(valve).said().get(what));
    }

    public Optional<Figure> figure(Valve valve, Measure measure) {
        return Optional.ofNullable(judged(valve).measured().get(measure));
    }

    public Optional<String> text(Valve valve, Said what) {
        return figure(valve, what).map(Figure::typed).filter(t -> !t.isEmpty());
    }

    /**
     * What stands in a field of a form: as it was typed, with its unit beside it where another bench typed it, so that the number
     * means the same to whoever reads it and is kept as it is when nothing is changed.
     */
    public String shown(Valve valve, Said what, BenchUnit unit) {
        return figure(valve, what)
                .map(f -> {
                    boolean foreign = f.value().isPresent()
                            && f.unit() != unit
                            && f.typed().matches("[-+]?[0-9.]+");
                    return foreign ? f.typed() + (f.unit() == BenchUnit.MM ? " mm" : " in") : f.typed();
                })
                .orElse("");
    }

    public Optional<Length> length(Valve valve, Said what) {
        return figure(valve, what).flatMap(Figure::value);
    }

    private long seq(Valve valve, Said what) {
        return figure(valve, what).map(Figure::seq).orElse(0L);
    }

    /** The latest reading in the guide or of its stem. */
    private long lastOf(Valve valve, Measure.Walk... walks) {
        long last = 0;
        for (Measure.Walk w : walks) {
            for (Measure m : w.measures()) {
                Figure f = judged(valve).measured().get(m);
                last = f == null ? last : Math.max(last, f.seq());
            }
        }
        return last;
    }

    /** How a piece of work on a valve stands. */
    public enum Work {
        NONE,
        DUE,
        DONE
    }

    /** A guide is due when it is worn or something was chosen for it, and again when it was read worn after it was done. */
    public Work guide(Valve v) {
        long done = seq(v, Said.GUIDE_DONE);
        boolean chosen = text(v, Said.GUIDE).filter(g -> !g.equals("AS_IS")).isPresent();
        boolean left = text(v, Said.GUIDE).filter(g -> g.equals("AS_IS")).isPresent();
        long read = lastOf(
                v,
                Measure.Walk.STEMS,
                Measure.Walk.GUIDE_TOPS,
                Measure.Walk.GUIDE_MIDDLES,
                Measure.Walk.GUIDE_BOTTOMS,
                Measure.Walk.ROCKING);
        boolean worn = finding(v).guideWorn();
        if (done > 0) {
            return (seq(v, Said.GUIDE) > done && chosen) || (worn && read > done) ? Work.DUE : Work.DONE;
        }
        return chosen || (worn && !left) ? Work.DUE : Work.NONE;
    }

    /** Its bore was made anew on this visit. */
    public boolean axisMoved(Valve v) {
        return guide(v) == Work.DONE
                && text(v, Said.GUIDE_DONE)
                        .flatMap(ValveFile::rung)
                        .filter(Ladder.Rung::movesAxis)
                        .isPresent();
    }

    public static Optional<Ladder.Rung> rung(String done) {
        String name = done.split(" ", 2)[0];
        for (Ladder.Rung r : Ladder.Rung.values()) {
            if (r.name().equals(name)) {
                return Optional.of(r);
            }
        }
        return Optional.empty();
    }

    public Work insert(Valve v) {
        long done = seq(v, Said.INSERT_DONE);
        if (done > 0) {
            return seq(v, Said.INSERT) > done ? Work.DUE : Work.DONE;
        }
        boolean asked = readings(v).looks().stream().anyMatch(Look::asksInsert);
        return asked
                        || text(v, Said.INSERT).isPresent()
                        || text(v, Said.COUNTERBORE).isPresent()
                ? Work.DUE
                : Work.NONE;
    }

    /** Its ring is new, and nothing was read of a seat in it yet. */
    public boolean bareRing(Valve v) {
        return insert(v) == Work.DONE
                && lastOf(v, Measure.Walk.SEATS) < seq(v, Said.INSERT_DONE)
                && seq(v, Said.SEAT_DONE) < seq(v, Said.INSERT_DONE);
    }

    /** A seat is due when it is bad, and after each piece of work that takes its old truth. */
    public Work seat(Valve v) {
        long done = seq(v, Said.SEAT_DONE);
        boolean moved = axisMoved(v) && seq(v, Said.GUIDE_DONE) > done;
        boolean ringed = insert(v) == Work.DONE && seq(v, Said.INSERT_DONE) > done;
        boolean bad = finding(v).seatBad()
                && lastOf(
                                v,
                                Measure.Walk.SEATS,
                                Measure.Walk.RUNOUT,
                                Measure.Walk.PITS,
                                Measure.Walk.LOOKS,
                                Measure.Walk.VACUUM)
                        > done;
        boolean chosen = seq(v, Said.SEAT_WAY) > done;
        if (moved || ringed || bad || chosen) {
            return Work.DUE;
        }
        return done > 0 ? Work.DONE : Work.NONE;
    }

    /** Open, and nobody has answered for it yet, as a machinist may. */
    public boolean mayBeSigned(Valve v) {
        return finding(v).forAnswer(readings(v)) && !signed(v);
    }

    /** Not proven, and somebody answers for it as it was read: what is read later is not covered. */
    public boolean signedFor(Valve v) {
        return finding(v).forAnswer(readings(v)) && signed(v);
    }

    private boolean signed(Valve v) {
        long read = lastOf(
                v,
                Measure.Walk.STEMS,
                Measure.Walk.GUIDE_TOPS,
                Measure.Walk.GUIDE_MIDDLES,
                Measure.Walk.GUIDE_BOTTOMS,
                Measure.Walk.ROCKING,
                Measure.Walk.FEEL,
                Measure.Walk.HEIGHTS);
        return text(v, Said.FELT).isPresent() && seq(v, Said.FELT) > read;
    }

    /** Signed for, and not measured. */
    public boolean signedByFeel(Valve v) {
        return signedFor(v) && readings(v).feltAlone();
    }

    /** Decided: measured whichever way it read, made anew, or signed for. */
    public boolean settled(Valve v) {
        return finding(v).settled() || guide(v) == Work.DONE || signedFor(v);
    }

    /** Every valve is settled. */
    public boolean complete() {
        return judged.valves.stream().allMatch(this::settled);
    }

    public boolean begun() {
        return judged.valves.stream().anyMatch(v -> finding(v).begun());
    }

    public Optional<Instant> at(Said what) {
        return judged.valves.stream()
                .flatMap(v -> figure(v, what).stream())
                .map(Figure::at)
                .max(Instant::compareTo);
    }
}
