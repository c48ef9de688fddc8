package homalon.core.face;

import homalon.core.geometry.Box;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.part.Land;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryComponentFilter;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineSegment;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.triangulate.VoronoiDiagramBuilder;

/**
 * How well measured places cover the land: the place of the land that is furthest from any of them.
 *
 * <p>The distance to the nearest place is greatest at a corner of the land, at a corner of the places' Voronoi diagram that
 * lies on the land, or where an edge of the diagram crosses the land's edge: nowhere else can it have a maximum. These are
 * looked at, the likeliest first; a hole of which no edge can be further than what was found is passed over whole.
 *
 * @param furthest place of the land furthest from a measured one: where to measure next
 * @param distance how far that is, mm
 */
public record Cover(Spot furthest, double distance) {
    private static final GeometryFactory SHAPES = new GeometryFactory();
    private static final int THIN_ABOVE = 5_000;
    private static final int CELLS = 60;

    /** A land without holes. */
    public static Land landOf(Box box) {
        return Land.of(SHAPES.toGeometry(new Envelope(box.x0(), box.x1(), box.y0(), box.y1())));
    }

    /**
     * Exact for up to 5 000 points; of more, one per small square is taken, which can only overstate the distance.
     *
     * @throws IllegalArgumentException when there are no points
     */
    public static Cover of(Points points, Land land) {
        return new Search(sites(points, land.shape()), land).furthest();
    }

    /** The search for one land and one set of places. */
    private static final class Search {
        private final List<Coordinate> sites;
        private final Land land;
        private final Envelope reach;
        private final List<Ring> rings = new ArrayList<>();
        private final List<LineSegment> diagram = new ArrayList<>();
        private Coordinate at = new Coordinate(0, 0);
        private double most = -1;

        Search(List<Coordinate> sites, Land land) {
            this.sites = sites;
            this.land = land;
            this.reach = land.shape().getEnvelopeInternal();
            land.shape().apply((GeometryComponentFilter) part -> {
                if (part instanceof LineString line) {
                    rings.add(new Ring(line.getCoordinates(), line.getEnvelopeInternal()));
                }
            });
        }

        Cover furthest() {
            if (sites.size() > 1) {
                corners();
            }
            for (Ring ring : rings) {
                if (mayBeFurther(ring)) {
                    for (Coordinate corner : ring.corners()) {
                        take(corner, nearest(corner));
                    }
                }
            }
            for (LineSegment line : diagram) {
                // Along an edge of the diagram the distance is greatest at an end of what lies in the land's box.
                if (clip(line) && Math.max(nearest(line.p0), nearest(line.p1)) > most) {
                    crossings(line.p0, line.p1);
                }
            }
            return new Cover(new Spot(at.x, at.y), most);
        }

        /** Nowhere on a ring is further from the places than its middle is, and its own reach on top. */
        private boolean mayBeFurther(Ring ring) {
            return nearest(ring.middle()) + ring.reach() > most;
        }

        private void take(Coordinate place, double distance) {
            if (distance > most) {
                most = distance;
                at = place;
            }
        }

        private double nearest(Coordinate place) {
            double least = Double.POSITIVE_INFINITY;
            for (Coordinate site : sites) {
                double dx = site.x - place.x;
                double dy = site.y - place.y;
                least = Math.min(least, dx * dx + dy * dy);
            }
            return Math.sqrt(least);
        }

        /** Takes the diagram's corners on the land, and keeps its edges. */
        private void corners() {
            VoronoiDiagramBuilder builder = new VoronoiDiagramBuilder();
            builder.setSites(sites);
            Envelope clip = reach.copy();
            sites.forEach(clip::expandToInclude);
            clip.expandBy(clip.getDiameter());
            builder.setClipEnvelope(clip);
            for (Object polygon : builder.getSubdivision().getVoronoiCellPolygons(SHAPES)) {
                Coordinate[] ring = ((Geometry) polygon).getCoordinates();
                for (int i = 0; i + 1 < ring.length; i++) {
                    double here = nearest(ring[i]);
                    if (here > most && land.holds(ring[i])) {
                        take(ring[i], here);
                    }
                    if (ring[i].compareTo(ring[i + 1]) < 0) {
                        // its other cell has it the other way round
                        diagram.add(new LineSegment(ring[i], ring[i + 1]));
                    }
                }
            }
        }

        /** Cuts a line down to a millimetre around the land's box; false when nothing is left. */
        private boolean clip(LineSegment line) {
            Envelope box = reach.copy();
            box.expandBy(1); // the outline itself must not be lost by rounding
            double dx = line.p1.x - line.p0.x;
            double dy = line.p1.y - line.p0.y;
            double[] out = {-dx, dx, -dy, dy};
            double[] room = {
                line.p0.x - box.getMinX(),
                box.getMaxX() - line.p0.x,
                line.p0.y - box.getMinY(),
                box.getMaxY() - line.p0.y
            };
            double from = 0;
            double to = 1;
            for (int k = 0; k < 4; k++) {
                if (out[k] == 0 && room[k] < 0) {
                    return false;
                }
                if (out[k] < 0) {
                    from = Math.max(from, room[k] / out[k]);
                } else if (out[k] > 0) {
                    to = Math.min(to, room[k] / out[k]);
                }
            }
            if (from > to) {
                return false;
            }
            Coordinate start = line.pointAlong(from);
            line.p1 = line.pointAlong(to);
            line.p0 = start;
            return true;
        }

        private void crossings(Coordinate p, Coordinate q) {
            double px = q.x - p.x;
            double py = q.y - p.y;
            Envelope line = new Envelope(p, q);
            for (Ring ring : rings) {
                if (!ring.box().intersects(line) || !mayBeFurther(ring)) {
                    continue;
                }
                Coordinate[] edge = ring.corners();
                for (int i = 0; i + 1 < edge.length; i++) {
                    double ex = edge[i + 1].x - edge[i].x;
                    double ey = edge[i + 1].y - edge[i].y;
                    double det = px * ey - py * ex;
                    double along = (edge[i].x - p.x) * ey - (edge[i].y - p.y) * ex;
                    double across = (edge[i].x - p.x) * py - (edge[i].y - p.y) * px;
                    boolean cross = det > 0
                            ? along >= 0 && along <= det && across >= 0 && across <= det
                            : det < 0 && along <= 0 && along >= det && across <= 0 && across >= det;
                    if (cross) {
                        double t = across / det;
                        Coordinate place = new Coordinate(edge[i].x + t * ex, edge[i].y + t * ey);
                        take(place, nearest(place));
                    }
                }
            }
        }
    }

    /** Outline or hole of the land. */
    private record Ring(Coordinate[] corners, Envelope box) {
        Coordinate middle() {
            return box.centre();
        }

        double reach() {
            return box.getDiameter() / 2;
        }
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
