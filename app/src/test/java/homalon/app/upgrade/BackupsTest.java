package homalon.app.upgrade;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.testing.OwnDatabase;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

/** The owner hears of backups when there is something to hear, and not on the first day. */
class BackupsTest {
    private static final Instant NOW = Instant.parse("2026-11-27T12:00:00Z");

    private String database;
    private JdbcClient jdbc;

    @BeforeEach
    void make() {
        database = OwnDatabase.made();
        OwnDatabase.upgrade(OwnDatabase.url(database));
        jdbc = JdbcClient.create(new DriverManagerDataSource(
                OwnDatabase.url(database),
                System.getenv("HOMALON_DB_OWNER"),
                System.getenv("HOMALON_DB_OWNER_PASSWORD")));
    }

    @AfterEach
    void drop() {
        OwnDatabase.gone(database);
    }

    private void run(String sql) throws SQLException {
        try (Connection c = DriverManager.getConnection(
                        OwnDatabase.url(database),
                        System.getenv("HOMALON_DB_OWNER"),
                        System.getenv("HOMALON_DB_OWNER_PASSWORD"));
                Statement s = c.createStatement()) {
            s.execute(sql);
        }
    }

    /** Hours since the first casting and since each backup; blank for none. */
    @ParameterizedTest
    @CsvSource({
        "true, , , ",
        "true, 23, , ",
        "true, 25, , No backup was ever written",
        "true, 900, 47, ",
        "true, 900, 49, The last good backup is 2 days old",
        "true, 900, 240, 10 days old",
        "true, , 49, 2 days old",
        "false, 900, 240, "
    })
    void theOwnerIsToldInTime(boolean wanted, Integer firstCasting, Integer lastBackup, String says)
            throws SQLException {
        if (firstCasting != null) {
            run(
                    "insert into person (id, login, name, role, password_hash, created_at) values (gen_random_uuid(), 'oda', 'Oda', 'OWNER', 'x', now())");
            run(
                    "insert into part (id, tag, kind, name, customer, material, cylinders, first_number, number_step, bore_nm,"
                            + " spacing_nm, length_nm, width_nm, bolt_rows, bolt_hole_nm, water_holes, chambers, intake_at_top,"
                            + " created_by, created_at) select gen_random_uuid(), 'T-0001', 'HEAD', 'x', 'y', 'ALUMINIUM', 4, 1, 1, 1,"
                            + " 1, 1, 1, 'BESIDE', 1, 4, 'BATHTUB', true, id, now() from person");
            run(
                    "insert into job (id, part_id, no, opened_by, opened_at) select gen_random_uuid(), id, 1, created_by, timestamptz '"
                            + NOW.minusSeconds(3600L * firstCasting) + "' from part");
        }
        if (lastBackup != null) {
            run("insert into backup_made (made_at, file) values (timestamptz '" + NOW.minusSeconds(999 * 3600L)
                    + "', 'old.tar')");
            run("insert into backup_made (made_at, file) values (timestamptz '" + NOW.minusSeconds(3600L * lastBackup)
                    + "', 'new.tar')");
        }
        String warning = new Backups(jdbc, Clock.fixed(NOW, ZoneOffset.UTC), wanted)
                .warning()
                .orElse("");
        if (says == null) {
            assertEquals("", warning);
        } else {
            assertTrue(warning.contains(says), warning);
        }
    }
}
