package homalon.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is written about the house names what stands in it. */
class DocsTest {
    private static final Path ROOT = Path.of("").toAbsolutePath().getParent();
    /** A class by its name, with or without packages before it and a member behind it. */
    private static final Pattern NAMED = Pattern.compile("`(?:[a-z]+\\.)*([A-Z][a-z]\\w+)[.\\w]*`");

    private static Set<String> classes() throws IOException {
        Set<String> all = new TreeSet<>();
        for (String from : new String[] {"core/src", "app/src"}) {
            try (Stream<Path> files = Files.walk(ROOT.resolve(from))) {
                all.addAll(files.map(f -> f.getFileName().toString())
                        .filter(n -> n.endsWith(".java"))
                        .map(n -> n.substring(0, n.length() - 5))
                        .collect(Collectors.toSet()));
            }
        }
        return all;
    }

    @ParameterizedTest
    @ValueSource(strings = {"CONTRIBUTING.md", "docs/glossary.md", "docs/architecture.md"})
    void everyClassThatIsNamedExists(String page) throws IOException {
        Set<String> unknown = new TreeSet<>();
        Matcher named = NAMED.matcher(Files.readString(ROOT.resolve(page)));
        int all = 0;
        while (named.find()) {
            unknown.add(named.group(1));
            all++;
        }
        unknown.removeAll(classes());
        assertTrue(all > 5, "names are found");
        assertEquals(Set.of(), unknown);
    }

    /** A word of the glossary is used on the pages that it names, and those pages are there. */
    @Test
    void everyWordIsUsedWhereTheGlossarySays() throws IOException {
        Set<String> pages;
        try (Stream<Path> files = Files.walk(ROOT.resolve("app/src/main/java"))) {
            pages = files.filter(f -> f.toString().endsWith("HelpTopic.java"))
                    .flatMap(f -> PAGE.matcher(read(f)).results())
                    .map(m -> m.group(1))
                    .collect(Collectors.toCollection(TreeSet::new));
        }
        List<String> wrong = new ArrayList<>();
        int rows = 0;
        for (String line : Files.readAllLines(ROOT.resolve("docs/glossary.md"))) {
            String[] cells = line.split("\\|");
            if (cells.length != 5 || !line.startsWith("| ") || line.startsWith("| word")) {
                continue;
            }
            rows++;
            String where = cells[4].strip();
            if (!where.equals("everywhere")) {
                Stream.of(where.split(", (and .*)?"))
                        .filter(p -> !p.isBlank() && !pages.contains(p))
                        .forEach(p -> wrong.add(cells[1].strip() + ": " + p));
            }
        }
        assertTrue(rows > 25, rows + " words");
        assertEquals(List.of(), wrong);
    }

    private static final Pattern PAGE = Pattern.compile("\"([a-z-]+)\"");

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
