package homalon.core.valves;

import java.util.Locale;
import java.util.regex.Pattern;

/** Whether what the customer wants, in words, is about valves. */
public final class Wished {
    private static final Pattern VALVES =
            Pattern.compile("\\b(valves?|valve job|guides?|valve seats?|seats|seat inserts?|lapp(?:ed|ing)?)\\b");

    private Wished() {}

    /** @param wishes as keyed at the door */
    public static boolean valves(String wishes) {
        return VALVES.matcher(wishes.toLowerCase(Locale.ROOT)).find();
    }
}
