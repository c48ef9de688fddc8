package homalon.core.face;

import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;
import homalon.core.part.LandRaster;
import homalon.core.part.Layout;
import homalon.core.part.PlaceNames;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.algorithm.locate.PointOnGeometryLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Location;

/**
 * Places to read with an indicator, proposed from a layout: corners, edges, middles and the bridges between bores, each
 * moved off holes to where the tip stands on metal, in the order in which the hand goes (to and fro along the face).
 */
public final class PlaceProposal {
    /** How many places. */
    public enum Density {
        /** Those that tell most, and then one after the other as it is named, until it is settled. */
        FEWEST,
        /** Four corners: tells twist, and nothing else. */
        CORNERS,
        /** Three rows at the ends and between the bores. */
        USUAL,
        /** The edges at every bore as well, and two more places on each bridge. */
        CLOSE;

        private final Message words = Message.of(this);

        public Message words() {
            return words;
        }
    }

    /** Room that an indicator's tip wants from an edge, mm. */
    static final double TIP = 2.5;

    private static final double INSET = 8;
    /** Of one survey by hand. */
    public static final int MOST = 200;
    /** Of a layout, before limits are looked at. */
    private static final int MOST_PROPOSED = 60;

    public static final int FEWEST = 4;

    /**
     * @param name what the machinist calls it
     * @param spot where it is, mm
     */
    public record Place(String name, Spot spot) {}

    private PlaceProposal() {}

    /** A fixed set; {@link Density#FEWEST} is none, and answers the usual one. */
    public static List<Place> of(Layout layout, Density density) {
        Box box = layout.box();
        double inset = Math.min(INSET, box.height() * 0.12);
        List<Double> ends = List.of(box.x0() + inset, box.x1() - inset);
        List<Double> edge = density == Density.CORNERS ? ends : edgeColumns(layout, density, inset);
        double mid = (box.y0() + box.y1()) / 2;
        List<List<Spot>> rows = new ArrayList<>();
        rows.add(row(edge, box.y1() - inset));
        if (density != Density.CORNERS) {
            List<Double> bridges = bridges(layout);
            double off = layout.numbers().bore().mm() * 0.3;
            if (density == Density.CLOSE) {
                rows.add(row(bridges, mid + off));
            }
            List<Double> middle = new ArrayList<>(bridges);
            middle.addAll(ends);
            Collections.sort(middle);
            rows.add(row(middle, mid));
            if (density == Density.CLOSE) {
                rows.add(row(bridges, mid - off));
            }
        }
        rows.add(row(edge, box.y0() + inset));
        return walk(layout, rows);
    }

    private static List<Place> walk(Layout layout, List<List<Spot>> rows) {
        PointOnGeometryLocator metal = LandRaster.clearLand(layout, TIP);
        List<Place> places = new ArrayList<>();
        boolean back = false;
        for (List<Spot> row : rows) {
            List<Spot> order = new ArrayList<>(row);
            if (back) {
                Collections.reverse(order);
            }
            boolean any = false;
            for (Spot wanted : order) {
                Optional<Spot> spot = onMetal(metal, wanted);
                if (spot.isPresent() && farFromAll(places, spot.get())) {
                    places.add(new Place(PlaceNames.name(layout, wanted), spot.get()));
                    any = true;
                }
            }
            back = any != back;
        }
        return places.size() > MOST_PROPOSED ? List.copyOf(places.subList(0, MOST_PROPOSED)) : List.copyOf(places);
    }

    private static boolean farFromAll(List<Place> places, Spot spot) {
        return places.stream().allMatch(p -> p.spot().distance(spot) > 2 * TIP);
    }

    private static List<Spot> row(List<Double> xs, double y) {
        return xs.stream().map(x -> new Spot(x, y)).toList();
    }

    private static List<Double> bridges(Layout layout) {
        List<Double> xs = new ArrayList<>();
        List<Layout.Bore> bores = layout.bores();
        for (int i = 0; i + 1 < bores.size(); i++) {
            xs.add((bores.get(i).centre().x() + bores.get(i + 1).centre().x()) / 2);
        }
        return xs;
    }

    private static List<Double> edgeColumns(Layout layout, Density density, double inset) {
        List<Double> xs = new ArrayList<>(bridges(layout));
        xs.add(layout.box().x0() + inset);
        xs.add(layout.box().x1() - inset);
        if (density == Density.CLOSE || layout.bores().size() == 1) {
            layout.bores().forEach(b -> xs.add(b.centre().x()));
        }
        Collections.sort(xs);
        return xs;
    }

    /** The nearest place around the wanted one where the tip stands on metal; empty when there is none close by. */
    public static Optional<Spot> onMetal(Layout layout, Spot wanted) {
        return onMetal(LandRaster.clearLand(layout, TIP), wanted);
    }

    /** @param metal land drawn in by the room that a tip wants */
    public static Optional<Spot> onMetal(PointOnGeometryLocator metal, Spot wanted) {
        for (double radius = 0; radius <= 36; radius += 1.5) {
            int directions = radius == 0 ? 1 : 16;
            for (int k = 0; k < directions; k++) {
                double angle = 2 * Math.PI * k / directions;
                Spot spot = new Spot(
                        rounded(wanted.x() + radius * Math.cos(angle)), rounded(wanted.y() + radius * Math.sin(angle)));
                if (metal.locate(new Coordinate(spot.x(), spot.y())) != Location.EXTERIOR) {
                    return Optional.of(spot);
                }
            }
        }
        return Optional.empty();
    }

    /** To a tenth of a millimetre: no hand places a tip finer. */
    private static double rounded(double mm) {
        return Math.rint(mm * 10) / 10;
    }
}
