package homalon.app.foundation.words;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.LengthWriter;
import homalon.core.words.Message;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.context.NoSuchMessageException;
import org.springframework.context.i18n.LocaleContextHolder;

class WordsTest {
    private static final Path OWN = Path.of("src/main/resources/homalon/words");
    private static final Path OF_THE_CORE = Path.of("../core/src/main/resources/homalon/words");
    private static final LengthWriter THOU = new LengthWriter(BenchUnit.THOU);

    private static Set<String> rooms(Path folder) throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.map(f -> f.getFileName().toString().replace(".properties", ""))
                    .collect(Collectors.toCollection(TreeSet::new));
        }
    }

    private static Set<String> codes(Path file) throws IOException {
        return Files.readAllLines(file).stream()
                .map(l -> l.substring(0, l.indexOf('=')))
                .collect(Collectors.toCollection(TreeSet::new));
    }

    @Test
    void everyFileOfWordsIsReadAndNoOther() throws IOException {
        Set<String> files = rooms(OF_THE_CORE);
        files.addAll(rooms(OWN));
        assertThat(Words.ROOMS).containsExactlyInAnyOrderElementsOf(files);
    }

    /** What the application asks for, of its own words and of the core's; and that nothing of its own is left over. */
    @Test
    void everyCodeThatIsAskedForHasItsWords() throws IOException {
        Set<String> own = codes(OWN.resolve("app.properties"));
        Set<String> known = new TreeSet<>(own);
        for (String room : rooms(OF_THE_CORE)) {
            known.addAll(codes(OF_THE_CORE.resolve(room + ".properties")));
        }
        Pattern asked = Pattern.compile("\"(app\\.[a-z]+\\.[a-z0-9-]+|text\\.[a-z-]+|(?:"
                + String.join("|", rooms(OF_THE_CORE)) + ")\\.[a-z0-9]+(?:-[a-z0-9]+)+)\"");
        Set<String> used = new TreeSet<>();
        try (Stream<Path> files = Files.walk(Path.of("src/main/java"))) {
            for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
                Matcher m = asked.matcher(Files.readString(file));
                while (m.find()) {
                    used.add(m.group(1));
                }
            }
        }
        assertThat(used).hasSizeGreaterThan(200);
        assertThat(known).containsAll(used);
        assertThat(used).containsAll(own);
    }

    @Test
    void lengthsAreWrittenInTheUnitOfTheBench() {
        Message m = Message.of("text.difference").with(0.0508, 0.0254, 0.0254);
        assertThat(Words.of(m)).isEqualTo("0.051 mm − 0.025 mm = 0.025 mm");
        assertThat(Words.of(m, THOU)).isEqualTo("2.00 thou − 1.00 thou = 1.00 thou");
    }

    /** From 5 mm on a length is a size of the casting, written to a hundredth. */
    @Test
    void sizesAreWrittenAsSizes() {
        assertThat(Words.of(Message.of("text.space").with(4.9994, 412.004))).isEqualTo("4.999 mm 412 mm");
        assertThat(Words.of(Message.of("text.space").with(5, 25.4), THOU)).isEqualTo("0.1969 in 1 in");
    }

    @Test
    void whatStandsInASentenceIsSaidInWordsToo() {
        Message within =
                Message.of("text.colon", Message.capital(Message.plain("bore's edge")), Message.plain("4 {0} '"));
        assertThat(Words.of(within)).isEqualTo("Bore's edge: 4 {0} '");
        assertThat(Words.of(Message.small(Message.plain("Ream")))).isEqualTo("ream");
        assertThat(Words.of(List.of(Message.plain("1000"), Message.NONE))).containsExactly("1000", "");
        assertThat(Words.of(Optional.of(Message.of("text.space", 1000, 2.5)))).contains("1000 2.5");
    }

    /** Until there are words of another language a reader of it reads English; what has no words at all is a fault of ours. */
    @Test
    void anotherLanguageFallsBackToEnglish() {
        LocaleContextHolder.setLocale(Locale.FRENCH);
        try {
            assertThat(Words.of(Message.of("text.and", "a", "b"))).isEqualTo("a and b");
        } finally {
            LocaleContextHolder.resetLocaleContext();
        }
        assertThatThrownBy(() -> Words.of(Message.of("text.no-such-words")))
                .isInstanceOf(NoSuchMessageException.class)
                .hasMessageContaining("text.no-such-words");
    }
}
