package homalon.app.packaged;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.List;

/** The package as the command makes it, and the tree that it unpacks to. */
final class Packed {
    private Packed() {}

    /** A copy of its own: two tests at once make the same package, one after the other. */
    static Path deb(Path home) throws Exception {
        Path root = Path.of("..").toAbsolutePath().normalize();
        Path gate = Files.createDirectories(root.resolve("app/target")).resolve("package.lock");
        try (FileChannel channel = FileChannel.open(gate, StandardOpenOption.CREATE, StandardOpenOption.WRITE);
                FileLock lock = channel.lock()) {
            assertTrue(lock.isValid());
            ProcessBuilder builder = new ProcessBuilder(root.resolve("homalon").toString(), "package");
            builder.environment().put("HOMALON_PACKAGE_BUILT", "yes");
            builder.environment().put("HOMALON_HOME", home.toString());
            Process process = builder.redirectErrorStream(true).start();
            String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip();
            assertEquals(0, process.waitFor(), said);
            Path made = Path.of(said.lines().reduce((a, b) -> b).orElseThrow());
            return Files.copy(made, Files.createDirectories(home.resolve("own")).resolve(made.getFileName()));
        }
    }

    static Path unpacked(Path deb, Path tree) throws Exception {
        for (String part : List.of("info", "updates", "triggers")) {
            Files.createDirectories(tree.resolve("var/lib/dpkg/" + part));
        }
        Files.createFile(tree.resolve("var/lib/dpkg/status"));
        Program.other("dpkg", "--root=" + tree, "--force-depends", "--force-not-root", "--unpack", deb.toString())
                .well();
        return tree;
    }
}
