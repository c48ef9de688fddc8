package homalon.app.check.face;

import homalon.app.casting.part.PartPage;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.web.WriteTransaction;
import homalon.core.gauge.InstrumentKind;
import homalon.core.visit.SurveyKind;
import lombok.RequiredArgsConstructor;
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
