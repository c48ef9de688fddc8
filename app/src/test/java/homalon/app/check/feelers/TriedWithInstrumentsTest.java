package homalon.app.check.feelers;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.shop.instruments.Instruments;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.face.FeelerEvidence;
import homalon.core.gauge.Compared;
import homalon.core.gauge.Instrument;
import homalon.core.gauge.InstrumentKind;
import homalon.core.visit.Asked;
import homalon.core.visit.FeelerFile;
import homalon.core.visit.FeelerKind;
import homalon.core.visit.PartFile;
import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Edge and feelers in hand: what they leave open goes into the chance, and one past due is said with the verdict. */
@ExtendWith(RunningShop.class)
class TriedWithInstrumentsTest {
    private final List<String> added = new ArrayList<>();
    private final RunningShop.Shop shop;
    private final HandsOfTests hands;
    private final Visitor ines;

    TriedWithInstrumentsTest(RunningShop.Shop shop) {
        this.shop = shop;
        this.hands = new HandsOfTests(shop);
        this.ines = Visitor.signedIn(shop.port(), "ines");
    }

    /** What somebody had in hand last is proposed to that person everywhere: other tests read with none. */
    @AfterEach
    void putAway() {
        added.forEach(code -> shop.bean(Instruments.class).retire(code, true));
    }

    private String instrument(InstrumentKind kind, String code, double limits, int daysAgo) {
        Instruments register = shop.bean(Instruments.class);
        register.add(new Instrument(code, "of the test", kind, Instrument.Known.LIMITS, limits, OptionalInt.of(12)));
        LocalDate on = LocalDate.now(ZoneId.systemDefault()).minusDays(daysAgo);
        register.compare(UUID.randomUUID(), code, new Compared(on, "granite", 0), hands.ines());
        added.add(code);
        return code;
    }

    private FeelerFile survey(PartFile part) {
        return shop.bean(FeelerSurveys.class).find(part, FeelerKind.FACE).orElseThrow();
    }

    private String key(PartFile part, Asked asked, String typed) {
        UUID place = survey(part).lines().get(0).places().stream()
                .filter(p -> p.asked() == asked)
                .findFirst()
                .orElseThrow()
                .id();
        String[] fields = {"id", UUID.randomUUID().toString(), "place", place.toString(), "typed", typed, "unit", "MM"};
        return ines.key("/parts/" + part.tag() + "/feelers/readings", fields).body();
    }

    @Test
    void anEdgePastDueIsSaidWithTheVerdictAndInTheReportAndItsToleranceGoesIntoTheChance() {
        String edge = instrument(InstrumentKind.STRAIGHTEDGE, "MF-01", 0.02, 400);
        String blades = instrument(InstrumentKind.FEELERS, "MF-02", 0.003, 10);
        PartFile part = hands.bookReady();
        String path = "/parts/" + part.tag() + "/feelers";
        assertTrue(ines.get(path).body().contains("name=\"hand-STRAIGHTEDGE\""));
        ines.post(path + "/start", "way", "FIND", "limitKind", "GAP", "hand-STRAIGHTEDGE", edge);
        assertEquals(0.02 / Math.sqrt(3), survey(part).tools(part.rules()).edge(), 1e-12);
        assertEquals(
                FeelerEvidence.Tools.USUAL.blade(),
                survey(part).tools(part.rules()).blade(),
                "none was noted");
        key(part, Asked.REST, "s");
        assertTrue(key(part, Asked.STATION, "0.05").contains("past due since"));
        assertTrue(ines.get("/parts/" + part.tag() + "/report").body().contains("past due since"));
        assertTrue(ines.get("/parts/" + part.tag() + "/record.json").body().contains("\"triedWith\""));

        String taken = ines.key(path + "/with", "instrument", "FEELERS", "code", blades)
                .body();
        assertTrue(taken.contains(blades), taken);
        assertEquals(0.003 / Math.sqrt(3), survey(part).tools(part.rules()).blade(), 1e-12);
        // another edge: the first one's answer stands, so that the coarser of the two counts
        String fine = instrument(InstrumentKind.STRAIGHTEDGE, "MF-03", 0.002, 10);
        ines.key(path + "/with", "instrument", "STRAIGHTEDGE", "code", fine);
        assertEquals(0.02 / Math.sqrt(3), survey(part).tools(part.rules()).edge(), 1e-12);
        assertEquals(
                422,
                ines.key(path + "/with", "instrument", "INDICATOR", "code", "").statusCode());
    }

    @Test
    void withoutAnyTheUsualStandsAndNothingIsMarked() {
        PartFile part = hands.bookReady();
        String path = "/parts/" + part.tag() + "/feelers";
        HttpResponse<String> begun = ines.post(path + "/start", "way", "FIND", "limitKind", "GAP");
        assertEquals(302, begun.statusCode());
        assertEquals(
                FeelerEvidence.Tools.USUAL.edge(),
                survey(part).tools(part.rules()).edge());
        assertEquals(
                FeelerEvidence.Tools.USUAL.blade(),
                survey(part).tools(part.rules()).blade());
        key(part, Asked.REST, "s");
        assertFalse(key(part, Asked.STATION, "0.02").contains("past due"));
    }
}
