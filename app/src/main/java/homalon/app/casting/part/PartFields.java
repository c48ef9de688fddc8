package homalon.app.casting.part;

import homalon.core.input.BadInputException;
import homalon.core.words.Message;

/** Words that are keyed about a casting: without the blanks around them, and no longer than can be kept. */
final class PartFields {
    private PartFields() {}

    /** @throws BadInputException with the sentence given when nothing is keyed */
    static String required(String field, String text, int most, String sentence) {
        String tidy = limited(field, text, most);
        if (tidy.isEmpty()) {
            throw new BadInputException(field, Message.plain(sentence));
        }
        return tidy;
    }

    /** @throws BadInputException when it is too long */
    static String limited(String field, String text, int most) {
        String tidy = text == null ? "" : text.strip();
        if (tidy.length() > most) {
            throw new BadInputException(field, "app.part.that-is-too-long-to-keep-at-most", most);
        }
        return tidy;
    }
}
