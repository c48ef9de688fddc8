package homalon.core.hours;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The shop's open minutes, laid end to end. */
class OpenTimeTest {
    private static final ZoneId ZONE = ZoneId.of("Europe/Oslo");
    private static final WeekHours WEEK =
            WeekHours.workdays(new Stretch(7 * 60, 12 * 60), new Stretch(13 * 60, 16 * 60));

    private static Instant at(String local) {
        return LocalDateTime.parse(local).atZone(ZONE).toInstant();
    }

    private static OpenTime time(Hours hours, String from, int days) {
        Instant begin = at(from);
        Instant end = begin.plus(Duration.ofDays(days));
        return new OpenTime(begin, hours.between(begin, end, ZONE), days * 24 * 60);
    }

    /** Monday, an hour after opening. */
    private static final OpenTime WEEKS = time(Hours.of(WEEK), "2026-11-02T08:00", 14);

    @Test
    void nightsDinnerAndWeekEndsAreCutOut() {
        assertEquals(7 * 60 + 9 * 8 * 60 + 60, WEEKS.length(), "the last hour is of the third Monday");
        assertEquals(4 * 60, WEEKS.before(at("2026-11-02T12:30")), "dinner counts for nothing");
        assertEquals(at("2026-11-02T13:00"), WEEKS.beginsAt(4 * 60), "what begins then begins after dinner");
        assertEquals(at("2026-11-02T12:00"), WEEKS.endsAt(4 * 60), "what ends then ends before it");
        assertEquals(at("2026-11-09T07:00"), WEEKS.beginsAt(7 * 60 + 4 * 8 * 60), "after Friday comes Monday");
        assertEquals(at("2026-11-06T16:00"), WEEKS.endsAt(7 * 60 + 4 * 8 * 60));
    }

    @ParameterizedTest
    @CsvSource({
        // From, minutes by itself, where it is over.
        "2026-11-02T09:00, 60, 2026-11-02T10:00",
        "2026-11-02T11:30, 60, 2026-11-02T12:00",
        "2026-11-02T11:30, 120, 2026-11-02T13:30",
        "2026-11-02T15:30, 180, 2026-11-02T16:00",
        "2026-11-02T15:30, 960, 2026-11-03T07:30",
        "2026-11-06T15:00, 120, 2026-11-06T16:00",
    })
    void whatRunsByItselfRunsWhileTheShopIsClosed(String from, int minutes, String over) {
        assertEquals(WEEKS.before(at(over)), WEEKS.alone(WEEKS.before(at(from)), minutes));
    }

    @Test
    void whatRunsByItselfBeginsAtTheClosingWhereWhatCameBeforeEndsThere() {
        int closing = WEEKS.before(at("2026-11-02T16:00"));
        assertEquals(closing, WEEKS.alone(closing, 60), "an hour after closing it is over when the shop opens");
    }

    @ParameterizedTest
    @CsvSource({
        // From, minutes by itself and not at night, where it is over, whether that is before the shop closes for the
        // night.
        "2026-11-02T09:00, 60, 2026-11-02T10:00, true",
        "2026-11-02T11:30, 60, 2026-11-02T12:00, true",
        "2026-11-02T11:30, 120, 2026-11-02T13:30, true",
        "2026-11-02T12:00, 60, 2026-11-02T12:00, true",
        "2026-11-02T14:00, 120, 2026-11-02T16:00, true",
        "2026-11-02T14:01, 120, 2026-11-02T16:00, false",
        "2026-11-02T16:00, 60, 2026-11-03T08:00, true",
        "2026-11-06T16:00, 90, 2026-11-09T08:30, true",
        "2026-11-02T16:00, 540, 2026-11-03T16:00, true",
        "2026-11-02T16:00, 541, 2026-11-03T16:00, false",
    })
    void whatDoesNotRunAtNightRunsThroughADinner(String from, int minutes, String over, boolean before) {
        int open = WEEKS.before(at(from));
        assertEquals(WEEKS.before(at(over)), WEEKS.byDay(open, minutes));
        assertEquals(!before, WEEKS.intoTheNight(open, minutes));
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 59, 60, 61, 180, 240, 300, 539, 540, 541})
    void itBeginsWhereItRunsIntoNoNightAndNowhereElse(int minutes) {
        List<Stretch> begins = WEEKS.beginsByDayFor(minutes);
        for (int i = 0; i < WEEKS.length(); i++) {
            int open = i;
            assertEquals(
                    begins.stream().anyMatch(s -> s.from() <= open && open < s.to()),
                    !WEEKS.intoTheNight(open, minutes),
                    () -> minutes + " from " + WEEKS.beginsAt(open));
        }
        assertEquals(minutes > 540, begins.isEmpty());
    }

    @Test
    void aClosingLiesWithinOnlyWhatGoesOnBothSidesOfIt() {
        int dinner = 4 * 60;
        assertTrue(WEEKS.closesWithin(dinner - 1, dinner + 1));
        assertFalse(WEEKS.closesWithin(dinner - 30, dinner));
        assertFalse(WEEKS.closesWithin(dinner, dinner + 30));
    }

    @Test
    void oneWhoIsThereHalfOfTheDayIsAwayForTheOtherHalf() {
        Hours mornings = Hours.of(WeekHours.workdays(new Stretch(7 * 60, 12 * 60)))
                .with(List.of(new DaysOff(LocalDate.of(2026, 11, 3), LocalDate.of(2026, 11, 3), "dentist")));
        Instant begin = WEEKS.from();
        List<Stretch> away = WEEKS.away(mornings.between(begin, begin.plus(Duration.ofDays(3)), ZONE));
        assertEquals(
                new Stretch(4 * 60, 7 * 60 + 8 * 60), away.get(0), "Monday's afternoon and all of Tuesday are one");
        assertEquals(WEEKS.length(), away.get(away.size() - 1).to());
    }

    @Test
    void aNightThatTheClockPutsBackIsAnHourLonger() {
        Hours nights = Hours.of(new WeekHours(Map.of(
                DayOfWeek.SATURDAY, List.of(new Stretch(22 * 60, 30 * 60)),
                DayOfWeek.WEDNESDAY, List.of(new Stretch(22 * 60, 30 * 60)))));
        assertEquals(9 * 60, time(nights, "2026-10-24T12:00", 1).length(), "the last Saturday of October");
        assertEquals(7 * 60, time(nights, "2026-03-28T12:00", 1).length(), "the last Saturday of March");
        assertEquals(8 * 60, time(nights, "2026-03-25T12:00", 1).length(), "any other night");
        assertEquals(3 * 60, time(nights, "2026-03-26T03:00", 1).length(), "a night that began the evening before");
    }

    @Test
    void aMomentPastTheEndIsTheEnd() {
        assertEquals(WEEKS.length(), WEEKS.before(at("2027-03-01T08:00")));
        assertEquals(0, WEEKS.before(at("2020-03-01T08:00")), "and one before it the begin");
        assertEquals(1, WEEKS.before(at("2026-11-02T08:00").plusSeconds(5)), "a minute that has begun is gone");
    }

    @Test
    void nobodyLooksAYearAheadByMistake() {
        assertThrows(IllegalArgumentException.class, () -> time(Hours.of(WEEK), "2026-01-01T08:00", 500));
    }

    @Test
    void everyOpenMinuteIsThereOnce() {
        for (int open = 0; open < WEEKS.length(); open++) {
            assertEquals(open, WEEKS.before(WEEKS.begins(open)));
            assertEquals(open, WEEKS.before(WEEKS.ends(open)));
        }
    }
}
