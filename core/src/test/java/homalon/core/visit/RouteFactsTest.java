package homalon.core.visit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Spot;
import homalon.core.integrity.Crack;
import homalon.core.integrity.CrackMethod;
import homalon.core.integrity.CrackPlace;
import homalon.core.integrity.Decay;
import homalon.core.integrity.Remedy;
import homalon.core.ledger.Entry;
import homalon.core.ledger.Ledger;
import homalon.core.lines.ShaftLine.Turns;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.quantity.Length;
import homalon.core.route.VisitFacts;
import homalon.core.route.VisitFacts.Told;
import homalon.core.rulebook.BenchGauges;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What words, sheets and ledgers say to the route. */
class RouteFactsTest {
    private static Set<Told> told(PartFile part, Sheet... begun) {
        Map<Sheet, SheetFile> sheets = new java.util.EnumMap<>(Sheet.class);
        for (Sheet s : begun) {
            sheets.put(s, SheetFile.empty(s));
        }
        return RouteFacts.told(part, sheets, List.of(), Optional.empty(), Optional.empty());
    }

    @ParameterizedTest
    @CsvSource({
        "HEAD, 'overheated, overhead cam', '', MAY_BE_BENT",
        "DECK, 'overheated, overhead cam', '', ''",
        "HEAD, 'gasket gone', '', ''",
        "HEAD, '', 'valve job', VALVES_ASKED",
        "HEAD, '', 'cc the chambers', CHAMBERS_ASKED",
        "HEAD, '', 'clean and check', ''",
    })
    void wordsAskForChecks(PartKind kind, String history, String wishes, String expected) {
        Set<Told> told = told(Castings.of(kind, 4, Optional.empty(), history, wishes));
        assertEquals(expected.isEmpty() ? Set.of() : Set.of(Told.valueOf(expected)), told);
    }

    /** Who was asked at the door has answered with ticks: words do not add to them. */
    @Test
    void ticksStandForWords() {
        PartFile asked = Castings.of(
                PartKind.HEAD, 4, Optional.of(CameWith.of(Set.of(), "Cam")), "overheated, overhead cam", "");
        assertEquals(Set.of(), told(asked));
    }

    @Test
    void sheetsThatWereBegunAskForThemselves() {
        PartFile deck = Castings.of(PartKind.DECK, 4);
        assertEquals(Set.of(Told.HAS_LINERS, Told.DECK_ASKED), told(deck, Sheet.LINERS, Sheet.INDEX));
        Set<Told> line = RouteFacts.told(
                deck,
                Map.of(),
                List.of(new LineFinding.Shaft("Main", Optional.empty(), Turns.NOT_PROVEN)),
                Optional.empty(),
                Optional.empty());
        assertEquals(Set.of(Told.LINES_ASKED), line);
        VisitFacts.Chambers begun = new VisitFacts.Chambers(4, 0, true, List.of(), Message.NONE);
        assertEquals(
                Set.of(Told.CHAMBERS_ASKED),
                RouteFacts.told(deck, Map.of(), List.of(), Optional.empty(), Optional.of(begun)));
        VisitFacts.Chambers only = new VisitFacts.Chambers(4, 0, false, List.of(), Message.NONE);
        assertEquals(Set.of(), RouteFacts.told(deck, Map.of(), List.of(), Optional.empty(), Optional.of(only)));
    }

    @Test
    void aShaftThatIntakeNamesIsOwedUntilItIsSetUp() {
        PartFile part =
                Castings.of(PartKind.HEAD, 4, Optional.of(CameWith.of(Set.of(), "Intake cam, Exhaust cam")), "", "");
        List<VisitFacts.Line> lines = RouteFacts.lines(
                part, List.of(new LineFinding.Shaft("INTAKE CAM", Optional.of(SheetHand.START), Turns.FREE)));
        assertEquals(
                List.of("INTAKE CAM", "Exhaust cam"),
                lines.stream().map(VisitFacts.Line::name).toList());
        assertEquals(Turns.NOT_PROVEN, lines.get(1).turns());
        assertTrue(lines.get(1).oldest().isEmpty());
    }

    private static final UUID VISIT = Castings.VISIT;

    private static LedgerFile ledger(Object... depthsAndStands) {
        List<LedgerFile.Line> lines = new ArrayList<>();
        List<Entry> entries = new ArrayList<>();
        for (int i = 0; i < depthsAndStands.length; i += 2) {
            Length depth = Length.ofMm((String) depthsAndStands[i]);
            boolean stands = (boolean) depthsAndStands[i + 1];
            UUID id = new UUID(9, i);
            entries.add(new Entry(id, VISIT, Entry.Kind.PASS, depth, Optional.empty()));
            lines.add(Castings.line(i, id, Entry.Kind.PASS, depth, Optional.empty(), stands));
            if (!stands) {
                UUID back = new UUID(9, i + 1L);
                entries.add(new Entry(back, VISIT, Entry.Kind.REVERSAL, Length.ZERO, Optional.of(id)));
                lines.add(Castings.line(i + 1, back, Entry.Kind.REVERSAL, Length.ZERO, Optional.of(id), false));
            }
        }
        return new LedgerFile(new Ledger(entries), lines);
    }

    @Test
    void aDepthIsReachedByThePassThatComesDownToIt() {
        LedgerFile ledger = ledger("0.05", true, "0.10", false, "0.05", true);
        assertEquals(2, ledger.passes(VISIT).size());
        assertEquals(0, ledger.passes(new UUID(0, 0)).size());
        assertEquals(Optional.of(SheetHand.START), ledger.reached(VISIT, Length.ofMm("0.05")));
        assertEquals(Optional.of(SheetHand.START.plusSeconds(240)), ledger.reached(VISIT, Length.ofMm("0.10")));
        assertEquals(Optional.empty(), ledger.reached(VISIT, Length.ofMm("0.11")));
        VisitFacts.Passes cut = ledger.cut(VISIT);
        assertEquals(Length.ofMm("0.10"), cut.off());
        assertEquals(2, cut.number());
        assertEquals(Optional.of(SheetHand.START.plusSeconds(240)), cut.last());
        // The taking back of a pass changed the face's story too.
        LedgerFile taken = ledger("0.05", true, "0.10", false);
        assertEquals(Optional.of(SheetHand.START), taken.cut(VISIT).last());
        assertEquals(
                Optional.of(SheetHand.START.plusSeconds(180)), taken.cut(VISIT).changed());
        assertEquals(Optional.empty(), ledger().cut(VISIT).last());
    }

    private static CrackFile crack(Remedy remedy, String pin) {
        Crack what = new Crack(
                PartKind.HEAD,
                Material.CAST_IRON,
                CrackPlace.BETWEEN_SEATS,
                30,
                Set.of(),
                CrackMethod.MAGNETIC_PARTICLE,
                false);
        return new CrackFile(
                new UUID(2, 2),
                1,
                what,
                0,
                new Spot(0, 0),
                new Spot(30, 0),
                remedy,
                "",
                Length.ofMm(pin),
                new UUID(1, 1),
                SheetHand.START,
                SheetHand.START.plusSeconds(5));
    }

    @Test
    void pinsAreCountedWhereItIsStitchedAndThePinIsChosen() {
        assertTrue(crack(Remedy.STITCH, "6").stitch().isPresent());
        assertTrue(crack(Remedy.STITCH_AND_INSERT, "6").stitch().isPresent());
        assertTrue(crack(Remedy.STITCH, "0").stitch().isEmpty());
        assertTrue(crack(Remedy.WELD, "6").stitch().isEmpty());
        assertTrue(RouteFacts.crack(crack(Remedy.STITCH, "6")).pins() > 3);
        assertEquals(0, RouteFacts.crack(crack(Remedy.LEAVE, "0")).pins());
        assertEquals(
                SheetHand.START.plusSeconds(5),
                RouteFacts.crack(crack(Remedy.LEAVE, "0")).since());
        CrackFile ruled = crack(crack(Remedy.LEAVE, "0").rule().remedy(), "0");
        assertFalse(ruled.overruled());
        assertTrue(
                crack(Remedy.SCRAP, "0").overruled() || crack(Remedy.LEAVE, "0").overruled());
    }

    private static TestFile test(boolean bubbles, boolean looked, double... bars) {
        List<TestFile.ReadingFile> readings = new ArrayList<>();
        for (int i = 0; i < bars.length; i++) {
            readings.add(new TestFile.ReadingFile(
                    new UUID(3, i),
                    300 * i,
                    bars[i],
                    OptionalDouble.of(20),
                    new UUID(1, 1),
                    SheetHand.START.plusSeconds(300L * i)));
        }
        return new TestFile(
                new UUID(3, 3),
                "air",
                true,
                Decay.Asked.DEFAULT,
                new UUID(1, 1),
                SheetHand.START,
                readings,
                bubbles
                        ? List.of(new TestFile.BubbleFile(
                                new UUID(3, 4), "seat 2", new Spot(1, 1), new UUID(1, 1), SheetHand.START))
                        : List.of(),
                looked);
    }

    @Test
    void aTestSaysWhatWasSeenAndWhenItWasLastWritten() {
        assertEquals(Decay.Bubbles.SEEN, test(true, true, 3, 3).seen());
        assertEquals(Decay.Bubbles.NONE, test(false, true, 3, 3).seen());
        assertEquals(Decay.Bubbles.NOT_LOOKED, test(false, false, 3, 3).seen());
        assertEquals(
                SheetHand.START.plusSeconds(600), test(false, true, 3, 3, 3).lastAt());
        assertEquals(SheetHand.START, test(false, true).lastAt());
        assertFalse(RouteFacts.test(test(false, true), BenchGauges.EXACT).begun());
        VisitFacts.Tested good = RouteFacts.test(test(false, true, 3, 3, 3), BenchGauges.EXACT);
        assertTrue(good.begun());
        assertEquals(test(false, true, 3, 3, 3).decay(BenchGauges.EXACT).verdict(), good.verdict());
        // In minutes, as the sum wants them: ten of them, not six hundred.
        assertEquals(
                Decay.of(
                                List.of(
                                        new Decay.Reading(0, 3, OptionalDouble.of(20)),
                                        new Decay.Reading(5, 2.98, OptionalDouble.of(20)),
                                        new Decay.Reading(10, 2.96, OptionalDouble.of(20))),
                                true,
                                Decay.Bubbles.NONE,
                                Decay.Asked.DEFAULT)
                        .verdict(),
                test(false, true, 3, 2.98, 2.96).decay(BenchGauges.EXACT).verdict());
    }
}
