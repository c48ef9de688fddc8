package homalon.core.lines;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Box;
import homalon.core.geometry.Points;
import homalon.core.input.BadInputException;
import org.junit.jupiter.api.Test;

class DeckIndexTest {
    private static final Box BOX = new Box(0, 0, 480, 160);

    private static DeckIndex deck(double front, double fall, double tilt) {
        double[][] rows = {
            {0, 0, front}, {480, 0, front + fall}, {0, 160, front + tilt}, {480, 160, front + fall + tilt}
        };
        return DeckIndex.of(Points.of(rows), BOX, true).orElseThrow();
    }

    @Test
    void aDeckThatFallsAndLeansIsSquaredDownToItsLowestCorner() {
        DeckIndex low = deck(229.80, -0.12, 0.05);
        assertEquals(-0.12, low.fall(), 1e-9);
        assertEquals(0.05, low.tilt(), 1e-9);
        // One part in 3200 over the width is about 64 seconds of arc.
        assertEquals(64.46 / 3600, low.bankAngleError(), 1e-5);
        assertEquals(0.17, low.toSquare(), 1e-9);
        assertTrue(!low.square(0.05) && low.square(0.12));
        assertEquals(229.68, low.lowest(), 1e-9);
    }

    /** The lower deck rules: after both cuts every corner of both stands at one height. */
    @Test
    void bothBanksComeToTheLowerOne() {
        DeckIndex left = deck(229.80, -0.12, 0.05);
        DeckIndex right = deck(229.95, 0.02, -0.01);
        double common = DeckIndex.common(left, right);
        assertEquals(left.lowest(), common);
        assertEquals(left.toSquare(), left.toHeight(common), 1e-12);
        assertEquals(right.highest() - 229.68, right.toHeight(common), 1e-9);
        assertTrue(right.toHeight(common) > right.toSquare());
        assertEquals(-left.above(right), right.above(left), 1e-12);
        assertTrue(right.above(left) > 0);
    }

    @Test
    void theOuterEdgeMayBeTheLowerOneOfTheDrawing() {
        double[][] rows = {{0, 0, 230}, {480, 0, 230}, {0, 160, 230.03}, {480, 160, 230.03}};
        assertEquals(
                -0.03, DeckIndex.of(Points.of(rows), BOX, false).orElseThrow().tilt(), 1e-9);
        assertTrue(DeckIndex.of(Points.of(new double[][] {{0, 0, 230}, {480, 0, 230}}), BOX, true)
                .isEmpty());
        rows[2][2] = -3;
        assertThrows(BadInputException.class, () -> DeckIndex.of(Points.of(rows), BOX, true));
    }
}
