package homalon.app.shop.stock;

import homalon.app.casting.part.PartPage;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.people.People;
import homalon.app.foundation.words.Words;
import homalon.core.bench.Awaited;
import homalon.core.bench.PromiseCheck;
import homalon.core.input.BadInputException;
import homalon.core.quantity.DayForm;
import homalon.core.route.Operation;
import homalon.core.sim.SimulatedSupplier.Answer;
import homalon.core.visit.PartFile;
import jakarta.validation.Valid;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What a job needs, what was ordered for it, what has come. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class PartsListController {

    private final NeedSource needs;
    private final Catalogue catalogue;
    private final Orders orders;
    private final WaitsOnParts waits;
    private final Quotes quotes;
    private final People people;
    private final Clock clock;

    /**
     * What is needed as the page shows it.
     *
     * @param missing pieces neither ordered nor arrived
     * @param shelf on the shop's own shelf
     * @param quote what the supplier said; empty before it was asked
     */
    record Needed(
            String code,
            String words,
            String where,
            int quantity,
            int missing,
            int shelf,
            Operation operation,
            String quote,
            String promised) {}

    /** @param state in words */
    record Ordered(UUID id, String code, String words, int left, String state, String by, boolean open, String style) {}

    @GetMapping("/parts/{tag}/parts-list")
    String page(PartPage page) {
        return page.read(() -> {
            show(page, List.of());
            return "shop/stock/parts-list";
        });
    }

    private void show(PartPage page, List<Quotes.Quote> quoted) {
        PartFile part = page.part();
        List<Orders.Order> ordered = orders.of(part);
        Map<UUID, String> names = people.names();
        page.show(
                "needed",
                needs.needs(part).stream()
                        .map(n -> needed(n, ordered, quoted, page.shell().days()))
                        .toList());
        page.show(
                "ordered",
                ordered.stream()
                        .map(o -> ordered(o, names, page.shell().days()))
                        .toList());
        page.show("waiting", waits.waiting(part));
        page.show(
                "tooLate",
                tooLate(part, ordered)
                        .map(c -> Words.of(c.words(), page.writer()))
                        .orElse(""));
        page.show("nothingOpen", ordered.stream().noneMatch(Orders.Order::open));
        page.show("supplier", quotes.supplier());
        page.show("asked", !quoted.isEmpty());
        page.show(
                "works",
                List.of(Operation.GUIDE_WORK, Operation.INSERT, Operation.SEAT_WORK, Operation.STITCH, Operation.CUT));
        page.frame();
    }

    /** A day that was promised and that falls before something comes. */
    private Optional<PromiseCheck> tooLate(PartFile part, List<Orders.Order> ordered) {
        List<Awaited> waits = ordered.stream()
                .filter(Orders.Order::open)
                .map(o -> o.awaited(today()))
                .toList();
        return part.visit()
                .promised()
                .map(d -> PromiseCheck.of(d, waits, Optional.empty(), today(), ZoneId.systemDefault()))
                .filter(c -> c.before().isPresent());
    }

    private Needed needed(Need n, List<Orders.Order> ordered, List<Quotes.Quote> quoted, DayForm days) {
        int had = ordered.stream()
                .filter(o -> o.code().equals(n.code()) && !o.cancelled())
                .mapToInt(Orders.Order::quantity)
                .sum();
        Optional<Quotes.Quote> quote =
                quoted.stream().filter(q -> q.code().equals(n.code())).findFirst();
        return new Needed(
                n.code(),
                n.words(),
                String.join(" ", n.where()),
                n.quantity(),
                Math.max(0, n.quantity() - had),
                catalogue.byCode(n.code()).map(Catalogue.Row::shelf).orElse(0),
                n.operation(),
                quote.map(q -> said(q, days)).orElse(""),
                quote.flatMap(Quotes.Quote::answer)
                        .map(a -> today().plusDays(a.days()).toString())
                        .orElse(""));
    }

    private String said(Quotes.Quote quote, DayForm days) {
        if (quote.answer().isEmpty()) {
            return quote.why();
        }
        Answer a = quote.answer().get();
        String price = String.format(Locale.ROOT, "%d.%02d each", a.cents() / 100, a.cents() % 100);
        return price + ", " + (a.inStock() ? a.onHand() + " in stock" : "out of stock") + ", here "
                + days.briefWithWeekday(today().plusDays(a.days()));
    }

    private Ordered ordered(Orders.Order o, Map<UUID, String> names, DayForm days) {
        String promised =
                o.promised().map(d -> ", promised " + days.briefWithWeekday(d)).orElse("");
        boolean late = o.open() && o.promised().filter(d -> d.isBefore(today())).isPresent();
        String state = o.cancelled()
                ? "cancelled"
                : !o.open()
                        ? "arrived"
                        : (o.arrived() > 0 ? o.arrived() + " of " + o.quantity() + " here" : "on its way")
                                + promised
                                + (late ? ", late" : "");
        return new Ordered(
                o.id(),
                o.code(),
                o.quantity() + " × " + o.words() + ", for "
                        + Words.of(o.operation().words()),
                o.quantity() - o.arrived(),
                state,
                names.getOrDefault(o.by(), "someone"),
                o.open(),
                o.cancelled() ? "gone" : o.open() ? late ? "out" : "" : "within");
    }

    private LocalDate today() {
        return LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/parts-list/ask")
    String ask(PartPage page) {
        List<String> codes = page.read(() -> needs.needs(page.part()).stream()
                .map(Need::code)
                .distinct()
                .limit(40)
                .toList());
        if (codes.isEmpty()) {
            throw new BadInputException("ask", "app.stock.nothing-is-needed-yet-choose-guides-and");
        }
        // Asked outside of any transaction: a slow supplier holds nothing up here.
        List<Quotes.Quote> answers = quotes.ask(codes);
        return live(page, answers);
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/parts-list/order")
    String order(PartPage page, @Valid @ModelAttribute OrderForm form) {
        String code = form.code().toUpperCase(Locale.ROOT);
        String what = catalogue.byCode(code).map(r -> r.item().words()).orElse(form.words());
        if (what.isEmpty()) {
            throw new BadInputException(
                    "words",
                    code.isEmpty()
                            ? "app.stock.say-what-to-order-its-code-or-in-words"
                            : "app.stock.that-code-is-not-on-the-shops-list-say");
        }
        Need need = new Need(code, what, pieces(form.quantity()), form.operation(), List.of());
        Optional<LocalDate> promised = day(form.promised());
        orders.order(page.part(), page.lineId(), need, promised, page.me());
        if (form.waits().equals("true")) {
            waits.on(page.part(), need, promised, page.me());
        }
        return live(page, List.of());
    }

    /** What lies on the shop's own shelf is not ordered: it is taken, and the shelf holds less. */
    @ToMachinists
    @PostMapping("/parts/{tag}/parts-list/take")
    String take(
            PartPage page,
            @RequestParam String code,
            @RequestParam(defaultValue = "") String quantity,
            @RequestParam Operation operation) {
        orders.takeFromShelf(page.part(), page.lineId(), code.strip(), pieces(quantity), operation, page.me());
        return live(page, List.of());
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/parts-list/go-on")
    String goOn(PartPage page) {
        waits.end(page.part(), page.me());
        return live(page, List.of());
    }

    private static int pieces(String typed) {
        String tidy = typed.strip();
        if (!tidy.matches("[0-9]{1,3}")) {
            throw new BadInputException("quantity", "app.stock.quantity-key-a-number-of-pieces-such-as");
        }
        return Integer.parseInt(tidy);
    }

    private static Optional<LocalDate> day(String typed) {
        if (typed.isBlank()) {
            return Optional.empty();
        }
        try {
            return Optional.of(LocalDate.parse(typed.strip()));
        } catch (DateTimeParseException e) {
            throw new BadInputException("promised", "app.stock.promised-key-a-day-as-year-month-day-or");
        }
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/parts-list/arrived")
    String arrived(PartPage page, @RequestParam UUID order, @RequestParam(defaultValue = "") String quantity) {
        orders.arrived(page.part(), page.lineId(), order, pieces(quantity), "", page.me());
        waits.goOn(page.part(), page.me());
        return live(page, List.of());
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/parts-list/cancel")
    String cancel(PartPage page, @RequestParam UUID order, @RequestParam(defaultValue = "") String note) {
        // It still waits on parts, if it did: what was cancelled is not here.
        orders.cancel(page.part(), page.lineId(), order, note, page.me());
        return live(page, List.of());
    }

    private String live(PartPage page, List<Quotes.Quote> quoted) {
        return page.read(() -> {
            show(page, quoted);
            return "shop/stock/parts-list :: live";
        });
    }
}
