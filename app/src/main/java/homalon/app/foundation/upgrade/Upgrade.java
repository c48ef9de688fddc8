package homalon.app.foundation.upgrade;

import java.io.IOException;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.flywaydb.core.api.MigrationInfoService;
import org.flywaydb.core.api.MigrationState;
import org.flywaydb.core.api.MigrationVersion;

/**
 * The tables of one database, and the way from what they are to what this version needs.
 *
 * @param appRole the application's own role, to which each migration grants the least it needs
 */
public record Upgrade(String url, String owner, String password, String appRole) {
    private static final String HISTORY = "flyway_schema_history";

    /** What stands between a database and this version. */
    public enum Standing {
        /** No table yet. */
        EMPTY,
        /** Nothing to do. */
        CURRENT,
        /** Migrations or mends are to be run. */
        OLDER
    }

    /** The database was written by a later version, which this one would misread. */
    public static final class NewerException extends IllegalStateException {
        private static final long serialVersionUID = 1L;

        NewerException(MigrationVersion theirs, MigrationVersion ours) {
            super("the data were written by a newer version of Homalon (tables " + theirs + "; this one knows " + ours
                    + "): start that version, or restore the backup that was taken before the upgrade");
        }
    }

    /** @throws NewerException when the database is ahead of this version */
    public Standing standing() {
        MigrationInfoService info = flyway().info();
        MigrationInfo[] all = info.all();
        MigrationVersion ours = Arrays.stream(all)
                .filter(m -> !future(m))
                .map(MigrationInfo::getVersion)
                .filter(v -> v != null)
                .max(MigrationVersion::compareTo)
                .orElseThrow();
        Optional<MigrationInfo> ahead =
                Arrays.stream(all).filter(Upgrade::future).findFirst();
        if (ahead.isPresent()) {
            throw new NewerException(ahead.get().getVersion(), ours);
        }
        if (info.applied().length == 0) {
            return Standing.EMPTY;
        }
        return info.pending().length > 0 || !mends().isEmpty() ? Standing.OLDER : Standing.CURRENT;
    }

    private static boolean future(MigrationInfo m) {
        return m.getState() == MigrationState.FUTURE_SUCCESS || m.getState() == MigrationState.FUTURE_FAILED;
    }

    /**
     * Mends what was made by an edited migration, then migrates.
     *
     * @throws NewerException when the database is ahead of this version; nothing is changed then
     */
    public void run() {
        standing();
        Map<String, MigrationRepair> mends = mends();
        Flyway flyway = flyway();
        if (!mends.isEmpty()) {
            mends.values().forEach(this::mend);
            // The history names the texts that ship now; the mends have brought the tables to them.
            flyway.repair();
        }
        flyway.migrate();
    }

    private Flyway flyway() {
        return Flyway.configure()
                .dataSource(url, owner, password)
                .locations("classpath:db/migration")
                .placeholders(Map.of("app_role", appRole))
                .load();
    }

    /** The mends that this database needs, by version, the oldest first. */
    private Map<String, MigrationRepair> mends() {
        Map<String, MigrationRepair> found = new LinkedHashMap<>();
        try (Connection c = DriverManager.getConnection(url, owner, password);
                Statement s = c.createStatement()) {
            try (ResultSet there = s.executeQuery("select to_regclass('" + HISTORY + "') is not null")) {
                there.next();
                if (!there.getBoolean(1)) {
                    return found;
                }
            }
            try (ResultSet rows = s.executeQuery(
                    "select version, checksum from " + HISTORY + " where success order by installed_rank")) {
                while (rows.next()) {
                    String version = rows.getString(1);
                    MigrationRepair.of(version, rows.getInt(2)).ifPresent(m -> found.put(version, m));
                }
            }
        } catch (SQLException e) {
            throw new IllegalStateException("the database does not answer: " + e.getMessage(), e);
        }
        return found;
    }

    private void mend(MigrationRepair mend) {
        try (Connection c = DriverManager.getConnection(url, owner, password);
                Statement s = c.createStatement()) {
            c.setAutoCommit(false);
            s.execute(mend.sql().replace("${app_role}", appRole));
            c.commit();
        } catch (SQLException e) {
            throw new IllegalStateException("a table of an older version could not be mended: " + e.getMessage(), e);
        }
    }

    /**
     * {@code plan} ends with 0 when nothing is to be done, 10 for an empty database, 11 for an older one; {@code run} does it.
     * Both end with 3 and a sentence when the data are newer. Reads {@code name=value} lines from standard input, so that no
     * password stands on a command line.
     */
    public static void main(String[] args) throws IOException {
        Map<String, String> given = CommandInput.read();
        Upgrade upgrade =
                new Upgrade(given.get("url"), given.get("owner"), given.get("password"), given.get("app_role"));
        try {
            if (args.length > 0 && args[0].equals("plan")) {
                System.exit(
                        switch (upgrade.standing()) {
                            case CURRENT -> 0;
                            case EMPTY -> 10;
                            case OLDER -> 11;
                        });
            }
            upgrade.run();
        } catch (NewerException e) {
            System.err.println("homalon: " + e.getMessage());
            System.exit(3);
        } catch (RuntimeException e) {
            System.err.println("homalon: the tables could not be brought to this version: " + e.getMessage());
            System.exit(1);
        }
    }
}
