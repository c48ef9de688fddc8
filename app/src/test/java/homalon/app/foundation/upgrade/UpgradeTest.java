package homalon.app.foundation.upgrade;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.testing.OwnDatabase;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Data of every version start on this one, and what has shipped is never edited. */
class UpgradeTest {
    private static final Path SHIPPED = Path.of("src/main/resources/db/migration");

    private String database;

    @TempDir
    Path older;

    @BeforeEach
    void make() {
        database = OwnDatabase.made();
    }

    @AfterEach
    void drop() {
        OwnDatabase.gone(database);
    }

    private Upgrade upgrade() {
        return new Upgrade(
                OwnDatabase.url(database),
                System.getenv("HOMALON_DB_OWNER"),
                System.getenv("HOMALON_DB_OWNER_PASSWORD"),
                System.getenv("HOMALON_DB_USER"));
    }

    /** Makes the tables as an older version made them: its own texts up to and with the last version given. */
    private void made(int last, Map<Integer, String> otherTexts) throws IOException {
        try (Stream<Path> files = Files.list(SHIPPED)) {
            for (Path file : files.toList()) {
                String name = file.getFileName().toString();
                int version = name.startsWith("V") ? Integer.parseInt(name.substring(1, name.indexOf("__"))) : 0;
                if (version > 0 && version <= last) {
                    Files.writeString(
                            older.resolve(name),
                            otherTexts.containsKey(version) ? text(otherTexts.get(version)) : Files.readString(file));
                }
            }
        }
        Flyway.configure()
                .dataSource(
                        OwnDatabase.url(database),
                        System.getenv("HOMALON_DB_OWNER"),
                        System.getenv("HOMALON_DB_OWNER_PASSWORD"))
                .locations("filesystem:" + older)
                .placeholders(Map.of("app_role", System.getenv("HOMALON_DB_USER")))
                .load()
                .migrate();
    }

    private static String text(String name) throws IOException {
        try (InputStream in = UpgradeTest.class.getResourceAsStream("/upgrade/" + name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    /** Every column, trigger, view and right, so that two databases can be held against each other. */
    private static List<String> shape(String database) throws SQLException {
        List<String> all = new ArrayList<>();
        for (String question : new String[] {
            "select concat_ws(' ', table_name, column_name, data_type, is_nullable, column_default)"
                    + " from information_schema.columns where table_schema = 'public'",
            "select pg_get_triggerdef(oid) from pg_trigger where not tgisinternal",
            "select concat_ws(' ', viewname, definition) from pg_views where schemaname = 'public'",
            "select concat_ws(' ', table_name, privilege_type) from information_schema.role_table_grants"
                    + " where grantee = 'homalon_app'",
            "select concat_ws(' ', table_name, column_name, privilege_type) from information_schema.column_privileges"
                    + " where grantee = 'homalon_app'",
            "select concat_ws(' ', conrelid::regclass, pg_get_constraintdef(oid)) from pg_constraint"
                    + " where connamespace = 'public'::regnamespace"
        }) {
            ask(database, question).stream().sorted().forEach(all::add);
        }
        return all;
    }

    private static List<String> ask(String database, String question) throws SQLException {
        List<String> answers = new ArrayList<>();
        try (Connection c = connection(database);
                Statement s = c.createStatement();
                ResultSet rows = s.executeQuery(question)) {
            while (rows.next()) {
                answers.add(rows.getString(1));
            }
        }
        return answers;
    }

    private static Connection connection(String database) throws SQLException {
        return DriverManager.getConnection(
                OwnDatabase.url(database),
                System.getenv("HOMALON_DB_OWNER"),
                System.getenv("HOMALON_DB_OWNER_PASSWORD"));
    }

    private static void run(String database, String sql) throws SQLException {
        try (Connection c = connection(database);
                Statement s = c.createStatement()) {
            s.execute(sql);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "1, 1, V1_first_text.sql",
        "1, 1, V1_second_text.sql",
        "9, 0, ",
        "11, 11, V11_first_text.sql",
        "12, 11, V11_first_text.sql",
        "14, 14, V14_first_text.sql"
    })
    void aHomeOfAnyOlderTextComesToTheSameTables(int last, int edited, String file) throws Exception {
        made(last, file == null ? Map.of() : Map.of(edited, file));
        assertEquals(Upgrade.Standing.OLDER, upgrade().standing());
        upgrade().run();
        assertEquals(Upgrade.Standing.CURRENT, upgrade().standing());
        String fresh = OwnDatabase.made();
        try {
            OwnDatabase.upgrade(OwnDatabase.url(fresh));
            assertEquals(String.join("\n", shape(fresh)), String.join("\n", shape(database)));
        } finally {
            OwnDatabase.gone(fresh);
        }
    }

    /** A plan of the first text knew its last reading; it must not look stale, nor fresh when it is stale. */
    @Test
    void aPlanOfTheFirstTextStillKnowsWhetherItsReadingsAreTheLast() throws Exception {
        made(1, Map.of(1, "V1_first_text.sql"));
        run(database, text("first_rows.sql"));
        upgrade().run();
        assertEquals(List.of("2 2"), ask(database, """
                select concat(s.revision, ' ', c.survey_revision) from cut_plan c join survey s on s.id = c.survey_id
                """));
        assertEquals(List.of(""), ask(database, "select released_note from job"));
    }

    @Test
    void whatANewerVersionWroteIsRefusedInWords() throws Exception {
        upgrade().run();
        run(database, """
                insert into flyway_schema_history
                  (installed_rank, version, description, type, script, checksum, installed_by, execution_time, success)
                values (900, '9000', 'later', 'SQL', 'V9000__later.sql', 1, 'x', 1, true)
                """);
        Upgrade.NewerException refused =
                assertThrows(Upgrade.NewerException.class, () -> upgrade().run());
        assertTrue(refused.getMessage().contains("newer version"), refused.getMessage());
        assertTrue(refused.getMessage().contains("9000"), refused.getMessage());
    }

    /** A new migration adds a line to the list; no line of it is ever changed. */
    @Test
    void whatHasShippedIsNeverEdited() throws Exception {
        Map<String, String> listed = new TreeMap<>();
        text("migrations.sha256").lines().forEach(l -> listed.put(l.substring(66), l.substring(0, 64)));
        Map<String, String> shipped = new TreeMap<>();
        try (Stream<Path> files = Files.list(SHIPPED)) {
            for (Path file : files.filter(f -> f.getFileName().toString().startsWith("V"))
                    .toList()) {
                byte[] sum = MessageDigest.getInstance("SHA-256").digest(Files.readAllBytes(file));
                shipped.put(file.getFileName().toString(), HexFormat.of().formatHex(sum));
            }
        }
        assertEquals(listed, shipped, "migrations.sha256 lists every migration as it was first on the main branch");
    }
}
