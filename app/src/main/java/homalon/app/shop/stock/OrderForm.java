package homalon.app.shop.stock;

import homalon.app.foundation.web.Blanks;
import homalon.core.route.Operation;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;

/**
 * What is ordered.
 *
 * @param words what it is, where its code is not on the shop's list
 * @param operation that waits for it
 * @param promised the day it was promised for; blank where none was
 */
record OrderForm(
        @NotNull(message = NO_CODE) @Pattern(regexp = "\\s*\\S.{0,19}\\s*", message = NO_CODE)
        String code,

        String words,
        String quantity,
        @NotNull(message = "Say which work waits for it.") Operation operation,
        String promised) {
    private static final String NO_CODE = "Say what to order: its code, at most 20 letters.";

    OrderForm {
        words = Blanks.of(words).strip();
        quantity = Blanks.of(quantity);
        promised = Blanks.of(promised);
    }
}
