package homalon.app.check.face;

import homalon.app.casting.part.PartPage;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.web.WriteTransaction;
import homalon.core.gauge.InstrumentKind;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.Quantity;
import homalon.core.rulebook.Soak;
import homalon.core.visit.SurveyKind;
import java.math.BigDecimal;
import java.util.Optional;
import java.util.OptionalDouble;
import lombok.RequiredArgsConstructor;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What a survey is read with. */
@ToMachinists
@Controller
@RequiredArgsConstructor
class ReadWithController {
    private final Surveys surveys;
    private final SurveyGauges gauges;
    private final SurveyCorrections corrections;
    private final FacePages pages;
    private final WriteTransaction writing;

    /** From now on it is in hand. */
    @PostMapping("/parts/{tag}/{kind:face|proof|thickness|thickness-after}/with")
    String take(
            PartPage page,
            @PathVariable SurveyKind kind,
            @RequestParam InstrumentKind instrument,
            @RequestParam(defaultValue = "") String code) {
        writing.of(() -> {
            gauges.take(page.part(), surveys.open(page.part(), kind), instrument, code, page.me());
            return true;
        });
        return pages.live(page, kind);
    }

    /** Its indicator stands at an angle to the face. */
    @PostMapping("/parts/{tag}/{kind:face|proof}/angle")
    String stands(PartPage page, @PathVariable SurveyKind kind, @RequestParam(defaultValue = "") String angle) {
        OptionalDouble degrees = Quantity.ANGLE.read(angle, page.unit());
        if (degrees.isEmpty()) {
            throw new BadInputException("angle", "gauge.angle-from-square-in-degrees");
        }
        writing.of(() -> {
            corrections.stands(surveys.open(page.part(), kind), degrees.getAsDouble(), page.me());
            return true;
        });
        return pages.live(page, kind);
    }

    /** How warm part and room were, and the side of the part away from the face. */
    @PostMapping("/parts/{tag}/{kind:face|proof|thickness|thickness-after}/soak")
    String soak(
            PartPage page,
            @PathVariable SurveyKind kind,
            @RequestParam(defaultValue = "") String warm,
            @RequestParam(defaultValue = "") String room,
            @RequestParam(defaultValue = "") String back,
            @RequestParam(defaultValue = "") String height) {
        Soak soak = new Soak(degrees(page, warm), degrees(page, room));
        Optional<BigDecimal> other = back.isBlank() ? Optional.empty() : Optional.of(otherSide(page, back));
        Optional<Length> high =
                height.isBlank() ? Optional.empty() : Optional.of(Length.parseSize(height, page.unit()));
        writing.of(() -> {
            corrections.warm(page.part(), surveys.open(page.part(), kind), soak, other, high, page.me());
            surveys.note(page.part(), kind, soak, page.me());
            return true;
        });
        return pages.live(page, kind);
    }

    private static BigDecimal otherSide(PartPage page, String typed) {
        BigDecimal degrees = degrees(page, typed);
        if (degrees == null) {
            throw new BadInputException("back", "gauge.back-key-the-temperature-of-the-other-side");
        }
        return degrees;
    }

    /** In °C; a bare number is what the reader chose. Nothing for what is no temperature, which is refused in its own words. */
    private static @Nullable BigDecimal degrees(PartPage page, String typed) {
        OptionalDouble celsius = Quantity.TEMPERATURE.read(page.writer().temperatureTyped(typed), BenchUnit.MM);
        return celsius.isPresent() ? BigDecimal.valueOf(Math.rint(celsius.getAsDouble() * 10) / 10) : null;
    }

    /** The first place, once more. */
    @PostMapping("/parts/{tag}/{kind:face|proof}/again")
    String again(PartPage page, @PathVariable SurveyKind kind, @RequestParam(defaultValue = "") String again) {
        writing.of(() -> {
            gauges.close(surveys.open(page.part(), kind), page.lineId(), again, page.unit(), page.me());
            return true;
        });
        return pages.live(page, kind);
    }
}
