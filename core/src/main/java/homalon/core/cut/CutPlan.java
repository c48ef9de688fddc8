package homalon.core.cut;

import homalon.core.quantity.Length;
import java.util.List;

/**
 * A set-up that was chosen, with the shims it stands on and the passes that bring it down.
 *
 * @param school how the plane was chosen
 * @param shims under supports A, B, C, ...
 * @param footing where they lie and the stock from which they were taken
 * @param toClean from first touch until the sealing land is clean, rounded to the nanometre
 * @param depths that the passes were made from
 * @param passes in the order they are cut
 */
public record CutPlan(
        School school, List<Length> shims, Footing footing, Length toClean, PassPlan.Depths depths, PassPlan passes) {
    public CutPlan {
        shims = List.copyOf(shims);
    }

    /** @param dialStep steps that the machine's dial has */
    public static CutPlan of(Comparison comparison, Removal removal, PassPlan.Depths depths, Length dialStep) {
        SetUp setUp = removal.setUp();
        return new CutPlan(
                setUp.school(),
                setUp.shims().stream().map(Length::roundedFromMm).toList(),
                comparison.footing(),
                Length.roundedFromMm(setUp.toClean()),
                depths,
                PassPlan.toClean(setUp.toClean(), depths, dialStep));
    }

    /** The same set-up cut in other passes, as when it is cut together with others. */
    public CutPlan cutInPasses(PassPlan.Depths others, PassPlan list) {
        return new CutPlan(school, shims, footing, toClean, others, list);
    }
}
