package homalon.core.face;

import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;
import homalon.core.part.LandRaster;
import homalon.core.part.Layout;
import homalon.core.part.PlaceNames;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.locationtech.jts.algorithm.locate.PointOnGeometryLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Location;

/**
 * Where to lay the straightedge, proposed from a layout: both long edges, the middle, both diagonals, across each end and
 * between every two bores. Each line goes round the dowels where it can, since many stay in; among those each is moved to where it
 * crosses most metal near where it was wanted, and each place to try a blade to where the blade finds metal under it.
 */
public final class FeelerProposal {
    /** Room that a blade wants from an edge, mm. */
    private static final double BLADE = 2;

    /** How far a line may be moved to go round a dowel, mm. */
    private static final double ASIDE = 20;
    /** Of the most metal that a line could cross: one that goes round a dowel may not lie over a chamber instead. */
    private static final double AS_GOOD = 0.85;

    private static final double[] WANTED = {0.25, 0.5, 0.75};
    private static final int SAMPLES = 160;

    /**
     * One line.
     *
     * @param name in the trade's words
     * @param places to try blades, from 0 to 1 along it
     * @param dowels that no way leads round: the edge would ride on them until they are pulled
     */
    public record Line(String name, Spot from, Spot to, List<Double> places, List<Layout.Hole> dowels) {}

    private final Layout layout;
    private final PointOnGeometryLocator metal;
    private final List<Line> lines = new ArrayList<>();

    private FeelerProposal(Layout layout) {
        this.layout = layout;
        this.metal = LandRaster.clearLand(layout, BLADE);
    }

    public static List<Line> of(Layout layout) {
        return new FeelerProposal(layout).propose();
    }

    private List<Line> propose() {
        Box b = layout.box();
        double inset = Math.min(8, b.height() * 0.1);
        double end = Math.min(6, b.width() * 0.04);
        boolean intakeTop = layout.numbers().intakeAtTop();
        double x0 = b.x0() + end;
        double x1 = b.x1() - end;
        double mid = (b.y0() + b.y1()) / 2;
        lengthwise(intakeTop ? "Intake edge" : "Exhaust edge", x0, x1, b.y1() - inset, inset * 0.7);
        lengthwise("Middle", x0, x1, mid, b.height() * 0.06);
        lengthwise(intakeTop ? "Exhaust edge" : "Intake edge", x0, x1, b.y0() + inset, inset * 0.7);
        diagonal(new Spot(x0, b.y0() + inset), new Spot(x1, b.y1() - inset));
        diagonal(new Spot(x0, b.y1() - inset), new Spot(x1, b.y0() + inset));
        crosswise("Across, front end", b.x0() + inset, inset * 0.7);
        for (int i = 0; i + 1 < layout.bores().size(); i++) {
            Layout.Bore one = layout.bores().get(i);
            Layout.Bore other = layout.bores().get(i + 1);
            double x = (one.centre().x() + other.centre().x()) / 2;
            double bridge = other.centre().x() - one.centre().x() - one.diameter();
            crosswise("Across, between " + one.number() + " and " + other.number(), x, bridge / 3);
        }
        crosswise("Across, rear end", b.x1() - inset, inset * 0.7);
        return List.copyOf(lines);
    }

    private void lengthwise(String name, double x0, double x1, double y, double play) {
        add(name, shifts(play).map(s -> new Spot[] {new Spot(x0, y + s), new Spot(x1, y + s)}));
    }

    private void crosswise(String name, double x, double play) {
        Box b = layout.box();
        double inset = Math.min(6, b.height() * 0.05);
        add(name, shifts(play).map(s -> new Spot[] {new Spot(x + s, b.y0() + inset), new Spot(x + s, b.y1() - inset)}));
    }

    private void diagonal(Spot from, Spot to) {
        String name = "Diagonal, " + PlaceNames.corner(layout, from) + " to " + PlaceNames.corner(layout, to);
        double play = Math.min(10, layout.box().height() * 0.08);
        double inwards = to.y() > from.y() ? 1 : -1;
        // Either end is brought in towards the middle, or both are: dowels often stand at opposite corners.
        add(
                name,
                shifts(play)
                        .filter(s -> s >= 0)
                        .flatMap(s -> Stream.of(new double[] {s, 0}, new double[] {0, s}, new double[] {s, s}))
                        .map(in -> new Spot[] {
                            new Spot(from.x(), from.y() + inwards * in[0]), new Spot(to.x(), to.y() - inwards * in[1])
                        }));
    }

    /**
     * From where it was wanted outwards, so that of equal lines the nearest is taken; farther only where dowels stand in the way
     * nearer by.
     */
    private Stream<Double> shifts(double play) {
        Stream<Double> near =
                IntStream.rangeClosed(0, 8).mapToObj(i -> (i % 2 == 0 ? 1 : -1) * ((i + 1) / 2) * play / 4);
        if (layout.dowels().isEmpty()) {
            return near;
        }
        return Stream.concat(
                near, IntStream.rangeClosed(1, (int) ASIDE).boxed().flatMap(i -> Stream.of(play + i, -play - i)));
    }

    private void add(String name, Stream<Spot[]> candidates) {
        List<Spot[]> all = candidates.filter(this::onTheFace).toList();
        double most = all.stream().mapToDouble(this::share).max().orElse(0);
        Spot[] best = all.stream()
                .filter(ends -> share(ends) >= AS_GOOD * most)
                .max(Comparator.comparingInt((Spot[] ends) -> -dowels(ends).size())
                        .thenComparingDouble(ends -> Math.rint(share(ends) * 200))
                        .thenComparing(ends -> -all.indexOf(ends)))
                .orElseThrow();
        List<Double> places = new ArrayList<>();
        for (double wanted : WANTED) {
            place(best, wanted).ifPresent(places::add);
        }
        if (!places.isEmpty()) {
            lines.add(new Line(name, rounded(best[0]), rounded(best[1]), List.copyOf(places), dowels(best)));
        }
    }

    private boolean onTheFace(Spot[] ends) {
        Box b = layout.box();
        for (Spot s : ends) {
            if (s.x() < b.x0() || s.x() > b.x1() || s.y() < b.y0() + BLADE || s.y() > b.y1() - BLADE) {
                return false;
            }
        }
        return true;
    }

    private double share(Spot[] ends) {
        int on = 0;
        for (int i = 0; i <= SAMPLES; i++) {
            on += isMetal(at(ends, (double) i / SAMPLES)) ? 1 : 0;
        }
        return (double) on / (SAMPLES + 1);
    }

    /** The metal nearest to where a blade was wanted, at most an eighth of the line away. */
    private OptionalDouble place(Spot[] ends, double wanted) {
        for (int i = 0; i <= SAMPLES / 8; i++) {
            for (int side : new int[] {1, -1}) {
                double t = wanted + side * (double) i / SAMPLES;
                if (isMetal(at(ends, t))) {
                    return OptionalDouble.of(Math.rint(t * 1000) / 1000);
                }
            }
        }
        return OptionalDouble.empty();
    }

    private boolean isMetal(Spot s) {
        return metal.locate(new Coordinate(s.x(), s.y())) != Location.EXTERIOR;
    }

    private static Spot at(Spot[] ends, double t) {
        return new Spot(ends[0].x() + t * (ends[1].x() - ends[0].x()), ends[0].y() + t * (ends[1].y() - ends[0].y()));
    }

    /** Dowels that an edge laid so would ride on. */
    public static List<Layout.Hole> dowels(Layout layout, Spot from, Spot to) {
        return dowels(layout, new Spot[] {from, to});
    }

    private List<Layout.Hole> dowels(Spot[] ends) {
        return dowels(layout, ends);
    }

    private static List<Layout.Hole> dowels(Layout layout, Spot[] ends) {
        return layout.dowels().stream()
                .filter(d -> {
                    for (int i = 0; i <= SAMPLES; i++) {
                        if (at(ends, (double) i / SAMPLES).distance(d.centre()) < d.diameter() / 2 + BLADE) {
                            return true;
                        }
                    }
                    return false;
                })
                .toList();
    }

    private static Spot rounded(Spot s) {
        return new Spot(Math.rint(s.x() * 10) / 10, Math.rint(s.y() * 10) / 10);
    }
}
