package homalon.app.foundation.drawing;

import homalon.app.foundation.drawing.Svg.Anchor;
import java.util.List;
import java.util.Locale;

/**
 * Draws a bench day as a steel rule with lanes under it: hours are its marks, and where the shop is closed the rule is cut. What is placed
 * is counted in open minutes from where the rule begins.
 */
public final class SteelRule {
    private static final double WIDE = 1160;
    private static final double NAMES = 150;
    private static final double CUT = 9;
    private static final double RULE = 42;
    private static final double ROW = 34;
    private static final double TALL = 28;
    /** Of a letter of a block's words, about. */
    private static final double LETTER = 6.6;

    /** Radius of a pin's head. */
    private static final double PIN = 3;

    private static final double HATCH = 6;
    private static final int QUARTER = 15;
    private static final int HALF = 30;
    private static final int HOUR = 60;
    /** Marks that stand nearer to each other than this are left out. */
    private static final double LEAST_APART = 6;

    private static final double LEAST_FOR_A_NUMBER = 30;

    /**
     * Hours at a stretch.
     *
     * @param from the minute of the day at which the shop opens
     * @param minutes that it is open
     * @param day told at its first stretch; empty for the others
     */
    public record Opening(int from, int minutes, String day) {}

    /** How a piece is drawn. */
    public enum Kind {
        HANDS,
        ALONE,
        SET_UP,
        /** The station stays taken between two pieces. */
        HELD,
        /** It cannot be used, or somebody is not there. */
        AWAY
    }

    /**
     * A piece in a lane.
     *
     * @param from open minutes, as to
     * @param row of the lane, 0 the first
     * @param title what it says to whoever points at it or has it read out
     * @param href where it leads; empty for nowhere
     * @param marked stands out: now in hand, or of the casting that is looked at
     * @param pinned stays there: it is drawn with the head of a pin
     */
    public record Block(
            Kind kind,
            int from,
            int to,
            int row,
            String tag,
            String words,
            String title,
            String href,
            boolean marked,
            boolean pinned) {}

    /** @param rows one at the least */
    public record Lane(String name, int rows, List<Block> blocks) {}

    private final List<Opening> openings;
    private final int length;
    private final double scale;

    private SteelRule(List<Opening> openings) {
        this.openings = openings;
        this.length = openings.stream().mapToInt(Opening::minutes).sum();
        this.scale = (WIDE - NAMES - CUT * Math.max(0, openings.size() - 1)) / Math.max(1, length);
    }

    /**
     * @param now open minutes; below 0 for none
     * @param label what the whole is
     */
    public static String svg(List<Opening> openings, List<Lane> lanes, int now, String label) {
        return new SteelRule(openings).draw(lanes, now, label);
    }

    private String draw(List<Lane> lanes, int now, String label) {
        Svg svg = new Svg();
        double high = RULE + lanes.stream().mapToInt(Lane::rows).sum() * ROW + 6;
        svg.frame("0 0 " + WIDE + " " + high, 0, 0, "steel-rule", null, "role", "group", "aria-label", label);
        svg.open("defs");
        svg.pattern("rule-hatch", HATCH, "patternTransform", "rotate(45)");
        svg.line("hatch", 0, 0, 0, HATCH, 2).close("pattern").close("defs");
        rule(svg, high);
        double y = RULE;
        for (Lane lane : lanes) {
            lane(svg, lane, y);
            y += lane.rows() * ROW;
        }
        if (now >= 0 && now < length) {
            double x = x(now, false);
            svg.line("now-line", x, RULE - 12, x, high, 2);
            svg.path("now-mark", "M" + (x - 6) + " " + (RULE - 18) + "h12l-6 8z");
        }
        return svg.close("svg").toString();
    }

    private void rule(Svg svg, double high) {
        int from = 0;
        for (Opening opening : openings) {
            double left = x(from, false);
            double right = x(from + opening.minutes(), true);
            svg.rect("steel", left, 4, right - left, RULE - 8);
            for (int m = 0; m <= opening.minutes(); m++) {
                int minute = opening.from() + m;
                double apart = minute % HOUR == 0 ? HOUR : minute % HALF == 0 ? HALF : QUARTER;
                if (minute % QUARTER == 0 && apart * scale >= LEAST_APART) {
                    mark(svg, minute, left + m * scale, opening, m);
                }
            }
            if (!opening.day().isEmpty()) {
                svg.words("day", left + 4, 15, Anchor.START, opening.day());
            }
            svg.line("cut", left, 4, left, high, 1);
            from += opening.minutes();
        }
    }

    private void mark(Svg svg, int minute, double x, Opening opening, int m) {
        boolean hour = minute % HOUR == 0;
        double tall = hour ? 12 : minute % HALF == 0 ? 8 : 5;
        svg.line("mark", x, RULE - 4 - tall, x, RULE - 4, 1);
        boolean room = m > 0 && (opening.minutes() - m) * scale > LETTER && x - x(0, false) > 0;
        boolean day = !opening.day().isEmpty() && m * scale < opening.day().length() * LETTER + 8;
        if (hour && room && !day && HOUR * scale >= LEAST_FOR_A_NUMBER) {
            svg.words("hour", x, 22, Anchor.MIDDLE, Integer.toString(minute / HOUR % 24));
        }
    }

    private void lane(Svg svg, Lane lane, double y) {
        svg.line("lane", 0, y, WIDE, y, 1);
        svg.words("lane-name", 4, y + ROW * 0.62, Anchor.START, lane.name());
        lane.blocks().forEach(b -> block(svg, b, y + b.row() * ROW + (ROW - TALL) / 2));
    }

    private void block(Svg svg, Block block, double y) {
        double left = x(block.from(), false);
        double width = Math.max(1.5, x(block.to(), true) - left);
        boolean leads = !block.href().isEmpty();
        String style = "piece " + block.kind().name().toLowerCase(Locale.ROOT) + (block.marked() ? " marked" : "");
        if (leads) {
            svg.open("a", "href", block.href(), "class", style, "aria-label", block.title());
        } else {
            svg.group(style);
        }
        svg.title(block.title());
        if (block.kind() == Kind.HELD) {
            svg.line("held", left, y + TALL / 2, left + width, y + TALL / 2, 1.5);
        } else {
            svg.rect("body", left, y, width, TALL);
            String both = block.tag() + " " + block.words();
            String words = fits(both, width) ? both : fits(block.tag(), width) ? block.tag() : "";
            if (block.pinned()) {
                svg.circle("pin", left + width - PIN - 2, y + PIN + 2, PIN);
            }
            if (!words.isEmpty()) {
                svg.words("on-piece", left + 4, y + TALL * 0.66, Anchor.START, words);
            }
        }
        svg.close(leads ? "a" : "g");
    }

    private static boolean fits(String words, double width) {
        return !words.isBlank() && words.length() * LETTER + 6 <= width;
    }

    /** @param end whether the minute ends there, before a cut and not behind it */
    private double x(int minute, boolean end) {
        int from = 0;
        int cuts = 0;
        for (int i = 0; i < openings.size(); i++) {
            int to = from + openings.get(i).minutes();
            boolean here = end ? minute <= to : minute < to;
            if (here || i == openings.size() - 1) {
                break;
            }
            from = to;
            cuts++;
        }
        return NAMES + minute * scale + cuts * CUT;
    }
}
