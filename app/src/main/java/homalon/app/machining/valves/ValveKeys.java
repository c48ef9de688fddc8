package homalon.app.machining.valves;

import homalon.app.casting.sheets.Sheets;
import homalon.app.foundation.web.AskAgainException;
import homalon.app.foundation.web.Keyed;
import homalon.app.foundation.words.Words;
import homalon.core.input.BadInputException;
import homalon.core.part.Valve;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.quantity.Quantity;
import homalon.core.valves.Look;
import homalon.core.valves.Measure;
import homalon.core.valves.ValveJudge;
import homalon.core.valves.ValveReadings;
import homalon.core.visit.Said;
import homalon.core.visit.Sheet;
import homalon.core.visit.ValveFile;
import homalon.core.visit.ValveSetup;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.util.StringUtils;

/** Takes what was keyed of a valve, once it can stand beside the rest. */
@Service
@RequiredArgsConstructor
class ValveKeys {
    /** A size that differs by this share from the same of its neighbours asks before it is believed. */
    private static final double ODD = 0.25;

    private final Sheets sheets;

    /** @throws BadInputException for what cannot be; {@link AskAgainException} for what is odd and was not said to be sure */
    @Transactional
    void key(ValveFile file, Valve valve, Measure measure, Keyed keyed, UUID by) {
        BenchUnit unit = keyed.unit();
        Sheets.Hand hand = Sheets.Hand.of(keyed, by);
        String place = ValveFile.place(valve.key(), measure);
        sheets.ask(file.part(), Sheet.VALVES, place, hand);
        String tidy = keyed.tidy();
        if (keyed.skips()) {
            sheets.skip(file.part(), Sheet.VALVES, place, unit, hand);
            return;
        }
        if (measure == Measure.LOOKS) {
            Look.read(tidy);
            sheets.say(file.part(), Sheet.VALVES, place, Optional.empty(), tidy.replace(" ", ""), unit, hand);
            return;
        }
        Optional<Length> length = measure.isLength() ? Optional.of(length(measure, tidy, unit)) : Optional.empty();
        double value = length.map(Length::mm).orElseGet(() -> number(measure, tidy, unit));
        range(measure, value, unit);
        if (measure == Measure.FEEL && value != Math.rint(value)) {
            throw new BadInputException("typed", "app.valves.by-feel-key-1-for-no-play-to-speak-of-2");
        }
        stands(file, valve, measure, value);
        if (!keyed.sure()) {
            odd(file, valve, measure, value, unit);
        }
        // A vacuum is kept in kPa, whatever the bench has on its dial.
        String kept = length.isPresent()
                ? tidy
                : measure.unit() == Measure.Unit.KPA
                        ? BigDecimal.valueOf(value)
                                .setScale(2, RoundingMode.HALF_UP)
                                .stripTrailingZeros()
                                .toPlainString()
                        : ValveSetup.plain(tidy);
        sheets.say(file.part(), Sheet.VALVES, place, length, kept, unit, hand);
    }

    private static Length length(Measure measure, String tidy, BenchUnit unit) {
        return measure.unit() == Measure.Unit.SIZE ? Length.parseSize(tidy, unit) : Length.parse(tidy, unit);
    }

    /** @throws BadInputException for a figure that cannot stand beside the others of its valve */
    private static void stands(ValveFile file, Valve valve, Measure measure, double value) {
        Map<Measure, Double> with = new EnumMap<>(Measure.class);
        with.putAll(file.readings(valve).figures());
        with.put(measure, value);
        ValveJudge.check(new ValveReadings(with, file.readings(valve).looks()), file.book(valve));
    }

    private static double number(Measure measure, String typed, BenchUnit unit) {
        if (measure.unit() == Measure.Unit.KPA) {
            return Quantity.VACUUM
                    .read(typed, unit)
                    .orElseThrow(() -> new BadInputException("typed", "app.valves.key-the-vacuum-such-as"));
        }
        try {
            return Double.parseDouble(ValveSetup.plain(typed));
        } catch (NumberFormatException e) {
            throw new BadInputException("typed", "app.valves.key-a-number-such-as-60");
        }
    }

    private static void range(Measure m, double value, BenchUnit unit) {
        if (value < m.least() - 1e-9 || value > m.most() + 1e-9) {
            LengthWriter writer = new LengthWriter(unit);
            String range = m.isLength()
                    ? writer.size(Length.roundedFromMm(m.least())) + " to "
                            + writer.size(Length.roundedFromMm(m.most()))
                    : m.unit() == Measure.Unit.KPA
                            ? Quantity.VACUUM.number(m.least(), unit) + " to " + Quantity.VACUUM.full(m.most(), unit)
                            : Math.round(m.least()) + " to " + Math.round(m.most())
                                    + (m.unit() == Measure.Unit.SECONDS ? " s" : ", 1 no play to speak of, 2 rocks");
            throw new BadInputException(
                    "typed",
                    "app.valves.lies-between-key-it-again-with-its-unit",
                    StringUtils.capitalize(Words.of(m.words())),
                    range);
        }
    }

    /** To a hundredth of a millimetre or half a thou: an inch fraction stays what it is. */
    private static Length near(double mm, BenchUnit unit) {
        double step = unit == BenchUnit.MM ? 0.01 : 0.0127;
        return Length.roundedFromMm(Math.rint(mm / step) * step);
    }

    /** Valves of one kind are much alike. */
    private static void odd(ValveFile file, Valve valve, Measure m, double value, BenchUnit unit) {
        if (m.unit() != Measure.Unit.SIZE || m == Measure.REACH) {
            return;
        }
        OptionalDouble mean = file.valves().stream()
                .filter(v -> v.kind() == valve.kind() && !v.key().equals(valve.key()))
                .map(file::readings)
                .filter(r -> r.has(m))
                .mapToDouble(r -> r.get(m))
                .average();
        if (mean.isPresent() && Math.abs(value - mean.getAsDouble()) > ODD * mean.getAsDouble()) {
            LengthWriter writer = new LengthWriter(unit);
            throw new AskAgainException("The other " + Words.of(valve.kind().words()) + "s read about "
                    + writer.size(near(mean.getAsDouble(), unit))
                    + " here: Enter again if it is so, or key it anew.");
        }
    }

    /** What is said of a valve beside its readings; blank takes it back. */
    void say(ValveFile file, Valve valve, Said what, UUID id, String typed, BenchUnit unit, UUID by) {
        String place = ValveFile.place(valve.key(), what);
        String tidy = typed.strip();
        if (tidy.isEmpty()) {
            sheets.withdraw(file.part(), Sheet.VALVES, id, place, by);
            return;
        }
        Optional<Length> length = what.isLength() ? Optional.of(Length.parseSize(tidy, unit)) : Optional.empty();
        if (!what.isLength() && tidy.length() > 200) {
            throw new BadInputException("typed", "app.valves.that-is-too-long-to-keep-at-most-200");
        }
        sheets.say(file.part(), Sheet.VALVES, place, length, tidy, unit, Sheets.Hand.sure(id, by));
    }

    static Set<Look> looks(String typed) {
        return Look.read(typed);
    }
}
