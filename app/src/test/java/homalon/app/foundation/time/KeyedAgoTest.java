package homalon.app.foundation.time;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.testing.HandsOfTests;
import homalon.app.testing.OwnDatabase;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.part.Material;
import homalon.core.visit.PartFile;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

@ExtendWith(RunningShop.class)
class KeyedAgoTest {
    private final RunningShop.Shop shop;

    KeyedAgoTest(RunningShop.Shop shop) {
        this.shop = shop;
    }

    @ParameterizedTest
    @CsvSource(
            nullValues = "none",
            value = {
                "none, 0",
                "0, 0",
                "90000, 90000",
                "2592000000, 2592000000",
                "2592000001, 0",
                "-5, 0",
                "1.5, 0",
                "soon, 0",
                "9999999999999, 0"
            })
    void whatTheDeviceSaysIsBelievedWithinReason(String said, long millis) {
        assertEquals(Duration.ofMillis(millis), KeyedAgo.said(said));
    }

    @Test
    void aPassThatWaitedIsMeasuredWhenItWasKeyedAndStoredWhenItCame() {
        HandsOfTests hands = new HandsOfTests(shop);
        PartFile part = hands.book(Material.CAST_IRON);
        hands.prepare(part);
        Visitor ines = Visitor.signedIn(shop.port(), "ines").through("X-Keyed-Ago", "5400000");
        String id = UUID.randomUUID().toString();
        HttpResponse<String> kept =
                ines.key("/parts/" + part.tag() + "/cut/readings", "id", id, "typed", "0.05", "unit", "MM");
        assertEquals(200, kept.statusCode(), kept.body());
        assertEquals("90", minutesBetween(id), "an hour and a half, and not the next request's");

        String next = UUID.randomUUID().toString();
        ines.through("Accept", "*/*")
                .key("/parts/" + part.tag() + "/cut/readings", "id", next, "typed", "0.06", "unit", "MM");
        assertEquals("0", minutesBetween(next));
        assertTrue(
                OwnDatabase.asked(shop, "select count(*) from ledger_line where at > stored_at + interval '1 second'")
                        .contains("0"));
    }

    private String minutesBetween(String id) {
        return OwnDatabase.asked(
                        shop,
                        "select round(extract(epoch from stored_at - at) / 60)::int::text from ledger_line where id = '"
                                + id + "'")
                .get(0);
    }
}
