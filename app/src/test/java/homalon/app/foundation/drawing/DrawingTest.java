package homalon.app.foundation.drawing;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.face.FaceMap;
import homalon.core.face.PlaceProposal;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Range;
import homalon.core.geometry.Spot;
import homalon.core.part.BoltRows;
import homalon.core.part.ChamberShape;
import homalon.core.part.LandRaster;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.sim.SeededFace;
import java.awt.Shape;
import java.awt.geom.PathIterator;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.parsers.DocumentBuilderFactory;
import org.apache.batik.parser.AWTPathProducer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.w3c.dom.Element;
import org.xml.sax.InputSource;

class DrawingTest {
    private static Layout layout(ChamberShape chambers) {
        return Layout.of(new LayoutNumbers(
                4,
                1,
                1,
                Length.ofMm("87"),
                Length.ofMm("98"),
                Length.ofMm("412"),
                Length.ofMm("150"),
                BoltRows.FOUR,
                Length.ofMm("12"),
                4,
                chambers,
                false));
    }

    private static FaceMap map(Layout layout, SeededFace face) {
        List<Spot> spots = PlaceProposal.of(layout, PlaceProposal.Density.CLOSE).stream()
                .map(PlaceProposal.Place::spot)
                .toList();
        Points points = face.read(spots, 0, 1);
        return FaceMap.of(points, Plane.LEVEL, LandRaster.of(layout, 84)).orElseThrow();
    }

    private static SeededFace twisted(Layout layout) {
        return new SeededFace(layout.box(), 0, 0, 0.01, 0, 0.2, List.of());
    }

    private static Element parsed(String svg) throws Exception {
        return DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new InputSource(new StringReader(svg)))
                .getDocumentElement();
    }

    /** The path that is drawn and the land that is judged are the same metal. */
    @ParameterizedTest
    @EnumSource(ChamberShape.class)
    void theLandDrawnIsTheLandJudged(ChamberShape chambers) throws Exception {
        Layout layout = layout(chambers);
        Shape drawn = AWTPathProducer.createShape(new StringReader(LandPath.of(layout)), PathIterator.WIND_EVEN_ODD);
        Random random = new Random(4);
        GeometryFactory shapes = new GeometryFactory();
        int metal = 0;
        for (int k = 0; k < 4_000; k++) {
            double x = random.nextDouble() * layout.box().width();
            double y = random.nextDouble() * layout.box().height();
            var point = shapes.createPoint(new Coordinate(x, y));
            if (layout.land().getBoundary().distance(point) < 0.3) {
                continue; // a circle of 48 corners against a true one
            }
            boolean judged = layout.land().contains(point);
            assertEquals(judged, drawn.contains(x, layout.box().height() - y), x + ", " + y);
            metal += judged ? 1 : 0;
        }
        assertTrue(metal > 1_000);
    }

    @Test
    void aDrawingIsWellFormedAndLetsNoMarkupThrough() throws Exception {
        Layout layout = layout(ChamberShape.CUT_OFF);
        FaceMap map = map(layout, twisted(layout));
        List<PlaceMark> marks = new ArrayList<>();
        for (PlaceMark.State state : PlaceMark.State.values()) {
            marks.add(new PlaceMark("p" + state, new Spot(30 + 50 * state.ordinal(), 8), state, "+12", "<b>&\"'"));
        }
        String svg = FaceDrawing.of(layout, "one", "</svg><script>alert(1)</script>")
                .map(map, Bands.of(map.range(), 0.05, BenchUnit.MM))
                .places(marks)
                .svg();
        Element root = parsed(svg);
        assertEquals(0, root.getElementsByTagName("script").getLength());
        assertEquals("</svg><script>alert(1)</script>", root.getAttribute("aria-label"));
        assertFalse(
                svg.contains("NaN") || svg.contains("Infinity") || svg.contains("style="), "clean numbers, no styles");
        Set<String> ids = new HashSet<>();
        Matcher id = Pattern.compile(" id=\"([^\"]+)\"").matcher(svg);
        while (id.find()) {
            assertTrue(ids.add(id.group(1)), id.group(1) + " twice");
        }
        Matcher used = Pattern.compile("(?:href=\"#|url\\(#)([^\")]+)").matcher(svg);
        while (used.find()) {
            assertTrue(ids.contains(used.group(1)), used.group(1) + " is used and not there");
        }
        assertEquals(
                marks.size(),
                Pattern.compile("data-place=").matcher(svg).results().count());
    }

    @Test
    void onPaperADrawingHasItsSizeAndItsOwnStyle() throws Exception {
        Layout layout = layout(ChamberShape.ROUND);
        FaceMap map = map(layout, twisted(layout));
        Element face = parsed(FaceDrawing.of(layout, "f", "Face")
                .map(map, Bands.of(map.range(), 0.05, BenchUnit.MM))
                .onPaper(160, ".metal { fill: #fff; }")
                .svg());
        assertEquals("160mm", face.getAttribute("width"));
        double height = Double.parseDouble(face.getAttribute("height").replace("mm", ""));
        String[] view = face.getAttribute("viewBox").split(" ");
        assertEquals(Double.parseDouble(view[3]) / Double.parseDouble(view[2]), height / 160, 1e-3);
        assertEquals(
                ".metal { fill: #fff; }",
                face.getElementsByTagName("style").item(0).getTextContent());
        parsed(ProfileDrawing.of(map, map.level(), "s")
                .edges()
                .numbered()
                .cut(-0.1)
                .onPaper(160, "x")
                .svg());
    }

    /** Contours at round figures of the reader's unit, five a side at most, pale for what is far within its limit. */
    @Test
    void colourStepsAreRoundAndFollowTheLimit() {
        for (BenchUnit unit : BenchUnit.values()) {
            Random random = new Random(6);
            for (int k = 0; k < 500; k++) {
                double reach = Math.exp(-9 + 9 * random.nextDouble());
                Range range = new Range(-reach, reach * random.nextDouble());
                Bands bands = Bands.of(range, 0.0001, unit);
                double inUnit = bands.step() * 1e6 / unit.nanometres();
                double lead = inUnit / Math.pow(10, Math.floor(Math.log10(inUnit) + 1e-9));
                assertTrue(
                        Math.abs(lead - 1) < 1e-6 || Math.abs(lead - 2) < 1e-6 || Math.abs(lead - 5) < 1e-6, lead + "");
                assertTrue(bands.lowest() >= -5 && bands.highest() <= 4);
                assertTrue(bands.step() * 5 >= reach * (1 - 1e-9), "nothing lies beyond the colours");
            }
        }
        Range small = new Range(-0.003, 0.004);
        assertEquals(-1, Bands.of(small, 0.025, BenchUnit.MM).lowest(), "far within: palest colours only");
        assertEquals(0, Bands.of(small, 0.025, BenchUnit.MM).highest());
        assertTrue(Bands.of(small, 0.0001, BenchUnit.MM).highest() > 2);
    }

    /** Figures keep off each other where there is any room. */
    @Test
    void figuresOfASurveyDoNotCoverEachOther() throws Exception {
        Layout layout = layout(ChamberShape.CUT_OFF);
        List<PlaceMark> marks = PlaceProposal.of(layout, PlaceProposal.Density.USUAL).stream()
                .map(p -> new PlaceMark(p.name(), p.spot(), PlaceMark.State.READ, "+123", p.name()))
                .toList();
        Element root = parsed(FaceDrawing.of(layout, "f", "Face").places(marks).svg());
        var rects = root.getElementsByTagName("rect");
        List<double[]> plates = new ArrayList<>();
        for (int i = 0; i < rects.getLength(); i++) {
            Element r = (Element) rects.item(i);
            if (r.getAttribute("class").equals("plate")) {
                plates.add(new double[] {
                    Double.parseDouble(r.getAttribute("x")), Double.parseDouble(r.getAttribute("y")),
                    Double.parseDouble(r.getAttribute("width")), Double.parseDouble(r.getAttribute("height"))
                });
            }
        }
        assertEquals(marks.size(), plates.size());
        for (int i = 0; i < plates.size(); i++) {
            for (int j = 0; j < i; j++) {
                double[] a = plates.get(i);
                double[] b = plates.get(j);
                double w = Math.min(a[0] + a[2], b[0] + b[2]) - Math.max(a[0], b[0]);
                double h = Math.min(a[1] + a[3], b[1] + b[3]) - Math.max(a[1], b[1]);
                assertTrue(w <= 0.1 || h <= 0.1, "plates " + i + " and " + j);
            }
        }
    }
}
