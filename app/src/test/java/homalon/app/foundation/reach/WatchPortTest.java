package homalon.app.foundation.reach;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.testing.OwnDatabase;
import homalon.app.testing.RunningShop;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import org.junit.jupiter.api.Test;

/** Readiness and figures on their own port, nothing else there, and nowhere else. */
class WatchPortTest {
    private final HttpClient client = HttpClient.newHttpClient();

    private HttpResponse<String> ask(int port, String method, String path) throws IOException, InterruptedException {
        return client.send(
                HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                        .method(method, BodyPublishers.noBody())
                        .build(),
                BodyHandlers.ofString());
    }

    @Test
    void whatIsWatchedHasAPortOfItsOwn() throws IOException, InterruptedException {
        int watch = RunningShop.freePort();
        String database = OwnDatabase.made();
        OwnDatabase.upgrade(OwnDatabase.url(database));
        try (RunningShop.Shop shop =
                RunningShop.onFirstDay(OwnDatabase.url(database), "--homalon.watch-port=" + watch)) {
            for (String path : new String[] {"/health", "/health/readiness", "/health/liveness"}) {
                HttpResponse<String> found = ask(watch, "GET", path);
                assertEquals(200, found.statusCode(), path);
                assertEquals("{\"status\":\"UP\"}", found.body(), path);
            }
            String figures = ask(watch, "GET", "/prometheus").body();
            assertTrue(figures.contains("jvm_memory_used_bytes"), figures);
            assertTrue(figures.contains("homalon_waiting"), figures);

            // The shop itself is not there, whatever is asked.
            for (String path : new String[] {"/", "/sign-in", "/first-visit", "/watch/health", "/env", "/health/db"}) {
                assertEquals(404, ask(watch, "GET", path).statusCode(), path);
            }
            assertEquals(405, ask(watch, "POST", "/health").statusCode());

            // And what is watched is not in the shop.
            for (String path : new String[] {"/watch", "/watch/health", "/watch/prometheus", "/watch;a=b/health"}) {
                HttpResponse<String> found = ask(shop.port(), "GET", path);
                assertEquals(404, found.statusCode(), path);
                assertFalse(found.body().contains("UP"), path);
            }

            // Alive without its database, but not ready.
            OwnDatabase.gone(database);
            assertEquals(200, ask(watch, "GET", "/health/liveness").statusCode());
            HttpResponse<String> down = ask(watch, "GET", "/health/readiness");
            assertEquals(503, down.statusCode());
            assertEquals("{\"status\":\"DOWN\"}", down.body());
        } finally {
            OwnDatabase.gone(database);
        }
    }
}
