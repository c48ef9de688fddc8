package homalon.core.face;

import homalon.core.geometry.Box;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.part.LandRaster;
import homalon.core.part.Layout;
import homalon.core.rulebook.FlatnessLimit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.WeakHashMap;
import org.jspecify.annotations.Nullable;
import org.locationtech.jts.algorithm.locate.PointOnGeometryLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Location;

/**
 * Places that a survey lacks before it can prove the limits in force: four in any square of a window limit wherever it is slid,
 * four in the ring around each bore, two rows of three for a limit along or across, and no land beyond the cover. One place after
 * the other is taken that serves most of what is lacking (the greedy answer to covering; not the fewest, and near it).
 */
public final class PlacesWanted {
    /** Steps of the places that are tried, mm. */
    private static final double STEP = 7;
    /** Steps by which a window is slid; any window between two of them holds the part that both share, mm. */
    private static final double SLIDE = 5;

    /** Two places nearer to each other tell little more than one, mm. */
    private static final double APART = 18;

    private static final int IN_A_WINDOW = 4;
    private static final int IN_A_RING = 4;
    private static final int IN_A_ROW = 3;
    /** Land is asked for at points this far apart, mm. */
    private static final double LAND_STEP = 18;

    private static final Map<Layout, List<Spot>> METAL = new WeakHashMap<>();

    private final Layout layout;
    private final List<Spot> metal;
    private final List<Demand> demands = new ArrayList<>();

    /** So many more places wanted in some part of the face. */
    private static final class Demand {
        private final @Nullable Box box;
        private final @Nullable Spot centre;
        private final double from;
        private final double to;
        private int open;

        private Demand(@Nullable Box box, @Nullable Spot centre, double from, double to, int open) {
            this.box = box;
            this.centre = centre;
            this.from = from;
            this.to = to;
            this.open = open;
        }

        static Demand in(Box box, int places) {
            return new Demand(box, null, 0, 0, places);
        }

        static Demand around(Spot centre, double from, double to, int places) {
            return new Demand(null, centre, from, to, places);
        }

        boolean holds(Spot s) {
            if (box != null) {
                return s.x() >= box.x0() && s.x() <= box.x1() && s.y() >= box.y0() && s.y() <= box.y1();
            }
            double r = Objects.requireNonNull(centre).distance(s);
            return r >= from && r <= to;
        }
    }

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
        for (Spot land : metal) {
            boolean node = Math.rint(land.x() / LAND_STEP) == Math.rint((land.x() - STEP) / LAND_STEP) + 1
                    && Math.rint(land.y() / LAND_STEP) == Math.rint((land.y() - STEP) / LAND_STEP) + 1;
            if (node) {
                demands.add(Demand.around(land, 0, Math.max(STEP, cover - LAND_STEP), 1));
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
        for (Demand d : demands) {
            if (d.open > 0 && d.holds(spot)) {
                d.open--;
            }
        }
        demands.removeIf(d -> d.open == 0);
    }

    /** Serves most, well away from what stands where that can be; among equals the one furthest from it. */
    private Optional<Spot> best(List<Spot> have, List<Spot> more) {
        return best(have, more, APART).or(() -> best(have, more, STEP / 2));
    }

    private Optional<Spot> best(List<Spot> have, List<Spot> more, double apart) {
        Spot best = null;
        long most = 0;
        double away = 0;
        for (Spot s : metal) {
            long serves = 0;
            for (Demand d : demands) {
                serves += d.holds(s) ? 1 : 0;
            }
            if (serves == 0 || serves < most) {
                continue;
            }
            double from = Math.min(nearest(have, s), nearest(more, s));
            if (from > apart && (serves > most || from > away)) {
                best = s;
                most = serves;
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
                demands.add(Demand.in(new Box(x[0], y[0], x[1], y[1]), IN_A_WINDOW));
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
            demands.add(Demand.around(bore.centre(), r, r + band, IN_A_RING));
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
        List<Double> lines = metal.stream()
                .map(s -> along ? s.y() : s.x())
                .distinct()
                .sorted()
                .toList();
        for (int k = 0; k < lines.size(); k++) {
            double at = lines.get(first ? k : lines.size() - 1 - k);
            List<Spot> on =
                    metal.stream().filter(s -> (along ? s.y() : s.x()) == at).toList();
            if (on.size() >= IN_A_ROW) {
                return List.of(on.get(0), on.get(on.size() / 2), on.get(on.size() - 1));
            }
        }
        return List.of();
    }

    /** Places on a grid where a tip stands on metal. */
    private static List<Spot> metal(Layout layout) {
        synchronized (METAL) {
            return METAL.computeIfAbsent(layout, PlacesWanted::find);
        }
    }

    private static List<Spot> find(Layout layout) {
        PointOnGeometryLocator land = LandRaster.clearLand(layout, PlaceProposal.TIP);
        Box box = layout.box();
        List<Spot> spots = new ArrayList<>();
        for (double y = box.y0() + STEP / 2; y < box.y1(); y += STEP) {
            for (double x = box.x0() + STEP / 2; x < box.x1(); x += STEP) {
                if (land.locate(new Coordinate(x, y)) != Location.EXTERIOR) {
                    spots.add(new Spot(x, y));
                }
            }
        }
        return List.copyOf(spots);
    }
}
