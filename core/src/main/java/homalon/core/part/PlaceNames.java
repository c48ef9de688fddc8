package homalon.core.part;

import homalon.core.geometry.Spot;
import java.util.List;

/** Names places the way a machinist points at them: "exhaust edge, between 2 and 3". */
public final class PlaceNames {
    private PlaceNames() {}

    /** Along and across in one: {@code Middle, rear end}. */
    public static String name(Layout layout, Spot spot) {
        String across = across(layout, spot);
        return Character.toUpperCase(across.charAt(0)) + across.substring(1) + ", " + along(layout, spot);
    }

    /** {@code front exhaust}, {@code rear intake}: the corner nearest to a place. */
    public static String corner(Layout layout, Spot spot) {
        boolean upper = layout.box().v(spot.y()) > 0;
        return (layout.box().u(spot.x()) > 0 ? "rear " : "front ")
                + (upper == layout.numbers().intakeAtTop() ? "intake" : "exhaust");
    }

    /** {@code front end}, {@code at 2}, {@code between 2 and 3}, {@code rear end}. */
    public static String along(Layout layout, Spot spot) {
        List<Layout.Bore> bores = layout.bores();
        double half = bores.get(0).diameter() / 2;
        if (spot.x() < bores.get(0).centre().x() - half * 0.8) {
            return "front end";
        }
        if (spot.x() > bores.get(bores.size() - 1).centre().x() + half * 0.8) {
            return "rear end";
        }
        for (int i = 0; i < bores.size(); i++) {
            Layout.Bore bore = bores.get(i);
            boolean last = i + 1 == bores.size();
            double gap =
                    last ? 0 : bores.get(i + 1).centre().x() - bore.centre().x();
            double off = spot.x() - bore.centre().x();
            if (last || off < gap * 0.27) {
                return "at " + bore.number();
            }
            if (off < gap * 0.73) {
                return "between " + bore.number() + " and " + bores.get(i + 1).number();
            }
        }
        return "rear end";
    }

    public static boolean betweenBores(Layout layout, Spot spot) {
        return along(layout, spot).startsWith("between ");
    }

    /** {@code intake edge}, {@code middle}, {@code exhaust edge}, and what lies between. */
    public static String across(Layout layout, Spot spot) {
        double v = layout.box().v(spot.y());
        double towardsIntake = layout.numbers().intakeAtTop() ? v : -v;
        if (towardsIntake > 0.62) {
            return "intake edge";
        }
        if (towardsIntake > 0.2) {
            return "intake side";
        }
        if (towardsIntake >= -0.2) {
            return "middle";
        }
        return towardsIntake < -0.62 ? "exhaust edge" : "exhaust side";
    }
}
