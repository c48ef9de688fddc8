package homalon.app.foundation.passkeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import homalon.app.foundation.people.Journal;
import homalon.app.foundation.people.People;
import homalon.app.foundation.people.Role;
import homalon.app.testing.Browser;
import homalon.app.testing.OwnDatabase;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** An owner with a device that the browser only pretends; under the name localhost, since a passkey belongs to a name. */
@ExtendWith({RunningShop.class, Browser.class})
class PasskeysTest {
    private static RunningShop.Shop shop;
    private static People people;
    private static UUID oda;
    private static String address;
    private final Browser.Window window;
    private final RunningShop.Shop without;

    PasskeysTest(Browser.Window window, RunningShop.Shop without) {
        this.window = window;
        this.without = without;
    }

    @BeforeAll
    static void start() {
        int port = RunningShop.freePort();
        address = "http://localhost:" + port;
        shop = RunningShop.empty(
                "--server.port=" + port, "--homalon.passkeys=true", "--homalon.public-address=" + address);

        people = shop.bean(People.class);
        people.addFirstOwner("oda", "Oda", "saltmarsh-demo");
        oda = people.all().get(0).id();
        people.add("tove", "Tove", Role.OWNER, "saltmarsh-demo");
    }

    @AfterAll
    static void stop() {
        shop.close();
    }

    private static void device(Page page) {
        CDPSession browser = page.context().newCDPSession(page);
        browser.send("WebAuthn.enable");
        JsonObject options = new JsonObject();
        options.addProperty("protocol", "ctap2");
        options.addProperty("transport", "internal");
        options.addProperty("hasResidentKey", true);
        options.addProperty("hasUserVerification", true);
        options.addProperty("isUserVerified", true);
        options.addProperty("automaticPresenceSimulation", true);
        JsonObject wanted = new JsonObject();
        wanted.add("options", options);
        browser.send("WebAuthn.addVirtualAuthenticator", wanted);
    }

    private static void signInByPassword(Page page) {
        page.navigate(address + "/sign-in");
        page.fill("[name=login]", "oda");
        page.fill("[name=password]", "saltmarsh-demo");
        page.keyboard().press("Enter");
        page.waitForURL(address + "/");
    }

    @Test
    void anOwnerComesInWithADeviceUntilThePasskeyOrTheRoleIsGone() {
        Page page = window.open(address + "/sign-in", 1280, 800, new ArrayList<>());
        device(page);
        page.getByText("Sign in with a passkey").click();
        assertThat(page.locator("[data-passkey-sign-in] .say")).containsText("did not show a passkey");

        signInByPassword(page);
        page.navigate(address + "/shop");
        page.fill("[data-passkey-make] [name=label]", "Oda's phone");
        page.getByText("Make a passkey").click();
        assertThat(page.locator(
                        "li:has(form[action='/shop/passkeys/remove'])",
                        new Page.LocatorOptions().setHasText("Oda's phone")))
                .isVisible();
        assertEquals(Journal.What.PASSKEY_MADE, last().what());

        page.context().clearCookies();
        page.navigate(address + "/sign-in");
        page.getByText("Sign in with a passkey").click();
        page.waitForURL(address + "/");
        assertEquals(Journal.What.SIGNED_IN, last().what());
        assertTrue(last().detail().startsWith("by passkey"), last().detail());

        people.setRole(oda, Role.MACHINIST);
        page.context().clearCookies();
        page.navigate(address + "/sign-in");
        page.getByText("Sign in with a passkey").click();
        assertThat(page.locator("[data-passkey-sign-in] .say")).containsText("was not taken");
        assertEquals(Journal.What.NOT_LET_IN, last().what());
        people.setRole(oda, Role.OWNER);

        signInByPassword(page);
        page.navigate(address + "/shop");
        page.locator("form[action='/shop/passkeys/remove'] button").click();
        assertThat(page.locator("form[action='/shop/passkeys/remove']")).hasCount(0);
        assertEquals(
                "0",
                OwnDatabase.asked(shop, "select count(*)::text from passkey").get(0));
        page.context().clearCookies();
        page.navigate(address + "/sign-in");
        page.getByText("Sign in with a passkey").click();
        assertThat(page.locator("[data-passkey-sign-in] .say")).containsText("was not taken");
        page.context().close();
    }

    /** Where only passkeys let owners in, a right password does not, once there is one; before, and without it, it does. */
    @Test
    void whereOnlyPasskeysLetInARightPasswordIsNotEnough() {
        int port = RunningShop.freePort();
        String own = "http://localhost:" + port;
        try (RunningShop.Shop only = RunningShop.empty(
                "--server.port=" + port,
                "--homalon.passkeys=true",
                "--homalon.passkeys-only=true",
                "--homalon.public-address=" + own)) {
            People of = only.bean(People.class);
            of.addFirstOwner("liv", "Liv", "saltmarsh-demo");
            Page page = window.open(own + "/sign-in", 1280, 800, new ArrayList<>());
            device(page);
            byPassword(page, own);
            page.waitForURL(own + "/");
            page.navigate(own + "/shop");
            page.fill("[data-passkey-make] [name=label]", "Liv's key");
            page.getByText("Make a passkey").click();
            assertThat(page.locator("form[action='/shop/passkeys/remove']")).hasCount(1);

            page.context().clearCookies();
            byPassword(page, own);
            assertThat(page.locator("body")).containsText("owner signs in with the passkey");
            assertEquals(
                    Journal.What.NOT_LET_IN,
                    only.bean(Journal.class).last(1).get(0).what());
            page.getByText("Sign in with a passkey").click();
            page.waitForURL(own + "/");
            page.context().close();
        }
    }

    private static void byPassword(Page page, String own) {
        page.navigate(own + "/sign-in");
        page.fill("[name=login]", "liv");
        page.fill("[name=password]", "saltmarsh-demo");
        page.keyboard().press("Enter");
    }

    @Test
    void whatIsNoPasskeyLetsNobodyIn() {
        Visitor nobody = new Visitor(shop.port());
        nobody.get("/sign-in");
        assertEquals(
                401, nobody.raw("/sign-in/passkey", "application/json", "{}").statusCode(), "nothing was asked");
        for (String shown :
                new String[] {"{}", "[]", "x", "{\"id\":\"AAAA\",\"rawId\":\"AAAA\",\"type\":\"public-key\"}"}) {
            HttpResponse<String> asked = nobody.raw("/sign-in/passkey/options", "application/json", "{}");
            assertEquals(200, asked.statusCode());
            nobody.token(asked.headers().firstValue("X-Token").orElseThrow());
            HttpResponse<String> answer = nobody.raw("/sign-in/passkey", "application/json", shown);
            assertEquals(401, answer.statusCode(), shown);
            assertTrue(answer.body().contains("sign in with the password"), answer.body());
            assertEquals(302, nobody.get("/").statusCode());
            nobody.token(asked.headers().firstValue("X-Token").orElseThrow());
        }
        assertEquals(403, nobody.postWithoutToken("/sign-in/passkey/options").statusCode());
    }

    @Test
    void onlyAnOwnerMakesOneAndOnlyWhereTheyAreOn() {
        people.add("runa", "Runa", Role.MACHINIST, "saltmarsh-demo");
        Visitor runa = Visitor.signedIn(shop.port(), "runa");
        assertEquals(
                403,
                runa.raw("/shop/passkeys/options", "application/json", "{}").statusCode());
        Visitor marit = Visitor.signedIn(without.port(), "marit");
        assertEquals(
                404,
                marit.raw("/shop/passkeys/options", "application/json", "{}").statusCode());
        assertTrue(!marit.get("/shop").body().contains("passkey"));
    }

    private static Journal.Line last() {
        return shop.bean(Journal.class).last(1).get(0);
    }
}
