package homalon.core.rulebook;

import homalon.core.words.Message;

/** A figure of tests, of presses and of what counts as odd: general engineering values, which a shop may set for itself. */
public enum BenchFigure {
    /** Least clearance that a camshaft runs with, of 20 to 35 mm. */
    RUNNING_CAM(Unit.SMALL, 0.001, 1, 0.03, 1.2),
    RUNNING_MAIN(Unit.SMALL, 0.001, 1, 0.04, 1.5),
    TEST_HOLD(Unit.MINUTES, 1, 240, 10, 10),
    TEST_DROP(Unit.PRESSURE, 0.001, 1, 0.05, 0.7),
    /** How much deck heights may differ end to end, or inner to outer. */
    INDEX_SQUARE(Unit.SMALL, 0.005, 1, 0.05, 2),
    /** How much valves of a kind may stand apart. */
    HEIGHTS_APART(Unit.SMALL, 0.005, 1, 0.05, 2),
    /** A face is called within when no more than one in so many like it is out between its places. */
    FACE_RISK(Unit.ONE_IN, 10, 10_000, 100, 100),
    /** The same where it races, or has a limit by the rules of its class. */
    FACE_RISK_SMALL(Unit.ONE_IN, 10, 10_000, 1000, 1000),
    /** How far land may lie from a measured place, where a shop keeps such a rule beside the chance; 0: it keeps none. */
    FACE_COVER(Unit.SMALL, 0, 500, 0, 0),
    /** A piston at the top further from the others than this is odd: twice what decks and rods of one engine usually leave. */
    PISTON_ODD(Unit.SMALL, 0.01, 2, 0.10, 4),
    /** A height of a face this far from the middle of the others is asked about, on a face that else is good. */
    FACE_ODD(Unit.SMALL, 0.03, 2, 0.18, 7),
    /** The first heights of a face are asked about from this size on. */
    FACE_LARGE(Unit.SMALL, 0.2, 10, 2, 80),
    /** Height of the shop's straightedge, from which follows how far it hangs down; 0: it counts as stiff. */
    EDGE_HEIGHT(Unit.SMALL, 0, 300, 50, 2000),
    GUIDE_PRESS_LEAST_IRON(Unit.SMALL, 0.005, 0.2, 0.02, 0.8),
    GUIDE_PRESS_MOST_IRON(Unit.SMALL, 0.005, 0.2, 0.05, 2),
    GUIDE_PRESS_LEAST_ALUMINIUM(Unit.SMALL, 0.005, 0.2, 0.03, 1.2),
    GUIDE_PRESS_MOST_ALUMINIUM(Unit.SMALL, 0.005, 0.2, 0.06, 2.4),
    INSERT_PRESS_LEAST_IRON(Unit.SHARE, 0.5, 8, 2.0, 2.0),
    INSERT_PRESS_MOST_IRON(Unit.SHARE, 0.5, 8, 2.8, 2.8),
    INSERT_PRESS_LEAST_ALUMINIUM(Unit.SHARE, 0.5, 8, 2.8, 2.8),
    INSERT_PRESS_MOST_ALUMINIUM(Unit.SHARE, 0.5, 8, 3.6, 3.6),
    /** Press that must be left at the worst temperature in service. */
    INSERT_HOT(Unit.SMALL, 0, 0.2, 0.02, 0.8),
    INSERT_WALL_IRON(Unit.SMALL, 1, 10, 3.0, 120),
    INSERT_WALL_ALUMINIUM(Unit.SMALL, 1, 10, 3.5, 140),
    /** Metal between two inserts. */
    INSERT_BRIDGE(Unit.SMALL, 0.5, 10, 1.5, 60),
    /** What a gauge may be off by to either side, 19 times in 20; 0: its readings count as exact. */
    OFF_OUTSIDE(Unit.SMALL, 0, 0.05, 0.002, 0.1),
    OFF_BORE(Unit.SMALL, 0, 0.05, 0.003, 0.15),
    OFF_INDICATOR(Unit.SMALL, 0, 0.05, 0.002, 0.1),
    OFF_DEPTH(Unit.SMALL, 0, 0.2, 0.01, 0.4),
    OFF_PRESSURE(Unit.PRESSURE, 0, 0.1, 0.005, 0.07);

    /** What it is in: mm, minutes, bar, thousandths of the diameter, one in so many. */
    public enum Unit {
        SMALL,
        MINUTES,
        PRESSURE,
        SHARE,
        ONE_IN
    }

    private final Message words = Message.of(this);
    private final Unit unit;
    private final double least;
    private final double most;
    private final double metric;
    private final double imperial;

    BenchFigure(Unit unit, double least, double most, double metric, double imperial) {
        this.unit = unit;
        this.least = least;
        this.most = most;
        this.metric = metric;
        this.imperial = imperial;
    }

    public Message words() {
        return words;
    }

    /** Whether it is of what is pressed in. */
    public boolean ofPresses() {
        return compareTo(GUIDE_PRESS_LEAST_IRON) >= 0 && !ofGauges();
    }

    /** Whether it is what a gauge may be off by. */
    public boolean ofGauges() {
        return compareTo(OFF_OUTSIDE) >= 0;
    }

    public Unit unit() {
        return unit;
    }

    public double least() {
        return least;
    }

    public double most() {
        return most;
    }

    /** What a shop keeps its own figure under. */
    public String ofShop() {
        return "BENCH_" + name();
    }

    /** The general value, round in the shop's unit. */
    public double general(BookDefaults shop) {
        return switch (unit) {
            case SMALL -> shop.round(metric, imperial);
            case PRESSURE -> shop.roundPressure(metric, imperial);
            case MINUTES, SHARE, ONE_IN -> metric;
        };
    }

    /** The shop's own, else the general value. */
    public double value(BookDefaults shop) {
        return shop.own(ofShop()).orElseGet(() -> general(shop));
    }

    /**
     * A least and a most that belong together.
     *
     * @param source the shop's where one of the two is
     */
    public record Span(double least, double most, Source source) {}

    /** The two as they stand; where a figure of the shop's own passes the general value beside it, that value gives way. */
    public static Span span(BenchFigure least, BenchFigure most, BookDefaults shop) {
        double from = least.value(shop);
        double to = most.value(shop);
        boolean ownLeast = shop.own(least.ofShop()).isPresent();
        Source source = ownLeast ? least.source(shop) : most.source(shop);
        if (from <= to) {
            return new Span(from, to, source);
        }
        return ownLeast ? new Span(from, from, source) : new Span(to, to, source);
    }

    public Source source(BookDefaults shop) {
        return shop.own(ofShop()).isPresent() ? Source.SHOP_DEFAULT : Source.DEFAULT;
    }
}
