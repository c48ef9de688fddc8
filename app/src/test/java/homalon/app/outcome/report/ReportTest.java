package homalon.app.outcome.report;

import static org.junit.jupiter.api.Assertions.assertDoesNotThrow;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.casting.paper.PdfPress;
import homalon.app.casting.part.Parts;
import homalon.app.casting.readings.TakesReadings;
import homalon.app.casting.readings.Walks;
import homalon.app.casting.sheets.Sheets;
import homalon.app.foundation.web.Keyed;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.visit.PartFile;
import homalon.core.visit.Sheet;
import java.io.IOException;
import java.io.StringReader;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.StreamSupport;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.xml.parsers.DocumentBuilderFactory;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.w3c.dom.Element;
import org.xml.sax.InputSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What leaves the shop: it prints from every state of a part, and its figures are exact. */
@ExtendWith(RunningShop.class)
class ReportTest {
    private final RunningShop.Shop shop;

    ReportTest(RunningShop.Shop shop) {
        this.shop = shop;
    }

    private PartFile part(String tag) {
        return shop.bean(Parts.class).byTag(tag);
    }

    private PDDocument pdf(String tag, BenchUnit unit) throws IOException {
        ReportView view = shop.bean(Reports.class).of(part(tag), new LengthWriter(unit));
        return Loader.loadPDF(shop.bean(ReportPdf.class).print(view));
    }

    /** Booked only, half read, stuck, in the middle of the cut, handed over; both units. */
    @ParameterizedTest
    @CsvSource({"T-0395, MM", "T-0406, THOU", "T-0409, MM", "T-0415, THOU", "T-0388, MM", "T-0401, THOU"})
    void everyStateOfAPartPrintsWithItsOwnFontsAndVectors(String tag, BenchUnit unit) throws IOException {
        try (PDDocument document = pdf(tag, unit)) {
            assertTrue(document.getNumberOfPages() >= 1 && document.getNumberOfPages() < 10);
            Set<String> fonts = new HashSet<>();
            for (PDPage page : document.getPages()) {
                for (COSName name : page.getResources().getFontNames()) {
                    PDFont font = page.getResources().getFont(name);
                    assertTrue(font.isEmbedded(), font.getName() + " is not embedded");
                    fonts.add(font.getName().replaceFirst(".*\\+", ""));
                }
                for (COSName name : page.getResources().getXObjectNames()) {
                    assertFalse(page.getResources().isImageXObject(name), "maps are vectors");
                }
            }
            assertTrue(fonts.size() >= 3, fonts.toString());
            String text = new PDFTextStripper().getText(document);
            assertTrue(text.contains(tag) && text.contains("figures in " + unit.label()), text);
            assertFalse(text.contains("null") || text.contains("Optional"), text);
        }
    }

    /** A shop that cannot print does not start: the first page is printed while it does. */
    @Test
    void thePrinterIsWarmedWithFontsOfItsOwn() {
        assertDoesNotThrow(() -> shop.bean(PdfPress.class).warm());
    }

    /** Read aloud as it is seen; the first page has all that the one who fits it must know, with what was found before and after. */
    @Test
    void theFirstPageSaysItAllAndThePaperIsTagged() throws IOException {
        try (PDDocument document = pdf("T-0407", BenchUnit.MM)) {
            assertTrue(document.getDocumentCatalog().getMarkInfo().isMarked());
            assertTrue(document.getDocumentCatalog()
                            .getStructureTreeRoot()
                            .getKids()
                            .size()
                    > 0);
            assertEquals("en", document.getDocumentCatalog().getLanguage());
            PDFTextStripper first = new PDFTextStripper();
            first.setEndPage(1);
            String text = first.getText(document).replaceAll("\\s+", " ");
            for (String what : List.of(
                    "The face on arrival Out by",
                    "The face after the cut Within",
                    "For whoever fits it",
                    "The casting itself",
                    "Saltmarsh Head & Deck")) {
                assertTrue(text.contains(what), what + " in " + text);
            }
        }
    }

    @Test
    void aCutThatWasNotReadAgainIsNotCalledGood() throws IOException {
        try (PDDocument document = pdf("T-0409", BenchUnit.MM)) {
            String text = new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
            assertTrue(text.contains("It was not read again after the cut: what it is now is not proven."), text);
            assertTrue(text.contains("of which 0.310 before we knew it, an estimate"), text);
        }
    }

    /** What straightedge and feelers said leaves with the part, and what it comes to. */
    @Test
    void feelersAndValvesLeaveWithThePart() {
        JsonNode launch =
                JsonMapper.shared().readTree(shop.bean(RecordJson.class).write(part("T-0421")));
        JsonNode felt = launch.get("visits").get(0).get("feelers").get(0);
        assertTrue(felt.get("bladesMm").size() > 10, "the set that was at hand");
        assertTrue(felt.get("lines").size() >= 6);
        long standing = StreamSupport.stream(felt.get("said").spliterator(), false)
                .filter(l -> l.get("stands").asBoolean())
                .count();
        assertTrue(standing > 10 && standing <= felt.get("said").size());
        JsonNode result = felt.get("result");
        assertEquals("NOT_PROVEN", result.get("verdict").asString());
        // By bow and twist it would be out; no blade as thick as the limit went, and the chance says how likely it is.
        assertTrue(
                felt.get("result").get("chance").asDouble() > 0.5,
                felt.get("result").toString());
        double proven = result.get("gapProvenMm").asDouble();
        assertTrue(proven > 0 && proven <= result.get("gapPossibleMm").asDouble());
        // Twisted: a lift of the fourth corner is proven, a bow is not.
        assertTrue(result.get("fourthCornerLiftMm").get(0).asDouble() > 0.1);
        JsonNode bow = result.get("longBowMm");
        assertTrue(bow.get(0).asDouble() < 0 && bow.get(1).asDouble() > 0);

        JsonNode mail = JsonMapper.shared().readTree(shop.bean(RecordJson.class).write(part("T-0450")));
        JsonNode sheets = mail.get("visits").get(0).at("/beside/sheets");
        JsonNode sheet = StreamSupport.stream(sheets.spliterator(), false)
                .filter(x -> x.get("sheet").asString().equals("CHAMBERS"))
                .findFirst()
                .orElseThrow();
        assertTrue(
                sheet.toString().contains("f.AS_CAME.0.1.1") && sheet.toString().contains("f.CUT.0.4.2"));
    }

    /** The report of a head that was filled before and after says both, and what the fitter has to check. */
    @Test
    void chambersAreToldBeforeAndAfter() throws IOException {
        try (PDDocument document = pdf("T-0450", BenchUnit.THOU)) {
            String text = new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
            assertTrue(text.contains("Chambers and compression"), text);
            assertTrue(text.contains("58.9 cc") && text.contains("58.4 cc"), text);
            assertTrue(text.contains("thou thicker than before would bring the ratio back"), text);
            assertTrue(text.contains("The pushrods stand"), text);
        }
    }

    private static List<CSVRecord> rows(byte[] csv) throws IOException {
        return CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(new String(csv, StandardCharsets.UTF_8)))
                .getRecords();
    }

    /** The three ways out of the shop tell the same story. */
    @Test
    void recordAndTablesAgreeToTheNanometre() throws IOException {
        PartFile part = part("T-0407");
        JsonNode record =
                JsonMapper.shared().readTree(shop.bean(RecordJson.class).write(part));
        List<CSVRecord> ledger = rows(shop.bean(RecordCsv.class).ledger(part));
        JsonNode lines = record.get("ledger").get("lines");
        assertEquals(lines.size(), ledger.size());
        BigDecimal life = BigDecimal.ZERO;
        for (int i = 0; i < lines.size(); i++) {
            CSVRecord row = ledger.get(i);
            assertEquals(0, lines.get(i).get("depthMm").decimalValue().compareTo(new BigDecimal(row.get("depth_mm"))));
            assertEquals(lines.get(i).get("stands").asBoolean(), Boolean.parseBoolean(row.get("stands")));
            if (lines.get(i).get("stands").asBoolean()) {
                life = life.add(lines.get(i).get("depthMm").decimalValue());
            }
        }
        assertEquals(0, life.compareTo(record.get("ledger").get("lifeMm").decimalValue()));
        assertTrue(
                ledger.stream().anyMatch(r -> r.get("stands").equals("false")), "a line that was taken back is told");

        List<CSVRecord> readings = rows(shop.bean(RecordCsv.class).readings(part));
        long told = StreamSupport.stream(record.get("visits").spliterator(), false)
                .flatMap(v -> StreamSupport.stream(v.get("surveys").spliterator(), false))
                .mapToLong(s -> s.get("readings").size())
                .sum();
        assertEquals(told, readings.size());
        for (CSVRecord row : readings) {
            Length typed = Length.parse(row.get("typed"), BenchUnit.MM);
            assertEquals(typed, Length.ofMm(row.get("value_mm")), "what was typed is what is kept");
        }
        JsonNode result = record.get("visits").get(0).get("surveys").get(0).get("result");
        assertTrue(result.get("minimumZoneMm").asDouble()
                <= result.get("leastSquaresMm").asDouble());
        assertEquals("OUT", result.get("limits").get(0).get("verdict").asString());
    }

    @ParameterizedTest
    @ValueSource(strings = {"=1+1", "+cmd|' /C calc'!A0", "-2+3", "@SUM(A1)", "\tx", "=HYPERLINK(\"x\")"})
    void aTextThatASpreadsheetWouldRunIsMadePlain(String note) {
        assertEquals("'" + note, RecordCsv.text(note));
    }

    @ParameterizedTest
    @ValueSource(strings = {"-0.013", "+.5", "0,02", "1-7/16", "dial was not zeroed", ""})
    void whatIsKeyedStaysAsKeyed(String typed) {
        assertEquals(typed, RecordCsv.text(typed));
    }

    /** Whatever was read leaves with the casting, not the indicator's readings alone. */
    @Test
    void theReadingsOfEveryKindOfWalkAreInTheTable() throws IOException {
        Map<String, String> walks = Map.of(
                "T-0446",
                "valves",
                "T-0421",
                "feelers",
                "T-0440",
                "pressure",
                "T-0451",
                "chambers",
                "T-0441",
                "line",
                "T-0444",
                "liners",
                "T-0442",
                "index",
                "T-0415",
                "thickness",
                "T-0407",
                "face");
        for (Map.Entry<String, String> e : walks.entrySet()) {
            PartFile part = shop.bean(Parts.class).byTag(e.getKey());
            List<CSVRecord> own = rows(shop.bean(RecordCsv.class).readings(part)).stream()
                    .filter(r -> r.get("walk").equals(e.getValue()))
                    .toList();
            assertFalse(own.isEmpty(), e.toString());
            for (CSVRecord r : own) {
                assertFalse(r.get("place").isBlank(), e.toString());
                assertEquals(r.get("kind").equals("WITHDRAWN"), r.get("typed").isBlank(), r.toString());
            }
            assertTrue(own.stream().anyMatch(r -> r.get("stands").equals("true")), e.toString());
        }
    }

    /** A reading keyed anew: both are there, one stands. */
    @Test
    void aFigureThatAnotherTookThePlaceOfStaysInTheTable() throws IOException {
        HandsOfTests hands = new HandsOfTests(shop);
        PartFile part = hands.bookReady();
        Sheets sheets = shop.bean(Sheets.class);
        sheets.setUp(part, UUID.randomUUID(), Sheet.INDEX, Map.of("outerAtTop", "true"), hands.ines());
        TakesReadings room = shop.bean(Walks.class).of("index");
        String place = room.places(part, "index").get(0).key();
        for (String typed : List.of("229.60", "229.63")) {
            Keyed keyed = Keyed.sure(UUID.randomUUID(), place, typed, BenchUnit.MM);
            room.key(part, "index", keyed, hands.ines());
        }
        List<List<String>> told = rows(shop.bean(RecordCsv.class).readings(part)).stream()
                .map(r -> List.of(r.get("typed"), r.get("value_mm"), r.get("stands")))
                .toList();
        assertEquals(List.of(List.of("229.60", "229.6", "false"), List.of("229.63", "229.63", "true")), told);
    }

    /** Each stands by itself: its style is in it, its size is said, and it asks for nothing elsewhere. */
    @ParameterizedTest
    @CsvSource({"T-0412, face", "T-0421, feelers", "T-0409, pass"})
    void drawingsGoOutAsPicturesOfTheirOwn(String tag, String what) throws Exception {
        Map<String, String> files = new TreeMap<>();
        try (ZipInputStream zip =
                new ZipInputStream(Visitor.signedIn(shop.port(), "desk").stream("/parts/" + tag + "/drawings.zip"))) {
            for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
                files.put(e.getName(), new String(zip.readAllBytes(), StandardCharsets.UTF_8));
            }
        }
        assertTrue(files.keySet().stream().anyMatch(n -> n.contains(what)), files.keySet()::toString);
        for (Map.Entry<String, String> file : files.entrySet()) {
            assertTrue(file.getKey().matches("[0-9]{2}-[a-z0-9-]+\\.svg"), file.getKey());
            Element svg = DocumentBuilderFactory.newDefaultInstance()
                    .newDocumentBuilder()
                    .parse(new InputSource(new StringReader(file.getValue())))
                    .getDocumentElement();
            assertEquals("svg", svg.getTagName());
            assertTrue(svg.getAttribute("width").endsWith("mm"), file.getKey());
            assertEquals(1, svg.getElementsByTagName("style").getLength(), file.getKey());
            assertFalse(
                    file.getValue().replaceAll("xmlns(:xlink)?=\"[^\"]*\"", "").contains("http"), file.getKey());
        }
    }
}
