package homalon.app.packaged;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;

/** A command as a person types it, with a home and ports of its own. */
final class Program {
    private final Path command;
    private final Map<String, String> environment = new TreeMap<>();

    /** What a command said before it ended. */
    record Said(int code, String text) {
        Said well() {
            assertEquals(0, code, text);
            return this;
        }
    }

    /** A command that goes on, from its word "ready" until it is ended. */
    record Serving(Process process, List<String> said) {
        String line(String with) {
            synchronized (said) {
                return said.stream()
                        .filter(l -> l.contains(with))
                        .findFirst()
                        .orElseThrow(() -> new AssertionError(said));
            }
        }
    }

    Program(Path command, Path home) {
        this.command = command;
        environment.put("HOMALON_HOME", home.toString());
        environment.putAll(ports());
    }

    /** Ports that nobody has. */
    static Map<String, String> ports() {
        Map<String, String> ports = new TreeMap<>();
        for (String port : List.of(
                "HOMALON_PORT",
                "HOMALON_PG_PORT",
                "HOMALON_GAUGE_PORT",
                "HOMALON_WATCH_PORT",
                "HOMALON_CUSTOMER_PORT")) {
            ports.put(port, Integer.toString(freePort()));
        }
        return ports;
    }

    /** A home that the program makes itself, in a folder that its own user may write to, whoever that is. */
    static Path home(Path in, String name) throws IOException {
        return open(in).resolve(name);
    }

    /** A folder that everybody may write to. */
    static Path open(Path folder) throws IOException {
        return Files.setPosixFilePermissions(
                Files.createDirectories(folder), PosixFilePermissions.fromString("rwxrwxrwx"));
    }

    Program with(String name, String value) {
        environment.put(name, value);
        return this;
    }

    String setting(String name) {
        return environment.get(name);
    }

    private static int freePort() {
        try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            return socket.getLocalPort();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private Process begin(String... words) throws IOException {
        List<String> all = new ArrayList<>(List.of(command.toString()));
        all.addAll(List.of(words));
        ProcessBuilder builder = new ProcessBuilder(all).redirectErrorStream(true);
        builder.environment().keySet().removeIf(k -> k.startsWith("HOMALON_"));
        builder.environment().putAll(environment);
        return builder.start();
    }

    Said run(String... words) throws IOException, InterruptedException {
        Process process = begin(words);
        String text = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertTrue(process.waitFor(300, TimeUnit.SECONDS), text);
        return new Said(process.exitValue(), text);
    }

    /** Any other program. */
    static Said other(String... words) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(words).redirectErrorStream(true).start();
        String text = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertTrue(process.waitFor(120, TimeUnit.SECONDS), text);
        return new Said(process.exitValue(), text);
    }

    Serving serve(String word) throws IOException, InterruptedException {
        Process process = begin(word);
        List<String> said = new ArrayList<>();
        Thread reader = new Thread(() -> {
            try (BufferedReader in =
                    new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8))) {
                for (String line = in.readLine(); line != null; line = in.readLine()) {
                    synchronized (said) {
                        said.add(line);
                        said.notifyAll();
                    }
                }
            } catch (IOException e) {
                // It has ended.
            }
        });
        reader.setDaemon(true);
        reader.start();
        Serving serving = new Serving(process, said);
        await(serving, "ready", 1);
        return serving;
    }

    /** Until a line has been said that often. */
    static void await(Serving serving, String line, int times) throws InterruptedException {
        long until = System.nanoTime() + TimeUnit.MINUTES.toNanos(4);
        synchronized (serving.said()) {
            while (serving.said().stream().filter(line::equals).count() < times) {
                assertTrue(
                        serving.process().isAlive() && System.nanoTime() < until,
                        () -> String.join("\n", serving.said()));
                serving.said().wait(500);
            }
        }
    }
}
