package homalon.app.foundation.carry;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/** The tables of a shop as its database describes them, those that others refer to first. */
final class Tables {
    /** What is of one installation and not of the shop: who is signed in, keys of devices, tries, copies made. */
    private static final Set<String> LEFT_OUT = Set.of(
            "flyway_schema_history",
            "spring_session",
            "spring_session_attributes",
            "passkey",
            "api_token",
            "bench_device",
            "try_bucket",
            "kept_once",
            "device_key",
            "backup_made");

    /**
     * One column.
     *
     * @param type as the database calls it
     * @param counted by the database itself, when a row is added
     * @param derived from other columns: written by nobody
     */
    record Column(String name, String type, boolean optional, boolean counted, boolean derived) {
        boolean bytes() {
            return type.equals("bytea");
        }
    }

    /** @param key columns of the primary key, in its order */
    record Table(String name, List<Column> columns, List<String> key) {
        /** What is written and read: all that does not follow from the rest. */
        List<Column> own() {
            return columns.stream().filter(c -> !c.derived()).toList();
        }

        List<Column> files() {
            return columns.stream().filter(Column::bytes).toList();
        }
    }

    private Tables() {}

    static List<Table> of(Connection c) throws SQLException {
        Map<String, Table> all = new TreeMap<>();
        for (String name : names(c)) {
            if (!LEFT_OUT.contains(name)) {
                all.put(name, new Table(name, columns(c, name), key(c, name)));
            }
        }
        Map<String, Set<String>> needs = needs(c, all.keySet());
        List<Table> sorted = new ArrayList<>();
        Set<String> done = new TreeSet<>();
        while (done.size() < all.size()) {
            int before = done.size();
            all.forEach((name, table) -> {
                if (!done.contains(name) && done.containsAll(needs.getOrDefault(name, Set.of()))) {
                    sorted.add(table);
                    done.add(name);
                }
            });
            if (done.size() == before) {
                throw new IllegalStateException("tables refer to each other in a circle: " + needs);
            }
        }
        return sorted;
    }

    private static List<String> names(Connection c) throws SQLException {
        return words(
                c,
                "select c.relname from pg_class c join pg_namespace n on n.oid = c.relnamespace"
                        + " where n.nspname = current_schema() and c.relkind = 'r' and ? is not null order by 1",
                "");
    }

    private static List<String> key(Connection c, String table) throws SQLException {
        return words(c, """
                select a.attname from pg_index i join pg_attribute a on a.attrelid = i.indrelid and a.attnum = any(i.indkey)
                where i.indrelid = ?::regclass and i.indisprimary order by array_position(i.indkey::int[], a.attnum::int)
                """, table);
    }

    private static List<Column> columns(Connection c, String table) throws SQLException {
        List<Column> all = new ArrayList<>();
        try (PreparedStatement s = c.prepareStatement("""
                select attname, format_type(atttypid, null), not attnotnull, attidentity <> '', attgenerated <> ''
                from pg_attribute where attrelid = ?::regclass and attnum > 0 and not attisdropped order by attnum
                """)) {
            s.setString(1, table);
            try (ResultSet r = s.executeQuery()) {
                while (r.next()) {
                    all.add(new Column(
                            r.getString(1), r.getString(2), r.getBoolean(3), r.getBoolean(4), r.getBoolean(5)));
                }
            }
        }
        return all;
    }

    /** By table, those that its rows refer to. */
    private static Map<String, Set<String>> needs(Connection c, Set<String> tables) throws SQLException {
        Map<String, Set<String>> needs = new TreeMap<>();
        for (String table : tables) {
            Set<String> of = new TreeSet<>(words(
                    c,
                    "select distinct f.relname from pg_constraint k join pg_class f on f.oid = k.confrelid"
                            + " where k.conrelid = ?::regclass and k.contype = 'f' and k.confrelid <> k.conrelid",
                    table));
            of.retainAll(tables);
            needs.put(table, of);
        }
        return needs;
    }

    private static List<String> words(Connection c, String sql, String with) throws SQLException {
        List<String> all = new ArrayList<>();
        try (PreparedStatement s = c.prepareStatement(sql)) {
            s.setString(1, with);
            try (ResultSet r = s.executeQuery()) {
                while (r.next()) {
                    all.add(r.getString(1));
                }
            }
        }
        return all;
    }

    /** As it stands in a statement; its names are the database's own. */
    static String quoted(String name) {
        return '"' + name.replace("\"", "\"\"") + '"';
    }

    /** Number of the last migration. */
    static int version(Connection c) throws SQLException {
        return Integer.parseInt(words(
                        c,
                        "select max(version::int)::text from flyway_schema_history"
                                + " where success and version is not null and ? is not null",
                        "")
                .get(0));
    }
}
