package homalon.app.machining.chambers;

import homalon.app.casting.part.PartPage;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.words.Words;
import homalon.core.chambers.EngineItem;
import homalon.core.cut.FaceNeed;
import homalon.core.cut.Outlook;
import homalon.core.cut.OutlookQuestion;
import homalon.core.cut.WhatIf;
import homalon.core.cut.Wish;
import homalon.core.input.BadInputException;
import homalon.core.input.RefusedInputException;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.visit.ChamberFile;
import homalon.core.visit.PartFile;
import homalon.core.words.Message;
import jakarta.servlet.http.HttpServletResponse;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;

/** What may come off, tried out: nothing is kept here, a page's address holds what is thought of. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class BudgetController {
    private final ChamberFiles files;
    private final OutlookSource outlooks;
    private final BudgetViews views;

    /** What was keyed; null for a field that was not sent. */
    record Asked(String cut, String other, String gasket, String deck, String crown, String wish, String wanted) {

        WhatIf whatIf(OutlookQuestion from, BenchUnit unit) {
            double cut = cut() == null ? from.need().map(FaceNeed::toCome).orElse(0.0) : depth("cut", cut(), unit);
            return new WhatIf(
                    cut,
                    depth("other", other(), unit),
                    length(EngineItem.GASKET, "gasket", gasket(), unit),
                    length(EngineItem.DECK, "deck", deck(), unit),
                    length(EngineItem.CROWN, "crown", crown(), unit));
        }

        private static double depth(String field, String typed, BenchUnit unit) {
            try {
                return typed == null || typed.isBlank()
                        ? 0
                        : Length.parse(typed, unit).mm();
            } catch (RefusedInputException e) {
                throw new BadInputException(field, e.sentence());
            }
        }

        private static OptionalDouble length(EngineItem item, String field, String typed, BenchUnit unit) {
            if (typed == null || typed.isBlank()) {
                return OptionalDouble.empty();
            }
            try {
                return OptionalDouble.of(item.read(typed, unit));
            } catch (BadInputException e) {
                throw new BadInputException(field, e.sentence());
            }
        }
    }

    /**
     * A field with its slider, in the reader's unit.
     *
     * @param value what is tried; empty for what stands
     * @param now what stands, in words
     * @param at where the slider is
     */
    record Slide(
            String name,
            String label,
            String value,
            String now,
            String unit,
            String least,
            String most,
            String step,
            String at) {}

    @GetMapping("/parts/{tag}/budget")
    String page(PartPage page, @ModelAttribute("asked") Asked asked, HttpServletResponse response) {
        return page.read(() -> {
            PartFile part = page.part();
            ChamberFile file = files.of(part);
            OutlookQuestion from = outlooks.question(file, WhatIf.NOTHING);
            WhatIf whatIf = WhatIf.NOTHING;
            page.show("said", null);
            page.show("wished", null);
            try {
                whatIf = asked.whatIf(from, page.unit());
                whatIf = wish(from.with(whatIf), asked, page);
                fill(from.with(whatIf), page);
            } catch (BadInputException e) {
                page.refuse(e);
                fill(from.with(WhatIf.NOTHING), page);
            }
            page.show("slides", slides(from, whatIf, page.writer()));
            page.show("wishes", Wish.Kind.values());
            page.frame();
            ChamberController.form(file, files.alike(file), page);
            return "machining/chambers/budget";
        });
    }

    private static WhatIf wish(OutlookQuestion q, Asked asked, PartPage page) {
        if (asked.wish() == null || asked.wish().isBlank()) {
            return q.whatIf();
        }
        Wish.Kind kind = kind(asked.wish());
        double wanted = kind == Wish.Kind.RATIO ? ratio(asked.wanted()) : 0;
        Wish wish = Wish.of(kind, q, wanted);
        boolean byCut = wish.whatIf().gasket().equals(q.whatIf().gasket());
        Message says = byCut ? down(wish.says(), page.unit()) : wish.says();
        page.show("wished", new Wished(wish.met(), Words.of(says, page.writer())));
        return wish.whatIf();
    }

    /** A cut that may come off is said as the field beside has it: rounded down, so that what is keyed may be had. */
    private static Message down(Message said, BenchUnit unit) {
        double step = unit.nanometres() / 1e6 / Math.pow(10, unit.decimals());
        return said.lengths(mm -> Math.floor(mm / step + 1e-6) * step);
    }

    /** What was wished for, answered. */
    record Wished(boolean met, String says) {}

    private static Wish.Kind kind(String name) {
        for (Wish.Kind k : Wish.Kind.values()) {
            if (k.name().equals(name)) {
                return k;
            }
        }
        throw new BadInputException("wish", "app.chambers.choose-one-of-what-is-offered");
    }

    private static double ratio(String typed) {
        String tidy = typed == null ? "" : typed.strip().replace(',', '.').replaceFirst("\\s*:\\s*1$", "");
        if (!tidy.matches("-?[0-9]{1,4}(\\.[0-9]{1,4})?")) {
            throw new BadInputException("wanted", "app.chambers.wanted-ratio-key-a-number-such-as-9-5");
        }
        return Double.parseDouble(tidy);
    }

    @GetMapping("/parts/{tag}/budget/live")
    String live(PartPage page, @ModelAttribute("asked") Asked asked) {
        return page.read(() -> {
            ChamberFile file = files.of(page.part());
            OutlookQuestion from = outlooks.question(file, WhatIf.NOTHING);
            fill(from.with(asked.whatIf(from, page.unit())), page);
            return "machining/chambers/budget :: live";
        });
    }

    private void fill(OutlookQuestion question, PartPage page) {
        page.show("tag", page.tag());
        page.show("view", views.of(Outlook.of(question), page.writer()));
        page.show("isHead", question.face() == PartKind.HEAD);
        page.show("cutNow", text(question.whatIf().cut(), RoundingMode.DOWN, page.writer()));
    }

    private static List<Slide> slides(OutlookQuestion from, WhatIf w, LengthWriter writer) {
        boolean head = from.face() == PartKind.HEAD;
        double need = Math.max(
                Math.max(w.cut(), w.other()), from.need().map(FaceNeed::toCome).orElse(0.0));
        double most = Math.max(1, Math.ceil(20 * need) / 10);
        String own = head ? "Off the head, from first touch" : "Off the deck, from first touch";
        String other = head ? "Off the deck too" : "Off the head too";
        List<Slide> slides = new ArrayList<>();
        slides.add(cut("cut", own, w.cut(), text(w.cut(), RoundingMode.DOWN, writer), most, writer));
        slides.add(cut("other", other, w.other(), w.other() == 0 ? "" : text(w.other(), writer), most, writer));
        double gasket = from.book().or(EngineItem.GASKET, 1);
        slides.add(length(
                "gasket",
                "Gasket, compressed",
                EngineItem.GASKET,
                w.gasket(),
                from,
                0.3,
                Math.max(3, 2 * gasket),
                writer));
        slides.add(length("deck", "Piston below the deck", EngineItem.DECK, w.deck(), from, -1, 2, writer));
        double crown = from.book().or(EngineItem.CROWN, 0);
        String tried = w.crownCc().isPresent() ? plain(w.crownCc().getAsDouble()) : "";
        slides.add(new Slide(
                "crown",
                "Crown",
                tried,
                now(from, EngineItem.CROWN, writer),
                "cc",
                plain(Math.rint(crown - 20)),
                plain(Math.rint(crown + 20)),
                "0.1",
                tried.isEmpty() ? plain(crown) : tried));
        return slides;
    }

    private static Slide cut(String name, String label, double mm, String value, double most, LengthWriter writer) {
        return new Slide(
                name,
                label,
                value,
                "0",
                writer.unit().label(),
                "0",
                text(most, writer),
                step(writer),
                text(mm, writer));
    }

    private static Slide length(
            String name,
            String label,
            EngineItem item,
            OptionalDouble tried,
            OutlookQuestion from,
            double least,
            double most,
            LengthWriter writer) {
        double at = tried.orElse(from.book().or(item, Math.max(0, least)));
        return new Slide(
                name,
                label,
                tried.isPresent() ? text(tried.getAsDouble(), writer) : "",
                now(from, item, writer),
                writer.unit().label(),
                text(Math.min(least, at), writer),
                text(Math.max(most, at), writer),
                step(writer),
                text(at, writer));
    }

    private static String step(LengthWriter writer) {
        return writer.unit() == BenchUnit.MM ? "0.01" : "0.5";
    }

    private static String now(OutlookQuestion from, EngineItem item, LengthWriter writer) {
        return from.book().has(item) ? item.written(from.book().value(item), writer.unit()) + " now" : "not keyed";
    }

    /** To a thousandth of a millimetre, as a dial shows it. */
    private static String text(double mm, LengthWriter writer) {
        return text(mm, RoundingMode.HALF_UP, writer);
    }

    private static String text(double mm, RoundingMode way, LengthWriter writer) {
        BigDecimal of = new BigDecimal(writer.exact(Length.roundedFromMm(mm)))
                .setScale(writer.unit() == BenchUnit.MM ? 3 : 2, way)
                .stripTrailingZeros();
        return (of.scale() < 0 ? of.setScale(0) : of).toPlainString();
    }

    private static String plain(double value) {
        return BigDecimal.valueOf(value).stripTrailingZeros().toPlainString();
    }
}
