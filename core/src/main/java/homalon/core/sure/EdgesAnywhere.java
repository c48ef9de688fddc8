package homalon.core.sure;

import homalon.core.face.EdgeAtRest;
import homalon.core.geometry.Spot;
import homalon.core.part.Ground;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import org.locationtech.jts.geom.Coordinate;

/**
 * A straightedge laid along and across a face wherever three places or more lie in a row, and along both diagonals: along and across see
 * nothing of a twist.
 */
public final class EdgesAnywhere {
    private static final int IN_A_ROW = 3;
    /** Between places of a diagonal, mm. */
    private static final double APART = 10;

    /** The places of one row, and where they lie along it from 0 to 1. */
    private record Row(int[] places, double[] at) {}

    private final List<Spot> spots;
    private final List<Row> rows = new ArrayList<>();

    /** @param grid of which the places of one row have the same x or y */
    public EdgesAnywhere(FaceGrid grid) {
        this.spots = new ArrayList<>(grid.spots());
        lay(Spot::y, Spot::x);
        lay(Spot::x, Spot::y);
        List<Spot> corners = grid.ground().box().corners();
        diagonal(grid.ground(), corners.get(0), corners.get(3));
        diagonal(grid.ground(), corners.get(2), corners.get(1));
    }

    private void diagonal(Ground ground, Spot from, Spot to) {
        int parts = (int) Math.ceil(from.distance(to) / APART);
        int first = spots.size();
        List<Double> at = new ArrayList<>();
        for (int i = 0; i <= parts; i++) {
            double t = (double) i / parts;
            Spot spot = new Spot(from.x() + t * (to.x() - from.x()), from.y() + t * (to.y() - from.y()));
            if (ground.land().holds(new Coordinate(spot.x(), spot.y()))) {
                spots.add(spot);
                at.add(t);
            }
        }
        if (at.size() >= IN_A_ROW) {
            rows.add(new Row(
                    IntStream.range(first, spots.size()).toArray(),
                    at.stream().mapToDouble(t -> t).toArray()));
        }
    }

    /** The places of the grid, and after them those of the diagonals. */
    public List<Spot> spots() {
        return List.copyOf(spots);
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
     * @param heights of {@link #spots}, mm
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
