package homalon.app.foundation.drawing;

import homalon.core.face.FaceMap;
import homalon.core.geometry.Box;
import homalon.core.geometry.Contours;
import homalon.core.geometry.Raster;
import homalon.core.part.InkedLine;
import java.util.Iterator;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.simplify.DouglasPeuckerSimplifier;

/** Draws what lies over the whole of a face: its map, what a cutter has bared, a line inked on it. */
final class MapLayer {
    private static final GeometryFactory LINES = new GeometryFactory();

    private final Svg svg;
    private final Box box;
    private final double px;
    private final String id;
    private final boolean small;

    MapLayer(Svg svg, Box box, double px, String id, boolean small) {
        this.svg = svg;
        this.box = box;
        this.px = px;
        this.id = id;
        this.small = small;
    }

    private double up(double y) {
        return box.height() - y;
    }

    /** Bands of equal colour, the low ones hatched as well. */
    void map(FaceMap map, Bands bands) {
        double[] levels = IntStream.rangeClosed(bands.lowest() + 1, bands.highest())
                .mapToDouble(band -> band * bands.step())
                .toArray();
        Iterator<List<double[]>> contours =
                Contours.atOrAbove(map.heights(), levels).iterator();
        wash(Bands.style(bands.lowest()));
        boolean hatching = Bands.hatched(bands.lowest());
        for (int band = bands.lowest() + 1; band <= bands.highest(); band++) {
            if (hatching && !Bands.hatched(band)) {
                wash(null);
                hatching = false;
            }
            String path = rings(contours.next());
            svg.rings("band " + Bands.style(band) + (band == 0 ? " level" : ""), path, (band == 0 ? 1.5 : 0.7) * px);
        }
        if (hatching) {
            wash(null);
        }
    }

    /** A rectangle over everything: a style class, or the hatch. */
    private void wash(String style) {
        String band = style == null ? null : "band " + style;
        String fill = style == null ? "url(#" + id + "-hatch)" : null;
        svg.rect(band, -px, -px, box.width() + 2 * px, box.height() + 2 * px, "fill", fill);
    }

    /**
     * Takes the colour out of parts of which little is known, and dots them, so that it is told without colour too.
     *
     * @param parts in rows, each from the front
     * @param grade from 1, pale, to 3, hardly any colour
     */
    void fade(List<Box> parts, int grade) {
        StringBuilder d = new StringBuilder();
        for (int i = 0; i < parts.size(); i++) {
            Box first = parts.get(i);
            double end = first.x1();
            while (i + 1 < parts.size()
                    && parts.get(i + 1).y0() == first.y0()
                    && parts.get(i + 1).x0() < end + px) {
                i++;
                end = parts.get(i).x1();
            }
            Markup.point(d.append('M'), first.x0(), up(first.y1()));
            d.append('H').append(Markup.number(end));
            d.append('V').append(Markup.number(up(first.y0())));
            d.append('H').append(Markup.number(first.x0())).append('Z');
        }
        svg.path("fade fade-" + grade, d.toString(), 0);
        if (grade > 2) {
            svg.path(null, d.toString(), 0, "fill", "url(#" + id + "-dots)");
        }
    }

    /** @param painted somebody painted what was touched: that is shown as bare, and what was expected as a line */
    void touched(Raster above, double downTo, boolean painted) {
        wash("untouched");
        wash(null);
        String rings = rings(Contours.atOrAbove(above, downTo).get(0));
        svg.rings(painted ? "bare-expected" : "bare", rings, 0.8 * px);
    }

    /** The line that was inked around the gasket. */
    void inked(InkedLine line) {
        String corners = line.points().stream()
                .map(p -> Markup.number(p.x()) + " " + Markup.number(up(p.y())))
                .collect(Collectors.joining("L", "M", "Z"));
        String dash = Markup.number(8 * px) + " " + Markup.number(4 * px);
        svg.path("inked", corners, 2 * px, "stroke-dasharray", dash);
    }

    private String rings(List<double[]> all) {
        StringBuilder d = new StringBuilder();
        for (double[] ring : all) {
            Coordinate[] corners = new Coordinate[ring.length / 2];
            for (int i = 0; i < corners.length; i++) {
                corners[i] = new Coordinate(ring[2 * i], up(ring[2 * i + 1]));
            }
            Coordinate[] seen = DouglasPeuckerSimplifier.simplify(
                            LINES.createLineString(corners), (small ? 1 : 0.25) * px)
                    .getCoordinates();
            for (int i = 0; i < seen.length; i++) {
                Markup.point(d.append(i == 0 ? 'M' : 'L'), seen[i].x, seen[i].y);
            }
            d.append('Z');
        }
        return d.toString();
    }
}
