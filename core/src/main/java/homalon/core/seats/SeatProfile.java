package homalon.core.seats;

import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;

/**
 * Cross-section of a seat: what its conical cuts left, each having taken everything above its cone, so that the metal's height
 * at a radius is the least of the cones there. z is 0 at the outer edge of the face when it is made. Immutable.
 */
public final class SeatProfile {
    private final double[] slope;
    private final double[] height;

    /**
     * @param slope of each cone, growing
     * @param height of each on the axis, mm
     */
    private SeatProfile(double[] slope, double[] height) {
        this.slope = slope;
        this.height = height;
    }

    /**
     * @param outer diameter of the face's outer edge, mm
     * @param inner diameter of its inner edge
     * @param throatInner diameter where the throat cut ends and a fourth begins; used with a fourth angle only
     */
    public static SeatProfile of(SeatAngles angles, double outer, double inner, OptionalDouble throatInner) {
        if (!(inner > 0 && inner < outer)) {
            throw new BadInputException("inner", "seats.the-seats-inner-edge-lies-inside-its");
        }
        double a = SeatAngles.tan(angles.face());
        double b = SeatAngles.tan(angles.top());
        double g = SeatAngles.tan(angles.throat());
        double zInner = -(outer - inner) / 2 * a;
        double face = -outer / 2 * a;
        double top = -outer / 2 * b;
        double throat = zInner - inner / 2 * g;
        if (angles.bowl().isEmpty()) {
            return new SeatProfile(new double[] {b, a, g}, new double[] {top, face, throat});
        }
        double end = throatInner.orElse(0);
        if (!(end > 0 && end < inner)) {
            throw new BadInputException("throatInner", "seats.the-throats-inner-edge-lies-inside-that");
        }
        double w = SeatAngles.tan(angles.bowl().getAsDouble());
        double bowl = throat + end / 2 * (g - w);
        return new SeatProfile(new double[] {b, a, g, w}, new double[] {top, face, throat, bowl});
    }

    /** Cuts: 0 top, 1 face, 2 throat, 3 fourth. */
    public int cuts() {
        return slope.length;
    }

    /** The same after one cut was sunk. */
    public SeatProfile sunk(int cut, double by) {
        double[] lower = height.clone();
        lower[cut] -= by;
        return new SeatProfile(slope, lower);
    }

    /** Height of the metal at a radius, mm. */
    public double at(double r) {
        double z = Double.POSITIVE_INFINITY;
        for (int k = 0; k < slope.length; k++) {
            z = Math.min(z, height[k] + r * slope[k]);
        }
        return z;
    }

    /** Radius at which two neighbouring cuts meet: 0 top to face, 1 face to throat, 2 throat to fourth. */
    public double edge(int between) {
        return (height[between] - height[between + 1]) / (slope[between + 1] - slope[between]);
    }

    /** Radius of the face's outer edge. */
    public double outer() {
        return edge(0);
    }

    /** Radius of the face's inner edge. */
    public double inner() {
        return edge(1);
    }

    /** Of the face along its slope; zero or less when top and throat have met. */
    public double width() {
        return (outer() - inner()) * Math.sqrt(1 + slope[1] * slope[1]);
    }

    /** Height of the face's cone at a radius, whether that is cut there or not: where a valve's face rests. */
    public double faceAt(double r) {
        return height[1] + r * slope[1];
    }

    /** Corners of the section from one radius to another, in order of r: what a drawing joins by straight lines. */
    public List<Spot> corners(double from, double to) {
        List<Spot> all = new ArrayList<>();
        all.add(new Spot(from, at(from)));
        breaks(from, to).forEach(r -> all.add(new Spot(r, at(r))));
        all.add(new Spot(to, at(to)));
        return List.copyOf(all);
    }

    private List<Double> breaks(double from, double to) {
        List<Double> all = new ArrayList<>();
        for (int i = 0; i < slope.length; i++) {
            for (int k = i + 1; k < slope.length; k++) {
                double r = (height[i] - height[k]) / (slope[k] - slope[i]);
                boolean seen = Math.abs(at(r) - (height[i] + r * slope[i])) < 1e-9;
                if (seen && r > from && r < to) {
                    all.add(r);
                }
            }
        }
        return all.stream().distinct().sorted().toList();
    }

    /**
     * Metal between this section and a lower one, turned about the axis, from one radius to another, mm3. Exact: both are straight
     * between their corners.
     */
    public double volumeDownTo(SeatProfile lower, double from, double to) {
        if (to <= from) {
            return 0;
        }
        List<Double> cuts = new ArrayList<>(List.of(from, to));
        cuts.addAll(breaks(from, to));
        cuts.addAll(lower.breaks(from, to));
        double[] r = cuts.stream()
                .mapToDouble(Double::doubleValue)
                .sorted()
                .distinct()
                .toArray();
        double sum = 0;
        for (int i = 0; i + 1 < r.length; i++) {
            double d0 = at(r[i]) - lower.at(r[i]);
            double d1 = at(r[i + 1]) - lower.at(r[i + 1]);
            // Integral of r times a straight line, exact by its ends and middle.
            double middle = (r[i] + r[i + 1]) / 2 * (d0 + d1) / 2;
            sum += (r[i + 1] - r[i]) / 6 * (r[i] * d0 + 4 * middle + r[i + 1] * d1);
        }
        return 2 * Math.PI * sum;
    }

    @Override
    public String toString() {
        return "cones of slope " + Arrays.toString(slope) + " at " + Arrays.toString(height);
    }
}
