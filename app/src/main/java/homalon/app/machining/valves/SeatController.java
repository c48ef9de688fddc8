package homalon.app.machining.valves;

import homalon.app.casting.part.PartPage;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Operation;
import homalon.core.seats.SeatPlan.Way;
import homalon.core.valves.BookItem;
import homalon.core.visit.Said;
import homalon.core.visit.ValveFile;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Seats: how each is made, how deep, and what was done. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class SeatController {
    private final ValveFiles files;
    private final WorkPages pages;

    @ToMachinists
    @PostMapping("/parts/{tag}/seats/{valve}/plan")
    String plan(
            PartPage page,
            @PathVariable String valve,
            @RequestParam(defaultValue = "") String way,
            @RequestParam(defaultValue = "") String uneven,
            @RequestParam(defaultValue = "") String refaced) {
        Map<Said, String> said = new EnumMap<>(Said.class);
        said.put(Said.SEAT_WAY, way.isBlank() ? "" : named(way).name());
        said.put(Said.UNEVEN, small("uneven", uneven, page));
        said.put(Said.REFACED, small("refaced", refaced, page));
        return pages.keep(page, WorkPage.SEATS, valve, said, (f, v) -> {});
    }

    /** Made the same way at every other valve of the kind whose seat is due and has no way chosen. */
    @ToMachinists
    @PostMapping("/parts/{tag}/seats/{valve}/for-all")
    String forAll(PartPage page, @PathVariable String valve) {
        return pages.keepForAll(
                page,
                WorkPage.SEATS,
                valve,
                List.of(Said.SEAT_WAY),
                (file, v) -> file.seat(v) == ValveFile.Work.DUE
                        && file.text(v, Said.SEAT_WAY).isEmpty(),
                (f, v) -> {});
    }

    private static Way named(String way) {
        for (Way w : Way.values()) {
            if (w.name().equals(way)) {
                return w;
            }
        }
        throw new BadInputException("way", "app.valves.choose-stone-or-form-cutter");
    }

    /** A small length, so that a bare number at a thou bench is thou; kept with its unit. */
    private static String small(String field, String typed, PartPage page) {
        if (typed.isBlank()) {
            return "";
        }
        Length length = Length.parse(typed, page.unit());
        if (length.signum() < 0 || length.mm() > 5) {
            throw new BadInputException(field, "app.valves.that-lies-between-0-and-5-mm-key-it");
        }
        return typed.strip().matches(".*[a-z\"]$")
                ? typed.strip()
                : new LengthWriter(page.unit()).exact(length) + (page.unit() == BenchUnit.MM ? "" : " thou");
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/seats/{valve}/done")
    String done(
            PartPage page,
            @PathVariable String valve,
            @RequestParam(defaultValue = "") String way,
            @RequestParam(defaultValue = "") String runout) {
        page.require(Operation.SEAT_WORK);
        ValveFile file = files.require(page.part());
        if (runout.isBlank()) {
            throw new BadInputException("runout", "app.valves.key-the-runout-measured-over-the-pilot");
        }
        Length tir = Length.parse(runout, page.unit());
        double bad = file.book(file.valve(valve)).value(BookItem.RUNOUT_BAD);
        if (tir.signum() < 0 || tir.mm() > bad + 1e-9) {
            throw new BadInputException(
                    "runout",
                    "app.valves.it-does-not-run-true-and-bad-begins",
                    page.writer().full(tir),
                    page.writer().full(bad));
        }
        return pages.done(
                page,
                WorkPage.SEATS,
                valve,
                Map.of(Said.SEAT_DONE, named(way.isBlank() ? "STONE" : way).name() + " " + tir.nanometres()));
    }
}
