package homalon.app.testing;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.TimeoutError;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ExtensionContext.Namespace;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;

/** Gives a test one headless Chromium for all tests; each test opens its own visitors in it. */
public final class Browser implements ParameterResolver {
    private static final Namespace OWN = Namespace.create(Browser.class);

    /** A browser that is running. */
    public static final class Window implements AutoCloseable {
        private final Playwright playwright;
        private final com.microsoft.playwright.Browser browser;

        private Window(Map<String, String> environment) {
            playwright = Playwright.create(
                    new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
            browser = playwright
                    .chromium()
                    .launch(new BrowserType.LaunchOptions()
                            .setEnv(environment)
                            .setExecutablePath(
                                    Path.of(System.getProperty("homalon.chromium", "/usr/bin/chromium-headless-shell")))
                            .setChromiumSandbox(false)
                            .setArgs(List.of(
                                    "--disable-dev-shm-usage",
                                    "--disable-gpu",
                                    "--disable-background-networking",
                                    "--no-first-run")));
        }

        /**
         * A visitor with cookies of their own. What the page complains of is collected in faults. Its worker, which keeps pages for a
         * device away from the net, is tried by a test of its own: a request that it answers cannot be held up by the others.
         */
        public Page open(String address, int width, int height, List<String> faults) {
            return open(address, width, height, faults, ServiceWorkerPolicy.BLOCK);
        }

        /** One whose pages are kept on the device. */
        public Page openKeeping(String address, int width, int height, List<String> faults) {
            return open(address, width, height, faults, ServiceWorkerPolicy.ALLOW);
        }

        /** One that is touched with thumbs. */
        public Page touched(RunningShop.Shop shop, String login, int width, int height, List<String> faults) {
            Page page = open(
                    shop.address() + "/sign-in",
                    faults,
                    new com.microsoft.playwright.Browser.NewContextOptions()
                            .setViewportSize(width, height)
                            .setHasTouch(true)
                            .setIsMobile(true)
                            .setServiceWorkers(ServiceWorkerPolicy.BLOCK));
            signIn(page, shop, login);
            return page;
        }

        private Page open(String address, int width, int height, List<String> faults, ServiceWorkerPolicy worker) {
            return open(
                    address,
                    faults,
                    new com.microsoft.playwright.Browser.NewContextOptions()
                            .setViewportSize(width, height)
                            .setServiceWorkers(worker));
        }

        private Page open(
                String address, List<String> faults, com.microsoft.playwright.Browser.NewContextOptions options) {
            BrowserContext context = browser.newContext(options);
            context.setDefaultTimeout(10_000);
            // The first page of a program that has just started waits for it to be loaded, on a machine that others
            // share.
            context.setDefaultNavigationTimeout(60_000);
            Page page = context.newPage();
            page.onPageError(faults::add);
            page.onConsoleMessage(m -> {
                // A refused reading is answered with 4xx, which the browser notes by itself.
                if (m.type().equals("error") && !m.text().startsWith("Failed to load resource")) {
                    faults.add(m.text());
                }
            });
            page.navigate(address);
            return page;
        }

        public Page signedIn(RunningShop.Shop shop, String login, int width, int height, List<String> faults) {
            Page page = open(shop.address() + "/sign-in", width, height, faults);
            signIn(page, shop, login);
            return page;
        }

        /** At the page that asks for it. */
        public static void signIn(Page page, RunningShop.Shop shop, String login) {
            page.keyboard().type(login);
            page.keyboard().press("Tab");
            page.keyboard().type("saltmarsh-demo");
            page.keyboard().press("Enter");
            try {
                page.waitForURL(shop.address() + "/");
            } catch (TimeoutError e) {
                throw new AssertionError(
                        login + " is at " + page.url() + ": "
                                + page.locator("main").innerText(),
                        e);
            }
        }

        public Page signedIn(RunningShop.Shop shop, String login) {
            return signedIn(shop, login, 1280, 800, new ArrayList<>());
        }

        @Override
        public void close() {
            playwright.close();
        }
    }

    /** A browser of its own on which somebody has installed this root, as a device does. */
    public static Window trusting(Path root, Path home) throws IOException {
        Path store = Files.createDirectories(home.resolve(".pki/nssdb"));
        if (!Files.exists(store.resolve("cert9.db"))) {
            certutil("-N", "--empty-password", "-d", "sql:" + store);
        }
        certutil("-A", "-t", "C,,", "-n", root.toString(), "-i", root.toString(), "-d", "sql:" + store);
        Map<String, String> environment = new HashMap<>(System.getenv());
        environment.put("HOME", home.toString());
        return new Window(environment);
    }

    private static void certutil(String... words) throws IOException {
        List<String> all = new ArrayList<>(List.of("certutil"));
        all.addAll(List.of(words));
        try {
            new ProcessBuilder(all)
                    .redirectInput(new File("/dev/null"))
                    .redirectErrorStream(true)
                    .start()
                    .waitFor();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        return parameter.getParameter().getType() == Window.class;
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
        return context.getRoot()
                .getStore(OWN)
                .getOrComputeIfAbsent(Window.class, k -> new Window(System.getenv()), Window.class);
    }
}
