package homalon.core.surface;

import homalon.core.geometry.Spot;
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
        return rows.computeIfAbsent(place, this::row);
    }

    private double[] row(int place) {
        double x = places.get(place).x();
        double y = places.get(place).y();
        double[] row = new double[places.size()];
        for (int j = 0; j < row.length; j++) {
            double dx = places.get(j).x() - x;
            double dy = places.get(j).y() - y;
            row[j] = Matern.of(Math.sqrt(dx * dx + dy * dy), length);
        }
        return row;
    }
}
