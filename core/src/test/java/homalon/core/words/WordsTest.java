package homalon.core.words;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.lang.reflect.Method;
import java.nio.file.Files;
import java.nio.file.Path;
import java.text.MessageFormat;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Properties;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The files of words and the code that asks for them know each other, both ways. */
class WordsTest {
    private static final Path WORDS = Path.of("src/main/resources/homalon/words");
    private static final Path SOURCES = Path.of("src/main/java");
    private static final Pattern ASKED = Pattern.compile("\"((?:[a-z]+|text)\\.[a-z0-9-]+)\"");
    private static final Pattern NUMBER = Pattern.compile("\\{(\\d+)}");

    private static Map<String, String> patterns() throws IOException {
        Map<String, String> all = new TreeMap<>();
        try (Stream<Path> files = Files.list(WORDS)) {
            for (Path file : files.toList()) {
                Properties room = new Properties();
                try (var in = Files.newBufferedReader(file)) {
                    room.load(in);
                }
                String name = file.getFileName().toString().replace(".properties", "");
                room.forEach((code, words) -> {
                    assertTrue(code.toString().startsWith(name + "."), code + " in " + file);
                    all.put(code.toString(), words.toString());
                });
            }
        }
        return all;
    }

    private static Set<String> asked() throws IOException {
        Set<String> asked = new TreeSet<>();
        try (Stream<Path> files = Files.walk(SOURCES)) {
            for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
                Matcher m = ASKED.matcher(Files.readString(file));
                while (m.find()) {
                    asked.add(m.group(1));
                }
            }
        }
        return asked;
    }

    private static List<Message> constants() throws ReflectiveOperationException {
        List<Message> said = new ArrayList<>();
        for (JavaClass c : new ClassFileImporter()
                .withImportOption(new ImportOption.DoNotIncludeTests())
                .importPackages("homalon.core")) {
            if (!c.isEnum()) {
                continue;
            }
            for (Object constant : Class.forName(c.getName()).getEnumConstants()) {
                for (Method m : ((Enum<?>) constant).getDeclaringClass().getMethods()) {
                    if (m.getReturnType() == Message.class && m.getParameterCount() == 0) {
                        m.setAccessible(true);
                        said.add((Message) m.invoke(constant));
                    }
                }
            }
        }
        return said;
    }

    @Test
    void everyCodeHasItsWordsAndNoWordsAreLeftOver() throws Exception {
        Map<String, String> patterns = patterns();
        Set<String> codes = asked();
        constants().stream().filter(m -> !m.isEmpty()).forEach(m -> codes.add(m.code()));
        Set<String> without = new TreeSet<>(codes);
        without.removeAll(patterns.keySet());
        assertEquals(Set.of(), without);
        Set<String> leftOver = new TreeSet<>(patterns.keySet());
        leftOver.removeAll(codes);
        assertEquals(Set.of(), leftOver);
    }

    @Test
    void everyConstantIsSaidInWords() throws Exception {
        List<Message> said = constants();
        assertTrue(said.size() > 300, said.size() + " constants");
        for (Message m : said) {
            assertTrue(m.isEmpty() || !English.of(m).isBlank(), m.toString());
        }
    }

    /** A number that is left out would be something that is not said; a sign that is not doubled would hide one. */
    @Test
    void everyPatternNumbersWhatStandsInItWithoutAGap() throws IOException {
        patterns().forEach((code, words) -> {
            Set<Integer> numbers = new TreeSet<>();
            NUMBER.matcher(words).results().forEach(r -> numbers.add(Integer.valueOf(r.group(1))));
            for (int i = 0; i < numbers.size(); i++) {
                assertTrue(numbers.contains(i), code + ": " + words);
            }
            Object[] args = numbers.stream().map(n -> "«" + n + "»").toArray();
            String shown = new MessageFormat(words, Locale.ROOT).format(args);
            numbers.forEach(n -> assertTrue(shown.contains("«" + n + "»"), code + ": " + shown));
            assertFalse(shown.isBlank() && !words.isBlank(), code);
        });
    }

    /**
     * Names of places and valves are data, kept with what was read there, and so is what stands in a table that is brought along; a
     * stock of shims says its own for a programmer.
     */
    private static final Set<String> OF_DATA = Set.of(
            "PlaceNames.java",
            "ValvePattern.java",
            "FeelerProposal.java",
            "ShimStock.java",
            "TableKind.java",
            "CastingLine.java",
            "Removal.java",
            "Heading.java");

    private static final Pattern LITERAL = Pattern.compile("\"(?:[^\"\\\\]|\\\\.)*\"");
    private static final Pattern COMMENT = Pattern.compile("(?s)/\\*.*?\\*/|(?m)^\\s*//.*$");
    private static final Pattern TWO_WORDS = Pattern.compile("[A-Za-z]{2,} [a-z]{2,}");

    /** What is told to a programmer is no word of the shop; nor is what is looked for in what was told at the door. */
    @Test
    void noSentenceStandsInTheCode() throws IOException {
        List<String> found = new ArrayList<>();
        try (Stream<Path> files = Files.walk(SOURCES)) {
            for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
                if (OF_DATA.contains(file.getFileName().toString())) {
                    continue;
                }
                String code = COMMENT.matcher(Files.readString(file)).replaceAll("");
                for (String statement : code.split("[;{}]\\s*\\n")) {
                    boolean ofTheShop = !statement.matches("(?s).*(Exception\\(|Pattern\\.compile|toString\\(\\)).*");
                    if (ofTheShop
                            && LITERAL.matcher(statement)
                                    .results()
                                    .anyMatch(r -> TWO_WORDS.matcher(r.group()).find())) {
                        found.add(file.getFileName() + ": " + statement.strip());
                    }
                }
            }
        }
        assertEquals(List.of(), found);
    }

    @Test
    void lengthsStandAfterWhatIsThereAlready() {
        Message m = Message.of("text.difference", "0.30", new Message.Mm(0.1)).with(0.2);
        assertEquals("0.30 − 0.100 = 0.200", English.of(m));
        assertEquals(List.of(0.1, 0.2), English.lengths(m));
        assertEquals("0.30 − {} = {}", English.bare(m));
    }

    @Test
    void whatSaysNothingLeavesNoSignBehind() {
        Message ream = Message.plain("ream");
        assertEquals("", English.of(Message.NONE));
        assertEquals(Message.NONE, Message.plain(""));
        assertEquals("ream", English.of(Message.list(List.of(Message.NONE, ream, Message.NONE))));
        assertEquals("ream, hone", English.of(Message.list(List.of(ream, Message.plain("hone")))));
        assertEquals("ream hone", English.of(Message.sentences(ream, Message.NONE, Message.plain("hone"))));
    }

    @Test
    void aFirstLetterIsWrittenLargeOrSmall() {
        assertEquals("Ream", English.of(Message.capital(Message.plain("ream"))));
        assertEquals("ream", English.of(Message.small(Message.plain("Ream"))));
    }
}
