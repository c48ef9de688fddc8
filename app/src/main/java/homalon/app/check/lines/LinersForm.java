package homalon.app.check.lines;

import homalon.app.foundation.web.Blanks;
import homalon.core.lines.Liners;
import homalon.core.quantity.BenchUnit;
import homalon.core.visit.LinersSetup;
import jakarta.validation.constraints.NotNull;

/** How liners are to stand, as it is keyed; a limit left blank is the usual one for such a gasket. */
record LinersForm(
        @NotNull(message = "Say how the liners are to stand: proud or flush.")
        Liners.School school,

        Liners.Held held,
        String least,
        String most,
        String aim) {
    LinersSetup setUp(BenchUnit unit) {
        Liners.Held how = held == null ? Liners.Held.LOOSE : held;
        return LinersSetup.typed(school, how, Blanks.of(least), Blanks.of(most), Blanks.of(aim), unit);
    }
}
