package homalon.app.foundation.load;

import homalon.core.input.BadInputException;
import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/**
 * A table as a spreadsheet writes it: UTF-8 text, cells between commas or semicolons, quoted or not, the heads in its first line.
 *
 * @param heads in their order
 * @param lines that hold anything
 */
public record TextTable(List<String> heads, List<Line> lines) {
    /**
     * One line.
     *
     * @param number as an editor counts it: the heads are line 1
     */
    public record Line(int number, List<String> cells) {}

    /**
     * @param most lines under the heads
     * @throws BadInputException when it is no such table, is empty, or holds more
     */
    public static TextTable read(byte[] sent, int most) {
        String text = text(sent);
        char separator = text.lines().findFirst().orElse("").contains(";") ? ';' : ',';
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(separator)
                .setIgnoreEmptyLines(true)
                .setTrim(true)
                .get();
        List<Line> lines = new ArrayList<>();
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
            long before = 0;
            for (CSVRecord r : parser) {
                // A cell may hold line ends of its own: the line is named by where it begins.
                int begins = (int) Math.max(before + 1, parser.getCurrentLineNumber() - ends(r));
                before = parser.getCurrentLineNumber();
                if (r.stream().anyMatch(cell -> !cell.isBlank())) {
                    lines.add(new Line(begins, r.toList()));
                }
                if (lines.size() > most + 1) {
                    throw new BadInputException("file", "app.load.a-table-holds-at-most-lines", most);
                }
            }
        } catch (IOException | UncheckedIOException | IllegalArgumentException e) {
            throw new BadInputException("file", "app.load.that-is-not-a-table-of-text");
        }
        if (lines.size() < 2) {
            throw new BadInputException("file", "app.load.there-is-no-line-under-the-heads");
        }
        return new TextTable(lines.get(0).cells(), List.copyOf(lines.subList(1, lines.size())));
    }

    /** The same the other way. */
    public static String write(List<String> heads, List<List<String>> lines) {
        StringWriter text = new StringWriter();
        try (CSVPrinter out = new CSVPrinter(text, CSVFormat.RFC4180)) {
            out.printRecord(heads);
            for (List<String> line : lines) {
                out.printRecord(line);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }

    private static long ends(CSVRecord r) {
        return r.stream().flatMapToInt(String::chars).filter(c -> c == '\n').count();
    }

    private static String text(byte[] sent) {
        try {
            String text = StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(sent))
                    .toString();
            return text.startsWith("\uFEFF") ? text.substring(1) : text;
        } catch (CharacterCodingException e) {
            throw new BadInputException("file", "app.load.that-is-no-plain-text-in-utf-8");
        }
    }
}
