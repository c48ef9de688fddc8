package homalon.core.rulebook;

import homalon.core.input.BadInputException;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How a shop numbers its tags.
 *
 * @param prefix letters before the dash
 * @param digits at least so many; a number that needs more has more
 * @param least no tag has a lower number
 */
public record TagNumbers(String prefix, int digits, int least) {
    /** Before a shop chose. */
    public static final TagNumbers USUAL = new TagNumbers("T", 4, 1);

    private static final Pattern TAG = Pattern.compile("([A-Z]{1,3})-([0-9]{2,6})");

    /**
     * @param first the first tag of the kind, such as {@code SM-00100}; blank for the usual one
     * @throws BadInputException when it cannot be a tag
     */
    public static TagNumbers read(String first) {
        String tidy = first.strip().toUpperCase(Locale.ROOT);
        if (tidy.isEmpty()) {
            return USUAL;
        }
        Matcher m = TAG.matcher(tidy);
        if (!m.matches()) {
            throw new BadInputException(
                    "firstTag", "rulebook.first-tag-write-letters-a-dash-and-digits", first.strip());
        }
        return new TagNumbers(m.group(1), m.group(2).length(), Integer.parseInt(m.group(2)));
    }

    /** @param highest number that a tag with this prefix has; 0 for none */
    public String after(int highest) {
        return written(Math.max(least, highest + 1));
    }

    /** As it is kept and shown. */
    public String first() {
        return written(least);
    }

    private String written(int number) {
        String plain = Integer.toString(number);
        return prefix + "-" + "0".repeat(Math.max(0, digits - plain.length())) + plain;
    }
}
