package homalon.app.foundation.web;

import static org.assertj.core.api.Assertions.assertThat;

import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The letters of a page are asked for at once, and under the very names that its style sheet has for them. */
@ExtendWith(RunningShop.class)
class FontsTest {
    private final Visitor visitor;

    FontsTest(RunningShop.Shop shop) {
        this.visitor = new Visitor(shop.port());
    }

    private static List<String> found(String text, String pattern) {
        return Pattern.compile(pattern)
                .matcher(text)
                .results()
                .map(m -> m.group(1))
                .toList();
    }

    @Test
    void areAskedForBeforeTheStyleSheetNamesThem() {
        String page = visitor.get("/sign-in").body();
        List<String> early = found(page, "<link rel=\"preload\"[^>]*href=\"([^\"]+)\"");
        assertThat(early).hasSize(3);
        String style = visitor.get(found(page, "<link rel=\"stylesheet\" href=\"([^\"]+)\"")
                        .get(0))
                .body();
        for (String font : early) {
            assertThat(style).contains(font.substring(font.lastIndexOf('/')));
            HttpResponse<String> answer = visitor.get(font);
            assertThat(answer.statusCode()).as(font).isEqualTo(200);
            assertThat(answer.headers().firstValue("Cache-Control").orElse("")).contains("max-age=31536000");
        }
    }
}
