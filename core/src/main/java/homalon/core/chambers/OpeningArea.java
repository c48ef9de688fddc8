package homalon.core.chambers;

import homalon.core.input.Problems;
import homalon.core.verdict.Working;
import homalon.core.words.Message;
import java.util.Collection;
import java.util.Comparator;
import java.util.Optional;

/**
 * Opening of a chamber at the face, mm2: what a cut takes of its volume for each millimetre.
 *
 * @param way how it was found
 * @param plusMinus standard uncertainty, mm2
 */
public record OpeningArea(Way way, double mm2, double plusMinus, Working working) {
    /** Ways to find it; where two are as sure, the earlier one counts. */
    public enum Way {
        CUT_BETWEEN,
        TO_DEPTH,
        KEYED,
        OUTLINE,
        SHARE;

        private final Message words = Message.of(this);

        public Message words() {
            return words;
        }
    }

    /** True when nobody measured it. */
    public boolean rough() {
        return way == Way.OUTLINE || way == Way.SHARE;
    }

    /** Of the bore's area, where nothing else is known. */
    public static final double DEFAULT_SHARE = 0.8;
    /** What such a share leaves open, of the area. */
    public static final double SHARE_OPEN = 0.1;
    /** How far an outline drawn from a few numbers may lie from the metal, mm. */
    public static final double OUTLINE_OPEN = 0.5;
    /** What a depth gauge leaves open, mm. */
    public static final double DEPTH_OPEN = 0.02;

    /**
     * @param before cm3, with its plus-minus
     * @param after cm3, filled after the cut
     * @param cut mean over the chamber's rim, mm
     */
    public static OpeningArea cutBetween(
            double before,
            double beforePlusMinus,
            double after,
            double afterPlusMinus,
            double cut,
            double cutPlusMinus) {
        Problems problems = new Problems();
        problems.require(cut > 0, "cut", "chambers.the-cut-between-the-two-fills-must-be");
        problems.require(after < before, "after", "chambers.after-a-cut-a-chamber-holds-less-key");
        problems.throwIfAny();
        double mm2 = (before - after) / cut * 1000;
        double volumes = Math.hypot(beforePlusMinus, afterPlusMinus) / cut * 1000;
        return new OpeningArea(
                Way.CUT_BETWEEN,
                mm2,
                Math.hypot(volumes, mm2 * cutPlusMinus / cut),
                Working.of(Message.of("chambers.opening-from-two-fills-and-the-cut"))
                        .line(Message.of("chambers.area-between-two-fills", cc(before), cc(after), area(mm2)), cut)
                        .done());
    }

    /**
     * From fills to a depth: at the face, by the fit.
     *
     * @param fillSpread what one fill leaves open, cm3
     */
    public static OpeningArea toDepth(DepthFills fills, double fillSpread) {
        double k = fills.deepest();
        double mm2 = fills.area(0);
        double volumes = Math.sqrt(2) * fillSpread / k * 1000;
        Working.Builder working = Working.of(Message.of("chambers.opening-from-fills-to-a-depth"));
        for (DepthFills.Level l : fills.levels()) {
            working.line(Message.of("chambers.to-below-the-face", cc(l.cc())), l.depth());
        }
        working.line(
                fills.levels().stream()
                                        .mapToDouble(DepthFills.Level::depth)
                                        .distinct()
                                        .count()
                                > 2
                        ? Message.of("chambers.slope-of-the-parabola-through-them-at", area(mm2))
                        : Message.of(
                                "chambers.area-between-two-fills", cc(fills.brim()), cc(fills.after(k)), area(mm2)),
                fills.levels().stream()
                                        .mapToDouble(DepthFills.Level::depth)
                                        .distinct()
                                        .count()
                                > 2
                        ? new double[0]
                        : new double[] {k});
        return new OpeningArea(Way.TO_DEPTH, mm2, Math.hypot(volumes, mm2 * DEPTH_OPEN / k), working.done());
    }

    /** @param perimeter of the outline, mm */
    public static OpeningArea outline(double mm2, double perimeter) {
        return new OpeningArea(
                Way.OUTLINE,
                mm2,
                perimeter * OUTLINE_OPEN,
                Working.of(Message.of("chambers.opening-from-the-outline-drawn"))
                        .line(Message.of("chambers.area-of-the-drawn-opening", area(mm2)))
                        .line(Message.of("chambers.its-edge-may-lie-off-all-around"), OUTLINE_OPEN)
                        .done());
    }

    /** One that somebody measured or has from a program. */
    public static OpeningArea keyed(double mm2) {
        return new OpeningArea(
                Way.KEYED,
                mm2,
                0.02 * mm2,
                Working.of(Message.of("chambers.opening-keyed"))
                        .line(Message.of("chambers.keyed-taken-as-good-to-2-a-general", area(mm2)))
                        .done());
    }

    /** @param bore mm */
    public static OpeningArea share(double bore) {
        double mm2 = DEFAULT_SHARE * Math.PI / 4 * bore * bore;
        return new OpeningArea(
                Way.SHARE,
                mm2,
                SHARE_OPEN * mm2,
                Working.of(Message.of("chambers.opening-rough"))
                        .line(Message.of("chambers.80-of-a-circle-of-rough", area(mm2)), bore)
                        .done());
    }

    /** The one that leaves least open. */
    public static Optional<OpeningArea> best(Collection<OpeningArea> ways) {
        return ways.stream()
                .min(Comparator.comparingDouble(OpeningArea::plusMinus).thenComparing(OpeningArea::way));
    }

    private static String cc(double value) {
        return Ratios.exactCc(value);
    }

    private static Message.Mm2 area(double mm2) {
        return new Message.Mm2(mm2);
    }
}
