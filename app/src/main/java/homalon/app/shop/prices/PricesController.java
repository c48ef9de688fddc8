package homalon.app.shop.prices;

import homalon.app.foundation.load.BigFiles;
import homalon.app.foundation.opened.ToOwners;
import homalon.app.foundation.people.Journal;
import homalon.app.foundation.people.People;
import homalon.app.foundation.web.Page;
import homalon.app.foundation.words.Words;
import homalon.core.input.BadInputException;
import homalon.core.input.RefusedInputException;
import homalon.core.money.Amounts;
import homalon.core.money.AskPoint;
import homalon.core.money.Price;
import homalon.core.money.PriceForm;
import homalon.core.money.PriceList;
import homalon.core.part.Material;
import homalon.core.route.Operation;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.BooleanSupplier;
import lombok.RequiredArgsConstructor;
import org.joda.money.CurrencyUnit;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What the shop asks, for the owner to say. */
@ToOwners
@Controller
@RequestMapping("/shop/prices")
@RequiredArgsConstructor
class PricesController {
    private static final int SHOWN = 6;

    private final PriceBook book;
    private final People people;
    private final Journal journal;
    private final BigFiles files;

    /**
     * A line of the list.
     *
     * @param castings for which it holds, in words
     * @param keyed its cells as they are keyed, by which it is taken off
     */
    record Line(String work, String castings, String per, String each, Map<String, String> keyed) {}

    @GetMapping
    String page(Page page) {
        return page(page, null, null, List.of());
    }

    private String page(
            Page page, @Nullable PriceForm keyed, @Nullable String said, List<BadInputException.Problem> problems) {
        return page.read(() -> {
            List<PriceBook.Version> versions = book.last(SHOWN);
            Optional<PriceList> now = versions.stream().findFirst().map(PriceBook.Version::list);
            page.show("own", now.isPresent());
            page.show("form", keyed != null ? keyed : now.map(PriceForm::of).orElse(PriceForm.EMPTY));
            page.show("asks", now.map(PriceList::asks).orElse(Set.of()));
            page.show("points", AskPoint.values());
            page.show("currency", now.map(l -> l.rules().currency().getCode()).orElse(""));
            page.show(
                    "currencies",
                    Amounts.currencies().stream().map(CurrencyUnit::getCode).toList());
            page.show(
                    "lines",
                    now.map(l -> l.prices().stream()
                                    .sorted(Comparator.comparing(Price::operation)
                                            .thenComparingInt(Price::from))
                                    .map(PricesController::line)
                                    .toList())
                            .orElse(List.of()));
            page.show("works", works());
            page.show("metals", Material.values());
            page.show("pers", Price.Per.values());
            page.show("most", Price.MOST_CYLINDERS);
            page.show("versions", versions(versions, page));
            page.show("said", said);
            page.show("problems", problems);
            return "shop/prices/prices";
        });
    }

    /** What costs something by itself; the look has its one price. */
    private static List<Operation> works() {
        return Arrays.stream(Operation.values())
                .filter(o -> o != Operation.CHOICE && o != Operation.HAND_OVER)
                .toList();
    }

    private static Line line(Price price) {
        List<String> cells = PriceForm.cells(price);
        Map<String, String> keyed = new LinkedHashMap<>();
        for (int i = 0; i < cells.size(); i++) {
            keyed.put(PriceForm.COLUMNS.get(i), cells.get(i));
        }
        String metal = price.metal().map(m -> Words.of(m.words())).orElse("any metal");
        String size = price.from() == 1 && price.to() == Price.MOST_CYLINDERS
                ? "any size"
                : price.from() == price.to()
                        ? (price.from() == 1 ? "1 cylinder" : price.from() + " cylinders")
                        : price.from() + " to " + price.to() + " cylinders";
        return new Line(
                Words.of(price.operation().words()),
                metal + ", " + size,
                Words.of(price.per().words()),
                Amounts.shown(price.each()),
                keyed);
    }

    private List<String> versions(List<PriceBook.Version> versions, Page page) {
        Map<UUID, String> names = people.names();
        List<String> all = new ArrayList<>();
        for (PriceBook.Version v : versions) {
            all.add(page.shell().days().brief(LocalDate.ofInstant(v.at(), ZoneId.systemDefault())) + ", "
                    + names.getOrDefault(v.by(), "somebody who left") + ": "
                    + Amounts.whole(v.list().rate()) + " an hour, "
                    + (v.list().prices().size() == 1
                            ? "1 price"
                            : v.list().prices().size() + " prices"));
        }
        return all;
    }

    private String doing(Page page, @Nullable PriceForm keyed, String done, BooleanSupplier wish) {
        try {
            boolean changed = wish.getAsBoolean();
            if (changed) {
                journal.write(Journal.What.SETTINGS_CHANGED, page.me(), "prices");
            }
            return page(page, null, changed ? done : "Nothing was changed.", List.of());
        } catch (BadInputException e) {
            page.unprocessable();
            return page(page, keyed, Words.of(e.sentence()), e.problems());
        } catch (RefusedInputException e) {
            page.unprocessable();
            return page(page, keyed, Words.of(e.sentence()), List.of());
        }
    }

    @PostMapping
    String keep(
            Page page,
            @RequestParam(defaultValue = "") String currency,
            @RequestParam(defaultValue = "") String tax,
            @RequestParam(defaultValue = "false") boolean held,
            @RequestParam(defaultValue = "") String coin,
            @RequestParam(defaultValue = "") String rate,
            @RequestParam(defaultValue = "") String least,
            @RequestParam(defaultValue = "") String look,
            @RequestParam(defaultValue = "") String margin,
            @RequestParam(defaultValue = "") Set<AskPoint> asks) {
        PriceForm form = new PriceForm(currency, tax, held, coin, rate, least, look, margin);
        return doing(
                page,
                form,
                "These stand from now on. What a customer was shown stays as it was.",
                () -> book.use(form, asks, page.me()));
    }

    private Price price(Map<String, String> given) {
        CurrencyUnit in = book.now()
                .map(v -> v.list().rules().currency())
                .orElseThrow(() -> new BadInputException("each", "app.prices.say-first-how-money-is-counted"));
        return PriceForm.price(column -> given.getOrDefault(column, "").strip(), in);
    }

    @PostMapping("/line")
    String add(Page page, @RequestParam Map<String, String> given) {
        return doing(page, null, "It is on the list.", () -> book.add(price(given), page.me()));
    }

    @PostMapping("/line/drop")
    String drop(Page page, @RequestParam Map<String, String> given) {
        return doing(page, null, "It is off the list.", () -> book.drop(price(given), page.me()));
    }

    /** A whole list or none of it, sent as it is. */
    @PostMapping(path = "/table", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    String take(Page page, HttpServletRequest request) throws IOException {
        byte[] sent = files.table(request.getInputStream());
        CurrencyUnit in = book.now()
                .map(v -> v.list().rules().currency())
                .orElseThrow(() -> new BadInputException("file", "app.prices.say-first-how-money-is-counted"));
        List<Price> prices = PricesCsv.read(sent, in);
        String taken = prices.size() == 1 ? "1 price taken in." : prices.size() + " prices taken in.";
        doing(page, null, taken, () -> book.use(prices, page.me()));
        page.show("taken", taken);
        return "shop/prices/prices :: live";
    }

    @GetMapping("/table")
    ResponseEntity<byte[]> csv(Page page) {
        String text = page.read(
                () -> PricesCsv.write(book.now().map(v -> v.list().prices()).orElse(List.of())));
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"prices.csv\"")
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .body(text.getBytes(StandardCharsets.UTF_8));
    }
}
