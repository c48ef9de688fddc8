package homalon.core.face;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.face.FeelerLine.Rest;
import homalon.core.face.FeelerLine.Station;
import homalon.core.face.FeelerLine.Tried;
import homalon.core.face.FeelerSurvey.Kind;
import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class FeelerSlideTest {
    @ParameterizedTest
    @CsvSource({
        "0.05 120..260, MM, 0.05, 0.3, 0.65",
        "0.05 120 to 260, MM, 0.05, 0.3, 0.65",
        "0.05   4..396, MM, 0.05, 0.01, 0.99",
        "2 4in..8in, THOU, 0.0508, 0.254, 0.508"
    })
    void theBladeAndItsMarks(String typed, BenchUnit unit, String blade, double from, double to) {
        FeelerSlide slide = FeelerSlide.parse(typed, unit, 400).orElseThrow();
        assertEquals(Length.ofMm(blade), slide.blade());
        assertEquals(from, slide.from(), 1e-9);
        assertEquals(to, slide.to(), 1e-9);
    }

    @ParameterizedTest
    @ValueSource(strings = {"0.05", "0.05+", "-0.05", "s", "0.05 120", "120..260"})
    void otherKeysAreNoSlide(String typed) {
        assertTrue(FeelerSlide.parse(typed, BenchUnit.MM, 400).isEmpty());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "0.05 260..120",
                "0.05 120..125",
                "0.05 -5..100",
                "0.05 120..403",
                "0 120..260",
                "0.05 0..400",
                "0.05 3.9..200",
                "0.05 200..396.1"
            })
    void marksThatCannotBeAreTold(String typed) {
        assertThrows(BadInputException.class, () -> FeelerSlide.parse(typed, BenchUnit.MM, 400));
    }

    @Test
    void aPlaceIsAddedOnEachSideOfAMark() {
        FeelerSlide slide =
                FeelerSlide.parse("0.05 120..260", BenchUnit.MM, 400).orElseThrow();
        assertEquals(
                List.of(
                        new FeelerSlide.End(0.295, false),
                        new FeelerSlide.End(0.305, true),
                        new FeelerSlide.End(0.645, true),
                        new FeelerSlide.End(0.655, false)),
                slide.ends(400).stream()
                        .map(e -> new FeelerSlide.End(Math.round(e.at() * 1e6) / 1e6, e.goes()))
                        .toList());
        for (double[] of : new double[][] {{0.29, 0}, {0.3, 1}, {0.5, 1}, {0.65, 1}, {0.66, 0}}) {
            assertEquals(of[1] == 1, slide.goesAt(of[0]), "at " + of[0]);
        }
    }

    /** K t (1 - t) is the blade at both marks: 0.05 from a quarter to three quarters is a bow of 0.05 / 0.75 = 0.0667. */
    @Test
    void aSlideBoundsTheBowFromBothSides() {
        Box box = new Box(0, 0, 400, 150);
        FeelerSlide slide =
                FeelerSlide.parse("0.05 100..300", BenchUnit.MM, 400).orElseThrow();
        List<Station> stations = slide.ends(400).stream()
                .map(e -> new Station(
                        e.at(),
                        e.goes()
                                ? new Tried(OptionalDouble.of(0.05), OptionalDouble.empty())
                                : new Tried(OptionalDouble.empty(), OptionalDouble.of(0.05))))
                .toList();
        FeelerLine edge = new FeelerLine(new Spot(0, 0), new Spot(400, 0), Rest.SITS_STILL, Tried.NOTHING, stations);
        FeelerResult result = Feelers.judge(new FeelerSurvey(box, 0.02, List.of(edge), 0.1, Kind.GAP));
        var bow = result.bows().get(0).quarterK().orElseThrow();
        assertTrue(bow.least() < 0.05 / 0.75 && 0.05 / 0.75 < bow.most());
        assertTrue(bow.most() - bow.least() < 0.002, "known to two hundredths of a tenth: " + bow);
    }
}
