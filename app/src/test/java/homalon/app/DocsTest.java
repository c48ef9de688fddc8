package homalon.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
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
}
