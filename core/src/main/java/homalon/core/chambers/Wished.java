package homalon.core.chambers;

import java.util.Locale;
import java.util.regex.Pattern;

/** Whether what the customer wants, in words, is about chambers and compression. */
public final class Wished {
    private static final Pattern CHAMBERS = Pattern.compile("\\b(chambers?|class rules?|burette|cc'?(?:ed|ing))\\b");
    /** Not what is only told of it: that it is low, was lost or was tested, or that it shall stay as it is. */
    private static final Pattern COMPRESSION =
            Pattern.compile("(?<!\\b(?:lost|loses|losing|low|no|poor|weak|uneven|bad|little|keep) )\\bcompression\\b"
                    + "(?! (?:test|tested|loss|lost|low|down|gone|leaks?|rings?|brake|as it (?:was|is|came)"
                    + "|(?:is|was) (?:low|down|gone|lost|uneven)))");

    private Wished() {}

    /** @param wishes as keyed at the door */
    public static boolean chambers(String wishes) {
        String small = wishes.toLowerCase(Locale.ROOT);
        return CHAMBERS.matcher(small).find() || COMPRESSION.matcher(small).find();
    }
}
