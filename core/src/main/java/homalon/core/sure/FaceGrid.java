package homalon.core.sure;

import homalon.core.face.FlatnessSettings;
import homalon.core.face.PlaceProposal;
import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;
import homalon.core.part.Ground;
import homalon.core.part.Layout;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.RuleBook;
import homalon.core.surface.Correlations;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.locationtech.jts.algorithm.locate.PointOnGeometryLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Location;

/**
 * Places all over the land of a face at which whole faces are looked at, and which of them each limit asks about together. Depends on
 * layout and limits alone.
 */
public final class FaceGrid {
    /** Between the places, mm; wider on a face on which that would be too many. */
    private static final double STEP = 10;

    private static final int MOST = 420;
    /** From the edge of the land, mm: its rim counts. */
    private static final double RIM = 1;
    /** Of the first places on which a tip stands, from the edge, mm. */
    private static final double INSIDE = 5;
    /** An indicator's tip stands so far from every edge and hole, mm. */
    private static final double TIP = 2.5;

    private static final int IN_A_SQUARE = 4;
    private static final int IN_A_ROW = 3;
    private static final int ON_A_RING = 16;

    /**
     * A part of the face and the place that stands for it: its own, or the nearest where it lies mostly in an opening.
     *
     * @param place its number among {@link #spots}
     */
    public record Cell(Box box, int place) {}

    /** What one limit asks: that none of these patches be further from flat than it says. */
    record Asked(FlatnessLimit limit, List<Patch> patches) {}

    private final Ground ground;
    private final List<Spot> spots = new ArrayList<>();
    private final BitSet standable = new BitSet();
    private final List<Asked> asked = new ArrayList<>();
    private @Nullable Patch whole;
    private @Nullable Bent bent;
    private final List<Cell> cells = new ArrayList<>();
    /** Worked out when first asked for; twice the same by two hands. */
    private volatile @Nullable Correlations alike;

    private double apart = STEP;

    private FaceGrid(Ground ground) {
        this.ground = ground;
    }

    public static FaceGrid of(Ground ground, List<FlatnessLimit> limits) {
        return of(ground, limits, STEP, MOST);
    }

    /** How alike its places are over a length. */
    Correlations alike(double length) {
        Correlations known = alike;
        if (known == null || known.length() != length) {
            known = new Correlations(spots, length);
            alike = known;
        }
        return known;
    }

    /** So fine that what lies between its places changes nothing: for faces of which every height is known. */
    public static FaceGrid fine(Ground ground, List<FlatnessLimit> limits) {
        return of(ground, limits, STEP / 2, Integer.MAX_VALUE);
    }

    private static FaceGrid of(Ground ground, List<FlatnessLimit> limits, double step, int most) {
        FaceGrid grid = new FaceGrid(ground);
        grid.place(limits, step, most);
        grid.bent = new Bent(ground.box(), grid.spots);
        grid.whole =
                Patch.plane(grid.spots, IntStream.range(0, grid.spots.size()).toArray());
        for (FlatnessLimit limit : limits) {
            grid.asked.add(new Asked(
                    limit,
                    grid.patches(limit).stream().map(p -> p.of(grid.bent())).toList()));
        }
        return grid;
    }

    private void place(List<FlatnessLimit> limits, double finest, int most) {
        Box box = ground.box();
        // Not finer than so many places over the whole box, however large it is.
        double area = Math.sqrt(box.width() / most * box.height()) / 2;
        double step = Math.max(finest, Math.max(area, Math.max(box.width(), box.height()) / most));
        while (lay(step) > most) {
            step *= 1.15;
        }
        // No line of the grid comes as near to a rounded corner as a tip does, or stands on every bridge.
        PointOnGeometryLocator clear = ground.clear(
                Math.min(TIP, Math.min(ground.box().width(), ground.box().height()) / 16));
        Stream.concat(ground.box().corners().stream(), ground.bridges().stream())
                .map(c -> PlaceProposal.onMetal(clear, c))
                .flatMap(Optional::stream)
                .forEach(spots::add);
        if (limits.stream().anyMatch(l -> l.scope() == FlatnessLimit.Scope.BORE)) {
            double band = FlatnessSettings.over(ground.box()).band();
            for (Layout.Bore bore : ground.bores()) {
                for (double r : new double[] {bore.diameter() / 2 + RIM, bore.diameter() / 2 + band - RIM}) {
                    IntStream.range(0, ON_A_RING)
                            .mapToObj(k -> around(bore.centre(), r, 2 * Math.PI * k / ON_A_RING))
                            .filter(s -> ground.land().holds(new Coordinate(s.x(), s.y())))
                            .forEach(spots::add);
                }
            }
        }
        for (int i = 0; i < spots.size(); i++) {
            Spot s = spots.get(i);
            standable.set(i, clear.locate(new Coordinate(s.x(), s.y())) != Location.EXTERIOR);
        }
    }

    private static Spot around(Spot centre, double radius, double angle) {
        return new Spot(centre.x() + radius * Math.cos(angle), centre.y() + radius * Math.sin(angle));
    }

    private int lay(double step) {
        apart = step;
        spots.clear();
        cells.clear();
        Box box = ground.box();
        double[] xs = lines(box.x0(), box.x1(), step);
        double[] ys = lines(box.y0(), box.y1(), step);
        List<Box> openings = new ArrayList<>();
        for (int j = 0; j < ys.length; j++) {
            for (int i = 0; i < xs.length; i++) {
                Box cell = new Box(
                        between(xs, i, box.x0()),
                        between(ys, j, box.y0()),
                        between(xs, i + 1, box.x1()),
                        between(ys, j + 1, box.y1()));
                if (ground.land().holds(new Coordinate(xs[i], ys[j]))) {
                    cells.add(new Cell(cell, spots.size()));
                    spots.add(new Spot(xs[i], ys[j]));
                } else {
                    openings.add(cell);
                }
            }
        }
        openings.forEach(o -> nearest(o, 2 * step).ifPresent(place -> cells.add(new Cell(o, place))));
        cells.sort(Comparator.comparingDouble((Cell c) -> c.box().y0())
                .thenComparingDouble(c -> c.box().x0()));
        return spots.size();
    }

    private OptionalInt nearest(Box opening, double within) {
        Spot middle = new Spot((opening.x0() + opening.x1()) / 2, (opening.y0() + opening.y1()) / 2);
        return IntStream.range(0, spots.size())
                .filter(i -> spots.get(i).distance(middle) < within)
                .boxed()
                .min(Comparator.comparingDouble(i -> spots.get(i).distance(middle)))
                .map(OptionalInt::of)
                .orElseGet(OptionalInt::empty);
    }

    /** The rim at both ends, the first on which a tip stands, and evenly between these. */
    private static double[] lines(double from, double to, double step) {
        double inside = Math.min(INSIDE, (to - from) / 8);
        double rim = Math.min(RIM, (to - from) / 40);
        int gaps = Math.max(1, (int) Math.round((to - from - 2 * inside) / step));
        double[] all = new double[gaps + 3];
        all[0] = from + rim;
        all[gaps + 2] = to - rim;
        for (int k = 0; k <= gaps; k++) {
            all[k + 1] = from + inside + (to - from - 2 * inside) * k / gaps;
        }
        return all;
    }

    /** Where the part of one line ends and that of the next begins. */
    private static double between(double[] lines, int next, double end) {
        return next == 0 || next == lines.length ? end : (lines[next - 1] + lines[next]) / 2;
    }

    private List<Patch> patches(FlatnessLimit limit) {
        return switch (limit.scope()) {
            case OVERALL -> List.of(whole());
            case ALONG -> rows(true);
            case ACROSS -> rows(false);
            case WINDOW -> squares(limit.window().orElseThrow().mm());
            case BORE -> rings();
        };
    }

    private List<Patch> rows(boolean lengthwise) {
        ToDoubleFunction<Spot> beside = lengthwise ? Spot::y : Spot::x;
        Map<Double, List<Integer>> rows = new LinkedHashMap<>();
        for (int i = 0; i < spots.size(); i++) {
            rows.computeIfAbsent(beside.applyAsDouble(spots.get(i)), k -> new ArrayList<>())
                    .add(i);
        }
        return rows.values().stream()
                .filter(r -> r.size() >= IN_A_ROW)
                .map(r ->
                        Patch.row(spots, r.stream().mapToInt(Integer::intValue).toArray(), lengthwise))
                .toList();
    }

    /** Squares a quarter of their side apart, and at both ends. */
    private List<Patch> squares(double side) {
        Box box = ground.box();
        double w = Math.min(side, box.width());
        double h = Math.min(side, box.height());
        List<Patch> all = new ArrayList<>();
        for (double x : starts(box.x0(), box.x1() - w, apart(side))) {
            for (double y : starts(box.y0(), box.y1() - h, apart(side))) {
                within(s -> s.x() >= x && s.x() <= x + w && s.y() >= y && s.y() <= y + h, all);
            }
        }
        return all;
    }

    /** Squares nearer to each other than half of what lies between places hold the same ones. */
    private double apart(double side) {
        return Math.max(side / 4, apart / 2);
    }

    private static double[] starts(double first, double last, double most) {
        int gaps = (int) Math.ceil((last - first) / most - 1e-9);
        return IntStream.rangeClosed(0, gaps)
                .mapToDouble(k -> gaps == 0 ? first : first + (last - first) * k / gaps)
                .toArray();
    }

    private List<Patch> rings() {
        double band = FlatnessSettings.over(ground.box()).band();
        List<Patch> all = new ArrayList<>();
        for (Layout.Bore bore : ground.bores()) {
            double r = bore.diameter() / 2;
            within(s -> s.distance(bore.centre()) >= r && s.distance(bore.centre()) <= r + band, all);
        }
        return all;
    }

    private void within(Predicate<Spot> inside, List<Patch> all) {
        int[] at = IntStream.range(0, spots.size())
                .filter(i -> inside.test(spots.get(i)))
                .toArray();
        if (at.length >= IN_A_SQUARE) {
            all.add(Patch.plane(spots, at));
        }
    }

    public Ground ground() {
        return ground;
    }

    public List<Spot> spots() {
        return spots;
    }

    /**
     * The worst zone that each limit finds in these heights, mm, in the order of the limits; 0 where it asks about nothing.
     *
     * @param heights of all the places, mm
     */
    public double[] zones(double[] heights) {
        return asked.stream()
                .mapToDouble(a -> a.patches().stream()
                        .mapToDouble(p -> p.zone(heights))
                        .max()
                        .orElse(0))
                .toArray();
    }

    /** The parts of the face, row by row from the lower edge. */
    public List<Cell> cells() {
        return List.copyOf(cells);
    }

    /** Whether an indicator can stand there. */
    boolean standable(int spot) {
        return standable.get(spot);
    }

    /** All places together. */
    Patch whole() {
        return Objects.requireNonNull(whole);
    }

    Bent bent() {
        return Objects.requireNonNull(bent);
    }

    List<Asked> asked() {
        return asked;
    }

    /** The tightest limit in force, mm. */
    public double tightest() {
        return asked.stream().mapToDouble(a -> a.limit().most().mm()).min().orElse(RuleBook.DEFAULT_OVERALL.mm());
    }

    public List<FlatnessLimit> limits() {
        return asked.stream().map(Asked::limit).toList();
    }
}
