package homalon.app.check.integrity;

import homalon.app.casting.part.Faces;
import homalon.app.casting.part.PartPage;
import homalon.app.casting.work.OwnTicks;
import homalon.app.casting.work.WorkEntry;
import homalon.app.casting.work.WorkLog;
import homalon.app.foundation.drawing.FaceDrawing;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.people.People;
import homalon.app.foundation.people.Signature;
import homalon.app.foundation.web.FormTicks;
import homalon.app.foundation.words.Words;
import homalon.core.input.BadInputException;
import homalon.core.integrity.Cleaning;
import homalon.core.integrity.CleaningMethod;
import homalon.core.integrity.SmallCheck;
import homalon.core.quantity.DayForm;
import homalon.core.route.Operation;
import homalon.core.route.StepKind;
import homalon.core.visit.PartFile;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What the casting may be cleaned with, and the small checks that go with it. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class CleanController {
    private final Faces faces;
    private final WorkLog work;
    private final OwnTicks lines;
    private final People people;

    /** A method as the page shows it. */
    record Way(CleaningMethod method, String style, String sign, String why, String caution, boolean refused) {}

    /** A small check. */
    record Tick(int key, SmallCheck check, String done, UUID entry, boolean asked) {}

    /** A cleaning that was done. */
    record Cleaned(String words, UUID entry) {}

    @GetMapping("/parts/{tag}/clean")
    String page(
            PartPage page,
            @RequestParam(name = "dirt", defaultValue = "") Set<Cleaning.Dirt> dirt,
            @RequestParam(defaultValue = "false") boolean plugs) {
        return page.read(() -> {
            show(page, FormTicks.ticks(dirt), plugs);
            return "check/integrity/clean";
        });
    }

    private void show(PartPage page, Set<Cleaning.Dirt> dirt, boolean plugs) {
        PartFile part = page.part();
        Cleaning.Asked asked = new Cleaning.Asked(part.material(), plugs, dirt);
        Map<UUID, String> names = people.names();
        List<WorkEntry> log = work.of(part);
        List<WorkEntry> cleanings = log.stream()
                .filter(e -> e.kind() == WorkEntry.Kind.DID && e.what().equals(Operation.CLEAN.name()))
                .toList();
        List<Tick> ticks =
                ticks(log, asked(cleanings, asked), names, page.shell().days());
        page.show(
                "ways",
                Cleaning.advice(asked).stream().map(CleanController::way).toList());
        page.show(
                "cleaned",
                cleanings.stream()
                        .map(e -> new Cleaned(
                                e.note() + ", " + signed(e, names, page.shell().days()), e.id()))
                        .toList());
        page.show("grit", ticks.stream().anyMatch(CleanController::grit));
        page.show("ticks", ticks);
        page.show("lines", lines.at(part, StepKind.CLEAN));
        page.show("dirts", Cleaning.Dirt.values());
        page.show("dirt", dirt);
        page.show("plugs", plugs);
        page.show(
                "drawing",
                FaceDrawing.of(faces.layout(part.numbers()), "clean", "Face of " + part.tag() + ", front at the left")
                        .svg());
        page.frame(StepKind.CLEAN);
    }

    private static boolean grit(Tick t) {
        return t.check() == SmallCheck.PASSAGES_BRUSHED && t.asked() && t.done().isEmpty();
    }

    /** What is to be looked at after every cleaning, and after those that were done. */
    private static Set<SmallCheck> asked(List<WorkEntry> cleanings, Cleaning.Asked asked) {
        Set<SmallCheck> checks = EnumSet.of(SmallCheck.DOWELS_OUT, SmallCheck.HOLES_CHASED);
        cleanings.forEach(e -> CleaningMethod.ofKept(e.note())
                .ifPresent(m -> checks.addAll(Cleaning.advice(m, asked).asks())));
        return checks;
    }

    private static List<Tick> ticks(List<WorkEntry> log, Set<SmallCheck> asked, Map<UUID, String> names, DayForm days) {
        List<Tick> ticks = new ArrayList<>();
        for (SmallCheck check : SmallCheck.values()) {
            if (check == SmallCheck.OILED_AND_BAGGED) {
                continue;
            }
            Optional<WorkEntry> done = log.stream()
                    .filter(e -> e.kind() == WorkEntry.Kind.TICKED && e.what().equals(check.name()))
                    .reduce((a, b) -> b);
            ticks.add(new Tick(
                    ticks.size() + 1,
                    check,
                    done.map(e -> signed(e, names, days)).orElse(""),
                    done.map(WorkEntry::id).orElse(null),
                    asked.contains(check)));
        }
        return ticks;
    }

    private static String signed(WorkEntry e, Map<UUID, String> names, DayForm days) {
        return Signature.of(names, e.by(), e.at(), days);
    }

    private static Way way(Cleaning.Advice a) {
        String style = a.fit().name().toLowerCase(Locale.ROOT);
        String sign = switch (a.fit()) {
            case GOOD -> "○";
            case WEAK -> "·";
            case REFUSED -> "✕";
        };
        return new Way(
                a.method(),
                style,
                sign,
                Words.of(a.why()),
                Words.of(a.method().caution()),
                a.fit() == Cleaning.Fit.REFUSED);
    }

    /** Cleaned this way; a method that harms this metal is refused here as well. */
    @ToMachinists
    @PostMapping("/parts/{tag}/clean")
    String cleaned(
            PartPage page,
            @RequestParam CleaningMethod method,
            @RequestParam(name = "dirt", defaultValue = "") Set<Cleaning.Dirt> dirt,
            @RequestParam(defaultValue = "false") boolean plugs) {
        PartFile part = page.part();
        Cleaning.Advice advice =
                Cleaning.advice(method, new Cleaning.Asked(part.material(), plugs, FormTicks.ticks(dirt)));
        if (advice.fit() == Cleaning.Fit.REFUSED) {
            throw new BadInputException("method", "app.integrity.not", method.words(), advice.why());
        }
        work.write(part, page.lineId(), WorkEntry.Kind.DID, Operation.CLEAN, method.kept(), page.me());
        return live(page, FormTicks.ticks(dirt), plugs);
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/clean/ticks")
    String tick(PartPage page, @RequestParam SmallCheck check) {
        work.write(page.part(), page.lineId(), WorkEntry.Kind.TICKED, check, "", page.me());
        return live(page, Set.of(), false);
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/clean/lines")
    String put(PartPage page, @RequestParam(defaultValue = "") String line) {
        lines.put(page.part(), page.lineId(), StepKind.CLEAN, line, page.me());
        return live(page, Set.of(), false);
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/clean/lines/tick")
    String tickLine(PartPage page, @RequestParam String line) {
        lines.tick(page.part(), page.lineId(), StepKind.CLEAN, line, page.me());
        return live(page, Set.of(), false);
    }

    @ToMachinists
    @PostMapping({"/parts/{tag}/clean/take-back", "/parts/{tag}/clean/lines/take-back"})
    String takeBack(PartPage page, @RequestParam UUID entry) {
        work.takeBack(page.part(), page.lineId(), entry, page.me());
        return live(page, Set.of(), false);
    }

    private String live(PartPage page, Set<Cleaning.Dirt> dirt, boolean plugs) {
        return page.read(() -> {
            show(page, dirt, plugs);
            return "check/integrity/clean :: live";
        });
    }
}
