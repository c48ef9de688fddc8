package homalon.core.valves;

import homalon.core.gauge.Uncertain;
import homalon.core.guides.Guide;
import homalon.core.input.BadInputException;
import homalon.core.input.Problems;
import homalon.core.rulebook.BenchGauges;
import homalon.core.seats.SeatPlan;
import homalon.core.seats.SeatRange;
import homalon.core.seats.SpringFit;
import homalon.core.valves.Aspect.Subject;
import homalon.core.verdict.Verdict;
import homalon.core.verdict.Working;
import homalon.core.words.Message;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;

/** Judges one valve by what was read and what the book says. */
public final class ValveJudge {
    private static final double SLACK = 1e-9;

    private final ValveReadings read;
    private final ValveBook book;
    private final BenchGauges gauges;
    private final Aspects aspects;

    private ValveJudge(ValveReadings read, ValveBook book, BenchGauges gauges) {
        this.read = read;
        this.book = book;
        this.gauges = gauges;
        this.aspects = new Aspects(book);
    }

    /** The same with readings that count as exact. */
    public static ValveFinding of(ValveReadings read, ValveBook kept) {
        return of(read, kept, BenchGauges.EXACT);
    }

    /**
     * @param gauges what the gauges leave open of guides and heights. A seat's width and place are seen, the band between good and bad runout
     *     is wider than what an indicator leaves open, and vacuum is compared: these are held against their limits as they were read
     * @throws BadInputException for readings that cannot stand beside each other; {@link #check} says so before they are kept
     */
    public static ValveFinding of(ValveReadings read, ValveBook kept, BenchGauges gauges) {
        ValveBook book = kept.measured(read.stem());
        ValveJudge judge = new ValveJudge(read, book, gauges);
        Optional<Guide> guide = new GuideJudge(read, book, judge.aspects, gauges).judge();
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
        boolean edges = read.has(Measure.SEAT_OUTER) && read.has(Measure.SEAT_INNER);
        problems.require(
                !edges || read.get(Measure.SEAT_INNER) < read.get(Measure.SEAT_OUTER),
                "typed",
                "valves.the-seats-inner-edge-lies-inside-its");
        OptionalDouble thin = DoubleStream.of(read.stem()).min();
        for (Measure m : Measure.values()) {
            boolean ofGuide = m.walk() == Measure.Walk.GUIDE_TOPS
                    || m.walk() == Measure.Walk.GUIDE_MIDDLES
                    || m.walk() == Measure.Walk.GUIDE_BOTTOMS;
            if (ofGuide
                    && !problems.require(
                            thin.isEmpty() || !read.has(m) || read.get(m) > thin.getAsDouble(),
                            "typed",
                            "valves.the-guide-is-smaller-than-its-stem-the")) {
                break;
            }
        }
        problems.throwIfAny();
        of(read, book);
    }

    private void seat() {
        OptionalDouble edge = read.figure(Measure.SEAT_OUTER);
        OptionalDouble within = inner(read, book);
        if (read.has(Measure.SEAT_WIDTH) && !read.has(Measure.SEAT_INNER)) {
            width(read.get(Measure.SEAT_WIDTH), Optional.empty());
        } else if (edge.isPresent() && within.isPresent() && edge.getAsDouble() > within.getAsDouble()) {
            double outer = edge.getAsDouble();
            double inner = within.getAsDouble();
            double angle = book.value(BookItem.FACE_ANGLE);
            double width = (outer - inner) / 2 / Math.cos(Math.toRadians(angle));
            width(
                    width,
                    Optional.of(Working.of(Message.of("valves.seat-width"))
                            .line(Message.of("valves.width-outer-less-inner-2-cos", whole(angle)), outer, inner, width)
                            .done()));
        }
        edge.ifPresent(outer -> book.seat().ifPresent(range -> place(outer, range)));
        runout();
        pits();
        atLeast(
                Measure.VACUUM,
                BookItem.VACUUM,
                Subject.VACUUM,
                Message.of("valves.holds-vacuum"),
                Message.of("valves.does-not-hold-vacuum"));
        atLeast(
                Measure.FALL,
                BookItem.FALL,
                Subject.FALL,
                Message.of("valves.vacuum-falls-slowly-enough"),
                Message.of("valves.vacuum-falls-too-fast"));
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
                good
                        ? Message.of("valves.runs-true")
                        : bad
                                ? Message.of("valves.runs-out")
                                : Message.of("valves.runout-between-good-and-bad-dress-it-or"),
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
                none ? Message.of("valves.no-pits") : Message.of("valves.pits-to-clean"),
                null);
    }

    private void atLeast(Measure measure, BookItem limit, Subject subject, Message holds, Message fails) {
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
                read.looks().stream().sorted().map(Look::words).collect(Message.joining("text.comma")));
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
                says(place),
                Working.of(Message.of("valves.place-on-the-valve"))
                        .line(
                                Message.of("valves.inside-the-valves-edge-head-less-outer"),
                                book.value(BookItem.HEAD_DIAMETER),
                                outer,
                                inside)
                        .done());
    }

    private static Message says(SeatRange.Place place) {
        return switch (place) {
            case IN -> Message.of("valves.touches-the-valve-where-it-may");
            case HIGH -> Message.of("valves.touches-too-near-the-valves-edge");
            case LOW -> Message.of("valves.touches-too-low-on-the-valves-face");
        };
    }

    private void width(double width, Optional<Working> working) {
        boolean narrow = width < book.value(BookItem.WIDTH_LEAST) - SLACK;
        boolean wide = width > book.value(BookItem.WIDTH_MOST) + SLACK;
        aspects.add(
                Subject.WIDTH,
                narrow || wide ? Verdict.OUT : Verdict.WITHIN,
                width,
                narrow ? BookItem.WIDTH_LEAST : BookItem.WIDTH_MOST,
                narrow
                        ? Message.of("valves.seat-too-narrow")
                        : wide ? Message.of("valves.seat-too-wide") : Message.of("valves.width-within"),
                working.orElse(null));
    }

    /** As read, or from outer edge and width along the face; empty where neither is known. */
    private static OptionalDouble inner(ValveReadings read, ValveBook book) {
        if (read.has(Measure.SEAT_INNER) || !read.has(Measure.SEAT_OUTER) || !read.has(Measure.SEAT_WIDTH)) {
            return read.figure(Measure.SEAT_INNER);
        }
        double slope = Math.cos(Math.toRadians(book.value(BookItem.FACE_ANGLE)));
        return OptionalDouble.of(read.get(Measure.SEAT_OUTER) - 2 * read.get(Measure.SEAT_WIDTH) * slope);
    }

    private void heights() {
        height(
                Measure.RECESSION,
                BookItem.RECESSION,
                Message.of("valves.sunk-below-the-limit"),
                Message.of("valves.height-within"),
                Message.of("valves.below-the-face"));
        height(
                Measure.TIP,
                BookItem.TIP,
                Message.of("valves.stem-tip-stands-too-high"),
                Message.of("valves.tip-within"),
                Message.of("valves.above-the-spring-seat"));
        if (read.has(Measure.MARGIN)) {
            boolean thin = read.get(Measure.MARGIN) < book.value(BookItem.MARGIN) - SLACK;
            aspects.add(
                    Subject.MARGIN,
                    thin ? Verdict.OUT : Verdict.WITHIN,
                    read.get(Measure.MARGIN),
                    BookItem.MARGIN,
                    thin ? Message.of("valves.margin-too-thin-another-valve") : Message.of("valves.margin-within"),
                    null);
        }
    }

    private void height(Measure measure, BookItem limit, Message out, Message within, Message unknown) {
        if (!read.has(measure)) {
            return;
        }
        double value = read.get(measure);
        if (book.entry(limit).isEmpty()) {
            aspects.add(Subject.HEIGHT, null, value, null, Message.of("valves.no-limit-keyed", unknown), null);
            return;
        }
        Uncertain height = gauges.byDepth(value);
        Verdict verdict = height.atMost(book.value(limit));
        if (verdict == Verdict.NOT_PROVEN) {
            aspects.near(Subject.HEIGHT, height, limit, Message.of("valves.the-height"), null);
        } else {
            aspects.add(Subject.HEIGHT, verdict, height, limit, verdict == Verdict.OUT ? out : within, null);
        }
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
                    Message.of("valves.spring-height-read-none-keyed-in-the"),
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
                !fit.good()
                        ? fit.why()
                        : shim ? Message.of("valves.spring-to-shim") : Message.of("valves.spring-within"),
                Working.of(Message.of("valves.spring"))
                        .line(
                                Message.of("valves.shim-measured-less-the-books-less-a"),
                                fit.installed(),
                                book.value(BookItem.SPRING_HEIGHT),
                                fit.shim())
                        .line(Message.of("valves.laid-without-going-over-it-leaves"), fit.left())
                        .done());
        return Optional.of(fit);
    }

    private SpringFit spring(double sink) {
        return SpringFit.of(
                new SpringFit.Spring(
                        read.get(Measure.INSTALLED),
                        book.value(BookItem.SPRING_HEIGHT),
                        sink,
                        book.figure(BookItem.LOCATOR).orElse(0),
                        book.figure(BookItem.SPRING_FREE),
                        book.figure(BookItem.SPRING_SOLID),
                        book.figure(BookItem.SPRING_RATE),
                        book.figure(BookItem.LIFT),
                        read.figure(Measure.SEAL_GAP)),
                SpringFit.USUAL_SHIMS);
    }

    /** The spring once the seat work still to come has sunk the valve; empty until its height is read and the book's known. */
    public static Optional<SpringFit> springAfter(ValveReadings read, ValveBook book, double sink) {
        return read.has(Measure.INSTALLED) && book.entry(BookItem.SPRING_HEIGHT).isPresent()
                ? Optional.of(new ValveJudge(read, book, BenchGauges.EXACT).spring(sink))
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
        OptionalDouble inner = inner(read, book);
        if (!read.has(Measure.SEAT_OUTER)
                || inner.isEmpty()
                || book.entry(BookItem.HEAD_DIAMETER).isEmpty()) {
            return Optional.empty();
        }
        double head = book.value(BookItem.HEAD_DIAMETER);
        OptionalDouble bowl = book.angles().bowl();
        return Optional.of(new SeatPlan.Asked(
                book.angles(),
                read.get(Measure.SEAT_OUTER),
                inner.getAsDouble(),
                bowl.isPresent() ? book.figure(BookItem.BOWL_EDGE) : bowl,
                read.figure(Measure.PITS).orElse(0),
                read.figure(Measure.RUNOUT).orElse(0),
                book.seat().orElseThrow().outerMost(),
                book.value(BookItem.WIDTH_LEAST),
                head,
                head + SeatPlan.DEFAULT_RUN_OUT,
                book.value(BookItem.SINK),
                0,
                0));
    }
}
