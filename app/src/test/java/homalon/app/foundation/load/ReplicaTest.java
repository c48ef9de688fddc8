package homalon.app.foundation.load;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.testing.Cluster;
import homalon.app.testing.OwnDatabase;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.Test;

/** A pair of databases, the second a synchronous copy of the first: the first is killed while somebody keys. */
class ReplicaTest {
    @Test
    void nothingThatWasAcknowledgedIsLostWhenTheCopyTakesOver() throws Exception {
        try (Cluster first = Cluster.made();
                Cluster copy = first.synchronousCopy()) {
            String pair = "jdbc:postgresql://127.0.0.1:" + first.port() + ",127.0.0.1:" + copy.port()
                    + "/homalon?targetServerType=primary&connectTimeout=2&socketTimeout=20";
            OwnDatabase.upgrade(pair);
            try (RunningShop.Shop shop = RunningShop.on(pair)) {
                Visitor ines = Visitor.signedIn(shop.port(), "ines");
                List<String> kept = new ArrayList<>();
                AtomicBoolean over = new AtomicBoolean();
                CompletableFuture<Void> keying = CompletableFuture.runAsync(() -> {
                    while (!over.get()) {
                        String id = UUID.randomUUID().toString();
                        // As the outbox does: the same reading again until it is answered.
                        while (!over.get()) {
                            int answer = ines.key(
                                            "/parts/T-0450/cut/readings", "id", id, "typed", "0.001", "unit", "MM")
                                    .statusCode();
                            if (answer == 200) {
                                kept.add(id);
                                break;
                            }
                            assertTrue(answer >= 500, "later, not no: " + answer + " after " + kept.size());
                        }
                    }
                });
                waitFor(keying, () -> kept.size() >= 20);
                first.kill();
                copy.promote();
                int atTheKill = kept.size();
                waitFor(keying, () -> kept.size() >= atTheKill + 20);
                over.set(true);
                keying.get(60, TimeUnit.SECONDS);

                List<String> there = OwnDatabase.askedAt(
                        "jdbc:postgresql://127.0.0.1:" + copy.port() + "/homalon",
                        "select id::text from ledger_line where typed = '0.001'");
                Set<String> once = new HashSet<>(there);
                assertEquals(there.size(), once.size(), "nothing twice");
                assertTrue(once.containsAll(kept), "nothing lost");
                assertTrue(kept.size() >= atTheKill + 20, "keying went on: " + kept.size());
            }
        }
    }

    /** What ended the keying is told, instead of a minute's silence. */
    private static void waitFor(CompletableFuture<Void> keying, BooleanSupplier held) throws Exception {
        for (int i = 0; i < 6000 && !held.getAsBoolean() && !keying.isDone(); i++) {
            Thread.sleep(50);
        }
        if (keying.isDone()) {
            keying.get();
        }
        assertTrue(held.getAsBoolean());
    }
}
