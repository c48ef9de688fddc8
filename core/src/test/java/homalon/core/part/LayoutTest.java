package homalon.core.part;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.quantity.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LayoutTest {
    private static Length mm(double mm) {
        return Length.roundedFromMm(Math.rint(mm * 10) / 10);
    }

    /** Numbers as a careless hand might key them; empty when they are refused. */
    private static Optional<LayoutNumbers> drawn(Random random) {
        double bore = 40 + random.nextInt(140);
        double pitch = bore * (1.02 + random.nextDouble() * 0.4);
        int n = 1 + random.nextInt(8);
        try {
            return Optional.of(new LayoutNumbers(
                    n,
                    1,
                    1 + random.nextInt(2),
                    mm(bore),
                    mm(pitch),
                    mm((n - 1) * pitch + bore * (1.1 + random.nextDouble())),
                    mm(bore * (1.15 + random.nextDouble())),
                    BoltRows.values()[random.nextInt(BoltRows.values().length)],
                    mm(6 + random.nextInt(12)),
                    2 * random.nextInt(3),
                    ChamberShape.values()[random.nextInt(ChamberShape.values().length)],
                    random.nextBoolean()));
        } catch (BadInputException e) {
            assertFalse(e.problems().isEmpty());
            return Optional.empty();
        }
    }

    /** Whatever is accepted can be drawn: one piece of metal, holes apart from each other and from the edge. */
    @Test
    void whatIsAcceptedIsOnePieceOfMetalWithHolesApart() {
        Random random = new Random(5);
        int accepted = 0;
        for (int k = 0; k < 400; k++) {
            Optional<LayoutNumbers> numbers = drawn(random);
            if (numbers.isEmpty()) {
                continue;
            }
            accepted++;
            Layout layout = Layout.of(numbers.get());
            assertTrue(layout.land().isValid());
            assertEquals(1, layout.land().getNumGeometries(), numbers.toString());
            assertEquals(numbers.get().cylinders(), layout.bores().size());
            List<Layout.Hole> holes = new ArrayList<>(layout.boltHoles());
            holes.addAll(layout.waterHoles());
            for (int i = 0; i < holes.size(); i++) {
                for (int j = 0; j < i; j++) {
                    double apart = holes.get(i).centre().distance(holes.get(j).centre());
                    assertTrue(apart > (holes.get(i).diameter() + holes.get(j).diameter()) / 2, numbers.toString());
                }
            }
            double outline = layout.box().width() * layout.box().height();
            double open = layout.openings().stream()
                            .mapToDouble(o -> Math.PI * o.radius() * o.radius())
                            .sum()
                    + holes.stream()
                            .mapToDouble(h -> Math.PI * h.diameter() * h.diameter() / 4)
                            .sum();
            assertTrue(layout.land().getArea() > outline - open - 0.04 * outline, "no hole was cut twice as large");
            assertTrue(layout.land().getArea() < outline);
        }
        assertTrue(accepted > 100, accepted + " were accepted");
    }

    /** Mirrored numbers give mirrored metal: which side the intake is on moves nothing but the quench flat. */
    @Test
    void theIntakeSideMirrorsTheFace() {
        LayoutNumbers below = LayoutNumbers.proposed(PartKind.HEAD, 3, Length.ofMm("90"), Length.ofMm("104"));
        LayoutNumbers above = new LayoutNumbers(
                3,
                1,
                1,
                below.bore(),
                below.spacing(),
                below.length(),
                below.width(),
                below.boltRows(),
                below.boltHole(),
                below.waterHoles(),
                below.chambers(),
                !below.intakeAtTop());
        Layout one = Layout.of(below);
        Layout other = Layout.of(above);
        assertEquals(one.land().getArea(), other.land().getArea(), 1e-6);
        for (int k = 0; k < 500; k++) {
            Spot spot =
                    new Spot(one.box().width() * ((k * 0.618) % 1), one.box().height() * ((k * 0.414) % 1));
            Spot mirror = new Spot(spot.x(), one.box().height() - spot.y());
            assertEquals(LandRaster.clear(one, spot, 0.01), LandRaster.clear(other, mirror, 0.01), spot.toString());
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "8; 141; Exhaust edge, front end",
                "404; 141; Exhaust edge, rear end",
                "206; 75; Middle, between 2 and 3",
                "157; 141; Exhaust edge, at 2",
                "206; 8; Intake edge, between 2 and 3",
                "206; 50; Intake side, between 2 and 3"
            })
    void placesAreCalledAsAMachinistPointsAtThem(double x, double y, String name) {
        Layout layout = Layout.of(new LayoutNumbers(
                4,
                1,
                1,
                Length.ofMm("87"),
                Length.ofMm("98"),
                Length.ofMm("412"),
                Length.ofMm("150"),
                BoltRows.TWO,
                Length.ofMm("12"),
                4,
                ChamberShape.CUT_OFF,
                false));
        assertEquals(name, PlaceNames.name(layout, new Spot(x, y)));
    }
}
