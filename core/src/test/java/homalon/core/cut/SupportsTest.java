package homalon.core.cut;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Box;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.quantity.Length;
import homalon.core.rulebook.ShimStock;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class SupportsTest {
    private static final Box BOX = new Box(0, 0, 420, 150);

    private static ShimStock leaves(String... mm) {
        return ShimStock.ofLeaves(Stream.of(mm).map(Length::ofMm).toList());
    }

    /** Against trying every stack of up to four leaves one by one. */
    @Test
    void aStackIsTheNearestThatTheLeavesMake() {
        double[] leaf = {0, 0.05, 0.1, 0.15, 0.38, 0.5};
        ShimStock stock = leaves("0.05", "0.10", "0.15", "0.38", "0.50");
        Random random = new Random(3);
        for (int n = 0; n < 400; n++) {
            double wanted = random.nextDouble() * 2.4;
            double best = 99;
            double most = 0;
            for (double a : leaf) {
                for (double b : leaf) {
                    for (double c : leaf) {
                        for (double d : leaf) {
                            double sum = a + b + c + d;
                            best = Math.abs(sum - wanted) < Math.abs(best - wanted) ? sum : best;
                            most = sum <= wanted + 1e-9 && sum > most ? sum : most;
                        }
                    }
                }
            }
            double laid = stock.nearest(wanted);
            assertEquals(Math.abs(best - wanted), Math.abs(laid - wanted), 1e-9);
            assertEquals(most, stock.atMost(wanted), 1e-9);
            Length height = Length.roundedFromMm(laid);
            List<Length> stack = stock.stack(height);
            assertTrue(stack.size() <= ShimStock.MOST_IN_A_STACK);
            assertEquals(height, stack.stream().reduce(Length.ZERO, Length::plus));
        }
        assertEquals(2, leaves("0.50").nearest(7), 1e-12, "no stack is higher than four leaves");
        assertEquals(List.of(), stock.stack(Length.ofMm("0.07")), "no leaves make that");
        assertThrows(BadInputException.class, () -> leaves("0.05", "-0.10"));
        assertThrows(BadInputException.class, () -> ShimStock.inSteps(Length.ZERO));
    }

    /** A fourth support is brought up to touch: it neither lifts the casting nor changes the plane. */
    @Test
    void onlyThreeCarry() {
        List<Spot> three = List.of(new Spot(25, 25), new Spot(395, 25), new Spot(210, 125));
        Random random = new Random(5);
        for (int n = 0; n < 200; n++) {
            Plane plane = new Plane(random.nextGaussian() * 1e-3, random.nextGaussian() * 1e-3, 0.2);
            List<Spot> four =
                    Stream.concat(three.stream(), Stream.of(new Spot(40, 120))).toList();
            ShimStock stock = ShimStock.inSteps(Length.ofMm("0.01"));
            Supports on = new Supports(four, stock);
            List<Double> shims = on.shims(plane);
            Plane level = on.levelOn(shims);
            // Under the face's own plane the shims and the wedge below it add up to a constant at each of the three.
            double lift = shims.get(0) + level.at(25, 25);
            for (int j = 1; j < 3; j++) {
                assertEquals(
                        lift,
                        shims.get(j) + level.at(three.get(j).x(), three.get(j).y()),
                        1e-9);
            }
            double left = lift - level.at(40, 120) - shims.get(3);
            assertTrue(shims.get(3) == 0 ? left < 0.02 : left > -1e-9 && left < 0.01, "touches from below: " + left);
            assertTrue(shims.stream().allMatch(s -> s >= 0));
        }
    }

    @Test
    void aCastingThatTipsOrStandsOnALineIsNamed() {
        ShimStock stock = leaves("0.1");
        Supports usual = Supports.usual(BOX, stock).checked(BOX);
        assertFalse(usual.tips(new Spot(210, 75)));
        assertTrue(usual.tips(new Spot(10, 140)));
        Supports front = new Supports(List.of(new Spot(20, 20), new Spot(120, 75), new Spot(20, 130)), stock);
        assertTrue(front.checked(BOX).tips(new Spot(210, 75)));
        for (List<Spot> bad : List.of(
                List.of(new Spot(20, 20), new Spot(200, 25), new Spot(400, 22)),
                List.of(new Spot(20, 20), new Spot(200, 125)),
                List.of(new Spot(20, 20), new Spot(500, 25), new Spot(200, 140)))) {
            assertThrows(BadInputException.class, () -> new Supports(bad, stock).checked(BOX));
        }
    }
}
