package homalon.core.hours;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import homalon.core.input.BadInputException;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Hours of a day as they are keyed and written. */
class WeekHoursTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "7:30-12 12:45-16:30 | 7:30-12:00 12:45-16:30",
                "7.30 - 12, 12.45 to 16.30 | 7:30-12:00 12:45-16:30",
                "0730-1200 and 1245-1630 | 7:30-12:00 12:45-16:30",
                "13-17 8-12 | 8:00-12:00 13:00-17:00",
                "8-12 12-16 | 8:00-16:00",
                "22-6 | 22:00-6:00",
                "0-24 | 0:00-24:00",
            })
    void hoursAreReadHoweverTheyAreKeyed(String keyed, String written) {
        List<Stretch> read = WeekHours.read(keyed, "monday");
        assertEquals(written, WeekHours.written(read));
        assertEquals(read, WeekHours.read(written, "monday"), "what is written is read the same");
    }

    @Test
    void aDayWithoutHoursIsEmpty() {
        assertEquals(List.of(), WeekHours.read("  ", "sunday"));
    }

    @Test
    void aNightBelongsToTheDayOnWhichItBegins() {
        assertEquals(List.of(new Stretch(22 * 60, 30 * 60)), WeekHours.read("22-6", "friday"));
    }

    @ParameterizedTest
    @CsvSource({"morning", "7:30", "7:30-12 x", "25-26", "7:75-12", "8-12 11-15", "8-25"})
    void whatIsNoHoursIsTold(String keyed) {
        BadInputException bad = assertThrows(BadInputException.class, () -> WeekHours.read(keyed, "monday"));
        assertEquals("monday", bad.problems().get(0).field());
    }

    @Test
    void stretchesAreJoinedAndTakenOutOfAWhole() {
        assertEquals(
                List.of(new Stretch(0, 30), new Stretch(40, 50)),
                Stretch.joined(
                        List.of(new Stretch(40, 50), new Stretch(10, 30), new Stretch(0, 10), new Stretch(60, 60))));
        assertEquals(
                List.of(new Stretch(10, 20), new Stretch(30, 40)),
                Stretch.without(
                        new Stretch(10, 50), List.of(new Stretch(20, 30), new Stretch(40, 90), new Stretch(0, 5))));
        assertEquals(List.of(), Stretch.without(new Stretch(10, 20), List.of(new Stretch(0, 20))));
    }
}
