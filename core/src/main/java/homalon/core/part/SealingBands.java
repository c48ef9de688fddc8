package homalon.core.part;

import homalon.core.geometry.Spot;
import homalon.core.input.Problems;
import homalon.core.quantity.Length;
import java.util.Optional;

/**
 * Where the gasket in hand seals: rings around the bores and beads around the holes.
 *
 * @param ring width of the ring around each bore
 * @param bead width of the bead around each water hole
 * @param opening diameter from which the ring begins, where that is not the bore's edge: the gasket's own opening, or what the bore is
 *     to be bored out to; damage within it is bored away or lies open, and leaves the depth
 * @param inked in the place of the rings, where the gasket was drawn around on the face: all of the land within it seals
 */
public record SealingBands(Length ring, Length bead, Optional<Length> opening, Optional<InkedLine> inked) {
    /** General defaults: the gasket in hand decides. */
    public static final SealingBands USUAL = new SealingBands(Length.ofMm("12"), Length.ofMm("6"), Optional.empty());

    /** By widths alone. */
    public SealingBands(Length ring, Length bead, Optional<Length> opening) {
        this(ring, bead, opening, Optional.empty());
    }

    /** @throws homalon.core.input.BadInputException for bands that no gasket has */
    public SealingBands {
        Problems problems = new Problems();
        problems.require(ring.mm() >= 1 && ring.mm() <= 80, "ring", "part.ring-around-each-bore-key-a-width-from");
        problems.require(bead.mm() >= 0 && bead.mm() <= 40, "bead", "part.bead-around-each-hole-key-a-width-from");
        problems.require(
                opening.filter(o -> o.mm() < 20 || o.mm() > 600).isEmpty(),
                "opening",
                "part.opening-key-a-diameter-from-20-to-600");
        problems.throwIfAny();
    }

    /** True where the gasket seals; the place is on the land. */
    public boolean seals(Layout layout, Spot spot) {
        if (inked.isPresent() ? inked.get().encloses(spot) && !boredAway(layout, spot) : inRing(layout, spot)) {
            return true;
        }
        return !boredAway(layout, spot)
                && layout.waterHoles().stream()
                        .anyMatch(h -> h.centre().distance(spot) <= h.diameter() / 2 + bead.mm());
    }

    /** True where a place that was read says nothing of the depth: bored away, or beyond the line that was inked. */
    public boolean leavesOut(Layout layout, Spot spot) {
        return boredAway(layout, spot) || (inked.isPresent() && !seals(layout, spot));
    }

    private boolean inRing(Layout layout, Spot spot) {
        return layout.bores().stream().anyMatch(b -> {
            double from = b.centre().distance(spot) - begins(b);
            return from <= ring.mm() && from >= -1e-9;
        });
    }

    /** True where the opening takes the metal, or leaves it open to the cylinder. */
    public boolean boredAway(Layout layout, Spot spot) {
        return layout.bores().stream().anyMatch(b -> b.centre().distance(spot) < begins(b) - 1e-9);
    }

    private double begins(Layout.Bore bore) {
        return Math.max(bore.diameter(), opening.map(Length::mm).orElse(0.0)) / 2;
    }
}
