package homalon.app.machining.valves;

import homalon.app.casting.part.PartFile;
import homalon.app.casting.part.PartShells;
import homalon.app.casting.part.Parts;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.security.Signed;
import homalon.app.foundation.web.Shell;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Operation;
import homalon.core.seats.SeatPlan.Way;
import homalon.core.valves.BookItem;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Seats: how each is made, how deep, and what was done. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class SeatController {
    private final Parts parts;
    private final PartShells shells;
    private final ValveFiles files;
    private final WorkOnValves work;
    private final WorkPages pages;

    @ToMachinists
    @PostMapping("/parts/{tag}/seats/{valve}/plan")
    String plan(
            @PathVariable String tag,
            @PathVariable String valve,
            @RequestParam UUID id,
            @RequestParam(defaultValue = "") String way,
            @RequestParam(defaultValue = "") String uneven,
            @RequestParam(defaultValue = "") String refaced,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model) {
        Map<Said, String> said = new EnumMap<>(Said.class);
        said.put(Said.SEAT_WAY, way.isBlank() ? "" : named(way).name());
        said.put(Said.UNEVEN, small("uneven", uneven, shell));
        said.put(Said.REFACED, small("refaced", refaced, shell));
        PartFile part = work.keep(tag, id, valve, said, shell.unit(), me.id(), (f, v) -> {});
        return pages.live(part, WorkPage.SEATS, valve, shell, model);
    }

    /** Made the same way at every other valve of the kind whose seat is due and has no way chosen. */
    @ToMachinists
    @PostMapping("/parts/{tag}/seats/{valve}/for-all")
    String forAll(
            @PathVariable String tag,
            @PathVariable String valve,
            @RequestParam UUID id,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model) {
        PartFile part = work.keepForAll(
                tag,
                id,
                valve,
                List.of(Said.SEAT_WAY),
                (file, v) -> file.seat(v) == ValveFile.Work.DUE
                        && file.text(v, Said.SEAT_WAY).isEmpty(),
                shell.unit(),
                me.id(),
                (f, v) -> {});
        return pages.live(part, WorkPage.SEATS, valve, shell, model);
    }

    private static Way named(String way) {
        for (Way w : Way.values()) {
            if (w.name().equals(way)) {
                return w;
            }
        }
        throw new BadInputException("way", "Choose stone or form cutter.");
    }

    /** A small length, so that a bare number at a thou bench is thou; kept with its unit. */
    private static String small(String field, String typed, Shell shell) {
        if (typed.isBlank()) {
            return "";
        }
        Length length = Length.parse(typed, shell.unit());
        if (length.signum() < 0 || length.mm() > 5) {
            throw new BadInputException(field, "That lies between 0 and 5 mm: key it again, with its unit if need be.");
        }
        return typed.strip().matches(".*[a-z\"]$")
                ? typed.strip()
                : new LengthWriter(shell.unit()).exact(length) + (shell.unit() == BenchUnit.MM ? "" : " thou");
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/seats/{valve}/done")
    String done(
            @PathVariable String tag,
            @PathVariable String valve,
            @RequestParam UUID id,
            @RequestParam(defaultValue = "") String way,
            @RequestParam(defaultValue = "") String runout,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model) {
        PartFile of = parts.byTag(tag);
        shells.require(of, Operation.SEAT_WORK);
        ValveFile file = files.require(of);
        if (runout.isBlank()) {
            throw new BadInputException(
                    "runout", "Key the runout measured over the pilot once it was made: it is the proof.");
        }
        Length tir = Length.parse(runout, shell.unit());
        double bad = file.book(file.valve(valve)).value(BookItem.RUNOUT_BAD);
        if (tir.signum() < 0 || tir.mm() > bad + 1e-9) {
            throw new BadInputException(
                    "runout",
                    "It does not run true: " + shell.writer().full(tir) + ", and bad begins above "
                            + shell.writer().full(bad) + ". Look at the pilot and cut it again; nothing was written.");
        }
        PartFile part = work.keep(
                tag,
                id,
                valve,
                Map.of(Said.SEAT_DONE, named(way.isBlank() ? "STONE" : way).name() + " " + tir.nanometres()),
                shell.unit(),
                me.id(),
                (f, v) -> {});
        return pages.live(part, WorkPage.SEATS, "", shell, model);
    }
}
