package homalon.core.part;

import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.input.Problems;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.quantity.NotALengthException;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.locationtech.jts.algorithm.RayCrossingCounter;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Location;
import org.locationtech.jts.geom.Polygon;

/**
 * A closed line that was inked around the gasket as it lay on the face: what is land within it has to seal.
 *
 * @param points its corners in order, mm from the front corner of the lower edge of the drawing; the last is joined to the first
 */
public record InkedLine(List<Spot> points) {
    private static final int LEAST = 3;
    private static final int MOST = 60;
    /** mm2: less encloses nothing. */
    private static final double LEAST_AREA = 25;

    private static final Message HOW = Message.of("part.inked-line-key-its-corners-in-order-as");

    /** @throws BadInputException for points that enclose nothing, or a line that crosses itself */
    public InkedLine {
        points = List.copyOf(points);
        Problems problems = new Problems();
        boolean enough = problems.require(points.size() >= LEAST && points.size() <= MOST, "ink", HOW);
        if (enough) {
            Polygon area = area(points);
            problems.require(
                    area.isValid() && area.getArea() >= LEAST_AREA, "ink", "part.the-inked-line-crosses-itself-or");
        }
        problems.throwIfAny();
    }

    private static Polygon area(List<Spot> points) {
        return new GeometryFactory().createPolygon(ring(points));
    }

    private static Coordinate[] ring(List<Spot> points) {
        Coordinate[] ring = new Coordinate[points.size() + 1];
        for (int i = 0; i <= points.size(); i++) {
            Spot p = points.get(i % points.size());
            ring[i] = new Coordinate(p.x(), p.y());
        }
        return ring;
    }

    /** True within it and on it. */
    public boolean encloses(Spot spot) {
        return RayCrossingCounter.locatePointInRing(new Coordinate(spot.x(), spot.y()), ring(points))
                != Location.EXTERIOR;
    }

    /**
     * Reads what was keyed: {@code 20 15, 180 15, 180 90, 20 90}, each a size in the bench's unit.
     *
     * @throws BadInputException with a sentence that says what to key instead
     */
    public static InkedLine read(String typed, BenchUnit unit) {
        List<Spot> points = new ArrayList<>();
        for (String corner : typed.strip().split("\\s*[,;]\\s*")) {
            String[] two = corner.split("\\s+");
            if (two.length != 2 || points.size() == MOST) {
                throw new BadInputException("ink", HOW);
            }
            points.add(new Spot(size(two[0], unit), size(two[1], unit)));
        }
        return new InkedLine(points);
    }

    private static double size(String typed, BenchUnit unit) {
        try {
            return typed.matches("0+([.]0*)?")
                    ? 0
                    : Length.parseSize(typed, unit).mm();
        } catch (NotALengthException e) {
            throw new BadInputException("ink", "part.inked-line", e.sentence());
        }
    }

    /** As it is keyed. */
    public String written(BenchUnit unit) {
        LengthWriter writer = new LengthWriter(unit);
        return points.stream()
                .map(p -> bare(writer, p.x()) + " " + bare(writer, p.y()))
                .collect(Collectors.joining(", "));
    }

    private static String bare(LengthWriter writer, double mm) {
        return writer.size(Length.roundedFromMm(mm)).replaceFirst("\\s.*", "");
    }
}
