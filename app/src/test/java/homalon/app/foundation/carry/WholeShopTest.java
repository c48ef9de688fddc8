package homalon.app.foundation.carry;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.foundation.people.DeviceKeys;
import homalon.app.foundation.security.ApiTokens;
import homalon.app.foundation.upgrade.Upgrade;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.OwnDatabase;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.visit.PartFile;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import javax.sql.DataSource;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The sample shop goes out as one file and comes back elsewhere with nothing lost. */
@ExtendWith(RunningShop.class)
class WholeShopTest {
    @TempDir
    Path folder;

    private final RunningShop.Shop shop;
    private final HandsOfTests hands;
    private String second;
    private Path archive;

    WholeShopTest(RunningShop.Shop shop) {
        this.shop = shop;
        this.hands = new HandsOfTests(shop);
    }

    private static Connection owner(String url) throws SQLException {
        return DriverManager.getConnection(
                url, System.getenv("HOMALON_DB_OWNER"), System.getenv("HOMALON_DB_OWNER_PASSWORD"));
    }

    private Connection sample() throws SQLException {
        try (Connection c = shop.bean(DataSource.class).getConnection()) {
            return owner(c.getMetaData().getURL());
        }
    }

    private Connection elsewhere() throws SQLException {
        return owner(OwnDatabase.url(second));
    }

    private Path out(String name, Connection from) throws SQLException, IOException {
        Path to = folder.resolve(name);
        try (from;
                OutputStream file = Files.newOutputStream(to)) {
            WriteOut.to(file, from, "0.0");
        }
        return to;
    }

    @BeforeEach
    void made() throws Exception {
        second = OwnDatabase.made();
        new Upgrade(
                        OwnDatabase.url(second),
                        System.getenv("HOMALON_DB_OWNER"),
                        System.getenv("HOMALON_DB_OWNER_PASSWORD"),
                        System.getenv("HOMALON_DB_USER"))
                .run();
        released();
        archive = out("first.zip", sample());
    }

    /** A sealed paper, whose bytes stand in a file of their own, and whose tables are closed to whoever comes after. */
    private void released() {
        PartFile part = hands.bookFor("Leaving Yard");
        Visitor marit = Visitor.signedIn(shop.port(), "marit");
        marit.get("/parts/" + part.tag() + "/report");
        marit.post("/parts/" + part.tag() + "/report", "note", "goes back as it came");
    }

    @AfterEach
    void gone() {
        OwnDatabase.gone(second);
    }

    private static byte[] content(ZipFile zip, String name) throws IOException {
        return zip.getInputStream(zip.getEntry(name)).readAllBytes();
    }

    @Test
    void nothingIsLostOnTheWay() throws Exception {
        Map<String, Long> rows;
        try (Connection c = elsewhere()) {
            rows = ReadIn.from(archive, c);
        }
        assertTrue(rows.get("part") > 40 && rows.get("figure") > 500 && rows.get("release_paper") > 0, rows.toString());
        Path again = out("second.zip", elsewhere());
        try (ZipFile first = new ZipFile(archive.toFile());
                ZipFile back = new ZipFile(again.toFile())) {
            List<String> names = first.stream().map(ZipEntry::getName).toList();
            assertEquals(names, back.stream().map(ZipEntry::getName).toList());
            for (String name : names) {
                if (name.startsWith("tables/") || name.startsWith("files/")) {
                    byte[] there = content(back, name);
                    byte[] here = content(first, name);
                    if (name.equals("tables/journal.jsonl")) {
                        String said = new String(there, StandardCharsets.UTF_8);
                        assertTrue(
                                said.startsWith(new String(here, StandardCharsets.UTF_8)), "what was written before");
                        assertTrue(said.strip()
                                .lines()
                                .reduce((a, b) -> b)
                                .orElseThrow()
                                .contains("everything of a shop"));
                    } else {
                        assertArrayEquals(here, there, name);
                    }
                }
            }
        }
    }

    /** What was handed over stays closed, the database counts on, and nobody gets in by a password of elsewhere. */
    @Test
    void itIsAShopLikeAnother() throws Exception {
        try (Connection c = elsewhere()) {
            ReadIn.from(archive, c);
            try (Statement s = c.createStatement()) {
                SQLException kept = assertThrows(
                        SQLException.class, () -> s.executeUpdate("update reading set typed = '0' where seq = 1"));
                assertTrue(kept.getMessage().contains("reading"), kept.getMessage());
                c.rollback();
                s.executeUpdate("insert into journal (at, what, detail) values (now(), 'RESTORED', 'one more')");
                try (ResultSet r = s.executeQuery(
                        "select (select count(*) = max(seq) - min(seq) + 1 or max(seq) > count(*) from journal),"
                                + " (select count(*) from person where password_hash <> '!')")) {
                    r.next();
                    assertTrue(r.getBoolean(1));
                    assertEquals(0, r.getLong(2));
                }
                c.rollback();
            }
        }
    }

    /** Whoever has the file gets into nothing with it, and reads nothing that a device keeps. */
    @Test
    void whatOpensSomethingOfThisInstallationStaysBehind() throws Exception {
        byte[] key = shop.bean(DeviceKeys.class).of(hands.ines());
        shop.bean(ApiTokens.class).issue("Stays here", Optional.of(hands.ines()), hands.ines());
        archive = out("fourth.zip", sample());
        try (ZipFile zip = new ZipFile(archive.toFile())) {
            for (String table : List.of("device_key", "api_token", "passkey", "bench_device", "spring_session")) {
                assertEquals(
                        List.of(),
                        zip.stream().filter(e -> e.getName().contains(table)).toList(),
                        table);
            }
            String hex = HexFormat.of().formatHex(key);
            String base64 = Base64.getEncoder().encodeToString(key);
            for (ZipEntry e : zip.stream().toList()) {
                byte[] content = content(zip, e.getName());
                String text = new String(content, StandardCharsets.ISO_8859_1);
                assertFalse(text.contains(hex) || text.contains(base64), e.getName());
                assertFalse(text.contains(new String(key, StandardCharsets.ISO_8859_1)), e.getName());
            }
        }
    }

    @Test
    void itIsDescribedAndReadWithoutThisProgram() throws Exception {
        PartFile part = hands.bookFor("Semicolon; Yard");
        archive = out("third.zip", sample());
        try (ZipFile zip = new ZipFile(archive.toFile())) {
            JsonNode about = JsonMapper.shared().readTree(content(zip, "about.json"));
            JsonNode schema =
                    JsonMapper.shared().readTree(content(zip, "schema.json")).get("$defs");
            assertTrue(about.get("tables").size() > 40);
            for (JsonNode table : about.get("tables")) {
                String name = table.get("table").asString();
                JsonNode columns = schema.get(name).get("properties");
                List<String> lines = new String(content(zip, "tables/" + name + ".jsonl"), StandardCharsets.UTF_8)
                        .lines()
                        .toList();
                assertEquals(table.get("rows").asLong(), lines.size(), name);
                for (String line : lines.subList(0, Math.min(3, lines.size()))) {
                    JsonMapper.shared()
                            .readTree(line)
                            .propertyNames()
                            .forEach(c -> assertTrue(columns.has(c), name + "." + c));
                }
            }
            String jobs = new String(content(zip, "csv/part.csv"), StandardCharsets.UTF_8);
            assertTrue(jobs.contains(part.tag()), "a spreadsheet finds it");
            String people = new String(content(zip, "tables/person.jsonl"), StandardCharsets.UTF_8);
            assertFalse(people.contains("argon2") || people.contains("bcrypt") || people.contains("$2"), people);
            for (String secret : List.of("passkey", "api_token", "spring_session")) {
                assertTrue(zip.getEntry("tables/" + secret + ".jsonl") == null, secret);
            }
        }
    }

    @Test
    void nothingIsReadIntoAShopThatIsInUse() throws Exception {
        try (Connection c = sample()) {
            String said = assertThrows(ReadIn.NotReadInException.class, () -> ReadIn.from(archive, c))
                    .getMessage();
            assertTrue(said.contains("somebody has an account here"), said);
        }
    }

    @Test
    void whatWasChangedIsFoundAndNothingOfItIsKept() throws Exception {
        refused(changed("tables/part.jsonl", t -> t.replaceFirst("T-0402", "T-9402")), "was changed");
        refused(changed("tables/reading.jsonl", t -> t.substring(t.indexOf('\n') + 1)), "was changed");
        refused(
                changed("about.json", t -> t.replaceFirst("\"tablesOfVersion\" : \\d+", "\"tablesOfVersion\" : 3")),
                "of version 3");
        Path noArchive = folder.resolve("none.zip");
        Files.writeString(noArchive, "a photo of a cat");
        refused(noArchive, "no archive");
    }

    @Test
    void anOwnerTakesItAlongFromThePage() throws Exception {
        Visitor marit = Visitor.signedIn(shop.port(), "marit");
        assertTrue(marit.get("/shop").body().contains("/shop/everything.zip"));
        Path taken = folder.resolve("taken.zip");
        try (InputStream in = marit.stream("/shop/everything.zip")) {
            Files.copy(in, taken);
        }
        try (ZipFile zip = new ZipFile(taken.toFile())) {
            assertTrue(zip.getEntry("about.json") != null && zip.getEntry("tables/part.jsonl") != null);
        }
        String bar = marit.get("/shop/everything/progress").body();
        assertTrue(bar.contains("All of it is written") && bar.contains("value=\"100\""), bar);
        assertFalse(bar.contains("hx-get"), "and is not asked for any more");
        assertTrue(
                marit.get("/shop").body().contains("took along: everything of the shop"),
                "the journal says who did, and when");
        assertEquals(
                403,
                Visitor.signedIn(shop.port(), "ines")
                        .get("/shop/everything.zip")
                        .statusCode());
    }

    /** Somebody who closes the page, or whose net goes: what lies on that disk is not whole, whatever the one before came to. */
    @Test
    void aDownloadThatIsBrokenOffIsSaidToBe() throws Exception {
        Visitor marit = Visitor.signedIn(shop.port(), "marit");
        try (InputStream in = marit.stream("/shop/everything.zip")) {
            assertTrue(in.readAllBytes().length > 1_000_000);
        }
        try (InputStream in = marit.stream("/shop/everything.zip")) {
            assertEquals('P', in.read());
            assertFalse(marit.get("/shop/everything/progress").body().contains("All of it is written"));
        }
        String bar = "";
        for (int i = 0; i < 100 && !bar.contains("It broke off"); i++) {
            Thread.sleep(100);
            bar = marit.get("/shop/everything/progress").body();
        }
        assertTrue(bar.contains("It broke off") && !bar.contains("hx-get"), bar);
    }

    /** Each whole hundredth once, from nothing to all, out and in. */
    @Test
    void itIsToldHowFarItIs() throws Exception {
        List<Integer> out = new ArrayList<>();
        try (Connection from = sample()) {
            WriteOut.to(OutputStream.nullOutputStream(), from, "0.0", out::add);
        }
        List<Integer> in = new ArrayList<>();
        try (Connection to = elsewhere()) {
            ReadIn.from(archive, to, in::add);
        }
        for (List<Integer> told : List.of(out, in)) {
            assertTrue(told.size() > 50, told::toString);
            assertEquals(told.stream().distinct().sorted().toList(), told);
            assertEquals(List.of(0, 100), List.of(told.get(0), told.get(told.size() - 1)));
        }
    }

    /** A sealed paper that was put in place of another is found, though its line still names it. */
    @Test
    void aFileThatWasChangedIsFound() throws Exception {
        String paper;
        try (ZipFile zip = new ZipFile(archive.toFile())) {
            paper = zip.stream()
                    .map(ZipEntry::getName)
                    .filter(n -> n.startsWith("files/release_paper/"))
                    .findFirst()
                    .orElseThrow();
        }
        refused(changed(paper, t -> t + "x"), "release_paper was changed");
    }

    /** An archive that somebody wrote with a password of their own lets nobody in by it. */
    @Test
    void aPasswordThatIsInAnArchiveIsNone() throws Exception {
        Path forged = changed(
                "tables/person.jsonl", t -> t.replace("\"password_hash\":\"!\"", "\"password_hash\":\"known\""));
        byte[] people;
        try (ZipFile zip = new ZipFile(forged.toFile())) {
            people = content(zip, "tables/person.jsonl");
        }
        assertTrue(new String(people, StandardCharsets.UTF_8).contains("known"), "it was forged");
        String sum = HexFormat.of().formatHex(WriteOut.sha256().digest(people));
        archive = Files.move(forged, folder.resolve("forged.zip"));
        Path whole = changed(
                "about.json",
                t -> t.replaceFirst("(\"sha256\" : \")[0-9a-f]{64}(\",\\s*\"table\" : \"person\")", "$1" + sum + "$2"));
        try (Connection c = elsewhere()) {
            ReadIn.from(whole, c);
            try (Statement s = c.createStatement();
                    ResultSet r = s.executeQuery(
                            "select count(*), count(*) filter (where password_hash = '!') from person")) {
                r.next();
                assertTrue(r.getLong(1) > 0);
                assertEquals(r.getLong(1), r.getLong(2));
            }
        }
    }

    @Test
    void aSpreadsheetIsGivenNoFormula() throws Exception {
        hands.bookFor("=1+1 Yard");
        try (ZipFile zip = new ZipFile(out("csv.zip", sample()).toFile())) {
            String parts = new String(content(zip, "csv/part.csv"), StandardCharsets.UTF_8);
            assertTrue(parts.contains(",'=1+1 Yard,"), "preceded by an apostrophe");
            assertFalse(parts.contains(",=1+1"), "and nowhere bare");
            String figures = new String(content(zip, "csv/figure.csv"), StandardCharsets.UTF_8);
            assertFalse(figures.contains(",'-0"), "a figure stays a figure");
        }
    }

    private void refused(Path from, String why) throws SQLException {
        try (Connection c = elsewhere()) {
            String said = assertThrows(ReadIn.NotReadInException.class, () -> ReadIn.from(from, c))
                    .getMessage();
            assertTrue(said.contains(why), said);
        }
        try (Connection c = elsewhere();
                Statement s = c.createStatement();
                ResultSet r = s.executeQuery("select count(*) from part")) {
            r.next();
            assertEquals(0, r.getLong(1));
        }
    }

    private Path changed(String entry, UnaryOperator<String> how) throws IOException {
        Path to = folder.resolve("changed.zip");
        try (ZipFile from = new ZipFile(archive.toFile());
                ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(to))) {
            for (ZipEntry e : from.stream().toList()) {
                out.putNextEntry(new ZipEntry(e.getName()));
                byte[] was = content(from, e.getName());
                out.write(
                        e.getName().equals(entry)
                                ? how.apply(new String(was, StandardCharsets.UTF_8))
                                        .getBytes(StandardCharsets.UTF_8)
                                : was);
            }
        }
        return to;
    }
}
