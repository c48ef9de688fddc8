package homalon.core.money;

import homalon.core.route.Finding;
import java.util.Optional;
import java.util.Set;

/** Whether a customer has to be asked before more work is done. */
public final class Asking {
    private Asking() {}

    /**
     * How far a casting is.
     *
     * @param looked whether all of the look is done
     * @param works whether work is open that would be paid for
     * @param metalEnds whether the face needs more than may come off it
     * @param promiseBroken whether a day that was promised cannot be kept
     */
    public record Stand(boolean looked, boolean works, boolean metalEnds, boolean promiseBroken) {
        private boolean is(AskPoint point) {
            return switch (point) {
                case LOOK -> looked;
                case METAL -> metalEnds;
                case PROMISE -> promiseBroken;
            };
        }
    }

    /**
     * @param points where this shop asks by itself
     * @param agreed what was chosen last; empty where nothing was chosen yet
     * @param before why the customer was asked up to now: at a point of the shop's it is asked once
     * @return why it is to be asked; empty where it is not
     */
    public static Optional<Finding> why(
            Set<AskPoint> points, Optional<Agreed> agreed, Set<Finding> before, Outlook now, Stand stand) {
        if (!stand.works()) {
            return Optional.empty();
        }
        if (agreed.filter(a -> a.passedBy(now)).isPresent()) {
            return Optional.of(Finding.SUM_PASSED);
        }
        return points.stream()
                .sorted()
                .filter(p -> !before.contains(p.why()))
                .filter(p -> p != AskPoint.LOOK || agreed.isEmpty())
                .filter(stand::is)
                .map(AskPoint::why)
                .findFirst();
    }
}
