package homalon.app.foundation.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every page leads to the help that is about it, and the help is the document's own words. */
@ExtendWith(RunningShop.class)
class HelpTest {
    private final Visitor ines;

    HelpTest(RunningShop.Shop shop) {
        this.ines = Visitor.signedIn(shop.port(), "ines");
    }

    @ParameterizedTest
    @CsvSource({
        "/, KEYING",
        "/parts/T-0402/face, FACE",
        "/parts/T-0402/plan, PLAN",
        "/parts/T-0402/cut, CUT",
        "/parts/T-0446/inserts, VALVES",
        "/parts/T-0446/chambers, CHAMBERS",
        "/parts/T-0402/life, ROUTE",
        "/parts/new, BOOKING",
        "/customers, BOOKING",
        "/parts/T-0402/traveller, PAPER"
    })
    void aPageLeadsToTheHelpThatIsAboutIt(String page, HelpTopic topic) {
        assertEquals(topic, HelpTopic.of(page));
        assertTrue(ines.get(page).body().contains("href=\"/help/" + topic.path() + "\""), page);
    }

    /** A section that nobody can reach is not read; a topic without a section does not start. */
    @Test
    void everySectionOfTheDocumentIsATopic() throws IOException {
        List<String> headings = Pattern.compile("(?m)^## (.*)$")
                .matcher(Files.readString(Path.of("../docs/at-the-bench.md")))
                .results()
                .map((MatchResult r) -> r.group(1))
                .toList();
        assertEquals(
                headings,
                java.util.Arrays.stream(HelpTopic.values())
                        .map(HelpTopic::heading)
                        .toList());
    }

    @Test
    void theHelpIsTheDocumentsOwnWords() {
        String keying = ines.get("/help/keying").body();
        assertTrue(keying.contains("<td><code>*</code></td>"), keying);
        assertTrue(keying.contains("<table>"), "tables are tables");
        String verdicts = ines.get("/help/face").body();
        assertTrue(verdicts.contains("<strong>Not proven yet</strong>"), verdicts);
        assertFalse(verdicts.contains("Straightedge and feelers</h"), "its own section alone");
        assertEquals(404, ines.get("/help/cats").statusCode());
    }
}
