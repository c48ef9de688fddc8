package homalon.app.testing;

import homalon.app.foundation.upgrade.Upgrade;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;

/** The database that the tests of a process share, and those beside it that must begin with nothing or may end in ruins. */
public final class OwnDatabase {
    private OwnDatabase() {}

    private static final class OfAllTests {
        private static final String NAME = sampled();
    }

    /** The name of the one that the tests of this process share; made when it is first asked for. */
    public static String ofAllTests() {
        return OfAllTests.NAME;
    }

    /** @return the name of a database that is as empty as the command makes one */
    public static String made() {
        String name = named("own_");
        asAdmin("postgres", "create database " + name + " owner homalon_owner");
        asAdmin(name, "revoke all on schema public from public; alter schema public owner to homalon_owner");
        open(name);
        return name;
    }

    /** @return the name of a database in which the sample shop stands */
    public static String sampled() {
        String sample = Sample.NAME;
        String name = named("own_");
        asAdmin("postgres", "create database " + name + " template " + sample + " owner homalon_owner");
        open(name);
        return name;
    }

    private static String named(String begin) {
        return begin + UUID.randomUUID().toString().replace("-", "").substring(0, 12);
    }

    private static void open(String name) {
        asAdmin(
                "postgres",
                "revoke all on database " + name + " from public; grant connect on database " + name
                        + " to homalon_app");
    }

    /** The sample shop, made once for all processes of a run: whichever asks first makes it while the others wait. */
    private static final class Sample {
        private static final long TURN = 20_261_201L;
        private static final String BEGIN = "sample_";
        private static final String NAME = found();

        private static String found() {
            String name = BEGIN
                    + UUID.nameUUIDFromBytes(System.getProperty("homalon.test.run", named(""))
                                    .getBytes(StandardCharsets.UTF_8))
                            .toString()
                            .replace("-", "");
            try (Connection c = DriverManager.getConnection(
                            url("postgres"), "homalon_admin", System.getenv("HOMALON_TEST_ADMIN_PASSWORD"));
                    Statement s = c.createStatement()) {
                s.execute("select pg_advisory_lock(" + TURN + ")");
                List<String> there = askedAt(
                        url("postgres"), "select datname from pg_database where starts_with(datname, '" + BEGIN + "')");
                if (!there.contains(name)) {
                    there.forEach(OwnDatabase::gone);
                    String making = made();
                    upgrade(url(making));
                    RunningShop.on(url(making)).close();
                    s.execute("alter database " + making + " rename to " + name);
                }
                return name;
            } catch (SQLException e) {
                throw new IllegalStateException(e);
            }
        }
    }

    public static void gone(String name) {
        asAdmin("postgres", "drop database if exists " + name + " with (force)");
    }

    public static String url(String name) {
        return "jdbc:postgresql://127.0.0.1:" + System.getenv("HOMALON_TEST_PG_PORT") + "/" + name;
    }

    /** Brings its tables to this version, as the command does before it starts the application. */
    public static void upgrade(String url) {
        new Upgrade(
                        url,
                        System.getenv("HOMALON_DB_OWNER"),
                        System.getenv("HOMALON_DB_OWNER_PASSWORD"),
                        System.getenv("HOMALON_DB_USER"))
                .run();
    }

    /** What only the one who owns the server may do. */
    public static void asAdmin(String database, String sql) {
        try (Connection c = DriverManager.getConnection(
                        url(database), "homalon_admin", System.getenv("HOMALON_TEST_ADMIN_PASSWORD"));
                Statement s = c.createStatement()) {
            s.execute(sql);
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    /** The first column of what a shop's database answers. */
    public static List<String> asked(RunningShop.Shop shop, String sql) {
        return shop.bean(JdbcClient.class).sql(sql).query(String.class).list();
    }

    /** The first column of what a database answers, asked as the one who owns the server. */
    public static List<String> askedAt(String url, String sql) {
        try (Connection c = DriverManager.getConnection(
                        url, "homalon_admin", System.getenv("HOMALON_TEST_ADMIN_PASSWORD"));
                Statement s = c.createStatement();
                ResultSet found = s.executeQuery(sql)) {
            List<String> all = new ArrayList<>();
            while (found.next()) {
                all.add(found.getString(1));
            }
            return all;
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }
}
