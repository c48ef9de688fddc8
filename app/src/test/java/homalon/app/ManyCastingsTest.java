package homalon.app;

import static org.assertj.core.api.Assertions.assertThat;

import homalon.app.testing.OwnDatabase;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Statements;
import homalon.app.testing.Visitor;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** A shop with hundreds of castings: lists come in pages, whole and in order, and no answer asks the database once for each. */
class ManyCastingsTest {
    /** Every page that lists castings, and one of a casting. */
    private static final List<String> PAGES = List.of(
            "/",
            "/batch?with=T-0401",
            "/parts/T-0424/compare",
            "/parts/T-0424/compare/others",
            "/find?q=ferry",
            "/find/list?q=fe",
            "/stuck/customer",
            "/parts/T-0401/plan",
            "/parts/T-0401/index");

    private static final Statements COUNTED = new Statements();
    private static RunningShop.Shop shop;
    private static Visitor ines;
    private static Map<String, Long> few;

    @BeforeAll
    static void growTheShop() throws IOException {
        String database = OwnDatabase.sampled();
        shop = RunningShop.sample(database, COUNTED);
        ines = Visitor.signedIn(shop.port(), "ines");
        few = counted();
        String grow = Files.readString(Path.of("..", "bench", "grow.sql"))
                .replaceAll("(?m)^\\\\set .*$", "")
                .replace("vacuum analyze;", "")
                .replace(":shop", "9")
                .replace(":archive", "12");
        OwnDatabase.asAdmin(database, grow);
        OwnDatabase.asAdmin(database, "analyze");
    }

    @AfterAll
    static void close() {
        shop.close();
    }

    @Test
    void noAnswerSendsMoreStatementsBecauseThereAreMoreCastings() {
        Map<String, Long> many = counted();
        // A full page may need the same statement in the form for many instead of for one.
        PAGES.forEach(p -> assertThat(many.get(p)).as(p).isLessThanOrEqualTo(few.get(p) + 2));
    }

    /** So many and no more, whatever the number of castings. */
    @Test
    void theMainAnswersAskTheDatabaseSoManyTimes() {
        assertThat(counted().get("/")).as("bench").isBetween(4L, 12L);
        ines.post("/parts/T-0419/face/start");
        String face = ines.get("/parts/T-0419/face").body();
        List<String> places = found(face, "data-place=\"([0-9a-f-]{36})\"");
        long least = Long.MAX_VALUE;
        for (int i = 0; i < 5; i++) {
            long before = COUNTED.sent();
            HttpResponse<String> kept = ines.key(
                    "/parts/T-0419/face/readings",
                    "id",
                    UUID.randomUUID().toString(),
                    "place",
                    places.get(i),
                    "typed",
                    "0.01",
                    "unit",
                    "MM",
                    "sure",
                    "true");
            assertThat(kept.statusCode()).as(kept.body()).isEqualTo(200);
            least = Math.min(least, COUNTED.sent() - before);
        }
        assertThat(least).as("one reading kept and shown").isLessThanOrEqualTo(9);
    }

    @Test
    void theBenchShowsEveryCastingOnceTheEarliestDueFirst() {
        List<String> tags = new ArrayList<>();
        String path = "/";
        while (path != null) {
            String page = ines.get(path).body();
            tags.addAll(found(page, "class=\"next-row\" href=\"/parts/([A-Z0-9-]+)/"));
            path = found(page, "hx-get=\"(/\\?after=[^\"]+)\"").stream()
                    .findFirst()
                    .orElse(null);
        }
        Matcher said = Pattern.compile("(\\d+) to do, (\\d+) stuck")
                .matcher(ines.get("/").body());
        assertThat(said.find()).isTrue();
        assertThat(tags).hasSize(Integer.parseInt(said.group(1))).doesNotHaveDuplicates();
        assertThat(tags.size()).isGreaterThan(250);
        List<String> due = OwnDatabase.asked(
                shop,
                "select p.tag from part p join job j on j.part_id = p.id where released_at is null and stuck_on is null"
                        + " order by due nulls last, opened_at, j.id");
        assertThat(tags).isEqualTo(due);
    }

    @Test
    void findGoesOnToTheLastOfThem() {
        List<String> tags = new ArrayList<>();
        String path = "/find?q=in+line";
        while (path != null) {
            String page = ines.get(path).body();
            tags.addAll(found(page, "class=\"tag\">([A-Z0-9-]+)<"));
            path = found(page, "hx-get=\"(/find\\?[^\"]+)\"").stream()
                    .findFirst()
                    .map(p -> p.replace("&amp;", "&"))
                    .orElse(null);
        }
        assertThat(tags)
                .doesNotHaveDuplicates()
                .hasSameElementsAs(OwnDatabase.asked(
                        shop,
                        // Each word by itself, wherever it stands.
                        "select tag from part where words like '%in%' and words like '%line%'"))
                .hasSizeGreaterThan(50);
    }

    @Test
    void signsThatStandForAnyLetterAreLookedForAsTheyAre() {
        assertThat(ines.get("/find?q=%25").body()).contains("Nothing like that");
        assertThat(ines.get("/find?q=_").body()).contains("Nothing like that");
        assertThat(ines.get("/find?q=!").body()).contains("Nothing like that");
    }

    @Test
    void theBatchOffersTheSameMetalFirstAndKeepsWhatIsMarkedWhileOneLooksForMore() {
        String page = ines.get("/batch?with=T-0401").body();
        List<String> offered = found(page, "name=\"tag\" id=\"on-([A-Z0-9-]+)\"");
        assertThat(offered).hasSize(11).startsWith("T-0401");
        String marked = found(page, "name=\"tag\" id=\"on-([A-Z0-9-]+)\" value=\"[^\"]+\"/>")
                .get(3);
        String looked = ines.through("HX-Request", "true")
                .get("/batch?with=T-0401&q=nothing+at+all&tag=T-0401&tag=" + marked)
                .body();
        ines.through("Accept", "*/*");
        assertThat(found(looked, "name=\"tag\" id=\"on-([A-Z0-9-]+)\"")).containsExactly("T-0401", marked);
        assertThat(found(looked, "value=\"([A-Z0-9-]+)\" checked")).containsExactly("T-0401", marked);

        List<String> all = new ArrayList<>(offered);
        String path = more(page);
        while (path != null) {
            String next = ines.get(path).body();
            List<String> some = found(next, "name=\"tag\" id=\"on-([A-Z0-9-]+)\"");
            all.addAll(some);
            path = more(next);
        }
        assertThat(all).containsExactlyElementsOf(OwnDatabase.asked(shop, """
                with first as (select * from part where tag = 'T-0401'),
                planned as (
                  select p.tag, p.material <> f.material as other_metal, p.customer <> f.customer as other_customer, j.due, j.opened_at,
                    j.id, exists (select 1 from ledger_line l where l.job_id = j.id and l.kind = 'PASS') as begun
                  from part p join job j on j.part_id = p.id cross join first f
                  where j.released_at is null and exists (select 1 from cut_plan c where c.job_id = j.id))
                select tag from planned
                order by tag <> 'T-0401', other_metal, not other_metal and begun, not other_metal and not begun and other_customer,
                  due nulls last, opened_at, id"""));
    }

    private static String more(String page) {
        return found(page, "hx-get=\"(/batch\\?[^\"]*page=[^\"]+)\"").stream()
                .findFirst()
                .map(p -> p.replace("&amp;", "&"))
                .orElse(null);
    }

    private static Map<String, Long> counted() {
        Map<String, Long> all = new LinkedHashMap<>();
        for (String page : PAGES) {
            ines.get(page);
            long least = Long.MAX_VALUE;
            for (int i = 0; i < 2; i++) {
                long before = COUNTED.sent();
                assertThat(ines.get(page).statusCode()).as(page).isEqualTo(200);
                least = Math.min(least, COUNTED.sent() - before);
            }
            all.put(page, least);
        }
        return all;
    }

    private static List<String> found(String page, String pattern) {
        return Pattern.compile(pattern)
                .matcher(page)
                .results()
                .map(m -> m.group(1))
                .toList();
    }
}
