package homalon.bench;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Keys a survey of 60 places over and over without a browser, and prints what one reading costs the server: from the request to
 * the answer with map, verdict, set-ups and walk. The demo must run with {@code HOMALON_TIMING=true}.
 *
 * <p>Arguments: address (default http://127.0.0.1:8480), castings (default 16; the second half of them counts).
 */
public final class ReadingTimes {
    private static final int PLACES = 60;

    private final HttpClient client =
            HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
    private final String base;
    private String csrf;

    private ReadingTimes(String base) {
        this.base = base;
    }

    public static void main(String[] args) throws IOException, InterruptedException {
        String base = args.length > 0 ? args[0] : "http://127.0.0.1:8480";
        int castings = args.length > 1 ? Integer.parseInt(args[1]) : 16;
        new ReadingTimes(base).run(castings);
    }

    private void run(int castings) throws IOException, InterruptedException {
        take(get("/sign-in"));
        post("/sign-in", Map.of("login", "ines", "password", "saltmarsh-demo"));
        take(get("/parts/new"));
        List<Double> wall = new ArrayList<>();
        List<Double> cpu = new ArrayList<>();
        long bytes = 0;
        for (int casting = 0; casting < castings; casting++) {
            String tag = book();
            post("/parts/" + tag + "/face/start", Map.of("density", "CLOSE"));
            List<String> places = places(get("/parts/" + tag + "/face"));
            for (double x = 31; places.size() < PLACES && x < 900; x += 17.3) {
                places = more(tag, places, x);
            }
            for (int i = 0; i < places.size() * 3 / 2; i++) {
                HttpResponse<String> answer = key(tag, places.get(i % places.size()), i, casting);
                bytes = answer.body().length();
                String[] took = get("/timing").body().strip().split(" ");
                if (answer.statusCode() != 200 || took.length != 2) {
                    throw new IllegalStateException(
                            answer.statusCode() + ": start the demo with HOMALON_TIMING=true. " + answer.body());
                }
                if (casting >= castings / 2 && i >= places.size()) {
                    wall.add(Double.parseDouble(took[0]));
                    cpu.add(Double.parseDouble(took[1]));
                }
            }
        }
        double pass = referencePass();
        System.out.printf(
                "one pass of residuals over a million points, same run: %.1f ms; a reading takes %.1f of them on the processor%n",
                pass, at(cpu, 0.5) / pass);
        System.out.printf(
                "%d readings with %d places read, answer %d kB: server p50 %.1f p95 %.1f ms; on the processor p50 %.1f p95 %.1f ms%n",
                wall.size(), PLACES, bytes / 1000, at(wall, 0.5), at(wall, 0.95), at(cpu, 0.5), at(cpu, 0.95));
    }

    private HttpResponse<String> key(String tag, String place, int i, int casting)
            throws IOException, InterruptedException {
        return post(
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

    /** What the machine is worth right now: it is shared, and other figures only mean something beside this one. */
    private static double referencePass() {
        double[] x = new double[1_000_000];
        double[] z = new double[x.length];
        for (int i = 0; i < x.length; i++) {
            x[i] = i % 977;
            z[i] = i % 31;
        }
        List<Double> times = new ArrayList<>();
        double sink = 0;
        for (int k = 0; k < 60; k++) {
            long start = System.nanoTime();
            double most = 0;
            for (int i = 0; i < x.length; i++) {
                most = Math.max(most, z[i] - 0.01 * x[i] - k);
            }
            sink += most;
            times.add((System.nanoTime() - start) / 1e6);
        }
        return sink < 0 ? 0 : at(times, 0.5);
    }

    private static double at(List<Double> all, double share) {
        double[] sorted = all.stream().mapToDouble(Double::doubleValue).toArray();
        Arrays.sort(sorted);
        return sorted[(int) (share * (sorted.length - 1))];
    }

    private String book() throws IOException, InterruptedException {
        String sheet = get("/parts/new").body();
        Matcher tag = Pattern.compile("name=\"tag\"[^>]*value=\"([^\"]+)\"").matcher(sheet);
        if (!tag.find()) {
            throw new IllegalStateException("no intake sheet");
        }
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("tag", tag.group(1));
        fields.put("name", "Survey of sixty places");
        fields.put("customer", "Bench");
        fields.put("kind", "HEAD");
        fields.put("cylinders", "6");
        fields.put("bore", "92 mm");
        fields.put("spacing", "108 mm");
        fields.put("waterHoles", "4");
        fields.put("boltRows", "TWO");
        fields.put("chambers", "CUT_OFF");
        post("/parts", fields);
        return tag.group(1);
    }

    private List<String> more(String tag, List<String> places, double x) throws IOException, InterruptedException {
        HttpResponse<String> answer = post(
                "/parts/" + tag + "/face/places", Map.of("x", Double.toString(x), "y", Double.toString(9 + x % 11)));
        return answer.statusCode() == 200 ? places(get("/parts/" + tag + "/face")) : places;
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

    private void take(HttpResponse<String> page) {
        Matcher m = Pattern.compile("name=\"_?csrf\"[^>]*(?:value|content)=\"([^\"]+)\"")
                .matcher(page.body());
        csrf = m.find() ? m.group(1) : csrf;
    }

    private HttpResponse<String> get(String path) throws IOException, InterruptedException {
        return client.send(HttpRequest.newBuilder(URI.create(base + path)).build(), BodyHandlers.ofString());
    }

    private HttpResponse<String> post(String path, Map<String, String> fields)
            throws IOException, InterruptedException {
        String body = fields.entrySet().stream()
                .map(e -> e.getKey() + "=" + URLEncoder.encode(e.getValue(), StandardCharsets.UTF_8))
                .collect(Collectors.joining("&", "_csrf=" + csrf + "&", ""));
        return client.send(
                HttpRequest.newBuilder(URI.create(base + path))
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(HttpRequest.BodyPublishers.ofString(body))
                        .build(),
                BodyHandlers.ofString());
    }
}
