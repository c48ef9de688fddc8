package homalon.core.integrity;

import homalon.core.words.Message;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** How a casting is cleaned. */
public enum CleaningMethod {
    HOT_TANK,
    SOLVENT,
    BAKE,
    BLAST,
    TUMBLE,
    SCRAPE_BY_HAND;

    private final Message words = Message.of(this, "words");
    private final Message caution = Message.of(this, "caution");

    public Message words() {
        return words;
    }

    /** Whether grit or shot stays in the passages until they are brushed through. */
    public boolean leavesGrit() {
        return this == BLAST || this == TUMBLE;
    }

    /** As it is written down, whatever it is called on the screen: {@code hot tank}. */
    public String kept() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** Of what was written down. */
    public static Optional<CleaningMethod> ofKept(String kept) {
        return Arrays.stream(values()).filter(m -> m.kept().equals(kept)).findFirst();
    }

    /** What can hurt at this step. */
    public Message caution() {
        return caution;
    }
}
