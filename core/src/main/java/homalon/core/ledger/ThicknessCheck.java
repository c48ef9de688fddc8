package homalon.core.ledger;

import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;
import homalon.core.quantity.Length;
import homalon.core.rulebook.RuleBook;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Thickness before the cut less thickness after it, place by place, against what the ledger says came off there. The
 * micrometer does not know what the dial said: when they disagree, one of them is wrong, or the casting moved.
 *
 * @param places in the order of the readings after the cut; at least one
 */
public record ThicknessCheck(List<At> places) {
    /** Readings further apart than this are not of the same place, mm. */
    private static final double SAME_PLACE = 15;

    /** A thickness that was read. */
    public record Read(String name, Spot spot, Length thickness) {}

    /**
     * @param byMicrometer thickness before less after
     * @param byLedger what the passes booked there, mm
     * @param apart micrometer less ledger, mm: + when more came off than was logged
     */
    public record At(String name, Length byMicrometer, double byLedger, double apart) {}

    /**
     * @param booked off at the corners by the passes between the two readings
     * @return empty when no place was read both before and after
     */
    public static Optional<ThicknessCheck> of(List<Read> before, List<Read> after, CornerDepths booked, Box box) {
        List<At> places = new ArrayList<>();
        for (Read now : after) {
            before.stream()
                    .filter(b -> b.spot().distance(now.spot()) <= SAME_PLACE)
                    .min((a, b) -> Double.compare(
                            a.spot().distance(now.spot()), b.spot().distance(now.spot())))
                    .ifPresent(was -> {
                        Length off = was.thickness().minus(now.thickness());
                        double ledger = booked.at(box, now.spot());
                        places.add(new At(now.name(), off, ledger, off.mm() - ledger));
                    });
        }
        return places.isEmpty() ? Optional.empty() : Optional.of(new ThicknessCheck(List.copyOf(places)));
    }

    /** The place where the two disagree most. */
    public At worst() {
        At worst = places.get(0);
        for (At at : places) {
            worst = Math.abs(at.apart()) > Math.abs(worst.apart()) ? at : worst;
        }
        return worst;
    }

    /** False when micrometer and ledger are further apart somewhere than {@link RuleBook#THICKNESS_APART}. */
    public boolean agrees() {
        return Math.abs(worst().apart()) <= RuleBook.THICKNESS_APART.mm() + 1e-9;
    }
}
