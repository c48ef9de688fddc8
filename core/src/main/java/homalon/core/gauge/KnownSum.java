package homalon.core.gauge;

import java.util.List;
import java.util.function.ToDoubleFunction;

/** Sums of the trade that a figure with an uncertainty goes through. Lengths in mm, volumes in cm3, temperatures in degrees Celsius. */
public enum KnownSum {
    /** Of a guide: the bore less the stem, on the diameter. */
    CLEARANCE(List.of("bore", "stem"), v -> v[0] - v[1]),
    /** Of an insert or a guide: its outside less what it goes into. */
    PRESS(List.of("outer", "counterbore"), v -> v[0] - v[1]),
    /** Of a gasket, or a piston below the deck: a disc, cm3. */
    DISC(List.of("diameter", "thickness"), v -> Math.PI / 4 * v[0] * v[0] * v[1] / 1000),
    /** Swept and clearance volume over clearance volume. */
    RATIO(List.of("sweptCc", "clearanceCc"), v -> (v[0] + v[1]) / v[1]),
    /** Of a liner, a valve or a pre-chamber: its top less the face. */
    PROTRUSION(List.of("top", "face"), v -> v[0] - v[1]),
    /** A length read on a part that is warmer or colder than the scale, brought to 20 degrees: expansion is per kelvin. */
    AT_20(List.of("length", "expansion", "temperature"), v -> v[0] / (1 + v[1] * (v[2] - 20)));

    private final List<String> names;
    private final ToDoubleFunction<double[]> sum;

    KnownSum(List<String> names, ToDoubleFunction<double[]> sum) {
        this.names = names;
        this.sum = sum;
    }

    /** Of its figures, in their order. */
    public List<String> names() {
        return names;
    }

    /** Whether it has a result here and one standard uncertainty to either side of each figure. */
    public boolean defined(List<Uncertain> figures) {
        double[] at = figures.stream().mapToDouble(Uncertain::value).toArray();
        boolean defined = Double.isFinite(sum.applyAsDouble(at));
        for (int i = 0; i < at.length; i++) {
            for (int side = -1; side <= 1; side += 2) {
                double[] moved = at.clone();
                moved[i] += side * figures.get(i).standard();
                defined &= Double.isFinite(sum.applyAsDouble(moved));
            }
        }
        return defined;
    }

    /** @param figures in the order of the names, where it is {@link #defined} */
    public Propagation.Propagated of(List<Uncertain> figures) {
        return Propagation.of(figures, sum);
    }

    /** The same by drawing. */
    public Uncertain drawn(List<Uncertain> figures) {
        return Propagation.drawn(figures, sum);
    }
}
