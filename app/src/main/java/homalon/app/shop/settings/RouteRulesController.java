package homalon.app.shop.settings;

import homalon.app.foundation.opened.ToOwners;
import homalon.app.foundation.people.Journal;
import homalon.app.foundation.settings.ShopSettings;
import homalon.app.foundation.web.Page;
import homalon.app.foundation.words.Words;
import homalon.core.route.RouteRules;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import lombok.RequiredArgsConstructor;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.util.StringUtils;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Which rules of the route a shop goes by: one that it lets go needs its reason. */
@ToOwners
@Controller
@RequestMapping("/shop/settings/route")
@RequiredArgsConstructor
class RouteRulesController {
    private static final int MOST_WORDS = 120;

    private final ShopSettings settings;
    private final Journal journal;

    /**
     * A rule that may go.
     *
     * @param why it was let go; empty where it holds
     */
    record Row(String name, String says, String because, String why) {}

    /** By name, in the order of the page. */
    private static Map<String, Row> rows(Map<String, String> letGo) {
        Map<String, Row> all = new LinkedHashMap<>();
        for (RouteRules.Makes m : RouteRules.MAKES) {
            if (m.mayGo()) {
                String says = Words.of(m.finding().words()) + ": "
                        + Words.of(m.operation().words());
                all.put(m.name(), row(m.name(), says, Words.of(m.because()), letGo));
            }
        }
        for (RouteRules.Order o : RouteRules.ORDER) {
            if (o.mayGo()) {
                String says = Words.of(o.before().words()) + " before "
                        + Words.of(o.after().words());
                all.put(o.name(), row(o.name(), says, Words.of(o.because()), letGo));
            }
        }
        return all;
    }

    private static Row row(String name, String says, String because, Map<String, String> letGo) {
        return new Row(name, StringUtils.capitalize(says), because, letGo.getOrDefault(name, ""));
    }

    @GetMapping
    String page(Page page) {
        return page(page, settings.history().now().letGo(), null, List.of());
    }

    private static String page(Page page, Map<String, String> letGo, @Nullable String said, List<String> tooLong) {
        page.show("rules", new ArrayList<>(rows(letGo).values()));
        page.show("said", said);
        page.show("tooLong", tooLong);
        page.show("mostWords", MOST_WORDS);
        return "shop/settings/route";
    }

    @PostMapping
    String keep(Page page, @RequestParam Map<String, String> given) {
        Map<String, String> asked = new LinkedHashMap<>();
        rows(Map.of())
                .keySet()
                .forEach(name -> asked.put(name, given.getOrDefault(name, "").strip()));
        List<String> tooLong = asked.entrySet().stream()
                .filter(e -> e.getValue().length() > MOST_WORDS)
                .map(Map.Entry::getKey)
                .toList();
        if (!tooLong.isEmpty()) {
            page.unprocessable();
            return page(page, asked, null, tooLong);
        }
        long changed = asked.entrySet().stream()
                .filter(e -> settings.letGo(e.getKey(), e.getValue(), page.me()))
                .count();
        if (changed > 0) {
            journal.write(Journal.What.SETTINGS_CHANGED, page.me(), "rules of the route");
        }
        return page(
                page,
                settings.history().now().letGo(),
                changed == 0 ? "Nothing was changed." : "Every route goes by these from now on.",
                List.of());
    }
}
