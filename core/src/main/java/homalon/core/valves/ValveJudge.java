package homalon.core.valves;

import homalon.core.guides.Guide;
import homalon.core.input.BadInputException;
import homalon.core.input.Problems;
import homalon.core.seats.SeatPlan;
import homalon.core.seats.SeatRange;
import homalon.core.seats.SpringFit;
import homalon.core.valves.Aspect.Subject;
import homalon.core.verdict.Verdict;
import homalon.core.verdict.Working;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;

/** Judges one valve by what was read and what the book says. */
public final class ValveJudge {
    private static final double SLACK = 1e-9;

    private final ValveReadings read;
    private final ValveBook book;
    private final Aspects aspects;

    private ValveJudge(ValveReadings read, ValveBook book) {
        this.read = read;
        this.book = book;
        this.aspects = new Aspects(book);
    }

    /** @throws BadInputException for readings that cannot stand beside each other; {@link #check} says so before they are kept */
    public static ValveFinding of(ValveReadings read, ValveBook kept) {
        ValveBook book = kept.measured(read.stem());
        ValveJudge judge = new ValveJudge(read, book);
        Optional<Guide> guide = new GuideJudge(read, book, judge.aspects).judge();
        judge.seat();
        judge.heights();
        Optional<SpringFit> spring = judge.spring();
        return new ValveFinding(judge.aspects.all(), guide, spring, judge.verdict(), !read.empty());
    }

    /**
     * Refuses readings that cannot stand beside each other.
     *
     * @throws BadInputException saying what to read again
     */
    public static void check(ValveReadings read, ValveBook book) {
        Problems problems = new Problems();
        double outer = read.get(Measure.SEAT_OUTER);
        double inner = read.get(Measure.SEAT_INNER);
        problems.require(
                !(inner >= outer),
                "typed",
                "The seat's inner edge lies inside its outer edge: key both diameters again.");
        double thin = DoubleStream.of(read.stem()).min().orElse(Double.NaN);
        for (Measure m : Measure.values()) {
            boolean ofGuide = m.walk() == Measure.Walk.GUIDE_TOPS
                    || m.walk() == Measure.Walk.GUIDE_MIDDLES
                    || m.walk() == Measure.Walk.GUIDE_BOTTOMS;
            if (ofGuide
                    && !problems.require(
                            !(read.get(m) <= thin),
                            "typed",
                            "The guide is smaller than its stem: the stem would not go in. Read both again, or set the gauge to the stem.")) {
                break;
            }
        }
        problems.throwIfAny();
        of(read, book);
    }

    private void seat() {
        double outer = read.get(Measure.SEAT_OUTER);
        double inner = inner(read, book);
        if (read.has(Measure.SEAT_WIDTH) && !read.has(Measure.SEAT_INNER)) {
            width(read.get(Measure.SEAT_WIDTH), Optional.empty());
        } else if (outer > inner) {
            double angle = book.value(BookItem.FACE_ANGLE);
            double width = (outer - inner) / 2 / Math.cos(Math.toRadians(angle));
            width(
                    width,
                    Optional.of(Working.of("Seat width")
                            .line(
                                    "width = (outer {} less inner {}) / 2 / cos " + whole(angle) + " = {}",
                                    outer,
                                    inner,
                                    width)
                            .done()));
        }
        if (read.has(Measure.SEAT_OUTER)) {
            book.seat().ifPresent(range -> place(outer, range));
        }
        runout();
        pits();
        atLeast(Measure.VACUUM, BookItem.VACUUM, Subject.VACUUM, "holds vacuum", "does not hold vacuum");
        atLeast(Measure.FALL, BookItem.FALL, Subject.FALL, "vacuum falls slowly enough", "vacuum falls too fast");
        looks();
    }

    private void runout() {
        if (!read.has(Measure.RUNOUT)) {
            return;
        }
        double tir = read.get(Measure.RUNOUT);
        boolean good = tir <= book.value(BookItem.RUNOUT_GOOD) + SLACK;
        boolean bad = tir > book.value(BookItem.RUNOUT_BAD) + SLACK;
        aspects.add(
                Subject.RUNOUT,
                good ? Verdict.WITHIN : bad ? Verdict.OUT : Verdict.NOT_PROVEN,
                tir,
                bad ? BookItem.RUNOUT_BAD : BookItem.RUNOUT_GOOD,
                good ? "runs true" : bad ? "runs out" : "runout between good and bad: dress it, or read it again",
                null);
    }

    private void pits() {
        if (!read.has(Measure.PITS)) {
            return;
        }
        boolean none = read.get(Measure.PITS) <= SLACK;
        aspects.add(
                Subject.PITS,
                none ? Verdict.WITHIN : Verdict.OUT,
                read.get(Measure.PITS),
                null,
                none ? "no pits" : "pits to clean",
                null);
    }

    private void atLeast(Measure measure, BookItem limit, Subject subject, String holds, String fails) {
        if (!read.has(measure)) {
            return;
        }
        boolean good = read.get(measure) >= book.value(limit) - SLACK;
        aspects.add(subject, good ? Verdict.WITHIN : Verdict.OUT, read.get(measure), limit, good ? holds : fails, null);
    }

    private void looks() {
        if (read.looks().isEmpty()) {
            return;
        }
        boolean bad = read.looks().stream().anyMatch(Look::bad);
        aspects.seen(
                Subject.LOOKS,
                bad ? Verdict.OUT : Verdict.WITHIN,
                read.looks().stream().sorted().map(Look::words).collect(Collectors.joining(", ")));
    }

    /** Where it touches the valve, by its outer edge. */
    private void place(double outer, SeatRange range) {
        SeatRange.Place place = range.place(outer);
        double inside = (book.value(BookItem.HEAD_DIAMETER) - outer) / 2;
        aspects.add(
                Subject.PLACE,
                place == SeatRange.Place.IN ? Verdict.WITHIN : Verdict.OUT,
                inside,
                place == SeatRange.Place.HIGH ? BookItem.INSET_LEAST : BookItem.INSET,
                switch (place) {
                    case IN -> "touches the valve where it may";
                    case HIGH -> "touches too near the valve's edge";
                    case LOW -> "touches too low on the valve's face";
                },
                Working.of("Place on the valve")
                        .line(
                                "inside the valve's edge: (head {} less outer edge {}) / 2 = {}",
                                book.value(BookItem.HEAD_DIAMETER),
                                outer,
                                inside)
                        .done());
    }

    private void width(double width, Optional<Working> working) {
        boolean narrow = width < book.value(BookItem.WIDTH_LEAST) - SLACK;
        boolean wide = width > book.value(BookItem.WIDTH_MOST) + SLACK;
        aspects.add(
                Subject.WIDTH,
                narrow || wide ? Verdict.OUT : Verdict.WITHIN,
                width,
                narrow ? BookItem.WIDTH_LEAST : BookItem.WIDTH_MOST,
                narrow ? "seat too narrow" : wide ? "seat too wide" : "width within",
                working.orElse(null));
    }

    /** As read, or from outer edge and width along the face; NaN where neither is known. */
    private static double inner(ValveReadings read, ValveBook book) {
        return read.has(Measure.SEAT_INNER)
                ? read.get(Measure.SEAT_INNER)
                : read.get(Measure.SEAT_OUTER)
                        - 2 * read.get(Measure.SEAT_WIDTH) * Math.cos(Math.toRadians(book.value(BookItem.FACE_ANGLE)));
    }

    private void heights() {
        height(Measure.RECESSION, BookItem.RECESSION, "sunk below the limit", "height within", "below the face");
        height(Measure.TIP, BookItem.TIP, "stem tip stands too high", "tip within", "above the spring seat");
        if (read.has(Measure.MARGIN)) {
            boolean thin = read.get(Measure.MARGIN) < book.value(BookItem.MARGIN) - SLACK;
            aspects.add(
                    Subject.MARGIN,
                    thin ? Verdict.OUT : Verdict.WITHIN,
                    read.get(Measure.MARGIN),
                    BookItem.MARGIN,
                    thin ? "margin too thin: another valve" : "margin within",
                    null);
        }
    }

    private void height(Measure measure, BookItem limit, String out, String within, String unknown) {
        if (!read.has(measure)) {
            return;
        }
        double value = read.get(measure);
        if (book.entry(limit).isEmpty()) {
            aspects.add(Subject.HEIGHT, null, value, null, unknown + "; no limit keyed", null);
            return;
        }
        boolean over = value > book.value(limit) + SLACK;
        aspects.add(Subject.HEIGHT, over ? Verdict.OUT : Verdict.WITHIN, value, limit, over ? out : within, null);
    }

    private Optional<SpringFit> spring() {
        if (!read.has(Measure.INSTALLED)) {
            return Optional.empty();
        }
        if (book.entry(BookItem.SPRING_HEIGHT).isEmpty()) {
            aspects.add(
                    Subject.SPRING,
                    null,
                    read.get(Measure.INSTALLED),
                    null,
                    "spring height read; none keyed in the book",
                    null);
            return Optional.empty();
        }
        SpringFit fit = spring(0);
        boolean shim = !fit.stack().isEmpty();
        aspects.add(
                Subject.SPRING,
                fit.good() && !shim ? Verdict.WITHIN : Verdict.OUT,
                fit.installed(),
                BookItem.SPRING_HEIGHT,
                !fit.good() ? fit.why() : shim ? "spring to shim" : "spring within",
                Working.of("Spring")
                        .line(
                                "shim: measured {} less the book's {} less a locator = {}",
                                fit.installed(),
                                book.value(BookItem.SPRING_HEIGHT),
                                fit.shim())
                        .line("laid without going over it leaves {}", fit.left())
                        .done());
        return Optional.of(fit);
    }

    private SpringFit spring(double sink) {
        double locator = book.value(BookItem.LOCATOR);
        return SpringFit.of(
                new SpringFit.Spring(
                        read.get(Measure.INSTALLED),
                        book.value(BookItem.SPRING_HEIGHT),
                        sink,
                        Double.isNaN(locator) ? 0 : locator,
                        book.value(BookItem.SPRING_FREE),
                        book.value(BookItem.SPRING_SOLID),
                        book.value(BookItem.SPRING_RATE),
                        book.value(BookItem.LIFT),
                        read.get(Measure.SEAL_GAP)),
                SpringFit.USUAL_SHIMS);
    }

    /** The spring once the seat work still to come has sunk the valve; empty until its height is read and the book's known. */
    public static Optional<SpringFit> springAfter(ValveReadings read, ValveBook book, double sink) {
        return read.has(Measure.INSTALLED) && book.entry(BookItem.SPRING_HEIGHT).isPresent()
                ? Optional.of(new ValveJudge(read, book).spring(sink))
                : Optional.empty();
    }

    private Verdict verdict() {
        if (aspects.all().stream().anyMatch(a -> a.is(Verdict.OUT))) {
            return Verdict.OUT;
        }
        boolean guide = aspects.all().stream().anyMatch(a -> a.subject() == Subject.GUIDE && a.is(Verdict.WITHIN));
        boolean seat = aspects.all().stream().anyMatch(a -> a.subject() == Subject.LOOKS && a.is(Verdict.WITHIN));
        boolean open = aspects.all().stream().anyMatch(a -> a.is(Verdict.NOT_PROVEN));
        return guide && seat && !open ? Verdict.WITHIN : Verdict.NOT_PROVEN;
    }

    private static String whole(double degrees) {
        return Long.toString(Math.round(degrees));
    }

    /** What reading it leaves for a plan of its seat: the seat plan that readings and book ask for; empty until both edges are read. */
    public static Optional<SeatPlan.Asked> seatAsked(ValveReadings read, ValveBook book) {
        if (!read.has(Measure.SEAT_OUTER)
                || Double.isNaN(inner(read, book))
                || book.entry(BookItem.HEAD_DIAMETER).isEmpty()) {
            return Optional.empty();
        }
        double head = book.value(BookItem.HEAD_DIAMETER);
        OptionalDouble bowl = book.angles().bowl();
        return Optional.of(new SeatPlan.Asked(
                book.angles(),
                read.get(Measure.SEAT_OUTER),
                inner(read, book),
                bowl.isPresent() ? book.value(BookItem.BOWL_EDGE) : Double.NaN,
                read.has(Measure.PITS) ? read.get(Measure.PITS) : 0,
                read.has(Measure.RUNOUT) ? read.get(Measure.RUNOUT) : 0,
                book.seat().orElseThrow().outerMost(),
                book.value(BookItem.WIDTH_LEAST),
                head,
                head + SeatPlan.DEFAULT_RUN_OUT,
                book.value(BookItem.SINK),
                0,
                0));
    }
}
