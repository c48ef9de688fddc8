package homalon.app.testing;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/** A PostgreSQL of a test's own, with the passwords of the test command's, to be copied, killed and promoted. */
public final class Cluster implements AutoCloseable {
    private final Path home;
    private final int port;

    private Cluster(Path home, int port) {
        this.home = home;
        this.port = port;
    }

    public int port() {
        return port;
    }

    /** With the roles and an empty database named homalon. */
    public static Cluster made() {
        Cluster made = new Cluster(folder(), freePort());
        Path password = made.home.resolve("password");
        made.write(password, System.getenv("HOMALON_TEST_ADMIN_PASSWORD") + "\n");
        made.run(
                bin("initdb"),
                "-D",
                made.data(),
                "-U",
                "homalon_admin",
                "--pwfile=" + password,
                "--auth=scram-sha-256",
                "-E",
                "UTF8",
                "--locale=C.UTF-8");
        made.start();
        made.sql(
                "postgres",
                "create role homalon_owner login password '" + System.getenv("HOMALON_DB_OWNER_PASSWORD") + "'");
        made.sql("postgres", "create role homalon_app login password '" + System.getenv("HOMALON_DB_PASSWORD") + "'");
        made.sql("postgres", "create database homalon owner homalon_owner");
        made.sql("homalon", "revoke all on schema public from public; alter schema public owner to homalon_owner");
        made.sql("postgres", "grant connect on database homalon to homalon_app");
        return made;
    }

    /** A running copy, for whose word each commit waits from now on. */
    public Cluster synchronousCopy() {
        Cluster copy = new Cluster(folder(), freePort());
        Path pass = copy.home.resolve("pgpass");
        copy.write(pass, "127.0.0.1:*:*:homalon_admin:" + System.getenv("HOMALON_TEST_ADMIN_PASSWORD") + "\n");
        copy.run(
                "env",
                "PGPASSFILE=" + pass,
                bin("pg_basebackup"),
                "-D",
                copy.data(),
                "-R",
                "-X",
                "stream",
                "--checkpoint=fast",
                "-d",
                "postgresql://homalon_admin@127.0.0.1:" + port + "/?application_name=copy");
        copy.start();
        sql("postgres", "alter system set synchronous_standby_names = 'copy'");
        sql("postgres", "select pg_reload_conf()");
        return copy;
    }

    private void start() {
        run(
                bin("pg_ctl"),
                "-D",
                data(),
                "-w",
                "-l",
                home.resolve("log").toString(),
                "start",
                "-o",
                "-p " + port + " -k " + home + " -c listen_addresses=127.0.0.1 -c fsync=off");
    }

    /** As a machine that lost its power: nothing is written any more, nobody is told. */
    public void kill() {
        try {
            String pid = Files.readAllLines(Path.of(data(), "postmaster.pid")).get(0);
            new ProcessBuilder("pkill", "-9", "-P", pid).start().waitFor();
            new ProcessBuilder("kill", "-9", pid).start().waitFor();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    public void promote() {
        sql("postgres", "select pg_promote()");
        sql("postgres", "alter system reset synchronous_standby_names");
        sql("postgres", "select pg_reload_conf()");
    }

    @Override
    public void close() {
        kill();
        try (Stream<Path> all = Files.walk(home)) {
            all.sorted(Comparator.reverseOrder()).forEach(p -> p.toFile().delete());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private String data() {
        return home.resolve("data").toString();
    }

    private void sql(String database, String sql) {
        try (Connection c = DriverManager.getConnection(
                        "jdbc:postgresql://127.0.0.1:" + port + "/" + database,
                        "homalon_admin",
                        System.getenv("HOMALON_TEST_ADMIN_PASSWORD"));
                Statement s = c.createStatement()) {
            s.execute(sql);
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    private void write(Path file, String text) {
        try {
            Files.writeString(file, text);
            Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rw-------"));
            if (root()) {
                new ProcessBuilder("chown", "-R", "postgres:", home.toString())
                        .start()
                        .waitFor();
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** PostgreSQL does not run as root. */
    private void run(String... command) {
        List<String> all = new ArrayList<>();
        if (root()) {
            all.addAll(List.of("setpriv", "--reuid", "postgres", "--regid", "postgres", "--init-groups", "--"));
        }
        all.addAll(List.of(command));
        try {
            Path said = home.resolve("said");
            Process process = new ProcessBuilder(all)
                    .directory(Path.of("/").toFile())
                    .redirectErrorStream(true)
                    .redirectOutput(said.toFile())
                    .start();
            if (process.waitFor() != 0) {
                throw new IllegalStateException(String.join(" ", command) + ": " + Files.readString(said));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private static boolean root() {
        return System.getProperty("user.name").equals("root");
    }

    private static String bin(String name) {
        try (Stream<Path> versions = Files.list(Path.of("/usr/lib/postgresql"))) {
            return versions.map(v -> v.resolve("bin").resolve(name))
                    .filter(Files::isExecutable)
                    .max(Comparator.naturalOrder())
                    .orElseThrow()
                    .toString();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Path folder() {
        try {
            Path made = Files.createTempDirectory(Path.of("/tmp"), "homalon-pg");
            Files.setPosixFilePermissions(made, PosixFilePermissions.fromString("rwx------"));
            if (root()) {
                new ProcessBuilder("chown", "postgres:", made.toString())
                        .start()
                        .waitFor();
            }
            return made;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private static int freePort() {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
