package homalon.app.foundation.carry;

import homalon.app.foundation.upgrade.CommandInput;
import java.io.BufferedOutputStream;
import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.Map;
import java.util.function.IntConsumer;

/**
 * {@code homalon out} and {@code homalon in}: the whole shop to standard output, or out of a file. Reads {@code name=value} lines from
 * standard input, so that no password stands on a command line.
 */
public final class Carry {
    private Carry() {}

    public static void main(String[] args) throws IOException {
        Map<String, String> given = CommandInput.read();
        IntConsumer progress = Progress.onTerminal("yes".equals(given.get("terminal")));
        try (Connection c = DriverManager.getConnection(given.get("url"), given.get("owner"), given.get("password"))) {
            if (args[0].equals("out")) {
                try (OutputStream out = new BufferedOutputStream(new FileOutputStream(FileDescriptor.out))) {
                    WriteOut.to(out, c, given.getOrDefault("program", "?"), progress);
                }
                return;
            }
            Map<String, Long> rows = ReadIn.from(Path.of(given.get("file")), c, progress);
            System.out.println("Castings: " + rows.get("part") + ", visits: " + rows.get("job") + ", customers: "
                    + rows.get("customer")
                    + ", lines in all: "
                    + rows.values().stream().mapToLong(Long::longValue).sum());
        } catch (ReadIn.NotReadInException e) {
            System.err.println("homalon: nothing was read in: " + e.getMessage());
            System.exit(1);
        } catch (SQLException e) {
            System.err.println("homalon: the database does not answer, or refused it: " + e.getMessage());
            System.exit(1);
        }
    }
}
