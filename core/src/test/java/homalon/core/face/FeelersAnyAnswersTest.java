package homalon.core.face;

import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.face.FeelerLine.Rest;
import homalon.core.face.FeelerLine.Station;
import homalon.core.face.FeelerLine.Tried;
import homalon.core.geometry.Box;
import homalon.core.sim.FeelerHand;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Whatever is answered, in whatever order, a survey is judged and the blade that is named next can be tried. */
class FeelersAnyAnswersTest {
    private static final Box BOX = new Box(0, 0, 412, 150);
    private static final double[] BLADES = {0.013, 0.02, 0.025, 0.03, 0.04, 0.05, 0.06};

    private static Tried tried(Random random) {
        int goes = random.nextInt(BLADES.length + 1) - 1;
        int refuses = goes + 1 + random.nextInt(2);
        return new Tried(
                goes < 0 ? OptionalDouble.empty() : OptionalDouble.of(BLADES[goes]),
                refuses >= BLADES.length ? OptionalDouble.empty() : OptionalDouble.of(BLADES[refuses]));
    }

    private static FeelerLine answered(FeelerLine line, Random random) {
        if (random.nextInt(4) == 0) {
            return line;
        }
        Rest rest = Rest.values()[random.nextInt(3)];
        List<Station> stations = new ArrayList<>();
        for (double at : new double[] {0.25, 0.5, 0.75}) {
            if (random.nextInt(3) > 0) {
                // mostly thin ones, as a face that is nearly flat answers
                stations.add(new Station(
                        at,
                        random.nextInt(3) > 0
                                ? new Tried(OptionalDouble.empty(), OptionalDouble.of(0.025))
                                : tried(random)));
            }
        }
        return new FeelerLine(
                line.from(),
                line.to(),
                rest,
                rest == Rest.ROCKS && random.nextBoolean() ? tried(random) : Tried.NOTHING,
                stations);
    }

    @ParameterizedTest
    @EnumSource(FeelerSurvey.Kind.class)
    void everySurveyIsJudged(FeelerSurvey.Kind kind) {
        for (int seed = 0; seed < 600; seed++) {
            Random random = new Random(seed);
            List<FeelerLine> lines = FeelerHand.lines(BOX, 5).stream()
                    .map(l -> answered(l, random))
                    .toList();
            FeelerResult result = Feelers.look(new FeelerSurvey(BOX, 0.013, lines, 0.05, kind));
            result.next().ifPresent(n -> assertTrue(n.blade() > 0, "a blade of " + n.blade()));
        }
    }
}
