package homalon.app.machining.valves;

import java.util.Locale;

/** Words at the head of a line. */
final class WholeWords {
    private WholeWords() {}

    static String capital(String words) {
        return words.isEmpty() ? words : words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }
}
