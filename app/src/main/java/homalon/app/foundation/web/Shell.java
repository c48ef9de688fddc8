package homalon.app.foundation.web;

import homalon.app.foundation.people.PersonInfo;
import homalon.app.foundation.time.WrittenDay;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.DayForm;
import homalon.core.quantity.LengthWriter;
import java.time.Instant;
import java.util.function.Supplier;

/**
 * What the frame of a page needs.
 *
 * @param me null for a visitor who has not signed in
 * @param version of the program; empty where it was not built as one
 * @param help what is told of the page
 */
public record Shell(
        PersonInfo me,
        Supplier<String> shopName,
        Supplier<DayForm> dayForm,
        BenchUnit unit,
        String theme,
        boolean demo,
        boolean benchDevice,
        String version,
        HelpTopic help) {
    /** Asked for only where a page shows its frame. */
    public String shop() {
        return shopName.get();
    }

    /** How this shop writes days. */
    public DayForm days() {
        return dayForm.get();
    }

    /** A moment by the world's clock: {@code 4 Mar 2026 14:05}. */
    public String utc(Instant at) {
        return WrittenDay.utc(at, days());
    }

    public LengthWriter writer() {
        return new LengthWriter(unit, me != null && me.fahrenheit(), days());
    }

    /** The desk books in, reads and hands over; measuring and cutting are a machinist's. */
    public boolean machinist() {
        return me != null && me.role() != homalon.app.foundation.people.Role.DESK;
    }

    public boolean owner() {
        return me != null && me.role() == homalon.app.foundation.people.Role.OWNER;
    }
}
