package homalon.app.foundation.door;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.foundation.people.People;
import homalon.app.shop.tools.Toolbox;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.quantity.BenchUnit;
import java.net.http.HttpResponse;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What the owner settles: who may come in, what the shop has on its shelf. */
@ExtendWith(RunningShop.class)
class OwnerTest {
    private final RunningShop.Shop shop;
    private final Visitor marit;

    OwnerTest(RunningShop.Shop shop) {
        this.shop = shop;
        this.marit = Visitor.signedIn(shop.port(), "marit");
    }

    private static void refused(HttpResponse<String> answer, String says) {
        assertEquals(422, answer.statusCode(), answer.body());
        assertTrue(answer.body().contains(says), answer.body());
    }

    private UUID id(String name) {
        return shop.bean(People.class).all().stream()
                .filter(p -> p.name().equals(name))
                .findFirst()
                .orElseThrow()
                .id();
    }

    /** Somebody new comes in, works, and is shut out again; what they did keeps their name. */
    @Test
    void somebodyIsLetInAndShutOut() {
        refused(
                marit.post("/shop/people", "name", "Tove", "login", "tove", "password", "short", "role", "MACHINIST"),
                "assword");
        refused(
                marit.post(
                        "/shop/people",
                        "name",
                        "Tove",
                        "login",
                        "ines",
                        "password",
                        "lantern-and-rope",
                        "role",
                        "DESK"),
                "That login is taken");
        HttpResponse<String> added = marit.post(
                "/shop/people", "name", "Tove", "login", "tove", "password", "saltmarsh-demo", "role", "MACHINIST");
        assertEquals(200, added.statusCode(), added.body());
        assertTrue(added.body().contains("Tove can sign in now."));
        Visitor tove = Visitor.signedIn(shop.port(), "tove");
        assertTrue(tove.get("/").body().contains("Tove"));
        assertEquals(403, tove.get("/shop").statusCode(), "a machinist does not settle who comes in");
        assertEquals(
                403,
                tove.post("/shop/people/active", "id", id("Tove").toString(), "active", "true")
                        .statusCode());
        assertEquals(
                200,
                marit.post("/shop/people/active", "id", id("Tove").toString(), "active", "false")
                        .statusCode());
        Visitor again = Visitor.signedIn(shop.port(), "tove");
        assertEquals(302, again.get("/").statusCode(), "shut out");
        refused(
                marit.post("/shop/people/active", "id", id("Marit").toString(), "active", "false"),
                "You cannot block your own account");
    }

    @Test
    void theShopHasItsNameOnEveryPage() {
        refused(marit.post("/shop/settings/shop", "shopName", " "), "shop");
        assertEquals(
                302,
                marit.post("/shop/settings/shop", "shopName", "Saltmarsh <b>& Sons")
                        .statusCode());
        String page = Visitor.signedIn(shop.port(), "ines").get("/").body();
        assertTrue(page.contains("Saltmarsh &lt;b&gt;&amp; Sons"), "escaped wherever it is shown");
        assertFalse(page.contains("Saltmarsh <b>"));
        marit.post("/shop/settings/shop", "shopName", "Saltmarsh Head & Deck");
    }

    @ParameterizedTest
    @ValueSource(strings = {"12", "abcd", "123456789", "1234", "0000"})
    void aPinThatAnybodyWouldTryIsRefused(String pin) {
        HttpResponse<String> answer = Visitor.signedIn(shop.port(), "ines").post("/person/pin", "pin", pin);
        refused(answer, "PIN");
    }

    @Test
    void theNumbersOfABenchAreAPersonsOwn() {
        Visitor ines = Visitor.signedIn(shop.port(), "ines");
        assertEquals(204, ines.post("/me/unit", "to", "THOU").statusCode());
        assertEquals(204, ines.post("/me/theme", "to", "DIM").statusCode());
        String page = ines.get("/").body();
        assertTrue(page.contains("data-theme=\"dim\""));
        assertFalse(marit.get("/").body().contains("data-theme=\"dim\""), "nobody else's lamp is turned down");
        assertEquals(204, ines.post("/me/unit", "to", "MM").statusCode());
        assertEquals(204, ines.post("/me/theme", "to", "LIGHT").statusCode());
        assertTrue(ines.post("/me/unit", "to", "CUBITS").statusCode() / 100 == 4);
    }

    @Test
    void machinesAndCuttersComeAndGo() {
        String[] mill = {
            "name", "Planer", "minRpm", "80", "maxRpm", "700", "power", "4", "minFeed", "20", "maxFeed", "600"
        };
        HttpResponse<String> added = marit.post("/shop/tools/machines", mill);
        assertEquals(200, added.statusCode(), added.body());
        refused(marit.post("/shop/tools/machines", mill), "There is a machine of that name");
        mill[5] = "fast";
        mill[1] = "Other";
        assertEquals(422, marit.post("/shop/tools/machines", mill).statusCode(), "what is no number is no speed");
        assertEquals(
                200,
                marit.post(
                                "/shop/tools/cutters",
                                "name",
                                "Disc 9",
                                "insert",
                                "PCD",
                                "diameter",
                                "13 in",
                                "noseRadius",
                                "6.35",
                                "edges",
                                "4")
                        .statusCode());
        assertEquals(
                330.2, shop.bean(Toolbox.class).cutter("disc 9").orElseThrow().diameter(), 1e-9);
        refused(marit.post("/shop/tools/cutters", "name", "Disc 10", "diameter", "wide", "edges", "4"), "not a length");
        for (String name : new String[] {"Planer", "Disc 9"}) {
            assertEquals(200, marit.post("/shop/tools/retire", "name", name).statusCode());
        }
        assertTrue(shop.bean(Toolbox.class).machine("Planer").isEmpty());
        assertTrue(shop.bean(Toolbox.class).cutter("Disc 9").isEmpty());
    }

    @Test
    void feelersAndShimsAreThoseOfTheShop() {
        refused(marit.post("/shop/tools/blades", "blades", "0.05 wide 0.1"), "not a length");
        refused(marit.post("/shop/tools/shims", "shims", "-0.1"), "shim");
        assertEquals(
                200, marit.post("/shop/tools/shims", "shims", "0.05 0.1 0.2").statusCode());
        assertEquals(3, shop.bean(Toolbox.class).shims(BenchUnit.MM).leaves().size());
        assertEquals(200, marit.post("/shop/tools/shims", "shims", "").statusCode(), "none: in steps again");
        assertTrue(shop.bean(Toolbox.class).shims(BenchUnit.MM).inSteps());
    }
}
