package homalon.app.outcome.route;

import homalon.app.casting.work.WorkEntry;
import homalon.app.check.face.Findings;
import homalon.app.check.feelers.FeelerFindings;
import homalon.app.check.lines.SheetFindings;
import homalon.app.machining.chambers.ChamberFindings;
import homalon.app.machining.valves.ValveFindings;
import homalon.app.shop.instruments.StepGauges;
import homalon.core.cut.CutPlan;
import homalon.core.integrity.CleaningMethod;
import homalon.core.integrity.SmallCheck;
import homalon.core.route.Finding;
import homalon.core.route.Operation;
import homalon.core.route.StepKind;
import homalon.core.route.VisitFacts;
import homalon.core.rulebook.BenchFigure;
import homalon.core.rulebook.RuleBook;
import homalon.core.visit.CameWith;
import homalon.core.visit.FeelerKind;
import homalon.core.visit.GaugesInHand;
import homalon.core.visit.LedgerFile;
import homalon.core.visit.LineFinding;
import homalon.core.visit.PartFile;
import homalon.core.visit.PlanFile;
import homalon.core.visit.RouteFacts;
import homalon.core.visit.Sheet;
import homalon.core.visit.SheetFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.time.Instant;
import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Gathers what is known of a visit, as the core takes it. */
@Component
@RequiredArgsConstructor
class VisitFactsSource {
    private final Findings findings;
    private final FeelerFindings feelers;
    private final SheetFindings sheets;
    private final ValveFindings valves;
    private final ChamberFindings chambers;
    private final StepGauges gauges;

    /** @param names of people, for those who answer for what is left out */
    VisitFacts of(PartFile part, List<SurveyFile> surveys, VisitRecords.Lines lines, Map<UUID, String> names) {
        UUID visit = part.visit().id();
        GaugesInHand testing = gauges.of(part, lines.checked().tests());
        Map<Sheet, SheetFile> read = lines.checked().sheets();
        Optional<VisitFacts.Valves> onValves = valves.of(part, read.get(Sheet.VALVES));
        Optional<VisitFacts.Chambers> inChambers = chambers.of(part, read.get(Sheet.CHAMBERS));
        List<LineFinding.Shaft> shafts = read.containsKey(Sheet.LINE)
                ? LineFinding.shafts(
                        read.get(Sheet.LINE),
                        gauges.of(part, read.get(Sheet.LINE)).gauges())
                : List.of();
        return new VisitFacts(
                part.visit().no(),
                part.visit().openedAt(),
                part.visit().releasedAt(),
                RouteFacts.told(part, read, shafts, onValves, inChambers),
                part.visit().came().map(CameWith::happened).orElse(Set.of()),
                part.visit().came().filter(c -> !c.shafts().isEmpty()).isPresent(),
                face(part, surveys, SurveyKind.FACE),
                felt(part, lines, FeelerKind.FACE),
                face(part, surveys, SurveyKind.PROOF),
                felt(part, lines, FeelerKind.PROOF),
                lines.plan().map(p -> plan(p, lines.ledger(), visit)),
                lines.ledger().cut(visit),
                Stream.of(asked(part), lines.work().stream().flatMap(e -> entry(e, names)), choices(lines))
                        .flatMap(s -> s)
                        .toList(),
                lines.checked().cracks().stream().map(RouteFacts::crack).toList(),
                lines.checked().tests().stream()
                        .map(t -> RouteFacts.test(t, testing.gauges()))
                        .toList(),
                RouteFacts.lines(part, shafts),
                liners(part, read.get(Sheet.LINERS)),
                index(part, read.get(Sheet.INDEX)),
                onValves,
                inChambers,
                lines.done().orders().stream()
                        .filter(o -> !o.cancelled())
                        .map(o -> new VisitFacts.Ordered(o.operation(), o.arrived(), o.promised()))
                        .toList(),
                doubted(part, read.values(), testing));
    }

    /** Steps beside the face that were measured with what is not to be relied on. */
    private Set<StepKind> doubted(PartFile part, Collection<SheetFile> read, GaugesInHand testing) {
        Set<StepKind> doubted = EnumSet.noneOf(StepKind.class);
        read.stream()
                .filter(s -> gauges.of(part, s).doubted())
                .forEach(s -> doubted.add(s.sheet().step()));
        if (testing.doubted()) {
            doubted.add(StepKind.PRESSURE);
        }
        return doubted;
    }

    private static VisitFacts.Plan plan(PlanFile kept, LedgerFile ledger, UUID visit) {
        CutPlan plan = kept.plan();
        return new VisitFacts.Plan(
                kept.at(),
                kept.surveyRevision(),
                plan.passes().total(),
                plan.passes().passes().size(),
                plan.shims(),
                plan.reference().map(depth -> new VisitFacts.Reference(depth, ledger.reached(visit, depth))));
    }

    private Optional<VisitFacts.Liners> liners(PartFile part, SheetFile sheet) {
        return sheets.liners(part, sheet)
                .flatMap(l -> sheet.since().map(since -> new VisitFacts.Liners(since, l.verdict())));
    }

    private Optional<VisitFacts.Index> index(PartFile part, SheetFile sheet) {
        return sheets.index(part, sheet)
                .flatMap(i -> sheet.since()
                        .map(since -> new VisitFacts.Index(
                                since,
                                i.square(BenchFigure.INDEX_SQUARE.value(
                                        part.rules().books())),
                                i.toSquare())));
    }

    private Optional<VisitFacts.Face> face(PartFile part, List<SurveyFile> surveys, SurveyKind kind) {
        return surveys.stream()
                .filter(s -> s.kind() == kind)
                .findFirst()
                .map(s -> RouteFacts.face(s, findings.of(part, s)));
    }

    private Optional<VisitFacts.Felt> felt(PartFile part, VisitRecords.Lines lines, FeelerKind kind) {
        return lines.checked().felt().stream()
                .filter(s -> s.kind() == kind && s.begun())
                .findFirst()
                .map(s -> RouteFacts.felt(s, feelers.of(part, s).result().verdict(), RuleBook.overall(part.limits())));
    }

    /** What the shop has ticked for every casting. */
    private static Stream<VisitFacts.Entry> asked(PartFile part) {
        Instant since = part.visit().openedAt();
        return Stream.of(StepKind.CLEAN, StepKind.HAND_OVER)
                .flatMap(step -> part.rules().lines().at(step == StepKind.CLEAN).stream()
                        .map(words -> new VisitFacts.LineListed(since, step, words)));
    }

    private static Stream<VisitFacts.Entry> choices(VisitRecords.Lines lines) {
        return Stream.concat(
                lines.done().asked().stream().map(a -> new VisitFacts.AskedChoice(a.at(), a.why())),
                lines.done().chosen().stream()
                        .map(c -> new VisitFacts.ChoseHow(
                                c.at(),
                                c.said().choice().goesOn(),
                                c.said().who().isEmpty()
                                        ? "the customer"
                                        : c.said().who(),
                                c.said().choice().words())));
    }

    private static Stream<VisitFacts.Entry> entry(WorkEntry e, Map<UUID, String> names) {
        return switch (e.kind()) {
            case DID -> {
                Operation operation = Operation.valueOf(e.what());
                boolean grit = operation == Operation.CLEAN
                        && CleaningMethod.ofKept(e.note())
                                .filter(CleaningMethod::leavesGrit)
                                .isPresent();
                yield Stream.of(new VisitFacts.DidWork(e.at(), operation, grit));
            }
            case ADDED -> Stream.of(new VisitFacts.AddedWork(e.at(), Operation.valueOf(e.what())));
            case WAIVED ->
                Stream.of(new VisitFacts.WaivedWork(
                        e.at(), Operation.valueOf(e.what()), names.getOrDefault(e.by(), "someone"), e.note()));
            case TICKED -> {
                if (e.what().equals(SmallCheck.PASSAGES_BRUSHED.name())) {
                    yield Stream.of(new VisitFacts.PassagesBrushed(e.at()));
                }
                // Other small checks are no part of the route.
                yield e.what().equals(Finding.TURNS_STIFF.name())
                        ? Stream.of(new VisitFacts.TurnedStiff(e.at()))
                        : Stream.empty();
            }
            case LISTED -> Stream.of(new VisitFacts.LineListed(e.at(), StepKind.valueOf(e.what()), e.note()));
            case LINE_TICKED -> Stream.of(new VisitFacts.LineTicked(e.at(), StepKind.valueOf(e.what()), e.note()));
            case WITHDRAWN -> Stream.empty();
        };
    }
}
