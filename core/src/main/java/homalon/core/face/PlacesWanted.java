package homalon.core.face;

import homalon.core.geometry.Box;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.part.Layout;
import homalon.core.rulebook.FlatnessLimit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.WeakHashMap;

/**
 * Places that a survey lacks before it can prove the limits in force: four in any square of a window limit wherever it is slid,
 * four in the ring around each bore, two rows of three for a limit along or across, and no land beyond the cover. One place after
 * the other is taken that serves most of what is lacking (the greedy answer to covering; not the fewest, and near it).
 */
public final class PlacesWanted {
    private static final double STEP = MetalGrid.STEP;
    /** Steps by which a window is slid; any window between two of them holds the part that both share, mm. */
    private static final double SLIDE = 5;

    /** Two places nearer to each other tell little more than one, mm. */
    private static final double APART = 18;

    private static final int IN_A_WINDOW = 4;
    private static final int IN_A_RING = 4;
    private static final int IN_A_ROW = 3;
    /** Land is asked for at points this far apart, mm. */
    private static final double LAND_STEP = 18;

    private static final Map<Layout, MetalGrid> METAL = new WeakHashMap<>();

    private final Layout layout;
    private final MetalGrid metal;
    private final List<PlaceDemand> demands = new ArrayList<>();

    private PlacesWanted(Layout layout, List<Spot> have, List<FlatnessLimit> limits, double cover) {
        this.layout = layout;
        this.metal = metal(layout);
        for (FlatnessLimit limit : limits) {
            switch (limit.scope()) {
                case WINDOW -> windows(limit.window().orElseThrow().mm());
                case BORE -> rings();
                case ALONG, ACROSS, OVERALL -> {
                    // Rows are laid afterwards, whole; cover is asked of every survey.
                }
            }
        }
        for (Spot land : metal.spots()) {
            boolean node = Math.rint(land.x() / LAND_STEP) == Math.rint((land.x() - STEP) / LAND_STEP) + 1
                    && Math.rint(land.y() / LAND_STEP) == Math.rint((land.y() - STEP) / LAND_STEP) + 1;
            if (node) {
                demands.add(PlaceDemand.around(land, 0, Math.max(STEP, cover - LAND_STEP), 1));
            }
        }
        have.forEach(this::place);
    }

    /**
     * @param have places that stand already
     * @param cover most that land may lie from a place, mm
     * @return in the order of their use; empty where nothing is lacking
     */
    public static List<Spot> missing(Layout layout, List<Spot> have, List<FlatnessLimit> limits, double cover) {
        PlacesWanted wanted = new PlacesWanted(layout, have, limits, cover);
        List<Spot> more = new ArrayList<>();
        for (FlatnessLimit limit : limits) {
            boolean along = limit.scope() == FlatnessLimit.Scope.ALONG;
            if (along || limit.scope() == FlatnessLimit.Scope.ACROSS) {
                wanted.rows(have, more, along);
            }
        }
        Optional<Spot> next = wanted.best(have, more);
        while (next.isPresent()) {
            wanted.place(next.get());
            more.add(next.get());
            next = wanted.best(have, more);
        }
        return List.copyOf(more);
    }

    /** The place that serves one limit most; empty where it lacks none. */
    static Optional<Spot> next(Layout layout, Points have, FlatnessLimit limit, double cover) {
        List<Spot> spots = new ArrayList<>();
        for (int i = 0; i < have.size(); i++) {
            spots.add(new Spot(have.x(i), have.y(i)));
        }
        PlacesWanted wanted = new PlacesWanted(layout, spots, List.of(limit), cover);
        List<Spot> rows = new ArrayList<>();
        boolean along = limit.scope() == FlatnessLimit.Scope.ALONG;
        if (along || limit.scope() == FlatnessLimit.Scope.ACROSS) {
            wanted.rows(spots, rows, along);
        }
        return rows.isEmpty() ? wanted.best(spots, List.of()) : Optional.of(rows.get(0));
    }

    private void place(Spot spot) {
        demands.forEach(d -> d.place(spot));
        demands.removeIf(PlaceDemand::met);
    }

    /** Serves most, well away from what stands where that can be; among equals the one furthest from it. */
    private Optional<Spot> best(List<Spot> have, List<Spot> more) {
        int[] serving = metal.serving(demands);
        return best(serving, have, more, APART).or(() -> best(serving, have, more, STEP / 2));
    }

    private Optional<Spot> best(int[] serving, List<Spot> have, List<Spot> more, double apart) {
        Spot best = null;
        int most = 1;
        double away = 0;
        for (int k = 0; k < serving.length; k++) {
            if (serving[k] < most) {
                continue;
            }
            Spot s = metal.spots().get(k);
            double from = Math.min(nearest(have, s), nearest(more, s));
            if (from > apart && (serving[k] > most || from > away)) {
                best = s;
                most = serving[k];
                away = from;
            }
        }
        return Optional.ofNullable(best);
    }

    private static double nearest(List<Spot> all, Spot s) {
        double least = Double.POSITIVE_INFINITY;
        for (Spot o : all) {
            least = Math.min(least, o.distance(s));
        }
        return least;
    }

    private void windows(double side) {
        Box box = layout.box();
        double w = Math.min(side, box.width());
        double h = Math.min(side, box.height());
        for (double[] x : slides(box.x0(), box.x1(), w)) {
            for (double[] y : slides(box.y0(), box.y1(), h)) {
                demands.add(PlaceDemand.in(new Box(x[0], y[0], x[1], y[1]), IN_A_WINDOW));
            }
        }
    }

    /** What every window that starts between two steps shares, step by step; the last one lies at the end. */
    private static List<double[]> slides(double from, double to, double side) {
        List<double[]> all = new ArrayList<>();
        double last = to - side;
        for (double at = from; at < last - 1e-9; at += SLIDE) {
            all.add(new double[] {Math.min(at + SLIDE, last), at + side});
        }
        all.add(new double[] {last, to});
        return all;
    }

    private void rings() {
        double band = FlatnessSettings.over(layout.box()).band();
        for (Layout.Bore bore : layout.bores()) {
            double r = bore.diameter() / 2;
            demands.add(PlaceDemand.around(bore.centre(), r, r + band, IN_A_RING));
        }
    }

    /** Two rows of three, at the two ends of the face (or its two edges), on lines of the places that are tried. */
    private void rows(List<Spot> have, List<Spot> more, boolean along) {
        List<Spot> all = new ArrayList<>(have);
        all.addAll(more);
        int rows = all.size() < IN_A_ROW
                ? 0
                : LineFlatness.of(flat(all), along)
                        .map(LineFlatness.Worst::rows)
                        .orElse(0);
        for (int end = 0; end < 2 && rows < 2; end++) {
            List<Spot> line = line(along, end == 0);
            for (Spot s : line) {
                if (nearest(all, s) > STEP / 2) {
                    more.add(s);
                    all.add(s);
                    place(s);
                }
            }
            rows = LineFlatness.of(flat(all), along)
                    .map(LineFlatness.Worst::rows)
                    .orElse(0);
        }
    }

    private static Points flat(List<Spot> spots) {
        return Points.of(
                spots.stream().mapToDouble(Spot::x).toArray(),
                spots.stream().mapToDouble(Spot::y).toArray(),
                new double[spots.size()]);
    }

    /** The outermost line of tried places that holds three, thinned to its ends and its middle. */
    private List<Spot> line(boolean along, boolean first) {
        List<Double> lines = metal.spots().stream()
                .map(s -> along ? s.y() : s.x())
                .distinct()
                .sorted()
                .toList();
        for (int k = 0; k < lines.size(); k++) {
            double at = lines.get(first ? k : lines.size() - 1 - k);
            List<Spot> on = metal.spots().stream()
                    .filter(s -> (along ? s.y() : s.x()) == at)
                    .toList();
            if (on.size() >= IN_A_ROW) {
                return List.of(on.get(0), on.get(on.size() / 2), on.get(on.size() - 1));
            }
        }
        return List.of();
    }

    private static MetalGrid metal(Layout layout) {
        synchronized (METAL) {
            return METAL.computeIfAbsent(layout, MetalGrid::of);
        }
    }
}
