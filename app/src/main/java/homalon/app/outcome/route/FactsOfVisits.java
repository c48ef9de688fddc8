package homalon.app.outcome.route;

import homalon.app.casting.part.CameWith;
import homalon.app.casting.part.PartFile;
import homalon.app.casting.sheets.Sheet;
import homalon.app.casting.sheets.SheetFile;
import homalon.app.casting.work.WorkEntry;
import homalon.app.check.face.Findings;
import homalon.app.check.face.SurveyFile;
import homalon.app.check.face.SurveyKind;
import homalon.app.check.feelers.FeelerFile;
import homalon.app.check.feelers.FeelerFindings;
import homalon.app.check.feelers.FeelerKind;
import homalon.app.check.integrity.CrackFile;
import homalon.app.check.integrity.TestFile;
import homalon.app.check.lines.LineFinding;
import homalon.app.check.lines.SheetFindings;
import homalon.app.machining.chambers.ChamberFindings;
import homalon.app.machining.valves.ValveFindings;
import homalon.core.face.Causes;
import homalon.core.face.LimitVerdict;
import homalon.core.integrity.CleaningMethod;
import homalon.core.integrity.SmallCheck;
import homalon.core.lines.DeckIndex;
import homalon.core.lines.ShaftLine.Turns;
import homalon.core.quantity.Length;
import homalon.core.route.Finding;
import homalon.core.route.Operation;
import homalon.core.route.VisitFacts;
import homalon.core.route.VisitFacts.Told;
import homalon.core.rulebook.RuleBook;
import homalon.core.valves.Wished;
import homalon.core.verdict.Verdict;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
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
class FactsOfVisits {
    private final Findings findings;
    private final FeelerFindings feelers;
    private final SheetFindings sheets;
    private final ValveFindings valves;
    private final ChamberFindings chambers;

    /** @param names of people, for those who answer for what is left out */
    VisitFacts of(PartFile part, List<SurveyFile> surveys, Written.Lines lines, Map<UUID, String> names) {
        UUID visit = part.visit().id();
        Map<Sheet, SheetFile> read = lines.sheets();
        Optional<VisitFacts.Valves> onValves = valves.of(part, read.get(Sheet.VALVES));
        Optional<VisitFacts.Chambers> inChambers = chambers.of(part, read.get(Sheet.CHAMBERS));
        List<LineFinding.Shaft> shafts =
                read.containsKey(Sheet.LINE) ? LineFinding.shafts(read.get(Sheet.LINE)) : List.of();
        return new VisitFacts(
                part.visit().no(),
                part.visit().openedAt(),
                part.visit().releasedAt(),
                told(part, read, shafts, onValves, inChambers),
                part.visit().came().map(CameWith::happened).orElse(Set.of()),
                part.visit().came().filter(c -> !c.shafts().isEmpty()).isPresent(),
                face(part, surveys, SurveyKind.FACE),
                felt(part, lines, FeelerKind.FACE),
                face(part, surveys, SurveyKind.PROOF),
                felt(part, lines, FeelerKind.PROOF),
                lines.plan()
                        .map(p -> new VisitFacts.Plan(
                                p.at(),
                                p.surveyRevision(),
                                p.plan().passes().total(),
                                p.plan().passes().passes().size(),
                                p.plan().shims(),
                                p.plan()
                                        .reference()
                                        .map(depth -> new VisitFacts.Reference(
                                                depth, lines.ledger().reached(visit, depth))))),
                lines.ledger().cut(visit),
                lines.work().stream().flatMap(e -> entry(e, names)).toList(),
                lines.cracks().stream().map(FactsOfVisits::crack).toList(),
                lines.tests().stream().map(FactsOfVisits::test).toList(),
                lines(part, shafts),
                sheets.liners(part, read.get(Sheet.LINERS))
                        .flatMap(l ->
                                read.get(Sheet.LINERS).since().map(since -> new VisitFacts.Liners(since, l.verdict()))),
                sheets.index(part, read.get(Sheet.INDEX))
                        .flatMap(i -> read.get(Sheet.INDEX)
                                .since()
                                .map(since ->
                                        new VisitFacts.Index(since, i.square(DeckIndex.DEFAULT_SQUARE), i.toSquare()))),
                onValves,
                inChambers,
                lines.orders().stream()
                        .filter(o -> !o.cancelled())
                        .map(o -> new VisitFacts.Ordered(o.operation(), o.arrived(), o.promised()))
                        .toList());
    }

    private static Set<Told> told(
            PartFile part,
            Map<Sheet, SheetFile> read,
            List<LineFinding.Shaft> shafts,
            Optional<VisitFacts.Valves> onValves,
            Optional<VisitFacts.Chambers> inChambers) {
        String wishes = part.visit().wishes();
        Set<Told> told = EnumSet.noneOf(Told.class);
        if (part.visit().came().isEmpty() && Causes.mayBeBent(part.kind(), part.story())) {
            told.add(Told.MAY_BE_BENT);
        }
        if (!shafts.isEmpty()) {
            told.add(Told.LINES_ASKED);
        }
        if (read.containsKey(Sheet.LINERS)) {
            told.add(Told.HAS_LINERS);
        }
        if (read.containsKey(Sheet.INDEX)) {
            told.add(Told.DECK_ASKED);
        }
        if (onValves.isPresent() || Wished.valves(wishes)) {
            told.add(Told.VALVES_ASKED);
        }
        if (inChambers.filter(VisitFacts.Chambers::begun).isPresent()
                || homalon.core.chambers.Wished.chambers(wishes)) {
            told.add(Told.CHAMBERS_ASKED);
        }
        return told;
    }

    /** Those that were set up, and those that intake names and nobody has set up yet. */
    private static List<VisitFacts.Line> lines(PartFile part, List<LineFinding.Shaft> shafts) {
        List<VisitFacts.Line> all = new ArrayList<>();
        shafts.forEach(l -> all.add(new VisitFacts.Line(l.name(), l.oldest(), l.turns())));
        part.visit().came().map(CameWith::shafts).orElse(List.of()).stream()
                .filter(n -> shafts.stream().noneMatch(l -> l.name().equalsIgnoreCase(n)))
                .forEach(n -> all.add(new VisitFacts.Line(n, Optional.empty(), Turns.NOT_PROVEN)));
        return all;
    }

    private Optional<VisitFacts.Face> face(PartFile part, List<SurveyFile> surveys, SurveyKind kind) {
        return surveys.stream().filter(s -> s.kind() == kind).findFirst().map(s -> {
            Instant oldest = s.places().stream()
                    .flatMap(p -> p.reading().stream())
                    .map(SurveyFile.ReadingFile::at)
                    .min(Comparator.naturalOrder())
                    .orElse(s.startedAt());
            return new VisitFacts.Face(
                    s.places().size(),
                    s.handled(),
                    oldest,
                    findings.of(part, s).map(FactsOfVisits::found),
                    s.revision());
        });
    }

    private static VisitFacts.FaceFound found(Findings.Finding f) {
        double over = f.judgement().limits().stream()
                .filter(l -> l.verdict() == Verdict.OUT)
                .map(LimitVerdict::over)
                .mapToDouble(o -> o.orElse(0))
                .max()
                .orElse(0);
        return new VisitFacts.FaceFound(
                f.judgement().worst(),
                over,
                f.judgement().flatness().minimumZone().zone(),
                f.shape(),
                f.judgement().limits().stream()
                        .filter(l -> l.verdict() == Verdict.NOT_PROVEN)
                        .map(LimitVerdict::why)
                        .findFirst()
                        .orElse(""));
    }

    private Optional<VisitFacts.Felt> felt(PartFile part, Written.Lines lines, FeelerKind kind) {
        Length limit = RuleBook.overall(part.limits());
        return lines.felt().stream()
                .filter(s -> s.kind() == kind && s.begun())
                .findFirst()
                .map((FeelerFile s) -> new VisitFacts.Felt(
                        s.startedAt(),
                        feelers.of(part, s).verdict(),
                        s.complete(limit),
                        s.handled(limit),
                        s.asked().size()));
    }

    private static Stream<VisitFacts.Entry> entry(WorkEntry e, Map<UUID, String> names) {
        return switch (e.kind()) {
            case DID -> {
                Operation operation = Operation.valueOf(e.what());
                boolean grit = operation == Operation.CLEAN && CleaningMethod.leavesGrit(e.note());
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
            case WITHDRAWN -> Stream.empty();
        };
    }

    private static VisitFacts.Cracked crack(CrackFile c) {
        return new VisitFacts.Cracked(
                c.since(),
                c.remedy(),
                c.what().place().inFace(),
                c.stitch().map(s -> s.pins()).orElse(0));
    }

    private static VisitFacts.Tested test(TestFile t) {
        return new VisitFacts.Tested(
                t.at(), t.decay().verdict(), !t.readings().isEmpty(), t.decay().why());
    }
}
