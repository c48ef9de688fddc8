package homalon.app.packaged;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** The package as the command makes it, and the tree that it unpacks to. */
final class Packed {
    private Packed() {}

    static Path deb(Path home) throws Exception {
        Path root = Path.of("..").toAbsolutePath().normalize();
        ProcessBuilder builder = new ProcessBuilder(root.resolve("homalon").toString(), "package");
        builder.environment().put("HOMALON_PACKAGE_BUILT", "yes");
        builder.environment().put("HOMALON_HOME", home.toString());
        Process process = builder.redirectErrorStream(true).start();
        String said = new String(process.getInputStream().readAllBytes()).strip();
        assertEquals(0, process.waitFor(), said);
        return Path.of(said.lines().reduce((a, b) -> b).orElseThrow());
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
