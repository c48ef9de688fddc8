package homalon.app.foundation.upgrade;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;

/**
 * What a home lacks that was made with an earlier text of a migration. Four texts were changed after homes had been made with
 * them; none is ever changed again (a test holds their sums).
 *
 * @param version of the migration
 * @param checksum of the text that the home was made with, as its history keeps it
 * @param sql that brings the tables from there to the text that ships
 */
record MigrationRepair(String version, int checksum, String sql) {
    private record Known(String version, int checksum, String file) {}

    private static final List<Known> ALL = List.of(
            new Known("1", -2136811599, "V1_first_text.sql"),
            new Known("1", -723773932, "V1_second_text.sql"),
            new Known("11", -308287529, "V11_first_text.sql"),
            new Known("14", -577197749, "V14_first_text.sql"));

    static Optional<MigrationRepair> of(String version, int checksum) {
        return ALL.stream()
                .filter(k -> k.version().equals(version) && k.checksum() == checksum)
                .map(k -> new MigrationRepair(version, checksum, text(k.file())))
                .findFirst();
    }

    private static String text(String file) {
        try (InputStream in = MigrationRepair.class.getResourceAsStream("/db/repair/" + file)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
