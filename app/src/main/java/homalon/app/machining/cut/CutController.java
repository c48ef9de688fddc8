package homalon.app.machining.cut;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.PartPage;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.core.input.BadInputException;
import homalon.core.ledger.Entry;
import homalon.core.quantity.Length;
import homalon.core.visit.PartFile;
import jakarta.validation.Valid;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The cutting log: passes, what they touched, what was looked at before the cut. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class CutController {
    private final CutPages pages;
    private final CutBeside beside;
    private final Ledgers ledgers;
    private final Paintings paintings;
    private final SetupChecks setupChecks;
    private final Cutting cutting;
    private final SeenTouched seen;

    @GetMapping("/parts/{tag}/cut")
    String cut(PartPage page) {
        return page.read(() -> {
            fill(page);
            return "machining/cut/cut";
        });
    }

    private void fill(PartPage page) {
        pages.fill(page);
        beside.show(page);
    }

    /** Logs one pass and answers with what it changes on the page. */
    @ToMachinists
    @PostMapping("/parts/{tag}/cut/readings")
    String pass(PartPage page, @Valid @ModelAttribute PassForm form) {
        cutting.pass(page.part(), form.id(), form.depth(), form.notes(), Optional.empty(), form.known(), page.me());
        fill(page);
        return "machining/cut/cut :: live";
    }

    /** Takes the last pass of this person back, as keyed wrong unless another reason is typed. */
    @ToMachinists
    @PostMapping("/parts/{tag}/cut/undo")
    String undo(PartPage page, @RequestParam(defaultValue = "keyed wrong") String why) {
        PartFile part = page.part();
        ledgers.reverseLast(part, page.lineId(), why, page.me());
        page.standAt(Integer.toString(ledgers.of(part).passes(part.visit().id()).size()));
        fill(page);
        return "machining/cut/cut :: live";
    }

    /** Clean where it must be: stop at what was taken. */
    @ToMachinists
    @PostMapping("/parts/{tag}/cut/clean")
    String clean(PartPage page, @RequestParam(defaultValue = "") String note) {
        cutting.clean(page.part(), page.lineId(), note, page.me());
        fill(page);
        return "machining/cut/cut :: live";
    }

    /** Keeps what was read over the supports, or with the clamps off or on. */
    @ToMachinists
    @PostMapping("/parts/{tag}/cut/check")
    String check(PartPage page, @RequestParam SetupChecks.Kind kind, @RequestParam List<String> read) {
        setupChecks.read(page.part(), page.lineId(), kind, read, page.unit(), page.me());
        fill(page);
        return "machining/cut/cut :: live";
    }

    /** Leaves a low spot off the sealing bands uncut, signed for. */
    @ToMachinists
    @PostMapping("/parts/{tag}/cut/leave")
    String leave(PartPage page, @RequestParam(defaultValue = "") String why) {
        seen.leave(page.part(), page.lineId(), why, page.me());
        fill(page);
        return "machining/cut/cut :: live";
    }

    /** Keeps what the last pass was seen to touch: painted cell by cell, or said in a word. */
    @ToMachinists
    @PostMapping("/parts/{tag}/cut/touched")
    String touched(
            PartPage page,
            @RequestParam(defaultValue = "") String cells,
            @RequestParam(required = false) String touched) {
        PartFile part = page.part();
        paintings.paint(
                part,
                ledgers.of(part),
                page.lineId(),
                touched == null ? Paintings.painted(cells) : seen.said(part, touched),
                page.me());
        fill(page);
        return "machining/cut/cut :: live";
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/cut/reverse")
    String reverse(PartPage page, @RequestParam UUID line, @RequestParam(defaultValue = "") String why) {
        ledgers.reverse(page.part(), page.lineId(), line, why, page.me());
        fill(page);
        return "machining/cut/cut :: live";
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/cut/opening")
    String opening(
            PartPage page,
            @RequestParam(defaultValue = "") String depth,
            @RequestParam(defaultValue = "") String sure,
            @RequestParam(defaultValue = "") String note) {
        Entry.Kind kind = Arrays.stream(Entry.Kind.values())
                .filter(k -> k.isOpening() && k.name().equals("OPENING_" + sure))
                .findFirst()
                .orElseThrow(() -> new BadInputException("sure", "app.cut.say-how-sure-the-figure-is-known"));
        Length removed =
                depth.isBlank() && kind == Entry.Kind.OPENING_UNKNOWN ? Length.ZERO : Length.parse(depth, page.unit());
        ledgers.opening(page.part(), page.lineId(), kind, removed, note, page.me());
        fill(page);
        return "machining/cut/cut :: live";
    }
}
