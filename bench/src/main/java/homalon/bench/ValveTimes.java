package homalon.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/**
 * Times a head of thirty-two valves on a running demo that was started with HOMALON_TIMING=true: what the server takes for the
 * whole map and table after a reading, what the page costs, and how long Enter takes to the next valve in the browser.
 *
 * <p>Arguments: address (default http://127.0.0.1:8480).
 */
public final class ValveTimes {
    private static final List<String> WALKED = List.of(
            "STEM_TOP",
            "GUIDE_TOP_ALONG",
            "GUIDE_TOP_ACROSS",
            "GUIDE_MIDDLE_ALONG",
            "GUIDE_MIDDLE_ACROSS",
            "GUIDE_BOTTOM_ALONG",
            "GUIDE_BOTTOM_ACROSS",
            "SEAT_OUTER",
            "SEAT_INNER",
            "RUNOUT",
            "RECESSION");
    private static final int ROUNDS = 6;

    private ValveTimes() {}

    public static void main(String[] args) throws IOException, InterruptedException {
        String base = args.length > 0 ? args[0] : "http://127.0.0.1:8480";
        Caller shop = new Caller(base);
        shop.signIn();
        String tag = shop.book("Head of thirty-two valves", 8, "ROUND");
        Map<String, String> lie = new HashMap<>(
                Map.of("intake", "2", "exhaust", "2", "rows", "TWO", "source", "MAKER", "knurls", "true"));
        lie.put("id", UUID.randomUUID().toString());
        lie.put("I.HEAD_DIAMETER", "35 mm");
        lie.put("E.HEAD_DIAMETER", "30 mm");
        shop.post("/parts/" + tag + "/valves/set-up", lie);
        List<String> valves = new ArrayList<>();
        for (int cylinder = 1; cylinder <= 8; cylinder++) {
            for (String kind : List.of("I1", "I2", "E1", "E2")) {
                valves.add(cylinder + kind);
            }
        }
        for (String measure : WALKED) {
            for (String valve : valves) {
                key(shop, tag, valve, measure, figure(measure, valve, 0));
            }
        }
        List<Double> wall = new ArrayList<>();
        List<Double> cpu = new ArrayList<>();
        for (int round = 1; round <= ROUNDS; round++) {
            for (String valve : valves) {
                key(shop, tag, valve, "RUNOUT", figure("RUNOUT", valve, round));
                double[] took = shop.timing();
                if (round > ROUNDS / 2) {
                    wall.add(took[0]);
                    cpu.add(took[1]);
                }
            }
        }
        double pass = Caller.referencePass();
        System.out.printf("one pass of residuals over a million points, same run: %.1f ms%n", pass);
        System.out.printf(
                "%d readings of %d valves with %d figures: whole map and table, server p50 %.1f p95 %.1f ms; on the processor p50 %.1f ms, %.1f passes%n",
                wall.size(),
                valves.size(),
                valves.size() * WALKED.size(),
                Caller.at(wall, 0.5),
                Caller.at(wall, 0.95),
                Caller.at(cpu, 0.5),
                Caller.at(cpu, 0.5) / pass);
        browser(base, tag);
    }

    private static String figure(String measure, String valve, int round) {
        double own = (valve.hashCode() & 7) * 0.001 + round * 0.001;
        boolean exhaust = valve.contains("E");
        return String.format(
                java.util.Locale.ROOT,
                "%.3f mm",
                measure.startsWith("STEM")
                        ? 6.96 + own
                        : measure.startsWith("GUIDE")
                                ? 7.02 + own
                                : measure.equals("SEAT_OUTER")
                                        ? (exhaust ? 28.9 : 33.9)
                                        : measure.equals("SEAT_INNER") ? (exhaust ? 26.4 : 32) : 0.02 + own);
    }

    private static void key(Caller shop, String tag, String valve, String measure, String typed)
            throws IOException, InterruptedException {
        HttpResponse<String> answer = shop.post(
                "/parts/" + tag + "/valves/readings",
                Map.of(
                        "id",
                        UUID.randomUUID().toString(),
                        "place",
                        valve + "." + measure,
                        "typed",
                        typed,
                        "unit",
                        "MM",
                        "sure",
                        "true"));
        if (answer.statusCode() != 200) {
            throw new IllegalStateException(answer.statusCode() + ": " + answer.body());
        }
    }

    /** From Enter to the next valve lit and named: the reading itself is on its way then. */
    private static void browser(String base, String tag) {
        try (Playwright playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")))) {
            Browser browser = playwright
                    .chromium()
                    .launch(new BrowserType.LaunchOptions()
                            .setExecutablePath(Path.of("/usr/bin/chromium-headless-shell"))
                            .setChromiumSandbox(false)
                            .setArgs(List.of("--disable-dev-shm-usage", "--disable-gpu")));
            Page page = browser.newPage(new Browser.NewPageOptions().setViewportSize(1280, 800));
            page.navigate(base + "/sign-in");
            page.fill("[name=login]", "ines");
            page.fill("[name=password]", "saltmarsh-demo");
            page.keyboard().press("Enter");
            page.waitForURL(base + "/");
            page.navigate(base + "/parts/" + tag + "/valves?of=PITS");
            page.locator("input.key").waitFor();
            page.evaluate("""
                    () => {
                      window.times = [];
                      let at = 0;
                      document.addEventListener('keydown', (e) => { if (e.key === 'Enter') at = performance.now(); }, true);
                      new MutationObserver(() => at && requestAnimationFrame(() => setTimeout(() => {
                        if (at) window.times.push(performance.now() - at);
                        at = 0;
                      }))).observe(document.querySelector('[data-show=name]'), { childList: true });
                    }""");
            for (int i = 0; i < 32; i++) {
                page.keyboard().type("0.0" + (1 + i % 5));
                page.keyboard().press("Enter");
                page.waitForTimeout(260);
            }
            List<Double> times = new ArrayList<>();
            for (Object t : (List<?>) page.evaluate("window.times")) {
                times.add(((Number) t).doubleValue());
            }
            System.out.printf(
                    "Enter to the next valve, %d times: p50 %.0f ms, p95 %.0f ms%n",
                    times.size(), Caller.at(times, 0.5), Caller.at(times, 0.95));
        }
    }
}
