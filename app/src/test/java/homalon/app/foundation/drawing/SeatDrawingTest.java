package homalon.app.foundation.drawing;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Spot;
import homalon.core.seats.Damage;
import homalon.core.seats.SeatAngles;
import homalon.core.seats.SeatPlan;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Element;
import org.xml.sax.InputSource;

/** The drawings of seats and counterbores are the figures of the table, read back from their paths. */
class SeatDrawingTest {
    /** Half a hundredth of a pixel, and some. */
    private static final double READ = 0.01;

    private static SeatPlan plan() {
        return SeatPlan.of(new SeatPlan.Asked(
                SeatAngles.of(30, 45, 60),
                34.4,
                30.9,
                OptionalDouble.empty(),
                0.12,
                0.05,
                34.0,
                1.4,
                35,
                37,
                0.5,
                0,
                0));
    }

    private static Element parsed(String svg) throws Exception {
        return DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new InputSource(new StringReader(svg)))
                .getDocumentElement();
    }

    private static List<double[]> path(Element root, String style) {
        var paths = root.getElementsByTagName("path");
        for (int i = 0; i < paths.getLength(); i++) {
            Element p = (Element) paths.item(i);
            if (p.getAttribute("class").equals(style)) {
                List<double[]> points = new ArrayList<>();
                Matcher m = Pattern.compile("[ML](-?[0-9.]+) (-?[0-9.]+)").matcher(p.getAttribute("d"));
                while (m.find()) {
                    points.add(new double[] {Double.parseDouble(m.group(1)), Double.parseDouble(m.group(2))});
                }
                return points;
            }
        }
        throw new AssertionError("no path " + style);
    }

    @Test
    void theSectionReadBackIsThePlan() throws Exception {
        SeatPlan plan = plan();
        Element root = parsed(SeatDrawing.svg(plan, List.of("30°", "45°", "60°"), "Seat"));
        double scale = Double.parseDouble(root.getAttribute("data-scale"));
        double r0 = Double.parseDouble(root.getAttribute("data-r"));
        double z0 = Double.parseDouble(root.getAttribute("data-z"));
        List<Spot> read = path(root, "after").stream()
                .map(p -> new Spot(r0 + p[0] / scale, z0 - p[1] / scale))
                .toList();
        // From the throat outwards: inner edge, outer edge.
        assertEquals(4, read.size());
        assertEquals(plan.after().inner(), read.get(1).x(), READ / scale + 1e-6);
        assertEquals(34.0 / 2, read.get(2).x(), READ / scale + 1e-6, "the outer edge that the table promises");
        double width = Math.hypot(
                read.get(2).x() - read.get(1).x(), read.get(2).y() - read.get(1).y());
        assertEquals(1.4, width, 2 * READ / scale);
        double angle = Math.toDegrees(Math.atan2(
                read.get(2).y() - read.get(1).y(), read.get(2).x() - read.get(1).x()));
        assertEquals(45, angle, 0.05);
        // Before and after differ at the middle of the face by what the table calls the sink.
        for (double[] p : path(root, "after")) {
            double r = r0 + p[0] / scale;
            assertEquals(plan.after().at(r), z0 - p[1] / scale, 2 * READ / scale + 1e-6);
        }
        for (double[] p : path(root, "before")) {
            double r = r0 + p[0] / scale;
            assertEquals(plan.before().at(r), z0 - p[1] / scale, 2 * READ / scale + 1e-6);
        }
    }

    @Test
    void theValveRestsOnTheSeatAndSinksWithIt() throws Exception {
        SeatPlan plan = plan();
        Element root = parsed(SeatDrawing.svg(plan, List.of(), "Seat"));
        double scale = Double.parseDouble(root.getAttribute("data-scale"));
        List<double[]> was = path(root, "valve-was");
        List<double[]> now = path(root, "valve-now");
        // The corner of the head, at its edge.
        assertEquals(plan.valveSink(), (now.get(2)[1] - was.get(2)[1]) / scale, 2 * READ / scale);
        assertEquals(35 / 2.0, Double.parseDouble(root.getAttribute("data-r")) + now.get(2)[0] / scale, READ / scale);
    }

    @Test
    void theCounterboreIsToScaleAndItsDamageWhereTheClockSays() throws Exception {
        Damage damage = new Damage(List.of(Damage.Arc.ofHours(2, 5, 0.8)));
        Element root = parsed(CounterboreDrawing.svg(34, OptionalDouble.of(35), 4, 27, damage, "Counterbore"));
        var circles = root.getElementsByTagName("circle");
        double bore = 0;
        double cut = 0;
        for (int i = 0; i < circles.getLength(); i++) {
            Element c = (Element) circles.item(i);
            bore = c.getAttribute("class").equals("bore") ? Double.parseDouble(c.getAttribute("r")) : bore;
            cut = c.getAttribute("class").equals("cut-to") ? Double.parseDouble(c.getAttribute("r")) : cut;
        }
        assertEquals(35.0 / 34, cut / bore, 1e-3);
        // Nothing chosen: the hole is drawn all the same.
        String bare = CounterboreDrawing.svg(34, OptionalDouble.empty(), 4, 27, damage, "Counterbore");
        assertEquals(3, parsed(bare).getElementsByTagName("circle").getLength());
        assertTrue(path(parsed(bare), "broken").stream().allMatch(p -> p[0] > 0 && p[0] < 300 && p[1] > 0));
        double[] first = path(root, "broken").get(0);
        double hour = Math.toDegrees(Math.atan2(first[0] - 150, 150 - first[1])) / 30;
        assertEquals(2, hour, 0.01);
        assertTrue(Math.hypot(first[0] - 150, first[1] - 150) <= bore + 0.02);
    }
}
