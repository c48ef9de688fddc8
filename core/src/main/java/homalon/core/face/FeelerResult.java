package homalon.core.face;

import homalon.core.geometry.Range;
import homalon.core.geometry.Spot;
import homalon.core.verdict.Verdict;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * What straightedge and feelers prove of a face. Bounds are infinite where nothing bounds them.
 *
 * @param verdict three-valued
 * @param fits which shape explains the readings
 * @param gapProven thickest blade that went in anywhere, mm; 0 when none
 * @param gapPossible greatest bow, hollow or crowned, that the readings allow under any chord of the face, mm
 * @param shape what a smooth face may be; empty when none explains the readings
 * @param bows the five lines that are laid for it
 * @param edgesApart how much more the upper long edge is hollow than the lower at the least, mm, minus when it is less; empty unless
 *     the readings ask for it
 * @param odd places that no smooth bow and twist explains: local dips, or a slip
 * @param next what to try next; empty once the verdict stands
 * @param triesAtBest how many more tries would bring it within if every one is good; empty when none can
 */
public record FeelerResult(
        Verdict verdict,
        Fits fits,
        double gapProven,
        double gapPossible,
        Optional<Allowed> shape,
        List<Bow> bows,
        OptionalDouble edgesApart,
        List<Odd> odd,
        Optional<Try> next,
        OptionalInt triesAtBest) {

    /** What explains the readings. */
    public enum Fits {
        /** One bow along, one across, and a twist. */
        ONE_BOW,
        /** The same, with two long edges that bow differently. */
        EDGES_APART,
        /** One of the two, when one line is left out that stands out. */
        ALL_BUT_ONE_LINE,
        NOTHING
    }

    /** True when one smooth shape explains every reading. */
    public boolean consistent() {
        return fits == Fits.ONE_BOW || fits == Fits.EDGES_APART;
    }

    /** The same with another verdict, with fewer readings that stand out, and something else to try next. */
    public FeelerResult judged(Verdict other, List<Odd> standOut, Optional<Try> then) {
        return new FeelerResult(
                other, fits, gapProven, gapPossible, shape, bows, edgesApart, standOut, then, OptionalInt.empty());
    }

    /**
     * What bow and twist may be, mm.
     *
     * @param longBow + hollow
     * @param crossBow + hollow
     * @param fourthCornerLift + when the corners (+,+) and (-,-) are high
     * @param zone distance of two planes that hold the face
     * @param corners long bow, cross bow and a quarter of the lift at the corners of what all readings allow together; none where
     *     nothing bounds it
     */
    public record Allowed(Range longBow, Range crossBow, Range fourthCornerLift, Range zone, List<double[]> corners) {}

    /** The five lines that are laid for a verdict. */
    public enum Judged {
        LOWER_EDGE(2, 0, -1),
        UPPER_EDGE(2, 0, 1),
        CROSSWISE(0, 2, 0),
        RISING_DIAGONAL(2, 2, 0),
        FALLING_DIAGONAL(2, -2, 0);

        final double du;
        final double dv;
        final double v;

        Judged(double du, double dv, double v) {
            this.du = du;
            this.dv = dv;
            this.v = v;
        }
    }

    /**
     * One judged line.
     *
     * @param line which
     * @param quarterK K / 4 that the readings allow: the bow, + hollow, - crowned, mm; empty when they contradict each other
     * @param tried true when an edge was laid there
     */
    public record Bow(Judged line, Optional<Range> quarterK, boolean tried) {
        /** Least and greatest bow, hollow or crowned. */
        public Optional<Range> size() {
            return quarterK.map(r -> {
                double a = Math.abs(r.least());
                double b = Math.abs(r.most());
                boolean spansZero = r.least() < 0 && r.most() > 0;
                return new Range(spansZero ? 0 : Math.min(a, b), Math.max(a, b));
            });
        }
    }

    /**
     * A reading that stands out.
     *
     * @param line index of the line
     * @param station index of the station, empty for whether the edge rocks
     * @param by how far the gap would have to be another, mm
     */
    public record Odd(int line, OptionalInt station, double by) {}

    /**
     * The one try that would narrow the verdict most.
     *
     * @param judged line of the five
     * @param line index of the laid line that is meant; empty when it was not laid yet
     * @param from its ends, mm
     * @param to its ends, mm
     * @param at place along it; 0 when the blade goes under both ends
     * @param blade thickness, mm
     */
    public record Try(Judged judged, OptionalInt line, Spot from, Spot to, double at, double blade) {
        public boolean underBothEnds() {
            return at == 0;
        }
    }
}
