package homalon.app.packaged;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;

/**
 * Does what a manual says, block by block, with the paths and addresses of a test in place of a real machine's: what is typed is
 * run by a shell, settings go into the configuration. Where a machine has its service manager, the few words that the manual
 * needs of it are done by scripts: start, stop and restart a service, and read its journal.
 */
final class Manual {
    private final Path folder;
    private final Map<String, String> instead = new TreeMap<>(
            Comparator.<String>comparingInt(String::length).reversed().thenComparing(Comparator.naturalOrder()));

    /** One block of a section. */
    record Block(String section, String text) {
        boolean settings() {
            return text.lines().allMatch(l -> l.matches("[A-Z_]+=.*"));
        }
    }

    /** @param command the installed command; {@code deb} lies in the folder where things are typed */
    Manual(Path folder, Path command, Path deb, Map<String, String> ports) throws IOException {
        this.folder = Program.open(folder);
        Program.open(folder.resolve("backups"));
        Path bin = Files.createDirectories(folder.resolve("bin"));
        Files.copy(deb, folder.resolve(deb.getFileName()));
        StringBuilder conf = new StringBuilder();
        ports.forEach((name, port) -> conf.append(name).append('=').append(port).append('\n'));
        Files.writeString(folder.resolve("homalon.conf"), conf);
        script(bin, "homalon", "set -a; . " + folder.resolve("homalon.conf") + "; set +a; exec " + command + " \"$@\"");
        script(bin, "systemctl", """
                case $1 in stop|restart) homalon stop ;; esac
                case $1 in start|restart)
                  before=$(grep -cx ready journal 2>/dev/null || true)
                  (homalon start >>journal 2>&1 </dev/null & echo $! >service)
                  for i in $(seq 1200); do
                    [ "$(grep -cx ready journal)" -gt "${before:-0}" ] && exit 0
                    kill -0 "$(cat service)" 2>/dev/null || { tail journal; exit 1; }
                    sleep 0.2
                  done; exit 1 ;;
                esac
                """);
        script(bin, "journalctl", "tail -n 20 journal");
        script(
                bin,
                "apt-get",
                "[ \"$1\" = install ] && [ -s \"$2\" ] && dpkg-deb --info \"$2\" >/dev/null && systemctl start homalon");
        if (!System.getProperty("user.name").equals("root")) {
            script(bin, "install", "for last; do :; done; mkdir -p \"$last\"");
        }
        instead.put("/var/lib/homalon", folder.resolve("home").toString());
        instead.put("/media/backup", folder.resolve("backups").toString());
        instead.put("HOMALON_ADDRESS=192.168.1.20", "HOMALON_ADDRESS=127.0.0.5");
    }

    private static void script(Path bin, String name, String text) throws IOException {
        Path file = Files.writeString(bin.resolve(name), "#!/bin/bash\n" + text + "\n");
        Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rwxr-xr-x"));
    }

    static List<Block> blocks(Path manual) throws IOException {
        List<Block> all = new ArrayList<>();
        String section = "";
        StringBuilder block = null;
        for (String line : Files.readAllLines(manual)) {
            if (line.startsWith("## ")) {
                section = line.substring(3);
            } else if (line.equals("```")) {
                if (block == null) {
                    block = new StringBuilder();
                } else {
                    all.add(new Block(section, block.toString()));
                    block = null;
                }
            } else if (block != null) {
                block.append(line).append('\n');
            }
        }
        return all;
    }

    /** @return what it said */
    String follow(Block block) throws Exception {
        String text = block.text();
        for (Map.Entry<String, String> one : instead.entrySet()) {
            text = text.replace(one.getKey(), one.getValue());
        }
        if (block.settings()) {
            Files.writeString(folder.resolve("homalon.conf"), Files.readString(folder.resolve("homalon.conf")) + text);
            return type("systemctl restart homalon");
        }
        // The file is named after its time: the youngest that is there.
        return type(text.replaceAll(
                "\\S+/homalon-[0-9TZ]+\\.tar",
                Matcher.quoteReplacement("\"$(ls -t " + folder.resolve("backups") + "/*.tar | head -n 1)\"")));
    }

    String type(String text) throws Exception {
        Path out = folder.resolve("said");
        ProcessBuilder builder = new ProcessBuilder("bash", "-euxc", text)
                .directory(folder.toFile())
                .redirectErrorStream(true)
                .redirectOutput(out.toFile());
        builder.environment().keySet().removeIf(k -> k.startsWith("HOMALON_"));
        builder.environment().put("PATH", folder.resolve("bin") + ":" + System.getenv("PATH"));
        int code = builder.start().waitFor();
        String said = Files.readString(out);
        assertEquals(0, code, said);
        return said;
    }
}
