package homalon.core.gauge;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import homalon.core.input.BadInputException;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class ReversalTest {
    private static final double[] FACE = {0, 0.01, 0.03, 0.02, -0.01};
    private static final double[] EDGE = {0.004, 0, -0.003, 0.001, 0.002};

    private static double[] sum(double[] a, double[] b, int sign) {
        return IntStream.range(0, a.length).mapToDouble(i -> a[i] + sign * b[i]).toArray();
    }

    private static double[] turned(double[] a) {
        return IntStream.range(0, a.length)
                .mapToDouble(i -> a[a.length - 1 - i])
                .toArray();
    }

    @Test
    void anEdgeTurnedOverTellsItselfAndTheFace() {
        Reversal found = Reversal.over(sum(FACE, EDGE, 1), sum(FACE, EDGE, -1));
        assertArrayEquals(EDGE, found.error(), 1e-15);
        assertArrayEquals(FACE, found.face(), 1e-15);
        assertEquals(0.004, found.most());
    }

    @Test
    void aPartTurnedEndForEndTellsWhatIsUnevenAboutTheMiddle() {
        double[] sloped = {-0.004, -0.001, 0, 0.001, 0.004};
        Reversal found = Reversal.ends(sum(FACE, sloped, 1), sum(turned(FACE), sloped, 1));
        assertArrayEquals(sloped, found.error(), 1e-15);
        assertArrayEquals(FACE, found.face(), 1e-15);
    }

    /** Whatever is said elsewhere: a table that is hollow as a whole reads alike both ways. */
    @Test
    void aHollowTableIsNotFoundByTurningEnds() {
        double[] hollow = {0.004, 0.001, 0, 0.001, 0.004};
        Reversal found = Reversal.ends(sum(FACE, hollow, 1), sum(turned(FACE), hollow, 1));
        assertArrayEquals(new double[5], found.error(), 1e-15);
        assertArrayEquals(sum(FACE, hollow, 1), found.face(), 1e-15);
    }

    @Test
    void bothReadTheSamePlaces() {
        assertThrows(BadInputException.class, () -> Reversal.over(FACE, new double[] {1, 2}));
        assertThrows(BadInputException.class, () -> Reversal.ends(new double[] {1}, new double[] {1}));
    }

    /** What a shop then says that it keeps: no finer than it reads, and never less than was found. */
    @Test
    void whatItKeepsIsRoundedUp() {
        assertEquals(
                0.0045,
                Reversal.Way.OVER
                        .of(new double[] {0.0041, 0}, new double[] {-0.0041, 0})
                        .keeps(),
                1e-12);
        assertEquals(
                0.004,
                Reversal.Way.OVER
                        .of(new double[] {0.004, 0}, new double[] {-0.004, 0})
                        .keeps(),
                1e-12);
        assertEquals(
                0.0005,
                Reversal.Way.ENDS.of(new double[] {0, 0}, new double[] {0, 0}).keeps(),
                1e-12);
        for (InstrumentKind kind : InstrumentKind.values()) {
            assertEquals(kind == InstrumentKind.STRAIGHTEDGE, kind.turns(Reversal.Way.OVER), kind.name());
            assertEquals(kind == InstrumentKind.TABLE, kind.turns(Reversal.Way.ENDS), kind.name());
        }
    }
}
