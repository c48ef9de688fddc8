package homalon.core.visit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.face.ScanFace;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.part.Ground;
import homalon.core.part.LandRaster;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.FaceDefaults;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.RuleBook;
import homalon.core.sim.SeededFace;
import homalon.core.sure.FaceGrid;
import homalon.core.sure.Sureness;
import homalon.core.verdict.Verdict;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a scan proves: every point that was seen, and the chance of what was not. */
class ScanFindingTest {
    private static final Layout LAYOUT =
            Layout.of(LayoutNumbers.proposed(PartKind.HEAD, 4, Length.ofMm("87"), Length.ofMm("98")));
    private static final List<FlatnessLimit> LIMITS =
            FaceDefaults.of(BenchUnit.MM).limits(4);
    private static final FaceModel MODEL = FaceModel.general(FaceGrid.of(Ground.of(LAYOUT), LIMITS));
    private static final FaceRule BY_CHANCE = new FaceRule(OptionalDouble.of(0.01), OptionalDouble.empty(), List.of());
    private static final FaceRule BY_COVER =
            new FaceRule(OptionalDouble.empty(), OptionalDouble.of(RuleBook.DEFAULT_COVER.mm()), List.of());

    private static FaceFinding scanned(double bow, FaceRule rule, Predicate<Spot> seen) {
        SeededFace face = new SeededFace(LAYOUT.box(), 0.2, 0.1, bow, 0, 0, List.of());
        Random random = new Random(3);
        List<double[]> points = new ArrayList<>();
        for (double x = 0; x <= LAYOUT.box().width(); x += 2) {
            for (double y = 0; y <= LAYOUT.box().height(); y += 2) {
                if (seen.test(new Spot(x, y))) {
                    points.add(new double[] {x, y, face.at(x, y) + 0.0005 * random.nextGaussian()});
                }
            }
        }
        ScanFace scan = ScanFace.of(
                Points.of(points.toArray(new double[0][])),
                new ScanFace.Settings(
                        LandRaster.of(LAYOUT, 84),
                        LIMITS,
                        rule.cover().orElse(Double.POSITIVE_INFINITY),
                        0.003,
                        rule.risk().isEmpty()));
        return FaceFinding.ofScan(scan, LIMITS, rule, MODEL, Length.ofMm("0.003"));
    }

    /** The tightest of these limits is 0.05 over all. */
    @ParameterizedTest
    @CsvSource({"0.005, WITHIN", "0.02, WITHIN", "0.07, OUT"})
    void seenAllOverItIsWhatItIs(double bow, Verdict verdict) {
        FaceFinding finding = scanned(bow, BY_CHANCE, s -> true);
        assertEquals(verdict, finding.judgement().worst());
        assertEquals(verdict == Verdict.WITHIN, finding.sureness().orElseThrow().any() <= 0.01);
        assertEquals(List.of(), finding.sureness().orElseThrow().unknown());
    }

    /** A third in the middle, with the bridge between 2 and 3, was not seen; where the gasket went there, that is what counts. */
    @Test
    void whatWasNotSeenIsNotKnown() {
        double from = 0.4 * LAYOUT.box().width();
        double to = 0.75 * LAYOUT.box().width();
        FaceRule gone = new FaceRule(BY_CHANCE.risk(), BY_CHANCE.cover(), List.of(2));
        FaceFinding finding = scanned(0.02, gone, s -> s.x() < from || s.x() > to);
        Sureness known = finding.sureness().orElseThrow();
        assertEquals(Verdict.NOT_PROVEN, finding.judgement().worst());
        assertTrue(known.any() > 0.05, known.any() + " said");
        assertTrue(known.unknown().size() > 10, "hatched where nothing was seen");
        for (Sureness.Unknown unknown : known.unknown()) {
            assertTrue(unknown.cell().x1() > from && unknown.cell().x0() < to, unknown + " was seen");
        }
        assertEquals(Verdict.WITHIN, scanned(0.02, gone, s -> true).judgement().worst());
    }

    @ParameterizedTest
    @CsvSource({"0.01, WITHIN", "0.07, OUT"})
    void byTheRuleOfCoverNoChanceIsAsked(double bow, Verdict verdict) {
        FaceFinding finding = scanned(bow, BY_COVER, s -> true);
        assertEquals(verdict, finding.judgement().worst());
        assertTrue(finding.sureness().isEmpty());
    }
}
