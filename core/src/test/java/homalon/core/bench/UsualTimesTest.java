package homalon.core.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.part.Material;
import homalon.core.route.Operation;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** General values of how long things take. */
class UsualTimesTest {
    private static final JobSize SMALL = new JobSize(1, 2, 1, 1);
    private static final JobSize LARGE = new JobSize(6, 24, 12, 4);

    @ParameterizedTest
    @EnumSource(Operation.class)
    void everyOperationTakesTimeAndMoreOfItTakesNoLess(Operation operation) {
        for (Material metal : Material.values()) {
            UsualTime time = UsualTimes.of(operation, metal);
            assertTrue(time.minutes(SMALL) >= 5, operation + " takes " + time.minutes(SMALL));
            assertTrue(time.minutes(LARGE) >= time.minutes(SMALL), operation::name);
            assertEquals(
                    time.stations().isEmpty(),
                    time.of(SMALL).stream().noneMatch(Piece::attended),
                    operation + ": whoever is at it is at a station");
        }
    }

    @Test
    void whatRunsByItselfIsInAnOvenATankUnderDyeUnderPressureOrClamped() {
        assertEquals(
                Set.of(StationKind.OVEN, StationKind.TANK, StationKind.CRACKS, StationKind.PRESSURE, StationKind.PRESS),
                UsualTimes.alone());
    }

    @ParameterizedTest
    @CsvSource({
        // Operation, cylinders, valves, some, passes, minutes
        "FACE_CHECK, 4, 16, 0, 1, 21",
        "VALVE_CHECK, 4, 16, 0, 1, 42",
        "SEAT_WORK, 4, 16, 16, 1, 111",
        "SEAT_WORK, 4, 16, 2, 1, 27",
        "CUT, 4, 16, 0, 3, 44",
        "CRACK_CHECK, 4, 16, 0, 1, 42",
    })
    void minutesAddUp(Operation operation, int cylinders, int valves, int some, int passes, int minutes) {
        assertEquals(
                minutes,
                UsualTimes.of(operation, Material.ALUMINIUM).minutes(new JobSize(cylinders, valves, some, passes)));
    }

    @Test
    void ironIsBakedAndAluminiumIsNot() {
        assertEquals(
                List.of(StationKind.OVEN),
                UsualTimes.of(Operation.CLEAN, Material.CAST_IRON).stations());
        assertFalse(
                UsualTimes.of(Operation.CLEAN, Material.ALUMINIUM).stations().contains(StationKind.OVEN));
    }

    @Test
    void aCutIsNotLeftHalfWayAcrossAFace() {
        assertEquals(
                List.of(new Piece(36, Piece.Kind.WHOLE)),
                UsualTimes.of(Operation.CUT, Material.CAST_IRON).of(new JobSize(4, 8, 0, 2)));
    }

    @Test
    void aCastingWithoutACylinderIsNone() {
        assertThrows(IllegalArgumentException.class, () -> new JobSize(0, 0, 0, 1));
        assertThrows(IllegalArgumentException.class, () -> new JobSize(4, 8, 0, 0));
    }
}
