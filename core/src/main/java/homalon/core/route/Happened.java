package homalon.core.route;

import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What may have happened to a casting before it came; ticked at intake. Some of it makes a check owed. */
public enum Happened {
    OVERHEATED("overheated", Finding.MAY_BE_BENT, true),
    SEIZED("seized", Finding.PICKED_UP, true),
    METAL_FOUND("metal found in it", Finding.PICKED_UP, true),
    BEARINGS_PICKED_UP("bearings or cams picked up", Finding.PICKED_UP, true),
    DROPPED_VALVE("a valve or seat dropped", Finding.DROPPED, false),
    GASKET_GONE("gasket gone", null, false),
    REBUILT_BY_OTHERS("rebuilt by others", Finding.NOT_TRUSTED, true),
    CUT_BEFORE("cut before", Finding.NOT_TRUSTED, true),
    STOOD_WITH_WATER("stood with water in it", Finding.STOOD_WET, false),
    BOUGHT_UNMEASURED("bought, not measured", Finding.NOT_TRUSTED, true);

    private final String words;
    private final @Nullable Finding makes;
    private final boolean onlyWithShafts;

    Happened(String words, @Nullable Finding makes, boolean onlyWithShafts) {
        this.words = words;
        this.makes = makes;
        this.onlyWithShafts = onlyWithShafts;
    }

    public String words() {
        return words;
    }

    /** What it decides on the route of a casting that carries shafts or none. */
    Optional<Finding> finding(boolean shafts) {
        return onlyWithShafts && !shafts ? Optional.empty() : Optional.ofNullable(makes);
    }
}
