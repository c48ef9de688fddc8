package homalon.core.part;

import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;

/**
 * A face to scale: outline, bores, openings, bolt and water holes, in millimetres. Made from {@link LayoutNumbers};
 * immutable. The <em>land</em> is the outline less every opening and hole: what is measured, mapped and sealed.
 */
public final class Layout {
    /** A round hole. */
    public record Hole(Spot centre, double diameter) {}

    /**
     * An opening in the face: a circle, cut off straight where there is a quench flat.
     *
     * @param flatAt y of the straight edge, which lies on the intake side; empty for a whole circle
     */
    public record Opening(Spot centre, double radius, OptionalDouble flatAt) {
        /** Half of the angle that the flat cuts off; 0 for a whole circle. */
        private double half() {
            return flatAt.isPresent()
                    ? Math.acos(Math.min(1, Math.abs(flatAt.getAsDouble() - centre.y()) / radius))
                    : 0;
        }

        /** mm2: the circle less the segment beyond the flat. */
        public double area() {
            double a = half();
            return radius * radius * (Math.PI - a + Math.sin(a) * Math.cos(a));
        }

        /** mm: the arc and the flat. */
        public double perimeter() {
            double a = half();
            return 2 * radius * (Math.PI - a + Math.sin(a));
        }
    }

    /** A bore with the number painted on it. */
    public record Bore(int number, Spot centre, double diameter) {}

    private static final GeometryFactory SHAPES = new GeometryFactory();
    private static final int ARC = 48;
    /** Left between a chamber that lies beside its bore and the edge of the face, mm. */
    private static final double LAND = 6;
    /** Of the bore's radius: where a quench flat cuts a chamber off. */
    private static final double QUENCH = 0.62;

    private final LayoutNumbers numbers;
    private final Box box;
    private final double cornerRadius;
    private final List<Bore> bores;
    private final List<Hole> boltHoles;
    private final List<Hole> waterHoles;
    private final List<Hole> valves;
    private final Geometry land;
    private final Land askedLand;

    private Layout(LayoutNumbers numbers) {
        this.numbers = numbers;
        this.box = new Box(0, 0, numbers.length().mm(), numbers.width().mm());
        this.cornerRadius = Math.min(box.height() * 0.08, 14);
        this.bores = placeBores();
        this.boltHoles = placeBolts();
        this.waterHoles = placeWater();
        this.valves = placeValves();
        this.land = makeLand();
        this.askedLand = Land.of(land);
    }

    public static Layout of(LayoutNumbers numbers) {
        return new Layout(numbers);
    }

    public LayoutNumbers numbers() {
        return numbers;
    }

    public Box box() {
        return box;
    }

    /** The four corners of the box: upper front, upper rear, lower front, lower rear of the drawing. */
    public List<Spot> corners() {
        return box.corners();
    }

    public double cornerRadius() {
        return cornerRadius;
    }

    public List<Bore> bores() {
        return bores;
    }

    public List<Hole> boltHoles() {
        return boltHoles;
    }

    public List<Hole> waterHoles() {
        return waterHoles;
    }

    /** Dowels that stand in the face until they are pulled: rings around the bolt holes at two opposite corners. */
    public List<Hole> dowels() {
        if (numbers.dowels() == 0) {
            return List.of();
        }
        double inset = Math.min(box.width(), box.height()) * 0.1;
        List<Hole> all = new ArrayList<>();
        for (Spot corner : List.of(corners().get(1), corners().get(2))) {
            Spot inside = new Spot(
                    corner.x() > inset ? corner.x() - inset : inset, corner.y() > inset ? corner.y() - inset : inset);
            Optional<Hole> bolt = boltHoles.stream()
                    .min(Comparator.comparingDouble(h -> h.centre().distance(corner)));
            all.add(bolt.map(h -> new Hole(h.centre(), h.diameter() + 6)).orElse(new Hole(inside, 10)));
        }
        return List.copyOf(all);
    }

    /** Valve heads lying in the face or seen in the chamber: drawn for recognition only. */
    public List<Hole> valves() {
        return valves;
    }

    /** Outline less bores, bolt and water holes. */
    public Geometry land() {
        return land;
    }

    /** The same, to ask for many places. */
    public Land askedLand() {
        return askedLand;
    }

    /** What is open at the bores: chambers, or the valves where only these lie in the face. */
    public List<Opening> openings() {
        return switch (numbers.chambers()) {
            case ROUND ->
                bores.stream().map(b -> whole(b.centre(), b.diameter())).toList();
            case CUT_OFF -> bores.stream().map(this::cutOff).toList();
            case BESIDE -> bores.stream().map(this::beside).toList();
            case VALVES_ONLY ->
                valves.stream().map(v -> whole(v.centre(), v.diameter())).toList();
        };
    }

    /** The chamber's opening at a bore, as drawn; the bore's circle where only valves lie in the face. */
    public Opening chamber(Bore bore) {
        return switch (numbers.chambers()) {
            case CUT_OFF -> cutOff(bore);
            case BESIDE -> beside(bore);
            case ROUND, VALVES_ONLY -> whole(bore.centre(), bore.diameter());
        };
    }

    /** Area of the chamber's opening as drawn, mm2; where only valves lie in the face, of those at the bore. */
    public double chamberArea(Bore bore) {
        return numbers.chambers() == ChamberShape.VALVES_ONLY
                ? valvesAt(bore).stream().mapToDouble(Opening::area).sum()
                : chamber(bore).area();
    }

    /** Length of that opening's edge, mm. */
    public double chamberPerimeter(Bore bore) {
        return numbers.chambers() == ChamberShape.VALVES_ONLY
                ? valvesAt(bore).stream().mapToDouble(Opening::perimeter).sum()
                : chamber(bore).perimeter();
    }

    private List<Opening> valvesAt(Bore bore) {
        return openings().stream()
                .filter(o -> o.centre().distance(bore.centre()) < bore.diameter() / 2)
                .toList();
    }

    /** Places along the rim of the chamber at a bore, evenly spread in angle. */
    public List<Spot> rim(Bore bore, int places) {
        Opening opening = chamber(bore);
        List<Spot> rim = new ArrayList<>();
        for (int i = 0; i < places; i++) {
            double angle = 2 * Math.PI * i / places;
            double x = opening.radius() * Math.cos(angle);
            double y = opening.radius() * Math.sin(angle);
            if (opening.flatAt().isPresent()) {
                double flat = opening.flatAt().getAsDouble() - opening.centre().y();
                // Beyond the flat the rim lies on it, on the same ray from the centre.
                double share = Math.signum(flat) * y > Math.abs(flat) ? flat / y : 1;
                x *= share;
                y *= share;
            }
            rim.add(new Spot(opening.centre().x() + x, opening.centre().y() + y));
        }
        return rim;
    }

    private static Opening whole(Spot centre, double diameter) {
        return new Opening(centre, diameter / 2, OptionalDouble.empty());
    }

    private Opening cutOff(Bore bore) {
        double towardsIntake = numbers.intakeAtTop() ? 1 : -1;
        double r = bore.diameter() / 2;
        return new Opening(bore.centre(), r, OptionalDouble.of(bore.centre().y() + towardsIntake * r * QUENCH));
    }

    /** Over the valves, which stand on the exhaust side in the block; no further out than leaves a land there. */
    private Opening beside(Bore bore) {
        double towardsExhaust = numbers.intakeAtTop() ? -1 : 1;
        double r = bore.diameter() / 2;
        double radius = Math.min(r * 0.95, box.height() * 0.4);
        double off = Math.min(r * 0.62, box.height() / 2 - radius - LAND);
        return whole(new Spot(bore.centre().x(), bore.centre().y() + towardsExhaust * Math.max(0, off)), 2 * radius);
    }

    private List<Bore> placeBores() {
        double pitch = numbers.cylinders() > 1 ? numbers.spacing().mm() : 0;
        double first = (box.width() - (numbers.cylinders() - 1) * pitch) / 2;
        List<Bore> placed = new ArrayList<>();
        for (int i = 0; i < numbers.cylinders(); i++) {
            placed.add(new Bore(
                    numbers.firstNumber() + i * numbers.numberStep(),
                    new Spot(first + i * pitch, box.height() / 2),
                    numbers.bore().mm()));
        }
        return List.copyOf(placed);
    }

    private List<Hole> placeBolts() {
        if (numbers.boltRows() == BoltRows.NONE) {
            return List.of();
        }
        double d = numbers.boltHole().mm();
        double inset = d / 2 + Math.max(5, d * 0.5);
        List<Hole> holes = new ArrayList<>();
        if (numbers.boltRows() == BoltRows.AROUND) {
            return around(d);
        }
        for (double y : new double[] {inset, box.height() - inset}) {
            for (double x : columns(inset)) {
                addIfClear(holes, new Hole(new Spot(x, y), d));
            }
        }
        if (numbers.boltRows() == BoltRows.THREE) {
            for (double x : columns(inset)) {
                addIfClear(holes, new Hole(new Spot(x, box.height() / 2), d));
            }
        }
        if (numbers.boltRows() == BoltRows.FOUR) {
            double off = numbers.bore().mm() / 2 + d / 2 + 5;
            for (Bore bore : bores) {
                addIfClear(
                        holes,
                        new Hole(new Spot(bore.centre().x(), bore.centre().y() - off), d));
                addIfClear(
                        holes,
                        new Hole(new Spot(bore.centre().x(), bore.centre().y() + off), d));
            }
        }
        return List.copyOf(holes);
    }

    /** Six about each bore from its top on; where neighbours would have one each, the first stands for both. */
    private List<Hole> around(double d) {
        List<Hole> holes = new ArrayList<>();
        double reach = numbers.bore().mm() / 2 + d / 2 + 5;
        for (Bore bore : bores) {
            for (int i = 0; i < 6; i++) {
                double angle = Math.toRadians(90 + 60 * i);
                Spot at = new Spot(
                        bore.centre().x() + reach * Math.cos(angle),
                        bore.centre().y() + reach * Math.sin(angle));
                addIfClear(holes, new Hole(at, d));
            }
        }
        return List.copyOf(holes);
    }

    /** The ends and the middles between neighbouring bores. */
    private List<Double> columns(double inset) {
        List<Double> xs = new ArrayList<>();
        xs.add(inset);
        for (int i = 0; i + 1 < bores.size(); i++) {
            xs.add((bores.get(i).centre().x() + bores.get(i + 1).centre().x()) / 2);
        }
        xs.add(box.width() - inset);
        return xs;
    }

    private List<Hole> placeWater() {
        if (numbers.waterHoles() == 0) {
            return List.of();
        }
        double r = numbers.bore().mm() / 2;
        double d = Math.max(4, r * 0.16);
        double[] angles = numbers.waterHoles() == 2 ? new double[] {90, 270} : new double[] {62, 118, 242, 298};
        List<Hole> holes = new ArrayList<>(boltHoles);
        int bolts = holes.size();
        for (Bore bore : bores) {
            for (double angle : angles) {
                double rad = Math.toRadians(angle);
                double reach = r + d / 2 + Math.max(4, r * 0.11);
                addIfClear(
                        holes,
                        new Hole(
                                new Spot(
                                        bore.centre().x() + reach * Math.cos(rad),
                                        bore.centre().y() + reach * Math.sin(rad)),
                                d));
            }
        }
        return List.copyOf(holes.subList(bolts, holes.size()));
    }

    /** Adds a hole unless it would break into a bore, another hole or the edge. */
    private void addIfClear(List<Hole> holes, Hole hole) {
        double r = hole.diameter() / 2;
        boolean inside = hole.centre().x() - r >= 2
                && hole.centre().x() + r <= box.width() - 2
                && hole.centre().y() - r >= 2
                && hole.centre().y() + r <= box.height() - 2;
        boolean clearOfBores =
                bores.stream().allMatch(b -> b.centre().distance(hole.centre()) >= b.diameter() / 2 + r + 1.5);
        boolean clearOfHoles =
                holes.stream().allMatch(h -> h.centre().distance(hole.centre()) >= h.diameter() / 2 + r + 1.5);
        boolean clearOfChambers = numbers.chambers() != ChamberShape.BESIDE
                || bores.stream()
                        .map(this::beside)
                        .allMatch(o -> o.centre().distance(hole.centre()) >= o.radius() + r + 1.5);
        if (inside && clearOfBores && clearOfHoles && clearOfChambers) {
            holes.add(hole);
        }
    }

    private List<Hole> placeValves() {
        if (numbers.chambers() == ChamberShape.ROUND || numbers.chambers() == ChamberShape.BESIDE) {
            return List.of();
        }
        List<Hole> placed = new ArrayList<>();
        double r = numbers.bore().mm() / 2;
        for (Bore bore : bores) {
            placed.add(
                    new Hole(new Spot(bore.centre().x() - r * 0.4, bore.centre().y()), r * 0.74));
            placed.add(new Hole(
                    new Spot(bore.centre().x() + r * 0.44, bore.centre().y()), r * 0.64));
        }
        return List.copyOf(placed);
    }

    private static Polygon polygon(Opening opening) {
        if (opening.flatAt().isEmpty()) {
            return circle(opening.centre(), opening.radius());
        }
        double r = opening.radius();
        double flat = opening.flatAt().getAsDouble() - opening.centre().y();
        double towards = Math.signum(flat);
        double half = Math.asin(Math.abs(flat) / r);
        List<Coordinate> ring = new ArrayList<>();
        for (int i = 0; i <= ARC; i++) {
            double angle = half - (Math.PI + 2 * half) * i / ARC;
            ring.add(new Coordinate(
                    opening.centre().x() + r * Math.cos(angle), opening.centre().y() + towards * r * Math.sin(angle)));
        }
        ring.add(ring.get(0).copy());
        return SHAPES.createPolygon(ring.toArray(Coordinate[]::new));
    }

    private static Polygon circle(Spot centre, double r) {
        Coordinate[] ring = new Coordinate[ARC + 1];
        for (int i = 0; i < ARC; i++) {
            double angle = 2 * Math.PI * i / ARC;
            ring[i] = new Coordinate(centre.x() + r * Math.cos(angle), centre.y() + r * Math.sin(angle));
        }
        ring[ARC] = ring[0].copy();
        return SHAPES.createPolygon(ring);
    }

    private Geometry makeLand() {
        double r = cornerRadius;
        Geometry metal = SHAPES.createPolygon(new Coordinate[] {
                    new Coordinate(r, r),
                    new Coordinate(box.width() - r, r),
                    new Coordinate(box.width() - r, box.height() - r),
                    new Coordinate(r, box.height() - r),
                    new Coordinate(r, r)
                })
                .buffer(r, 12);
        for (Opening opening : openings()) {
            metal = without(metal, polygon(opening));
        }
        for (Hole hole : boltHoles) {
            metal = without(metal, circle(hole.centre(), hole.diameter() / 2));
        }
        for (Hole hole : waterHoles) {
            metal = without(metal, circle(hole.centre(), hole.diameter() / 2));
        }
        return metal;
    }

    private static Geometry without(Geometry metal, Polygon hole) {
        return OverlayNGRobust.overlay(metal, hole, OverlayNG.DIFFERENCE);
    }
}
