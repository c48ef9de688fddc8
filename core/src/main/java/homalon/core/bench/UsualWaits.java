package homalon.core.bench;

import homalon.core.visit.StuckOn;
import java.time.LocalDate;
import java.util.Optional;

/** Until when what is awaited usually comes, where nobody said a day: general values, shown as such. */
public final class UsualWaits {
    private static final int ANSWER = 3;
    private static final int PARTS = 7;
    private static final int SPECIALIST = 5;

    private UsualWaits() {}

    /** Days that it usually takes. */
    public static int days(StuckOn on) {
        return switch (on) {
            case CUSTOMER -> ANSWER;
            case PARTS -> PARTS;
            case CHECK -> SPECIALIST;
        };
    }

    /**
     * The day on which work is planned to go on.
     *
     * @param said the day that somebody said
     * @return no earlier than tomorrow: what should have come and did not is not there today
     */
    public static LocalDate until(StuckOn on, LocalDate since, Optional<LocalDate> said, LocalDate today) {
        LocalDate day = said.orElse(since.plusDays(days(on)));
        return day.isAfter(today) ? day : today.plusDays(1);
    }
}
