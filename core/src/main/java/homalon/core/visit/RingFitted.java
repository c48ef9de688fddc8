package homalon.core.visit;

import homalon.core.catalogue.Metal;
import homalon.core.gauge.Scale;
import homalon.core.quantity.Length;
import homalon.core.seats.PressFit;
import java.util.Optional;

/**
 * A ring that was fitted, as both were measured.
 *
 * @param hole counterbore as it stood on its gauge
 * @param ring its outside, as warm as its micrometer: what their metals differ by is less than a micrometre
 * @param at temperatures of casting and gauge; empty where they were not noted, and are taken for 20 degrees C
 */
public record RingFitted(String code, Length hole, Length ring, Optional<At> at) {
    /** Temperatures while the counterbore was measured, degrees C. */
    public record At(double casting, double gauge) {
        Scale in(Metal metal) {
            return new Scale(casting, gauge, metal.alpha() * 1e-6);
        }
    }

    /** As it was written by {@link #kept}. */
    public static RingFitted of(String kept) {
        String[] p = kept.split(" ");
        return new RingFitted(
                p[0],
                Length.ofNanometres(Long.parseLong(p[1])),
                Length.ofNanometres(Long.parseLong(p[2])),
                p.length < 5
                        ? Optional.empty()
                        : Optional.of(new At(Double.parseDouble(p[3]), Double.parseDouble(p[4]))));
    }

    public String kept() {
        return code + " " + hole.nanometres() + " " + ring.nanometres()
                + at.map(a -> " " + a.casting() + " " + a.gauge()).orElse("");
    }

    /**
     * The counterbore at 20 degrees C, mm.
     *
     * @throws homalon.core.input.BadInputException for what is no temperature of a shop
     */
    public double hole(Metal casting) {
        return at.map(a -> a.in(casting).at20(hole.mm())).orElse(hole.mm());
    }

    /** Ring less counterbore, both at 20 degrees C, mm: + holds. */
    public double press(Metal casting) {
        return ring.mm() - hole(casting);
    }

    /**
     * The press that was got, in the place of the one planned.
     *
     * @throws homalon.core.input.BadInputException for a ring that is smaller than its hole
     */
    public PressFit in(PressFit planned) {
        return planned.measured(hole(planned.asked().head()), ring.mm());
    }
}
