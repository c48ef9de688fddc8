package homalon.app.outcome.report;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.Parts;
import homalon.app.casting.readings.KeyedLine;
import homalon.app.casting.readings.TellsReadings;
import homalon.app.foundation.people.People;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.visit.LedgerFile;
import homalon.core.visit.PartFile;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.stereotype.Component;

/**
 * Readings and ledger of a part's whole life as CSV (RFC 4180, UTF-8, a header line). Lengths are exact decimals in
 * millimetres. A text that a spreadsheet might take for a formula is preceded by an apostrophe.
 */
@Component
@RequiredArgsConstructor
class RecordCsv {
    private static final LengthWriter MM = new LengthWriter(BenchUnit.MM);

    private final Parts parts;
    private final List<TellsReadings> rooms;
    private final Ledgers ledgers;
    private final People people;

    /** What is printed line by line. */
    private interface Lines {
        void print(CSVPrinter out) throws IOException;
    }

    private static byte[] csv(Lines lines, String... header) {
        StringWriter text = new StringWriter();
        try (CSVPrinter out = new CSVPrinter(
                text, CSVFormat.RFC4180.builder().setHeader(header).get())) {
            lines.print(out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString().getBytes(StandardCharsets.UTF_8);
    }

    /** Whatever was read, of every kind, walk by walk. */
    byte[] readings(PartFile part) {
        List<PartFile> visits = parts.everyVisit(part);
        Map<UUID, Integer> numbers = visits(part);
        Map<UUID, String> names = people.names();
        List<KeyedLine> lines = rooms.stream()
                .flatMap(r -> r.history(visits).stream())
                .sorted(Comparator.comparingInt((KeyedLine l) -> numbers.get(l.visit()))
                        .thenComparing(KeyedLine::walk)
                        .thenComparingLong(KeyedLine::seq))
                .toList();
        return csv(
                out -> {
                    for (KeyedLine l : lines) {
                        out.printRecord(reading(numbers.get(l.visit()), l, names));
                    }
                },
                "visit,walk,line,place,x_mm,y_mm,seals,kind,typed,typed_unit,value_mm,stands,by,at".split(","));
    }

    private static List<Object> reading(int visit, KeyedLine l, Map<UUID, String> names) {
        return List.of(
                visit,
                l.walk(),
                l.seq(),
                text(l.place()),
                l.spot().map(s -> MM.exact(Length.roundedFromMm(s.x()))).orElse(""),
                l.spot().map(s -> MM.exact(Length.roundedFromMm(s.y()))).orElse(""),
                l.seals().map(Object::toString).orElse(""),
                l.kind(),
                text(l.typed()),
                l.unit(),
                l.value().map(MM::exact).orElse(""),
                l.stands(),
                text(names.getOrDefault(l.by(), "")),
                l.at());
    }

    private static String corner(LedgerFile.Line l, int c) {
        return l.corners().map(d -> MM.exact(d.each().get(c))).orElse("");
    }

    byte[] ledger(PartFile part) {
        Map<UUID, Integer> visits = visits(part);
        Map<UUID, String> names = people.names();
        LedgerFile file = ledgers.of(part);
        return csv(
                out -> {
                    for (LedgerFile.Line l : file.lines()) {
                        out.printRecord(line(visits.get(l.visit()), l, names));
                    }
                },
                ("line,id,visit,kind,depth_mm,upper_front_mm,upper_back_mm,lower_front_mm,lower_back_mm,stands,reverses,"
                                + "machine,cutter,edge,note,by,at")
                        .split(","));
    }

    private static List<Object> line(int visit, LedgerFile.Line l, Map<UUID, String> names) {
        return List.of(
                l.seq(),
                l.id(),
                visit,
                l.kind().name(),
                MM.exact(l.depth()),
                corner(l, 0),
                corner(l, 1),
                corner(l, 2),
                corner(l, 3),
                l.stands(),
                l.reverses().map(UUID::toString).orElse(""),
                text(l.machine()),
                text(l.cutter()),
                text(l.edge()),
                text(l.note()),
                text(names.getOrDefault(l.by(), "")),
                l.at());
    }

    private Map<UUID, Integer> visits(PartFile part) {
        Map<UUID, Integer> visits = new HashMap<>();
        parts.everyVisit(part).forEach(v -> visits.put(v.visit().id(), v.visit().no()));
        return visits;
    }

    /** A number stays as keyed; anything else that a spreadsheet would run is made plain text. */
    static String text(String raw) {
        boolean formula = !raw.isEmpty() && "=+-@\t\r".indexOf(raw.charAt(0)) >= 0 && !raw.matches("[+-]?[0-9.,]+");
        return formula ? "'" + raw : raw;
    }
}
