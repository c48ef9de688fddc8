package homalon.app.packaged;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import homalon.app.testing.Browser;
import homalon.core.geometry.Box;
import homalon.core.sim.SeededFace;
import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyStore;
import java.security.cert.CertificateFactory;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import javax.net.ssl.SSLContext;
import javax.net.ssl.SSLHandshakeException;
import javax.net.ssl.TrustManagerFactory;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.io.TempDir;

/**
 * The program as it is shipped: packed, looked over, unpacked, and started as a real shop on an empty home. A week is lived in it
 * over HTTPS with the shop's own authority; then it is stopped, killed, backed up and restored.
 */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class PackagedShopIT {
    private static final String PASSWORD = "lantern and rope 7";
    private static final Box FACE = new Box(0, 0, 412, 150);
    private static final SeededFace AS_IT_CAME = new SeededFace(FACE, 0.09, -0.04, 0.07, 0.01, 0.03, List.of());
    private static final SeededFace AFTER = new SeededFace(FACE, 0.01, 0.01, 0.004, -0.002, 0.003, List.of());

    @TempDir
    static Path folder;

    private static Path deb;
    private static Program shop;
    private static Program.Serving serving;
    private static String address;
    private static String tag;
    private static String report;

    @BeforeAll
    static void pack() throws Exception {
        deb = Packed.deb(folder.resolve("build"));
        Path tree = Packed.unpacked(deb, folder.resolve("tree"));
        shop = new Program(tree.resolve("usr/bin/homalon"), Program.home(folder, "home"))
                .with("HOMALON_ADDRESS", "127.0.0.2");
        address = "https://127.0.0.2:" + shop.setting("HOMALON_PORT");
    }

    @AfterAll
    static void stop() throws Exception {
        shop.run("stop");
    }

    @Test
    @Order(1)
    void thePackageIsAsDebianWantsIt() throws Exception {
        String lint = Program.other("lintian", "--tag-display-limit", "0", deb.toString())
                .text();
        assertEquals(
                List.of(), lint.lines().filter(l -> l.matches("^[EW]: .*")).toList(), "errors and warnings of lintian");
        String contents = Program.other("dpkg-deb", "-c", deb.toString()).well().text();
        for (String wanted : List.of(
                "./usr/share/homalon/app/homalon.jar",
                "./usr/share/doc/homalon/NOTICE.gz",
                "./usr/share/doc/homalon/sbom.cdx.json.gz",
                "./usr/share/doc/homalon/operations.md",
                "./etc/homalon/homalon.conf",
                "./lib/systemd/system/homalon.service")) {
            assertTrue(contents.contains(" " + wanted), wanted);
        }
        assertTrue(contents.lines().allMatch(l -> l.contains("root/root")), "owned by root");
        assertTrue(
                contents.lines().noneMatch(l -> l.charAt(0) != 'l' && (l.charAt(5) == 'w' || l.charAt(8) == 'w')),
                "nobody else may write");
        Path scripts = folder.resolve("control");
        Program.other("dpkg-deb", "-e", deb.toString(), scripts.toString()).well();
        for (String script : List.of("postinst", "prerm", "postrm", "config")) {
            Program.other("sh", "-n", scripts.resolve(script).toString()).well();
        }
        String control = Files.readString(scripts.resolve("control"));
        assertTrue(control.contains("openjdk-17-jre-headless") && control.contains("postgresql"), control);
    }

    /** A purge without a word keeps what was measured. */
    @Test
    @Order(1)
    void aPurgeAsksBeforeDataGo() throws Exception {
        Path scripts = folder.resolve("asked");
        Program.other("dpkg-deb", "-e", deb.toString(), scripts.toString()).well();
        String postrm = Files.readString(scripts.resolve("postrm"));
        int asks = postrm.indexOf("db_input critical homalon/purge-data");
        int removes = postrm.indexOf("rm -rf /var/lib/homalon");
        assertTrue(asks > 0 && asks < removes, "asked first");
        assertTrue(
                Files.readString(scripts.resolve("templates")).contains("Default: false"),
                "and kept when nobody answers");
        // With no debconf to ask through, nothing is removed either.
        Path data = Files.createDirectories(folder.resolve("kept"));
        Path mine = Files.writeString(
                folder.resolve("postrm"),
                postrm.replace("/var/lib/homalon", data.toString())
                        .replace(
                                "/usr/share/debconf/confmodule",
                                folder.resolve("none").toString()));
        Program.Said said = Program.other("sh", mine.toString(), "purge").well();
        assertTrue(Files.exists(data) && said.text().contains("stay in " + data), said.text());
    }

    @Test
    @Order(1)
    void theUnitIsOneThatTheSystemCanRun() throws Exception {
        Path units = folder.resolve("tree/lib/systemd/system");
        try (Stream<Path> hosts = Files.list(Path.of("/lib/systemd/system"))) {
            for (Path unit : hosts.filter(u -> u.toString().endsWith(".target")).toList()) {
                if (!Files.exists(units.resolve(unit.getFileName()))) {
                    Files.copy(unit, units.resolve(unit.getFileName()));
                }
            }
        }
        Program.Said said = Program.other(
                "systemd-analyze", "--man=no", "--root=" + folder.resolve("tree"), "verify", "homalon.service");
        assertEquals("", said.text().lines().filter(l -> l.contains("homalon")).reduce("", (a, b) -> a + b + "\n"));
        assertEquals(0, said.code(), said.text());
    }

    @Test
    @Order(2)
    void itStartsAndSaysHowToComeIn() throws Exception {
        serving = shop.serve("start");
        assertTrue(serving.line("serves").contains(address));
        serving.line(address + "/first-visit");
        serving.line(address + "/trust");
        String version = shop.run("version").well().text().strip();
        assertTrue(serving.line("serves").contains(version), version);
    }

    private static Path root() {
        return folder.resolve("home/tls/authority.crt");
    }

    /** With the root installed and nothing else, every check of a client passes; without it none does. */
    @Test
    @Order(3)
    void whoInstalledTheRootTrustsTheShopFullyAndNobodyElseDoes() throws Exception {
        HttpClient knows = HttpClient.newBuilder().sslContext(trusting(root())).build();
        HttpRequest signIn =
                HttpRequest.newBuilder(URI.create(address + "/trust")).build();
        HttpResponse<String> answer = knows.send(signIn, HttpResponse.BodyHandlers.ofString());
        assertEquals(200, answer.statusCode());
        String fingerprint = serving.said().stream()
                .filter(l -> l.matches("  ([0-9A-F]{2}:){31}[0-9A-F]{2}"))
                .findFirst()
                .orElseThrow()
                .strip();
        assertTrue(answer.body().contains(fingerprint), "the page shows what the command printed");
        HttpResponse<byte[]> file = knows.send(
                HttpRequest.newBuilder(URI.create(address + "/trust/homalon-root.crt"))
                        .build(),
                HttpResponse.BodyHandlers.ofByteArray());
        CertificateFactory.getInstance("X.509").generateCertificate(new java.io.ByteArrayInputStream(file.body()));
        HttpClient stranger = HttpClient.newHttpClient();
        try {
            stranger.send(signIn, HttpResponse.BodyHandlers.ofString());
            throw new AssertionError("a stranger must not trust it");
        } catch (SSLHandshakeException e) {
            assertTrue(e.getMessage().contains("PKIX"), e.getMessage());
        }
    }

    private static SSLContext trusting(Path certificate) throws Exception {
        KeyStore store = KeyStore.getInstance(KeyStore.getDefaultType());
        store.load(null, null);
        try (InputStream in = Files.newInputStream(certificate)) {
            store.setCertificateEntry(
                    "root", CertificateFactory.getInstance("X.509").generateCertificate(in));
        }
        TrustManagerFactory factory = TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
        factory.init(store);
        SSLContext context = SSLContext.getInstance("TLS");
        context.init(null, factory.getTrustManagers(), null);
        return context;
    }

    /** Nobody else on the machine reads a password: not on a command line, not in an environment, not in a file. */
    @Test
    @Order(3)
    void noPasswordIsReadByOthers() throws Exception {
        List<String> secrets = Files.readAllLines(folder.resolve("home/secrets")).stream()
                .map(l -> l.substring(l.indexOf('=') + 1))
                .toList();
        assertEquals(3, secrets.size());
        boolean asRoot = "root".equals(System.getProperty("user.name"));
        List<String> nobody = asRoot ? List.of("setpriv", "--reuid", "65534", "--clear-groups") : List.of();
        List<String> words = new ArrayList<>(nobody);
        words.addAll(List.of("sh", "-c", "cat /proc/[0-9]*/cmdline /proc/[0-9]*/environ 2>/dev/null; true"));
        String seen = Program.other(words.toArray(String[]::new)).text();
        assertTrue(seen.contains("homalon.jar"), "the program is among what is seen");
        String files = asRoot
                ? Program.other(
                                "setpriv",
                                "--reuid",
                                "65534",
                                "--clear-groups",
                                "sh",
                                "-c",
                                "find '" + folder.resolve("home")
                                        + "' -type f -readable -exec cat {} + 2>/dev/null; true")
                        .text()
                : "";
        for (String secret : secrets) {
            assertFalse(seen.contains(secret) && asRoot, "on a command line or in an environment");
            assertFalse(files.contains(secret), "in a file that anybody reads");
        }
        long java = ProcessHandle.allProcesses()
                .filter(p ->
                        p.info().commandLine().orElse("").contains(folder.resolve("home") + "/work/app.properties"))
                .peek(p -> assertNotEquals("root", p.info().user().orElse("")))
                .count();
        assertEquals(1, java);
        assertFalse(
                Files.readString(folder.resolve("home/work/app.properties")).contains(secrets.get(1)),
                "the application is not told the password of the tables' owner");
    }

    @Test
    @Order(4)
    void aWeekIsLivedInIt() throws Exception {
        List<String> faults = new ArrayList<>();
        try (Browser.Window window = Browser.trusting(root(), folder.resolve("browser"))) {
            Page page = window.open(address + "/", 1280, 800, faults);
            // Two programs of one machine start beside it.
            page.setDefaultTimeout(30_000);
            page.waitForURL("**/first-visit");
            page.keyboard().type("Quay Street Heads");
            // Its unit, which stays mm.
            page.keyboard().press("Tab");
            next(page, "Oda");
            next(page, "oda");
            next(page, PASSWORD);
            page.keyboard().press("Enter");
            page.waitForURL("**/sign-in");
            signIn(page, "oda");
            assertThat(page.locator("header a.name").first()).hasText("Quay Street Heads");
            assertFalse(page.content().toLowerCase(java.util.Locale.ROOT).contains("saltmarsh"), "nothing of the demo");
            page.navigate(address + "/shop");
            page.fill("form[action='/shop/people'] [name=name]", "Tove");
            page.fill("form[action='/shop/people'] [name=login]", "tove");
            page.fill("form[action='/shop/people'] [name=password]", PASSWORD);
            page.selectOption("form[action='/shop/people'] [name=role]", "MACHINIST");
            press(page, "Add");
            assertThat(page.locator(".said").first()).containsText("Tove can sign in now");
            page.navigate(address + "/person");
            press(page, "Sign out");
            page.waitForURL("**/sign-in?out");
            signIn(page, "tove");
            work(page);
            List<com.microsoft.playwright.options.Cookie> cookies =
                    page.context().cookies();
            assertTrue(cookies.stream().allMatch(c -> c.secure && c.httpOnly), cookies.toString());
        }
        assertEquals(List.of(), faults);
    }

    private void work(Page page) {
        page.keyboard().press("g");
        page.keyboard().press("n");
        page.waitForURL("**/parts/new");
        page.fill("[name=name]", "Lighthouse tender, four in line");
        page.fill("[name=customer]", "Outer Rock Lights");
        page.fill("[name=bore]", "87");
        page.fill("[name=spacing]", "98");
        page.locator("[name=spacing]").press("Tab");
        page.keyboard().press("Enter");
        page.fill("[name=length]", "412");
        page.fill("[name=width]", "150");
        page.fill("[name=overall]", "0.05");
        tag = page.inputValue("[name=tag]");
        assertEquals("T-0001", tag, "the first of this shop");
        page.locator("[name=overall]").press("Enter");
        page.waitForURL("**/clean");
        press(page, "Cleaned this way");
        assertThat(page.locator("#strip .done")).hasCount(2);
        go(page, "cracks");
        page.selectOption("#checked-by", "EYES");
        press(page, "Crack check done");
        assertThat(page.locator("#strip .done")).hasCount(3);
        key(page, "face", AS_IT_CAME);
        assertThat(page.locator(".verdict .words").first()).containsText("Out by");
        go(page, "plan");
        page.locator(".act button").first().press("Enter");
        page.waitForURL("**/cut");
        int passes = page.locator(".passes .pass").count();
        for (int i = 0; i < passes; i++) {
            assertThat(page.locator("[data-show=count]")).hasText("pass " + (i + 1) + " of " + passes);
            page.keyboard().press("*");
            page.keyboard().press("Enter");
            assertThat(page.locator("#walk [data-state=read]")).hasCount(i + 1);
        }
        assertThat(page.locator(".verdict .words").first()).hasText("Cut as planned");
        key(page, "proof", AFTER);
        go(page, "tag");
        assertThat(page.locator("main")).containsText(address + "/parts/" + tag);
        go(page, "report");
        if (page.locator("button:has-text('Oiled')").count() > 0) {
            page.locator("button:has-text('Oiled')").first().press("Enter");
        }
        if (page.locator("[name=note]").count() > 0) {
            page.fill("[name=note]", "the desk rang, it may go");
        }
        page.locator("form[action$='/report'] .act button").first().press("Enter");
        assertThat(page.locator("main")).containsText("Handed over");
        report = page.locator(".report-said").innerText();
        assertTrue(report.contains("was taken off in " + passes + " passes"), report);
    }

    private void go(Page page, String step) {
        page.navigate(address + "/parts/" + tag + "/" + step);
    }

    /** What is proposed, then what is asked for next, until it is settled. */
    private void key(Page page, String step, SeededFace face) {
        go(page, step);
        page.locator(".act button").first().press("Enter");
        assertThat(page.locator("input.key")).isFocused();
        Locator open = page.locator("#walk [aria-current][data-state=open]");
        int read = 0;
        while (true) {
            assertThat(open).hasCount(1);
            double x = Double.parseDouble(open.getAttribute("data-x"));
            double y = Double.parseDouble(open.getAttribute("data-y"));
            page.keyboard()
                    .type(BigDecimal.valueOf(face.at(x, y))
                            .setScale(3, RoundingMode.HALF_UP)
                            .toPlainString());
            page.keyboard().press("Enter");
            assertThat(page.locator("#walk [data-state=read]")).hasCount(++read);
            assertThat(page.locator("#figures form[data-lays]")).hasCount(0);
            boolean through = page.locator("#walk [data-state=open]").count() == 0;
            String verdict = page.locator("#figures .verdict").getAttribute("class");
            if (through && (verdict.contains("out") || verdict.contains("within"))) {
                break;
            }
            assertTrue(
                    read < 30,
                    () -> "not settled: " + page.locator("#figures .verdict").innerText());
            if (through) {
                assertThat(page.locator("[data-suggested]")).isVisible();
                page.keyboard().press("Enter");
            }
        }
        assertThat(page.locator("#status")).hasText("all kept");
    }

    private static void next(Page page, String text) {
        page.keyboard().press("Tab");
        page.keyboard().type(text);
    }

    private static void press(Page page, String name) {
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(name).setExact(true))
                .first()
                .press("Enter");
    }

    private static void signIn(Page page, String login) {
        page.fill("[name=login]", login);
        page.fill("[name=password]", PASSWORD);
        page.keyboard().press("Enter");
        page.waitForURL(address + "/");
    }

    private static String reportOf(String at, Path root) throws IOException {
        try (Browser.Window window = Browser.trusting(root, folder.resolve("browser"))) {
            Page page = window.open(at + "/sign-in", 1280, 800, new ArrayList<>());
            page.fill("[name=login]", "tove");
            page.fill("[name=password]", PASSWORD);
            page.keyboard().press("Enter");
            page.waitForURL(at + "/");
            page.navigate(at + "/parts/" + tag + "/report");
            return page.locator(".report-said").innerText();
        }
    }

    @Test
    @Order(5)
    void allOfItIsThereAfterARestart() throws Exception {
        shop.run("stop").well();
        serving = shop.serve("start");
        assertTrue(serving.said().stream().noneMatch(l -> l.contains("first-visit")), "somebody has an account");
        assertEquals(report, reportOf(address, root()));
    }

    @Test
    @Order(6)
    void anApplicationThatIsKilledIsStartedAgain() throws Exception {
        ProcessHandle.allProcesses()
                .filter(p ->
                        p.info().commandLine().orElse("").contains(folder.resolve("home") + "/work/app.properties"))
                .forEach(ProcessHandle::destroyForcibly);
        Program.await(serving, "ready", 2);
        assertEquals(report, reportOf(address, root()));
    }

    /** While it runs: written, looked at, restored elsewhere row by row; a damaged one is refused and leaves nothing. */
    @Test
    @Order(7)
    void aBackupIsTakenWhileItRunsAndComesBackElsewhere() throws Exception {
        Path backups = Program.open(folder.resolve("backups"));
        String file = shop.run("backup", backups.toString()).well().text().strip();
        Map<String, String> before = tables(shop);
        assertTrue(shop.run("check", file).well().text().contains("whole"));

        byte[] bytes = Files.readAllBytes(Path.of(file));
        bytes[bytes.length / 2] ^= 1;
        Path damaged = Files.write(backups.resolve("damaged.tar"), bytes);
        damaged.toFile().setReadable(true, false);
        assertEquals(1, shop.run("check", damaged.toString()).code());
        Path second = Program.home(folder, "second");
        Program again =
                new Program(folder.resolve("tree/usr/bin/homalon"), second).with("HOMALON_ADDRESS", "127.0.0.3");
        Program.Said refused = again.run("restore", damaged.toString());
        assertEquals(1, refused.code(), refused.text());
        assertTrue(refused.text().contains("damaged"), refused.text());
        assertTrue(refused.text().contains("nothing was restored"), refused.text());

        assertTrue(again.run("restore", file).well().text().contains("restored"));
        assertEquals(1, again.run("restore", file).code(), "never over data");
        Program.Serving served = again.serve("start");
        try {
            Map<String, String> after = tables(again);
            assertEquals(before.keySet(), after.keySet());
            before.forEach((table, rows) -> assertEquals(rows, after.get(table), table + ", row by row"));
            assertFalse(before.get("reading").startsWith("0 "), "there is something to compare");
            assertEquals(
                    report,
                    reportOf(
                            "https://127.0.0.3:" + again.setting("HOMALON_PORT"), second.resolve("tls/authority.crt")));
        } finally {
            again.run("stop").well();
            served.process().waitFor();
        }
    }

    /** Everything as one file, read into a shop that was started and never opened: row by row the same, and its owner gets in. */
    @Test
    @Order(7)
    void everythingGoesOutAsOneFileAndIsReadInElsewhere() throws Exception {
        Path file = Program.open(folder.resolve("out")).resolve("shop.zip");
        assertTrue(shop.run("out", file.toString()).well().text().contains("written"));
        assertEquals(1, shop.run("out", file.toString()).code(), "never over a file that is there");
        file.toFile().setReadable(true, false);
        Map<String, String> before = tables(shop);
        assertEquals(1, shop.run("in", file.toString()).code(), "never into a shop that has people");
        Program elsewhere = new Program(folder.resolve("tree/usr/bin/homalon"), Program.home(folder, "elsewhere"))
                .with("HOMALON_ADDRESS", "127.0.0.4");
        Program.Serving served = elsewhere.serve("start");
        try {
            assertTrue(elsewhere.run("in", file.toString()).well().text().contains("Castings: 1, visits: 1"));
            Map<String, String> after = tables(elsewhere);
            List<String> ofOneInstallation =
                    List.of("person", "passkey", "api_token", "bench_device", "device_key", "try_bucket", "kept_once");
            before.forEach((table, rows) -> {
                if (!ofOneInstallation.contains(table) && !table.equals("flyway_schema_history")) {
                    assertEquals(rows, after.get(table), table + ", row by row");
                }
            });
            assertTrue(elsewhere.run("recover", "oda").well().text().contains("Sign in as oda"));
        } finally {
            elsewhere.run("stop").well();
            served.process().waitFor();
        }
    }

    private static Connection database(Program of) throws Exception {
        String secret = Files.readAllLines(Path.of(of.setting("HOMALON_HOME")).resolve("secrets")).stream()
                .filter(l -> l.startsWith("PG_ADMIN="))
                .findFirst()
                .orElseThrow()
                .substring("PG_ADMIN=".length());
        return DriverManager.getConnection(
                "jdbc:postgresql://127.0.0.1:" + of.setting("HOMALON_PG_PORT") + "/homalon", "homalon_admin", secret);
    }

    private static byte[] paper() throws Exception {
        try (Connection c = database(shop);
                Statement s = c.createStatement();
                ResultSet found = s.executeQuery("select content from release_paper where name like 'pdf%'")) {
            assertTrue(found.next());
            return found.getBytes(1);
        }
    }

    /** Each table as the count and the sum of all its rows; but for what a restore and a sign-in write themselves. */
    private static Map<String, String> tables(Program of) throws Exception {
        Map<String, String> all = new TreeMap<>();
        try (Connection c = database(of);
                Statement s = c.createStatement()) {
            List<String> names = new ArrayList<>();
            try (ResultSet found = s.executeQuery("select table_name from information_schema.tables"
                    + " where table_schema = 'public' and table_type = 'BASE TABLE'")) {
                while (found.next()) {
                    names.add(found.getString(1));
                }
            }
            names.removeAll(List.of("spring_session", "spring_session_attributes", "journal", "backup_made"));
            for (String name : names) {
                try (ResultSet found =
                        s.executeQuery("select count(*) || ' ' || coalesce(md5(string_agg(t::text, chr(10)"
                                + " order by t::text)), '') from " + name + " t")) {
                    found.next();
                    all.put(name, found.getString(1));
                }
            }
        }
        return all;
    }

    @Test
    @Order(8)
    void sealsAgreeAndAnOwnerWhoForgotIsLetIn() throws Exception {
        assertTrue(shop.run("verify").well().text().contains("1 seal looked at, all agree"));
        Path paper = Files.write(folder.resolve("report.pdf"), paper());
        assertTrue(shop.run("verify", paper.toString()).well().text().contains("unchanged"));
        Files.writeString(paper, "changed");
        assertEquals(1, shop.run("verify", paper.toString()).code());
        assertEquals(1, shop.run("recover", "tove").code(), "no owner");
        String said = shop.run("recover", "oda").well().text();
        String password = said.lines()
                .filter(l -> l.startsWith("Sign in as oda with: "))
                .findFirst()
                .orElseThrow()
                .substring("Sign in as oda with: ".length());
        try (Browser.Window window = Browser.trusting(root(), folder.resolve("browser"))) {
            Page page = window.open(address + "/sign-in", 1280, 800, new ArrayList<>());
            page.fill("[name=login]", "oda");
            page.fill("[name=password]", password);
            page.keyboard().press("Enter");
            page.waitForURL(address + "/");
        }
    }

    /** One more instance on the database that the first one's command made: the first may stop, its database stays. */
    @Test
    @Order(9)
    void aSecondInstanceGoesOnWhenTheFirstIsStopped() throws Exception {
        Path home = Program.home(folder, "beside");
        Files.createDirectories(home);
        Files.copy(Path.of(shop.setting("HOMALON_HOME")).resolve("secrets"), home.resolve("secrets"));
        if (System.getProperty("user.name").equals("root")) {
            // The installed command runs as the shop's own user.
            assertEquals(
                    0,
                    new ProcessBuilder("chown", "-R", "homalon:", home.toString())
                            .start()
                            .waitFor());
        }
        Program beside = new Program(folder.resolve("tree/usr/bin/homalon"), home)
                .with("HOMALON_ADDRESS", "127.0.0.4")
                .with("HOMALON_DATABASE", "127.0.0.1:" + shop.setting("HOMALON_PG_PORT"));
        Program.Serving served = beside.serve("start");
        String there = "https://127.0.0.4:" + beside.setting("HOMALON_PORT");
        try {
            assertEquals(report, reportOf(there, home.resolve("tls/authority.crt")));
            assertTrue(shop.run("stop").well().text().contains("Another instance works on this database"));
            assertEquals(report, reportOf(there, home.resolve("tls/authority.crt")));
            Program.Said elsewhere = beside.run("backup", folder.toString());
            assertEquals(1, elsewhere.code());
            assertTrue(elsewhere.text().contains("run elsewhere"), elsewhere.text());
        } finally {
            beside.run("stop").well();
            served.process().waitFor();
        }
        assertFalse(shop.run("stop").well().text().contains("Another instance"));
        Program.Said gone = beside.with("HOMALON_DATABASE", "127.0.0.1:1").run("start");
        assertEquals(1, gone.code());
        assertTrue(gone.text().contains("does not let us in"), gone.text());
    }

    /** What was written after the moment is not there, all before it is; a time that the archive does not reach is refused. */
    @Test
    @Order(10)
    void theStateOfAnyMomentIsRestoredFromTheArchive() throws Exception {
        Path archive = Program.open(folder.resolve("archive"));
        shop.with("HOMALON_ARCHIVE", archive.toString());
        serving = shop.serve("start");
        for (int i = 0; i < 600 && copies(archive) == 0; i++) {
            Thread.sleep(100);
        }
        assertEquals(1, copies(archive));
        note("before");
        Map<String, String> before = tables(shop);
        Thread.sleep(20);
        Instant moment = Instant.now();
        Thread.sleep(20);
        note("after");
        shop.run("stop").well();
        serving.process().waitFor();

        Path third = Program.home(folder, "third");
        Program again = new Program(folder.resolve("tree/usr/bin/homalon"), third).with("HOMALON_ADDRESS", "127.0.0.5");
        Program.Said never = again.run(
                "restore", archive.toString(), moment.plus(Duration.ofDays(1)).toString());
        assertEquals(1, never.code());
        assertTrue(never.text().contains("ends before that time"), never.text());
        assertEquals(
                1, again.run("restore", archive.toString(), "yesterday noonish").code());
        assertTrue(again.run("restore", archive.toString(), moment.toString())
                .well()
                .text()
                .contains("restored"));
        Program.Serving served = again.serve("start");
        try {
            assertEquals(before, tables(again), "row by row");
            List<String> journal = new ArrayList<>();
            try (Connection c = database(again);
                    Statement s = c.createStatement();
                    ResultSet found = s.executeQuery("select detail from journal order by seq")) {
                while (found.next()) {
                    journal.add(found.getString(1));
                }
            }
            assertTrue(journal.contains("before"), journal.toString());
            assertFalse(journal.contains("after"), journal.toString());
            assertTrue(journal.get(journal.size() - 1).startsWith("from the archive"), journal.toString());
            assertEquals(
                    report,
                    reportOf("https://127.0.0.5:" + again.setting("HOMALON_PORT"), third.resolve("tls/authority.crt")));
        } finally {
            again.run("stop").well();
            served.process().waitFor();
        }
    }

    private static long copies(Path archive) throws Exception {
        try (Stream<Path> all = Files.list(archive)) {
            return all.filter(p -> p.getFileName().toString().startsWith("copy-"))
                    .count();
        }
    }

    private static void note(String detail) throws Exception {
        try (Connection c = database(shop);
                Statement s = c.createStatement()) {
            s.execute("insert into journal (what, detail) values ('EXPORTED', '" + detail + "')");
        }
    }
}
