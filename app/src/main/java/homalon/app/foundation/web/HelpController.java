package homalon.app.foundation.web;

import homalon.app.foundation.opened.ToEverybody;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.commonmark.Extension;
import org.commonmark.ext.gfm.tables.TablesExtension;
import org.commonmark.parser.Parser;
import org.commonmark.renderer.html.HtmlRenderer;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Help where it is needed: the section of docs/at-the-bench.md that is about a page. What is printed there is read here. */
@ToEverybody
@Controller
class HelpController {
    private static final List<Extension> TABLES = List.of(TablesExtension.create());

    private final Map<HelpTopic, String> sections = sections();

    @GetMapping("/help/{topic}")
    String help(@PathVariable String topic, Model model) {
        HelpTopic of =
                HelpTopic.byPath(topic).orElseThrow(() -> new NotHereException("There is no help of that name."));
        model.addAttribute("topic", of);
        model.addAttribute("html", sections.get(of));
        model.addAttribute("topics", HelpTopic.values());
        return "foundation/web/help";
    }

    private static Map<HelpTopic, String> sections() {
        String whole = text();
        Parser parser = Parser.builder().extensions(TABLES).build();
        // Our own words; escaped all the same, so that a sign in them is never a tag.
        HtmlRenderer renderer = HtmlRenderer.builder()
                .extensions(TABLES)
                .escapeHtml(true)
                .sanitizeUrls(true)
                .build();
        Map<HelpTopic, String> all = new EnumMap<>(HelpTopic.class);
        for (HelpTopic topic : HelpTopic.values()) {
            String heading = "\n## " + topic.heading() + "\n";
            int from = whole.indexOf(heading);
            if (from < 0) {
                throw new IllegalStateException("at-the-bench.md has no section " + topic.heading());
            }
            int to = whole.indexOf("\n## ", from + heading.length());
            String section = whole.substring(from + heading.length(), to < 0 ? whole.length() : to);
            all.put(topic, renderer.render(parser.parse(section)));
        }
        return all;
    }

    private static String text() {
        try (InputStream in = new ClassPathResource("help/at-the-bench.md").getInputStream()) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
