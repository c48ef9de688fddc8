package homalon.app.outcome.report;

import com.fasterxml.jackson.annotation.JsonInclude;
import homalon.app.casting.part.Parts;
import homalon.app.foundation.people.People;
import homalon.app.foundation.web.Shop;
import homalon.core.part.LayoutNumbers;
import homalon.core.visit.PartFile;
import java.math.BigDecimal;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * The whole life of a part as JSON; the schema stands in docs/record.md. Measured and cut lengths are exact decimals in
 * millimetres, worked-out ones doubles. Names of the records' fields are the names in the file: changing one is a new
 * format.
 */
@Component
@RequiredArgsConstructor
class RecordJson {
    private static final String FORMAT = "homalon-record/1";

    private final Parts parts;
    private final RecordVisits visits;
    private final RecordCut cut;
    private final People people;
    private final Shop shop;
    private final Clock clock;
    private final JsonMapper mapper = JsonMapper.builder()
            .enable(SerializationFeature.INDENT_OUTPUT)
            .changeDefaultPropertyInclusion(i -> i.withValueInclusion(JsonInclude.Include.NON_NULL))
            .build();

    private record File(
            String format,
            String shop,
            String writtenAt,
            Casting part,
            List<RecordVisits.Visit> visits,
            RecordCut.Book ledger) {}

    private record Casting(
            String tag,
            String kind,
            String engine,
            String customer,
            String material,
            String castingNumber,
            Layout layout,
            List<Limit> limits) {}

    private record Layout(
            int cylinders,
            int firstNumber,
            int numberStep,
            BigDecimal boreMm,
            BigDecimal spacingMm,
            BigDecimal lengthMm,
            BigDecimal widthMm,
            String boltRows,
            BigDecimal boltHoleMm,
            int waterHoles,
            String chambers,
            boolean intakeAtTop,
            int dowels) {}

    private record Limit(String scope, BigDecimal mostMm, BigDecimal windowMm, String source) {}

    byte[] write(PartFile part) {
        Map<UUID, String> names = people.names();
        List<PartFile> all = parts.everyVisit(part);
        Map<UUID, Integer> numbers = all.stream()
                .collect(Collectors.toMap(v -> v.visit().id(), v -> v.visit().no()));
        return mapper.writeValueAsBytes(new File(
                FORMAT,
                shop.name(),
                clock.instant().toString(),
                casting(part),
                visits.of(all, names),
                cut.book(part, numbers, names)));
    }

    /** The casting alone, for a seal. */
    ObjectNode castingOf(PartFile part) {
        return mapper.valueToTree(casting(part));
    }

    /** One visit alone, for a seal. */
    ObjectNode visitOf(PartFile visit) {
        return mapper.valueToTree(visits.of(List.of(visit), people.names()).get(0));
    }

    private static Casting casting(PartFile part) {
        LayoutNumbers n = part.numbers();
        return new Casting(
                part.tag(),
                part.kind().name(),
                part.name(),
                part.customer(),
                part.material().name(),
                part.castingNumber(),
                new Layout(
                        n.cylinders(),
                        n.firstNumber(),
                        n.numberStep(),
                        RecordNumbers.mm(n.bore()),
                        RecordNumbers.mm(n.spacing()),
                        RecordNumbers.mm(n.length()),
                        RecordNumbers.mm(n.width()),
                        n.boltRows().name(),
                        RecordNumbers.mm(n.boltHole()),
                        n.waterHoles(),
                        n.chambers().name(),
                        n.intakeAtTop(),
                        n.dowels()),
                part.limits().stream()
                        .map(l -> new Limit(
                                l.scope().name(),
                                RecordNumbers.mm(l.most()),
                                l.window().map(RecordNumbers::mm).orElse(null),
                                l.source().name()))
                        .toList());
    }
}
