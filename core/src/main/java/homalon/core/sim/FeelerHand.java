package homalon.core.sim;

import homalon.core.face.FeelerLine;
import homalon.core.face.FeelerLine.Rest;
import homalon.core.face.FeelerLine.Station;
import homalon.core.face.FeelerLine.Tried;
import homalon.core.face.FeelerResult.Try;
import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * A made-up hand with a straightedge and a set of feelers on a made-up face. The edge rests on the highest places under it, as
 * a real one does: on the two that it bridges, or on a crown, where it rocks and no blade goes in the middle.
 */
public final class FeelerHand {
    /** A usual set, mm. */
    private static final double[] BLADES = {
        0.02, 0.03, 0.04, 0.05, 0.06, 0.08, 0.1, 0.15, 0.2, 0.25, 0.3, 0.4, 0.5, 0.6, 0.8, 1
    };

    /** The thinnest of the set, mm. */
    public static final double THINNEST = BLADES[0];

    /** A rock smaller than this is not felt, mm at each end. */
    private static final double FELT = 0.005;

    private static final int PROFILE = 240;

    private FeelerHand() {}

    /** The usual lines over a box: both long edges, the middle, both diagonals, and so many across; nothing tried yet. */
    public static List<FeelerLine> lines(Box b, int across) {
        double mid = (b.y0() + b.y1()) / 2;
        List<FeelerLine> lines = new ArrayList<>();
        lines.add(untried(new Spot(b.x0(), b.y0()), new Spot(b.x1(), b.y0())));
        lines.add(untried(new Spot(b.x0(), b.y1()), new Spot(b.x1(), b.y1())));
        lines.add(untried(new Spot(b.x0(), mid), new Spot(b.x1(), mid)));
        lines.add(untried(new Spot(b.x0(), b.y0()), new Spot(b.x1(), b.y1())));
        lines.add(untried(new Spot(b.x0(), b.y1()), new Spot(b.x1(), b.y0())));
        for (int i = 0; i < across; i++) {
            double x = b.x0() + b.width() * (across == 1 ? 0.5 : (double) i / (across - 1));
            lines.add(untried(new Spot(x, b.y0()), new Spot(x, b.y1())));
        }
        return lines;
    }

    private static FeelerLine untried(Spot from, Spot to) {
        return new FeelerLine(from, to, Rest.NOT_NOTED, Tried.NOTHING, List.of());
    }

    /** Finds the gap at a quarter, the middle and three quarters, notes whether the edge rocks, and by how much. */
    public static FeelerLine findGap(SeededFace face, FeelerLine line) {
        Laid laid = lay(face, line.from(), line.to());
        List<Station> stations = new ArrayList<>();
        for (double at : new double[] {0.25, 0.5, 0.75}) {
            stations.add(new Station(at, tried(laid.gap(at))));
        }
        boolean rocks = laid.rocks();
        Tried ends = rocks ? tried(laid.rock()) : Tried.NOTHING;
        return new FeelerLine(line.from(), line.to(), rocks ? Rest.ROCKS : Rest.SITS_STILL, ends, stations);
    }

    /** Does the one try that was asked for. */
    public static List<FeelerLine> attempt(SeededFace face, List<FeelerLine> lines, Try wanted) {
        List<FeelerLine> after = new ArrayList<>(lines);
        FeelerLine line = wanted.line().isPresent()
                ? after.remove(wanted.line().getAsInt())
                : untried(wanted.from(), wanted.to());
        Laid laid = lay(face, line.from(), line.to());
        boolean rocks = laid.rocks();
        Rest rest = rocks ? Rest.ROCKS : Rest.SITS_STILL;
        if (wanted.underBothEnds()) {
            after.add(new FeelerLine(
                    line.from(), line.to(), rest, goNoGo(laid.rock(), wanted.blade(), line.ends()), line.stations()));
        } else {
            List<Station> stations = new ArrayList<>(line.stations());
            stations.add(new Station(wanted.at(), goNoGo(laid.gap(wanted.at()), wanted.blade(), Tried.NOTHING)));
            after.add(new FeelerLine(line.from(), line.to(), rest, line.ends(), stations));
        }
        return after;
    }

    /** Lays the edge from one place to another. */
    public static Laid lay(SeededFace face, Spot from, Spot to) {
        return Laid.of(face, from, to);
    }

    private static Tried goNoGo(double gap, double blade, Tried before) {
        return gap >= blade
                ? new Tried(OptionalDouble.of(blade), before.refuses())
                : new Tried(before.goes(), OptionalDouble.of(blade));
    }

    private static Tried tried(double gap) {
        OptionalDouble goes = OptionalDouble.empty();
        for (double blade : BLADES) {
            if (gap < blade) {
                return new Tried(goes, OptionalDouble.of(blade));
            }
            goes = OptionalDouble.of(blade);
        }
        return new Tried(goes, OptionalDouble.empty());
    }

    /**
     * An edge at rest.
     *
     * @param rock blade under each end that stops it, mm; 0 when it does not rock
     */
    public record Laid(double[] profile, int left, int right, double rock) {

        /** True when a hand feels it rock. */
        public boolean rocks() {
            return rock > FELT;
        }

        private static Laid of(SeededFace face, Spot from, Spot to) {
            double[] z = new double[PROFILE + 1];
            for (int i = 0; i <= PROFILE; i++) {
                double t = (double) i / PROFILE;
                double x = from.x() + t * (to.x() - from.x());
                double y = from.y() + t * (to.y() - from.y());
                z[i] = face.at(x, y);
            }
            List<Integer> hull = upperHull(z);
            int right = 1;
            while (hull.get(right) < PROFILE / 2) {
                right++;
            }
            int l = hull.get(right - 1);
            int r = hull.get(right);
            double chord = (z[0] + z[PROFILE]) / 2;
            boolean bridges = l == 0 && r == PROFILE;
            return new Laid(z, l, r, bridges ? 0 : Math.max(0, top(z, l, r) - chord));
        }

        /** Height of the edge over the middle. */
        private static double top(double[] z, int l, int r) {
            double t = (PROFILE / 2.0 - l) / (r - l);
            return z[l] + t * (z[r] - z[l]);
        }

        private static List<Integer> upperHull(double[] z) {
            List<Integer> hull = new ArrayList<>();
            for (int i = 0; i < z.length; i++) {
                while (hull.size() > 1 && below(z, hull.get(hull.size() - 2), hull.get(hull.size() - 1), i)) {
                    hull.remove(hull.size() - 1);
                }
                hull.add(i);
            }
            return hull;
        }

        private static boolean below(double[] z, int a, int b, int c) {
            return (z[b] - z[a]) * (c - a) <= (z[c] - z[a]) * (b - a) + 1e-13 * (c - a);
        }

        /** Gap under the edge where it rests; where it rocks it is pressed down level on the crown. */
        public double gap(double at) {
            double place = at * PROFILE;
            int i = (int) Math.min(PROFILE - 1, Math.floor(place));
            double z = profile[i] + (place - i) * (profile[i + 1] - profile[i]);
            if (place < left || place > right) {
                return 0;
            }
            double edge = profile[left] + (place - left) / (right - left) * (profile[right] - profile[left]);
            return Math.max(0, edge - z);
        }
    }
}
