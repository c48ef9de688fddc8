package homalon.core.rulebook;

import homalon.core.input.BadInputException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Lines of the shop's own that are ticked for every casting, such as {@code studs back in}: small things that no rule knows of and that
 * must not be forgotten.
 *
 * @param cleaning ticked before it counts as clean
 * @param leaving ticked before it is handed over
 */
public record OwnLines(List<String> cleaning, List<String> leaving) {
    public static final OwnLines NONE = new OwnLines(List.of(), List.of());

    /** Letters in a line. */
    public static final int LONGEST = 80;
    /** Lines at one step: more are not read any more, only ticked. */
    public static final int MOST = 12;

    public OwnLines {
        cleaning = List.copyOf(cleaning);
        leaving = List.copyOf(leaving);
    }

    /** At one of the two steps. */
    public List<String> at(boolean clean) {
        return clean ? cleaning : leaving;
    }

    /**
     * Lines as they are keyed, one under the other. Empty ones are left out, and so is one that stands there already, whatever its
     * capitals.
     *
     * @param field that a refusal names
     * @throws BadInputException when a line is longer than {@link #LONGEST}, or there are more than {@link #MOST}
     */
    public static List<String> read(String field, String typed) {
        List<String> lines = new ArrayList<>();
        typed.lines()
                .map(l -> l.strip().replaceAll("\\s+", " "))
                .filter(l -> !l.isEmpty() && same(lines, l).isEmpty())
                .forEach(lines::add);
        if (lines.size() > MOST) {
            throw new BadInputException(field, "rulebook.at-most-so-many-lines", MOST);
        }
        if (lines.stream().anyMatch(l -> l.length() > LONGEST)) {
            throw new BadInputException(field, "rulebook.a-line-is-at-most-so-long", LONGEST);
        }
        return List.copyOf(lines);
    }

    /** That line among others, whatever its capitals. */
    public static Optional<String> same(List<String> among, String line) {
        String wanted = line.strip().toLowerCase(Locale.ROOT);
        return among.stream()
                .filter(l -> l.toLowerCase(Locale.ROOT).equals(wanted))
                .findFirst();
    }
}
