package homalon.app.shop.settings;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.casting.part.PartVisits;
import homalon.app.casting.part.Parts;
import homalon.app.check.face.Surveys;
import homalon.app.foundation.people.People;
import homalon.app.foundation.people.PersonInfo;
import homalon.app.foundation.people.Role;
import homalon.app.foundation.settings.ShopSettings;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.part.Material;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.BookDefaults;
import homalon.core.rulebook.FaceDefaults.Item;
import homalon.core.rulebook.RuleBook;
import homalon.core.rulebook.Source;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;

/** What a shop sets for itself, from the page to the limits of a face. */
@ExtendWith(RunningShop.class)
class SettingsTest {
    private final RunningShop.Shop shop;
    private final HandsOfTests hands;
    private final Parts parts;
    private final ShopSettings settings;
    private final Visitor marit;

    SettingsTest(RunningShop.Shop shop) {
        this.shop = shop;
        this.hands = new HandsOfTests(shop);
        this.parts = shop.bean(Parts.class);
        this.settings = shop.bean(ShopSettings.class);
        this.marit = Visitor.signedIn(shop.port(), "marit");
        marit.get("/shop/settings");
    }

    @AfterEach
    void asItWas() {
        settings.use(Map.of(), hands.ines());
        settings.use(BookDefaults.of(BenchUnit.MM), hands.ines());
        settings.useUnit(BenchUnit.MM, hands.ines());
        settings.history().now().letGo().keySet().forEach(r -> settings.letGo(r, "", hands.ines()));
    }

    private HttpResponse<String> keep(String... given) {
        return marit.post("/shop/settings/limits", given);
    }

    private Length overall(PartFile part) {
        return RuleBook.overall(parts.byTag(part.tag()).limits());
    }

    @Test
    void aFigureOfTheShopStandsForEveryFaceWithoutOneOfItsOwn() {
        PartFile part = hands.bookFor("Limits Yard");
        assertEquals(Length.ofMm("0.05"), overall(part));
        String said = keep("THREE_OR_FOUR", "0.04", "THREE_OR_FOUR.from", "sheet of the slipway")
                .body();
        assertTrue(said.contains("These stand from now on."), said);
        assertTrue(said.contains("sheet of the slipway"), "and is there to be keyed again");
        assertEquals(Length.ofMm("0.04"), overall(part));
        assertTrue(parts.byTag(part.tag()).limits().stream().anyMatch(l -> l.source() == Source.SHOP_DEFAULT));
        assertTrue(marit.get("/shop").body().contains("changed the settings: limits of faces"));
        keep("THREE_OR_FOUR", "", "THREE_OR_FOUR.from", "");
        assertEquals(Length.ofMm("0.05"), overall(part), "an empty field is the general value again");
    }

    @Test
    void whatWasHandedOverKeepsTheLimitsOfItsDay() {
        PartFile part = hands.bookFor("Limits Yard");
        keep("THREE_OR_FOUR", "0.04", "THREE_OR_FOUR.from", "a sheet");
        shop.bean(PartVisits.class).handOver(part.id(), List.of(), "", hands.ines());
        keep("THREE_OR_FOUR", "0.03", "THREE_OR_FOUR.from", "a newer sheet");
        assertEquals(Length.ofMm("0.04"), overall(part));
        shop.bean(PartVisits.class).comeBack(part.tag(), "", "", hands.ines());
        assertEquals(Length.ofMm("0.03"), overall(part), "the next visit is judged by what stands now");
        List<PartFile> both = parts.everyVisit(parts.byTag(part.tag()));
        assertEquals(
                List.of(Length.ofMm("0.04"), Length.ofMm("0.03")),
                both.stream().map(p -> RuleBook.overall(p.limits())).toList());
    }

    @Test
    void aThouShopHasRoundFiguresInThou() {
        assertEquals(
                302,
                marit.post("/shop/settings/shop", "shopName", "Saltmarsh Head & Deck", "unit", "THOU")
                        .statusCode());
        PartFile part = hands.bookFor("Limits Yard");
        assertEquals(Length.ofThou("2"), overall(part));
        People people = shop.bean(People.class);
        people.useUnit(hands.ines(), BenchUnit.THOU);
        String sheet = Visitor.signedIn(shop.port(), "ines").get("/parts/new").body();
        people.useUnit(hands.ines(), BenchUnit.MM);
        for (String round : List.of("default 2.00 thou", "default 0.80 thou", "default 4 in")) {
            assertTrue(sheet.contains(round), () -> round + " in " + sheet);
        }
        String login = "thou" + UUID.randomUUID().toString().substring(0, 6);
        PersonInfo fresh = people.add(login, "Thea", Role.MACHINIST, "three or four words");
        assertEquals(BenchUnit.THOU, fresh.unit(), "somebody new starts in the shop's unit");
    }

    private HttpResponse<String> keepBooks(String... given) {
        return marit.post("/shop/settings/books", given);
    }

    private static String standing(String page, String field) {
        Matcher m = Pattern.compile("name=\"" + field + "\"[^>]*(?:placeholder|value)=\"([^\"]*)\"")
                .matcher(page);
        assertTrue(m.find(), field);
        return m.group(1);
    }

    @Test
    void aFigureOfTheShopStandsInEveryBookThatWasLeftBlank() {
        String path = "/parts/" + hands.bookReady().tag();
        assertEquals("0.500", standing(marit.get(path + "/valves").body(), "I.SINK"));
        String[] own = {
            "VALVE_I_SINK",
            "0.6",
            "VALVE_I_SINK.from",
            "sheet of the slipway",
            "ENGINE_BURETTE",
            "50",
            "ENGINE_BURETTE.from",
            "the burette on the wall",
            "BENCH_TEST_HOLD",
            "15",
            "BENCH_TEST_HOLD.from",
            "sheet of the slipway"
        };
        String said = keepBooks(own).body();
        assertTrue(said.contains("These stand from now on.") && said.contains("sheet of the slipway"), said);
        assertEquals("0.600", standing(marit.get(path + "/valves").body(), "I.SINK"));
        assertEquals("50.0", standing(marit.get(path + "/chambers").body(), "BURETTE"));
        assertEquals("15", standing(marit.get(path + "/pressure").body(), "hold"));
        assertTrue(marit.get("/shop").body().contains("changed the settings: limits of books"));
        assertTrue(keepBooks(own).body().contains("Nothing was changed."));
        keepBooks();
        assertEquals("0.500", standing(marit.get(path + "/valves").body(), "I.SINK"));
    }

    @Test
    void whatCountsAsOddIsTheShopsToSay() {
        PartFile part = hands.bookReady();
        hands.read(part, SurveyKind.FACE, spot -> 0);
        assertEquals(200, keyed(part, "0.1").statusCode());
        keepBooks("BENCH_FACE_ODD", "0.08", "BENCH_FACE_ODD.from", "our granite");
        assertEquals(409, keyed(part, "0.11").statusCode());
        assertEquals(200, keyed(part, "0.07").statusCode());
    }

    private HttpResponse<String> keyed(PartFile part, String typed) {
        SurveyFile.PlaceFile place = shop.bean(Surveys.class)
                .find(part, SurveyKind.FACE)
                .orElseThrow()
                .places()
                .get(0);
        return marit.key(
                "/parts/" + part.tag() + "/face/readings",
                "id",
                UUID.randomUUID().toString(),
                "place",
                place.id().toString(),
                "typed",
                typed,
                "unit",
                "MM",
                "seen",
                Long.toString(place.reading().orElseThrow().seq()));
    }

    @Test
    void guidesArePressedAsTheShopDoes() {
        PartFile part = hands.book(Material.CAST_IRON);
        String path = "/parts/" + part.tag();
        marit.post(
                path + "/valves/set-up",
                "id",
                UUID.randomUUID().toString(),
                "intake",
                "1",
                "exhaust",
                "1",
                "rows",
                "ONE",
                "source",
                "MAKER");
        for (String at : List.of("TOP", "MIDDLE", "BOTTOM")) {
            hands.valve(parts.byTag(part.tag()), "1I", "STEM_" + at, "7.95");
            hands.valve(parts.byTag(part.tag()), "1I", "GUIDE_" + at + "_ALONG", "8.2");
            hands.valve(parts.byTag(part.tag()), "1I", "GUIDE_" + at + "_ACROSS", "8.2");
        }
        marit.post(
                path + "/guides/1I/choose", "id", UUID.randomUUID().toString(), "rung", "REPLACE", "housing", "13.045");
        String guides = marit.get(path + "/guides?valve=1I").body();
        assertTrue(guides.contains("Press wanted 0.020 to 0.050 mm in cast iron, general default"), guides);
        keepBooks("BENCH_GUIDE_PRESS_MOST_IRON", "0.04", "BENCH_GUIDE_PRESS_MOST_IRON.from", "our lathe");
        guides = marit.get(path + "/guides?valve=1I").body();
        assertTrue(guides.contains("Press wanted 0.020 to 0.040 mm in cast iron, this shop"), guides);
    }

    /** What was judged by them counts as it did when it left, and what is here by what stands now. */
    @Test
    void aBookThatWasHandedOverKeepsTheFiguresOfItsDay() {
        PartFile part = hands.bookReady();
        keepBooks("VALVE_I_SINK", "0.6", "VALVE_I_SINK.from", "a sheet");
        shop.bean(PartVisits.class).handOver(part.id(), List.of(), "", hands.ines());
        keepBooks("VALVE_I_SINK", "0.7", "VALVE_I_SINK.from", "a newer sheet");
        assertEquals(
                0.6, parts.byTag(part.tag()).rules().books().own("VALVE_I_SINK").orElseThrow());
        assertEquals(0.7, hands.bookReady().rules().books().own("VALVE_I_SINK").orElseThrow());
    }

    @Test
    void aBooksFigureThatCannotBeIsRefusedAndStaysAsKeyed() {
        HttpResponse<String> answer = keepBooks("VALVE_I_SINK", "twelve", "VALVE_I_SINK.from", "a sheet");
        assertEquals(422, answer.statusCode());
        assertTrue(answer.body().contains("data-wrong=\"VALVE_I_SINK\"")
                && answer.body().contains("twelve"));
        assertTrue(settings.history().now().books().own().isEmpty());
        assertEquals(
                403,
                Visitor.signedIn(shop.port(), "ines")
                        .get("/shop/settings/books")
                        .statusCode());
    }

    @Test
    void aRuleOfTheRouteIsLetGoWithItsReasonAndComesBack() {
        PartFile part = hands.bookReady();
        String rule = "ROUTE.CRACK_CHECK.VALVE_CHECK";
        String route = "/parts/" + part.tag() + "/route";
        String before = marit.get(route).body();
        assertFalse(before.contains("does not hold in this shop"), before);
        String said = marit.post("/shop/settings/route", rule, "valves are read while the dye dries")
                .body();
        assertTrue(said.contains("Every route goes by these from now on."), said);
        assertEquals(
                Map.of(rule, "valves are read while the dye dries"),
                parts.byTag(part.tag()).rules().letGo());
        String after = marit.get(route).body();
        assertTrue(
                after.contains("One rule of the route does not hold") && after.contains("while the dye dries"), after);
        assertTrue(marit.post("/shop/settings/route", rule, "valves are read while the dye dries")
                .body()
                .contains("Nothing was changed."));
        assertEquals(
                422, marit.post("/shop/settings/route", rule, "x".repeat(121)).statusCode());
        marit.post("/shop/settings/route", rule, "");
        assertEquals(Map.of(), parts.byTag(part.tag()).rules().letGo());
    }

    @Test
    void aFigureWithoutASourceIsRefusedAndStaysAsKeyed() {
        HttpResponse<String> answer = keep("COPPER", "0.06", "COPPER.from", "");
        assertEquals(422, answer.statusCode());
        assertTrue(answer.body().contains("data-wrong=\"COPPER.from\""), answer.body());
        assertTrue(answer.body().contains("value=\"0.06\""));
        assertTrue(settings.now().own().isEmpty());
    }

    @Test
    void whatIsTheSameIsNotWrittenTwice() {
        keep("COPPER", "0.06", "COPPER.from", "a sheet of its own");
        assertTrue(keep("COPPER", "0.06", "COPPER.from", "a sheet of its own")
                .body()
                .contains("Nothing was changed."));
        assertEquals(
                1L,
                shop.bean(JdbcClient.class)
                        .sql("select count(*) from shop_setting where name = 'COPPER' and words = 'a sheet of its own'")
                        .query(Long.class)
                        .single());
        assertEquals("a sheet of its own", settings.now().own().get(Item.COPPER).from());
    }

    @Test
    void onlyAnOwnerSetsIt() {
        Visitor ines = Visitor.signedIn(shop.port(), "ines");
        assertEquals(403, ines.get("/shop/settings").statusCode());
        ines.get("/");
        assertEquals(
                403,
                ines.post("/shop/settings/limits", "COPPER", "0.06", "COPPER.from", "x")
                        .statusCode());
        assertTrue(settings.now().own().isEmpty());
    }

    @Test
    void whatWasSetIsNeverChanged() {
        keep("COPPER", "0.06", "COPPER.from", "a sheet");
        JdbcClient jdbc = shop.bean(JdbcClient.class);
        for (String sql : List.of("update shop_setting set nm = 1", "delete from shop_setting")) {
            assertThrows(DataAccessException.class, () -> jdbc.sql(sql).update(), sql);
        }
        assertFalse(settings.now().own().isEmpty());
    }

    @Test
    void whatStandsOnThePapersIsKeyedOnceAndRefusedWhereItFitsOnNoLetter() {
        PartFile part = hands.bookFor("Paper Yard");
        marit.get("/shop/settings/paper");
        HttpResponse<String> kept = marit.post(
                "/shop/settings/paper",
                "address",
                "Quay 4\n\nSaltmarsh",
                "phone",
                "0123 456",
                "mail",
                "desk@saltmarsh.example",
                "label",
                "TAPE_62");
        assertTrue(kept.body().contains("This stands on every paper from now on."), kept.body());
        String report = marit.get("/parts/" + part.tag() + "/report").body();
        assertTrue(report.contains("Quay 4 · Saltmarsh · 0123 456 · desk@saltmarsh.example"), report);
        assertTrue(marit.get("/parts/" + part.tag() + "/tag").body().contains("tape62"));
        HttpResponse<String> refused = marit.post("/shop/settings/paper", "address", "Quay 5", "mail", "nobody");
        assertEquals(422, refused.statusCode());
        assertTrue(refused.body().contains("key the address with its @")
                && refused.body().contains("Quay 5"));
        marit.post("/shop/settings/paper");
        assertFalse(marit.get("/parts/" + part.tag() + "/report").body().contains("Quay 4"));
    }
}
