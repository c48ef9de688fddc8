package homalon.app.casting.paper;

import homalon.app.casting.part.Faces;
import homalon.app.casting.part.PartFile;
import homalon.app.casting.part.PartShells;
import homalon.app.casting.part.Parts;
import homalon.app.foundation.drawing.FaceDrawing;
import homalon.app.foundation.drawing.RouteDrawing;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.reach.Reach;
import homalon.app.foundation.web.OneRead;
import homalon.app.foundation.web.Shell;
import homalon.core.route.Route;
import homalon.core.route.StepKind;
import java.util.List;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The tag that is tied on and the sheet that goes along, to be printed from the browser. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class PaperController {
    private final Parts parts;
    private final PartShells shells;
    private final Faces faces;
    private final OneRead reading;
    private final Reach reach;

    /** A line of the traveller. */
    record Stop(String words, String state, boolean done, String because) {}

    @GetMapping("/parts/{tag}/tag")
    String tag(@PathVariable String tag, Shell shell, Model model) {
        return reading.of(() -> {
            fill(parts.byTag(tag), shell, model);
            return "paper/tag";
        });
    }

    @GetMapping("/parts/{tag}/traveller")
    String traveller(@PathVariable String tag, Shell shell, Model model) {
        return reading.of(() -> {
            PartFile part = parts.byTag(tag);
            fill(part, shell, model);
            Route route = shells.standing(part, shell.writer()).route();
            List<Stop> stops = route.steps().stream()
                    .map(s -> new Stop(
                            s.operation().words(),
                            RouteDrawing.words(s.state()),
                            s.state() == Route.State.DONE || s.state() == Route.State.WAIVED,
                            String.join("; ", s.because())))
                    .toList();
            model.addAttribute("stops", stops);
            return "paper/traveller";
        });
    }

    private void fill(PartFile part, Shell shell, Model model) {
        String address = reach.link("/parts/" + part.tag());
        model.addAttribute("part", part);
        model.addAttribute("qr", Qr.svg(address));
        model.addAttribute("address", address);
        model.addAttribute("thisMachineOnly", reach.thisMachineOnly());
        model.addAttribute(
                "drawing",
                FaceDrawing.of(faces.layout(part.numbers()), "paper", "Face of " + part.tag())
                        .small()
                        .svg());
        model.addAttribute("head", shells.head(part, StepKind.BOOKED, shell.writer()));
    }
}
