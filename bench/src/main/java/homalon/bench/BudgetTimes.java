package homalon.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Times the slider of the budget page on a running demo that was started with HOMALON_TIMING=true: what the server takes for every
 * ratio, limit and consequence of one cut, and how long the browser takes until they are drawn anew.
 *
 * <p>Arguments: address (default http://127.0.0.1:8480), tag of a head whose engine is known (default T-0451).
 */
public final class BudgetTimes {
    private static final int WARM = 200;
    private static final int MOVES = 300;

    private BudgetTimes() {}

    public static void main(String[] args) throws IOException, InterruptedException {
        String base = args.length > 0 ? args[0] : "http://127.0.0.1:8480";
        String tag = args.length > 1 ? args[1] : "T-0451";
        Caller shop = new Caller(base);
        shop.signIn();
        List<Double> wall = new ArrayList<>();
        List<Double> cpu = new ArrayList<>();
        int bytes = 0;
        for (int i = 0; i < WARM + MOVES; i++) {
            HttpResponse<String> answer = shop.get(
                    String.format(Locale.ROOT, "/parts/%s/budget/live?cut=%.3f%%20mm", tag, 0.002 * (i % 400)));
            if (answer.statusCode() != 200) {
                throw new IllegalStateException(answer.statusCode() + ": " + answer.body());
            }
            bytes = answer.body().length();
            if (i >= WARM) {
                double[] took = shop.timing();
                wall.add(took[0]);
                cpu.add(took[1]);
            }
        }
        double pass = Caller.referencePass();
        System.out.printf("one pass of residuals over a million points, same run: %.1f ms%n", pass);
        System.out.printf(
                "%d moves of the slider, answer %d kB: server p50 %.1f p95 %.1f ms; on the processor p50 %.1f ms, %.1f passes%n",
                MOVES,
                bytes / 1024,
                Caller.at(wall, 0.5),
                Caller.at(wall, 0.95),
                Caller.at(cpu, 0.5),
                Caller.at(cpu, 0.5) / pass);
        browser(base, tag);
    }

    private static void browser(String base, String tag) {
        try (Playwright playwright = Playwright.create(
                        new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
                Browser browser = playwright
                        .chromium()
                        .launch(new BrowserType.LaunchOptions()
                                .setExecutablePath(Path.of("/usr/bin/chromium-headless-shell"))
                                .setChromiumSandbox(false)
                                .setArgs(List.of("--disable-dev-shm-usage", "--disable-gpu")))) {
            Page page = browser.newPage();
            page.setViewportSize(1280, 800);
            page.navigate(base + "/sign-in");
            page.fill("[name=login]", "ines");
            page.fill("[name=password]", "saltmarsh-demo");
            page.keyboard().press("Enter");
            page.waitForURL(base + "/");
            page.navigate(base + "/parts/" + tag + "/budget");
            page.locator("[data-range-of=cut]").focus();
            List<Double> all = new ArrayList<>();
            for (int i = 0; i < 80; i++) {
                Object took = page.evaluate("""
                        (up) => new Promise((done) => {
                          const range = document.querySelector('[data-range-of=cut]');
                          const start = performance.now();
                          document.addEventListener('homalon:put',
                            () => requestAnimationFrame(() => setTimeout(() => done(performance.now() - start))), { once: true });
                          range.value = Number(range.value) + (up ? 0.05 : -0.04);
                          range.dispatchEvent(new Event('input', { bubbles: true }));
                        })""", i % 2 == 0);
                if (i >= 20) {
                    all.add(((Number) took).doubleValue());
                }
            }
            System.out.printf(
                    "slider moved to everything redrawn in the browser: p50 %.0f p95 %.0f ms%n",
                    Caller.at(all, 0.5), Caller.at(all, 0.95));
        }
    }
}
