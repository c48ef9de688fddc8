package homalon.core.face;

import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.part.LandRaster;
import homalon.core.part.Layout;
import homalon.core.sim.SeededFace;
import java.util.List;

/** Maps of faces whose shape is known, read closely and without error. */
final class SeededMaps {
    private SeededMaps() {}

    /**
     * Above the middle of its own zone.
     *
     * @param tilt of the whole, which no survey can tell from another's
     */
    static FaceMap map(Layout layout, double longBow, double tilt, SeededFace.Dip... dips) {
        SeededFace face = new SeededFace(layout.box(), tilt, 0, longBow, 0, 0, List.of(dips));
        List<Spot> spots = PlaceProposal.of(layout, PlaceProposal.Density.CLOSE).stream()
                .map(PlaceProposal.Place::spot)
                .toList();
        Points points = face.read(spots, 0, 1);
        Plane level = MinimumZone.of(points).middle();
        return FaceMap.of(points, level, LandRaster.of(layout, 84)).orElseThrow();
    }
}
