package homalon.app.machining.valves;

import homalon.app.casting.part.PartFile;
import homalon.app.casting.part.PartShells;
import homalon.app.foundation.web.OneRead;
import homalon.app.foundation.web.Shell;
import homalon.app.machining.cut.CutToCome;
import homalon.core.catalogue.Metal;
import homalon.core.quantity.LengthWriter;
import java.util.List;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** Shows the pages of work on valves, whole or the parts that a form has changed. */
@Component
@RequiredArgsConstructor
class WorkPages {
    private final PartShells shells;
    private final ValveFiles files;
    private final GuideViews guides;
    private final InsertViews inserts;
    private final SeatViews seats;
    private final CutToCome toCome;
    private final OneRead reading;

    /** @param valve asked for; empty for the first that is to be worked on */
    String page(PartFile part, WorkPage page, String valve, Shell shell, Model model) {
        return reading.of(() -> {
            if (files.of(part).isEmpty()) {
                return "redirect:/parts/" + part.tag() + "/valves";
            }
            show(part, page, valve, shell, model);
            return page.template();
        });
    }

    String live(PartFile part, WorkPage page, String valve, Shell shell, Model model) {
        return reading.of(() -> {
            show(part, page, valve, shell, model);
            return page.template() + " :: live";
        });
    }

    private void show(PartFile part, WorkPage page, String valve, Shell shell, Model model) {
        ValveFile file = files.require(part);
        LengthWriter writer = shell.writer();
        model.addAttribute(
                "view",
                switch (page) {
                    case GUIDES -> guides.of(file, valve, toCome.of(part), writer);
                    case INSERTS -> inserts.of(file, valve, writer);
                    case SEATS -> seats.of(file, valve, toCome.of(part), writer);
                });
        model.addAttribute(
                "metals",
                List.of(Metal.POWDER_METAL, Metal.HARD_IRON, Metal.NICKEL_COBALT, Metal.BRONZE, Metal.COPPER_ALLOY));
        model.addAttribute("head", shells.head(part, page.step(), writer));
    }
}
