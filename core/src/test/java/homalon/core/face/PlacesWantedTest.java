package homalon.core.face;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.part.BoltRows;
import homalon.core.part.ChamberShape;
import homalon.core.part.LandRaster;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.FaceDefaults;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.Source;
import homalon.core.verdict.Verdict;
import homalon.core.words.English;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PlacesWantedTest {
    private static final double COVER = 75;

    private static Layout layout(int cylinders, String length, String width, String bore, String spacing) {
        return Layout.of(new LayoutNumbers(
                cylinders,
                1,
                1,
                Length.ofMm(bore),
                Length.ofMm(spacing),
                Length.ofMm(length),
                Length.ofMm(width),
                BoltRows.TWO,
                Length.ofMm("11"),
                2,
                ChamberShape.ROUND,
                false));
    }

    private static final Layout FOUR = layout(4, "412", "148", "86", "96");

    private static List<FlatnessLimit> limits(int cylinders) {
        List<FlatnessLimit> all = new ArrayList<>(FaceDefaults.of(BenchUnit.MM).limits(cylinders));
        all.add(FlatnessLimit.aroundBores(Length.ofMm("0.02"), Source.MAKER));
        all.add(FlatnessLimit.along(Length.ofMm("0.05"), Source.MAKER));
        return all;
    }

    /** A face that is a plane but for a bow of 0.03 along it: within 0.05, and over 0.02 as a whole. */
    private static Points read(List<Spot> spots, double bow, double length) {
        return Points.of(
                spots.stream().mapToDouble(Spot::x).toArray(),
                spots.stream().mapToDouble(Spot::y).toArray(),
                spots.stream()
                        .mapToDouble(s -> {
                            double u = 2 * s.x() / length - 1;
                            return bow * u * u;
                        })
                        .toArray());
    }

    /** What is proposed proves every limit when it reads well: no limit is left not proven. */
    @ParameterizedTest
    @CsvSource({
        "1, 118, 110, 80, 90",
        "2, 220, 130, 84, 94",
        "3, 310, 150, 78, 92",
        "4, 412, 148, 86, 96",
        "4, 520, 230, 102, 120",
        "6, 760, 230, 110, 124",
        "8, 620, 90, 60, 72"
    })
    void theUsualPlacesAndWhatTheyLackProveEveryLimit(
            int cylinders, String length, String width, String bore, String spacing) {
        Layout layout = layout(cylinders, length, width, bore, spacing);
        List<Spot> spots = new ArrayList<>(PlaceProposal.of(layout, PlaceProposal.Density.USUAL).stream()
                .map(PlaceProposal.Place::spot)
                .toList());
        spots.addAll(PlacesWanted.missing(layout, spots, limits(cylinders), COVER));
        Points points = read(spots, 0.024, layout.box().width());
        FaceJudge.Judgement judged = FaceJudge.judge(
                points,
                spots.stream().map(Spot::toString).toList(),
                new FaceJudge.Settings(layout, limits(cylinders), COVER, 0.002));
        for (LimitVerdict v : judged.limits()) {
            assertEquals(
                    Verdict.WITHIN,
                    v.verdict(),
                    () -> v.limit().scope() + " with " + spots.size() + ": " + English.of(v.why()));
        }
        for (Spot s : spots) {
            assertTrue(LandRaster.clear(layout, s, PlaceProposal.TIP - 0.1), () -> "no metal at " + s);
        }
        for (int i = 0; i < spots.size(); i++) {
            for (int k = 0; k < i; k++) {
                assertTrue(spots.get(i).distance(spots.get(k)) > 2, "two places in one");
            }
        }
    }

    /** The usual places do not prove the squares of a face that is not flat enough as a whole; as few as it takes are asked for. */
    @Test
    void whatTheUsualPlacesLackIsTold() {
        List<Spot> usual = PlaceProposal.of(FOUR, PlaceProposal.Density.USUAL).stream()
                .map(PlaceProposal.Place::spot)
                .toList();
        List<Spot> more =
                PlacesWanted.missing(FOUR, usual, FaceDefaults.of(BenchUnit.MM).limits(4), COVER);
        assertFalse(more.isEmpty());
        assertTrue(usual.size() + more.size() <= 48, () -> usual.size() + " and " + more.size());
        // Without a limit in squares nothing is lacking.
        assertEquals(
                List.of(),
                PlacesWanted.missing(
                        FOUR, usual, List.of(FlatnessLimit.overall(Length.ofMm("0.05"), Source.MAKER)), COVER));
        List<Spot> all = new ArrayList<>(usual);
        all.addAll(more);
        assertEquals(
                List.of(),
                PlacesWanted.missing(FOUR, all, FaceDefaults.of(BenchUnit.MM).limits(4), COVER),
                "then nothing is");
    }

    /** Place by place as it is named, the limit that is open is served until it is proven. */
    @Test
    void measureNextGetsThere() {
        List<FlatnessLimit> limits = FaceDefaults.of(BenchUnit.MM).limits(4);
        List<Spot> spots = new ArrayList<>(PlaceProposal.of(FOUR, PlaceProposal.Density.USUAL).stream()
                .map(PlaceProposal.Place::spot)
                .toList());
        int asked = 0;
        Optional<Spot> next = Optional.empty();
        do {
            next.ifPresent(spots::add);
            FaceJudge.Judgement judged = FaceJudge.judge(
                    read(spots, 0.024, 412),
                    spots.stream().map(Spot::toString).toList(),
                    new FaceJudge.Settings(FOUR, limits, COVER, 0.002));
            next = judged.limits().stream()
                    .filter(v -> v.verdict() == Verdict.NOT_PROVEN)
                    .findFirst()
                    .flatMap(LimitVerdict::next);
            asked++;
        } while (next.isPresent() && asked < 60);
        assertTrue(asked < 40, "asked for " + asked);
        assertTrue(next.isEmpty(), "nothing is open");
    }

    @ParameterizedTest
    @CsvSource({"1, 0.03, 0.02", "2, 0.03, 0.02", "3, 0.05, 0.025", "4, 0.05, 0.025", "5, 0.08, 0.04", "8, 0.08, 0.04"})
    void defaultsByCylinders(int cylinders, double whole, double across) {
        List<FlatnessLimit> limits = FaceDefaults.of(BenchUnit.MM).inForce(List.of(), Optional.empty(), cylinders);
        assertEquals(whole, most(limits, FlatnessLimit.Scope.OVERALL), 1e-12);
        assertEquals(across, most(limits, FlatnessLimit.Scope.ACROSS), 1e-12);
        assertEquals(0.02, most(limits, FlatnessLimit.Scope.WINDOW), 1e-12);
    }

    /** Across follows what stands for the whole face; what somebody keyed for across stands itself. */
    @Test
    void acrossFollowsTheWhole() {
        FlatnessLimit maker = FlatnessLimit.overall(Length.ofMm("0.1"), Source.MAKER);
        assertEquals(
                0.05,
                most(
                        FaceDefaults.of(BenchUnit.MM).inForce(List.of(maker), Optional.empty(), 4),
                        FlatnessLimit.Scope.ACROSS),
                1e-12);
        FlatnessLimit across = FlatnessLimit.across(Length.ofMm("0.07"), Source.SHOP);
        assertEquals(
                0.07,
                most(
                        FaceDefaults.of(BenchUnit.MM).inForce(List.of(maker, across), Optional.empty(), 4),
                        FlatnessLimit.Scope.ACROSS),
                1e-12);
    }

    private static double most(List<FlatnessLimit> limits, FlatnessLimit.Scope scope) {
        return limits.stream()
                .filter(l -> l.scope() == scope)
                .findFirst()
                .orElseThrow()
                .most()
                .mm();
    }
}
