package homalon.core.bench;

import static homalon.core.bench.StationKind.*;

import homalon.core.bench.UsualTime.Step;
import homalon.core.part.Material;
import homalon.core.route.Operation;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** How long every operation usually takes: general values, for a shop that has not seen its own yet. */
public final class UsualTimes {
    private static final int DAY = 24 * 60;
    /** A specialist has a casting so long. */
    private static final int AWAY = 5 * DAY;

    private UsualTimes() {}

    /** @param metal iron is baked, aluminium is soaked: in an oven as hot it would lose its temper */
    public static UsualTime of(Operation operation, Material metal) {
        return switch (operation) {
            case CLEAN ->
                metal == Material.CAST_IRON
                        ? time(List.of(OVEN), at(5), alone(150), at(10))
                        : time(List.of(TANK), at(10), alone(45), at(15));
            case CRACK_CHECK -> time(List.of(CRACKS), at(5).cylinders(3), alone(15), at(10));
            case STITCH -> time(List.of(HANDS), at(10).each(45));
            case WELD -> time(List.of(), alone(AWAY));
            case SLEEVE -> time(List.of(SEATS), at(30).each(60));
            case INSERT -> time(List.of(SEATS), at(15).each(12));
            case VALVE_CHECK -> time(List.of(MEASURING, HANDS), at(10).valves(2));
            case GUIDE_WORK -> time(List.of(SEATS, PRESS), at(15).each(8));
            case SEAT_WORK -> time(List.of(SEATS), at(15).each(6));
            case CHAMBER_FILL -> time(List.of(MEASURING, HANDS), at(10).cylinders(5));
            case PRESSURE_TEST -> time(List.of(PRESSURE), at(25), alone(20), at(10));
            case STRAIGHTEN -> time(List.of(PRESS), at(25), alone(240), at(20));
            case LINE_BORE -> time(List.of(SEATS), at(45).cylinders(10));
            case LINE_CHECK -> time(List.of(MEASURING, HANDS), at(5).cylinders(4));
            case FACE_CHECK, TORQUE -> time(List.of(MEASURING, HANDS), at(5).cylinders(4));
            // How long an answer is waited for is told beside it; this is the asking.
            case CHOICE -> time(List.of(), alone(60));
            case DECK_INDEX -> time(List.of(MEASURING), at(20));
            case CUT_PLAN -> time(List.of(MEASURING, HANDS), at(5));
            case REFERENCE_CUT -> time(List.of(SURFACER), whole(20).passes(6));
            case CUT -> time(List.of(SURFACER), whole(20).passes(8));
            case PROOF -> time(List.of(MEASURING, HANDS), at(5).cylinders(2));
            case LINER_CHECK -> time(List.of(MEASURING, HANDS), at(5).cylinders(3));
            case LINER_TRIM -> time(List.of(SEATS), at(20).each(10));
            case OIL_AND_BAG -> time(List.of(WASH, HANDS), at(10));
            case HAND_OVER -> time(List.of(HANDS), at(5));
        };
    }

    /** Stations at which something runs by itself. */
    public static Set<StationKind> alone() {
        Set<StationKind> kinds = EnumSet.noneOf(StationKind.class);
        for (Operation operation : Operation.values()) {
            for (Material metal : Material.values()) {
                UsualTime usual = of(operation, metal);
                if (usual.steps().stream().anyMatch(s -> s.kind() == Piece.Kind.ALONE)) {
                    kinds.addAll(usual.stations());
                }
            }
        }
        return kinds;
    }

    /** A step that grows. */
    private record Grows(Step step) {
        Grows cylinders(int minutes) {
            return new Grows(new Step(step.kind(), step.minutes(), minutes, step.valve(), step.one(), step.pass()));
        }

        Grows valves(int minutes) {
            return new Grows(new Step(step.kind(), step.minutes(), step.cylinder(), minutes, step.one(), step.pass()));
        }

        Grows each(int minutes) {
            return new Grows(
                    new Step(step.kind(), step.minutes(), step.cylinder(), step.valve(), minutes, step.pass()));
        }

        Grows passes(int minutes) {
            return new Grows(new Step(step.kind(), step.minutes(), step.cylinder(), step.valve(), step.one(), minutes));
        }
    }

    private static Grows step(Piece.Kind kind, int minutes) {
        return new Grows(new Step(kind, minutes, 0, 0, 0, 0));
    }

    private static Grows at(int minutes) {
        return step(Piece.Kind.ATTENDED, minutes);
    }

    private static Grows whole(int minutes) {
        return step(Piece.Kind.WHOLE, minutes);
    }

    private static Grows alone(int minutes) {
        return step(Piece.Kind.ALONE, minutes);
    }

    private static UsualTime time(List<StationKind> stations, Grows... steps) {
        return new UsualTime(stations, Arrays.stream(steps).map(Grows::step).toList());
    }
}
