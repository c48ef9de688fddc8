package homalon.core.cut;

import homalon.core.input.Problems;
import homalon.core.quantity.Length;
import java.util.List;
import java.util.Optional;

/**
 * A set-up that was chosen, with the shims it stands on and the passes that bring it down.
 *
 * @param school how the plane was chosen
 * @param shims under supports A, B, C, ...
 * @param footing where they lie and the stock from which they were taken
 * @param toClean from first touch until the sealing land is clean, rounded to the nanometre
 * @param atLeast what was wanted off in all beyond cleaning it, such as for a compression ratio; zero for nothing more
 * @param depths that the passes were made from
 * @param passes in the order they are cut
 * @param finishLast true when all but the finish pass are cut now, as a true face for other work to be done off, and the finish
 *     pass after that work
 */
public record CutPlan(
        SetUpMethod school,
        List<Length> shims,
        Supports footing,
        Length toClean,
        Length atLeast,
        PassPlan.Depths depths,
        PassPlan passes,
        boolean finishLast) {
    public CutPlan {
        shims = List.copyOf(shims);
    }

    /**
     * Down to clean and no further.
     *
     * @param dialStep steps that the machine's dial has
     */
    public static CutPlan of(Comparison comparison, Removal removal, PassPlan.Depths depths, Length dialStep) {
        return of(comparison, removal, depths, dialStep, Length.ZERO);
    }

    /**
     * @param dialStep steps that the machine's dial has
     * @param atLeast from first touch, when more than cleaning is wanted
     * @throws homalon.core.input.BadInputException for what nobody cuts
     */
    public static CutPlan of(
            Comparison comparison, Removal removal, PassPlan.Depths depths, Length dialStep, Length atLeast) {
        checked(atLeast);
        SetUp setUp = removal.setUp();
        return new CutPlan(
                setUp.school(),
                setUp.shims().stream().map(Length::roundedFromMm).toList(),
                comparison.footing(),
                Length.roundedFromMm(setUp.toClean()),
                atLeast,
                depths,
                PassPlan.toClean(Math.max(setUp.toClean(), atLeast.mm()), depths, dialStep),
                false);
    }

    /** The same, in stages: its finish pass comes last of all. */
    public CutPlan finishedLast(boolean last) {
        return new CutPlan(
                school,
                shims,
                footing,
                toClean,
                atLeast,
                depths,
                passes,
                last && passes.passes().size() > 1);
    }

    /** Depth after which other work may be done off the face; empty when it is cut in one go. */
    public Optional<Length> reference() {
        return finishLast
                ? Optional.of(passes.total()
                        .minus(passes.passes().get(passes.passes().size() - 1).depth()))
                : Optional.empty();
    }

    /**
     * The same, when it can be meant.
     *
     * @throws homalon.core.input.BadInputException for what nobody cuts
     */
    public static Length checked(Length atLeast) {
        Problems problems = new Problems();
        problems.require(
                atLeast.signum() >= 0 && atLeast.mm() <= 10, "total", "cut.at-least-off-in-all-key-0-to-10-mm-such");
        problems.throwIfAny();
        return atLeast;
    }

    /** The same set-up cut in other passes, as when it is cut together with others. */
    public CutPlan cutInPasses(PassPlan.Depths others, PassPlan list) {
        return new CutPlan(
                school,
                shims,
                footing,
                toClean,
                atLeast,
                others,
                list,
                finishLast && list.passes().size() > 1);
    }
}
