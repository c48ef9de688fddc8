package homalon.core.face;

import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Raster;
import homalon.core.geometry.Spot;
import homalon.core.part.LandRaster;
import homalon.core.part.PlaceNames;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How the shape of one face changed between two surveys: the later map less the earlier, each above the middle plane of its own
 * minimum zone. Two surveys share no mark on the casting, so what both planes leave out (how much came off, and a tilt of the
 * whole) is no part of it.
 *
 * @param map of the change, mm; positive where the metal stands higher than it did
 * @param sunk where it sank most, if it sank anywhere
 * @param risen where it rose most, if it rose anywhere
 * @param told by how much a place must have changed before the two instruments can tell, mm
 */
public record FaceChange(FaceMap map, Optional<At> sunk, Optional<At> risen, double told) {
    /** Every so many nodes of the grid: a map is smooth between them. */
    private static final int EVERY = 4;

    /**
     * A place and what it changed by.
     *
     * @param by mm, positive
     */
    public record At(Spot spot, double by) {}

    /**
     * @param told sum of the uncertainties of a reading of both surveys, mm
     * @return empty when the land holds too few nodes of the grid to draw a map
     * @throws IllegalArgumentException when the layouts differ: the maps are not of one face
     */
    public static Optional<FaceChange> of(FaceMap earlier, FaceMap later, double told) {
        LandRaster land = later.land();
        if (!earlier.land().layout().numbers().equals(land.layout().numbers())) {
            throw new IllegalArgumentException(
                    "both maps must be of one layout: a casting has one through all its visits");
        }
        Raster grid = land.grid();
        List<double[]> rows = new ArrayList<>();
        Optional<At> sunk = Optional.empty();
        Optional<At> risen = Optional.empty();
        for (int j = 0; j < grid.rows(); j++) {
            for (int i = 0; i < grid.columns(); i++) {
                if (!land.isLand(grid, i, j)) {
                    continue;
                }
                Spot spot = new Spot(grid.x(i), grid.y(j));
                double by = later.above(spot.x(), spot.y()) - earlier.above(spot.x(), spot.y());
                sunk = further(sunk, spot, -by);
                risen = further(risen, spot, by);
                if (i % EVERY == 0 && j % EVERY == 0) {
                    rows.add(new double[] {spot.x(), spot.y(), by});
                }
            }
        }
        Optional<At> lowest = sunk;
        Optional<At> highest = risen;
        return FaceMap.of(Points.of(rows.toArray(double[][]::new)), Plane.LEVEL, land)
                .map(m -> new FaceChange(m, lowest, highest, told));
    }

    private static Optional<At> further(Optional<At> so, Spot spot, double by) {
        return by > so.map(At::by).orElse(0.0) ? Optional.of(new At(spot, by)) : so;
    }

    /** Whether some place changed by more than the two instruments can err together. */
    public boolean seen() {
        return sunk.filter(a -> a.by() > told).isPresent()
                || risen.filter(a -> a.by() > told).isPresent();
    }

    /** What is to be said of it. */
    public Message words() {
        Optional<At> down = sunk.filter(a -> a.by() > told);
        Optional<At> up = risen.filter(a -> a.by() > told);
        if (down.isPresent() && up.isPresent()) {
            return Message.of("face.sank-most-and-rose-most", mm(down), place(down), mm(up), place(up));
        }
        if (down.isPresent()) {
            return Message.of("face.sank-most-and-rose-nowhere", mm(down), place(down));
        }
        return up.isPresent()
                ? Message.of("face.rose-most-and-sank-nowhere", mm(up), place(up))
                : Message.of("face.no-place-changed-by-more-than", new Message.Mm(told));
    }

    private static Message.Mm mm(Optional<At> at) {
        return new Message.Mm(at.orElseThrow().by());
    }

    private Message place(Optional<At> at) {
        return Message.small(Message.plain(
                PlaceNames.name(map.land().layout(), at.orElseThrow().spot())));
    }
}
