package homalon.app.check.face;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.casting.part.PartVisits;
import homalon.app.casting.part.Parts;
import homalon.app.foundation.web.Keyed;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.face.PlaceProposal;
import homalon.core.geometry.Spot;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.RuleBook;
import homalon.core.surface.Learnt;
import homalon.core.surface.SurfacePrior;
import homalon.core.visit.FaceModel;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Castings that were handed over tell what the next one like them may be; what was begun before stays judged as it was. */
@ExtendWith(RunningShop.class)
class LearntFromFacesTest {
    private final RunningShop.Shop shop;
    private final HandsOfTests hands;

    LearntFromFacesTest(RunningShop.Shop shop) {
        this.shop = shop;
        this.hands = new HandsOfTests(shop);
    }

    private PartFile read(int cylinders, ToDoubleFunction<Spot> shape) {
        PartFile part = hands.book(
                "Kelp cutter, in line",
                "Kelp Row",
                "",
                "",
                LayoutNumbers.proposed(PartKind.HEAD, cylinders, Length.ofMm("84"), Length.ofMm("96")),
                Optional.empty());
        hands.read(part, SurveyKind.FACE, shape);
        return part;
    }

    /** Along one edge, and no further. */
    private PartFile edge() {
        PartFile part = hands.book(
                "Kelp cutter, in line",
                "Kelp Row",
                "",
                "",
                LayoutNumbers.proposed(PartKind.HEAD, 7, Length.ofMm("84"), Length.ofMm("96")),
                Optional.empty());
        hands.prepare(part);
        SurveyFile survey = shop.bean(SurveyStarts.class)
                .start(part, SurveyKind.FACE, PlaceProposal.Density.CLOSE, RuleBook.DEFAULT_UNCERTAINTY, hands.ines());
        List<SurveyFile.PlaceFile> along =
                survey.places().stream()
                        .collect(Collectors.groupingBy(p -> p.spot().y()))
                        .values()
                        .stream()
                        .max(Comparator.comparingInt(List::size))
                        .orElseThrow();
        assertTrue(along.size() >= 6, "as many as would tell of a face: " + along.size());
        along.forEach(p -> shop.bean(Surveys.class)
                .key(
                        part,
                        SurveyKind.FACE,
                        Keyed.sure(UUID.randomUUID(), p.id(), "0", BenchUnit.MM),
                        anyone -> "Someone",
                        hands.ines()));
        return part;
    }

    private void handOver(PartFile part) {
        shop.bean(PartVisits.class).handOver(part.id(), List.of(), "fetched as it is", hands.ines());
    }

    private FaceModel model(PartFile part) {
        return shop.bean(Findings.class).model(part, SurveyKind.FACE);
    }

    private String record(PartFile part) {
        return Visitor.signedIn(shop.port(), "ines")
                .get("/parts/" + part.tag() + "/record.json")
                .body();
    }

    private static double straight(FaceModel model) {
        return model.prior().levels().stream()
                .filter(l -> l.bent() < 0.3)
                .mapToDouble(SurfacePrior.Level::share)
                .sum();
    }

    @Test
    void fiveFacesOfACastingTellOfTheNext() {
        List<PartFile> before = new ArrayList<>();
        for (int n = 0; n < Learnt.FEWEST; n++) {
            PartFile part = read(7, s -> 0);
            assertEquals(0, model(part).prior().faces(), "as many as that are needed, and handed over");
            before.add(part);
        }
        String as = record(before.get(0));
        before.forEach(this::handOver);
        handOver(edge());
        PartFile next = read(7, s -> 0);
        assertEquals(Learnt.FEWEST, model(next).prior().faces());
        assertTrue(straight(model(next)) > straight(model(before.get(0))) + 0.05);
        String page = Visitor.signedIn(shop.port(), "ines")
                .get("/parts/" + next.tag() + "/face")
                .body();
        assertTrue(page.contains("learnt from " + Learnt.FEWEST + " faces"), page);

        PartFile first = shop.bean(Parts.class).byTag(before.get(0).tag());
        assertEquals(0, model(first).prior().faces(), "what was handed over is judged as it was");
        assertEquals(chance(as), chance(record(first)));
        assertFalse(chance(as).isEmpty());
        assertEquals(0, model(read(8, s -> 0)).prior().faces(), "another casting is not like them");
        handOver(next);
        assertEquals(Learnt.FEWEST + 1, model(read(7, s -> 0)).prior().faces());
    }

    private static String chance(String record) {
        int at = record.indexOf("\"chance\"");
        return at < 0 ? "" : record.substring(at, record.indexOf(',', at));
    }
}
