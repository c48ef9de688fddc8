package homalon.core.face;

import homalon.core.geometry.Box;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import org.locationtech.jts.triangulate.VoronoiDiagramBuilder;

/**
 * How well measured places cover the land: the place of the land that is furthest from any of them. Each measured place
 * has its cell of the Voronoi diagram; the distance to it is greatest at a corner of what the land and the cell share.
 *
 * @param furthest place of the land furthest from a measured one: where to measure next
 * @param distance how far that is, mm
 */
public record Cover(Spot furthest, double distance) {
    private static final GeometryFactory SHAPES = new GeometryFactory();
    private static final int THIN_ABOVE = 5_000;
    private static final int CELLS = 60;

    /** A land without holes. */
    public static Geometry landOf(Box box) {
        return SHAPES.toGeometry(new Envelope(box.x0(), box.x1(), box.y0(), box.y1()));
    }

    /**
     * Exact for up to 5 000 points; of more, one per small square is taken, which can only overstate the distance.
     *
     * @throws IllegalArgumentException when there are no points
     */
    public static Cover of(Points points, Geometry land) {
        List<Coordinate> sites = sites(points, land);
        if (sites.size() == 1) {
            return furthestFrom(sites.get(0), land, new Cover(new Spot(0, 0), -1));
        }
        VoronoiDiagramBuilder builder = new VoronoiDiagramBuilder();
        builder.setSites(sites);
        Envelope reach = land.getEnvelopeInternal().copy();
        sites.forEach(reach::expandToInclude);
        reach.expandBy(reach.getDiameter());
        builder.setClipEnvelope(reach);
        Cover worst = new Cover(new Spot(0, 0), -1);
        // The cells as they are: the builder's own clipping fails on some harmless sets of places.
        for (Object polygon : builder.getSubdivision().getVoronoiCellPolygons(SHAPES)) {
            Geometry cell = (Geometry) polygon;
            Geometry shared = OverlayNGRobust.overlay(cell, land, OverlayNG.INTERSECTION);
            if (!shared.isEmpty()) {
                worst = furthestFrom((Coordinate) cell.getUserData(), shared, worst);
            }
        }
        return worst;
    }

    private static Cover furthestFrom(Coordinate site, Geometry part, Cover worst) {
        Cover further = worst;
        for (Coordinate corner : part.getCoordinates()) {
            double distance = corner.distance(site);
            if (distance > further.distance()) {
                further = new Cover(new Spot(corner.x, corner.y), distance);
            }
        }
        return further;
    }

    private static List<Coordinate> sites(Points points, Geometry land) {
        if (points.size() == 0) {
            throw new IllegalArgumentException("cover needs at least one measured place");
        }
        Map<Long, Coordinate> taken = new HashMap<>();
        Envelope box = land.getEnvelopeInternal();
        double cell = points.size() > THIN_ABOVE ? Math.max(box.getWidth(), box.getHeight()) / CELLS : 0;
        List<Coordinate> sites = new ArrayList<>();
        for (int i = 0; i < points.size(); i++) {
            Coordinate site = new Coordinate(points.x(i), points.y(i));
            if (cell == 0) {
                sites.add(site);
            } else {
                long key = (long) Math.floor(site.x / cell) * 1_000_003L + (long) Math.floor(site.y / cell);
                taken.putIfAbsent(key, site);
            }
        }
        sites.addAll(taken.values());
        return sites;
    }
}
