package homalon.app.outcome.report;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.casting.customer.Customer;
import homalon.app.casting.customer.Customers;
import homalon.app.casting.part.Parts;
import homalon.app.foundation.load.Sha256;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.cut.SetUpMethod;
import homalon.core.part.Material;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyKind;
import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;

/** A customer who is erased leaves no name behind, and breaks no seal. */
@ExtendWith(RunningShop.class)
class ErasedCustomerTest {
    /** With letters that a page writes otherwise. */
    private static final String NAME = "Tarn & \"Sons\" <hauliers>";

    private final RunningShop.Shop shop;
    private final HandsOfTests hands;
    private final Visitor marit;

    ErasedCustomerTest(RunningShop.Shop shop) {
        this.shop = shop;
        this.hands = new HandsOfTests(shop);
        this.marit = Visitor.signedIn(shop.port(), "marit");
    }

    private PartFile of(String customer) {
        PartFile part = hands.book(Material.CAST_IRON);
        Customer record =
                shop.bean(Customers.class).named(customer, part.visit().openedBy());
        shop.bean(JdbcClient.class)
                .sql("update part set customer = ?, customer_id = ? where id = ?")
                .params(customer, record.id(), part.id())
                .update();
        hands.read(part, SurveyKind.FACE, s -> 0.01 * Math.sin(s.x() / 60));
        hands.plan(part, SetUpMethod.LEAST_REMOVAL);
        return part;
    }

    private String leave(PartFile part) {
        marit.get("/parts/" + part.tag() + "/report");
        marit.post("/parts/" + part.tag() + "/report", "note", "fetched early");
        return part.tag();
    }

    private HttpResponse<String> erase(String name) {
        String page = "/shop/customers/" + id(name) + "/erase";
        marit.get(page);
        return marit.post(page, "name", name);
    }

    private UUID id(String name) {
        return shop.bean(Customers.class).called(name).orElseThrow().id();
    }

    private List<SealCheck.Found> seals(String tag) {
        return shop.bean(SealCheck.class).of(shop.bean(Parts.class).byTag(tag));
    }

    @Test
    void theNameGoesAndEverySealStillAgrees() throws Exception {
        PartFile came = of(NAME);
        String ready = "/parts/" + came.tag() + "/ready";
        marit.get(ready);
        String today = LocalDate.now(ZoneId.systemDefault()).toString();
        marit.post(ready + "/promise", "id", UUID.randomUUID().toString(), "day", today, "told", "young Mr Tarn");
        marit.post(ready + "/owed", "id", UUID.randomUUID().toString(), "what", "CAPS", "words", "Tarn brings them");
        marit.post(ready + "/call", "id", UUID.randomUUID().toString(), "said", "Tarn fetches it");
        String saidThere = marit.get(ready).body();
        for (String words : List.of("young Mr Tarn", "Tarn brings them", "Tarn fetches it")) {
            assertTrue(saidThere.contains(words), words);
        }
        String tag = leave(came);
        String other = leave(of("Tarn"));
        String page = marit.get("/parts/" + tag + "/report").body();
        assertTrue(page.contains("Tarn &amp; "), "it was there");
        byte[] print = shop.bean(SealedPapers.class)
                .paper(shop.bean(Parts.class).byTag(tag).visit().id(), "pdf", homalon.core.quantity.BenchUnit.MM)
                .orElseThrow();

        HttpResponse<String> answer = erase(NAME);
        assertEquals(200, answer.statusCode());
        assertTrue(answer.body().contains("1 casting stands without a name now."), answer.body());

        String after = marit.get("/parts/" + tag + "/report").body();
        assertFalse(
                after.contains("Tarn"), () -> after.substring(after.indexOf("Tarn") - 200, after.indexOf("Tarn") + 60));
        assertTrue(after.contains(">erased<"));
        assertTrue(after.contains("The customer was erased on"));
        // The rest of what was said that day stands word by word.
        assertEquals(paper(page).replaceAll(">Tarn &amp;[^<]*<", ">erased<"), paper(after));
        assertFalse(marit.get(ready).body().contains("Tarn"), "words on the phone go too");
        assertEquals(
                Optional.of(today),
                shop.bean(Parts.class).byTag(tag).visit().promised().map(LocalDate::toString));
        assertEquals(404, marit.get("/parts/" + tag + "/report.pdf").statusCode());
        assertFalse(marit.get("/find?q=" + tag).body().contains("Tarn"));
        assertFalse(marit.get("/parts/" + tag + "/record.json").body().contains("Tarn"));
        assertTrue(seals(tag).get(0).agrees(), seals(tag).toString());
        assertTrue(
                shop.bean(SealCheck.class)
                        .paper(shop.bean(Parts.class).byTag(tag), print)
                        .contains("unchanged"),
                "a print in the customer's hands is known still");
        assertTrue(shop.bean(SealCheck.class).ofSum(Sha256.of(print)).isPresent());
        assertTrue(
                marit.get("/parts/" + other + "/report").body().contains("Tarn"),
                "somebody whose name begins the same stays");
        assertEquals(200, marit.get("/parts/" + other + "/report.pdf").statusCode());
        String journal = marit.get("/shop").body();
        assertTrue(journal.contains("erased a customer") && !journal.contains("hauliers"), "a line without the name");
    }

    private static String paper(String page) {
        return page.replaceAll("(?s).*<div id=\"paper\"[^>]*>(.*?)<section class=\"sheet.*", "$1");
    }

    @Test
    void whoseCastingIsHereIsErasedWhenItHasLeft() {
        PartFile part = of("Wherry Yard");
        HttpResponse<String> refused = erase("Wherry Yard");
        assertEquals(422, refused.statusCode());
        assertTrue(refused.body().contains(part.tag() + " of this customer is in the shop"), refused.body());
        assertThrows(
                DataAccessException.class,
                () -> shop.bean(ReleaseErasedRepository.class)
                        .erase(
                                id("Wherry Yard"),
                                new String[] {"-"},
                                "-",
                                "erased",
                                shop.bean(Parts.class).byTag(part.tag()).id()));
        leave(part);
        assertEquals(200, erase("Wherry Yard").statusCode());
        assertTrue(shop.bean(Customers.class).called("Wherry Yard").isEmpty(), "phone and notes went along");
    }

    @Test
    void nobodyIsErasedByASlip() {
        of("Slipway Stores");
        String page = "/shop/customers/" + id("Slipway Stores") + "/erase";
        marit.get(page);
        HttpResponse<String> refused = marit.post(page, "name", "Slipway");
        assertEquals(422, refused.statusCode());
        assertTrue(refused.body().contains("Key the name as it stands there"), refused.body());
        assertTrue(shop.bean(Customers.class).called("Slipway Stores").isPresent());
    }

    @Test
    void everyNameThatACustomerHadGoesFromThePapers() {
        String tag = leave(of("Ebb & Flow Boats"));
        Customer was = shop.bean(Customers.class).called("Ebb & Flow Boats").orElseThrow();
        UUID by = shop.bean(Parts.class).byTag(tag).visit().openedBy();
        shop.bean(Customers.class).change(was.id(), "Neap Boats", "", "", "", "", "", was.version(), by);
        String page = marit.get("/parts/" + tag + "/report").body();
        assertTrue(page.contains("Ebb &amp; Flow Boats"), "what was handed over still says the name of that day");
        assertEquals("Neap Boats", shop.bean(Parts.class).byTag(tag).customer());
        assertEquals(200, erase("Neap Boats").statusCode());
        String after = marit.get("/parts/" + tag + "/report").body();
        assertFalse(after.contains("Ebb &amp; Flow") || after.contains("Neap Boats"), after);
        assertTrue(seals(tag).get(0).agrees(), seals(tag).toString());
    }

    /** The application's own role can take nothing from what was handed over but through the one function. */
    @Test
    void nothingElseTakesAwayAPaper() {
        JdbcClient jdbc = shop.bean(JdbcClient.class);
        for (String sql : List.of(
                "delete from release_paper",
                "update release_paper set content = ''",
                "delete from release_salt",
                "delete from release_erased",
                "insert into release_erased select id, now(), null, '' from job limit 1")) {
            assertThrows(DataAccessException.class, () -> jdbc.sql(sql).update(), sql);
        }
    }
}
