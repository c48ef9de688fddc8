package homalon.app.outcome.ask;

import homalon.app.casting.paper.PdfPress;
import homalon.app.outcome.estimate.CustomerWriter;
import homalon.app.outcome.estimate.Estimates;
import homalon.core.visit.PartFile;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** The same as the page, on paper. */
@Component
@RequiredArgsConstructor
class AskLetter {
    private final PdfPress press;
    private final Telling telling;
    private final CustomerWriter writers;

    /** @param customer to whom it is written; empty where nobody is named */
    record Letter(Told told, Shown shown, String customer, int version) {}

    byte[] of(PartFile part, Estimates.Version version) {
        return press.print(
                "outcome/ask/letter",
                "l",
                new Letter(telling.of(part), Shown.of(version, writers.of(part).days()), part.customer(), version.no()),
                part.rules().paper().sheet());
    }
}
