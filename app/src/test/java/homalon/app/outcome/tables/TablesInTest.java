package homalon.app.outcome.tables;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import homalon.app.casting.customer.Customer;
import homalon.app.casting.customer.Customers;
import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.FreeTags;
import homalon.app.casting.part.PartFinder;
import homalon.app.casting.part.Parts;
import homalon.app.check.face.SurveyStarts;
import homalon.app.check.face.Surveys;
import homalon.app.foundation.words.Words;
import homalon.app.testing.Browser;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.face.PlaceProposal;
import homalon.core.input.BadInputException;
import homalon.core.ledger.Entry;
import homalon.core.part.Material;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.table.TableKind;
import homalon.core.visit.LedgerFile;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Tables that a shop brings along: looked at first, then all of it or nothing. */
@ExtendWith({RunningShop.class, Browser.class})
class TablesInTest {
    private final RunningShop.Shop shop;
    private final HandsOfTests hands;
    private final TablesIn tables;
    private final Parts parts;
    private final Browser.Window window;

    TablesInTest(RunningShop.Shop shop, Browser.Window window) {
        this.shop = shop;
        this.window = window;
        this.hands = new HandsOfTests(shop);
        this.tables = shop.bean(TablesIn.class);
        this.parts = shop.bean(Parts.class);
    }

    private TablesIn.Seen look(TableKind kind, BenchUnit unit, String... lines) {
        byte[] file = String.join("\n", lines).getBytes(StandardCharsets.UTF_8);
        return tables.look(kind, file, unit, hands.ines());
    }

    private int take(TablesIn.Seen seen) {
        return tables.take(seen.kind(), seen.sum(), hands.ines());
    }

    private Optional<Customer> customer(String name) {
        return shop.bean(Customers.class).called(name);
    }

    /** As no other test calls anything. */
    private static String own(String name) {
        return name + " " + UUID.randomUUID().toString().substring(0, 8);
    }

    private String freeTag(int further) {
        return "T-%04d"
                .formatted(Integer.parseInt(shop.bean(FreeTags.class).next().substring(2)) + further);
    }

    @Test
    void aLookMakesNothingAndTakingMakesEachLineOnce() {
        String name = own("Kelp Row Pumps");
        TablesIn.Seen seen = look(
                TableKind.CUSTOMERS,
                BenchUnit.MM,
                "Company;Telephone;Units;Colour of van",
                name + ";555-0100;thou;white",
                own("Third Quay") + ";;;");
        assertEquals(List.of("Colour of van"), seen.heading().unread());
        assertEquals(List.of(), seen.refused());
        assertEquals(
                List.of(2, 3), seen.made().stream().map(TablesIn.OfLine::number).toList());
        assertEquals(Optional.empty(), customer(name));
        assertEquals(2, take(seen));
        assertEquals("555-0100", customer(name).orElseThrow().phone());
        assertEquals(Optional.of(BenchUnit.THOU), customer(name).orElseThrow().unit());
        int before = customer(name).orElseThrow().version();
        assertEquals(2, take(seen));
        assertEquals(before, customer(name).orElseThrow().version());
    }

    /** Many lines are let go of in between; each is there afterwards, and what was told of them on the way never said that all is done. */
    @Test
    void aLongTableIsTakenWholeAndSaysHowFarItIs() {
        String[] file = Stream.concat(
                        Stream.of("tag,engine,customer,removed,came,left,bore,spacing"),
                        IntStream.rangeClosed(1, 65)
                                .mapToObj(i -> freeTag(i) + ",Slipway winch of four," + "Harbour " + i % 7 + ",0.1"
                                        + i % 10 + ",2019-03-02,2019-03-0" + (3 + i % 7) + ",88,100"))
                .toArray(String[]::new);
        TablesIn.Seen seen = look(TableKind.CASTINGS, BenchUnit.MM, file);
        assertEquals(65, seen.made().size(), () -> seen.refused().toString());
        assertEquals(65 * 100 / 66, tables.howFar(TableKind.CASTINGS, hands.ines()));
        assertEquals(0, tables.howFar(TableKind.READINGS, hands.ines()), "of another table nothing is said");
        assertEquals(65, take(seen));
        for (int line : List.of(1, 20, 21, 40, 65)) {
            String[] said = file[line].split(",");
            PartFile part = parts.byTag(said[0]);
            assertEquals(said[2], part.customer());
            assertTrue(part.visit().releasedAt().isPresent(), said[0]);
            assertEquals(
                    Length.ofMm(said[3]),
                    shop.bean(Ledgers.class).of(part).lines().get(0).depth());
        }
        assertThrows(BadInputException.class, () -> look(TableKind.CASTINGS, BenchUnit.MM, file));
    }

    @Test
    void theSameFileIsNotTakenASecondTime() {
        String[] file = {"name", own("Once Only")};
        take(look(TableKind.CUSTOMERS, BenchUnit.MM, file));
        BadInputException again =
                assertThrows(BadInputException.class, () -> look(TableKind.CUSTOMERS, BenchUnit.MM, file));
        assertTrue(Words.of(again.sentence()).startsWith("This very file was taken in already"));
    }

    @Test
    void twoHandsThatPressAtOnceTakeItOnce() throws Exception {
        String name = own("Double Press");
        TablesIn.Seen seen =
                look(TableKind.CASTINGS, BenchUnit.MM, "engine,customer,bore,spacing", "Pump," + name + ",80,90");
        CompletableFuture<Integer> other = CompletableFuture.supplyAsync(() -> take(seen));
        assertEquals(1, take(seen));
        assertEquals(1, other.get());
        UUID id = customer(name).orElseThrow().id();
        assertEquals(1, shop.bean(PartFinder.class).castings(id, 0, 20).parts().size());
    }

    @Test
    void ofAKnownCustomerWhatIsEmptyIsFilledAndNothingElse() {
        String name = own("Known Before");
        take(look(TableKind.CUSTOMERS, BenchUnit.MM, "name,phone", name + ",555-0101"));
        TablesIn.Seen seen = look(
                TableKind.CUSTOMERS,
                BenchUnit.MM,
                "name,phone,notes",
                name.toUpperCase(Locale.ROOT) + ",555-9999,collects on Fridays");
        assertTrue(seen.made().get(0).words().endsWith("known, what was empty is filled"));
        take(seen);
        Customer now = customer(name).orElseThrow();
        assertEquals("555-0101", now.phone());
        assertEquals("collects on Fridays", now.notes());
    }

    @Test
    void aCastingOfFormerYearsHasItsDaysItsRemovalAndASealOfItsOwn() {
        String tag = freeTag(300);
        TablesIn.Seen seen = look(
                TableKind.CASTINGS,
                BenchUnit.THOU,
                "Job no,Engine,Owner,Bore,Spacing,Cut before,Removal is,Came,Left",
                tag + ",Ferry auxiliary,Skarvik Ferries,3.780,4.41,6,known,2024-03-02,2024-03-09");
        assertEquals(List.of(), seen.refused());
        take(seen);
        PartFile part = parts.byTag(tag);
        assertEquals(Length.ofThou("3780"), part.numbers().bore());
        LedgerFile ledger = shop.bean(Ledgers.class).of(part);
        assertEquals(Entry.Kind.OPENING_KNOWN, ledger.lines().get(0).kind());
        assertEquals(Length.ofThou("6"), ledger.lines().get(0).depth());
        assertEquals(LocalDate.of(2024, 3, 2), LocalDate.ofInstant(part.visit().openedAt(), ZoneId.systemDefault()));
        assertEquals(
                LocalDate.of(2024, 3, 9),
                LocalDate.ofInstant(part.visit().releasedAt().orElseThrow(), ZoneId.systemDefault()));
        String bench = Visitor.signedIn(shop.port(), "ines").get("/").body();
        assertFalse(bench.contains(tag), "it left long ago");
    }

    @Test
    void oneLineThatCannotBeHoldsAllBackAndIsNamedAsAnEditorCounts() {
        String name = own("Held Back");
        TablesIn.Seen seen = look(
                TableKind.CASTINGS,
                BenchUnit.MM,
                "engine,customer,bore,spacing,metal,history",
                "Pump," + name + ",80,90,iron,\"overheated,",
                "twice\"",
                "",
                "Pump," + name + ",80,90,brass,",
                "Pump," + name + ",wide,90,,");
        assertEquals(
                List.of(5, 6),
                seen.refused().stream().map(TablesIn.OfLine::number).toList());
        assertEquals(
                "Metal \"brass\": write cast iron or aluminium.",
                seen.refused().get(0).words());
        assertEquals(
                List.of(2), seen.made().stream().map(TablesIn.OfLine::number).toList());
        assertThrows(BadInputException.class, () -> take(seen));
        assertEquals(Optional.empty(), customer(name));
    }

    @Test
    void whatCannotBeATableIsRefusedInASentence() {
        for (String[] file : new String[][] {
            {"engine,customer"},
            {"engine"},
            {"", ""},
            {"engine,customer", "\"never closed"},
            {"customer,owner,engine", "a,b,c"}
        }) {
            assertThrows(BadInputException.class, () -> look(TableKind.CASTINGS, BenchUnit.MM, file));
        }
        assertThrows(
                BadInputException.class,
                () -> tables.look(TableKind.CASTINGS, new byte[] {(byte) 0xff, 10}, BenchUnit.MM, hands.ines()));
        assertThrows(BadInputException.class, () -> tables.take(TableKind.CASTINGS, "0".repeat(64), hands.ines()));
    }

    @Test
    void aTagThatIsTakenAndOneThatStandsTwiceAreRefused() {
        String taken = hands.book(Material.CAST_IRON).tag();
        String twice = freeTag(400);
        TablesIn.Seen seen = look(
                TableKind.CASTINGS,
                BenchUnit.MM,
                "tag,engine,customer,bore,spacing",
                taken + ",Pump,Kelp Row,80,90",
                twice + ",Pump,Kelp Row,80,90",
                twice + ",Pump,Kelp Row,80,90");
        assertEquals(
                List.of(2, 4),
                seen.refused().stream().map(TablesIn.OfLine::number).toList());
    }

    @Test
    void aCastingLikeOneThatIsKnownNeedsNoSizes() {
        PartFile known = hands.book(Material.ALUMINIUM);
        String tag = freeTag(500);
        take(look(
                TableKind.CASTINGS,
                BenchUnit.MM,
                "tag,engine,customer,like,stamps",
                tag + ",Kelp cutter twin,Kelp Row," + known.tag() + ",R"));
        PartFile made = parts.byTag(tag);
        assertEquals(known.numbers(), made.numbers());
        assertEquals(Material.ALUMINIUM, made.material());
        assertEquals("R", made.stamps());
        assertEquals("Kelp cutter twin", made.name());
    }

    @Test
    void aRemovalOpensTheLedgerOfACastingThatIsHere() {
        PartFile part = hands.book(Material.CAST_IRON);
        TablesIn.Seen seen = look(
                TableKind.REMOVALS,
                BenchUnit.MM,
                "tag,depth (thou),removed is,from",
                part.tag() + ",6,known,stamped on its end",
                "T-9999,0.1,known,");
        assertEquals(
                List.of(3), seen.refused().stream().map(TablesIn.OfLine::number).toList());
        take(look(TableKind.REMOVALS, BenchUnit.MM, "tag,depth (thou),from", part.tag() + ",6,stamped on its end"));
        LedgerFile.Line line = shop.bean(Ledgers.class).of(part).lines().get(0);
        assertEquals(Length.ofThou("6"), line.depth());
        assertEquals(Entry.Kind.OPENING_ESTIMATED, line.kind());
        assertEquals("stamped on its end", line.note());
    }

    private List<String> face(PartFile part, String last) {
        List<PlaceProposal.Place> corners =
                shop.bean(SurveyStarts.class).proposed(part, SurveyKind.FACE, PlaceProposal.Density.CORNERS);
        List<String> lines = new ArrayList<>();
        for (PlaceProposal.Place p : corners.subList(0, 4)) {
            String height = lines.size() == 3 ? last : "0.0" + lines.size();
            lines.add(part.tag() + ",face," + p.spot().x() + "," + p.spot().y() + "," + height);
        }
        return lines;
    }

    private TablesIn.Seen lookAt(List<String> lines) {
        List<String> file = new ArrayList<>(List.of("tag,walk,x,y,z"));
        file.addAll(lines);
        return look(TableKind.READINGS, BenchUnit.MM, file.toArray(new String[0]));
    }

    @Test
    void readingsByTheirSpotsBeginASurveyAndStandInIt() {
        PartFile part = hands.bookReady();
        TablesIn.Seen seen = lookAt(face(part, "0.03"));
        assertEquals(List.of(), seen.refused());
        assertEquals(Optional.empty(), shop.bean(Surveys.class).find(part, SurveyKind.FACE));
        take(seen);
        SurveyFile survey = shop.bean(Surveys.class).find(part, SurveyKind.FACE).orElseThrow();
        assertEquals(4, survey.read());
        assertEquals(
                List.of("0.00", "0.01", "0.02", "0.03"),
                survey.history().stream().map(SurveyFile.ReadingFile::typed).toList());
        TablesIn.Seen again = lookAt(face(part, "0.04").subList(3, 4));
        assertEquals(1, again.refused().size(), "a place that is read is not read over");
    }

    @Test
    void whatIsOddIsToldBeforeItIsTaken() {
        PartFile part = hands.bookReady();
        TablesIn.Seen seen = lookAt(face(part, "2.5"));
        assertEquals(List.of(), seen.refused());
        assertEquals(1, seen.odd().size());
        assertEquals(5, seen.odd().get(0).number());
        assertFalse(
                seen.odd().get(0).words().contains("Enter"), seen.odd().get(0).words());
        take(seen);
        assertEquals(
                4,
                shop.bean(Surveys.class)
                        .find(part, SurveyKind.FACE)
                        .orElseThrow()
                        .read());
    }

    @Test
    void aSpotBesideTheMetalAWalkThatIsNoneAndOneNotBegunAreRefused() {
        PartFile part = hands.bookReady();
        assertTrue(lookAt(List.of(part.tag() + ",face,-5,3,0.1", part.tag() + ",face,3,3,0.1"))
                .refused()
                .get(0)
                .words()
                .contains("places"));
        assertTrue(lookAt(List.of(part.tag() + ",moon,3,3,0.1"))
                .refused()
                .get(0)
                .words()
                .contains("thickness-after"));
        TablesIn.Seen valves =
                look(TableKind.READINGS, BenchUnit.MM, "tag,walk,place,reading", part.tag() + ",valves,1 exhaust,7.9");
        assertTrue(valves.refused().get(0).words().contains("begin it on its page"));
    }

    @Test
    void anOwnerLooksAndTakesInTheBrowser() {
        List<String> faults = new ArrayList<>();
        Page page = window.signedIn(shop, "marit", 1280, 800, faults);
        page.navigate(shop.address() + "/shop/settings");
        page.getByText("Tables to take in").click();
        page.locator("nav.walks").getByText("castings").click();
        String name = own("Seen in a browser");
        page.locator("input[type=file]")
                .setInputFiles(new FilePayload(
                        "jobs.csv",
                        "text/csv",
                        ("engine,customer,bore,spacing\nPump," + name + ",wide,90\n")
                                .getBytes(StandardCharsets.UTF_8)));
        assertThat(page.locator("#found")).containsText("1 line cannot be read");
        assertThat(page.locator("#found button")).hasCount(0);
        page.locator("input[type=file]")
                .setInputFiles(new FilePayload(
                        "jobs.csv",
                        "text/csv",
                        ("engine,customer,bore,spacing\nPump," + name + ",80 mm,90 mm\n")
                                .getBytes(StandardCharsets.UTF_8)));
        assertThat(page.locator("#found")).containsText("1 line can be taken in");
        page.getByText("Take this line in").click();
        assertThat(page.locator("#found")).containsText("1 line taken in.");
        assertTrue(customer(name).isPresent());
        page.locator("input[type=file]")
                .setInputFiles(new FilePayload("x.csv", "text/csv", "not a table".getBytes(StandardCharsets.UTF_8)));
        assertThat(page.locator("#said")).containsText("There is no line in it");
        assertEquals(List.of(), faults);
    }
}
