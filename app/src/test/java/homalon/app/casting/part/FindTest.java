package homalon.app.casting.part;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.visit.PartFile;
import homalon.core.visit.StuckOn;
import homalon.core.visit.Wanted;
import java.time.LocalDate;
import java.time.Year;
import java.time.YearMonth;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Castings found by whatever is known of them. */
@ExtendWith(RunningShop.class)
class FindTest {
    private static final LayoutNumbers SIZES =
            LayoutNumbers.proposed(PartKind.HEAD, 3, Length.ofMm("133.4"), Length.ofMm("150"));

    private final RunningShop.Shop shop;
    private final HandsOfTests hands;
    private final PartFinder finder;
    private final PartVisits visits;

    FindTest(RunningShop.Shop shop) {
        this.shop = shop;
        this.hands = new HandsOfTests(shop);
        this.finder = shop.bean(PartFinder.class);
        this.visits = shop.bean(PartVisits.class);
    }

    private PartFile windlass() {
        return hands.book("Windlass Quern", "Meyer-Werft", "WQ 7714", "K 417", SIZES, Optional.empty());
    }

    private PartFinder.Some search(String typed) {
        return finder.search(Wanted.read(typed, BenchUnit.MM), 0, 50);
    }

    private boolean finds(String typed, PartFile part) {
        return search(typed).parts().stream().anyMatch(p -> p.id().equals(part.id()));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "windlass",
                "QUERN meyer",
                "meyer werft",
                "wq 7714",
                "k 417",
                "windlass 133.4 mm",
                "windlass 5.25 in",
                "bore 133 quern",
                "windlass here",
                "windlass in the shop"
            })
    void byAnythingThatIsKnownOfIt(String typed) {
        PartFile part = windlass();
        assertTrue(finds(typed, part), typed);
        assertFalse(search(typed).near(), typed);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "windlass 96 mm",
                "windlass 1999",
                "windlass 1999-01",
                "windlass late",
                "windlass waiting",
                "windlass handed over"
            })
    void notByWhatItIsNot(String typed) {
        assertFalse(finds(typed, windlass()), typed);
    }

    @Test
    void byTheDayItCame() {
        PartFile part = windlass();
        LocalDate today = LocalDate.now(ZoneId.systemDefault());
        assertTrue(finds("windlass " + Year.now(ZoneId.systemDefault()), part));
        assertTrue(finds("windlass " + YearMonth.now(ZoneId.systemDefault()), part));
        assertTrue(finds("windlass " + today, part));
        assertFalse(finds("windlass " + today.minusDays(1), part));
        assertFalse(finds("windlass " + today.plusDays(1), part));
    }

    /** A word of state may be a name as well: what is both stands once, what is either stands too, and pages follow one another. */
    @Test
    void whatMayBeMeantInSeveralWaysIsOneList() {
        LocalDate past = LocalDate.now(ZoneId.systemDefault()).minusDays(2);
        PartFile both = hands.book("Late Brewhouse", "Gone & Left", "", "", SIZES, Optional.of(past));
        PartFile named = hands.book("Late Brewhouse", "Gone & Left", "", "", SIZES, Optional.empty());
        PartFile late = hands.book("Brewhouse", "Gone & Left", "", "", SIZES, Optional.of(past));
        hands.book("Brewhouse", "Gone & Left", "", "", SIZES, Optional.empty());
        String year = " " + Year.now(ZoneId.systemDefault());
        List<PartFile> wanted = List.of(late, named, both);
        for (String typed :
                List.of("brewhouse late", "brewhouse late" + year, "late gone brewhouse left here" + year)) {
            Wanted read = Wanted.read(typed, BenchUnit.MM);
            assertEquals(
                    wanted.stream().map(PartFile::id).toList(),
                    finder.search(read, 0, 50).parts().stream()
                            .map(PartFile::id)
                            .toList(),
                    typed);
            assertEquals(3, finder.page(read, 0, 50).total(), typed);
            for (int i = 0; i < wanted.size(); i++) {
                PartFinder.Some lot = finder.search(read, i, 1);
                assertEquals(wanted.get(i).id(), lot.parts().get(0).id(), typed);
                assertEquals(i < 2, lot.more(), typed);
            }
        }
    }

    @Test
    void byWhereItIs() {
        PartFile part = hands.book(
                "Windlass Quern",
                "Meyer-Werft",
                "",
                "",
                SIZES,
                Optional.of(LocalDate.now(ZoneId.systemDefault()).minusDays(2)));
        assertTrue(finds("windlass late", part));
        visits.stick(part.id(), Optional.of(StuckOn.PARTS), "a ring", hands.ines());
        assertTrue(finds("windlass waits on parts", part));
        visits.handOver(part.id(), List.of(), "", hands.ines());
        assertTrue(finds("windlass gone", part));
        assertFalse(finds("windlass late", part), "what has left is late no more");
        assertFalse(finds("windlass here", part));
        assertFalse(finds("windlass waiting", part));
    }

    @ParameterizedTest
    @ValueSource(strings = {"windlas", "windlass ferry", "wyndlass quernn", "meier werft", "Meyerwerft"})
    void whatIsSpeltNearlySoWhereNothingIsSpeltSo(String typed) {
        PartFile part = windlass();
        assertTrue(finds(typed, part), typed);
    }

    @Test
    void nearlyIsSaidToBeNearly() {
        windlass();
        assertTrue(search("wyndlass").near());
        assertEquals(List.of(), search("zqxjkvw").parts());
    }

    @Test
    void whatMustFitBesideANearWordStillMustFit() {
        PartFile part = windlass();
        assertTrue(finds("wyndlass 133.4 mm", part));
        assertFalse(finds("wyndlass 96 mm", part));
    }

    /** They are what a pattern means by them to the store, and letters to whoever types. */
    @ParameterizedTest
    @ValueSource(strings = {"%", "_", "windlass%", "!", "' or 1=1 --", "\\", ":near0"})
    void signsStandForThemselves(String typed) {
        windlass();
        assertEquals(
                0,
                finder.page(Wanted.read(typed + " quern", BenchUnit.MM), 0, 10).total(),
                typed);
    }

    @Test
    void theListSaysStateYearAndVisits() {
        PartFile part = windlass();
        visits.handOver(part.id(), List.of(), "", hands.ines());
        visits.comeBack(part.tag(), "leaks", "", hands.ines());
        Visitor marit = Visitor.signedIn(shop.port(), "marit");
        String page = marit.get("/find?q=windlass+quern+k+417").body();
        assertTrue(page.contains("visit 2"), page);
        assertTrue(
                page.contains("in the shop, came ")
                        && page.contains(Year.now(ZoneId.systemDefault()).toString()),
                page);
        assertTrue(page.contains("WQ 7714 · K 417"), page);
    }

    @Test
    void aCastingNumberOrEngineThatIsKnownIsOffered() {
        PartFile part = windlass();
        Visitor marit = Visitor.signedIn(shop.port(), "marit");
        assertTrue(marit.get("/parts/known?castingNumber=wq+7714").body().contains("Fill the sheet as it"));
        assertTrue(marit.get("/parts/known?name=windlass+quern").body().contains(" Windlass Quern,"));
        for (String other : List.of("castingNumber=wq", "name=windlass", "castingNumber=", "name=quern")) {
            assertFalse(marit.get("/parts/known?" + other).body().contains("Fill"), other);
        }
        assertEquals(part.name(), finder.like("WQ 7714", "").orElseThrow().name());
    }

    @Test
    void theSheetIsFilledAndWhatWasKeyedStays() {
        PartFile like = windlass();
        Visitor marit = Visitor.signedIn(shop.port(), "marit");
        marit.get("/parts/new");
        String sheet = marit.post(
                        "/parts/filled",
                        "as",
                        like.tag(),
                        "tag",
                        "T-8888",
                        "name",
                        "",
                        "castingNumber",
                        "wq 7714",
                        "customer",
                        "Somebody new",
                        "history",
                        "overheated")
                .body();
        for (String value : List.of("T-8888", "Somebody new", "Windlass Quern", "wq 7714", "133.4")) {
            assertTrue(sheet.contains("value=\"" + value), () -> value + " in " + sheet);
        }
        assertTrue(sheet.contains(">overheated</textarea>"), sheet);
        assertFalse(sheet.contains("Meyer-Werft"), "whose it was before is nobody's business here");
        assertFalse(sheet.contains("K 417"), "what is stamped on the other is not stamped on this one");
    }
}
