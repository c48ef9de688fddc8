package homalon.core.visit;

import homalon.core.gauge.Scale;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.lines.DeckIndex;
import homalon.core.part.LandRaster;
import homalon.core.part.Layout;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;

/**
 * How a deck's heights over the crank line are read: at its four corners.
 *
 * @param outerAtTop the outer edge of the bank, away from the valley, lies at the upper edge of the drawing
 * @param scale temperatures of casting and gauge; empty where they were not noted, and heights are taken as read
 */
public record IndexSetup(boolean outerAtTop, Optional<Scale> scale) {
    private static final List<Message> OUTER = List.of(Message.of("visit.outer-front"), Message.of("visit.outer-rear"));
    private static final List<Message> INNER = List.of(Message.of("visit.inner-front"), Message.of("visit.inner-rear"));
    private static final int CORNERS = 4;
    /** How far inside its corner a place is, mm, and how far further it may be moved to be clear of a hole. */
    private static final double INSIDE = 14;

    private static final double FURTHEST = 60;
    /** What the foot of a gauge needs around it, mm. */
    private static final double FOOT = 3;

    public static IndexSetup of(Map<String, String> kept) {
        String part = kept.get("part");
        return new IndexSetup(
                Boolean.parseBoolean(kept.getOrDefault("outerAtTop", "true")),
                part == null
                        ? Optional.empty()
                        : Optional.of(new Scale(
                                Double.parseDouble(part),
                                Double.parseDouble(kept.get("scale")),
                                Double.parseDouble(kept.get("expansion")))));
    }

    public Map<String, String> kept() {
        Map<String, String> kept = new TreeMap<>();
        kept.put("outerAtTop", Boolean.toString(outerAtTop));
        scale.ifPresent(s -> {
            kept.put("part", Double.toString(s.part()));
            kept.put("scale", Double.toString(s.scale()));
            kept.put("expansion", Double.toString(s.expansion()));
        });
        return kept;
    }

    /** In the order of the layout's corners, each called by its end and by the edge of the bank. */
    public List<LineSetup.Place> places() {
        List<LineSetup.Place> all = new ArrayList<>();
        for (int i = 0; i < CORNERS; i++) {
            boolean outer = (i < 2) == outerAtTop;
            Message corner = (outer ? OUTER : INNER).get(i % 2);
            all.add(new LineSetup.Place("c" + i, Message.of("visit.crank-line-to-deck-corner", corner)));
        }
        return all;
    }

    /** Where the gauge is put, in the same order: the nearest place to each corner at which its foot stands on metal. */
    public static List<Spot> marks(Layout layout) {
        return layout.corners().stream().map(c -> mark(layout, c)).toList();
    }

    private static Spot mark(Layout layout, Spot corner) {
        double toX = corner.x() > 0 ? -1 : 1;
        double toY = corner.y() > 0 ? -1 : 1;
        for (double out = INSIDE; out <= FURTHEST; out += 1) {
            // Along the long edge first, then across, then both.
            for (Spot way : List.of(new Spot(out, INSIDE), new Spot(INSIDE, out), new Spot(out, out))) {
                Spot spot = new Spot(corner.x() + toX * way.x(), corner.y() + toY * way.y());
                if (LandRaster.clear(layout, spot, FOOT)) {
                    return spot;
                }
            }
        }
        return new Spot(corner.x() + toX * INSIDE, corner.y() + toY * INSIDE);
    }

    /** At 20 degrees C where temperatures were noted; empty until all four are read. */
    public Optional<Points> heights(SheetFile sheet, Layout layout) {
        List<double[]> rows = new ArrayList<>();
        for (int i = 0; i < CORNERS; i++) {
            Spot corner = layout.corners().get(i);
            OptionalDouble height = sheet.mm("c" + i);
            if (height.isEmpty()) {
                return Optional.empty();
            }
            double read = height.getAsDouble();
            rows.add(new double[] {
                corner.x(), corner.y(), scale.map(s -> s.at20(read)).orElse(read)
            });
        }
        return Optional.of(Points.of(rows.toArray(double[][]::new)));
    }

    public Optional<DeckIndex> of(SheetFile sheet, Layout layout) {
        return heights(sheet, layout).flatMap(h -> DeckIndex.of(h, layout.box(), outerAtTop));
    }
}
