package homalon.core.surface;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.part.Ground;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.ToDoubleFunction;
import org.junit.jupiter.api.Test;

/** What faces of a shop tell of the next, with faces drawn from what is to be learnt. */
class LearntTest {
    private static final Layout HEAD =
            Layout.of(LayoutNumbers.proposed(PartKind.HEAD, 4, Length.ofMm("86"), Length.ofMm("94")));
    private static final Ground GROUND = Ground.of(HEAD);
    private static final double NOISE = 0.001;
    private static final SurfacePrior GENERAL = SurfacePrior.usual(0.05).withRates(Map.of());
    private static final Points NOTHING = Points.of(new double[0], new double[0], new double[0]);

    /** Faces of one level over one length, read at 18 places each. */
    private static List<Learnt.Face> faces(SurfacePrior of, int count, long seed) {
        Random random = new Random(seed);
        List<Learnt.Face> all = new ArrayList<>();
        for (int f = 0; f < count; f++) {
            List<Spot> places = new ArrayList<>();
            for (int i = 0; i < 18; i++) {
                places.add(new Spot(
                        HEAD.box().width() * random.nextDouble(), HEAD.box().height() * random.nextDouble()));
            }
            double[] face = Surface.given(of, GROUND, NOTHING, NOISE, List.of())
                    .over(places)
                    .draw(1, 0, random.nextLong())
                    .heights()[0];
            double[][] rows = new double[places.size()][];
            for (int i = 0; i < rows.length; i++) {
                rows[i] = new double[] {places.get(i).x(), places.get(i).y(), face[i] + NOISE * random.nextGaussian()};
            }
            all.add(Learnt.of(GENERAL, GROUND, Points.of(rows), Noise.of(NOISE), List.of()));
        }
        return all;
    }

    private static SurfacePrior only(double local, double bent, double length) {
        return GENERAL.withLocal(length, GENERAL.local(), 0)
                .withLevels(List.of(new SurfacePrior.Level(local, bent, bent < 1 ? 0.3 : 1, 1)), 0);
    }

    private static double share(SurfacePrior prior, ToDoubleFunction<SurfacePrior.Level> of, double value) {
        return prior.levels().stream()
                .filter(l -> of.applyAsDouble(l) == value)
                .mapToDouble(SurfacePrior.Level::share)
                .sum();
    }

    @Test
    void aFewFacesTellNothing() {
        assertSame(GENERAL, Learnt.from(GENERAL, List.of()));
        assertSame(GENERAL, Learnt.from(GENERAL, faces(only(0.5, 0.2, 70), Learnt.FEWEST - 1, 1)));
    }

    @Test
    void straightFacesMakeTheNextOneLikelierToBeStraight() {
        SurfacePrior learnt = Learnt.from(GENERAL, faces(only(0.5, 0.2, 70), 40, 2));
        assertEquals(40, learnt.faces());
        assertTrue(
                share(learnt, SurfacePrior.Level::bent, 0.2) > 0.75,
                learnt.levels().toString());
        assertTrue(
                share(learnt, SurfacePrior.Level::local, 0.5) > 0.6,
                learnt.levels().toString());
        assertTrue(share(learnt, SurfacePrior.Level::bent, 1) > 0.03, "what was not seen stays possible");
        assertEquals(1, share(learnt, l -> 0, 0), 1e-9);
    }

    @Test
    void bentFacesMakeItLikelierToBeBent() {
        SurfacePrior learnt = Learnt.from(GENERAL, faces(only(2, 1, 70), 40, 3));
        assertTrue(
                share(learnt, SurfacePrior.Level::bent, 1) > 0.6,
                learnt.levels().toString());
        assertTrue(
                share(learnt, SurfacePrior.Level::local, 2) > 0.6,
                learnt.levels().toString());
    }

    /** As often as they are: a share of one in four among many faces, within what chance leaves. */
    @Test
    void sharesAreFoundAsTheyAre() {
        List<Learnt.Face> mixed = new ArrayList<>(faces(only(1, 0.2, 70), 150, 4));
        mixed.addAll(faces(only(1, 1, 70), 50, 5));
        SurfacePrior learnt = Learnt.from(GENERAL, mixed);
        double straight = share(learnt, SurfacePrior.Level::bent, 0.2);
        assertEquals(
                0.75,
                straight + share(learnt, SurfacePrior.Level::bent, 0.5) / 2,
                0.12,
                learnt.levels().toString());
        assertTrue(
                share(learnt, SurfacePrior.Level::local, 1) > 0.8,
                learnt.levels().toString());
    }

    @Test
    void theLengthOverWhichTheyAreUnevenIsFound() {
        assertEquals(100, Learnt.from(GENERAL, faces(only(2, 0.2, 100), 60, 6)).length());
        assertEquals(50, Learnt.from(GENERAL, faces(only(2, 0.2, 50), 60, 7)).length());
        assertEquals(70, Learnt.from(GENERAL, faces(only(2, 0.2, 70), 60, 8)).length());
    }

    /** The general values count for ten faces: as many of the shop's own move each share half the way at the most. */
    @Test
    void generalValuesAreGivenUpSlowly() {
        SurfacePrior learnt = Learnt.from(GENERAL, faces(only(0.5, 0.2, 70), 10, 9));
        double general = share(GENERAL, SurfacePrior.Level::bent, 0.2);
        double now = share(learnt, SurfacePrior.Level::bent, 0.2);
        assertTrue(now > general && now <= (1 + general) / 2 + 1e-9, general + " to " + now);
    }
}
