package homalon.core.face;

import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;
import homalon.core.input.Problems;
import java.util.List;
import java.util.OptionalDouble;

/**
 * What feelers said under one laid straightedge. A gap is under the edge, in millimetres; positions along the line run from 0
 * at {@code from} to 1 at {@code to}.
 *
 * @param from where the edge begins, mm
 * @param to where it ends, mm
 * @param rest whether it rocks
 * @param ends equal blades tried under both ends of an edge that rocks
 * @param stations where single blades were tried; empty when the line was not tried yet
 */
public record FeelerLine(Spot from, Spot to, Rest rest, Tried ends, List<Station> stations) {

    /** How the edge lies. */
    public enum Rest {
        /** On a crown: it tips from one side to the other. */
        ROCKS,
        /** It touches at both ends and does not move. */
        SITS_STILL,
        /** Nobody said. */
        NOT_NOTED
    }

    /**
     * What blades said at one place: an interval, never a figure.
     *
     * @param goes thickest blade that went in, mm
     * @param refuses thinnest blade that did not, mm
     */
    public record Tried(OptionalDouble goes, OptionalDouble refuses) {
        public static final Tried NOTHING = new Tried(OptionalDouble.empty(), OptionalDouble.empty());

        public boolean isEmpty() {
            return goes.isEmpty() && refuses.isEmpty();
        }
    }

    /** Blades tried at a place of the line; when neither is given, the thinnest blade was refused. */
    public record Station(double at, Tried tried) {}

    public FeelerLine {
        stations = List.copyOf(stations);
    }

    /** Least share of a full line's bow that an edge laid from one place to another sees: 1 right out to the rim. */
    public static double reach(Spot from, Spot to, Box box) {
        double a = Math.abs(box.u(to.x()) - box.u(from.x())) / 2;
        double b = Math.abs(box.v(to.y()) - box.v(from.y())) / 2;
        double least = Math.min(a, b) < 0.5 ? Math.max(a, b) : Math.min(a, b);
        return Math.min(1, least * least);
    }

    /** How far the line runs in u and v, each from -2 to 2. */
    double du(Box box) {
        return box.u(to.x()) - box.u(from.x());
    }

    double dv(Box box) {
        return box.v(to.y()) - box.v(from.y());
    }

    /** Adds what is wrong with the line, under its name in the input. */
    void check(Problems problems, String name, double thinnest) {
        boolean finite = Double.isFinite(from.x())
                && Double.isFinite(from.y())
                && Double.isFinite(to.x())
                && Double.isFinite(to.y());
        problems.require(finite, name, "face.must-have-finite-ends-x-y-in-mm", name);
        problems.require(finite && from.distance(to) > 1, name, "face.must-be-longer-than-a-millimetre-give", name);
        interval(problems, name + ".endBlades", ends, thinnest);
        for (int i = 0; i < stations.size(); i++) {
            String at = name + ".stations[" + i + "]";
            double t = stations.get(i).at();
            problems.require(t > 0 && t < 1, at, "face.at-must-lie-between-the-ends-above-0", at);
            interval(problems, at, stations.get(i).tried(), thinnest);
        }
    }

    private static void interval(Problems problems, String name, Tried tried, double thinnest) {
        double goes = tried.goes().orElse(thinnest);
        double refuses = tried.refuses().orElse(Double.POSITIVE_INFINITY);
        problems.require(
                goes > 0 && Double.isFinite(goes) && refuses > 0 && !Double.isNaN(refuses),
                name,
                "face.blades-are-thicker-than-nothing",
                name);
        problems.require(
                tried.goes().isEmpty() || goes < refuses, name, "face.the-blade-that-goes-must-be-thinner", name);
    }
}
