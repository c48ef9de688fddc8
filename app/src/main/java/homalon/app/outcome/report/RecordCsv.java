package homalon.app.outcome.report;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.Parts;
import homalon.app.check.face.Surveys;
import homalon.app.foundation.people.People;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.visit.LedgerFile;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
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
    private final Surveys surveys;
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

    byte[] readings(PartFile part) {
        Map<UUID, Integer> visits = visits(part);
        Map<UUID, String> names = people.names();
        List<SurveyFile> all = surveys.ofVisits(visits.keySet());
        return csv(
                out -> {
                    for (SurveyFile survey : all) {
                        int visit = visits.get(survey.visit());
                        Map<UUID, SurveyFile.PlaceFile> places = Stream.concat(
                                        survey.places().stream(), survey.dropped().stream())
                                .collect(Collectors.toMap(SurveyFile.PlaceFile::id, Function.identity()));
                        for (SurveyFile.ReadingFile r : survey.history()) {
                            out.printRecord(reading(visit, survey, places.get(r.place()), r, names));
                        }
                    }
                },
                "visit,survey,line,place,x_mm,y_mm,seals,kind,typed,typed_unit,value_mm,stands,by,at".split(","));
    }

    private static List<Object> reading(
            int visit,
            SurveyFile survey,
            SurveyFile.PlaceFile place,
            SurveyFile.ReadingFile r,
            Map<UUID, String> names) {
        return List.of(
                visit,
                survey.kind().name(),
                r.seq(),
                place.name(),
                MM.exact(Length.roundedFromMm(place.spot().x())),
                MM.exact(Length.roundedFromMm(place.spot().y())),
                place.sealing(),
                r.kind().name(),
                text(r.typed()),
                r.unit().label(),
                r.value().map(MM::exact).orElse(""),
                r.stands(),
                text(names.getOrDefault(r.by(), "")),
                r.at());
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
