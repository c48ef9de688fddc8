package homalon.core.face;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Box;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.part.LandRaster;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.FaceDefaults;
import homalon.core.sim.SeededFace;
import homalon.core.verdict.Verdict;
import homalon.core.words.English;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.function.Function;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ScanTest {
    private static final Layout LAYOUT =
            Layout.of(LayoutNumbers.proposed(PartKind.HEAD, 4, Length.ofMm("87"), Length.ofMm("98")));
    private static final Box BOX = LAYOUT.box();
    private static final SeededFace FACE = new SeededFace(BOX, 0.4, -0.2, 0.05, 0.01, 0.06, List.of());

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private static ScanLook look(String text) {
        return ScanLook.at(text, true, BOX);
    }

    private static ScanReader.Read read(String text, ScanFormat format) {
        ByteArrayInputStream in = new ByteArrayInputStream(bytes(text));
        return ScanReader.read(buffer -> in.read(buffer, 0, buffer.length), format, n -> {});
    }

    /** A grid over the box with chamber floors far down, written by the function given. */
    private static String cloud(int along, Function<double[], String> line) {
        Random random = new Random(1);
        StringBuilder text = new StringBuilder();
        int across = along * 2 / 5;
        for (int i = 0; i <= along; i++) {
            for (int j = 0; j <= across; j++) {
                double x = BOX.width() * i / along;
                double y = BOX.height() * j / across;
                boolean open =
                        LAYOUT.bores().stream().anyMatch(b -> b.centre().distance(new Spot(x, y)) < b.diameter() / 2);
                double z = FACE.at(x, y) - (open ? 9 + random.nextDouble() : 0);
                text.append(line.apply(new double[] {x, y, z})).append('\n');
            }
        }
        return text.toString();
    }

    private static String plain(double[] p) {
        return String.format(Locale.ROOT, "%.3f %.3f %.5f", p[0], p[1], p[2]);
    }

    private static ScanFace judged(Points points) {
        return ScanFace.of(
                points,
                new ScanFace.Settings(
                        LandRaster.of(LAYOUT, 84), FaceDefaults.of(BenchUnit.MM).limits(4), 75, 0.002, true));
    }

    @Test
    void aScanIsReadLaidOverTheFaceAndJudgedFromEveryPointOnTheLand() {
        String text = cloud(160, ScanTest::plain);
        ScanLook look = look(text);
        assertEquals(List.of(), English.of(look.asks()));
        ScanFace face = judged(read(text, look.format()).points());
        double e = face.judgement().flatness().bend().longBow().orElseThrow();
        assertEquals(0.05, e, 1e-4);
        assertEquals(0.06, face.judgement().flatness().bend().fourthCornerLift().orElseThrow(), 1e-4);
        assertTrue(face.land().size() > 3000 && face.land().size() < 160 * 64);
        assertEquals(Verdict.OUT, face.judgement().worst());
        assertTrue(face.map().isPresent());
    }

    @Test
    void whereItLiesAndHowItIsTurnedChangesNothing() {
        double here = judged(read(
                                cloud(90, ScanTest::plain),
                                look(cloud(90, ScanTest::plain)).format())
                        .points())
                .judgement()
                .flatness()
                .minimumZone()
                .zone();
        String moved = cloud(90, p -> plain(new double[] {-p[1] + 7000, p[0] - 300, p[2] + 55}));
        ScanFace there = judged(read(moved, look(moved).format()).points());
        assertEquals(here, there.judgement().flatness().minimumZone().zone(), 2e-5);
        assertTrue(English.of(there.notes()).get(0).contains("turned by a quarter"));
    }

    @ParameterizedTest
    @CsvSource({"';',true,MM", "'\t',false,INCH", "',',false,MICRON", "' ',true,METRE"})
    void separatorsDecimalSignsAndUnitsAreTold(char separator, boolean comma, ScanUnit unit) {
        Function<double[], String> line = p -> {
            String l = String.format(
                    Locale.ROOT,
                    "%.7f%c%.7f%c%.9f",
                    p[0] / unit.mm(),
                    separator,
                    p[1] / unit.mm(),
                    separator,
                    p[2] / unit.mm());
            return comma ? l.replace('.', ',') : l;
        };
        String text = cloud(60, line);
        ScanLook look = look(text);
        assertEquals(separator, look.format().separator());
        assertEquals(comma, look.format().decimalComma());
        assertEquals(unit, look.format().places());
        Points points = read(text, look.format()).points();
        assertEquals(BOX.width(), points.bounds().width(), 1e-3);
        assertEquals(FACE.at(0, 0), points.z(0), 1e-5);
    }

    @Test
    void aHeaderInAnotherLanguageAndColumnsInAnotherOrderAreAskedAbout() {
        String rows = cloud(40, p -> String.format(Locale.ROOT, "%d;%.5f;%.3f;%.3f", 7, p[2], p[0], p[1]));
        ScanLook unnamed = look("Punkt;Höhe;Länge;Breite\n" + rows);
        assertEquals(
                1,
                English.of(unnamed.asks()).stream()
                        .filter(a -> a.startsWith("Which columns"))
                        .count());
        assertEquals(List.of("Punkt", "Höhe", "Länge", "Breite"), unnamed.names());
        ScanLook named = look("nr;z [um];x_mm;y (mm)\n" + rows);
        assertEquals(List.of(), English.of(named.asks()));
        assertEquals(2, named.format().x());
        assertEquals(1, named.format().z());
        assertEquals(ScanUnit.MICRON, named.format().heights());
        assertEquals(ScanUnit.MM, named.format().places());
    }

    @Test
    void aFileCutShortIsReadUpToThereAndSaysSo() {
        String text = cloud(40, ScanTest::plain);
        ScanFormat format = look(text).format();
        int whole = read(text, format).points().size();
        ScanReader.Read cut = read(text.substring(0, text.length() - 12), format);
        assertEquals(whole - 1, cut.points().size());
        assertTrue(
                English.of(cut.notes()).get(0).contains("cut short"),
                English.of(cut.notes()).toString());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "'' | empty",
                "'PK\u0003\u0004junk' | archive",
                "'dear sir\nplease find\nenclosed' | No points",
                "'1,5,2,5,0,1\n1,6,2,5,0,1\n1,7,2,5,0,1' | semicolons"
            })
    void whatIsNoCloudIsRefusedInWords(String text, String says) {
        BadInputException e = assertThrows(BadInputException.class, () -> look(text == null ? "" : text));
        assertTrue(English.of(e.sentence()).contains(says), English.of(e.sentence()));
    }

    @Test
    void aPictureIsNoCloud() {
        String picture = "a \0b";
        BadInputException e = assertThrows(BadInputException.class, () -> ScanLook.at(picture, true, BOX));
        assertTrue(English.of(e.sentence()).contains("binary"), English.of(e.sentence()));
    }

    @Test
    void brokenLinesInTheMiddleAreRefusedWithTheirNumber() {
        String text = cloud(40, ScanTest::plain);
        ScanFormat format = look(text).format();
        String broken = text.replaceAll("(?m)^(\\S+) (\\S+) (\\S+)\n(\\S+) ", "$1 $2 12.4mm\n$4 ");
        BadInputException e = assertThrows(BadInputException.class, () -> read(broken, format));
        assertTrue(English.of(e.sentence()).contains("line "), English.of(e.sentence()));
    }

    @Test
    void numbersAreReadExactly() {
        String[] numbers = {
            "0.1", "-12.345678901234", "+3", "1e-3", "4.25E2", "123456789012345678", ".5", "7.", "0.30000000000000004"
        };
        ScanFormat format = new ScanFormat(' ', false, 0, 3, 0, 1, 2, ScanUnit.MM, ScanUnit.MM);
        for (int i = 0; i < numbers.length; i++) {
            StringBuilder text = new StringBuilder();
            for (int k = 0; k < 5; k++) {
                text.append(k)
                        .append(' ')
                        .append(k * k)
                        .append(' ')
                        .append(numbers[i])
                        .append('\n');
            }
            assertEquals(
                    Double.parseDouble(numbers[i]),
                    read(text.toString(), format).points().z(3),
                    0.0,
                    numbers[i]);
        }
    }

    @Test
    void anySquareOfACloudIsBoundedFromBothSides() {
        Random random = new Random(4);
        for (int round = 0; round < 6; round++) {
            double[][] rows = new double[160][];
            for (int i = 0; i < rows.length; i++) {
                double x = random.nextDouble() * 300;
                double y = random.nextDouble() * 120;
                rows[i] =
                        new double[] {x, y, 0.05 * Math.sin(x / 40) * Math.cos(y / 30) + 0.01 * random.nextGaussian()};
            }
            Points points = Points.of(rows);
            double exact = WindowFlatness.worst(points, 60, 1e-9).orElseThrow().zone();
            WindowBounds.Bounds b = WindowBounds.of(points, new Box(0, 0, 300, 120), 60);
            assertTrue(b.least() <= exact + 1e-9 && exact <= b.most() + 1e-9, exact + " not in " + b);
        }
    }
}
