package homalon.app.shop.instruments;

import homalon.app.foundation.web.Blanks;
import homalon.core.gauge.Instrument;
import homalon.core.gauge.InstrumentKind;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import java.util.Locale;
import java.util.OptionalInt;

/**
 * An instrument as it is keyed.
 *
 * @param amount what it is good to, by {@code known}
 * @param months blank for one without a term
 */
record InstrumentForm(
        String code, String name, InstrumentKind kind, Instrument.Known known, String amount, String months) {
    InstrumentForm {
        code = Blanks.of(code).strip().toUpperCase(Locale.ROOT);
        name = Blanks.of(name).strip();
        months = Blanks.of(months).strip();
    }

    Instrument instrument(BenchUnit unit) {
        if (kind == null) {
            throw new BadInputException("kind", "app.instruments.say-what-it-is");
        }
        return instrument(kind, unit);
    }

    /** @param of what it is, which stays */
    Instrument instrument(InstrumentKind of, BenchUnit unit) {
        return new Instrument(
                code,
                name,
                of,
                known == null ? Instrument.Known.LIMITS : known,
                GaugeFigures.read(of, amount, unit, "amount"),
                term());
    }

    private OptionalInt term() {
        if (months.isEmpty()) {
            return OptionalInt.empty();
        }
        try {
            return OptionalInt.of(Integer.parseInt(months));
        } catch (NumberFormatException e) {
            throw new BadInputException("months", "app.instruments.months-a-whole-number");
        }
    }
}
