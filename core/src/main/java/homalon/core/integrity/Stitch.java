package homalon.core.integrity;

import homalon.core.geometry.Spot;
import homalon.core.input.Problems;
import homalon.core.verdict.Working;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.List;

/**
 * A row of tapered pins along a crack. Each overlaps its neighbour by a share of its diameter, and the end pins are centred on
 * the tips, so that the tips are drilled out: n = ceil(L / (d (1 - s))) + 1, at least 2.
 *
 * @param pins how many
 * @param pitch from pin to pin as drilled, mm: the length divided evenly
 * @param length of the crack, mm
 * @param diameter of a pin, mm
 * @param overlap least share of a diameter by which two overlap, 0 to below 1
 */
public record Stitch(int pins, double pitch, double length, double diameter, double overlap) {
    /** A general default: a third less a little, so that each pin bites into the one before it. */
    public static final double DEFAULT_OVERLAP = 0.3;

    /** @throws homalon.core.input.BadInputException for what cannot be drilled */
    public static Stitch of(double length, double diameter, double overlap) {
        Problems problems = new Problems();
        problems.require(length > 0 && length <= 1000, "length", "integrity.the-cracks-length-must-be-above-zero");
        problems.require(
                diameter >= 1 && diameter <= 25, "diameter", "integrity.a-pins-diameter-must-lie-between-1-and");
        problems.require(overlap >= 0 && overlap <= 0.9, "overlap", "integrity.the-overlap-is-a-share-of-the-diameter");
        problems.throwIfAny();
        // A length that is a whole number of pitches needs no pin more for the last bit of rounding.
        int n = Math.max(2, (int) Math.ceil(length / (diameter * (1 - overlap)) - 1e-9) + 1);
        return new Stitch(n, length / (n - 1), length, diameter, overlap);
    }

    /** Centres of the pins from one tip to the other. */
    public List<Spot> centres(Spot from, Spot to) {
        List<Spot> all = new ArrayList<>();
        for (int i = 0; i < pins; i++) {
            double t = (double) i / (pins - 1);
            all.add(new Spot(from.x() + t * (to.x() - from.x()), from.y() + t * (to.y() - from.y())));
        }
        return List.copyOf(all);
    }

    public Working working() {
        return Working.of(Message.of("integrity.pins-along-the-crack"))
                .line(Message.of("integrity.n-ceil-l-d-1-s-1-at-least-2-with-l-and"), length, diameter)
                .line(Message.of(
                        "integrity.overlap-s-n",
                        overlap,
                        overlap == DEFAULT_OVERLAP ? Message.of("integrity.a-general-default") : Message.NONE,
                        pins))
                .line(Message.of("integrity.drilled-apart-the-end-pins-on-the-tips"), pitch)
                .done();
    }
}
