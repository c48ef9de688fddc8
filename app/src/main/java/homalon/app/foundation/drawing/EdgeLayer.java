package homalon.app.foundation.drawing;

import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;

/**
 * Draws laid straightedges: the edge as a scribed line; at each place a post square to it whose filled part is the gap that is
 * proven and whose outlined part is what remains possible; feet where it sits still, a rocker where it rocks.
 */
final class EdgeLayer {
    private static final double FULL = 24;
    private static final double HIGHEST = 48;
    private static final double POST = 9;

    private final Svg svg;
    private final Box box;
    private final double px;
    private final double full;

    EdgeLayer(Svg svg, Box box, double px, double full) {
        this.svg = svg;
        this.box = box;
        this.px = px;
        this.full = full;
    }

    void draw(Iterable<EdgeMark> edges) {
        svg.group("edges");
        for (EdgeMark edge : edges) {
            draw(edge);
        }
        svg.closeGroup();
    }

    /** Direction of one edge on the picture: along it, and square to it upwards. */
    private record Way(double x0, double y0, double x1, double y1) {
        double length() {
            return Math.hypot(x1 - x0, y1 - y0);
        }

        double ax() {
            return (x1 - x0) / length();
        }

        double ay() {
            return (y1 - y0) / length();
        }

        /** A place along it, lifted off it. */
        double x(double t, double lift) {
            return x0 + t * (x1 - x0) + lift * ay();
        }

        double y(double t, double lift) {
            return y0 + t * (y1 - y0) - lift * ax();
        }
    }

    private void draw(EdgeMark edge) {
        Way way = new Way(edge.from().x(), up(edge.from()), edge.to().x(), up(edge.to()));
        svg.line("edge-laid", way.x0(), way.y0(), way.x1(), way.y1(), 1.3 * px);
        rest(edge, way);
        for (EdgeMark.GapMark gap : edge.gaps()) {
            post(gap, way);
        }
    }

    private void rest(EdgeMark edge, Way way) {
        svg.group("place rest", "data-place", edge.restId());
        svg.title(edge.title());
        double near = 10 * px / way.length();
        svg.circle("halo", way.x(near, 0), way.y(near, 0), 12 * px, 3 * px);
        switch (edge.rest()) {
            case SITS -> {
                foot(way, 0);
                foot(way, 1);
            }
            case ROCKS -> rocker(way);
            case UNKNOWN -> svg.circle("sign", way.x(near, 0), way.y(near, 0), 3.5 * px, 1.4 * px);
        }
        svg.closeGroup();
    }

    private void rocker(Way way) {
        StringBuilder d = new StringBuilder();
        double half = 26 * px / way.length();
        Markup.point(d.append('M'), way.x(0.5 - half, -2 * px), way.y(0.5 - half, -2 * px));
        Markup.point(d.append('Q'), way.x(0.5, 12 * px), way.y(0.5, 12 * px)).append(' ');
        Markup.point(d, way.x(0.5 + half, -2 * px), way.y(0.5 + half, -2 * px));
        svg.path("rocker", d, 2.4 * px);
    }

    private void foot(Way way, double t) {
        double step = 6 * px / way.length();
        double from = Math.max(0, t - step);
        double to = Math.min(1, t + step);
        StringBuilder d = new StringBuilder();
        Markup.point(d.append('M'), way.x(from, 0), way.y(from, 0));
        Markup.point(d.append('L'), way.x(to, 0), way.y(to, 0));
        Markup.point(d.append('L'), way.x((from + to) / 2, -7 * px), way.y((from + to) / 2, -7 * px))
                .append('Z');
        svg.path("foot", d.toString());
    }

    private void post(EdgeMark.GapMark gap, Way way) {
        String style = "place gap" + (gap.over() ? " over" : "") + (gap.tried() ? "" : " untried");
        svg.group(style, "data-place", gap.id());
        svg.title(gap.title());
        double x = way.x(gap.at(), 0);
        double y = way.y(gap.at(), 0);
        svg.circle("halo", x, y, 12 * px, 3 * px);
        svg.circle("touch-area", x, y, 14 * px);
        if (!gap.tried()) {
            svg.circle("sign", x, y, 3.5 * px, 1.4 * px);
        } else {
            double least = high(gap.least());
            double most = high(gap.most());
            bar(way, gap.at(), 0, most, "possible");
            if (least > 0) {
                bar(way, gap.at(), 0, least, "proven");
            } else {
                bar(way, gap.at(), -1.2 * px, 1.2 * px, "shut");
            }
            if (Double.isInfinite(gap.most())) {
                arrow(way, gap.at(), most);
            }
        }
        svg.closeGroup();
    }

    private double high(double mm) {
        double wanted = FULL * mm / full;
        return Math.min(HIGHEST, Math.max(mm > 0 ? 4 : 0, wanted)) * px;
    }

    private void bar(Way way, double t, double from, double to, String style) {
        double half = POST / 2 * px / way.length();
        StringBuilder d = new StringBuilder();
        Markup.point(d.append('M'), way.x(t - half, from), way.y(t - half, from));
        Markup.point(d.append('L'), way.x(t - half, to), way.y(t - half, to));
        Markup.point(d.append('L'), way.x(t + half, to), way.y(t + half, to));
        Markup.point(d.append('L'), way.x(t + half, from), way.y(t + half, from))
                .append('Z');
        svg.path(style, d.toString(), 1.1 * px);
    }

    /** Open at the top: no blade was refused. */
    private void arrow(Way way, double t, double top) {
        double half = POST * 0.8 * px / way.length();
        StringBuilder d = new StringBuilder();
        Markup.point(d.append('M'), way.x(t - half, top), way.y(t - half, top));
        Markup.point(d.append('L'), way.x(t, top + 8 * px), way.y(t, top + 8 * px));
        Markup.point(d.append('L'), way.x(t + half, top), way.y(t + half, top)).append('Z');
        svg.path("proven", d.toString());
    }

    private double up(Spot s) {
        return box.height() - s.y();
    }
}
