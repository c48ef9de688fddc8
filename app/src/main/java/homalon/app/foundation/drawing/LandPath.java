package homalon.app.foundation.drawing;

import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;
import homalon.core.part.Layout;

/** The land of a face as one path of arcs and lines, to be filled by the even-odd rule; y runs down as on a page. */
final class LandPath {
    private final StringBuilder d = new StringBuilder(2_000);
    private final Box box;

    private LandPath(Box box) {
        this.box = box;
    }

    static String of(Layout layout) {
        LandPath path = new LandPath(layout.box());
        path.outline(layout.cornerRadius());
        layout.openings().forEach(path::opening);
        layout.boltHoles().forEach(h -> path.circle(h.centre(), h.diameter() / 2));
        layout.waterHoles().forEach(h -> path.circle(h.centre(), h.diameter() / 2));
        return path.d.toString();
    }

    private void outline(double r) {
        double w = box.width();
        double h = box.height();
        to('M', r, 0).to('L', w - r, 0).arc(r, 0, 1, w, r).to('L', w, h - r).arc(r, 0, 1, w - r, h);
        to('L', r, h).arc(r, 0, 1, 0, h - r).to('L', 0, r).arc(r, 0, 1, r, 0);
        d.append('Z');
    }

    private void opening(Layout.Opening opening) {
        if (opening.flatAt().isEmpty()) {
            circle(opening.centre(), opening.radius());
            return;
        }
        double flat = opening.flatAt().getAsDouble();
        double off = flat - opening.centre().y();
        double half = Math.sqrt(opening.radius() * opening.radius() - off * off);
        double y = box.height() - flat;
        // The long way round, away from the flat.
        to('M', opening.centre().x() - half, y)
                .arc(opening.radius(), 1, off < 0 ? 1 : 0, opening.centre().x() + half, y);
        d.append('Z');
    }

    /** Two half turns, relative, so that rounding leaves chord and radius of one another. */
    private void circle(Spot centre, double r) {
        double round = Math.round(r * 10) / 10.0;
        to('M', centre.x() - round, box.height() - centre.y());
        for (int sign = 1; sign >= -1; sign -= 2) {
            Markup.point(d.append('a'), round, round).append(" 0 1 0 ");
            Markup.point(d, sign * 2 * round, 0);
        }
        d.append('Z');
    }

    private LandPath to(char step, double x, double y) {
        Markup.point(d.append(step), x, y);
        return this;
    }

    private LandPath arc(double r, int large, int sweep, double x, double y) {
        Markup.point(d.append('A'), r, r)
                .append(" 0 ")
                .append(large)
                .append(' ')
                .append(sweep)
                .append(' ');
        Markup.point(d, x, y);
        return this;
    }
}
