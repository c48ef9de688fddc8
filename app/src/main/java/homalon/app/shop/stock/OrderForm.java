package homalon.app.shop.stock;

import homalon.app.foundation.web.Blanks;
import homalon.core.route.Operation;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;

/**
 * What is ordered.
 *
 * @param code on the shop's list; blank for what has none
 * @param words what it is, where its code is not on the shop's list
 * @param operation that waits for it
 * @param promised the day it was promised for; blank where none was
 * @param waits {@code true} where the casting is put with those that wait on parts
 */
record OrderForm(
        @Size(max = 20, message = LONG_CODE) String code,
        String words,
        String quantity,
        @NotNull(message = "Say which work waits for it.") Operation operation,
        String promised,
        String waits) {
    private static final String LONG_CODE = "A code is at most 20 letters long; say the rest in words.";

    OrderForm {
        code = Blanks.of(code).strip();
        words = Blanks.of(words).strip();
        quantity = Blanks.of(quantity);
        promised = Blanks.of(promised);
        waits = Blanks.of(waits);
    }
}
