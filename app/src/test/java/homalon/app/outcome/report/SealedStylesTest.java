package homalon.app.outcome.report;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.TreeSet;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** A page that was sealed is shown as it was written that day: whatever styles it had by name, it keeps. */
class SealedStylesTest {
    private static final Path STYLES = Path.of("frontend", "src");
    private static final Path PAPER =
            Path.of("src", "main", "resources", "templates", "outcome", "report", "paper.html");
    private static final Path SEALED = Path.of("src", "test", "resources", "upgrade", "sealed-classes.txt");

    /** Names of the report's parts that no style on a page asks for. */
    private static final List<String> UNSTYLED = List.of(
            "report-cut",
            "report-face",
            "report-half",
            "report-keep",
            "report-pass",
            "report-picture",
            "report-readings");

    private static String styles() throws IOException {
        try (Stream<Path> files = Files.list(STYLES)) {
            return files.filter(f -> f.toString().endsWith(".css"))
                    .sorted()
                    .map(SealedStylesTest::text)
                    .collect(Collectors.joining("\n"));
        }
    }

    private static String text(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    private static boolean styled(String styles, String name) {
        return Pattern.compile("\\." + Pattern.quote(name) + "(?![\\w-])")
                .matcher(styles)
                .find();
    }

    @Test
    void whatWasSealedKeepsItsStyles() throws IOException {
        String styles = styles();
        List<String> names = Files.readAllLines(SEALED);
        assertTrue(names.size() > 50, "the list is there");
        assertEquals(List.of(), names.stream().filter(n -> !styled(styles, n)).toList());
    }

    /** What is sealed today too: its styles are rules with a name, since a utility goes with the last template that uses it. */
    @Test
    void thePaperIsStyledByNamesAlone() throws IOException {
        String styles = styles();
        TreeSet<String> names = Pattern.compile("class=\"([^\"$]*)\"")
                .matcher(text(PAPER))
                .results()
                .map((MatchResult r) -> r.group(1))
                .flatMap(c -> Arrays.stream(c.split("\\s+")))
                .filter(c -> !c.isEmpty())
                .collect(Collectors.toCollection(TreeSet::new));
        assertTrue(names.contains("report-tag"), "names were found");
        names.removeAll(UNSTYLED);
        assertEquals(List.of(), names.stream().filter(n -> !styled(styles, n)).toList());
    }
}
