package homalon.app.shop.instruments;

import homalon.app.foundation.web.Blanks;
import homalon.core.gauge.InstrumentKind;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.quantity.Quantity;
import java.util.Locale;
import java.util.OptionalDouble;

/** Figures of instruments as they are keyed and written: lengths, and what burettes, wrenches and pressure gauges read. */
final class GaugeFigures {
    private GaugeFigures() {}

    /**
     * In mm, cc, Nm or bar.
     *
     * @param field that is named where it is none
     * @throws BadInputException when it is no such figure
     */
    static double read(InstrumentKind kind, String typed, BenchUnit unit, String field) {
        String tidy = Blanks.of(typed).strip();
        return switch (kind.reads()) {
            case LENGTH -> Length.parse(tidy, unit).mm();
            case VOLUME -> required(volume(tidy), field);
            case TORQUE -> required(Quantity.TORQUE.read(tidy, unit), field);
            case PRESSURE -> required(Quantity.PRESSURE.read(tidy, unit), field);
        };
    }

    private static OptionalDouble volume(String typed) {
        try {
            double value = Double.parseDouble(typed.toLowerCase(Locale.ROOT)
                    .replaceFirst("\\s*(cc|cm3|ml)$", "")
                    .replace(',', '.'));
            return Double.isFinite(value) ? OptionalDouble.of(value) : OptionalDouble.empty();
        } catch (NumberFormatException e) {
            return OptionalDouble.empty();
        }
    }

    private static double required(OptionalDouble value, String field) {
        return value.orElseThrow(() -> new BadInputException(field, "app.instruments.that-is-no-figure-key-a-number"));
    }

    /** With its unit. */
    static String full(InstrumentKind kind, double value, LengthWriter writer) {
        return switch (kind.reads()) {
            case LENGTH -> writer.full(value);
            case VOLUME -> String.format(Locale.ROOT, "%.2f cc", value);
            case TORQUE -> Quantity.TORQUE.full(value, writer.unit());
            case PRESSURE -> Quantity.PRESSURE.full(value, writer.unit());
        };
    }

    /** The same a digit finer: what lies between steps of the instrument. */
    static String finer(InstrumentKind kind, double value, LengthWriter writer) {
        return kind.reads() == InstrumentKind.Reads.LENGTH
                ? writer.exact(Length.ofNanometres(Math.round(value * 1e4) * 100)) + " "
                        + writer.unit().label()
                : full(kind, value, writer);
    }

    static String unit(InstrumentKind kind, BenchUnit unit) {
        return switch (kind.reads()) {
            case LENGTH -> unit.label();
            case VOLUME -> "cc";
            case TORQUE -> Quantity.TORQUE.unit(unit);
            case PRESSURE -> Quantity.PRESSURE.unit(unit);
        };
    }
}
