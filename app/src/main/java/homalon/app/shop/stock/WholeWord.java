package homalon.app.shop.stock;

import java.util.Locale;

/** A word at the head of a line. */
final class WholeWord {
    private WholeWord() {}

    static String capital(String word) {
        return word.isEmpty() ? word : word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1);
    }
}
