package homalon.app.foundation.web;

import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.UUID;

/**
 * What is keyed into a walk and sent with Enter.
 *
 * @param id made by the browser, so that a repeat stores once
 * @param place where in the walk, as the page names it
 * @param typed as typed; a slash skips the place
 * @param seen number of the last line that the hand knew at this place; 0 for none
 * @param sure true when the person was asked about the value and keyed Enter again
 */
public record Keyed(
        @NotNull(message = "That came without its number: load the page again, then key it anew.")
        UUID id,

        @NotNull(message = "That came without its place: load the page again, then key it anew.")
        String place,

        @NotNull(message = "Nothing was keyed: key what the instrument says.")
        @Size(max = MOST, message = "That is too long for a reading: key a number.")
        String typed,

        @NotNull(message = "Say the unit: MM or THOU.") BenchUnit unit,
        Long seen,
        Boolean sure) {
    /** Some fills of a burette stand in one line. */
    private static final int MOST = 120;

    /** What a page does not say of the last two: nothing was seen, and nobody is sure. */
    public Keyed {
        seen = seen == null ? Long.valueOf(0) : seen;
        sure = Blanks.of(sure);
    }

    /** Whatever stands there: nobody is asked. */
    public static Keyed sure(UUID id, UUID place, String typed, BenchUnit unit) {
        return sure(id, place.toString(), typed, unit);
    }

    /** Whatever stands there: nobody is asked. */
    public static Keyed sure(UUID id, String place, String typed, BenchUnit unit) {
        return new Keyed(id, place, typed, unit, Long.MAX_VALUE, true);
    }

    /** As typed, without the blanks around it. */
    public String tidy() {
        return typed.strip();
    }

    /** Whether the place is left out. */
    public boolean skips() {
        return tidy().equals("/");
    }

    /**
     * Where places have numbers of their own.
     *
     * @throws BadInputException when it is none
     */
    public UUID placeId() {
        try {
            return UUID.fromString(place);
        } catch (IllegalArgumentException e) {
            throw new BadInputException("place", "app.web.there-is-no-such-place-on-this-face-key");
        }
    }
}
