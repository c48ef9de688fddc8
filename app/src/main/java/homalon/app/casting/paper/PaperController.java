package homalon.app.casting.paper;

import homalon.app.casting.part.DoneBy;
import homalon.app.casting.part.Faces;
import homalon.app.casting.part.PartPage;
import homalon.app.foundation.drawing.FaceDrawing;
import homalon.app.foundation.drawing.RouteDrawing;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.people.People;
import homalon.app.foundation.people.Signature;
import homalon.app.foundation.reach.Reach;
import homalon.app.foundation.words.Words;
import homalon.core.route.Operation;
import homalon.core.route.Route;
import homalon.core.route.StepKind;
import homalon.core.visit.PartFile;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** The tag that is tied on and the sheet that goes along, to be printed from the browser. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class PaperController {
    private final Faces faces;
    private final Reach reach;

    private final DoneBy doneBy;
    private final People people;

    /**
     * A line of the traveller.
     *
     * @param signed who was the last at it and when; empty while nobody was: it is signed by hand
     */
    record Stop(String words, String state, boolean done, String because, String signed) {}

    @GetMapping("/parts/{tag}/tag")
    String tag(PartPage page) {
        return page.read(() -> {
            fill(page);
            return "casting/paper/tag";
        });
    }

    @GetMapping("/parts/{tag}/traveller")
    String traveller(PartPage page) {
        return page.read(() -> {
            fill(page);
            Route route = page.standing().route();
            Map<Operation, DoneBy.Hand> hands = doneBy.hands(page.part());
            Map<UUID, String> names = people.names();
            List<Stop> stops = route.steps().stream()
                    .map(s -> new Stop(
                            Words.of(s.operation().words()),
                            RouteDrawing.words(s.state()),
                            s.state() == Route.State.DONE || s.state() == Route.State.WAIVED,
                            String.join("; ", Words.of(s.because())),
                            Optional.ofNullable(hands.get(s.operation()))
                                    .map(h -> Signature.of(
                                            names, h.by(), h.at(), page.shell().days()))
                                    .orElse("")))
                    .toList();
            page.show("stops", stops);
            return "casting/paper/traveller";
        });
    }

    private void fill(PartPage page) {
        PartFile part = page.part();
        String address = reach.link("/parts/" + part.tag());
        page.show("part", part);
        page.show("qr", Qr.svg(address));
        page.show("address", address);
        page.show("thisMachineOnly", reach.thisMachineOnly());
        page.show(
                "drawing",
                FaceDrawing.of(faces.layout(part.numbers()), "paper", "Face of " + part.tag())
                        .small()
                        .svg());
        page.frame(StepKind.BOOKED);
    }
}
