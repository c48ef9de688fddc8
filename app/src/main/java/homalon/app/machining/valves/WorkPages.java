package homalon.app.machining.valves;

import homalon.app.casting.part.PartPage;
import homalon.app.foundation.web.WriteTransaction;
import homalon.app.machining.cut.CutToCome;
import homalon.core.catalogue.Metal;
import homalon.core.quantity.LengthWriter;
import homalon.core.visit.PartFile;
import homalon.core.visit.Said;
import homalon.core.visit.ValveFile;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Shows the pages of work on valves, whole or the parts that a form has changed. */
@Component
@RequiredArgsConstructor
class WorkPages {
    private final ValveFiles files;
    private final GuideViews guides;
    private final InsertViews inserts;
    private final SeatViews seats;
    private final CutToCome toCome;
    private final WorkOnValves work;
    private final WriteTransaction writing;

    /** @param valve asked for; empty for the first that is to be worked on */
    String page(PartPage page, WorkPage of, String valve) {
        return page.read(() -> {
            if (files.of(page.part()).isEmpty()) {
                return "redirect:/parts/" + page.tag() + "/valves";
            }
            show(page, of, valve);
            return of.template();
        });
    }

    /** Keeps what a form says of one valve, and shows that valve. */
    String keep(PartPage page, WorkPage of, String valve, Map<Said, String> said, WorkOnValves.Check check) {
        write(page, part -> work.keep(part, page.lineId(), valve, said, page.unit(), page.me(), check));
        return live(page, of, valve);
    }

    /** Keeps what was done to one valve, or takes it back, and shows the one that is to be worked on next. */
    String done(PartPage page, WorkPage of, String valve, Map<Said, String> said) {
        write(page, part -> work.keep(part, page.lineId(), valve, said, page.unit(), page.me(), (f, v) -> {}));
        return live(page, of, "");
    }

    /** Keeps the same of others of its kind. */
    String keepForAll(
            PartPage page,
            WorkPage of,
            String valve,
            List<Said> what,
            WorkOnValves.Which which,
            WorkOnValves.Check check) {
        write(page, part -> work.keepForAll(part, page.lineId(), valve, what, which, page.unit(), page.me(), check));
        return live(page, of, valve);
    }

    private void write(PartPage page, Consumer<PartFile> change) {
        writing.of(() -> {
            change.accept(page.part());
            return page;
        });
    }

    private String live(PartPage page, WorkPage of, String valve) {
        return page.read(() -> {
            show(page, of, valve);
            return of.template() + " :: live";
        });
    }

    private void show(PartPage page, WorkPage of, String valve) {
        PartFile part = page.part();
        ValveFile file = files.require(part);
        LengthWriter writer = page.writer();
        page.show(
                "view",
                switch (of) {
                    case GUIDES -> guides.of(file, valve, toCome.of(part), writer);
                    case INSERTS -> inserts.of(file, valve, writer);
                    case SEATS -> seats.of(file, valve, toCome.of(part), writer);
                });
        page.show(
                "metals",
                List.of(Metal.POWDER_METAL, Metal.HARD_IRON, Metal.NICKEL_COBALT, Metal.BRONZE, Metal.COPPER_ALLOY));
        page.frame(of.step());
    }
}
