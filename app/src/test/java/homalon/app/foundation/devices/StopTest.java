package homalon.app.foundation.devices;

import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.foundation.people.People;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import java.io.InputStream;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A stop waits for what is being kept, not for pages that listen. */
class StopTest {
    @Test
    void openStreamsEndAtOnceWhenTheShopStops() throws Exception {
        RunningShop.Shop shop = RunningShop.empty();
        shop.bean(People.class).addFirstOwner("oda", "Oda", "saltmarsh-demo");
        Visitor oda = Visitor.signedIn(shop.port(), "oda");
        List<InputStream> streams = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            streams.add(oda.stream("/live?topics=part-T-0001"));
        }
        for (InputStream stream : streams) {
            assertTrue(stream.read() >= 0, "it has begun");
        }
        long began = System.nanoTime();
        shop.close();
        Duration took = Duration.ofNanos(System.nanoTime() - began);
        assertTrue(took.compareTo(Duration.ofSeconds(5)) < 0, "the phase that waits lasts five seconds: " + took);
    }
}
