package homalon.app.outcome.customers;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.casting.agreed.AgreedBook;
import homalon.app.casting.customer.Customer;
import homalon.app.casting.customer.Customers;
import homalon.app.casting.part.PartVisits;
import homalon.app.casting.part.Parts;
import homalon.app.foundation.settings.ShopSettings;
import homalon.app.outcome.report.Releases;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.quantity.DayForm;
import homalon.core.rulebook.ShopPaper;
import homalon.core.visit.PartFile;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Customers on their pages, as the desk uses them. */
@ExtendWith(RunningShop.class)
class CustomerPagesTest {
    private final RunningShop.Shop shop;
    private final Customers customers;
    private final HandsOfTests hands;
    private final Visitor desk;

    CustomerPagesTest(RunningShop.Shop shop) {
        this.shop = shop;
        this.customers = shop.bean(Customers.class);
        this.hands = new HandsOfTests(shop);
        this.desk = Visitor.signedIn(shop.port(), "desk");
    }

    private Customer fresh(String name) {
        return customers.named(name + " " + UUID.randomUUID().toString().substring(0, 8), hands.ines());
    }

    private String at(Customer c) {
        return "/customers/" + c.id();
    }

    @Test
    void areListedWithHowManyCastingsAreHere() {
        Customer c = fresh("Gannet Haulage");
        hands.bookFor(c.name());
        String list = desk.get("/customers?q=ganet+haulage").body();
        assertTrue(list.contains(c.name()), list);
        assertTrue(list.contains("1 casting, 1 in the shop"), list);
        assertTrue(desk.get("/customers?q=zqxjkvw").body().contains("Nobody is called like that"));
    }

    @Test
    void areProposedWhileSomebodyKeys() {
        Customer c = fresh("Gannet Towage");
        assertTrue(desk.get("/customers/names?customer=gannet+tow").body().contains("value=\"" + c.name() + "\""));
        assertTrue(desk.get("/customers/names?into=gannet+tow").body().contains(c.name()));
        assertFalse(desk.get("/customers/names?customer=").body().contains("option"));
    }

    @Test
    void aNameIsCorrectedOnceForAll() {
        Customer c = fresh("Ganet Ropes");
        PartFile part = hands.bookFor(c.name());
        desk.get(at(c));
        String right = c.name().replace("Ganet", "Gannet");
        HttpResponse<String> kept = desk.post(
                at(c), "name", right, "phone", "1", "mail", "", "unit", "", "notes", "", "version", "" + c.version());
        assertEquals(302, kept.statusCode());
        assertEquals(right, shop.bean(Parts.class).byTag(part.tag()).customer());
        assertTrue(desk.get(at(c)).body().contains("Before: " + c.name()));
    }

    @ParameterizedTest
    @CsvSource({"name, ''", "mail, nowhere"})
    void whatCannotBeKeptIsSaidAtItsField(String field, String typed) {
        Customer c = fresh("Gannet Slip");
        desk.get(at(c));
        HttpResponse<String> refused = desk.post(
                at(c),
                "name",
                field.equals("name") ? typed : c.name(),
                "mail",
                field.equals("mail") ? typed : "",
                "notes",
                "stays as keyed",
                "version",
                "" + c.version());
        assertEquals(422, refused.statusCode());
        assertTrue(refused.body().contains("data-wrong=\"" + field + "\""), refused.body());
        assertTrue(refused.body().contains(">stays as keyed</textarea>"));
    }

    @Test
    void twoBecomeOneByName() {
        Customer gone = fresh("Gannet Stores");
        Customer stays = fresh("Gannets Stores");
        PartFile part = hands.bookFor(gone.name());
        desk.get(at(gone));
        assertTrue(
                desk.post(at(gone) + "/merge", "into", "nobody at all").body().contains("data-wrong=\"into\""));
        HttpResponse<String> merged = desk.post(at(gone) + "/merge", "into", stays.name());
        assertEquals(
                at(stays),
                URI.create(merged.headers().firstValue("Location").orElse("")).getPath());
        assertEquals(stays.name(), shop.bean(Parts.class).byTag(part.tag()).customer());
        assertEquals(404, desk.get(at(gone)).statusCode());
    }

    @Test
    void manyCastingsComePageByPage() {
        Customer c = fresh("Gannet Fleet");
        for (int i = 0; i < 21; i++) {
            hands.bookFor(c.name());
        }
        String first = desk.get(at(c)).body();
        assertEquals(20, first.split("class=\"tag\"", -1).length - 1);
        assertTrue(first.contains(at(c) + "?page=1"), first);
        String rest = desk.get(at(c) + "?page=1").body();
        assertEquals(1, rest.split("class=\"tag\"", -1).length - 1);
        assertFalse(rest.contains("More of them"));
        assertEquals(422, desk.get(at(c) + "?page=-1").statusCode());
    }

    /** Whoever prints it: the customer gets it in the unit that is kept for the customer. */
    @Test
    void theReportIsPrintedInTheCustomersUnit() throws Exception {
        Customer c = fresh("Gannet Marine");
        PartFile part = hands.bookFor(c.name());
        assertTrue(print(part).contains("mm") && !print(part).contains("thou"), print(part));
        customers.change(c.id(), c.name(), "", "", "THOU", "", "", c.version(), hands.ines());
        String page = desk.get("/parts/" + part.tag() + "/report").body();
        assertTrue(page.contains("(PDF, in the customer&#39;s own unit)"), page);
        assertTrue(print(part).contains("thou"), print(part));
    }

    /** As the shop writes days and on its sheet; where the customer has a form of its own, in that. */
    @Test
    void daysAreWrittenAsTheShopOrTheCustomerDoes() throws Exception {
        Customer c = fresh("Gannet Calendars");
        PartFile part = hands.bookFor(c.name());
        LocalDate today = LocalDate.now(ZoneId.systemDefault());
        assertTrue(print(part).contains("Report of " + DayForm.DAY_FIRST.day(today)), print(part));
        assertEquals(595, width(part));
        ShopSettings settings = shop.bean(ShopSettings.class);
        settings.use(ShopPaper.read("", "", "", "", "LETTER", "YEAR_FIRST"), hands.ines());
        try {
            assertTrue(print(part).contains("Report of " + today), print(part));
            assertEquals(612, width(part), "letter is 8.5 in wide");
            assertTrue(desk.get("/").body().contains(DayForm.YEAR_FIRST.withWeekday(today)));
            desk.get(at(c));
            HttpResponse<String> kept =
                    desk.post(at(c), "name", c.name(), "days", "MONTH_FIRST", "version", Integer.toString(c.version()));
            assertEquals(302, kept.statusCode(), kept.body());
            assertEquals(
                    Optional.of(DayForm.MONTH_FIRST), customers.byId(c.id()).days());
            assertTrue(print(part).contains("Report of " + DayForm.MONTH_FIRST.day(today)), print(part));
        } finally {
            settings.use(ShopPaper.NONE, hands.ines());
        }
    }

    private int width(PartFile part) throws Exception {
        try (InputStream file = desk.stream("/parts/" + part.tag() + "/report.pdf");
                PDDocument document = Loader.loadPDF(file.readAllBytes())) {
            return Math.round(document.getPage(0).getMediaBox().getWidth());
        }
    }

    private String print(PartFile part) throws Exception {
        try (InputStream file = desk.stream("/parts/" + part.tag() + "/report.pdf");
                PDDocument document = Loader.loadPDF(file.readAllBytes())) {
            return new PDFTextStripper().getText(document);
        }
    }

    /** Theirs and nobody else's: who they are, and of each casting its record, readings, ledger and the papers that were handed over. */
    @Test
    void allOfOneCustomerGoesIntoAFile() throws Exception {
        Customer c = fresh("Gannet Chandlers");
        PartFile here = hands.bookFor(c.name());
        PartFile left = hands.bookFor(c.name());
        shop.bean(AgreedBook.class)
                .called(left, UUID.randomUUID(), "fetches it unwashed", Optional.empty(), hands.ines());
        shop.bean(PartVisits.class).handOver(left.id(), List.of(), "fetched as it is", hands.ines());
        shop.bean(Releases.class).seal(shop.bean(Parts.class).byTag(left.tag()), Optional.of(hands.ines()));
        hands.bookFor(fresh("Gannet Cranes").name());
        assertTrue(desk.get(at(c)).body().contains(at(c) + "/everything.zip"));
        Map<String, String> files = new TreeMap<>();
        try (ZipInputStream zip = new ZipInputStream(desk.stream(at(c) + "/everything.zip"))) {
            for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
                files.put(e.getName(), new String(zip.readAllBytes(), StandardCharsets.UTF_8));
            }
        }
        String of = "castings/" + here.tag() + "/";
        String gone = "castings/" + left.tag() + "/";
        assertEquals(
                Set.of(
                        "customer.json",
                        of + "record.json",
                        of + "readings.csv",
                        of + "ledger.csv",
                        gone + "record.json",
                        gone + "readings.csv",
                        gone + "ledger.csv",
                        gone + "agreed.json",
                        gone + "visit-1-seal.json",
                        gone + "visit-1-report.pdf"),
                files.keySet());
        assertTrue(files.get("customer.json").contains(c.name()));
        assertTrue(files.get(of + "record.json").contains(here.tag()));
        assertTrue(files.get(gone + "agreed.json").contains("fetches it unwashed"));
        assertTrue(files.get(gone + "visit-1-report.pdf").startsWith("%PDF"));
        assertEquals(
                404,
                desk.get("/customers/" + UUID.randomUUID() + "/everything.zip").statusCode());
        String journal = Visitor.signedIn(shop.port(), "marit").get("/shop").body();
        assertTrue(journal.contains("all of one customer"), journal);
        assertFalse(journal.contains(c.name()));
    }
}
