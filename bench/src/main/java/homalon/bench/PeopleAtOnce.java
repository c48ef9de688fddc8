package homalon.bench;

import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Many people at a running demo, each with one request a second: four of five look at pages, the fifth keys readings. Told are
 * answers by kind, refusals of ours (503 with Retry-After), errors (everything else), and times from the moment at which a
 * request was due, as ratios to the plainest answer of the same run.
 */
@SuppressWarnings("FutureReturnValueIgnored") // what fails is counted where it is done
public final class PeopleAtOnce {
    private static final List<String> PAGES = List.of(
            "/",
            "/parts/T-0412/face",
            "/parts/T-0415/plan",
            "/parts/T-0409/cut",
            "/parts/T-0407/report",
            "/parts/T-0424/compare",
            "/find?q=ferry",
            "/parts/T-0412/route");

    private final HttpClient client = HttpClient.newBuilder()
            .cookieHandler(new CookieManager())
            .connectTimeout(Duration.ofSeconds(20))
            .executor(Executors.newFixedThreadPool(4))
            .build();
    private final String base;
    private final Map<String, AtomicInteger> answers = new ConcurrentSkipListMap<>();
    private final Map<String, ConcurrentLinkedQueue<Double>> times = new ConcurrentSkipListMap<>();
    private String csrf;
    private List<String> places;

    private PeopleAtOnce(String base) {
        this.base = base;
    }

    public static void main(String[] args) throws Exception {
        String base = args.length > 0 ? args[0] : "http://127.0.0.1:8480";
        int seconds = args.length > 2 ? Integer.parseInt(args[2]) : 30;
        for (String people : (args.length > 1 ? args[1] : "20,60,60,60,100,300").split(",")) {
            PeopleAtOnce run = new PeopleAtOnce(base);
            run.signIn();
            run.work(Integer.parseInt(people), seconds);
        }
        System.exit(0);
    }

    private void signIn() throws Exception {
        csrf = token(get("/sign-in"));
        String form = "login=ines&password=saltmarsh-demo&_csrf=" + URLEncoder.encode(csrf, StandardCharsets.UTF_8);
        client.send(post("/sign-in", form).build(), BodyHandlers.ofString());
        String face = get("/parts/T-0419/face");
        csrf = token(face);
        client.send(
                post("/parts/T-0419/face/start", "density=CLOSE")
                        .header("X-CSRF-TOKEN", csrf)
                        .build(),
                BodyHandlers.ofString());
        places = Pattern.compile("button type=\"button\" data-place=\"([^\"]+)\"")
                .matcher(get("/parts/T-0419/face"))
                .results()
                .map(m -> m.group(1))
                .toList();
    }

    private void work(int people, int seconds) throws Exception {
        ScheduledExecutorService clock = Executors.newScheduledThreadPool(2);
        Random random = new Random(people);
        for (int i = 0; i < people; i++) {
            boolean keys = i % 5 == 0;
            int who = i;
            AtomicInteger turn = new AtomicInteger(random.nextInt(1000));
            clock.scheduleAtFixedRate(
                    () -> send(
                            keys ? reading(who, turn.getAndIncrement()) : page(turn.getAndIncrement()),
                            keys ? "keyed" : "page"),
                    random.nextInt(1000),
                    1000,
                    TimeUnit.MILLISECONDS);
        }
        clock.scheduleAtFixedRate(() -> send(request("/alive").build(), "alive"), 0, 200, TimeUnit.MILLISECONDS);
        Thread.sleep(seconds * 1000L);
        clock.shutdown();
        clock.awaitTermination(5, TimeUnit.SECONDS);
        Thread.sleep(12_000);
        double plainest = at(times("alive"), 0.5);
        System.out.printf("%d people, %d s: %s%n", people, seconds, new TreeMap<>(answers));
        for (String kind : times.keySet()) {
            double[] ms = times(kind);
            System.out.printf(
                    "  %-6s %5d answers, p50 %6.1f ms, p99 %7.1f ms, p99 is %.0f times the plainest's p50 (%.1f ms)%n",
                    kind, ms.length, at(ms, 0.5), at(ms, 0.99), at(ms, 0.99) / plainest, plainest);
        }
    }

    private double[] times(String kind) {
        double[] ms = times.getOrDefault(kind, new ConcurrentLinkedQueue<>()).stream()
                .mapToDouble(Double::doubleValue)
                .toArray();
        Arrays.sort(ms);
        return ms;
    }

    private static double at(double[] sorted, double share) {
        return sorted.length == 0 ? Double.NaN : sorted[(int) (share * (sorted.length - 1))];
    }

    private HttpRequest page(int turn) {
        return request(PAGES.get(turn % PAGES.size()))
                .header("Accept", "text/html")
                .build();
    }

    private HttpRequest reading(int who, int turn) {
        String form = "id=" + UUID.randomUUID() + "&place=" + places.get((who + turn) % places.size()) + "&typed=0.0"
                + (10 + turn % 50) + "&unit=MM&seen=999999999&sure=true";
        return post("/parts/T-0419/face/readings", form)
                .header("X-CSRF-TOKEN", csrf)
                .header("X-Keying", "1")
                .build();
    }

    private void send(HttpRequest request, String kind) {
        long due = System.nanoTime();
        client.sendAsync(request, BodyHandlers.ofByteArray()).whenComplete((answer, failed) -> {
            String said = failed != null ? "failed" : said(answer);
            answers.computeIfAbsent(kind + " " + said, k -> new AtomicInteger()).incrementAndGet();
            if (said.equals("200")) {
                times.computeIfAbsent(kind, k -> new ConcurrentLinkedQueue<>()).add((System.nanoTime() - due) / 1e6);
            }
        });
    }

    private static String said(HttpResponse<byte[]> answer) {
        if (answer.statusCode() == 503
                && answer.headers().firstValue("Retry-After").isPresent()) {
            return "503 later";
        }
        return Integer.toString(answer.statusCode());
    }

    private String get(String path) throws Exception {
        return client.send(request(path).build(), BodyHandlers.ofString()).body();
    }

    private HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create(base + path)).timeout(Duration.ofSeconds(30));
    }

    private HttpRequest.Builder post(String path, String form) {
        return request(path)
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(form));
    }

    private static String token(String page) {
        List<String> found = new ArrayList<>();
        Matcher m = Pattern.compile("name=\"_?csrf\"[^>]*(?:value|content)=\"([^\"]+)\"")
                .matcher(page);
        while (m.find()) {
            found.add(m.group(1));
        }
        return found.get(0);
    }
}
