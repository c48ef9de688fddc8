package homalon.core.sure;

import homalon.core.face.FeelerEvidence;
import homalon.core.face.FeelerLine;
import homalon.core.face.FeelerResult;
import homalon.core.face.FeelerResult.Bow;
import homalon.core.face.FeelerResult.Odd;
import homalon.core.face.FeelerResult.Try;
import homalon.core.face.FeelerSurvey;
import homalon.core.geometry.Range;
import homalon.core.geometry.Spot;
import homalon.core.surface.SurfacePrior;
import homalon.core.verdict.Verdict;
import homalon.core.words.Message;
import java.util.List;
import java.util.Optional;

/**
 * How sure a face that was tried with straightedge and feelers is within its limit: whole faces of any smooth shape, with a fault as often
 * as faces have one, that agree with every blade ({@link FeelerEvidence}, {@link homalon.core.surface.LikelyFaces}). One thicker blade
 * moves what they may be and never leaves none.
 *
 * @param chance that the limit is broken
 * @param error standard error of that, from how few faces were drawn; nothing where it counts as it was drawn
 * @param risk of that which may be left
 * @param drawn whole faces that were drawn
 * @param zone in 19 of 20 faces, mm
 * @param toClean the depth that is as likely to clean it as not, mm
 * @param toCleanMostly the depth that cleans it in 9 of 10 cases, mm
 * @param doubted answers that all the rest speaks against, the likeliest wrong one first
 * @param next the blade, and where to try it, whose answer settles most; empty where every blade at hand was tried everywhere
 */
public record FeelerSureness(
        double chance,
        double error,
        double risk,
        int drawn,
        Range zone,
        double toClean,
        double toCleanMostly,
        List<FeelerEvidence.Doubted> doubted,
        Optional<Try> next) {
    /** An answer that is likelier wrong than this is told. */
    private static final double DOUBTED = 0.5;

    private static final double AS_GOOD_AS = 0.9;
    /** From here on the chance agrees that it is out: 19 in 20, as a guard band has it. */
    private static final double AGREES = 0.95;

    private static final double MIDDLE = 0.5;
    private static final double MOSTLY = 0.9;
    private static final double EDGE = 0.025;

    /**
     * What is asked.
     *
     * @param survey what was tried: one place at the least
     * @param grid the face
     * @param prior of the face
     * @param gone where a gasket was seen to be gone
     * @param risk of being out that may be left
     * @param asked lines in the order of the survey's with every place where a blade can be tried
     * @param blades that are at hand, mm
     * @param tools what they and the edge leave open
     * @param strictly whether within asks for room for the error of the draw, and for more draws near the risk; what was handed over
     *     before is asked as it was
     */
    public record Question(
            FeelerSurvey survey,
            FaceGrid grid,
            SurfacePrior prior,
            List<Spot> gone,
            double risk,
            List<FeelerLine> asked,
            List<Double> blades,
            FeelerEvidence.Tools tools,
            boolean strictly) {}

    public static FeelerSureness of(Question question) {
        FeelerDraws draws = new FeelerDraws(question);
        Quantiles zones = draws.zones();
        return new FeelerSureness(
                draws.chance(),
                question.strictly() ? draws.error() : 0,
                question.risk(),
                draws.drawn(),
                new Range(zones.at(EDGE), zones.at(1 - EDGE)),
                zones.at(MIDDLE),
                zones.at(MOSTLY),
                draws.doubted(DOUBTED),
                draws.next());
    }

    /** Whether the chance of being out is no more than what is allowed, the error of the draw with it. */
    public boolean withinRisk() {
        return said() <= risk;
    }

    /** The chance as it is told: with the error of the draw, so that it never speaks against the verdict. */
    public double said() {
        return Math.min(1, chance + error);
    }

    /** Blades can hardly show it any more, but it is as good as out. */
    public boolean asGoodAsOut() {
        return chance >= AS_GOOD_AS;
    }

    /** In words, such as <em>1 in 60</em>. */
    public Message odds() {
        return Odds.of(said(), drawn);
    }

    /**
     * The verdict with what lies between the edges, of a face in which no blade as thick as the limit went. Out when one bow and one twist
     * explain every answer and prove it, no line stands out, and the chance agrees. Within when an edge was laid on all five lines and the
     * chance of being out is no more than is allowed. An answer is told as odd only where all the rest speaks against it.
     *
     * @param byBlades what {@link homalon.core.face.Feelers#look} makes of the same survey
     */
    public FeelerResult judge(FeelerResult byBlades) {
        boolean laid = byBlades.bows().stream().allMatch(Bow::tried);
        boolean bent =
                byBlades.verdict() == Verdict.OUT && byBlades.fits() == FeelerResult.Fits.ONE_BOW && chance >= AGREES;
        Verdict verdict = bent ? Verdict.OUT : laid && withinRisk() ? Verdict.WITHIN : Verdict.NOT_PROVEN;
        List<Odd> odd = byBlades.odd().stream().filter(this::speaksAgainst).toList();
        return byBlades.judged(verdict, odd, verdict == Verdict.NOT_PROVEN ? next(byBlades) : Optional.empty());
    }

    /** One of the five lines that nobody laid an edge on comes before what settles most. */
    private Optional<Try> next(FeelerResult byBlades) {
        boolean laid = byBlades.bows().stream().allMatch(Bow::tried);
        return laid || byBlades.next().isEmpty() ? next : byBlades.next();
    }

    private boolean speaksAgainst(Odd odd) {
        return odd.station().isPresent()
                && doubted.stream()
                        .anyMatch(d -> d.line() == odd.line()
                                && d.station() == odd.station().getAsInt());
    }
}
