package homalon.core.table;

import homalon.core.input.InPath;
import homalon.core.words.Message;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** What a table can be of. */
public enum TableKind implements InPath {
    /** One line for each customer. */
    CUSTOMERS(
            "customers",
            Column.wanted("name", "Quay Crane Company", "customer", "company", "firm", "who"),
            Column.of("phone", "+1 555 0100", "telephone", "tel", "mobile"),
            Column.of("mail", "office@quay.example", "email", "e-mail", "mail address"),
            Column.of("unit", "mm", "units"),
            Column.of("notes", "pays on collection", "note", "remark", "remarks")),
    /** One line for each casting: one that is here, or with the day on which it left, one of former years. */
    CASTINGS(
            "castings",
            Column.of("tag", "T-0101", "job", "job number", "job no", "number", "no"),
            Column.wanted("engine", "Ferry auxiliary, four in line", "name", "from engine", "description"),
            Column.wanted("customer", "Quay Crane Company", "owner", "whose", "company"),
            Column.of("like", "", "layout", "as"),
            Column.of("kind", "head", "part", "head or block"),
            Column.of("metal", "cast iron", "material"),
            Column.of("casting number", "4711", "casting no", "casting"),
            Column.of("stamps", "L", "stamp", "stamped"),
            Column.of("cylinders", "4", "cyl", "bores"),
            Column.of("bore", "96", "bore size", "bore diameter"),
            Column.of("spacing", "112", "bore spacing", "pitch", "centres", "centers"),
            Column.of("length", "", "overall length"),
            Column.of("width", ""),
            Column.of("due", "2027-02-12", "wanted by", "promised"),
            Column.of("history", "overheated once", "what happened"),
            Column.of("wishes", "", "wish", "asked for"),
            Column.of("gasket", ""),
            Column.of("removed", "0.15", "removed before", "cut before", "taken off"),
            Column.of("removed is", "known", "removal is"),
            Column.of("came", "2024-03-02", "date in", "received", "in"),
            Column.of("left", "2024-03-09", "date out", "handed over", "out")),
    /** Metal that came off castings before this shop wrote it down. */
    REMOVALS(
            "removals",
            Column.wanted("tag", "T-0101", "job", "casting"),
            Column.wanted("removed", "0.15", "removed before", "cut", "cut before", "taken off", "depth"),
            Column.of("removed is", "known", "known", "removal is"),
            Column.of("note", "stamped on its end", "notes", "remark", "from")),
    /** What was read somewhere else, place by place. */
    READINGS(
            "readings",
            Column.wanted("tag", "T-0101", "job", "casting"),
            Column.wanted("walk", "face", "survey", "of"),
            Column.of("place", "", "point", "where"),
            Column.of("x", "10", "along"),
            Column.of("y", "8", "across"),
            Column.wanted("reading", "0.02", "typed", "value", "height", "z"));

    private final String path;
    private final List<Column> columns;
    private final Message words = Message.of(this);

    TableKind(String path, Column... columns) {
        this.path = path;
        this.columns = List.of(columns);
    }

    @Override
    public String path() {
        return path;
    }

    public List<Column> columns() {
        return columns;
    }

    public Message words() {
        return words;
    }

    /** The column that a head names, by its own name before any other's. */
    Optional<Column> named(String head) {
        return Stream.concat(
                        columns.stream().filter(c -> Column.key(c.name()).equals(head)),
                        columns.stream()
                                .filter(c -> c.also().stream().map(Column::key).anyMatch(head::equals)))
                .findFirst();
    }
}
