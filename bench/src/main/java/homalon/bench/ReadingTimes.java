package homalon.bench;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Keys a survey of 60 places over and over without a browser, and prints what one reading costs the server: from the request to
 * the answer with map, verdict, set-ups and walk. The demo must run with {@code HOMALON_TIMING=true}.
 *
 * <p>Arguments: address (default http://127.0.0.1:8480), castings (default 16; the second half of them counts), and the number of the
 * server's process, to be told what a reading costs it altogether: with the chance between the places, which is asked for after the
 * answer, and whatever else the server does meanwhile.
 */
public final class ReadingTimes {
    private static final int PLACES = 60;

    private final Caller shop;

    private final OptionalLong server;

    private ReadingTimes(String base, OptionalLong server) {
        this.shop = new Caller(base);
        this.server = server;
    }

    public static void main(String[] args) throws IOException, InterruptedException {
        String base = args.length > 0 ? args[0] : "http://127.0.0.1:8480";
        int castings = args.length > 1 ? Integer.parseInt(args[1]) : 16;
        OptionalLong server = args.length > 2 ? OptionalLong.of(Long.parseLong(args[2])) : OptionalLong.empty();
        new ReadingTimes(base, server).run(castings);
    }

    private void run(int castings) throws IOException, InterruptedException {
        shop.signIn();
        List<Double> wall = new ArrayList<>();
        List<Double> cpu = new ArrayList<>();
        long bytes = 0;
        double first = 0;
        double whole = 0;
        for (int casting = 0; casting < castings; casting++) {
            String tag = shop.book("Survey of sixty places", 6, "CUT_OFF");
            shop.post("/parts/" + tag + "/face/start", Map.of("density", "CLOSE"));
            List<String> places = places(shop.get("/parts/" + tag + "/face"));
            for (double x = 31; places.size() < PLACES && x < 900; x += 17.3) {
                places = more(tag, places, x);
            }
            for (int i = 0; i < places.size() * 3 / 2; i++) {
                double before = spent();
                HttpResponse<String> answer = key(tag, places.get(i % places.size()), i, casting);
                bytes = answer.body().length();
                // Whoever says which process it is needs no demo that tells its times.
                String[] took = server.isPresent()
                        ? new String[] {"0", "0"}
                        : shop.get("/timing").body().strip().split(" ");
                if (answer.statusCode() != 200 || took.length != 2) {
                    throw new IllegalStateException(
                            answer.statusCode() + ": start the demo with HOMALON_TIMING=true. " + answer.body());
                }
                double answered = spent();
                if (answer.body().contains("data-lays")) {
                    shop.get("/parts/" + tag + "/face/live");
                }
                if (casting >= castings / 2 && i >= places.size()) {
                    first += answered - before;
                    whole += spent() - before;
                    wall.add(Double.parseDouble(took[0]));
                    cpu.add(Double.parseDouble(took[1]));
                }
            }
        }
        if (server.isPresent()) {
            System.out.printf(
                    "%d readings with %d places read: %.1f ms of the server's processor time each, with the chance %.1f ms%n",
                    wall.size(), PLACES, first / wall.size(), whole / wall.size());
            return;
        }
        double pass = Caller.referencePass();
        System.out.printf(
                "one pass of residuals over a million points, same run: %.1f ms; a reading takes %.1f of them on the processor%n",
                pass, Caller.at(cpu, 0.5) / pass);
        System.out.printf(
                "%d readings with %d places read, answer %d kB: server p50 %.1f p95 %.1f ms; on the processor p50 %.1f p95 %.1f ms%n",
                wall.size(),
                PLACES,
                bytes / 1000,
                Caller.at(wall, 0.5),
                Caller.at(wall, 0.95),
                Caller.at(cpu, 0.5),
                Caller.at(cpu, 0.95));
    }

    /** Processor time of the server's process so far, ms; 0 where nobody said which it is. */
    private double spent() {
        return server.isEmpty()
                ? 0
                : ProcessHandle.of(server.getAsLong())
                        .flatMap(p -> p.info().totalCpuDuration())
                        .map(d -> d.toNanos() / 1e6)
                        .orElse(0.0);
    }

    private HttpResponse<String> key(String tag, String place, int i, int casting)
            throws IOException, InterruptedException {
        return shop.post(
                "/parts/" + tag + "/face/readings",
                Map.of(
                        "id",
                        UUID.randomUUID().toString(),
                        "place",
                        place,
                        "typed",
                        "0.0" + (10 + (i * 7 + casting * 3) % 30),
                        "unit",
                        "MM",
                        "sure",
                        "true"));
    }

    private List<String> more(String tag, List<String> places, double x) throws IOException, InterruptedException {
        HttpResponse<String> answer = shop.post(
                "/parts/" + tag + "/face/places", Map.of("x", Double.toString(x), "y", Double.toString(9 + x % 11)));
        return answer.statusCode() == 200 ? places(shop.get("/parts/" + tag + "/face")) : places;
    }

    private static List<String> places(HttpResponse<String> page) {
        String walk = page.body().substring(page.body().indexOf("id=\"walk\""));
        List<String> ids = new ArrayList<>();
        Matcher m = Pattern.compile("data-place=\"([0-9a-f-]{36})\"").matcher(walk);
        while (m.find()) {
            ids.add(m.group(1));
        }
        return ids;
    }
}
