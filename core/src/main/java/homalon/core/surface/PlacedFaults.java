package homalon.core.surface;

import homalon.core.geometry.Spot;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** Every way in which a fault may lie on a face, with its heights at places; at most of them only for those that are drawn. */
final class PlacedFaults {
    /** Share of faces that are drawn with a fault where nothing tells of one. */
    private static final double FAULTY = 0.5;

    private final List<FaultShape> ways;
    private final List<Spot> places;
    private final double[][] first;
    private final Map<Integer, double[]> all = new HashMap<>();
    private final double none;
    private final double[] drawnRates;

    /** @param count of the first places, at which all are wanted */
    PlacedFaults(List<FaultShape> ways, List<Spot> places, int count) {
        this.ways = ways;
        this.places = List.copyOf(places);
        this.first =
                ways.stream().map(w -> heights(w, places.subList(0, count))).toArray(double[][]::new);
        this.none = 1 - ways.stream().mapToDouble(FaultShape::weight).sum();
        this.drawnRates = exaggerated();
    }

    private double[] exaggerated() {
        double[] all = new double[ways.size() + 1];
        Map<Fault, Double> kinds = ways.stream()
                .collect(Collectors.groupingBy(FaultShape::fault, Collectors.summingDouble(FaultShape::weight)));
        for (int f = 0; f < ways.size(); f++) {
            FaultShape way = ways.get(f);
            all[f] = FAULTY / kinds.size() * way.weight() / kinds.getOrDefault(way.fault(), way.weight());
        }
        all[ways.size()] = kinds.isEmpty() ? 1 : 1 - FAULTY;
        return all;
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

    /** The chance that a face has none of them. */
    double none() {
        return none;
    }

    /** How often a face has it among those that are drawn, before any evidence; that after the last is for none. */
    double drawnRate(int fault) {
        return drawnRates[fault];
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
