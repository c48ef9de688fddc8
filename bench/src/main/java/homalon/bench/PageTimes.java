package homalon.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.LoadState;
import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicLong;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Times the pages of a running demo and one survey keyed in the browser, and prints a table for docs/performance.md. Every
 * page is given as a ratio to the plainest answer of the same server in the same run as well, since machines differ.
 *
 * <p>Arguments: address (default http://127.0.0.1:8480). The demo should be fresh: T-0419 is surveyed.
 */
public final class PageTimes {
    private static final List<String> PAGES = List.of(
            "/alive",
            "/",
            "/parts/T-0412/face",
            "/parts/T-0415/plan",
            "/parts/T-0409/cut",
            "/parts/T-0407/report",
            "/parts/T-0407/report.pdf",
            "/parts/T-0407/record.json");
    private static final int WARM = 200;
    private static final int TIMES = 120;

    private PageTimes() {}

    public static void main(String[] args) throws IOException, InterruptedException {
        String base = args.length > 0 ? args[0] : "http://127.0.0.1:8480";
        browser(base, "just started", 2);
        pages(base);
        browser(base, "warm", 3);
    }

    private static void pages(String base) throws IOException, InterruptedException {
        HttpClient client =
                HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
        String page =
                client.send(get(base + "/sign-in"), BodyHandlers.ofString()).body();
        Matcher token = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]+)\"").matcher(page);
        if (!token.find()) {
            throw new IllegalStateException("no sign-in page at " + base);
        }
        String form =
                "login=ines&password=saltmarsh-demo&_csrf=" + URLEncoder.encode(token.group(1), StandardCharsets.UTF_8);
        client.send(
                HttpRequest.newBuilder(URI.create(base + "/sign-in"))
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(HttpRequest.BodyPublishers.ofString(form))
                        .build(),
                BodyHandlers.discarding());
        System.out.println("| page | p50 ms | p95 ms | times the plainest |");
        System.out.println("|---|---|---|---|");
        double plainest = 0;
        for (String path : PAGES) {
            int warm = path.endsWith(".pdf") ? 30 : WARM;
            double[] ms = new double[TIMES];
            for (int i = -warm; i < TIMES; i++) {
                long start = System.nanoTime();
                client.send(get(base + path), BodyHandlers.ofByteArray());
                if (i >= 0) {
                    ms[i] = (System.nanoTime() - start) / 1e6;
                }
            }
            Arrays.sort(ms);
            plainest = plainest == 0 ? ms[TIMES / 2] : plainest;
            System.out.printf(
                    "| %s | %.1f | %.1f | %.1f |%n",
                    path, ms[TIMES / 2], ms[TIMES * 95 / 100], ms[TIMES / 2] / plainest);
        }
    }

    private static HttpRequest get(String address) {
        return HttpRequest.newBuilder(URI.create(address)).build();
    }

    /** From Enter to the redrawn map and verdict, and the bytes of a first visit. */
    private static void browser(String base, String state, int rounds) {
        try (Playwright playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")))) {
            Browser browser = playwright
                    .chromium()
                    .launch(new BrowserType.LaunchOptions()
                            .setExecutablePath(Path.of("/usr/bin/chromium-headless-shell"))
                            .setChromiumSandbox(false)
                            .setArgs(List.of("--disable-dev-shm-usage", "--disable-gpu")));
            Page page = browser.newPage(new Browser.NewPageOptions().setViewportSize(1280, 800));
            AtomicLong bytes = new AtomicLong();
            page.onRequestFinished(r -> bytes.addAndGet((long) r.sizes().responseBodySize));
            page.navigate(base + "/sign-in");
            page.fill("[name=login]", "ines");
            page.fill("[name=password]", "saltmarsh-demo");
            page.keyboard().press("Enter");
            page.waitForURL(base + "/");
            page.waitForLoadState(LoadState.NETWORKIDLE);
            System.out.printf("%nSign-in and bench, first visit: %d kB%n", bytes.get() / 1000);
            page.navigate(base + "/parts/T-0419/face?density=CLOSE");
            if (page.locator("input.key").count() == 0) {
                page.locator(".act button").click();
                page.locator("input.key").waitFor();
            }
            page.evaluate("""
                    async () => {
                      const csrf = document.querySelector('meta[name=csrf]').content;
                      let places = document.querySelectorAll('#walk [data-place]').length;
                      for (let x = 20.3; places < 60 && x < 380; x += 8.7) {
                        const answer = await fetch(location.pathname + '/places', {
                          method: 'POST', headers: { 'X-CSRF-TOKEN': csrf, 'X-Keying': '1' },
                          body: new URLSearchParams({ x, y: 8 + (x % 9) }) });
                        places += answer.status === 200 ? 1 : 0;
                      }
                    }""");
            page.reload();
            page.locator("input.key").waitFor();
            page.evaluate("""
                    () => {
                      window.times = [];
                      let at = 0;
                      document.addEventListener('keydown', (e) => { if (e.key === 'Enter') at = performance.now(); }, true);
                      document.addEventListener('homalon:put', () =>
                        requestAnimationFrame(() => setTimeout(() => {
                          window.times.push(performance.now() - at);
                          window.redrawn();
                        })));
                    }""");
            int places = page.locator("#walk [data-place]").count();
            for (int round = 0; round < rounds; round++) {
                for (int i = 0; i < places; i++) {
                    page.evaluate("""
                            i => {
                              window.keying.go(window.keying.entries()[i].dataset.place);
                              window.keying.input.focus();
                              window.next = new Promise((done) => { window.redrawn = done; });
                            }""", i);
                    page.keyboard().type("0.0" + (10 + (i * 7 + round * 3) % 30));
                    page.keyboard().press("Enter");
                    // Not asked again at every frame: that would draw frames which nobody sees.
                    page.evaluate("() => window.next");
                }
            }
            List<Double> times = new ArrayList<>();
            for (Object t : (List<?>) page.evaluate("window.times")) {
                times.add(((Number) t).doubleValue());
            }
            times.sort(Double::compare);
            System.out.printf(
                    "Enter to redrawn map and verdict, %s, %d places, %d readings: p50 %.0f ms, p95 %.0f ms%n",
                    state, places, times.size(), times.get(times.size() / 2), times.get(times.size() * 95 / 100));
        }
    }
}
