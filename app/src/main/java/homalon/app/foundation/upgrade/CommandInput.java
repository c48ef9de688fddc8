package homalon.app.foundation.upgrade;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;

/**
 * What the command tells a program that it runs beside the application: {@code name=value} lines on standard input, so that no
 * password stands on a command line.
 */
public final class CommandInput {
    private CommandInput() {}

    /** All of it, by name. */
    public static Map<String, String> read() throws IOException {
        Map<String, String> given = new HashMap<>();
        new String(System.in.readAllBytes(), StandardCharsets.UTF_8)
                .lines()
                .map(l -> l.split("=", 2))
                .filter(l -> l.length == 2)
                .forEach(l -> given.put(l[0], l[1]));
        return given;
    }
}
