package homalon.core.ledger;

import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;
import homalon.core.quantity.Length;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * Metal off at the four corners of a face: upper front, upper rear, lower front, lower rear of its drawing, as
 * {@link homalon.core.part.Layout#corners()} lists them. None is negative.
 */
public record CornerDepths(List<Length> each) {
    public static final CornerDepths NONE = even(Length.ZERO);

    /** @throws IllegalArgumentException for other than four depths, or a negative one */
    public CornerDepths {
        each = List.copyOf(each);
        if (each.size() != 4 || each.stream().anyMatch(d -> d.signum() < 0)) {
            throw new IllegalArgumentException("four corners, none negative");
        }
    }

    /** The same everywhere, as a level cut takes it from a level face. */
    public static CornerDepths even(Length depth) {
        return new CornerDepths(Collections.nCopies(4, depth));
    }

    public CornerDepths plus(CornerDepths other) {
        List<Length> sum = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            sum.add(each.get(i).plus(other.each.get(i)));
        }
        return new CornerDepths(sum);
    }

    public Length most() {
        return Collections.max(each);
    }

    public Length least() {
        return Collections.min(each);
    }

    /** Metal off at a place of the face, straight between the corners, mm. */
    public double at(Box box, Spot spot) {
        double t = (box.u(spot.x()) + 1) / 2;
        double s = (box.v(spot.y()) + 1) / 2;
        double upper = (1 - t) * each.get(0).mm() + t * each.get(1).mm();
        double lower = (1 - t) * each.get(2).mm() + t * each.get(3).mm();
        return s * upper + (1 - s) * lower;
    }
}
