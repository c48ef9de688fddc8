package homalon.core.sure;

import homalon.core.face.EdgeAtRest;
import homalon.core.geometry.Spot;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;

/** A straightedge laid along and across a face wherever three places or more lie in a row. */
public final class EdgesAnywhere {
    private static final int IN_A_ROW = 3;

    /** The places of one row, and where they lie along it from 0 to 1. */
    private record Row(int[] places, double[] at) {}

    private final List<Spot> spots;
    private final List<Row> rows = new ArrayList<>();

    /** @param spots of a grid: those of one row have the same x or y */
    public EdgesAnywhere(List<Spot> spots) {
        this.spots = List.copyOf(spots);
        lay(Spot::y, Spot::x);
        lay(Spot::x, Spot::y);
    }

    private void lay(ToDoubleFunction<Spot> beside, ToDoubleFunction<Spot> onward) {
        Map<Double, List<Integer>> found = new LinkedHashMap<>();
        for (int i = 0; i < spots.size(); i++) {
            found.computeIfAbsent(beside.applyAsDouble(spots.get(i)), k -> new ArrayList<>())
                    .add(i);
        }
        for (List<Integer> row : found.values()) {
            if (row.size() >= IN_A_ROW) {
                row.sort(Comparator.comparingDouble(i -> onward.applyAsDouble(spots.get(i))));
                double from = onward.applyAsDouble(spots.get(row.get(0)));
                double to = onward.applyAsDouble(spots.get(row.get(row.size() - 1)));
                rows.add(new Row(
                        row.stream().mapToInt(i -> i).toArray(),
                        row.stream()
                                .mapToDouble(i -> (onward.applyAsDouble(spots.get(i)) - from) / (to - from))
                                .toArray()));
            }
        }
    }

    /**
     * The greatest gap under it, or what it rocks by, mm.
     *
     * @param heights of the places, mm
     */
    public double widest(double[] heights) {
        double most = 0;
        for (Row row : rows) {
            double[] z = new double[row.places().length];
            for (int i = 0; i < z.length; i++) {
                z[i] = heights[row.places()[i]];
            }
            EdgeAtRest edge = EdgeAtRest.of(row.at(), z);
            most = Math.max(most, Math.max(edge.widest(), edge.rock()));
        }
        return most;
    }
}
