package homalon.app.machining.chambers;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.casting.part.Parts;
import homalon.app.casting.sheets.Sheets;
import homalon.app.foundation.people.People;
import homalon.app.foundation.web.AskAgainException;
import homalon.app.foundation.web.Keyed;
import homalon.app.foundation.words.Words;
import homalon.app.machining.cut.RoomSource;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.chambers.EngineItem;
import homalon.core.chambers.FillState;
import homalon.core.cut.Budget;
import homalon.core.cut.Outlook;
import homalon.core.cut.WhatIf;
import homalon.core.input.BadInputException;
import homalon.core.part.Material;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.rulebook.Source;
import homalon.core.visit.ChamberFile;
import homalon.core.visit.EngineForm;
import homalon.core.visit.PartFile;
import homalon.core.visit.Sheet;
import java.net.http.HttpResponse;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What chambers keep and refuse, and what the budget makes of it. */
@ExtendWith(RunningShop.class)
class ChamberPagesTest extends ChamberTests {
    ChamberPagesTest(RunningShop.Shop shop) {
        super(shop);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "STROKE; long; not a length",
                "STROKE; 5; key from 10 mm",
                "CROWN; 4 gills; is not its unit",
                "RATIO_MOST; 60; key from 2.00",
                "GASKET_BORE; 60; smaller than the bore",
                "depths; 0.01; up to four depths",
                "drive; STEAM; Choose one"
            })
    void figuresThatCannotBeAreRefusedInWords(String field, String typed, String says) {
        PartFile part = hands.book(Material.ALUMINIUM);
        BadInputException e = assertThrows(
                BadInputException.class, () -> engine(part, BenchUnit.MM, "BORE", "84", "GASKET", "1.2", field, typed));
        assertTrue(Words.of(e.sentence()).contains(says), Words.of(e.sentence()));
        assertTrue(shop.bean(Sheets.class).of(part, Sheet.CHAMBERS).standing().isEmpty(), "nothing was kept");
    }

    /** Keyed at one bench and shown at another, a figure means the same and is kept as it was. */
    @Test
    void aFormKeepsWhatChangedAndNoMore() {
        PartFile part = hands.book(Material.ALUMINIUM);
        engine(
                part,
                BenchUnit.THOU,
                "STROKE",
                "3.15",
                "GASKET",
                "40",
                "RATIO_MOST",
                "9.8",
                "RATIO_MOST.source",
                "OWNER");
        ChamberFile file = file(part);
        assertEquals(80.01, file.book().value(EngineItem.STROKE), 1e-9);
        assertEquals(1.016, file.book().value(EngineItem.GASKET), 1e-9);
        assertEquals(
                Source.OWNER,
                file.book().entry(EngineItem.RATIO_MOST).orElseThrow().source());
        assertEquals("3.15 in", EngineForm.shown(file, EngineItem.STROKE, BenchUnit.MM));
        assertEquals("40 th", EngineForm.shown(file, EngineItem.GASKET, BenchUnit.MM));
        int lines = file.sheet().history().size();
        engine(
                part,
                BenchUnit.MM,
                "STROKE",
                "3.15 in",
                "GASKET",
                "40 th",
                "RATIO_MOST",
                "9.8",
                "RATIO_MOST.source",
                "OWNER");
        assertEquals(lines, file(part).sheet().history().size(), "nothing changed");
        engine(part, BenchUnit.MM, "STROKE", "3.15 in", "RATIO_MOST", "9.8", "RATIO_MOST.source", "RULES");
        assertEquals(lines + 2, file(part).sheet().history().size(), "one taken back, one source changed");
        assertFalse(file(part).book().has(EngineItem.GASKET));
    }

    /** A form that was open while somebody else keyed a figure does not take it back unasked. */
    @Test
    void aFormDrawnBeforeSomebodyElsesFigureIsTold() {
        PartFile part = head("STROKE", "80");
        String seen = Long.toString(file(part).sheet().last());
        UUID brannoc = shop.bean(People.class).all().stream()
                .filter(p -> p.name().equals("Brannoc"))
                .findFirst()
                .orElseThrow()
                .id();
        work.engine(part, UUID.randomUUID(), form("STROKE", "80", "THINNEST", "100.2"), BenchUnit.MM, brannoc);
        BadInputException e = assertThrows(
                BadInputException.class, () -> engine(part, BenchUnit.MM, "STROKE", "80", "DECK", "0.2", "seen", seen));
        assertTrue(Words.of(e.sentence()).contains("Somebody keyed 100.2 meanwhile"), Words.of(e.sentence()));
        assertTrue(file(part).book().has(EngineItem.THINNEST));
        assertFalse(file(part).book().has(EngineItem.DECK), "nothing of it was kept");
        String now = Long.toString(file(part).sheet().last());
        engine(part, BenchUnit.MM, "STROKE", "80", "THINNEST", "100.1", "seen", now);
        assertEquals(100.1, file(part).book().value(EngineItem.THINNEST), 1e-9);
    }

    @Test
    void oddFillsAskAndTwoHandsAreTold() {
        PartFile part = head();
        fillAll(part, FillState.AS_CAME, 44, 44.2);
        assertThrows(AskAgainException.class, () -> fill(part, FillState.AS_CAME, 3, 1, "61", false));
        fill(part, FillState.AS_CAME, 3, 1, "61", true);
        UUID brannoc = shop.bean(People.class).all().stream()
                .filter(p -> p.name().equals("Brannoc"))
                .findFirst()
                .orElseThrow()
                .id();
        Keyed his = new Keyed(UUID.randomUUID(), "", "44.1", BenchUnit.MM, 0L, false);
        AskAgainException e = assertThrows(
                AskAgainException.class, () -> work.fill(part, FillState.AS_CAME, Length.ZERO, 1, 1, his, brannoc));
        assertTrue(e.getMessage().contains("Ines keyed 44"), e.getMessage());
        BadInputException deeper = assertThrows(
                BadInputException.class,
                () -> work.fill(
                        part,
                        FillState.AS_CAME,
                        Length.ofMm("1"),
                        1,
                        1,
                        new Keyed(UUID.randomUUID(), "", "45", BenchUnit.MM, 0L, true),
                        hands.ines()));
        assertTrue(Words.of(deeper.sentence()).contains("must hold less"), Words.of(deeper.sentence()));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "budget?cut=abc; 422; is not a length",
                "budget?cut=-1; 422; key 0 to 10 mm",
                "budget?cut=400; 422; key 0 to 10 mm",
                "budget?wish=RATIO&wanted=0.5; 422; above 1",
                "budget?wish=RATIO&wanted=nine; 422; such as 9.5",
                "budget?wish=CLASS; 422; Key the class",
                "budget?wish=GOLD; 422; Choose one of what is offered",
                "budget?gasket=99; 422; key from 0.050 mm",
                "budget/live?cut=9e9; 422; is not a length",
                "chambers?of=sideways; 422; no such walk",
                "chambers?state=MELTED; 200; To the brim"
            })
    void badAddressesAreAnsweredInWords(String path, int status, String says) {
        PartFile part = head("STROKE", "80", "GASKET", "1.2", "GASKET_BORE", "86", "DECK", "0", "CROWN", "0");
        fillAll(part, FillState.AS_CAME, 44, 44, 44, 44);
        HttpResponse<String> answer = Visitor.signedIn(shop.port(), "ines").get("/parts/" + part.tag() + "/" + path);
        assertEquals(status, answer.statusCode(), answer.body());
        assertTrue(answer.body().contains(says), answer.body());
    }

    @Test
    void theDeskReadsButDoesNotFill() {
        PartFile part = head();
        Visitor desk = Visitor.signedIn(shop.port(), "desk");
        assertEquals(200, desk.get("/parts/" + part.tag() + "/budget").statusCode());
        HttpResponse<String> answer = desk.key(
                "/parts/" + part.tag() + "/chambers/readings/brim/AS_CAME",
                "id",
                UUID.randomUUID().toString(),
                "place",
                "f.AS_CAME.0.1.1",
                "typed",
                "44",
                "unit",
                "MM");
        assertEquals(403, answer.statusCode());
        assertTrue(file(part).sheet().standing().isEmpty());
        Visitor ines = Visitor.signedIn(shop.port(), "ines");
        HttpResponse<String> nowhere = ines.key(
                "/parts/" + part.tag() + "/chambers/readings/brim/AS_CAME",
                "id",
                UUID.randomUUID().toString(),
                "place",
                "f.AS_CAME.0.9.1",
                "typed",
                "44",
                "unit",
                "MM");
        assertEquals(422, nowhere.statusCode());
        assertTrue(nowhere.body().contains("not on this sheet"), nowhere.body());
    }

    /** The stories that the sample shop tells hold in the figures. */
    @Test
    void theSampleShopTellsItsStories() {
        Parts parts = shop.bean(Parts.class);
        Outlook ice = outlook(parts.byTag("T-0452"), WhatIf.NOTHING);
        assertFalse(ice.budgets().enough());
        assertEquals(
                Budget.Kind.THICKNESS, ice.budgets().binding().orElseThrow().kind());
        PartFile mail = parts.byTag("T-0450");
        ChamberReport.Chambers said = shop.bean(ChamberReport.class)
                .of(mail, new LengthWriter(BenchUnit.MM))
                .orElseThrow();
        assertTrue(
                said.said().get(1).contains("thicker than before"), said.said().toString());
        assertTrue(
                said.fitter().stream().anyMatch(f -> f.contains("pushrods")),
                said.fitter().toString());
        Outlook skiff = outlook(parts.byTag("T-0451"), WhatIf.NOTHING);
        assertEquals(
                Budget.Kind.CLASS_CC, skiff.budgets().binding().orElseThrow().kind());
        assertTrue(skiff.each().get(0).chamber().depths().isPresent());
    }

    /** Thin already: no gasket mends that. Squeezed already: another gasket may. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "THINNEST; 89.9; THICKNESS_LEAST; 90; Thickness is over already; That metal is gone",
                "DECK; -0.5; SQUEEZE_LEAST; 1; Piston to head is over already; Another gasket"
            })
    void whatIsOverBeforeTheCutIsTheHeadlineAndSaysWhatMendsIt(
            String measured, String value, String limit, String least, String words, String sentence) {
        PartFile part = head("GASKET", "1.2", measured, value, limit, least);
        RoomSource.Room room = shop.bean(RoomSource.class)
                .of(part, 0.05, new LengthWriter(BenchUnit.MM))
                .orElseThrow();
        assertEquals("out", room.style());
        assertEquals(words, room.words());
        assertTrue(room.sentence().contains(sentence), room.sentence());
    }
}
