package homalon.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.sheets.Sheets;
import homalon.app.casting.work.WorkEntry;
import homalon.app.casting.work.WorkLog;
import homalon.app.check.face.Surveys;
import homalon.app.check.integrity.Cracks;
import homalon.app.check.integrity.PressureTests;
import homalon.app.foundation.people.People;
import homalon.app.shop.stock.Orders;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.cut.SetUpMethod;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.route.Operation;
import homalon.core.visit.Figure;
import homalon.core.visit.LedgerFile;
import homalon.core.visit.PartFile;
import homalon.core.visit.Sheet;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Supplier;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * The same id at the same moment is answered with the same success every time and kept once; two people at one place are told of
 * each other, and nothing is put in another's place without a word.
 */
@ExtendWith(RunningShop.class)
class OnceEachTest {
    private static final int HANDS = 6;
    private static final ExecutorService HANDS_AT_WORK = Executors.newFixedThreadPool(HANDS);

    private final RunningShop.Shop shop;
    private final HandsOfTests hands;
    private final List<Visitor> ines = new ArrayList<>();
    private final Visitor marit;

    OnceEachTest(RunningShop.Shop shop) {
        this.shop = shop;
        this.hands = new HandsOfTests(shop);
        for (int i = 0; i < HANDS; i++) {
            ines.add(Visitor.signedIn(shop.port(), "ines"));
        }
        this.marit = Visitor.signedIn(shop.port(), "marit");
    }

    @AfterAll
    static void rest() {
        HANDS_AT_WORK.shutdown();
    }

    /** Several posts at one moment, and what was kept afterwards. */
    private void once(String path, Supplier<Integer> kept, int lines, String... fields) throws Exception {
        int before = kept.get();
        String[] all = new String[fields.length + 2];
        System.arraycopy(fields, 0, all, 2, fields.length);
        all[0] = "id";
        all[1] = UUID.randomUUID().toString();
        List<Callable<HttpResponse<String>>> posts = new ArrayList<>();
        ines.forEach(v -> posts.add(() -> v.key(path, all)));
        Set<String> answers = new TreeSet<>();
        for (var answer : HANDS_AT_WORK.invokeAll(posts)) {
            HttpResponse<String> a = answer.get();
            answers.add(a.statusCode() < 400 ? Integer.toString(a.statusCode()) : a.statusCode() + " " + a.body());
        }
        assertEquals(1, answers.size(), path + ": " + answers);
        assertTrue(answers.iterator().next().matches("200|204|302"), path + ": " + answers);
        assertEquals(before + lines, kept.get(), path);
        // And once more, long after.
        int later = ines.get(0).key(path, all).statusCode();
        assertTrue(later < 400, path + ": " + later);
        assertEquals(before + lines, kept.get(), path);
    }

    private int passes(PartFile part) {
        return shop.bean(Ledgers.class).of(part).lines().size();
    }

    private PartFile planned() {
        PartFile part = hands.book(Material.CAST_IRON);
        hands.prepare(part);
        hands.read(part, SurveyKind.FACE, s -> 0.02 * Math.sin(s.x() / 60));
        hands.plan(part, SetUpMethod.LEAST_REMOVAL);
        return part;
    }

    @Test
    void everyWriteIsKeptOnce() throws Exception {
        PartFile part = planned();
        String at = "/parts/" + part.tag();
        SurveyFile survey = shop.bean(Surveys.class).find(part, SurveyKind.FACE).orElseThrow();
        String place = survey.places().get(0).id().toString();
        once(
                at + "/face/readings",
                () -> shop.bean(Surveys.class)
                        .find(part, SurveyKind.FACE)
                        .orElseThrow()
                        .history()
                        .size(),
                1,
                "place",
                place,
                "typed",
                "0.011",
                "unit",
                "MM",
                "sure",
                "true");
        once(
                at + "/face/undo",
                () -> shop.bean(Surveys.class)
                        .find(part, SurveyKind.FACE)
                        .orElseThrow()
                        .history()
                        .size(),
                1);
        once(at + "/cut/readings", () -> passes(part), 1, "place", "0", "typed", "0.01", "unit", "MM");
        UUID line = shop.bean(Ledgers.class).of(part).lines().get(0).id();
        once(
                at + "/cut/reverse",
                () -> passes(part),
                1,
                "wrong",
                line.toString(),
                "line",
                line.toString(),
                "why",
                "dial not zeroed");
        PartFile deck = hands.book(Material.CAST_IRON, PartKind.DECK);
        once(
                "/parts/" + deck.tag() + "/index/set-up",
                () -> shop.bean(Sheets.class).of(deck, Sheet.INDEX).setup().size() > 0 ? 1 : 0,
                1,
                "outerAtTop",
                "true");
        once(at + "/clean", () -> shop.bean(WorkLog.class).of(part).size(), 1, "method", "SOLVENT", "what", "SOLVENT");
        once(
                at + "/pressure",
                () -> shop.bean(PressureTests.class).of(part).size(),
                1,
                "medium",
                "air",
                "hold",
                "10",
                "most",
                "0.05");
        once(
                at + "/pressure/readings",
                () -> shop.bean(PressureTests.class).of(part).get(0).readings().size(),
                1,
                "minute",
                "0",
                "bar",
                "2.5",
                "celsius",
                "20");
        once(
                at + "/cracks",
                () -> shop.bean(Cracks.class).of(part).size(),
                1,
                "place",
                "BETWEEN_SEATS",
                "bore",
                "2",
                "length",
                "12",
                "method",
                "DYE",
                "x1",
                "90",
                "y1",
                "60",
                "x2",
                "96",
                "y2",
                "70");
    }

    /** The table is set up once, whoever presses; a casting stands on one table only. */
    @Test
    void fourPressesMakeOneBatchAndOnePass() throws Exception {
        PartFile a = planned();
        PartFile b = planned();
        UUID id = UUID.randomUUID();
        List<Callable<Integer>> presses = new ArrayList<>();
        for (int i = 0; i < HANDS; i++) {
            Visitor v = ines.get(i);
            // Half of them say the same twice, the others mean a table of their own with the same castings.
            String table = i % 2 == 0 ? id.toString() : UUID.randomUUID().toString();
            presses.add(() ->
                    v.key("/batch", "id", table, "tag", a.tag(), "tag", b.tag()).statusCode());
        }
        int made = 0;
        for (var answer : HANDS_AT_WORK.invokeAll(presses)) {
            made += answer.get() < 400 ? 1 : 0;
        }
        assertTrue(made >= 1, "somebody was first");
        UUID table =
                shop.bean(homalon.app.machining.batch.Batches.class).ofPart(a).orElseThrow();
        assertEquals(
                table,
                shop.bean(homalon.app.machining.batch.Batches.class).ofPart(b).orElseThrow());
        int tables = (int) ines.stream()
                .filter(v -> v.get("/batch/" + table).statusCode() == 200)
                .count();
        assertEquals(HANDS, tables);
        once(
                "/batch/" + table + "/readings",
                () -> passes(a) + passes(b),
                2,
                "place",
                "0",
                "typed",
                "0.01",
                "unit",
                "MM");
        once("/batch/" + table + "/take-back", () -> passes(a) + passes(b), 2, "why", "dial not zeroed");
    }

    /** Whoever keys later, without having seen it, is told who keyed what; Enter again knows of it. */
    @Test
    void theLaterOneIsToldOnEveryPage() {
        PartFile part = planned();
        PartFile deck = hands.book(Material.CAST_IRON, PartKind.DECK);
        String at = "/parts/" + part.tag();
        Visitor first = ines.get(0);
        assertEquals(
                302,
                first.key(
                                "/parts/" + deck.tag() + "/index/set-up",
                                "id",
                                UUID.randomUUID().toString(),
                                "outerAtTop",
                                "true")
                        .statusCode());
        told(
                "/parts/" + deck.tag() + "/index/readings",
                "Ines keyed 229.8 here meanwhile",
                "place",
                "c0",
                "typed",
                "229.8",
                "unit",
                "MM");
        told(at + "/cut/readings", "Pass 1 is logged already, by Ines", "place", "0", "typed", "0.01", "unit", "MM");
        assertEquals(
                2,
                shop.bean(Ledgers.class).of(part).lines().stream()
                        .filter(LedgerFile.Line::stands)
                        .count());
        Figure stands = shop.bean(Sheets.class).of(deck, Sheet.INDEX).standing().get("c0");
        assertEquals("Marit", shop.bean(People.class).nameOf(stands.by()));
    }

    private void told(String path, String words, String... fields) {
        String[] more = with(fields, "id", UUID.randomUUID().toString());
        assertEquals(200, ines.get(0).key(path, more).statusCode(), path);
        HttpResponse<String> asked =
                marit.key(path, with(fields, "id", UUID.randomUUID().toString(), "sure", "true"));
        assertEquals(409, asked.statusCode(), path + asked.body());
        assertTrue(asked.body().contains(words), asked.body());
        String seen = asked.headers().firstValue("X-Seen").orElseThrow();
        assertEquals(
                200,
                marit.key(path, with(fields, "id", UUID.randomUUID().toString(), "seen", seen))
                        .statusCode(),
                path);
    }

    private static String[] with(String[] fields, String... more) {
        List<String> all = new ArrayList<>(List.of(fields));
        all.addAll(List.of(more));
        return all.toArray(String[]::new);
    }

    /** An order asked for twice is one order. */
    @Test
    void anOrderIsOneOrder() throws Exception {
        PartFile part = planned();
        shop.bean(WorkLog.class)
                .write(part, UUID.randomUUID(), WorkEntry.Kind.ADDED, Operation.GUIDE_WORK, "", hands.ines());
        once(
                "/parts/" + part.tag() + "/parts-list/order",
                () -> shop.bean(Orders.class).of(part).size(),
                1,
                "code",
                "G-13.070",
                "quantity",
                "1",
                "operation",
                "GUIDE_WORK",
                "words",
                "iron guide");
    }
}
