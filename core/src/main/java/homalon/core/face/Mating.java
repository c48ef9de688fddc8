package homalon.core.face;

import homalon.core.geometry.Box;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Raster;
import homalon.core.geometry.Spot;
import homalon.core.part.Layout;
import homalon.core.part.PlaceNames;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A head on its block deck: the sum of both maps is what the two leave open between them. Laid on each other without a gasket
 * they touch where the sum is highest; the gap elsewhere is counted from the plane that leaves the least of it (the upper one of
 * the sum's minimum zone), so bolts can close it further only by bending one of the two.
 *
 * @param map of the sum above that plane, over the deck: zero where they touch, negative where a gap stays open
 * @param greatest gap, mm
 * @param at where that is, on the deck
 * @param words what the two shapes say together
 */
public record Mating(FaceMap map, double greatest, Spot at, List<Message> words) {
    private static final int EVERY = 4;
    /** Of the greater of both hollows: below this the two do not follow each other. */
    private static final double TOGETHER = 0.6;

    /**
     * @param head map of the head's face
     * @param deck map of the block's
     * @return empty when the two can be no pair: bores or sizes differ too much
     */
    public static Optional<Mating> of(FaceMap head, FaceMap deck) {
        Layout top = head.land().layout();
        Layout bottom = deck.land().layout();
        if (!pair(top, bottom)) {
            return Optional.empty();
        }
        boolean mirrored = top.numbers().intakeAtTop() != bottom.numbers().intakeAtTop();
        return new Laid(head, deck, mirrored).mating();
    }

    /** A head laid on a deck, place by place of the deck's land. */
    private static final class Laid {
        private final FaceMap head;
        private final FaceMap deck;
        private final boolean mirrored;
        private final List<double[]> rows = new ArrayList<>();
        private double both;
        private double ofHead;
        private double ofDeck;

        Laid(FaceMap head, FaceMap deck, boolean mirrored) {
            this.head = head;
            this.deck = deck;
            this.mirrored = mirrored;
            Raster grid = deck.land().grid();
            for (int j = 0; j < grid.rows(); j++) {
                for (int i = 0; i < grid.columns(); i++) {
                    if (deck.land().isLand(grid, i, j)) {
                        add(new Spot(grid.x(i), grid.y(j)), i % EVERY == 0 && j % EVERY == 0);
                    }
                }
            }
        }

        private void add(Spot on, boolean kept) {
            Box top = head.land().layout().box();
            Box bottom = deck.land().layout().box();
            double h = head.above(x(on, bottom, top), y(on, bottom, top, mirrored));
            double d = deck.above(on.x(), on.y());
            both += h * d;
            ofHead += h * h;
            ofDeck += d * d;
            if (kept) {
                rows.add(new double[] {on.x(), on.y(), h + d});
            }
        }

        private Optional<Mating> mating() {
            Points sum = Points.of(rows.toArray(double[][]::new));
            if (sum.size() < 4 || sum.onOneLine()) {
                return Optional.empty();
            }
            MinimumZone.Result zone = MinimumZone.of(sum);
            Plane touch = zone.middle().raisedBy(zone.zone() / zone.middle().cosTilt() / 2);
            int worst = lowest(sum, touch);
            Spot at = sum.spot(worst);
            double follow = ofHead > 0 && ofDeck > 0 ? both / Math.sqrt(ofHead * ofDeck) : 0;
            List<Message> words = words(follow, at, deck.land().layout());
            double greatest = -sum.above(touch, worst);
            return FaceMap.of(sum, touch, deck.land()).map(m -> new Mating(m, greatest, at, words));
        }
    }

    private static int lowest(Points points, Plane under) {
        int lowest = 0;
        for (int i = 1; i < points.size(); i++) {
            lowest = points.above(under, i) < points.above(under, lowest) ? i : lowest;
        }
        return lowest;
    }

    static boolean pair(Layout a, Layout b) {
        boolean bores = a.bores().size() == b.bores().size();
        double spacing = a.numbers().spacing().mm() / b.numbers().spacing().mm();
        double length = a.box().width() / b.box().width();
        return bores && Math.abs(spacing - 1) < 0.03 && Math.abs(length - 1) < 0.2;
    }

    private static double x(Spot on, Box from, Box to) {
        // Bores stand over bores: the middles meet, and a longer deck reaches beyond the head.
        double x = on.x() - (from.x0() + from.x1()) / 2 + (to.x0() + to.x1()) / 2;
        return Math.max(to.x0(), Math.min(to.x1(), x));
    }

    private static double y(Spot on, Box from, Box to, boolean mirrored) {
        double off = on.y() - (from.y0() + from.y1()) / 2;
        double y = (to.y0() + to.y1()) / 2 + (mirrored ? -off : off);
        return Math.max(to.y0(), Math.min(to.y1(), y));
    }

    private static List<Message> words(double follow, Spot at, Layout layout) {
        String name = PlaceNames.name(layout, at);
        List<Message> words = new ArrayList<>();
        words.add(
                Message.of("face.the-widest-gap-is-at-the", Character.toLowerCase(name.charAt(0)), name.substring(1)));
        if (follow > TOGETHER) {
            words.add(Message.of("face.both-are-low-in-the-same-places-they"));
        } else if (follow < -TOGETHER) {
            words.add(Message.of("face.one-is-low-where-the-other-is-high"));
        } else {
            words.add(Message.of("face.the-two-do-not-follow-each-other-judge"));
        }
        return List.copyOf(words);
    }
}
