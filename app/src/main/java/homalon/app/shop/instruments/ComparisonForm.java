package homalon.app.shop.instruments;

import homalon.app.foundation.web.Blanks;
import homalon.core.gauge.Compared;
import homalon.core.gauge.InstrumentKind;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.UUID;

/** A comparison as it is keyed. */
record ComparisonForm(UUID id, String on, String against, String error) {
    ComparisonForm {
        against = Blanks.of(against).strip();
        if (id == null) {
            id = UUID.randomUUID();
        }
    }

    Compared compared(InstrumentKind kind, BenchUnit unit) {
        try {
            return new Compared(
                    LocalDate.parse(Blanks.of(on).strip()), against, GaugeFigures.read(kind, error, unit, "error"));
        } catch (DateTimeParseException e) {
            throw new BadInputException("on", "app.instruments.say-on-which-day");
        }
    }
}
