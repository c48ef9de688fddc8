package homalon.app.shop.crew;

import homalon.core.hours.Stretch;
import homalon.core.hours.WeekHours;
import jakarta.persistence.Embeddable;
import java.time.DayOfWeek;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** Hours of a week as they stand in a row, each day as it is keyed. */
@Embeddable
class WeekColumns {
    private String mon;
    private String tue;
    private String wed;
    private String thu;
    private String fri;
    private String sat;
    private String sun;

    WeekColumns() {}

    WeekColumns(WeekHours week) {
        this.mon = written(week, DayOfWeek.MONDAY);
        this.tue = written(week, DayOfWeek.TUESDAY);
        this.wed = written(week, DayOfWeek.WEDNESDAY);
        this.thu = written(week, DayOfWeek.THURSDAY);
        this.fri = written(week, DayOfWeek.FRIDAY);
        this.sat = written(week, DayOfWeek.SATURDAY);
        this.sun = written(week, DayOfWeek.SUNDAY);
    }

    private static String written(WeekHours week, DayOfWeek day) {
        return WeekHours.written(week.on(day));
    }

    WeekHours week() {
        Map<DayOfWeek, List<Stretch>> days = new EnumMap<>(DayOfWeek.class);
        String[] all = {mon, tue, wed, thu, fri, sat, sun};
        for (int i = 0; i < all.length; i++) {
            days.put(DayOfWeek.of(i + 1), WeekHours.read(all[i], "hours"));
        }
        return new WeekHours(days);
    }
}
