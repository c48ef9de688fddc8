package homalon.core.face;

import homalon.core.geometry.Range;
import homalon.core.numeric.LinearBounds;
import homalon.core.numeric.LinearBounds.Band;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * The greatest bow under any straight edge that the face is long and wide enough for: |e du^2 + f dv^2 + d du dv| / 4 over all
 * chords with du and dv from -2 to 2. It grows with the chord's length, so that the greatest lies where du or dv is 2: at a corner,
 * or where the other turns. Like the zone it is a norm of (e, f, d): its greatest value over what readings allow is at a corner of
 * that, and its least is found by cutting planes.
 */
final class ChordGap {
    private ChordGap() {}

    /** Weights of (e, f, d) whose product with them is the greatest bow. */
    static double[] gradient(double e, double f, double d) {
        List<double[]> chords = new ArrayList<>();
        chords.add(new double[] {2, 2});
        chords.add(new double[] {2, -2});
        double across = f == 0 ? Double.NaN : -d / f;
        if (Math.abs(across) < 2) {
            chords.add(new double[] {2, across});
        }
        double along = e == 0 ? Double.NaN : -d / e;
        if (Math.abs(along) < 2) {
            chords.add(new double[] {along, 2});
        }
        double @Nullable [] best = null;
        double most = -1;
        for (double[] c : chords) {
            double[] w = {c[0] * c[0] / 4, c[1] * c[1] / 4, c[0] * c[1] / 4};
            double k = e * w[0] + f * w[1] + d * w[2];
            if (Math.abs(k) > most) {
                most = Math.abs(k);
                best = k < 0 ? new double[] {-w[0], -w[1], -w[2]} : w;
            }
        }
        return Objects.requireNonNull(best);
    }

    static double of(double[] x) {
        double[] g = gradient(x[0], x[1], x[2]);
        return g[0] * x[0] + g[1] * x[1] + g[2] * x[2];
    }

    /**
     * Least and greatest over what the bands on (e, f, d) allow; they must allow something.
     *
     * @param corners of what they allow; none where nothing bounds it
     */
    static Range over(List<Band> bands, List<double[]> corners) {
        double most = corners.stream().mapToDouble(ChordGap::of).max().orElse(Double.POSITIVE_INFINITY);
        double least = new LinearBounds(bands, 3)
                .lowest(x -> new LinearBounds.Touch(of(x), gradient(x[0], x[1], x[2])))
                .map(ChordGap::of)
                .orElse(0.0);
        return new Range(Math.min(least, most), most);
    }
}
