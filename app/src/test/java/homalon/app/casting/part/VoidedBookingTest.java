package homalon.app.casting.part;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.work.WorkEntry;
import homalon.app.casting.work.WorkLog;
import homalon.app.foundation.words.Words;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.cut.SetUpMethod;
import homalon.core.input.BadInputException;
import homalon.core.route.Operation;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyKind;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;

/** A booking that was a mistake. */
@ExtendWith(RunningShop.class)
class VoidedBookingTest {
    private final RunningShop.Shop shop;
    private final HandsOfTests hands;
    private final Parts parts;
    private final VoidedBookings voided;
    private final Visitor marit;

    VoidedBookingTest(RunningShop.Shop shop) {
        this.shop = shop;
        this.hands = new HandsOfTests(shop);
        this.parts = shop.bean(Parts.class);
        this.voided = shop.bean(VoidedBookings.class);
        this.marit = Visitor.signedIn(shop.port(), "marit");
    }

    private void cut(PartFile part) {
        hands.read(part, SurveyKind.FACE, s -> 0.01 * Math.sin(s.x() / 60));
        hands.plan(part, SetUpMethod.LEAST_REMOVAL);
        hands.pass(part, "0.1");
    }

    @Test
    void itsTagIsFreeAndNoListShowsIt() {
        PartFile part = hands.bookFor("Void Yard");
        hands.read(part, SurveyKind.FACE, s -> 0.0);
        marit.get("/parts/" + part.tag() + "/intake");
        HttpResponse<String> answer = marit.post("/parts/" + part.tag() + "/void", "void", "booked in twice");
        assertEquals(302, answer.statusCode());
        assertTrue(parts.find(part.tag()).isEmpty());
        assertTrue(parts.byId(part.id()).isEmpty());
        assertFalse(marit.get("/").body().contains(part.tag()));
        assertFalse(marit.get("/find?q=Void+Yard").body().contains(part.tag()));
        assertEquals(404, marit.get("/parts/" + part.tag()).statusCode());
        assertTrue(marit.get("/shop").body().contains("voided a booking: " + part.tag() + ", booked in twice"));
        assertEquals(part.tag(), shop.bean(FreeTags.class).next(), "hung on the next one");
        PartFile next = hands.bookFor("Void Yard");
        assertEquals(part.tag(), next.tag());
        assertEquals(1, next.visits());
        assertEquals(
                "1",
                shop.bean(JdbcClient.class)
                        .sql(
                                "select count(distinct s.id)::text from survey s join place p on p.survey_id = s.id join reading r on r.place_id = p.id where s.job_id = ?")
                        .param(part.visit().id())
                        .query(String.class)
                        .single(),
                "what was read is kept");
    }

    @Test
    void ofACastingThatWasHereBeforeOnlyTheVisitGoes() {
        PartFile part = hands.bookFor("Void Yard");
        PartVisits visits = shop.bean(PartVisits.class);
        visits.handOver(part.id(), List.of(), "", hands.ines());
        PartFile back = visits.comeBack(part.tag(), "leaks", "", hands.ines());
        assertTrue(voided.voids(back, "it was its sister", hands.ines()));
        PartFile now = parts.byTag(part.tag());
        assertEquals(part.visit().id(), now.visit().id());
        assertEquals(1, now.visits());
        PartFile again = visits.comeBack(part.tag(), "leaks after all", "", hands.ines());
        assertEquals(2, again.visit().no());
        assertEquals(2, again.visits());
    }

    @Test
    void notOnceMetalCameOff() {
        PartFile part = hands.bookFor("Void Yard");
        cut(part);
        BadInputException e =
                assertThrows(BadInputException.class, () -> voided.voids(part, "a mistake", hands.ines()));
        assertEquals("void", e.problems().get(0).field());
        assertTrue(parts.find(part.tag()).isPresent());
        shop.bean(Ledgers.class).reverseLast(part, UUID.randomUUID(), "never cut", hands.ines());
        assertFalse(voided.voids(part, "a pass that never was", hands.ines()));
    }

    /** Cleaned and looked at it is as it was; what was stitched stays stitched. */
    @Test
    void notOnceWorkWasDoneOnIt() {
        PartFile part = hands.bookFor("Void Yard");
        hands.prepare(part);
        WorkLog work = shop.bean(WorkLog.class);
        UUID stitch = UUID.randomUUID();
        work.write(part, stitch, WorkEntry.Kind.DID, Operation.STITCH, "6 pins", hands.ines());
        BadInputException e =
                assertThrows(BadInputException.class, () -> voided.voids(part, "a mistake", hands.ines()));
        assertTrue(Words.of(e.sentence()).contains("Stitch with pins was done on it"), Words.of(e.sentence()));
        work.takeBack(part, UUID.randomUUID(), stitch, hands.ines());
        assertFalse(voided.voids(part, "a mistake", hands.ines()));
    }

    @Test
    void notWithoutAReasonAndNotOnceItLeft() {
        PartFile part = hands.bookFor("Void Yard");
        assertThrows(BadInputException.class, () -> voided.voids(part, "  ", hands.ines()));
        shop.bean(PartVisits.class).handOver(part.id(), List.of(), "", hands.ines());
        PartFile left = parts.byTag(part.tag());
        assertThrows(BadInputException.class, () -> voided.voids(left, "too late", hands.ines()));
        assertTrue(parts.find(part.tag()).isPresent());
    }

    @Test
    void whoseReasonIsMissingIsToldOnTheSheet() {
        PartFile part = hands.bookFor("Void Yard");
        marit.get("/parts/" + part.tag() + "/intake");
        HttpResponse<String> answer = marit.post("/parts/" + part.tag() + "/void", "void", "");
        assertEquals(422, answer.statusCode());
        assertTrue(answer.body().contains("data-wrong=\"void\""), answer.body());
    }

    @Test
    void aTakenTagIsReplacedByTheNextFreeOne() {
        PartFile part = hands.bookFor("Void Yard");
        marit.get("/parts/new");
        HttpResponse<String> answer = marit.post(
                "/parts", "tag", part.tag(), "name", "Sloop", "customer", "Void Yard", "bore", "84", "spacing", "96");
        assertEquals(422, answer.statusCode());
        assertTrue(answer.body().contains("value=\"" + shop.bean(FreeTags.class).next() + "\""), answer.body());
        assertTrue(answer.body().contains("value=\"Sloop\""), "the rest stays as keyed");
    }
}
