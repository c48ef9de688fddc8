package homalon.core.part;

import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;
import java.util.List;
import java.util.stream.IntStream;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.algorithm.locate.PointOnGeometryLocator;

/**
 * What of a face its heights are asked about: its land, and what in it may bend it. All in mm.
 *
 * @param box over which bow and twist are expressed
 * @param land that shall be flat
 * @param bores around which a ring may have a limit of its own
 * @param bolts middles of the holes around which metal may be pulled up
 */
public record Ground(Box box, Land land, List<Layout.Bore> bores, List<Spot> bolts) {
    public Ground {
        bores = List.copyOf(bores);
        bolts = List.copyOf(bolts);
    }

    public static Ground of(Layout layout) {
        return new Ground(
                layout.box(),
                layout.askedLand(),
                layout.bores(),
                layout.boltHoles().stream().map(Layout.Hole::centre).toList());
    }

    /** Middles between two bores that follow each other. */
    public List<Spot> bridges() {
        return IntStream.range(0, Math.max(0, bores.size() - 1))
                .mapToObj(i -> middle(bores.get(i).centre(), bores.get(i + 1).centre()))
                .toList();
    }

    private static Spot middle(Spot a, Spot b) {
        return new Spot((a.x() + b.x()) / 2, (a.y() + b.y()) / 2);
    }

    /** The land drawn in by a clearance from every edge and hole, ready to be asked for many places. */
    public PointOnGeometryLocator clear(double clearance) {
        return new IndexedPointInAreaLocator(land.shape().buffer(-clearance));
    }
}
