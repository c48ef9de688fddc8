package homalon.app.machining.chambers;

import homalon.app.casting.ledger.LedgerFile;
import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.Faces;
import homalon.app.casting.part.PartFile;
import homalon.app.check.face.SurveyFile;
import homalon.app.check.face.SurveyKind;
import homalon.app.check.face.Surveys;
import homalon.app.machining.cut.PlanFile;
import homalon.app.machining.cut.Planner;
import homalon.app.machining.cut.Plans;
import homalon.app.machining.valves.ValveHeadsOfPart;
import homalon.core.chambers.Bowls;
import homalon.core.chambers.ChamberVolume;
import homalon.core.chambers.DepthFills;
import homalon.core.chambers.Doubts;
import homalon.core.chambers.EngineBook;
import homalon.core.chambers.EngineItem;
import homalon.core.chambers.FillState;
import homalon.core.chambers.OpeningArea;
import homalon.core.cut.ChamberNow;
import homalon.core.cut.CutPlan;
import homalon.core.cut.FaceNeed;
import homalon.core.cut.Outlook;
import homalon.core.cut.OutlookQuestion;
import homalon.core.cut.Removal;
import homalon.core.cut.RimDepths;
import homalon.core.cut.School;
import homalon.core.cut.WhatIf;
import homalon.core.input.BadInputException;
import homalon.core.ledger.Ledger;
import homalon.core.part.ChamberShape;
import homalon.core.part.Layout;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.seats.ValveHeads;
import homalon.core.verdict.Verdict;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Gathers what is known of a visit for the core to say what a cut brings with it. */
@Component
@RequiredArgsConstructor
class Outlooks {
    private final Planner planner;
    private final Plans plans;
    private final Ledgers ledgers;
    private final Surveys surveys;
    private final Faces faces;
    private final ValveHeadsOfPart valves;

    /** Everything of one visit, read once. */
    private record Known(
            ChamberFile file,
            LedgerFile ledger,
            Optional<PlanFile> plan,
            Optional<Planner.Compared> compared,
            RimDepths rims,
            Layout layout,
            ValveHeadsOfPart.Heads heads) {

        /** Cut on this visit after a moment, by the dial. */
        double cutAfter(Instant at) {
            return passes(at, Instant.MAX);
        }

        private double passes(Instant from, Instant to) {
            return ledger.passes(file.part().visit().id()).stream()
                    .filter(l -> l.at().isAfter(from) && !l.at().isAfter(to))
                    .map(LedgerFile.Line::depth)
                    .reduce(Length.ZERO, Length::plus)
                    .mm();
        }

        /** From the first touch of the face as it was read, up to a moment. */
        double done(Instant to) {
            return passes(
                    compared.map(c -> c.survey().startedAt())
                            .orElse(file.part().visit().openedAt()),
                    to);
        }

        /** What came off the rim of one bore between two moments. */
        double rimBetween(int bore, Instant from, Instant to) {
            return rims.taken(bore, done(to)) - rims.taken(bore, done(from));
        }
    }

    OutlookQuestion question(ChamberFile file, WhatIf whatIf) {
        Known known = known(file);
        List<ChamberNow> chambers = new ArrayList<>();
        List<Integer> which = new ArrayList<>();
        List<Layout.Bore> bores = file.bores();
        for (int i = 0; i < bores.size(); i++) {
            Optional<ChamberNow> chamber = chamber(known, i);
            chamber.ifPresent(chambers::add);
            if (chamber.isPresent()) {
                which.add(i);
            }
        }
        Ledger.Totals totals =
                known.ledger().ledger().totals(file.part().visit().id());
        return new OutlookQuestion(
                book(known),
                file.part().kind(),
                chambers,
                bores.stream()
                        .map(b -> new Bowls.Piston(Integer.toString(b.number()), file.crownOf(b.number())))
                        .toList(),
                known.rims().of(which.stream().mapToInt(Integer::intValue).toArray()),
                known.done(Instant.MAX),
                new OutlookQuestion.Life(totals.life().mm(), sure(totals.opening())),
                since(known),
                need(known),
                casting(file.part()),
                whatIf);
    }

    /** One bank of a V counts its bores by twos; a lid was booked as carrying no shaft. */
    private static OutlookQuestion.Casting casting(PartFile part) {
        boolean lid = part.kind() == PartKind.HEAD
                && part.visit().came().filter(c -> c.shafts().isEmpty()).isPresent()
                && part.numbers().chambers() != ChamberShape.CUT_OFF;
        return new OutlookQuestion.Casting(part.numbers().numberStep() == 2, lid);
    }

    private static OutlookQuestion.Life.Sure sure(Ledger.Opening opening) {
        return switch (opening) {
            case KNOWN -> OutlookQuestion.Life.Sure.KNOWN;
            case ESTIMATED -> OutlookQuestion.Life.Sure.ESTIMATED;
            case UNKNOWN, NOT_ASKED -> OutlookQuestion.Life.Sure.UNKNOWN;
        };
    }

    Outlook of(ChamberFile file, WhatIf whatIf) {
        return Outlook.of(question(file, whatIf));
    }

    /** Off on this visit, mm. */
    double thisVisit(ChamberFile file) {
        return ledgers.of(file.part())
                .ledger()
                .totals(file.part().visit().id())
                .thisJob()
                .mm();
    }

    /**
     * The whole cut of this visit as one, from the face as it came: for the words to whoever puts the engine together.
     *
     * @return empty where nothing was cut
     */
    Optional<Outlook> fromTheStart(ChamberFile file) {
        double cut = thisVisit(file);
        if (cut <= 0) {
            return Optional.empty();
        }
        return Optional.of(Outlook.of(question(file, WhatIf.NOTHING).asOneCut(cut)));
    }

    private Known known(ChamberFile file) {
        PartFile part = file.part();
        Optional<PlanFile> plan = plans.of(part);
        Optional<Planner.Compared> compared = compared(part, plan);
        School school = plan.map(p -> p.plan().school()).orElse(School.LEAST_REMOVAL);
        RimDepths rims = compared.flatMap(
                        c -> c.setUps().with(school).map(r -> r.rims(c.setUps().map())))
                .orElse(RimDepths.level(file.bores().size()));
        return new Known(file, ledgers.of(part), plan, compared, rims, faces.layout(part.numbers()), valves.of(part));
    }

    private Optional<Planner.Compared> compared(PartFile part, Optional<PlanFile> plan) {
        try {
            return planner.compare(
                    part, plan.map(p -> p.plan().footing()).orElseGet(() -> planner.usual(part, BenchUnit.MM)));
        } catch (BadInputException e) {
            return Optional.empty();
        }
    }

    /** What the face still has to lose: by the plan, else as it was read when it is out. */
    private static Optional<FaceNeed> need(Known known) {
        double done = known.done(Instant.MAX);
        Optional<Removal> least = known.compared().flatMap(c -> c.setUps().with(School.LEAST_REMOVAL));
        double clean = least.map(r -> r.setUp().toClean()).orElse(0.0);
        double zone = known.compared()
                .map(c -> c.finding().judgement().flatness().minimumZone().zone())
                .orElse(0.0);
        if (known.plan().isPresent()) {
            CutPlan plan = known.plan().get().plan();
            double left = plan.passes().total().mm() - done;
            double toClean = plan.toClean().mm();
            return left > 1e-9
                    ? Optional.of(new FaceNeed(
                            OptionalDouble.of(left),
                            Math.max(0, toClean - done),
                            Math.max(0, (clean > 0 ? clean : toClean) - done),
                            Math.max(0, (zone > 0 ? zone : toClean) - done)))
                    : Optional.empty();
        }
        return known.compared()
                .filter(c -> c.finding().judgement().worst() == Verdict.OUT)
                .map(c -> clean - done)
                .filter(d -> d > 1e-9)
                .map(d -> new FaceNeed(OptionalDouble.empty(), d, d, Math.max(0, zone - done)));
    }

    /** What was keyed, and what other steps of the visit have measured where nothing was. */
    private EngineBook book(Known known) {
        EngineBook book = known.file().book();
        if (!book.has(EngineItem.THINNEST)) {
            Optional<Thinnest> thinnest = thinnest(known.file().part());
            book = thinnest.isPresent()
                    ? book.with(EngineItem.THINNEST, thinnest.get().mm())
                    : book;
        }
        Optional<ValveHeadsOfPart.Shallowest> shallowest = known.heads().shallowest();
        if (!book.has(EngineItem.RECESSION) && shallowest.isPresent()) {
            book = book.with(EngineItem.RECESSION, shallowest.get().recession());
        }
        return book;
    }

    private record Thinnest(double mm, Instant at) {}

    private Optional<Thinnest> thinnest(PartFile part) {
        return surveys.find(part, SurveyKind.THICKNESS_AFTER)
                .filter(s -> s.read() > 0)
                .or(() -> surveys.find(part, SurveyKind.THICKNESS).filter(s -> s.read() > 0))
                .flatMap(s -> s.readPlaces().stream().min(Comparator.comparing(SurveyFile.PlaceFile::value)))
                .map(p -> new Thinnest(p.value().mm(), p.reading().orElseThrow().at()));
    }

    private Map<EngineItem, Double> since(Known known) {
        Map<EngineItem, Double> since = new EnumMap<>(EngineItem.class);
        for (EngineItem item : EngineItem.values()) {
            known.file().keyedAt(item).map(known::cutAfter).ifPresent(cut -> since.put(item, cut));
        }
        if (known.file().keyedAt(EngineItem.THINNEST).isEmpty()) {
            thinnest(known.file().part()).ifPresent(t -> since.put(EngineItem.THINNEST, known.cutAfter(t.at())));
        }
        if (known.file().keyedAt(EngineItem.RECESSION).isEmpty()) {
            known.heads().shallowest().ifPresent(s -> since.put(EngineItem.RECESSION, known.cutAfter(s.at())));
        }
        return since;
    }

    /** Empty where it was neither filled nor told. */
    private static Optional<ChamberNow> chamber(Known known, int bore) {
        ChamberFile file = known.file();
        int number = file.bores().get(bore).number();
        Optional<ChamberFile.Filled> filled = file.latest(number);
        boolean told = file.book().has(EngineItem.CHAMBER);
        if (filled.isEmpty() && !told) {
            return Optional.empty();
        }
        boolean head = file.part().kind() == PartKind.HEAD;
        Instant at = filled.map(ChamberFile.Filled::at)
                .orElseGet(() -> file.keyedAt(EngineItem.CHAMBER).orElse(Instant.MAX));
        Optional<ValveHeads> heads = heads(known, number);
        double seats = heads.map(ValveHeads::cc).orElse(0.0);
        Optional<DepthFills> depths = filled.flatMap(f -> file.depths(number, f.state()));
        return Optional.of(new ChamberNow(
                Integer.toString(number),
                file.first(number)
                        .map(f -> f.volume().cc())
                        .orElseGet(() -> file.book().value(EngineItem.CHAMBER)),
                filled.map(f -> f.volume().cc()).orElseGet(() -> file.book().value(EngineItem.CHAMBER)),
                filled.map(f -> f.volume().plusMinus()).orElse(ChamberVolume.DEFAULT_TOLD),
                filled.map(f -> f.volume().settled() ? ChamberNow.Basis.FILLED : ChamberNow.Basis.ONE_FILL)
                        .orElse(ChamberNow.Basis.TOLD),
                head ? known.rimBetween(bore, at, Instant.MAX) : 0,
                seats,
                heads.map(ValveHeads::area).orElse(0.0),
                opening(known, bore, depths),
                depths,
                Outlook.deckNow(
                        file.deckOf(number),
                        head ? 0 : file.deckAt(number).map(known::cutAfter).orElse(0.0)),
                file.crownOf(number)));
    }

    /** As the valves' own step knows them; else one of each kind as keyed, sunk by what was keyed. */
    private static Optional<ValveHeads> heads(Known known, int number) {
        ValveHeads own = known.heads().byCylinder().get(number);
        EngineBook book = known.file().book();
        if (own != null) {
            return Optional.of(own);
        }
        if (!book.has(EngineItem.INTAKE_HEAD) || !book.has(EngineItem.EXHAUST_HEAD)) {
            return Optional.empty();
        }
        double sink = book.or(EngineItem.SINK, 0);
        return Optional.of(new ValveHeads(List.of(
                new ValveHeads.Head(book.value(EngineItem.INTAKE_HEAD), sink),
                new ValveHeads.Head(book.value(EngineItem.EXHAUST_HEAD), sink))));
    }

    /** By every way that is open, the one that leaves least open. */
    private static OpeningArea opening(Known known, int bore, Optional<DepthFills> depths) {
        ChamberFile file = known.file();
        Layout.Bore of = file.bores().get(bore);
        List<OpeningArea> ways = new ArrayList<>();
        cutBetween(known, bore, FillState.AS_CAME, FillState.CUT).ifPresent(ways::add);
        cutBetween(known, bore, FillState.SEATS, FillState.BOTH).ifPresent(ways::add);
        depths.ifPresent(d -> ways.add(OpeningArea.toDepth(d, file.book().value(EngineItem.FILL_OPEN))));
        if (file.book().has(EngineItem.OPENING)) {
            ways.add(OpeningArea.keyed(file.book().value(EngineItem.OPENING)));
        }
        boolean drawn = file.part().numbers().chambers() != ChamberShape.ROUND
                || file.part().kind() == PartKind.DECK;
        if (drawn) {
            ways.add(OpeningArea.outline(
                    known.layout().chamberArea(of), known.layout().chamberPerimeter(of)));
        }
        ways.add(OpeningArea.share(file.book().or(EngineItem.BORE, of.diameter())));
        return OpeningArea.best(ways).orElseThrow();
    }

    private static Optional<OpeningArea> cutBetween(Known known, int bore, FillState before, FillState after) {
        int number = known.file().bores().get(bore).number();
        Optional<ChamberFile.Filled> was = known.file().filled(number, before);
        Optional<ChamberFile.Filled> is = known.file().filled(number, after);
        if (was.isEmpty() || is.isEmpty()) {
            return Optional.empty();
        }
        double cut = known.rimBetween(bore, was.get().at(), is.get().at());
        boolean sound =
                cut > 1e-6 && is.get().volume().cc() < was.get().volume().cc();
        return sound
                ? Optional.of(OpeningArea.cutBetween(
                        was.get().volume().cc(),
                        was.get().volume().plusMinus(),
                        is.get().volume().cc(),
                        is.get().volume().plusMinus(),
                        cut,
                        Doubts.DEFAULT_CUT))
                : Optional.empty();
    }
}
