package homalon.core.part;

import homalon.core.geometry.Spot;
import homalon.core.input.Problems;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;

/**
 * How the valves of a face lie, the same for every cylinder.
 *
 * @param intake valves of a cylinder in this casting, 0 to 3: none where they are in the other one, as in the block of an engine
 *     with intakes above and exhausts below
 * @param exhaust valves of a cylinder in this casting, 0 to 2
 * @param rows how they lie
 * @param exhaustFirst in one row: the valve nearest the front of the first cylinder is an exhaust
 * @param mirrored in one row: every second cylinder the other way round, so that two of a kind are neighbours
 */
public record ValvePattern(int intake, int exhaust, Rows rows, boolean exhaustFirst, boolean mirrored) {
    /** Rows of valves. */
    public enum Rows {
        ONE,
        TWO,
        IN_BLOCK;

        private final Message words = Message.of(this);

        public Message words() {
            return words;
        }
    }

    /** Centres of a pair at both sides of the middle, of the bore's radius. */
    private static final double PAIR = 0.42;

    public static final ValvePattern TWO_IN_ROW = new ValvePattern(1, 1, Rows.ONE, false, false);

    /** @throws homalon.core.input.BadInputException for a number of valves that no cylinder has */
    public ValvePattern {
        Problems problems = new Problems();
        problems.require(intake >= 0 && intake <= 3, "intake", "part.intake-valves-of-a-cylinder-key-0-to-3");
        problems.require(exhaust >= 0 && exhaust <= 2, "exhaust", "part.exhaust-valves-of-a-cylinder-key-0-to-2");
        problems.require(intake + exhaust > 0, "intake", "part.a-casting-without-valves-has-none-to");
        problems.require(
                rows == Rows.TWO || (intake + exhaust <= 2 && intake < 2 && exhaust < 2),
                "rows",
                "part.more-than-two-valves-of-a-cylinder-lie");
        problems.throwIfAny();
    }

    /** All valves of a face, in the order in which a machinist goes down it: from the front, row by row where there are two. */
    public List<Valve> of(Layout layout) {
        List<Valve> all = new ArrayList<>();
        List<Layout.Bore> bores = layout.bores();
        for (int i = 0; i < bores.size(); i++) {
            boolean turned = exhaustFirst ^ (mirrored && i % 2 == 1);
            cylinder(layout, bores.get(i), turned, all);
        }
        if (rows == Rows.TWO) {
            all.sort(Comparator.comparing(Valve::kind)
                    .thenComparingDouble(v -> v.centre().x()));
        } else {
            all.sort(Comparator.comparingDouble(v -> v.centre().x()));
        }
        return List.copyOf(all);
    }

    private void cylinder(Layout layout, Layout.Bore bore, boolean turned, List<Valve> all) {
        double r = bore.diameter() / 2;
        double towards = layout.numbers().intakeAtTop() ? 1 : -1;
        if (rows == Rows.TWO) {
            row(bore, ValveKind.INTAKE, intake, towards * r * (intake == 3 ? 0.4 : PAIR), all);
            row(bore, ValveKind.EXHAUST, exhaust, -towards * r * (exhaust == 1 && intake > 1 ? 0.46 : PAIR), all);
            return;
        }
        double y = 0;
        if (rows == Rows.IN_BLOCK) {
            // On the exhaust side, as far out as the face lets them.
            double room = layout.box().height() / 2 - r * 0.32 - 3;
            y = -towards * Math.min(r * 1.42, room);
        }
        if (intake + exhaust == 1) {
            ValveKind kind = intake == 1 ? ValveKind.INTAKE : ValveKind.EXHAUST;
            all.add(valve(bore, kind, "", "", 0, y, r * (kind == ValveKind.INTAKE ? 0.74 : 0.64)));
            return;
        }
        double side = turned ? -1 : 1;
        all.add(valve(bore, ValveKind.INTAKE, "", "", -side * r * PAIR, y, r * 0.74));
        all.add(valve(bore, ValveKind.EXHAUST, "", "", side * r * PAIR, y, r * 0.64));
    }

    private void row(Layout.Bore bore, ValveKind kind, int count, double y, List<Valve> all) {
        if (count == 0) {
            return;
        }
        double r = bore.diameter() / 2;
        double width = kind == ValveKind.INTAKE ? 1 : 0.88;
        if (count == 1) {
            all.add(valve(bore, kind, "", "", 0, y, r * 0.74 * width));
        } else if (count == 2) {
            all.add(valve(bore, kind, "1", ", front", -r * PAIR, y, r * 0.72 * width));
            all.add(valve(bore, kind, "2", ", rear", r * PAIR, y, r * 0.72 * width));
        } else {
            all.add(valve(bore, kind, "1", ", front", -r * 0.6, y * 0.45, r * 0.5));
            all.add(valve(bore, kind, "2", ", middle", 0, y * 1.4, r * 0.5));
            all.add(valve(bore, kind, "3", ", rear", r * 0.6, y * 0.45, r * 0.5));
        }
    }

    private static Valve valve(
            Layout.Bore bore, ValveKind kind, String no, String where, double x, double y, double diameter) {
        return new Valve(
                bore.number() + kind.letter() + no,
                bore.number() + " " + kind.name().toLowerCase(Locale.ROOT) + where,
                bore.number(),
                kind,
                new Spot(bore.centre().x() + x, bore.centre().y() + y),
                diameter);
    }
}
