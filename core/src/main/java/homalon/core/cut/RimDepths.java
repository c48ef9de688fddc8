package homalon.core.cut;

import homalon.core.face.FaceMap;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Spot;
import homalon.core.part.Layout;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * How much a cut takes at the rim of each chamber. The dial counts from first touch; a chamber in a hollow loses less than it
 * says, one on a crown all of it. Millimetres.
 */
public final class RimDepths {
    private static final int AROUND = 72;

    /** By bore: how far places of its rim lie below first touch, from the least, none negative. */
    private final List<double[]> below;

    private RimDepths(List<double[]> below) {
        this.below = below;
    }

    /** A face without a map, or flat and level: every chamber loses what the dial says. */
    public static RimDepths level(int bores) {
        List<double[]> all = new ArrayList<>();
        for (int i = 0; i < bores; i++) {
            all.add(new double[] {0});
        }
        return new RimDepths(all);
    }

    /**
     * @param below by bore, how far places of its rim lie below first touch; at least one place each
     */
    public static RimDepths of(List<double[]> below) {
        return new RimDepths(below.stream()
                .map(b -> Arrays.stream(b).map(d -> Math.max(0, d)).sorted().toArray())
                .toList());
    }

    /**
     * From a map.
     *
     * @param plane that is cut
     * @param firstTouch height over that plane of the highest place
     */
    static RimDepths of(FaceMap map, Plane plane, double firstTouch) {
        Layout layout = map.land().layout();
        List<double[]> all = new ArrayList<>();
        for (Layout.Bore bore : layout.bores()) {
            List<Spot> rim = layout.rim(bore, AROUND);
            double[] below = new double[rim.size()];
            for (int i = 0; i < below.length; i++) {
                below[i] =
                        firstTouch - map.above(plane, rim.get(i).x(), rim.get(i).y());
            }
            all.add(below);
        }
        return of(all);
    }

    /**
     * Of some bores only.
     *
     * @param which their places in the order of the bores
     */
    public RimDepths of(int... which) {
        return new RimDepths(Arrays.stream(which).mapToObj(below::get).toList());
    }

    public int bores() {
        return below.size();
    }

    /** Mean taken over the rim of one bore by so much from first touch in all. */
    public double taken(int bore, double total) {
        double sum = 0;
        for (double d : below.get(bore)) {
            sum += Math.max(0, total - d);
        }
        return sum / below.get(bore).length;
    }

    /** What has to come off from first touch in all, for so much over the rim of one bore; 0 for nothing. */
    public double totalFor(int bore, double mean) {
        if (mean <= 0) {
            return 0;
        }
        double[] d = below.get(bore);
        double sum = 0;
        for (int n = 1; n <= d.length; n++) {
            sum += d[n - 1];
            // As long as n places are touched, the mean grows by n/N for each millimetre.
            double total = (mean * d.length + sum) / n;
            if (n == d.length || total <= d[n]) {
                return total;
            }
        }
        throw new IllegalStateException("a rim has places");
    }
}
