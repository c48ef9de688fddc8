package homalon.core.quantity;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DayFormTest {
    private static final LocalDate DAY = LocalDate.of(2026, 3, 4);
    private static final LocalDateTime AT = DAY.atTime(14, 5);

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "DAY_FIRST | 4 March 2026 | 4 Mar | Wed 4 Mar | Wednesday, 4 March | 4 Mar 14:05 | 4 Mar 2026 14:05",
                "MONTH_FIRST | March 4, 2026 | Mar 4 | Wed Mar 4 | Wednesday, March 4 | Mar 4 14:05 | Mar 4, 2026 14:05",
                "YEAR_FIRST | 2026-03-04 | 03-04 | Wed 03-04 | Wednesday, 2026-03-04 | 03-04 14:05 | 2026-03-04 14:05"
            })
    void oneDayInEachForm(
            DayForm form, String day, String brief, String weekday, String full, String moment, String whole) {
        assertEquals(day, form.day(DAY));
        assertEquals(brief, form.brief(DAY));
        assertEquals(weekday, form.briefWithWeekday(DAY));
        assertEquals(full, form.withWeekday(DAY));
        assertEquals(moment, form.moment(AT));
        assertEquals(whole, form.wholeMoment(AT));
    }

    @Test
    void aFormIsKnownByItsName() {
        assertEquals(Optional.of(DayForm.MONTH_FIRST), DayForm.byName("MONTH_FIRST"));
        assertEquals(Optional.empty(), DayForm.byName("by the tide"));
    }
}
