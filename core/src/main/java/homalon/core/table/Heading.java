package homalon.core.table;

import homalon.core.input.BadInputException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The first line of a table: which of its heads are columns that are known, and in which unit.
 *
 * @param kind what it is a table of
 * @param found columns in the order of the file
 * @param unread heads that no column goes by; what stands under them is left alone
 */
public record Heading(TableKind kind, List<Found> found, List<String> unread) {
    /** A unit that ends a head, such as {@code bore (mm)}, {@code depth_in} or {@code z in um}. */
    private static final Pattern UNIT = Pattern.compile("^(.*\\S) (mm|um|in|inch|inches|thou|th)$");
    /** A number without a unit of its own. */
    private static final Pattern BARE = Pattern.compile("[+-]?[0-9]*[.,]?[0-9]+");

    private static final Map<String, String> SUFFIX =
            Map.of("mm", "mm", "um", "um", "in", "in", "inch", "in", "inches", "in", "thou", "th", "th", "th");

    /**
     * A head that is known.
     *
     * @param head as it stands in the file
     * @param at its number in the line, from 0
     * @param unit of bare numbers under it; empty where the head names none
     */
    public record Found(Column column, String head, int at, String unit) {}

    /**
     * @param heads of the file, in their order
     * @throws BadInputException naming every column that is wanted and is not there, and every one that is there twice
     */
    public static Heading of(TableKind kind, List<String> heads) {
        Map<String, Found> found = new LinkedHashMap<>();
        List<String> unread = new ArrayList<>();
        List<BadInputException.Problem> problems = new ArrayList<>();
        for (int at = 0; at < heads.size(); at++) {
            Optional<Found> known = find(kind, heads.get(at).strip(), at);
            if (known.isEmpty() && !heads.get(at).isBlank()) {
                unread.add(heads.get(at).strip());
            }
            known.map(f -> found.putIfAbsent(f.column().name(), f))
                    .ifPresent(before -> problems.add(problem(
                            "table.two-heads-are-the-same-column",
                            before.head(),
                            known.get().head())));
        }
        kind.columns().stream()
                .filter(c -> c.wanted() && !found.containsKey(c.name()))
                .forEach(c -> problems.add(problem("table.the-first-line-names-no-column", c.name())));
        if (!problems.isEmpty()) {
            throw new BadInputException(problems);
        }
        return new Heading(kind, List.copyOf(found.values()), List.copyOf(unread));
    }

    private static BadInputException.Problem problem(String code, Object... args) {
        return new BadInputException("file", code, args).problems().get(0);
    }

    private static Optional<Found> find(TableKind kind, String head, int at) {
        String key = Column.key(head);
        Matcher m = UNIT.matcher(key);
        return kind.named(key)
                .map(c -> new Found(c, head, at, ""))
                .or(() -> m.matches()
                        ? kind.named(m.group(1).replaceAll(" in$", ""))
                                .map(c -> new Found(c, head, at, SUFFIX.getOrDefault(m.group(2), "")))
                        : Optional.empty());
    }

    /**
     * What a line says, by the names of its columns; empty cells are left out. A bare number under a head with a unit gets that unit.
     *
     * @param cells of the line, as many as there are
     */
    public Map<String, String> line(List<String> cells) {
        Map<String, String> said = new LinkedHashMap<>();
        for (Found f : found) {
            String cell = f.at() < cells.size() ? plain(cells.get(f.at())) : "";
            if (!cell.isEmpty()) {
                said.put(
                        f.column().name(),
                        !f.unit().isEmpty() && BARE.matcher(cell).matches() ? cell + " " + f.unit() : cell);
            }
        }
        return said;
    }

    /** A text before which a table wrote an apostrophe, lest a spreadsheet run it, means what stands behind. */
    private static String plain(String cell) {
        String tidy = cell.strip();
        return tidy.length() > 1 && tidy.charAt(0) == '\'' && "=+-@".indexOf(tidy.charAt(1)) >= 0
                ? tidy.substring(1)
                : tidy;
    }
}
