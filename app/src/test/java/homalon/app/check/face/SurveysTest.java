package homalon.app.check.face;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.casting.part.Parts;
import homalon.app.casting.part.StepSource;
import homalon.app.foundation.memory.Memory;
import homalon.app.foundation.people.People;
import homalon.app.foundation.people.PersonInfo;
import homalon.app.foundation.web.Keyed;
import homalon.app.foundation.words.Words;
import homalon.app.machining.cut.Planner;
import homalon.app.machining.cut.Plans;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.cut.CutPlan;
import homalon.core.cut.PassPlan;
import homalon.core.face.PlaceProposal;
import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Step;
import homalon.core.route.StepKind;
import homalon.core.rulebook.RuleBook;
import homalon.core.visit.Booking;
import homalon.core.visit.ComparedFace;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Surveys on the real store: nothing is lost or doubled, whoever keys at the same time. */
@ExtendWith(RunningShop.class)
class SurveysTest {
    private static final AtomicInteger TAGS = new AtomicInteger(8000);

    private final RunningShop.Shop shop;
    private final Surveys surveys;
    private final SurveyPlaces places;
    private final PersonInfo ines;
    private final PersonInfo brannoc;
    private final PartFile part;

    SurveysTest(RunningShop.Shop shop) {
        this.shop = shop;
        this.surveys = shop.bean(Surveys.class);
        this.places = shop.bean(SurveyPlaces.class);
        this.ines = named("Ines");
        this.brannoc = named("Brannoc");
        LayoutNumbers numbers = LayoutNumbers.proposed(PartKind.DECK, 2, Length.ofMm("80"), Length.ofMm("92"));
        this.part = shop.bean(Parts.class)
                .book(
                        new Booking(
                                "T-" + TAGS.incrementAndGet(),
                                PartKind.DECK,
                                "Winch engine, two in line",
                                "Slipway Winches",
                                Material.CAST_IRON,
                                "",
                                numbers,
                                List.of(),
                                "",
                                "",
                                "",
                                Optional.empty()),
                        ines.id());
        shop.bean(SurveyStarts.class)
                .start(part, SurveyKind.FACE, PlaceProposal.Density.USUAL, Length.ofMm("0.002"), ines.id());
    }

    private PersonInfo named(String name) {
        return shop.bean(People.class).all().stream()
                .filter(p -> p.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private SurveyFile face() {
        return surveys.find(part, SurveyKind.FACE).orElseThrow();
    }

    private Surveys.Outcome key(UUID id, SurveyFile.PlaceFile place, String typed, long seen, PersonInfo by) {
        return surveys.key(
                part,
                SurveyKind.FACE,
                new Keyed(id, place.id().toString(), typed, BenchUnit.MM, seen, false),
                Map.of(ines.id(), "Ines", brannoc.id(), "Brannoc")::get,
                by.id());
    }

    private void readAll() {
        List<SurveyFile.PlaceFile> places = face().places();
        for (int i = 0; i < places.size(); i++) {
            key(UUID.randomUUID(), places.get(i), "0.0" + (10 + i * 7 % 60), 0, ines);
        }
    }

    private static <T> List<T> atOnce(List<Callable<T>> work) throws Exception {
        ExecutorService hands = Executors.newFixedThreadPool(work.size());
        try {
            List<T> done = new java.util.ArrayList<>();
            for (Future<T> f : hands.invokeAll(work)) {
                done.add(f.get());
            }
            return done;
        } finally {
            hands.shutdown();
        }
    }

    @Test
    void oneReadingSentManyTimesAtOnceIsStoredOnce() throws Exception {
        UUID id = UUID.randomUUID();
        SurveyFile.PlaceFile place = face().places().get(0);
        Callable<Object> send = () -> {
            try {
                return key(id, place, "0.012", 0, ines);
            } catch (org.springframework.dao.DataIntegrityViolationException e) {
                return e; // told as "not kept: look again", and the repeat after it is answered as kept
            }
        };
        atOnce(List.of(send, send, send, send, send));
        assertEquals(1, face().history().size());
        assertTrue(key(id, place, "0.012", 0, ines) instanceof Surveys.Outcome.Kept);
    }

    @Test
    void ofTwoAtOnePlaceTheLaterOneIsAsked() throws Exception {
        for (SurveyFile.PlaceFile place : face().places()) {
            List<Surveys.Outcome> outcomes = atOnce(List.of(
                    () -> key(UUID.randomUUID(), place, "0.011", 0, ines),
                    () -> key(UUID.randomUUID(), place, "0.013", 0, brannoc)));
            assertEquals(
                    1,
                    outcomes.stream()
                            .filter(o -> o instanceof Surveys.Outcome.Asks)
                            .count(),
                    "both were kept, or none");
        }
        assertEquals(face().places().size(), face().history().size());
    }

    @Test
    void whatIsTakenBackStaysInTheRecordAndUncoversWhatWasThereBefore() {
        SurveyFile.PlaceFile place = face().places().get(0);
        key(UUID.randomUUID(), place, "0.010", 0, ines);
        long seen = face().places().get(0).reading().orElseThrow().seq();
        key(UUID.randomUUID(), place, "0.020", seen, ines);
        assertEquals(Length.ofMm("0.020"), face().places().get(0).value());
        surveys.undo(part, SurveyKind.FACE, UUID.randomUUID(), ines.id());
        assertEquals(Length.ofMm("0.010"), face().places().get(0).value());
        surveys.undo(part, SurveyKind.FACE, UUID.randomUUID(), ines.id());
        assertTrue(face().places().get(0).reading().isEmpty());
        assertTrue(
                surveys.undo(part, SurveyKind.FACE, UUID.randomUUID(), ines.id())
                        .isEmpty(),
                "nothing is left");
        assertEquals(4, face().history().size());
        assertEquals(
                0,
                face().history().stream().filter(SurveyFile.ReadingFile::stands).count());
    }

    @Test
    void nobodyTakesBackWhatSomebodyElseKeyed() {
        key(UUID.randomUUID(), face().places().get(0), "0.010", 0, ines);
        assertTrue(surveys.undo(part, SurveyKind.FACE, UUID.randomUUID(), brannoc.id())
                .isEmpty());
        assertEquals(1, face().read());
    }

    @Test
    void aReadingKeepsThePlaceWhereItWasTaken() {
        SurveyFile.PlaceFile place = face().places().get(0);
        Spot aside = new Spot(place.spot().x() + 6, place.spot().y());
        key(UUID.randomUUID(), place, "0.010", 0, ines);
        assertThrows(BadInputException.class, () -> places.move(part, SurveyKind.FACE, place.id(), aside, ines.id()));
        surveys.undo(part, SurveyKind.FACE, UUID.randomUUID(), ines.id());
        UUID moved = places.move(part, SurveyKind.FACE, place.id(), aside, ines.id());
        SurveyFile after = face();
        assertEquals(place.spot(), after.dropped().get(0).spot(), "what was read and taken back was read there");
        SurveyFile.PlaceFile now = after.places().stream()
                .filter(p -> p.id().equals(moved))
                .findFirst()
                .orElseThrow();
        assertEquals(aside, now.spot());
        assertEquals(place.seq(), now.seq(), "the walk stays as it was");
        places.drop(part, SurveyKind.FACE, moved, ines.id());
        places.restore(part, SurveyKind.FACE, moved, ines.id());
        assertEquals(after.places(), face().places());
    }

    @Test
    void aPlaceMustStandOnMetalAndOfferRoom() {
        Spot inTheBore = new Spot(
                part.numbers().length().mm() / 2 - 46, part.numbers().width().mm() / 2);
        SurveyFile.PlaceFile place = face().places().get(0);
        assertThrows(
                BadInputException.class, () -> places.move(part, SurveyKind.FACE, place.id(), inTheBore, ines.id()));
        assertThrows(BadInputException.class, () -> places.add(part, SurveyKind.FACE, inTheBore, ines.id()));
        assertThrows(
                BadInputException.class,
                () -> places.add(part, SurveyKind.FACE, face().places().get(1).spot(), ines.id()));
        while (face().places().size() > PlaceProposal.FEWEST) {
            places.drop(part, SurveyKind.FACE, face().places().get(0).id(), ines.id());
        }
        assertThrows(
                BadInputException.class,
                () -> places.drop(part, SurveyKind.FACE, face().places().get(0).id(), ines.id()));
    }

    /** A plan is made from what was known; whatever changes that makes it stale. */
    @Test
    void aPlanIsStaleOnceAPlaceDoesNotSealAnyMore() {
        readAll();
        ComparedFace compared = shop.bean(Planner.class)
                .compare(part, shop.bean(Planner.class).usual(part, BenchUnit.MM))
                .orElseThrow();
        CutPlan plan = CutPlan.of(
                compared.setUps(),
                compared.setUps().removals().get(0),
                PassPlan.Depths.usual(BenchUnit.MM),
                RuleBook.dialStep(BenchUnit.MM));
        shop.bean(Plans.class).choose(part, UUID.randomUUID(), compared.survey(), plan, ines.id());
        assertEquals(Step.Mark.DONE, step(StepKind.PLAN).mark());
        places.setSealing(part, SurveyKind.FACE, face().places().get(2).id(), false, ines.id());
        assertEquals(Step.Mark.BEGUN, step(StepKind.PLAN).mark());
        assertEquals("face read since", Words.of(step(StepKind.PLAN).note()));
    }

    private Step step(StepKind kind) {
        return shop
                .bean(StepSource.class)
                .steps(List.of(part), new LengthWriter(BenchUnit.MM))
                .get(part.visit().id())
                .strip()
                .stream()
                .filter(s -> s.kind() == kind)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aPartThatIsNotSoakedMarksItsSurvey() {
        shop.bean(SurveyStarts.class)
                .start(part, SurveyKind.FACE, PlaceProposal.Density.CORNERS, Length.ofMm("0.002"), ines.id());
        Visitor visitor = Visitor.signedIn(shop.port(), "ines");
        String at = "/parts/" + part.tag() + "/face/soak";
        assertTrue(visitor.key(at, "warm", "27,5", "room", "21").body().contains("not soaked"));
        assertTrue(visitor.key(at, "warm", "22", "room", "21").body().contains("soaked"));
        assertEquals(422, visitor.key(at, "warm", "hot", "room", "21").statusCode());
        assertEquals(
                "22.0",
                surveys.find(part, SurveyKind.FACE)
                        .orElseThrow()
                        .soak()
                        .orElseThrow()
                        .part()
                        .toPlainString());
    }

    /** What is remembered after a reading is what a second instance would read from the store. */
    @Test
    void whatIsRememberedIsWhatIsStored() {
        readAll();
        SurveyFile first = face();
        UUID place = first.places().get(3).id();
        for (String typed : List.of("0.031", "/", "-0.004")) {
            surveys.key(
                    part,
                    SurveyKind.FACE,
                    Keyed.sure(UUID.randomUUID(), place, typed, BenchUnit.MM),
                    anyone -> "Someone",
                    ines.id());
        }
        SurveyFile remembered = face();
        shop.bean(Memory.class).forget();
        assertEquals(face(), remembered);
        assertEquals(first.revision() + 3, remembered.revision());
    }
}
