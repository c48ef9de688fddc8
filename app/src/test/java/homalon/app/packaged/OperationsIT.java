package homalon.app.packaged;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** docs/operations.md, done as it is written. How two instances and a pair are run is done by other tests. */
class OperationsIT {
    private static final Path MANUAL = Path.of("..", "docs", "operations.md");
    private static final String ELSEWHERE = "Two instances, and a pair of databases";

    @TempDir
    static Path folder;

    @Test
    void theManualCanBeFollowedFromTheTop() throws Exception {
        Path deb = Packed.deb(folder.resolve("build"));
        Path tree = Packed.unpacked(deb, folder.resolve("tree"));
        Map<String, String> ports = new TreeMap<>(Program.ports());
        ports.put("HOMALON_HOME", folder.resolve("desk/home").toString());
        Program.open(folder);
        Manual manual = new Manual(folder.resolve("desk"), tree.resolve("usr/bin/homalon"), deb, ports);
        Map<String, String> said = new TreeMap<>();
        List<String> done = new ArrayList<>();
        try {
            for (Manual.Block block : Manual.blocks(MANUAL)) {
                if (!block.section().equals(ELSEWHERE)) {
                    said.merge(block.section(), manual.follow(block), (a, b) -> a + b);
                    done.add(block.section());
                }
            }
        } finally {
            manual.type("homalon stop");
        }
        assertEquals(
                List.of(
                        "Install",
                        "Open it to phones, tablets and a second bench",
                        "Back up",
                        "Back up",
                        "Restore",
                        "Prove"),
                done.subList(0, 6));
        assertTrue(said.get("Install").contains("/first-visit"), "the journal shows the first visit");
        assertTrue(
                Files.readString(folder.resolve("desk/journal")).contains("serves https://127.0.0.5"),
                "opened by HTTPS");
        assertTrue(said.get("Back up").contains("whole"), said.get("Back up"));
        assertTrue(said.get("Restore").contains("restored"), said.get("Restore"));
        assertTrue(said.get("Prove").contains("all agree"), said.get("Prove"));
    }
}
