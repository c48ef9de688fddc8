package homalon.app.machining.cut;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.PartPage;
import homalon.app.shop.tools.Toolbox;
import homalon.core.cut.Cutter;
import homalon.core.visit.PartFile;
import java.util.ArrayList;
import java.util.List;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What stands beside a cut: what may come off, the shop's machines and cutters, and whether it is cut with others. */
@Component
@RequiredArgsConstructor
class CutBeside {
    private final RoomSource room;
    private final CutToCome toCome;
    private final CutTogether together;
    private final Toolbox toolbox;
    private final Ledgers ledgers;

    void show(PartPage page) {
        PartFile part = page.part();
        page.show("room", room.of(part, toCome.of(part).mm(), page.writer()).orElse(null));
        page.show("together", together.ofPart(part).isPresent());
        page.show("machines", toolbox.machines());
        page.show("cutters", toolbox.cutters());
        page.show("edgesUsed", edgesUsed());
    }

    /** Which edges of the shop's cutters have cut, so that a fresh one is turned in. */
    private String edgesUsed() {
        List<String> words = new ArrayList<>();
        for (Cutter cutter : toolbox.cutters()) {
            List<String> used = ledgers.edgesUsed(cutter.name());
            if (!used.isEmpty()) {
                words.add(cutter.name() + ": edges " + String.join(", ", used) + " of " + cutter.edges() + " have cut");
            }
        }
        return String.join(" · ", words);
    }
}
