package homalon.core.sure;

import homalon.core.geometry.Box;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.surface.Surface;
import homalon.core.surface.SurfaceDraws;
import homalon.core.surface.SurfacePrior;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Where to read a face of which nothing is known yet. Wanted is what leaves least open of how far the face is from its plane: what is
 * left of that variance, summed over the land. They are chosen together, each moved to where it serves best given the
 * others, until none moves, and put in the order in which whoever stops early has read the best of them; what goes beyond a walk is the
 * best given those before it.
 */
public final class FirstPlaces {
    /** No nearer to each other, mm. */
    private static final double APART = 8;
    /** No more are chosen together. */
    private static final int TOGETHER = 16;

    private static final int ROUNDS = 8;

    private final FaceGrid grid;
    private final double noise;
    private final double[][] before;

    private FirstPlaces(FaceGrid grid, SurfacePrior prior, Points read, double noise) {
        this.grid = grid;
        this.noise = noise;
        SurfaceDraws open = Surface.given(prior, grid.ground(), read, noise, List.of())
                .over(grid.spots(), grid.alike(prior.length()));
        int m = grid.spots().size();
        this.before = new double[m][m];
        for (int i = 0; i < m; i++) {
            for (int j = 0; j <= i; j++) {
                before[i][j] = open.covariance(i, j);
                before[j][i] = before[i][j];
            }
        }
    }

    /**
     * @param count of places wanted; fewer where the face is too small for so many
     * @param noise standard uncertainty of a reading, mm
     */
    public static List<Spot> of(FaceGrid grid, SurfacePrior prior, int count, double noise) {
        Points none = Points.of(new double[0], new double[0], new double[0]);
        FirstPlaces first = new FirstPlaces(grid, prior, none, noise);
        return first.goingOn(first.together(Math.min(count, TOGETHER)), count);
    }

    /**
     * Several more at once.
     *
     * @param read places that were read, and their heights over a plane, mm
     */
    public static List<Spot> more(FaceGrid grid, SurfacePrior prior, Points read, int count, double noise) {
        return new FirstPlaces(grid, prior, read, noise).goingOn(List.of(), count);
    }

    private List<Spot> goingOn(List<Integer> begun, int count) {
        List<Integer> chosen = new ArrayList<>(begun);
        double[][] left = given(chosen);
        while (chosen.size() < count) {
            int best = best(left, chosen);
            if (best < 0) {
                break;
            }
            chosen.add(best);
            read(left, best, noise);
        }
        return chosen.stream().map(grid.spots()::get).toList();
    }

    /** From the corners and the middles of the edges on, since from just anywhere the moving ends at once. */
    private List<Integer> together(int count) {
        Box box = grid.ground().box();
        double[][] sides = {{-1, -1}, {1, 1}, {-1, 1}, {1, -1}, {0, 1}, {0, -1}};
        List<Integer> chosen = new ArrayList<>();
        for (double[] side : sides) {
            if (chosen.size() < count) {
                chosen.add(nearest(
                        new Spot(
                                box.x0() + box.width() * (1 + side[0]) / 2,
                                box.y0() + box.height() * (1 + side[1]) / 2),
                        chosen));
            }
        }
        while (chosen.size() < count) {
            chosen.add(best(given(chosen), chosen));
        }
        boolean moved = true;
        for (int round = 0; moved && round < ROUNDS; round++) {
            moved = false;
            for (int k = 0; k < count; k++) {
                List<Integer> others = new ArrayList<>(chosen);
                int was = others.remove(k);
                int better = best(given(others), others);
                chosen.set(k, better);
                moved |= better != was;
            }
        }
        return inOrder(chosen);
    }

    /** First those that tell most by themselves. */
    private List<Integer> inOrder(List<Integer> chosen) {
        List<Integer> ordered = new ArrayList<>();
        double[][] left = given(List.of());
        while (ordered.size() < chosen.size()) {
            int next = best(left, ordered, chosen);
            ordered.add(next);
            read(left, next, noise);
        }
        return ordered;
    }

    private int nearest(Spot wanted, List<Integer> chosen) {
        return IntStream.range(0, before.length)
                .filter(c -> grid.standable(c) && free(c, chosen))
                .boxed()
                .min(Comparator.comparingDouble(c -> grid.spots().get(c).distance(wanted)))
                .orElseThrow();
    }

    /** What is left once these are read. */
    private double[][] given(List<Integer> places) {
        double[][] left = new double[before.length][];
        Arrays.setAll(left, i -> before[i].clone());
        places.forEach(p -> read(left, p, noise));
        return left;
    }

    private int best(double[][] left, List<Integer> chosen) {
        return best(
                left,
                chosen,
                IntStream.range(0, left.length).filter(grid::standable).boxed().toList());
    }

    private int best(double[][] left, List<Integer> chosen, List<Integer> of) {
        int best = -1;
        double most = -1;
        for (int c : of) {
            if (!free(c, chosen)) {
                continue;
            }
            double sum = 0;
            for (double v : grid.whole().level(left[c])) {
                sum += v * v;
            }
            double settles = sum / (left[c][c] + noise * noise);
            if (settles > most) {
                most = settles;
                best = c;
            }
        }
        return best;
    }

    private boolean free(int place, List<Integer> chosen) {
        Spot spot = grid.spots().get(place);
        return chosen.stream().allMatch(c -> grid.spots().get(c).distance(spot) >= APART);
    }

    private static void read(double[][] left, int at, double noise) {
        double[] column = left[at].clone();
        double by = 1 / (column[at] + noise * noise);
        for (int i = 0; i < left.length; i++) {
            double f = column[i] * by;
            for (int j = 0; j < left.length; j++) {
                left[i][j] -= f * column[j];
            }
        }
    }
}
