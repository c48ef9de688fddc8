package homalon.app.outcome.report;

import homalon.app.casting.part.PartPage;
import homalon.app.foundation.load.BigFiles;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.people.People;
import homalon.core.input.BadInputException;
import homalon.core.route.StepKind;
import java.io.IOException;
import java.io.InputStream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.ResponseBody;

/** Whether what was sealed still agrees, and whether a file is one that was handed over. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class SealController {
    private static final int MOST_FILE = 20_000_000;

    private final SealCheck seals;
    private final People people;
    private final BigFiles files;

    /** Whether record, papers and tables still agree. */
    @GetMapping("/parts/{tag}/seal")
    String seals(PartPage page) {
        page.frame(StepKind.HAND_OVER);
        page.show("found", seals.of(page.part()));
        page.show("names", people.names());
        return "outcome/report/seal";
    }

    /** Whether a file is one that was handed over; it is looked at and not kept. */
    @PostMapping("/parts/{tag}/seal/file")
    @ResponseBody
    String compare(PartPage page, InputStream in) throws IOException {
        try {
            return files.take(in, MOST_FILE, whole -> seals.paper(page.part(), whole.readAllBytes()));
        } catch (BigFiles.TooLargeException e) {
            throw new BadInputException("file", "app.report.that-is-larger-than-any-report-choose");
        }
    }
}
