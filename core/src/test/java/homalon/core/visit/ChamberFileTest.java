package homalon.core.visit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.chambers.EngineItem;
import homalon.core.chambers.FillState;
import homalon.core.cut.ChamberNow;
import homalon.core.cut.OutlookQuestion;
import homalon.core.cut.RimDepths;
import homalon.core.cut.WhatIf;
import homalon.core.input.BadInputException;
import homalon.core.ledger.Entry;
import homalon.core.ledger.Ledger;
import homalon.core.part.Layout;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.VisitFacts;
import homalon.core.rulebook.BookDefaults;
import homalon.core.words.English;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** Chambers as they were filled, and what a visit knows for the cut. */
class ChamberFileTest {
    private static final PartFile HEAD = Castings.of(PartKind.HEAD, 2);
    private static final Layout LAYOUT = Layout.of(HEAD.numbers());
    private static final UUID VISIT = HEAD.visit().id();

    private final SheetHand hand = new SheetHand(Sheet.CHAMBERS)
            .setUp(ChamberSetup.typed(Map.of("depths", "1 2"), BenchUnit.MM).kept());

    private ChamberFile file() {
        SheetFile sheet = hand.file();
        return new ChamberFile(
                HEAD, sheet, ChamberFile.Read.of(sheet, HEAD.numbers(), LAYOUT, BookDefaults.of(BenchUnit.MM)));
    }

    private void fill(FillState state, String depth, int cylinder, int number, String cc) {
        hand.say(ChamberFile.fill(state, Length.ofMm(depth), cylinder, number), cc);
    }

    private static List<String> keys(ChamberFile file, String walk, FillState state) {
        return ChamberWalk.asked(file, walk).places(file, state).stream()
                .map(ChamberPlace::key)
                .toList();
    }

    @Test
    void aChamberIsFilledTwiceAndAThirdTimeWhereTheFillsDiffer() {
        assertEquals(
                List.of("f.AS_CAME.0.1.1", "f.AS_CAME.0.1.2", "f.AS_CAME.0.2.1", "f.AS_CAME.0.2.2"),
                keys(file(), "", FillState.AS_CAME));
        fill(FillState.AS_CAME, "0", 1, 1, "45.6");
        fill(FillState.AS_CAME, "0", 1, 2, "46.4");
        assertEquals(5, keys(file(), "brim", FillState.AS_CAME).size());
        assertFalse(file().settled(FillState.AS_CAME));
        fill(FillState.AS_CAME, "0", 1, 3, "46.2");
        assertEquals(5, keys(file(), "brim", FillState.AS_CAME).size());
        ChamberFile.Filled one = file().filled(1, FillState.AS_CAME).orElseThrow();
        assertEquals(46.3, one.volume().cc(), 1e-9);
        assertEquals(3, one.seq());
        assertEquals(SheetHand.START.plusSeconds(180), one.at());
        assertFalse(file().settled(FillState.AS_CAME), "the second chamber is open");
        fill(FillState.AS_CAME, "0", 2, 1, "46.0");
        fill(FillState.AS_CAME, "0", 2, 2, "46.2");
        assertTrue(file().settled(FillState.AS_CAME));
        assertEquals("46.1 to 46.3 cc", English.of(file().range()));
        assertTrue(ChamberWalk.asked(file(), "brim").done(file(), FillState.AS_CAME));
        assertFalse(ChamberWalk.asked(file(), "deck").done(file(), FillState.AS_CAME));
    }

    @Test
    void depthsAreFilledOnceEachAndPistonsHaveWalksOfTheirOwn() {
        assertEquals(
                List.of("brim", "to-1000000", "to-2000000", "deck", "crown"),
                ChamberWalk.of(file()).stream().map(ChamberWalk::key).toList());
        assertEquals(List.of("f.CUT.1000000.1.1", "f.CUT.1000000.2.1"), keys(file(), "to-1000000", FillState.CUT));
        assertEquals(List.of("d.1", "d.2"), keys(file(), "deck", FillState.AS_CAME));
        assertEquals(List.of("c.1", "c.2"), keys(file(), "crown", FillState.AS_CAME));
        assertThrows(BadInputException.class, () -> ChamberWalk.asked(file(), "to-3"));
        LengthWriter writer = new LengthWriter(BenchUnit.MM);
        assertEquals("To the brim", English.of(ChamberWalk.asked(file(), "brim").words(writer)));
        assertTrue(English.of(ChamberWalk.asked(file(), "to-1000000").words(writer))
                .startsWith("To 1"));
        assertTrue(ChamberWalk.asked(file(), "brim").ofFills());
        assertFalse(ChamberWalk.asked(file(), "deck").ofFills());
    }

    @Test
    void aFillToTheBrimAndToADepthTellTheOpening() {
        fill(FillState.AS_CAME, "0", 1, 1, "46");
        assertTrue(file().depths(1, FillState.AS_CAME).isEmpty());
        fill(FillState.AS_CAME, "1", 1, 1, "41");
        assertTrue(file().depths(1, FillState.AS_CAME).isPresent());
        // More in it below the brim than up to it cannot be.
        fill(FillState.AS_CAME, "1", 1, 1, "47");
        assertTrue(file().depths(1, FillState.AS_CAME).isEmpty());
        fill(FillState.CUT, "1", 2, 1, "41");
        assertTrue(file().depths(2, FillState.CUT).isEmpty(), "no fill to the brim in that state");
    }

    @Test
    void theLatestFillCountsAndTheFirstIsHowItCame() {
        fill(FillState.CUT, "0", 1, 1, "44");
        fill(FillState.AS_CAME, "0", 1, 1, "46");
        assertEquals(FillState.AS_CAME, file().latest(1).orElseThrow().state(), "keyed later");
        assertEquals(FillState.AS_CAME, file().first(1).orElseThrow().state());
        assertEquals(Optional.of(FillState.AS_CAME), file().lastState());
        fill(FillState.CUT, "0", 1, 2, "44");
        assertEquals(FillState.CUT, file().latest(1).orElseThrow().state());
        assertEquals(Optional.empty(), file().first(2));
        hand.skip(ChamberFile.fill(FillState.CUT, Length.ZERO, 1, 1));
        assertEquals(1, file().fills(1, FillState.CUT, Length.ZERO).size());
    }

    @Test
    void whatWasKeyedOfTheEngineStandsWithItsSource() {
        hand.size(ChamberFile.place(EngineItem.STROKE), "79").say(ChamberFile.source(EngineItem.STROKE), "MAKER");
        hand.key(ChamberFile.deck(1), "0.3").say(ChamberFile.crown(2), "-2.5");
        ChamberFile f = file();
        assertEquals(79, f.book().value(EngineItem.STROKE), 1e-9);
        assertEquals(87, f.book().value(EngineItem.BORE), 1e-9);
        assertEquals(OptionalDouble.of(0.3), f.deckOf(1));
        assertEquals(OptionalDouble.empty(), f.deckOf(2));
        assertEquals(OptionalDouble.of(-2.5), f.crownOf(2));
        assertEquals(OptionalDouble.empty(), f.crownOf(1));
        assertEquals(Optional.of(SheetHand.START.plusSeconds(60)), f.keyedAt(EngineItem.STROKE));
        assertEquals(Optional.empty(), f.keyedAt(EngineItem.BORE));
        assertEquals(Optional.of(SheetHand.START.plusSeconds(180)), f.deckAt(1));
    }

    @Test
    void theRouteHearsWhenEachStateWasSettled() {
        assertFalse(RouteFacts.chambers(file()).begun());
        for (int n = 1; n <= 2; n++) {
            fill(FillState.AS_CAME, "0", n, 1, "46");
            fill(FillState.AS_CAME, "0", n, 2, "46.1");
        }
        VisitFacts.Chambers heard = RouteFacts.chambers(file());
        assertTrue(heard.begun());
        assertEquals(2, heard.settled());
        assertEquals(List.of(SheetHand.START.plusSeconds(120)), heard.filled());
        fill(FillState.CUT, "0", 1, 1, "44");
        VisitFacts.Chambers open = RouteFacts.chambers(file());
        assertEquals(1, open.settled(), "its latest fill is one alone");
        assertEquals(1, open.filled().size());
    }

    private static LedgerFile passes(Object... minutesAndDepths) {
        List<LedgerFile.Line> lines = new ArrayList<>();
        List<Entry> entries = new ArrayList<>();
        for (int i = 0; i < minutesAndDepths.length; i += 2) {
            int minute = (int) minutesAndDepths[i];
            Length depth = Length.ofMm((String) minutesAndDepths[i + 1]);
            UUID id = new UUID(9, i);
            entries.add(new Entry(id, VISIT, Entry.Kind.PASS, depth, Optional.empty()));
            lines.add(Castings.line(minute, id, Entry.Kind.PASS, depth, Optional.empty(), true));
        }
        return new LedgerFile(new Ledger(entries), lines);
    }

    private OutlookQuestion question(LedgerFile ledger, HeadsInChambers heads) {
        return new OutlookFacts(
                        file(),
                        ledger,
                        Optional.empty(),
                        Optional.empty(),
                        RimDepths.level(2),
                        LAYOUT,
                        heads,
                        Optional.of(new OutlookFacts.Thinnest(119.4, SheetHand.START)))
                .question(WhatIf.NOTHING);
    }

    /** A fill is of the chamber as it was then: what was cut since is gone from it, what was cut before is not. */
    @Test
    void onlyWhatWasCutSinceAFillIsGoneFromIt() {
        fill(FillState.AS_CAME, "0", 1, 1, "46");
        fill(FillState.AS_CAME, "0", 1, 2, "46.1");
        LedgerFile ledger = passes(1, "0.05", 5, "0.10", 6, "0.02");
        OutlookQuestion asked = question(ledger, HeadsInChambers.UNKNOWN);
        assertEquals(1, asked.chambers().size(), "the second was neither filled nor told");
        ChamberNow chamber = asked.chambers().get(0);
        assertEquals(46.05, chamber.cc(), 1e-9);
        assertEquals(0.12, chamber.cutSince(), 1e-9);
        assertEquals(ChamberNow.Basis.FILLED, chamber.basis());
        assertEquals(0.17, asked.done(), 1e-9);
        assertEquals(119.4, asked.book().value(EngineItem.THINNEST), 1e-9);
        assertTrue(asked.need().isEmpty(), "nothing was read of the face");
    }

    @Test
    void aChamberThatWasToldStandsForAllWithoutAFill() {
        hand.say(ChamberFile.place(EngineItem.CHAMBER), "45");
        OutlookQuestion asked = question(passes(5, "0.10"), HeadsInChambers.UNKNOWN);
        assertEquals(2, asked.chambers().size());
        assertEquals(ChamberNow.Basis.TOLD, asked.chambers().get(0).basis());
        assertEquals(45, asked.chambers().get(0).cc(), 1e-9);
        fill(FillState.AS_CAME, "0", 2, 1, "46");
        assertEquals(
                ChamberNow.Basis.ONE_FILL,
                question(passes(), HeadsInChambers.UNKNOWN).chambers().get(1).basis());
    }

    @Test
    void theShallowestValveIsKeyedForTheEngineWhereNobodyDid() {
        HeadsInChambers heads = new HeadsInChambers(
                Map.of(), Optional.of(new HeadsInChambers.Shallowest(0.4, SheetHand.START.plusSeconds(120))));
        OutlookQuestion asked = question(passes(5, "0.10"), heads);
        assertEquals(0.4, asked.book().value(EngineItem.RECESSION), 1e-9);
        assertEquals(0.10, asked.since().get(EngineItem.RECESSION), 1e-9);
        assertEquals(0.10, asked.since().get(EngineItem.THINNEST), 1e-9);
        hand.key(ChamberFile.place(EngineItem.RECESSION), "0.7");
        assertEquals(0.7, question(passes(5, "0.10"), heads).book().value(EngineItem.RECESSION), 1e-9);
    }
}
