package homalon.core.surface;

import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** How alike the local part is at places of a grid: it hangs on where they lie and on one length alone, whatever was read. */
public final class Correlations {
    private final List<Spot> places;
    private final double length;
    private final Map<Integer, double[]> rows = new HashMap<>();

    /** @param length over which it falls, mm, above zero */
    public Correlations(List<Spot> places, double length) {
        this.places = List.copyOf(places);
        this.length = length;
    }

    public double length() {
        return length;
    }

    /** With every place, of the one of that number; not to be written on. */
    synchronized double[] with(int place) {
        return rows.computeIfAbsent(
                place, p -> with(places.get(p).x(), places.get(p).y()));
    }

    /** The same of places that need not be among them: one row each. */
    double[][] with(Points other) {
        double[][] all = new double[other.size()][];
        Arrays.setAll(all, i -> with(other.x(i), other.y(i)));
        return all;
    }

    private double[] with(double x, double y) {
        double[] row = new double[places.size()];
        for (int j = 0; j < row.length; j++) {
            double dx = places.get(j).x() - x;
            double dy = places.get(j).y() - y;
            row[j] = Matern.of(Math.sqrt(dx * dx + dy * dy), length);
        }
        return row;
    }
}
