package homalon.app.foundation.carry;

import static homalon.app.foundation.carry.Tables.quoted;

import homalon.app.foundation.carry.Tables.Column;
import homalon.app.foundation.carry.Tables.Table;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.IntConsumer;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Reads everything of a shop out of an archive into a shop that was never opened: all of it or nothing. Needs the role that owns the
 * tables, since what was handed over is closed to everybody else.
 */
public final class ReadIn {
    private static final int AT_ONCE = 200;

    private final Connection c;
    private final ZipFile zip;
    private Progress progress = new Progress(1, percent -> {});

    private ReadIn(Connection c, ZipFile zip) {
        this.c = c;
        this.zip = zip;
    }

    /** What is wrong with an archive or with the shop it is for, in a sentence. */
    public static final class NotReadInException extends RuntimeException {
        private static final long serialVersionUID = 1;

        NotReadInException(String why) {
            super(why);
        }
    }

    /**
     * @return rows that were read in, by table
     * @throws NotReadInException when the archive is none, is of another version or was changed, or when somebody has an account here
     */
    public static Map<String, Long> from(Path archive, Connection c) throws SQLException {
        return from(archive, c, percent -> {});
    }

    /** @param told how far it is, in percent */
    static Map<String, Long> from(Path archive, Connection c, IntConsumer told) throws SQLException {
        c.setAutoCommit(false);
        try (ZipFile zip = new ZipFile(archive.toFile())) {
            Map<String, Long> rows = new ReadIn(c, zip).all(told);
            c.commit();
            return rows;
        } catch (IOException e) {
            c.rollback();
            throw new NotReadInException("that is no archive of a whole shop, or it was damaged: " + e.getMessage());
        } catch (SQLException | RuntimeException e) {
            c.rollback();
            throw e;
        }
    }

    private Map<String, Long> all(IntConsumer told) throws SQLException, IOException {
        JsonNode about = about();
        List<Table> tables = Tables.of(c);
        empty();
        Map<String, JsonNode> said = new TreeMap<>();
        about.get("tables").forEach(t -> said.put(t.get("table").asString(), t));
        progress = new Progress(
                said.values().stream().mapToLong(t -> t.path("rows").asLong()).sum(), told);
        for (Table t : tables) {
            run("alter table " + quoted(t.name()) + " disable trigger user");
        }
        // What every new shop has is in the archive as well.
        for (int i = tables.size() - 1; i >= 0; i--) {
            run("delete from " + quoted(tables.get(i).name()));
        }
        Map<String, Long> read = new TreeMap<>();
        for (Table t : tables) {
            read.put(t.name(), rows(t, said.get(t.name())));
        }
        // Whoever wrote the archive gives nobody here a password.
        run("update person set password_hash = '" + WriteOut.NO_PASSWORD + "', pin_hash = null");
        for (Table t : tables) {
            run("alter table " + quoted(t.name()) + " enable trigger user");
            countOn(t);
        }
        run("insert into journal (at, what, detail) values (now(), 'RESTORED', 'everything of a shop, made "
                + about.get("made").asString().replaceAll("[^0-9A-Za-z:.-]", "") + "')");
        progress.ended();
        return read;
    }

    private JsonNode about() throws SQLException, IOException {
        ZipEntry entry = zip.getEntry("about.json");
        if (entry == null) {
            throw new NotReadInException("that is no archive of a whole shop: it has no about.json");
        }
        JsonNode about = JsonMapper.shared().readTree(zip.getInputStream(entry).readAllBytes());
        int format = about.path("format").asInt();
        int version = about.path("tablesOfVersion").asInt();
        int here = Tables.version(c);
        if (format != WriteOut.FORMAT || version != here) {
            throw new NotReadInException("it was written by version "
                    + about.path("program").asString("?") + ", whose tables are of version " + version
                    + "; those here are of "
                    + here + ". Bring both shops to one version of the program, and write it out again");
        }
        return about;
    }

    private void empty() throws SQLException {
        try (Statement s = c.createStatement();
                ResultSet r = s.executeQuery("select (select count(*) from person) + (select count(*) from part)")) {
            r.next();
            if (r.getLong(1) > 0) {
                throw new NotReadInException(
                        "somebody has an account here already: read it into a shop that was never opened,"
                                + " HOMALON_HOME=/another/folder");
            }
        }
    }

    private void run(String sql) throws SQLException {
        try (Statement s = c.createStatement()) {
            s.execute(sql);
        }
    }

    private long rows(Table table, JsonNode said) throws SQLException, IOException {
        ZipEntry entry = zip.getEntry("tables/" + table.name() + ".jsonl");
        if (entry == null || said == null) {
            throw new NotReadInException("the table " + table.name() + " is not in it");
        }
        MessageDigest digest = WriteOut.sha256();
        Map<String, MessageDigest> files = new TreeMap<>();
        table.files().forEach(column -> files.put(column.name(), WriteOut.sha256()));
        long rows = 0;
        try (InputStream in = new DigestInputStream(zip.getInputStream(entry), digest);
                BufferedReader reader = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8));
                PreparedStatement insert = c.prepareStatement(insert(table))) {
            List<String> some = new ArrayList<>();
            for (String line = reader.readLine(); line != null; line = reader.readLine()) {
                some.add(files.isEmpty() ? line : withFiles(table, line, files));
                rows++;
                progress.one();
                if (some.size() == (files.isEmpty() ? AT_ONCE : 1)) {
                    keep(insert, some);
                }
            }
            keep(insert, some);
        }
        boolean same = rows == said.get("rows").asLong()
                && sum(digest).equals(said.get("sha256").asString())
                && files.entrySet().stream()
                        .allMatch(e -> sum(e.getValue())
                                .equals(said.path("filesSha256")
                                        .path(e.getKey())
                                        .asString("")));
        if (!same) {
            throw new NotReadInException("the table " + table.name() + " was changed since it was written out");
        }
        return rows;
    }

    private static String sum(MessageDigest digest) {
        return HexFormat.of().formatHex(digest.digest());
    }

    private static String insert(Table table) {
        String columns =
                table.own().stream().map(Column::name).map(Tables::quoted).collect(Collectors.joining(", "));
        return "insert into " + quoted(table.name()) + " (" + columns + ") overriding system value select " + columns
                + " from json_populate_recordset(null::" + quoted(table.name()) + ", ?::json)";
    }

    private static void keep(PreparedStatement insert, List<String> lines) throws SQLException {
        if (!lines.isEmpty()) {
            insert.setString(1, "[" + String.join(",", lines) + "]");
            insert.executeUpdate();
            lines.clear();
        }
    }

    /** With the bytes of its files in place of their paths, as the database takes them. */
    private String withFiles(Table table, String line, Map<String, MessageDigest> files) throws IOException {
        ObjectNode row = (ObjectNode) JsonMapper.shared().readTree(line);
        for (Column column : table.files()) {
            JsonNode path = row.get(column.name());
            if (path != null && !path.isNull()) {
                ZipEntry file = zip.getEntry(path.asString());
                if (file == null) {
                    throw new NotReadInException("the file " + path.asString() + " is not in it");
                }
                byte[] bytes = zip.getInputStream(file).readAllBytes();
                files.get(column.name()).update(bytes);
                row.put(column.name(), "\\x" + HexFormat.of().formatHex(bytes));
            }
        }
        return row.toString();
    }

    /** What the database counts goes on after the last. */
    private void countOn(Table table) throws SQLException {
        for (Column column : table.columns()) {
            if (column.counted()) {
                run("select setval(pg_get_serial_sequence('" + quoted(table.name()) + "', '" + column.name()
                        + "'), greatest(1, (select coalesce(max(" + quoted(column.name()) + "), 0) from "
                        + quoted(table.name()) + ")), exists (select from " + quoted(table.name()) + "))");
            }
        }
    }
}
