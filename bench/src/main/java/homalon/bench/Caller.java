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
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Calls a running demo as a browser would, without one: signs in, books castings, sends forms. */
final class Caller {
    private final HttpClient client =
            HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
    private final String base;
    private String csrf;

    Caller(String base) {
        this.base = base;
    }

    void signIn() throws IOException, InterruptedException {
        take(get("/sign-in"));
        post("/sign-in", Map.of("login", "ines", "password", "saltmarsh-demo"));
        take(get("/parts/new"));
    }

    /** Server's own time and processor time of the last request, ms. */
    double[] timing() throws IOException, InterruptedException {
        String[] took = get("/timing").body().strip().split(" ");
        if (took.length != 2) {
            throw new IllegalStateException("start the demo with HOMALON_TIMING=true");
        }
        return new double[] {Double.parseDouble(took[0]), Double.parseDouble(took[1])};
    }

    String book(String name, int cylinders, String chambers) throws IOException, InterruptedException {
        String sheet = get("/parts/new").body();
        Matcher tag = Pattern.compile("name=\"tag\"[^>]*value=\"([^\"]+)\"").matcher(sheet);
        if (!tag.find()) {
            throw new IllegalStateException("no intake sheet");
        }
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("tag", tag.group(1));
        fields.put("name", name);
        fields.put("customer", "Bench");
        fields.put("kind", "HEAD");
        fields.put("cylinders", Integer.toString(cylinders));
        fields.put("bore", "92 mm");
        fields.put("spacing", "108 mm");
        fields.put("waterHoles", "4");
        fields.put("boltRows", "TWO");
        fields.put("chambers", chambers);
        post("/parts", fields);
        return tag.group(1);
    }

    private void take(HttpResponse<String> page) {
        Matcher m = Pattern.compile("name=\"_?csrf\"[^>]*(?:value|content)=\"([^\"]+)\"")
                .matcher(page.body());
        csrf = m.find() ? m.group(1) : csrf;
    }

    HttpResponse<String> get(String path) throws IOException, InterruptedException {
        return client.send(HttpRequest.newBuilder(URI.create(base + path)).build(), BodyHandlers.ofString());
    }

    HttpResponse<byte[]> bytes(String path) throws IOException, InterruptedException {
        return client.send(HttpRequest.newBuilder(URI.create(base + path)).build(), BodyHandlers.ofByteArray());
    }

    HttpResponse<String> post(String path, Map<String, String> fields) throws IOException, InterruptedException {
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

    /** What the machine is worth right now: it is shared, and other figures only mean something beside this one. */
    static double referencePass() {
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

    static double at(List<Double> all, double share) {
        double[] sorted = all.stream().mapToDouble(Double::doubleValue).toArray();
        Arrays.sort(sorted);
        return sorted[(int) (share * (sorted.length - 1))];
    }
}
