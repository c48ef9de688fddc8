package homalon.core.surface;

import homalon.core.geometry.Spot;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Every way in which a fault may lie on a face, with its heights at places; at most of them only for those that are drawn. */
final class PlacedFaults {
    private final List<FaultShape> ways;
    private final List<Spot> places;
    private final double[][] first;
    private final Map<Integer, double[]> all = new HashMap<>();

    /** @param count of the first places, at which all are wanted */
    PlacedFaults(List<FaultShape> ways, List<Spot> places, int count) {
        this.ways = ways;
        this.places = List.copyOf(places);
        this.first =
                ways.stream().map(w -> heights(w, places.subList(0, count))).toArray(double[][]::new);
    }

    private static double[] heights(FaultShape way, List<Spot> at) {
        return at.stream().mapToDouble(p -> way.shape().at(p.x(), p.y())).toArray();
    }

    int count() {
        return ways.size();
    }

    FaultShape way(int fault) {
        return ways.get(fault);
    }

    List<FaultShape> ways() {
        return ways;
    }

    /** At the first places, for 1 mm. */
    double[] first(int fault) {
        return first[fault];
    }

    /** At all of them. */
    double[] all(int fault) {
        return all.computeIfAbsent(fault, f -> heights(ways.get(f), places));
    }
}
