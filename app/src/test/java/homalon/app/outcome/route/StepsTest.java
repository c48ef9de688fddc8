package homalon.app.outcome.route;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.PartHead;
import homalon.app.casting.part.Parts;
import homalon.app.casting.part.StepSource;
import homalon.app.casting.sheets.Sheets;
import homalon.app.casting.work.WorkEntry;
import homalon.app.casting.work.WorkLog;
import homalon.app.check.feelers.FeelerSurveys;
import homalon.app.check.integrity.Cracks;
import homalon.app.check.integrity.PressureTests;
import homalon.app.foundation.memory.Memory;
import homalon.app.foundation.web.Keyed;
import homalon.app.foundation.words.Words;
import homalon.app.shop.stock.Need;
import homalon.app.shop.stock.Orders;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.core.cut.SetUpMethod;
import homalon.core.face.FeelerSurvey;
import homalon.core.geometry.Spot;
import homalon.core.integrity.Crack;
import homalon.core.integrity.CrackMethod;
import homalon.core.integrity.CrackPlace;
import homalon.core.part.Material;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Operation;
import homalon.core.route.Step;
import homalon.core.visit.FeelerKind;
import homalon.core.visit.FeelerWay;
import homalon.core.visit.PartFile;
import homalon.core.visit.PlanFile;
import homalon.core.visit.Sheet;
import homalon.core.visit.SurveyKind;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where each part of the sample shop stands, as a machinist would say it. */
@ExtendWith(RunningShop.class)
class StepsTest {
    private final RunningShop.Shop shop;

    StepsTest(RunningShop.Shop shop) {
        this.shop = shop;
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "T-0407; DONE DONE DONE DONE DONE DONE DONE DUE; Hand over",
                "T-0409; DONE DONE DONE DONE DONE BEGUN WAITS WAITS; Cut on: pass 3 of 4",
                "T-0415; DONE DONE DONE DONE DUE WAITS WAITS WAITS; Plan the cut",
                "T-0406; DONE DONE DONE DONE DUE WAITS WAITS WAITS; Plan the cut",
                "T-0419; DONE DUE WAITS DUE DUE WAITS WAITS WAITS WAITS; Clean it",
                "T-0440; DONE DONE DONE DONE DUE DONE DONE DONE DONE WAITS; Pressure test",
                "T-0441; DONE DONE WAITS DUE WAITS WAITS WAITS WAITS WAITS WAITS; Straighten",
                "T-0388; DONE DONE DONE DONE DONE DONE DONE DONE; ''"
            })
    void theNextStepIsTheFirstThatIsNotDone(String tag, String marks, String todo) {
        PartFile part = shop.bean(Parts.class).byTag(tag);
        List<Step> steps = shop.bean(StepSource.class)
                .steps(List.of(part), new LengthWriter(BenchUnit.MM))
                .get(part.visit().id())
                .strip();
        assertEquals(marks, steps.stream().map(s -> s.mark().name()).collect(Collectors.joining(" ")));
        assertEquals(todo, Words.of(PartHead.next(steps).todo()));
    }

    /** Whoever adds a line that a step rests on, and forgets it in the stamp, shows yesterday's steps: this is where it is seen. */
    @Test
    void everyLineAboutAVisitIsNoticed() {
        HandsOfTests hands = new HandsOfTests(shop);
        PartFile part = hands.book(Material.CAST_IRON);
        UUID ines = hands.ines();
        UUID crack = UUID.randomUUID();
        UUID tick = UUID.randomUUID();
        Cracks cracks = shop.bean(Cracks.class);
        PressureTests tests = shop.bean(PressureTests.class);
        Sheets sheets = shop.bean(Sheets.class);
        Orders orders = shop.bean(Orders.class);
        WorkLog work = shop.bean(WorkLog.class);
        Ledgers ledgers = shop.bean(Ledgers.class);
        FeelerSurveys feelers = shop.bean(FeelerSurveys.class);
        Crack seen = new Crack(
                part.kind(), Material.CAST_IRON, CrackPlace.BETWEEN_SEATS, 12, Set.of(), CrackMethod.DYE, false);
        Need guide = new Need("G-13.070", "iron guide", 1, Operation.GUIDE_WORK, List.of());
        noticed(part, () -> hands.prepare(part));
        noticed(part, () -> work.write(part, tick, WorkEntry.Kind.ADDED, Operation.GUIDE_WORK, "", ines));
        noticed(part, () -> work.takeBack(part, UUID.randomUUID(), tick, ines));
        noticed(part, () -> cracks.mark(part, crack, seen, 2, new Spot(90, 60), new Spot(96, 70), ines));
        noticed(part, () -> cracks.remove(part, UUID.randomUUID(), crack, ines));
        noticed(
                part,
                () -> tests.begin(
                        part,
                        UUID.randomUUID(),
                        new PressureTests.SetUp("air under water", false, "10", "0.05", ""),
                        BenchUnit.MM,
                        ines));
        noticed(
                part,
                () -> tests.read(
                        part, UUID.randomUUID(), new PressureTests.Reading("0", "2.6", "20"), BenchUnit.MM, ines));
        noticed(part, () -> sheets.setUp(part, UUID.randomUUID(), Sheet.INDEX, Map.of("outerAtTop", "true"), ines));
        noticed(
                part,
                () -> sheets.key(
                        part, Sheet.INDEX, Keyed.sure(UUID.randomUUID(), "front-outer", "229.83", BenchUnit.MM), ines));
        noticed(part, () -> orders.order(part, UUID.randomUUID(), guide, Optional.empty(), ines));
        noticed(
                part,
                () -> orders.arrived(
                        part, UUID.randomUUID(), orders.of(part).get(0).id(), 1, "", ines));
        noticed(
                part,
                () -> shop.bean(homalon.app.check.feelers.FeelerStarts.class)
                        .start(part, FeelerKind.FACE, FeelerSurvey.Kind.GAP, FeelerWay.FIND, BenchUnit.MM, ines));
        noticed(
                part,
                () -> feelers.key(
                        part,
                        FeelerKind.FACE,
                        Keyed.sure(
                                UUID.randomUUID(),
                                feelers.find(part, FeelerKind.FACE)
                                        .orElseThrow()
                                        .lines()
                                        .get(0)
                                        .places()
                                        .get(0)
                                        .id(),
                                "s",
                                BenchUnit.MM),
                        anyone -> "Someone",
                        ines));
        hands.read(part, SurveyKind.FACE, at -> 0.0002 * at.x());
        noticed(part, () -> hands.plan(part, SetUpMethod.LEAST_REMOVAL));
        noticed(
                part,
                () -> ledgers.pass(
                        part,
                        UUID.randomUUID(),
                        Length.ofMm("0.05"),
                        Optional.empty(),
                        Ledgers.Notes.NONE,
                        Optional.empty(),
                        ines));
    }

    private void noticed(PartFile part, Runnable write) {
        List<Object> before = known(part);
        write.run();
        List<Object> after = known(part);
        assertNotEquals(before, after);
        shop.bean(Memory.class).forget();
        assertEquals(known(part), after);
    }

    private List<Object> known(PartFile part) {
        VisitRecords.Lines lines =
                shop.bean(VisitRecords.class).of(List.of(part)).get(part.visit().id());
        return List.of(
                lines.checked().felt(),
                lines.plan().map(PlanFile::id),
                lines.ledger().lines(),
                lines.work(),
                lines.checked().cracks(),
                lines.checked().tests(),
                lines.checked().sheets(),
                lines.done().orders());
    }
}
