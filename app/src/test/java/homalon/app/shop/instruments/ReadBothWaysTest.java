package homalon.app.shop.instruments;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.gauge.GaugeStanding;
import homalon.core.gauge.Instrument;
import homalon.core.gauge.InstrumentKind;
import java.util.OptionalInt;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** An edge turned over and a table on which the part is turned say what they are out by themselves. */
@ExtendWith(RunningShop.class)
class ReadBothWaysTest {
    private static final String EDGE = "MX-711";
    private static final String TABLE = "MX-712";

    private final RunningShop.Shop shop;
    private final Visitor ines;
    private final Visitor owner;

    ReadBothWaysTest(RunningShop.Shop shop) {
        this.shop = shop;
        this.ines = Visitor.signedIn(shop.port(), "ines");
        this.owner = Visitor.signedIn(shop.port(), "marit");
    }

    private Instruments register() {
        return shop.bean(Instruments.class);
    }

    private void has(String code, InstrumentKind kind) {
        if (register().find(code).isEmpty()) {
            register()
                    .add(new Instrument(code, "of the test", kind, Instrument.Known.LIMITS, 0.02, OptionalInt.of(12)));
        }
        register().retire(code, false);
    }

    @AfterEach
    void putAway() {
        register().find(EDGE).ifPresent(k -> register().retire(EDGE, true));
        register().find(TABLE).ifPresent(k -> register().retire(TABLE, true));
    }

    private String keep(String code, UUID id, String way, String first, String second) {
        return ines.post(
                        "/instruments/" + code + "/reversals",
                        "id",
                        id.toString(),
                        "way",
                        way,
                        "first",
                        first,
                        "second",
                        second)
                .body();
    }

    @Test
    void anEdgeTurnedOverIsGoodToWhatItIsOutByItself() {
        has(EDGE, InstrumentKind.STRAIGHTEDGE);
        assertEquals(
                GaugeStanding.State.NEVER, register().known(EDGE).standing().state());
        UUID id = UUID.randomUUID();
        keep(EDGE, id, "OVER", "0 0.012 0.02 0.01 0", "0 0.006 0.012 0.005 0");
        keep(EDGE, id, "OVER", "0 0 0", "0 0 0");
        String page = ines.get("/instruments/" + EDGE).body();
        assertTrue(page.contains("0.004 mm"), "half of what changed: " + page);
        assertFalse(page.contains("Say ±"), "what it is good to is the owner's to say");
        assertEquals(
                403,
                ines.post("/instruments/" + EDGE + "/reversals/" + id + "/take").statusCode());
        assertEquals(0.02, register().known(EDGE).instrument().amount());

        assertTrue(owner.get("/instruments/" + EDGE).body().contains("Say ±"));
        owner.post("/instruments/" + EDGE + "/reversals/" + id + "/take");
        Instruments.Known now = register().known(EDGE);
        assertEquals(0.004, now.instrument().amount(), 1e-12);
        assertEquals(Instrument.Known.LIMITS, now.instrument().known());
        assertEquals(GaugeStanding.State.GOOD, now.standing().state(), "compared with itself");
    }

    /** Hollow as a whole it would read the same both ways: the figure is taken, but that is no comparison. */
    @Test
    void aTableOnWhichThePartWasTurnedWasNotCompared() {
        has(TABLE, InstrumentKind.TABLE);
        UUID id = UUID.randomUUID();
        keep(TABLE, id, "ENDS", "0 0.01 0.004", "0.004 0.01 -0.006");
        String page = owner.get("/instruments/" + TABLE).body();
        assertTrue(page.contains("0.003"), page);
        owner.post("/instruments/" + TABLE + "/reversals/" + id + "/take");
        assertEquals(0.003, register().known(TABLE).instrument().amount(), 1e-12);
        assertEquals(
                GaugeStanding.State.NEVER, register().known(TABLE).standing().state());
    }

    @Test
    void whatDoesNotPairIsRefusedInASentence() {
        has(EDGE, InstrumentKind.STRAIGHTEDGE);
        String before = ines.get("/instruments/" + EDGE).body();
        assertTrue(
                keep(EDGE, UUID.randomUUID(), "OVER", "0 0.01 0.02", "0 0.01").contains("same places"));
        assertTrue(
                keep(EDGE, UUID.randomUUID(), "OVER", "0 far 0.02", "0 0.01 0").contains("far"));
        assertTrue(keep(EDGE, UUID.randomUUID(), "ENDS", "0 0.01", "0 0.01").contains("not read both ways"));
        assertEquals(
                before.split("<tr>").length,
                ines.get("/instruments/" + EDGE).body().split("<tr>").length);
    }
}
