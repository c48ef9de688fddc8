package homalon.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.testing.OwnDatabase;
import homalon.app.testing.RunningShop;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import javax.sql.DataSource;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What was measured and cut stays: the database itself refuses to change it, whoever asks. */
@ExtendWith(RunningShop.class)
class StoreTest {
    private final DataSource application;

    StoreTest(RunningShop.Shop shop) {
        this.application = shop.bean(DataSource.class);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "reading; update reading set value_nm = 0 where kind = 'KEYED'",
                "reading; delete from reading",
                "ledger_line; update ledger_line set depth_nm = depth_nm + 1",
                "ledger_line; delete from ledger_line",
                "cut_plan; update cut_plan set depth_nm = 0",
                "plan_pass; delete from plan_pass"
            })
    void linesAreNeverChangedByTheApplicationNorByTheTablesOwner(String table, String change) throws SQLException {
        try (Connection app = application.getConnection();
                Connection owner = owner()) {
            long before = count(owner, table);
            assertTrue(before > 0);
            SQLException denied = assertThrows(SQLException.class, () -> run(app, change));
            assertEquals("42501", denied.getSQLState(), "the application's role has no right to");
            SQLException refused = assertThrows(SQLException.class, () -> run(owner, change));
            assertTrue(refused.getMessage().contains("never changed or removed"), refused.getMessage());
            assertEquals(before, count(owner, table));
        }
    }

    @ParameterizedTest
    @CsvSource({"reading", "ledger_line", "cut_plan", "plan_pass"})
    void linesAreNeverEmptiedOut(String table) throws SQLException {
        try (Connection owner = owner()) {
            SQLException refused = assertThrows(SQLException.class, () -> run(owner, "truncate " + table + " cascade"));
            assertTrue(refused.getMessage().contains("never changed or removed"), refused.getMessage());
        }
    }

    private static Connection owner() throws SQLException {
        return DriverManager.getConnection(
                OwnDatabase.url(OwnDatabase.ofAllTests()),
                System.getenv("HOMALON_DB_OWNER"),
                System.getenv("HOMALON_DB_OWNER_PASSWORD"));
    }

    private static void run(Connection connection, String sql) throws SQLException {
        try (Statement s = connection.createStatement()) {
            s.executeUpdate(sql);
        }
    }

    private static long count(Connection connection, String table) throws SQLException {
        try (Statement s = connection.createStatement();
                var rows = s.executeQuery("select count(*) from " + table)) {
            rows.next();
            return rows.getLong(1);
        }
    }
}
