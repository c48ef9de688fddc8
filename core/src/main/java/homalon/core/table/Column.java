package homalon.core.table;

import java.util.List;
import java.util.Locale;

/**
 * A column of a table.
 *
 * @param name as the template writes it
 * @param wanted no line says enough without it
 * @param example what may stand in it; empty where most lines leave it empty
 * @param also other heads that it goes by
 */
public record Column(String name, boolean wanted, String example, List<String> also) {
    static Column of(String name, String example, String... also) {
        return new Column(name, false, example, List.of(also));
    }

    static Column wanted(String name, String example, String... also) {
        return new Column(name, true, example, List.of(also));
    }

    /** A head without what is written differently from hand to hand: its letters and digits, in small letters. */
    static String key(String head) {
        return head.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", " ").strip();
    }
}
