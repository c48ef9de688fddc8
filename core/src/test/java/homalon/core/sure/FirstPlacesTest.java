package homalon.core.sure;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.face.PlaceProposal;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.part.Ground;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.FaceDefaults;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.surface.Surface;
import homalon.core.surface.SurfaceDraws;
import homalon.core.surface.SurfacePrior;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class FirstPlacesTest {
    private static final double NOISE = 0.001;
    /** Of one level: places are chosen by what is open on the average, which is what it says only where all faces are alike. */
    private static final SurfacePrior PRIOR = SurfacePrior.usual(0.02).bentAlike();

    private static Layout head(int cylinders) {
        return Layout.of(LayoutNumbers.proposed(PartKind.HEAD, cylinders, Length.ofMm("86"), Length.ofMm("94")));
    }

    private static double left(FaceGrid grid, List<Spot> places) {
        Points flat = Points.of(
                places.stream().mapToDouble(Spot::x).toArray(),
                places.stream().mapToDouble(Spot::y).toArray(),
                new double[places.size()]);
        SurfaceDraws draws =
                Surface.given(PRIOR, grid.ground(), flat, NOISE, List.of()).over(grid.spots());
        // What is left of the departures from the face's own plane: P C P for the covariance C that is left.
        int m = grid.spots().size();
        double[][] rows = new double[m][m];
        for (int i = 0; i < m; i++) {
            for (int j = 0; j < m; j++) {
                rows[i][j] = draws.covariance(i, j);
            }
            rows[i] = grid.whole().level(rows[i]);
        }
        double sum = 0;
        for (int j = 0; j < m; j++) {
            double[] column = new double[m];
            for (int i = 0; i < m; i++) {
                column[i] = rows[i][j];
            }
            sum += grid.whole().level(column)[j];
        }
        return sum;
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 4, 6})
    void leaveLessOpenThanPartsOfAFixedGrid(int cylinders) {
        Layout layout = head(cylinders);
        List<FlatnessLimit> limits = FaceDefaults.of(BenchUnit.MM).limits(cylinders);
        FaceGrid grid = FaceGrid.of(Ground.of(layout), limits);
        List<Spot> fixed = PlaceProposal.of(layout, PlaceProposal.Density.USUAL).stream()
                .map(PlaceProposal.Place::spot)
                .toList();
        List<Spot> asMany = FirstPlaces.of(grid, PRIOR, fixed.size(), NOISE);
        assertEquals(fixed.size(), asMany.size());
        assertTrue(left(grid, asMany) < 1.1 * left(grid, fixed), left(grid, asMany) + " of " + left(grid, fixed));
        int fewer = 2 * fixed.size() / 3;
        double best = Double.POSITIVE_INFINITY;
        for (int from = 0; from < 3; from++) {
            int left = from;
            List<Spot> thinned = IntStream.range(0, fixed.size())
                    .filter(i -> i % 3 != left)
                    .mapToObj(fixed::get)
                    .toList();
            best = Math.min(best, left(grid, thinned));
        }
        double chosen = left(grid, FirstPlaces.of(grid, PRIOR, fewer, NOISE));
        assertTrue(chosen < 0.9 * best, chosen + " of " + best);
    }

    /** What goes beyond a walk is the best given those before it. */
    @ParameterizedTest
    @ValueSource(ints = {17, 19})
    void theFirstOfManyAreTheFewer(int fewer) {
        FaceGrid grid =
                FaceGrid.of(Ground.of(head(4)), FaceDefaults.of(BenchUnit.MM).limits(4));
        List<Spot> many = FirstPlaces.of(grid, PRIOR, 20, NOISE);
        assertEquals(many.subList(0, fewer), FirstPlaces.of(grid, PRIOR, fewer, NOISE));
        for (int i = 0; i < many.size(); i++) {
            assertTrue(grid.standable(grid.spots().indexOf(many.get(i))));
            for (int j = 0; j < i; j++) {
                assertTrue(many.get(i).distance(many.get(j)) >= 8);
            }
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {4000})
    void aFaceHasNoMoreThanItHasRoomFor(int wanted) {
        FaceGrid grid =
                FaceGrid.of(Ground.of(head(1)), FaceDefaults.of(BenchUnit.MM).limits(1));
        int found = FirstPlaces.of(grid, PRIOR, wanted, NOISE).size();
        assertTrue(found > 20 && found <= grid.spots().size());
    }
}
