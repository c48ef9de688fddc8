package homalon.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.RandomAccessFile;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What the command says when it cannot do what it is asked: a sentence and a true exit code, never a trace. */
class CommandTest {
    @TempDir
    Path home;

    private record Said(int code, String text) {}

    private Said run(Map<String, String> environment, String... words) throws IOException, InterruptedException {
        String[] command = new String[words.length + 1];
        command[0] = Path.of("..", "homalon").toAbsolutePath().normalize().toString();
        System.arraycopy(words, 0, command, 1, words.length);
        ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
        builder.environment().put("HOMALON_HOME", home.resolve("data").toString());
        builder.environment().putAll(environment);
        Process process = builder.start();
        String text = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertTrue(process.waitFor(60, TimeUnit.SECONDS));
        assertFalse(text.contains("Exception") || text.contains("\tat "), text);
        return new Said(process.exitValue(), text);
    }

    @Test
    void helpNamesEveryCommandAndAnUnknownOneIsRefused() throws Exception {
        Said help = run(Map.of(), "help");
        assertEquals(0, help.code());
        for (String word : new String[] {"demo", "start", "test", "stop", "reset-demo", "help"}) {
            assertTrue(help.text().contains("./homalon " + word), help.text());
        }
        Said unknown = run(Map.of(), "dance");
        assertEquals(2, unknown.code());
        assertTrue(unknown.text().contains("there is no \"dance\""), unknown.text());
        for (String word : new String[] {"demo", "start", "stop", "test", "package", "version"}) {
            Said more = run(Map.of(), word, "--fast");
            assertEquals(2, more.code(), word);
            assertTrue(more.text().contains("does not know \"--fast\""), more.text());
        }
    }

    @Test
    void whatIsNoAddressIsToldBeforeAnythingIsMade() throws Exception {
        Said said = run(Map.of("HOMALON_PUBLIC", "bench"), "start");
        assertEquals(1, said.code());
        assertTrue(said.text().contains("HOMALON_PUBLIC=bench is no address"), said.text());
        assertFalse(Files.exists(home.resolve("data").resolve("pg")));
    }

    /** Ctrl-C reaches the command and the build that it waits for. */
    @Test
    void whoStopsABuildIsToldThatNothingIsLost() throws Exception {
        Path tools = Files.createDirectories(home.resolve("tools"));
        Path mvn = Files.writeString(tools.resolve("mvn"), "#!/bin/sh\nexec sleep 60\n");
        assertTrue(mvn.toFile().setExecutable(true));
        ProcessBuilder builder = new ProcessBuilder(
                        // Whoever started the tests in the background had the signal ignored.
                        "setsid",
                        "env",
                        "--default-signal=INT",
                        Path.of("..", "homalon").toAbsolutePath().normalize().toString(),
                        "start")
                .redirectErrorStream(true);
        builder.environment().put("HOMALON_HOME", home.resolve("data").toString());
        builder.environment().put("HOMALON_PORT", freePort());
        builder.environment().put("PATH", tools + ":" + System.getenv("PATH"));
        Process process = builder.start();
        StringBuilder said = new StringBuilder();
        try (BufferedReader out =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8))) {
            for (String line = out.readLine(); line != null; line = out.readLine()) {
                said.append(line).append('\n');
                if (line.startsWith("Building")) {
                    Thread.sleep(300);
                    new ProcessBuilder("kill", "-INT", "--", "-" + process.pid())
                            .start()
                            .waitFor();
                }
            }
        }
        assertTrue(process.waitFor(10, TimeUnit.SECONDS));
        assertEquals(130, process.exitValue(), said.toString());
        assertTrue(said.toString().contains("stopped while building; nothing is lost"), said.toString());
    }

    /** A time is keyed by the machine's clock; nothing is made where there is nothing to restore from. */
    @Test
    void aMomentIsOneOfThisMachinesClock() throws Exception {
        Path archive = Files.createDirectories(home.resolve("archive"));
        Said said = run(Map.of("TZ", "Etc/GMT-3"), "restore", archive.toString(), "2020-01-01 12:00");
        assertEquals(1, said.code());
        assertTrue(said.text().contains("holds no copy from before 2020-01-01 09:00:00"), said.text());
        assertTrue(said.text().contains("nothing was restored"), said.text());
        Said never = run(Map.of(), "restore", archive.toString(), "when it was fine");
        assertTrue(never.text().contains("when it was fine is no time"), never.text());
    }

    private static String freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            return Integer.toString(socket.getLocalPort());
        }
    }

    /** A start right after a stop waits for it instead of refusing. */
    @Test
    void aStartWaitsForTheStopBeforeIt() throws Exception {
        Path lock = home.resolve("data/run/lock");
        Files.createDirectories(lock.getParent());
        Files.createFile(home.resolve("data/run/stopping"));
        Process holder = new ProcessBuilder("flock", lock.toString(), "sleep", "3").start();
        try {
            while (new ProcessBuilder("flock", "-n", lock.toString(), "true")
                            .start()
                            .waitFor()
                    == 0) {
                Thread.onSpinWait();
            }
            Said said = run(Map.of(), "reset-demo");
            assertEquals(0, said.code(), said.text());
            assertTrue(said.text().contains("Waiting for the one before to stop"), said.text());
        } finally {
            holder.descendants().forEach(ProcessHandle::destroyForcibly);
            holder.destroyForcibly();
        }
    }

    @Test
    void aPortInUseIsToldWithAnotherOneToTry() throws Exception {
        try (ServerSocket taken = new ServerSocket(0, 1, InetAddress.getByName("127.0.0.1"))) {
            Said said = run(Map.of("HOMALON_PORT", Integer.toString(taken.getLocalPort())), "demo");
            assertEquals(1, said.code());
            assertTrue(said.text().contains("port " + taken.getLocalPort() + " is in use"), said.text());
            assertTrue(said.text().contains("HOMALON_PORT="), said.text());
        }
    }

    @Test
    void aFullDiskIsToldBeforeAnythingIsMade() throws Exception {
        Said said = run(Map.of("HOMALON_LEAST_MB", "999999999"), "demo");
        assertEquals(1, said.code());
        assertTrue(said.text().contains("make room"), said.text());
        assertFalse(Files.exists(home.resolve("data").resolve("pg")));
    }

    @Test
    void aFolderThatCannotBeMadeIsTold() throws Exception {
        Path file = Files.writeString(home.resolve("file"), "in the way");
        Said said = run(Map.of("HOMALON_HOME", file.resolve("data").toString()), "start");
        assertEquals(1, said.code());
        assertTrue(said.text().contains("cannot be made"), said.text());
    }

    @Test
    void aSecondStartIsToldThatOneRuns() throws Exception {
        Path lock = home.resolve("data/run/lock");
        Files.createDirectories(lock.getParent());
        Process holder = new ProcessBuilder("flock", lock.toString(), "sleep", "30").start();
        try {
            // Until the lock is held, a try for it succeeds.
            while (new ProcessBuilder("flock", "-n", lock.toString(), "true")
                            .start()
                            .waitFor()
                    == 0) {
                Thread.onSpinWait();
            }
            Said said = run(Map.of(), "demo");
            assertEquals(1, said.code());
            assertTrue(said.text().contains("./homalon stop"), said.text());
        } finally {
            holder.descendants().forEach(ProcessHandle::destroyForcibly);
            holder.destroyForcibly();
        }
    }

    /** A lock file that a kill -9 left behind is no lock. */
    @Test
    void aStaleLockIsNoHindrance() throws Exception {
        Path lock = home.resolve("data/run/lock");
        Files.createDirectories(lock.getParent());
        try (RandomAccessFile left = new RandomAccessFile(lock.toFile(), "rw")) {
            left.writeBytes("99999");
        }
        Said said = run(Map.of(), "reset-demo");
        assertEquals(0, said.code(), said.text());
        assertTrue(said.text().contains("no sample data yet"), said.text());
    }
}
