package homalon.core.sim;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Spot;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.Length;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The faces that judgements are held against. */
class TrueFaceTest {
    private static final Layout HEAD =
            Layout.of(LayoutNumbers.proposed(PartKind.HEAD, 4, Length.ofMm("86"), Length.ofMm("94")));
    private static final List<Spot> SPOTS =
            List.of(new Spot(10, 10), new Spot(200, 20), new Spot(390, 140), new Spot(202, 75));

    @Test
    void kindsComeAtTheirDeclaredRates() {
        assertEquals(
                1,
                java.util.Arrays.stream(TrueFace.Kind.values())
                        .mapToDouble(TrueFace.Kind::rate)
                        .sum(),
                1e-12);
        Map<TrueFace.Kind, Integer> counts = new EnumMap<>(TrueFace.Kind.class);
        Random random = new Random(1);
        int all = 8000;
        for (int i = 0; i < all; i++) {
            counts.merge(TrueFace.draw(HEAD, 0.02, random).kind(), 1, Integer::sum);
        }
        for (TrueFace.Kind kind : TrueFace.Kind.values()) {
            double expected = all * kind.rate();
            assertEquals(expected, counts.getOrDefault(kind, 0), 4 * Math.sqrt(expected) + 1e-9, kind.name());
        }
    }

    @ParameterizedTest
    @EnumSource(TrueFace.Kind.class)
    void theSameSeedIsTheSameFaceAndNoReadingsNoiseIsInIt(TrueFace.Kind kind) {
        TrueFace a = TrueFace.draw(kind, HEAD, 0.02, new Random(7));
        TrueFace b = TrueFace.draw(kind, HEAD, 0.02, new Random(7));
        assertArrayEquals(a.heights(SPOTS), b.heights(SPOTS));
        assertArrayEquals(a.heights(SPOTS), a.points(SPOTS).zs());
        assertEquals(a.at(10, 10), a.read(SPOTS.get(0), 0, new Random(2)));
        assertEquals(kind == TrueFace.Kind.GASKET ? 1 : 0, a.gone().size());
    }

    /** Each kind adds what it is called by: the same seed without it is the same face but for that. */
    @ParameterizedTest
    @EnumSource(
            value = TrueFace.Kind.class,
            names = {"SADDLE", "DISHED", "THERMAL"})
    void whatAKindAddsHasItsShape(TrueFace.Kind kind) {
        TrueFace with = TrueFace.draw(kind, HEAD, 0.02, new Random(11));
        TrueFace without = TrueFace.draw(TrueFace.Kind.PLAIN, HEAD, 0.02, new Random(11));
        double middle = added(with, without, 202, 75.5);
        double end = added(with, without, 404, 75.5);
        double edge = added(with, without, 202, 151);
        switch (kind) {
            case SADDLE -> assertEquals(-(end - middle), edge - middle, 1e-12, "up one way and down the other");
            case DISHED -> {
                assertEquals(middle, end, 1e-12, "constant along");
                assertTrue(edge > middle, "hollow across");
            }
            default -> {
                assertTrue(end < middle, "crowned lengthwise");
                assertEquals(middle, edge, 1e-12);
            }
        }
    }

    private static double added(TrueFace with, TrueFace without, double x, double y) {
        return with.at(x, y) - without.at(x, y);
    }
}
