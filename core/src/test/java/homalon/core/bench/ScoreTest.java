package homalon.core.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.bench.Placed.Part;
import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

/** What makes one legal timetable better than another. */
class ScoreTest {
    private static Work work(String id, String casting) {
        return Work.of(
                id,
                casting,
                List.of(new Piece(60, Piece.Kind.ATTENDED)),
                List.of("bench", "table"),
                List.of("Ines", "Oda"),
                "",
                0);
    }

    private static Placed at(String work, String station, String person, int from) {
        return new Placed(work, station, 0, List.of(new Part(person, from, from + 60)));
    }

    private static Bench bench(List<Placed> told) {
        return new Bench(
                CheckerTest.TIME,
                List.of(),
                List.of(),
                List.of(
                        new Due("T-1", OptionalInt.of(100), OptionalInt.of(50), 3),
                        new Due("T-2", OptionalInt.empty(), OptionalInt.of(200), 1)),
                List.of(work("a", "T-1"), work("b", "T-1"), work("c", "T-2")),
                List.of(new Order("a", "b", false), new Order("c", "a", false)),
                List.of(),
                told,
                150);
    }

    private static Score score(List<Placed> told, Placed... some) {
        return Score.of(bench(told), new Timetable(List.of(some)));
    }

    @Test
    void aMinutePastAPromiseCountsTwentyTimesOnePastWhatWasAskedFor() {
        Score score =
                score(List.of(), at("a", "bench", "Ines", 0), at("b", "bench", "Ines", 70), at("c", "table", "Oda", 0));
        assertEquals(3 * (20 * 30 + 80), score.late());
        assertEquals(0, score.moved());
    }

    @Test
    void castingsStandUntilTheyAreDoneAndFromTheirFirstWorkOn() {
        Score score = score(
                List.of(), at("c", "table", "Oda", 0), at("a", "bench", "Ines", 60), at("b", "bench", "Ines", 130));
        assertEquals((2 * 190 - 60) + (2 * 60), score.standing());
        Score broken = score(
                List.of(), at("c", "table", "Oda", 0), at("b", "bench", "Ines", 60), at("a", "bench", "Ines", 130));
        assertEquals(score.standing() + Score.BETTER, broken.standing(), "b was better after a");
    }

    @Test
    void whatWasToldHasMovedOnceItIsElsewhereOrAQuarterOfAnHourOff() {
        List<Placed> told =
                List.of(at("a", "bench", "Ines", 0), at("b", "bench", "Ines", 100), at("c", "table", "Oda", 150));
        assertEquals(
                0,
                score(told, at("a", "bench", "Ines", 15), at("b", "bench", "Ines", 85), at("c", "bench", "Ines", 900))
                        .moved(),
                "c was told for later than soon");
        assertEquals(
                1,
                score(told, at("a", "bench", "Ines", 16), at("b", "bench", "Ines", 100))
                        .moved());
        assertEquals(
                2,
                score(told, at("a", "table", "Ines", 0), at("b", "bench", "Oda", 100))
                        .moved());
    }

    @Test
    void eachFigureGoesBeforeAllThatComeAfterIt() {
        assertTrue(new Score(0, 9, 9, 9).compareTo(new Score(1, 0, 0, 0)) < 0);
        assertTrue(new Score(0, 0, 9, 9).compareTo(new Score(0, 1, 0, 0)) < 0);
        assertTrue(new Score(0, 0, 0, 9).compareTo(new Score(0, 0, 1, 0)) < 0);
        assertTrue(new Score(0, 0, 0, 0).compareTo(new Score(0, 0, 0, 1)) < 0);
    }
}
