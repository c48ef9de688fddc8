package homalon.core.visit;

import homalon.core.input.BadInputException;
import homalon.core.route.Happened;
import homalon.core.words.Message;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What was ticked at intake.
 *
 * @param happened to the casting
 * @param shafts that it carries, by name; none for a plain lid
 */
public record CameWith(Set<Happened> happened, List<String> shafts) {
    private static final int MOST_SHAFTS = 6;
    private static final int LONGEST_NAME = 30;

    public CameWith {
        happened = Set.copyOf(happened);
        shafts = shafts.stream()
                .map(String::strip)
                .filter(s -> !s.isEmpty())
                .distinct()
                .toList();
        if (shafts.size() > MOST_SHAFTS || shafts.stream().anyMatch(s -> s.length() > LONGEST_NAME)) {
            throw new BadInputException(
                    "shafts", "visit.shafts-at-most-each-by-a-name-of-at", MOST_SHAFTS, LONGEST_NAME);
        }
    }

    /** @param shafts names with commas between */
    public static CameWith of(Set<Happened> happened, String shafts) {
        return new CameWith(happened, Arrays.asList((shafts == null ? "" : shafts).split(",")));
    }

    public static CameWith kept(String happened, String shafts) {
        Set<Happened> all = EnumSet.noneOf(Happened.class);
        for (String name : happened.split(" ")) {
            if (!name.isEmpty()) {
                all.add(Happened.valueOf(name));
            }
        }
        return of(all, shafts);
    }

    public String happenedKept() {
        return happened.stream().sorted().map(Enum::name).collect(Collectors.joining(" "));
    }

    public String shaftsKept() {
        return String.join(", ", shafts);
    }

    /** For the record of changes. */
    public Message words() {
        Message ticked = happened.stream().sorted().map(Happened::words).collect(Message.joining("text.comma"));
        return Message.of(
                "visit.shafts",
                ticked.isEmpty() ? Message.of("visit.nothing-ticked") : ticked,
                shafts.isEmpty() ? Message.of("visit.none") : Message.plain(shaftsKept()));
    }
}
