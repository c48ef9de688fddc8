package homalon.core.visit;

import homalon.core.chambers.FillState;
import homalon.core.face.Causes;
import homalon.core.face.LimitVerdict;
import homalon.core.integrity.Decay;
import homalon.core.lines.ShaftLine.Turns;
import homalon.core.part.Layout;
import homalon.core.part.Valve;
import homalon.core.quantity.Length;
import homalon.core.route.VisitFacts;
import homalon.core.route.VisitFacts.Told;
import homalon.core.rulebook.BenchGauges;
import homalon.core.verdict.Verdict;
import homalon.core.words.Message;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** What the files of a visit say to its route. */
public final class RouteFacts {
    private RouteFacts() {}

    /** What follows from words, and from sheets that were begun. */
    public static Set<Told> told(
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
        if (onValves.isPresent() || homalon.core.valves.Wished.valves(wishes)) {
            told.add(Told.VALVES_ASKED);
        }
        if (inChambers.filter(VisitFacts.Chambers::begun).isPresent()
                || homalon.core.chambers.Wished.chambers(wishes)) {
            told.add(Told.CHAMBERS_ASKED);
        }
        return told;
    }

    /** Those that were set up, and those that intake names and nobody has set up yet. */
    public static List<VisitFacts.Line> lines(PartFile part, List<LineFinding.Shaft> shafts) {
        List<VisitFacts.Line> all = new ArrayList<>();
        shafts.forEach(l -> all.add(new VisitFacts.Line(l.name(), l.oldest(), l.turns())));
        part.visit().came().map(CameWith::shafts).orElse(List.of()).stream()
                .filter(n -> shafts.stream().noneMatch(l -> l.name().equalsIgnoreCase(n)))
                .forEach(n -> all.add(new VisitFacts.Line(n, Optional.empty(), Turns.NOT_PROVEN)));
        return all;
    }

    /** How a survey of the face stands. */
    public static VisitFacts.Face face(SurveyFile s, Optional<FaceFinding> finding) {
        Instant oldest = s.places().stream()
                .flatMap(p -> p.reading().stream())
                .map(SurveyFile.ReadingFile::at)
                .min(Comparator.naturalOrder())
                .orElse(s.startedAt());
        return new VisitFacts.Face(
                s.places().size(),
                s.handled(),
                oldest,
                finding.map(RouteFacts::found),
                finding.filter(f -> f.sureness().isPresent() && f.judgement().worst() == Verdict.WITHIN)
                        .isPresent(),
                s.with().instruments().stream().anyMatch(i -> i.state().marks()),
                s.revision());
    }

    private static VisitFacts.FaceFound found(FaceFinding f) {
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
                        .orElse(Message.NONE));
    }

    /** @param limit overall, in force */
    public static VisitFacts.Felt felt(FeelerFile s, Verdict verdict, Length limit) {
        return new VisitFacts.Felt(
                s.startedAt(),
                verdict,
                s.complete(limit),
                s.handled(limit),
                s.asked().size());
    }

    public static VisitFacts.Cracked crack(CrackFile c) {
        return new VisitFacts.Cracked(
                c.since(),
                c.remedy(),
                c.what().place().inFace(),
                c.stitch().map(s -> s.pins()).orElse(0));
    }

    /** @param gauges what the pressure gauge leaves open */
    public static VisitFacts.Tested test(TestFile t, BenchGauges gauges) {
        Decay decay = t.decay(gauges);
        return new VisitFacts.Tested(t.at(), decay.verdict(), !t.readings().isEmpty(), decay.why());
    }

    /** What the valves of a visit say to its route. */
    public static VisitFacts.Valves valves(ValveFile file) {
        int settled = 0;
        int out = 0;
        boolean moved = false;
        for (Valve v : file.valves()) {
            settled += file.settled(v) ? 1 : 0;
            out += file.finding(v).verdict() == Verdict.OUT ? 1 : 0;
            moved |= file.axisMoved(v);
        }
        return new VisitFacts.Valves(
                file.valves().size(),
                settled,
                out,
                file.begun(),
                file.sheet().since(),
                work(file, file::guide, Said.GUIDE_DONE),
                work(file, file::insert, Said.INSERT_DONE),
                work(file, file::seat, Said.SEAT_DONE),
                moved);
    }

    private static VisitFacts.ValveWork work(ValveFile file, Function<Valve, ValveFile.Work> how, Said done) {
        int due = 0;
        int finished = 0;
        for (Valve v : file.valves()) {
            ValveFile.Work w = how.apply(v);
            due += w == ValveFile.Work.DUE ? 1 : 0;
            finished += w == ValveFile.Work.DONE ? 1 : 0;
        }
        return new VisitFacts.ValveWork(due, finished, file.at(done));
    }

    /** What the chambers of a visit say to its route. */
    public static VisitFacts.Chambers chambers(ChamberFile file) {
        List<Instant> filled = new ArrayList<>();
        int settled = 0;
        boolean begun = false;
        for (FillState s : FillState.values()) {
            if (file.settled(s)) {
                file.bores().stream()
                        .map(b -> file.filled(b.number(), s).orElseThrow().at())
                        .min(Comparator.naturalOrder())
                        .ifPresent(filled::add);
            }
        }
        for (Layout.Bore b : file.bores()) {
            Optional<ChamberFile.Filled> latest = file.latest(b.number());
            begun |= latest.isPresent();
            settled += latest.filter(f -> f.volume().settled()).isPresent() ? 1 : 0;
        }
        filled.sort(Comparator.naturalOrder());
        return new VisitFacts.Chambers(file.bores().size(), settled, begun, filled, file.range());
    }
}
