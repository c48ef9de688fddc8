package homalon.core.chambers;

import java.util.Locale;
import java.util.regex.Pattern;

/** Whether what the customer wants, in words, is about chambers and compression. */
public final class Wished {
    private static final Pattern CHAMBERS =
            Pattern.compile("\\b(compression|chambers?|class rules?|burette|cc'?(?:ed|ing))\\b");

    private Wished() {}

    /** @param wishes as keyed at the door */
    public static boolean chambers(String wishes) {
        return CHAMBERS.matcher(wishes.toLowerCase(Locale.ROOT)).find();
    }
}
