package homalon.core.rulebook;

import homalon.core.words.Message;

/** A figure of tests and of what counts as odd: general engineering values, which a shop may set for itself. */
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
    /** A piston at the top further from the others than this is odd: twice what decks and rods of one engine usually leave. */
    PISTON_ODD(Unit.SMALL, 0.01, 2, 0.10, 4);

    /** What it is in: mm, minutes, bar. */
    public enum Unit {
        SMALL,
        MINUTES,
        PRESSURE
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
            case MINUTES -> metric;
        };
    }

    /** The shop's own, else the general value. */
    public double value(BookDefaults shop) {
        return shop.own(ofShop()).orElseGet(() -> general(shop));
    }

    public Source source(BookDefaults shop) {
        return shop.own(ofShop()).isPresent() ? Source.SHOP_DEFAULT : Source.DEFAULT;
    }
}
