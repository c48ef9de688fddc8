package homalon.core.visit;

import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.lines.DeckIndex;
import homalon.core.part.Layout;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** How a deck's heights over the crank line are read: at its four corners. */
public record IndexSetup(boolean outerAtTop) {
    private static final List<Message> CORNERS = List.of(
            Message.of("visit.upper-front"),
            Message.of("visit.upper-back"),
            Message.of("visit.lower-front"),
            Message.of("visit.lower-back"));

    public static IndexSetup of(Map<String, String> kept) {
        return new IndexSetup(Boolean.parseBoolean(kept.getOrDefault("outerAtTop", "true")));
    }

    public Map<String, String> kept() {
        return Map.of("outerAtTop", Boolean.toString(outerAtTop));
    }

    public static List<LineSetup.Place> places() {
        List<LineSetup.Place> all = new ArrayList<>();
        for (int i = 0; i < CORNERS.size(); i++) {
            all.add(new LineSetup.Place("c" + i, Message.of("visit.crank-line-to-deck-corner", CORNERS.get(i))));
        }
        return all;
    }

    /** Empty until all four are read. */
    public Optional<Points> heights(SheetFile sheet, Layout layout) {
        List<double[]> rows = new ArrayList<>();
        for (int i = 0; i < CORNERS.size(); i++) {
            Spot corner = layout.corners().get(i);
            OptionalDouble height = sheet.mm("c" + i);
            if (height.isEmpty()) {
                return Optional.empty();
            }
            rows.add(new double[] {corner.x(), corner.y(), height.getAsDouble()});
        }
        return Optional.of(Points.of(rows.toArray(double[][]::new)));
    }

    public Optional<DeckIndex> of(SheetFile sheet, Layout layout) {
        return heights(sheet, layout).flatMap(h -> DeckIndex.of(h, layout.box(), outerAtTop));
    }
}
