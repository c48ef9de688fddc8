package homalon.app.shop.instruments;

import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.opened.ToOwners;
import homalon.app.foundation.people.Journal;
import homalon.app.foundation.web.Page;
import homalon.core.gauge.Instrument;
import homalon.core.gauge.InstrumentKind;
import homalon.core.input.RefusedInputException;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The register: what there is, what each was compared with and checked against. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class InstrumentsController {
    private final Instruments instruments;
    private final InstrumentViews views;
    private final Journal journal;

    @GetMapping("/instruments")
    String list(Page page) {
        return list(page, new InstrumentForm(instruments.nextCode(), "", null, null, "", "12"));
    }

    private String list(Page page, InstrumentForm form) {
        page.show("rows", views.rows(page.writer()));
        page.show("form", form);
        page.show("kinds", InstrumentKind.values());
        page.show("knowns", Instrument.Known.values());
        return "shop/instruments/list";
    }

    @ToOwners
    @PostMapping("/instruments")
    String add(Page page, @ModelAttribute InstrumentForm form) {
        try {
            Instrument instrument = form.instrument(page.unit());
            instruments.add(instrument);
            journal.write(Journal.What.TOOLS_CHANGED, page.me(), instrument.code() + " " + instrument.name());
            return "redirect:/instruments/" + instrument.code();
        } catch (RefusedInputException e) {
            page.refuse(e);
            return list(page, form);
        }
    }

    @GetMapping("/instruments/{code}")
    String one(Page page, @PathVariable String code) {
        return page.read(() -> show(page, instruments.known(code)));
    }

    private String show(Page page, Instruments.Known known) {
        page.show("i", views.of(known, page.writer()));
        page.show("knowns", Instrument.Known.values());
        page.show("today", instruments.today());
        page.show("line", UUID.randomUUID());
        return "shop/instruments/one";
    }

    /** What may be refused in a sentence. */
    interface Wish {
        void fulfil();
    }

    String doing(Page page, String code, Wish wish) {
        Instruments.Known known = instruments.known(code);
        try {
            wish.fulfil();
            return "redirect:/instruments/" + known.instrument().code();
        } catch (RefusedInputException e) {
            page.refuse(e);
            return page.read(() -> show(page, known));
        }
    }

    @ToOwners
    @PostMapping("/instruments/{code}")
    String amend(Page page, @PathVariable String code, @ModelAttribute InstrumentForm form) {
        return doing(page, code, () -> {
            Instrument was = instruments.known(code).instrument();
            // What stands in the field as it was shown is what it was, and not what is left of it in the reader's unit.
            boolean same =
                    GaugeFigures.full(was.kind(), was.amount(), page.writer()).equals(form.amount());
            InstrumentForm amended =
                    new InstrumentForm(was.code(), form.name(), was.kind(), form.known(), form.amount(), form.months());
            Instrument read = amended.instrument(was.kind(), page.unit());
            instruments.amend(same ? read.of(was.amount()) : read);
            journal.write(Journal.What.TOOLS_CHANGED, page.me(), was.code() + " " + form.name());
        });
    }

    @ToOwners
    @PostMapping("/instruments/{code}/retire")
    String retire(Page page, @PathVariable String code, @RequestParam(defaultValue = "true") boolean retired) {
        return doing(page, code, () -> {
            instruments.retire(instruments.known(code).instrument().code(), retired);
            journal.write(
                    Journal.What.TOOLS_CHANGED, page.me(), code + (retired ? " no longer offered" : " offered again"));
        });
    }

    @ToMachinists
    @PostMapping("/instruments/{code}/comparisons")
    String compare(Page page, @PathVariable String code, @ModelAttribute ComparisonForm form) {
        return doing(page, code, () -> {
            Instrument of = instruments.known(code).instrument();
            instruments.compare(form.id(), of.code(), form.compared(of.kind(), page.unit()), page.me());
        });
    }

    @ToMachinists
    @PostMapping("/instruments/{code}/checks")
    String check(
            Page page,
            @PathVariable String code,
            @RequestParam UUID id,
            @RequestParam(defaultValue = "") String reference,
            @RequestParam(defaultValue = "") String read) {
        return doing(page, code, () -> {
            Instrument of = instruments.known(code).instrument();
            double is = GaugeFigures.read(of.kind(), reference, page.unit(), "reference");
            double said = GaugeFigures.read(of.kind(), read, page.unit(), "read");
            instruments.check(id, of.code(), is, said, page.me());
        });
    }
}
