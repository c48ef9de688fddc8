package homalon.app.shop.settings;

import homalon.app.foundation.opened.ToOwners;
import homalon.app.foundation.people.Journal;
import homalon.app.foundation.settings.ShopSettings;
import homalon.app.foundation.web.Page;
import homalon.core.input.BadInputException;
import homalon.core.rulebook.BookDefaults;
import homalon.core.visit.BookDefaultsForm;
import java.util.List;
import java.util.Map;
import lombok.RequiredArgsConstructor;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What stands in the books of valves, engines and tests where nothing was keyed: the shop's own figures. */
@ToOwners
@Controller
@RequestMapping("/shop/settings/books")
@RequiredArgsConstructor
class BooksController {
    private final ShopSettings settings;
    private final Journal journal;

    @GetMapping
    String page(Page page) {
        BookDefaults now = settings.history().now().books();
        return page(page, BookDefaultsForm.of(now, page.unit()), List.of(), null);
    }

    private String page(
            Page page, BookDefaultsForm form, List<BadInputException.Problem> problems, @Nullable String said) {
        page.show("rows", form.rows(settings.unit(), page.unit()));
        page.show("groups", BookDefaultsForm.Group.values());
        page.show("problems", problems);
        page.show("said", said);
        return "shop/settings/books";
    }

    @PostMapping
    String keep(Page page, @RequestParam Map<String, String> given) {
        BookDefaultsForm form = new BookDefaultsForm(given);
        try {
            int changed = settings.use(form.read(settings.unit(), page.unit()), page.me());
            if (changed > 0) {
                journal.write(Journal.What.SETTINGS_CHANGED, page.me(), "limits of books");
            }
            BookDefaults now = settings.history().now().books();
            return page(
                    page,
                    BookDefaultsForm.of(now, page.unit()),
                    List.of(),
                    changed == 0
                            ? "Nothing was changed."
                            : "These stand from now on. What was handed over keeps the figures of its day.");
        } catch (BadInputException e) {
            page.unprocessable();
            return page(page, form, e.problems(), null);
        }
    }
}
