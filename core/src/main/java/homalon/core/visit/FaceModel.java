package homalon.core.visit;

import homalon.core.sure.FaceGrid;
import homalon.core.surface.Learnt;
import homalon.core.surface.SurfacePrior;
import java.util.List;

/**
 * What a face is asked, and what it may be before anything is read of it.
 *
 * @param grid of its land and its limits
 * @param prior of such faces
 */
public record FaceModel(FaceGrid grid, SurfacePrior prior) {

    /**
     * What is kept of a prior with a visit, so that what is learnt later changes nothing that was judged by it.
     *
     * @param lengthMm over which such faces are uneven
     * @param levels how far they bend and how uneven they are
     * @param faces that this was learnt from; 0 for general values
     */
    public record Habit(double lengthMm, List<SurfacePrior.Level> levels, int faces) {
        public Habit {
            levels = List.copyOf(levels);
        }
    }

    /** By general values. */
    public static FaceModel general(FaceGrid grid) {
        return new FaceModel(grid, SurfacePrior.usual(grid.tightest()));
    }

    /** Every face bent as far as heads bend: what was begun while that was all that was known. */
    public static FaceModel bentAlike(FaceGrid grid) {
        return new FaceModel(grid, SurfacePrior.usual(grid.tightest()).bentAlike());
    }

    /** By what was kept. */
    public FaceModel by(Habit habit) {
        return new FaceModel(
                grid,
                prior.withLocal(habit.lengthMm(), prior.local(), habit.faces())
                        .withLevels(habit.levels(), habit.faces()));
    }

    /** By what faces like it told; as it is where those are too few. */
    public FaceModel learnt(List<Learnt.Face> faces) {
        return new FaceModel(grid, Learnt.from(prior, faces));
    }

    /** What is to be kept. */
    public Habit habit() {
        return new Habit(prior.length(), prior.levels(), prior.faces());
    }
}
