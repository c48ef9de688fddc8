package homalon.core.route;

import homalon.core.words.Message;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What may have happened to a casting before it came; ticked at intake. Some of it makes a check owed. */
public enum Happened {
    OVERHEATED(Finding.MAY_BE_BENT, true),
    SEIZED(Finding.PICKED_UP, true),
    METAL_FOUND(Finding.PICKED_UP, true),
    BEARINGS_PICKED_UP(Finding.PICKED_UP, true),
    DROPPED_VALVE(Finding.DROPPED, false),
    GASKET_GONE(null, false),
    REBUILT_BY_OTHERS(Finding.NOT_TRUSTED, true),
    CUT_BEFORE(Finding.NOT_TRUSTED, true),
    STOOD_WITH_WATER(Finding.STOOD_WET, false),
    BOUGHT_UNMEASURED(Finding.NOT_TRUSTED, true);

    private final Message words = Message.of(this);
    private final @Nullable Finding makes;
    private final boolean onlyWithShafts;

    Happened(@Nullable Finding makes, boolean onlyWithShafts) {
        this.makes = makes;
        this.onlyWithShafts = onlyWithShafts;
    }

    public Message words() {
        return words;
    }

    /** What it decides on the route of a casting that carries shafts or none. */
    Optional<Finding> finding(boolean shafts) {
        return onlyWithShafts && !shafts ? Optional.empty() : Optional.ofNullable(makes);
    }
}
