package homalon.app.outcome.report;

import homalon.core.quantity.Length;
import java.math.BigDecimal;
import java.util.List;
import java.util.OptionalDouble;

/** Lengths as the record writes them: exact decimals in millimetres. */
final class RecordNumbers {
    private RecordNumbers() {}

    /** Exact, as it was measured. */
    static BigDecimal mm(Length length) {
        BigDecimal mm = BigDecimal.valueOf(length.nanometres(), 6).stripTrailingZeros();
        return mm.scale() < 0 ? mm.setScale(0) : mm;
    }

    /** To what some thousand drawn faces tell. */
    static double chance(double chance) {
        return Math.rint(chance * 10_000) / 10_000;
    }

    /** Null where it is not known. */
    static Double boxed(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }

    static List<BigDecimal> spot(double x, double y) {
        return List.of(mm(Length.roundedFromMm(x)), mm(Length.roundedFromMm(y)));
    }
}
