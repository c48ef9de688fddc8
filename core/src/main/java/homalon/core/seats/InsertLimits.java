package homalon.core.seats;

import homalon.core.catalogue.Metal;
import homalon.core.part.Material;
import homalon.core.rulebook.BenchFigure;
import homalon.core.rulebook.BookDefaults;
import homalon.core.rulebook.Source;

/** What is asked of an insert in a casting of that material: the shop's own figures, else general values. Millimetres. */
public record InsertLimits(Material head, BookDefaults shop) {
    private static final double PER_MILLE = 1e-3;

    /** Kept above what must be left hot, so that a hole bored a little large still holds. */
    private static final double HOT_TO_SPARE = 0.005;

    private boolean aluminium() {
        return head == Material.ALUMINIUM;
    }

    /** Press that must be left at the worst temperature in service. */
    public double hot() {
        return BenchFigure.INSERT_HOT.value(shop);
    }

    public Source hotSource() {
        return BenchFigure.INSERT_HOT.source(shop);
    }

    private BenchFigure wallFigure() {
        return aluminium() ? BenchFigure.INSERT_WALL_ALUMINIUM : BenchFigure.INSERT_WALL_IRON;
    }

    /** Thinnest wall to water. */
    public double wall() {
        return wallFigure().value(shop);
    }

    public Source wallSource() {
        return wallFigure().source(shop);
    }

    /** Thinnest bridge between two inserts. */
    public double bridge() {
        return BenchFigure.INSERT_BRIDGE.value(shop);
    }

    public Source bridgeSource() {
        return BenchFigure.INSERT_BRIDGE.source(shop);
    }

    private BenchFigure.Span shares() {
        return aluminium()
                ? BenchFigure.span(
                        BenchFigure.INSERT_PRESS_LEAST_ALUMINIUM, BenchFigure.INSERT_PRESS_MOST_ALUMINIUM, shop)
                : BenchFigure.span(BenchFigure.INSERT_PRESS_LEAST_IRON, BenchFigure.INSERT_PRESS_MOST_IRON, shop);
    }

    /**
     * Press wanted on the diameter, {least, most}: thousandths of the counterbore, and never less than what leaves the least that must
     * hold hot.
     */
    public double[] press(Metal ring, double counterbore, double runAt) {
        double grows =
                Math.max(0, Metal.of(head).alpha() - ring.alpha()) * 1e-6 * counterbore * (runAt - PressFit.ROOM);
        double least = Math.max(hot() + HOT_TO_SPARE + grows, shares().least() * PER_MILLE * counterbore);
        return new double[] {least, Math.max(least, shares().most() * PER_MILLE * counterbore)};
    }

    public Source pressSource() {
        return shares().source();
    }
}
