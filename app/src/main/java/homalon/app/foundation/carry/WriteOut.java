package homalon.app.foundation.carry;

import static homalon.app.foundation.carry.Tables.quoted;

import homalon.app.foundation.carry.Tables.Column;
import homalon.app.foundation.carry.Tables.Table;
import java.io.BufferedOutputStream;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.security.DigestOutputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.IntConsumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.postgresql.PGConnection;
import tools.jackson.databind.json.JsonMapper;

/**
 * Writes everything of a shop into one archive, row by row: memory stays flat however large the shop is. All of it is as it stood at
 * one moment. Passwords are left out.
 */
public final class WriteOut {
    static final int FORMAT = 1;
    private static final int AT_ONCE = 500;

    private final Connection c;
    private final ZipOutputStream zip;
    private final MessageDigest digest;
    private Progress progress = new Progress(1, percent -> {});

    private WriteOut(Connection c, OutputStream out) {
        this.c = c;
        this.digest = sha256();
        this.zip = new ZipOutputStream(new BufferedOutputStream(out));
    }

    static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    /**
     * @param c nothing is written through it; its transaction ends with this
     * @param program version that writes
     */
    public static void to(OutputStream out, Connection c, String program) throws SQLException, IOException {
        to(out, c, program, percent -> {});
    }

    /** @param told how far it is, in percent */
    static void to(OutputStream out, Connection c, String program, IntConsumer told) throws SQLException, IOException {
        c.setAutoCommit(false);
        c.setReadOnly(true);
        c.setTransactionIsolation(Connection.TRANSACTION_REPEATABLE_READ);
        try {
            new WriteOut(c, out).all(program, told);
        } finally {
            c.rollback();
        }
    }

    private void all(String program, IntConsumer told) throws SQLException, IOException {
        List<Table> tables = Tables.of(c);
        progress = new Progress(count(tables), told);
        List<Map<String, Object>> written = new ArrayList<>();
        for (Table table : tables) {
            digest.reset();
            long rows = rows(table);
            String lines = summed();
            Map<String, String> files = new TreeMap<>();
            for (Column column : table.files()) {
                digest.reset();
                files(table, column);
                files.put(column.name(), summed());
            }
            written.add(
                    new TreeMap<>(Map.of("table", table.name(), "rows", rows, "sha256", lines, "filesSha256", files)));
        }
        for (Table table : tables) {
            csv(table);
        }
        entry("schema.json", JsonSchema.of(tables));
        entry(
                "about.json",
                new TreeMap<>(Map.of(
                        "format",
                        FORMAT,
                        "program",
                        program,
                        "tablesOfVersion",
                        Tables.version(c),
                        "made",
                        Instant.now().toString(),
                        "tables",
                        written)));
        zip.finish();
        zip.flush();
        progress.ended();
    }

    /** Lines, as JSON and again as CSV, and files. */
    private long count(List<Table> tables) throws SQLException {
        long all = 0;
        for (Table table : tables) {
            String counts = Stream.concat(
                            Stream.of("2 * count(*)"),
                            table.files().stream().map(f -> "count(" + quoted(f.name()) + ")"))
                    .collect(Collectors.joining(" + "));
            try (Statement s = c.createStatement();
                    ResultSet r = s.executeQuery("select " + counts + " from " + quoted(table.name()))) {
                r.next();
                all += r.getLong(1);
            }
        }
        return all;
    }

    private String summed() {
        return HexFormat.of().formatHex(digest.digest());
    }

    private void entry(String name, Object content) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        zip.write(JsonMapper.shared().writerWithDefaultPrettyPrinter().writeValueAsBytes(content));
        zip.closeEntry();
    }

    /** Nobody signs in by it. */
    static final String NO_PASSWORD = "!";

    private static String value(Table table, Column column) {
        if (column.bytes()) {
            return file(table, column) + " as " + quoted(column.name());
        }
        if (table.name().equals("person") && column.name().endsWith("_hash")) {
            return (column.optional() ? "null::text" : "'" + NO_PASSWORD + "'") + " as " + quoted(column.name());
        }
        return quoted(column.name());
    }

    /** Path within the archive of what stands in a column of bytes; null where nothing does. */
    private static String file(Table table, Column column) {
        String key = table.key().stream().map(k -> quoted(k) + "::text").collect(Collectors.joining(" || '-' || "));
        String kind = column.name().equals("jpeg") ? ".jpg" : column.name().equals("gzip") ? ".gz" : ".bin";
        return "case when " + quoted(column.name()) + " is not null then 'files/" + table.name() + "/' || " + key
                + " || '-" + column.name() + kind + "' end";
    }

    private static String select(Table table) {
        return "select " + table.own().stream().map(col -> value(table, col)).collect(Collectors.joining(", "))
                + " from " + quoted(table.name()) + " order by " + order(table);
    }

    /** As they were written, where the database counts them; a line comes after the one that it takes back. */
    private static String order(Table table) {
        return table.columns().stream()
                .filter(Column::counted)
                .findFirst()
                .map(Column::name)
                .map(Tables::quoted)
                .orElseGet(() -> table.key().stream().map(Tables::quoted).collect(Collectors.joining(", ")));
    }

    private long rows(Table table) throws SQLException, IOException {
        zip.putNextEntry(new ZipEntry("tables/" + table.name() + ".jsonl"));
        OutputStream out = new DigestOutputStream(zip, digest);
        long rows = 0;
        try (Statement s = c.createStatement()) {
            s.setFetchSize(AT_ONCE);
            try (ResultSet r = s.executeQuery("select row_to_json(t)::text from (" + select(table) + ") t")) {
                while (r.next()) {
                    out.write(r.getString(1).getBytes(StandardCharsets.UTF_8));
                    out.write('\n');
                    rows++;
                    progress.one();
                }
            }
        }
        zip.closeEntry();
        return rows;
    }

    /** For a spreadsheet: a text that it might take for a formula is preceded by an apostrophe. */
    private static String plain(Table table) {
        String columns = table.own().stream()
                .map(col -> {
                    String name = quoted(col.name());
                    return !col.type().equals("text")
                            ? name
                            : "case when " + name + " ~ '^[=+@\\t\\r-]' and " + name
                                    + " !~ '^[+-]?[0-9.,]+$' then '''' || " + name + " else " + name + " end as "
                                    + name;
                })
                .collect(Collectors.joining(", "));
        return "select " + columns + " from (" + select(table) + ") t";
    }

    private void csv(Table table) throws SQLException, IOException {
        zip.putNextEntry(new ZipEntry("csv/" + table.name() + ".csv"));
        c.unwrap(PGConnection.class)
                .getCopyAPI()
                .copyOut("copy (" + plain(table) + ") to stdout with (format csv, header)", counted());
        zip.closeEntry();
    }

    /** The archive, which counts each line that is written to it. */
    private OutputStream counted() {
        return new FilterOutputStream(zip) {
            @Override
            public void write(byte[] bytes, int from, int length) throws IOException {
                out.write(bytes, from, length);
                progress.one();
            }
        };
    }

    /** In the order of the rows, so that who reads them comes to the same sum. */
    private void files(Table table, Column column) throws SQLException, IOException {
        try (Statement s = c.createStatement()) {
            s.setFetchSize(1);
            try (ResultSet r = s.executeQuery(
                    "select " + file(table, column) + ", " + quoted(column.name()) + " from " + quoted(table.name())
                            + " where " + quoted(column.name()) + " is not null order by " + order(table))) {
                while (r.next()) {
                    byte[] bytes = r.getBytes(2);
                    digest.update(bytes);
                    zip.putNextEntry(new ZipEntry(r.getString(1)));
                    zip.write(bytes);
                    zip.closeEntry();
                    progress.one();
                }
            }
        }
    }
}
