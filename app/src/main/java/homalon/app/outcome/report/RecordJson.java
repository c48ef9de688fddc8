package homalon.app.outcome.report;

import com.fasterxml.jackson.annotation.JsonInclude;
import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.Changes;
import homalon.app.casting.part.Parts;
import homalon.app.check.face.Findings;
import homalon.app.check.face.Surveys;
import homalon.app.check.feelers.FeelerFindings;
import homalon.app.check.feelers.FeelerSurveys;
import homalon.app.foundation.people.People;
import homalon.app.foundation.web.Shop;
import homalon.app.machining.cut.Paintings;
import homalon.app.machining.cut.Plans;
import homalon.core.face.BowAndTwist;
import homalon.core.face.FlatnessResult;
import homalon.core.ledger.Ledger;
import homalon.core.part.LayoutNumbers;
import homalon.core.quantity.Length;
import homalon.core.rulebook.Soak;
import homalon.core.visit.CameWith;
import homalon.core.visit.FaceFinding;
import homalon.core.visit.FeelerFile;
import homalon.core.visit.LedgerFile;
import homalon.core.visit.PartFile;
import homalon.core.visit.PlanFile;
import homalon.core.visit.SurveyFile;
import java.math.BigDecimal;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
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
    private final Surveys surveys;
    private final Findings findings;
    private final FeelerSurveys feelers;
    private final FeelerFindings feelerFindings;
    private final Plans plans;
    private final Ledgers ledgers;
    private final Paintings paintings;
    private final RecordWhole whole;
    private final Changes changes;
    private final People people;
    private final Shop shop;
    private final Clock clock;
    private final JsonMapper mapper = JsonMapper.builder()
            .enable(SerializationFeature.INDENT_OUTPUT)
            .changeDefaultPropertyInclusion(i -> i.withValueInclusion(JsonInclude.Include.NON_NULL))
            .build();

    private record File(String format, String shop, String writtenAt, Casting part, List<Visit> visits, Book ledger) {}

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

    private record Visit(
            int no,
            String openedAt,
            String openedBy,
            String history,
            List<String> happened,
            List<String> shafts,
            String wishes,
            String gasket,
            String gasketKind,
            String due,
            String releasedAt,
            String releasedBy,
            String releasedNote,
            List<Survey> surveys,
            List<RecordFeelers.Feelers> feelers,
            List<Plan> plans,
            List<LeftUncut> leftUncut,
            List<Change> changes,
            RecordWhole.Whole beside) {}

    private record Change(String what, String detail, String by, String at) {}

    private record LeftUncut(String why, String by, String at) {}

    private record Survey(
            String kind,
            BigDecimal uncertaintyMm,
            String startedAt,
            String startedBy,
            List<Place> places,
            List<Reading> readings,
            BigDecimal partC,
            BigDecimal roomC,
            Result result) {}

    private record Place(
            UUID id, int no, String name, BigDecimal xMm, BigDecimal yMm, boolean seals, boolean dropped) {}

    private record Reading(
            long line,
            UUID id,
            UUID place,
            String kind,
            String typed,
            String typedUnit,
            BigDecimal valueMm,
            UUID withdraws,
            String by,
            String at,
            boolean stands) {}

    private record Result(
            double minimumZoneMm,
            double leastSquaresMm,
            Double longBowMm,
            Double crossBowMm,
            Double fourthCornerLiftMm,
            String shape,
            List<Judged> limits) {}

    private record Judged(
            String scope, BigDecimal mostMm, BigDecimal windowMm, String source, Double valueMm, String verdict) {}

    private record Plan(
            UUID id,
            String setUp,
            BigDecimal toCleanMm,
            BigDecimal atLeastMm,
            List<List<BigDecimal>> supportsMm,
            List<BigDecimal> shimsMm,
            List<BigDecimal> shimLeavesMm,
            List<Pass> passes,
            String by,
            String at) {}

    private record Pass(String kind, BigDecimal depthMm) {}

    private record Book(String opening, BigDecimal lifeMm, List<BigDecimal> lifeAtCornersMm, List<Line> lines) {}

    private record Line(
            long line,
            UUID id,
            int visit,
            String kind,
            BigDecimal depthMm,
            List<BigDecimal> cornersMm,
            UUID batch,
            UUID reverses,
            boolean stands,
            String machine,
            String cutter,
            String edge,
            String note,
            String typed,
            String by,
            String at) {}

    byte[] write(PartFile part) {
        Map<UUID, String> names = people.names();
        List<PartFile> visits = parts.everyVisit(part);
        List<UUID> ids = visits.stream().map(v -> v.visit().id()).toList();
        Map<UUID, List<SurveyFile>> read =
                surveys.ofVisits(ids).stream().collect(Collectors.groupingBy(SurveyFile::visit));
        Map<UUID, List<FeelerFile>> felt = feelers.ofVisits(ids);
        Map<UUID, List<PlanFile>> planned = plans.everyOf(ids).stream().collect(Collectors.groupingBy(PlanFile::visit));
        List<Visit> told = visits.stream()
                .map(v -> visit(
                        v,
                        read.getOrDefault(v.visit().id(), List.of()),
                        felt.getOrDefault(v.visit().id(), List.of()),
                        planned.getOrDefault(v.visit().id(), List.of()),
                        names))
                .toList();
        Map<UUID, Integer> numbers = visits.stream()
                .collect(Collectors.toMap(v -> v.visit().id(), v -> v.visit().no()));
        return mapper.writeValueAsBytes(new File(
                FORMAT,
                shop.name(),
                clock.instant().toString(),
                casting(part),
                told,
                book(part, ledgers.of(part), numbers, names)));
    }

    /** The casting alone, for a seal. */
    ObjectNode castingOf(PartFile part) {
        return mapper.valueToTree(casting(part));
    }

    /** One visit alone, for a seal. */
    ObjectNode visitOf(PartFile visit) {
        List<UUID> id = List.of(visit.visit().id());
        return mapper.valueToTree(visit(
                visit,
                surveys.ofVisits(id),
                feelers.ofVisits(id).getOrDefault(id.get(0), List.of()),
                plans.everyOf(id),
                people.names()));
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
                        mm(n.bore()),
                        mm(n.spacing()),
                        mm(n.length()),
                        mm(n.width()),
                        n.boltRows().name(),
                        mm(n.boltHole()),
                        n.waterHoles(),
                        n.chambers().name(),
                        n.intakeAtTop(),
                        n.dowels()),
                part.limits().stream()
                        .map(l -> new Limit(
                                l.scope().name(),
                                mm(l.most()),
                                l.window().map(RecordJson::mm).orElse(null),
                                l.source().name()))
                        .toList());
    }

    private Visit visit(
            PartFile v, List<SurveyFile> read, List<FeelerFile> felt, List<PlanFile> planned, Map<UUID, String> names) {
        PartFile.Visit visit = v.visit();
        return new Visit(
                visit.no(),
                visit.openedAt().toString(),
                names.get(visit.openedBy()),
                visit.history(),
                visit.came()
                        .map(c -> c.happened().stream().sorted().map(Enum::name).toList())
                        .orElse(null),
                visit.came().map(CameWith::shafts).orElse(null),
                visit.wishes(),
                visit.gasket(),
                visit.gasketKind().map(Enum::name).orElse(null),
                visit.due().map(Object::toString).orElse(null),
                visit.releasedAt().map(Object::toString).orElse(null),
                visit.releasedBy().map(names::get).orElse(null),
                visit.releasedNote().isEmpty() ? null : visit.releasedNote(),
                read.stream().map(s -> survey(v, s, names)).toList(),
                felt.stream()
                        .map(s -> RecordFeelers.of(s, feelerFindings.of(v, s), names))
                        .toList(),
                planned.stream()
                        .map(p -> new Plan(
                                p.id(),
                                p.plan().school().name(),
                                mm(p.plan().toClean()),
                                mm(p.plan().atLeast()),
                                p.plan().footing().supports().stream()
                                        .map(s -> List.of(
                                                mm(Length.roundedFromMm(s.x())), mm(Length.roundedFromMm(s.y()))))
                                        .toList(),
                                p.plan().shims().stream().map(RecordJson::mm).toList(),
                                p.plan().footing().stock().leaves().stream()
                                        .map(RecordJson::mm)
                                        .toList(),
                                p.plan().passes().passes().stream()
                                        .map(pass -> new Pass(pass.kind().name(), mm(pass.depth())))
                                        .toList(),
                                names.get(p.by()),
                                p.at().toString()))
                        .toList(),
                paintings.everyLeft(v).stream()
                        .map(l -> new LeftUncut(l.why(), names.get(l.by()), l.at().toString()))
                        .toList(),
                changes.of(visit.id()).stream()
                        .map(c -> new Change(c.what(), c.detail(), names.get(c.by()), c.at().toString()))
                        .toList(),
                whole.of(v, names));
    }

    private Survey survey(PartFile part, SurveyFile s, Map<UUID, String> names) {
        List<Place> places = Stream.concat(
                        s.places().stream().map(p -> place(p, false)),
                        s.dropped().stream().map(p -> place(p, true)))
                .toList();
        return new Survey(
                s.kind().name(),
                mm(s.uncertainty()),
                s.startedAt().toString(),
                names.get(s.startedBy()),
                places,
                s.history().stream()
                        .map(r -> new Reading(
                                r.seq(),
                                r.id(),
                                r.place(),
                                r.kind(),
                                r.typed(),
                                r.unit().name(),
                                r.value().map(RecordJson::mm).orElse(null),
                                r.withdraws().orElse(null),
                                names.get(r.by()),
                                r.at().toString(),
                                r.stands()))
                        .toList(),
                s.soak().map(Soak::part).orElse(null),
                s.soak().map(Soak::room).orElse(null),
                s.kind().ofHeights()
                        ? findings.of(part, s).map(RecordJson::result).orElse(null)
                        : null);
    }

    private static Place place(SurveyFile.PlaceFile p, boolean dropped) {
        return new Place(
                p.id(),
                p.seq(),
                p.name(),
                mm(Length.roundedFromMm(p.spot().x())),
                mm(Length.roundedFromMm(p.spot().y())),
                p.sealing(),
                dropped);
    }

    private static Result result(FaceFinding finding) {
        FlatnessResult flat = finding.judgement().flatness();
        BowAndTwist bend = flat.bend();
        return new Result(
                flat.minimumZone().zone(),
                flat.leastSquares(),
                boxed(bend.longBow()),
                boxed(bend.crossBow()),
                boxed(bend.fourthCornerLift()),
                flat.shape().name(),
                finding.judgement().limits().stream()
                        .map(l -> new Judged(
                                l.limit().scope().name(),
                                mm(l.limit().most()),
                                l.limit().window().map(RecordJson::mm).orElse(null),
                                l.limit().source().name(),
                                boxed(l.value()),
                                l.verdict().name()))
                        .toList());
    }

    private static Book book(PartFile part, LedgerFile file, Map<UUID, Integer> visits, Map<UUID, String> names) {
        Ledger.Totals totals = file.ledger().totals(part.visit().id());
        return new Book(
                totals.opening().name(),
                mm(totals.life()),
                file.ledger().corners(part.visit().id()).life().each().stream()
                        .map(RecordJson::mm)
                        .toList(),
                file.lines().stream()
                        .map(l -> new Line(
                                l.seq(),
                                l.id(),
                                visits.get(l.visit()),
                                l.kind(),
                                mm(l.depth()),
                                l.corners()
                                        .map(c -> c.each().stream()
                                                .map(RecordJson::mm)
                                                .toList())
                                        .orElse(null),
                                l.batch().orElse(null),
                                l.reverses().orElse(null),
                                l.stands(),
                                l.machine(),
                                l.cutter(),
                                l.edge(),
                                l.note(),
                                l.typed(),
                                names.get(l.by()),
                                l.at().toString()))
                        .toList());
    }

    static BigDecimal mm(Length length) {
        BigDecimal mm = BigDecimal.valueOf(length.nanometres(), 6).stripTrailingZeros();
        return mm.scale() < 0 ? mm.setScale(0) : mm;
    }

    private static Double boxed(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }
}
