package homalon.core.visit;

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
import homalon.core.cut.SetUpMethod;
import homalon.core.cut.WhatIf;
import homalon.core.ledger.Ledger;
import homalon.core.part.ChamberShape;
import homalon.core.part.Layout;
import homalon.core.part.PartKind;
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

/**
 * What is known of a visit, for the core to say what a cut brings with it.
 *
 * @param compared empty while the face cannot be judged
 * @param rims how deep a pass is at the rim of each bore
 * @param thinnest place of the casting that was read; empty where its thickness was not
 */
public record OutlookFacts(
        ChamberFile file,
        LedgerFile ledger,
        Optional<PlanFile> plan,
        Optional<ComparedFace> compared,
        RimDepths rims,
        Layout layout,
        HeadsInChambers heads,
        Optional<Thinnest> thinnest) {

    /** The thinnest place, mm, and when it was read. */
    public record Thinnest(double mm, Instant at) {

        /** @param survey of thickness, some of it read */
        public static Optional<Thinnest> of(SurveyFile survey) {
            return survey.corrected().stream()
                    .min(Comparator.comparing(SurveyFile.PlaceFile::value))
                    .map(p -> new Thinnest(
                            p.value().mm(), p.reading().orElseThrow().at()));
        }
    }

    /** The question that the core answers, with what is thought of. */
    public OutlookQuestion question(WhatIf whatIf) {
        List<ChamberNow> chambers = new ArrayList<>();
        List<Integer> which = new ArrayList<>();
        List<Layout.Bore> bores = file.bores();
        for (int i = 0; i < bores.size(); i++) {
            Optional<ChamberNow> chamber = chamber(i);
            chamber.ifPresent(chambers::add);
            if (chamber.isPresent()) {
                which.add(i);
            }
        }
        Ledger.Totals totals = ledger().ledger().totals(file.part().visit().id());
        return new OutlookQuestion(
                book(),
                file.part().kind(),
                chambers,
                bores.stream()
                        .map(b -> new Bowls.Piston(Integer.toString(b.number()), file.crownOf(b.number())))
                        .toList(),
                rims().of(which.stream().mapToInt(Integer::intValue).toArray()),
                done(Instant.MAX),
                new OutlookQuestion.Life(totals.life().mm(), sure(totals.opening())),
                since(),
                need(),
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

    /** What the face still has to lose: by the plan, else as it was read when it is out. */
    private Optional<FaceNeed> need() {
        double done = done(Instant.MAX);
        Optional<Removal> least = compared().flatMap(c -> c.setUps().with(SetUpMethod.LEAST_REMOVAL));
        double clean = least.map(r -> r.setUp().toClean()).orElse(0.0);
        double zone = compared()
                .map(c -> c.finding().judgement().flatness().minimumZone().zone())
                .orElse(0.0);
        if (plan().isPresent()) {
            CutPlan plan = plan().get().plan();
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
        return compared()
                .filter(c -> c.finding().judgement().worst() == Verdict.OUT)
                .map(c -> clean - done)
                .filter(d -> d > 1e-9)
                .map(d -> new FaceNeed(OptionalDouble.empty(), d, d, Math.max(0, zone - done)));
    }

    /** What was keyed, and what other steps of the visit have measured where nothing was. */
    private EngineBook book() {
        EngineBook book = file().book();
        if (!book.has(EngineItem.THINNEST)) {
            book = thinnest().isPresent()
                    ? book.with(EngineItem.THINNEST, thinnest().get().mm())
                    : book;
        }
        Optional<HeadsInChambers.Shallowest> shallowest = heads().shallowest();
        if (!book.has(EngineItem.RECESSION) && shallowest.isPresent()) {
            book = book.with(EngineItem.RECESSION, shallowest.get().recession());
        }
        return book;
    }

    private Map<EngineItem, Double> since() {
        Map<EngineItem, Double> since = new EnumMap<>(EngineItem.class);
        for (EngineItem item : EngineItem.values()) {
            file().keyedAt(item).map(this::cutAfter).ifPresent(cut -> since.put(item, cut));
        }
        if (file().keyedAt(EngineItem.THINNEST).isEmpty()) {
            thinnest().ifPresent(t -> since.put(EngineItem.THINNEST, cutAfter(t.at())));
        }
        if (file().keyedAt(EngineItem.RECESSION).isEmpty()) {
            heads().shallowest().ifPresent(s -> since.put(EngineItem.RECESSION, cutAfter(s.at())));
        }
        return since;
    }

    /** Empty where it was neither filled nor told. */
    private Optional<ChamberNow> chamber(int bore) {
        int number = file.bores().get(bore).number();
        Optional<ChamberFile.Filled> filled = file.latest(number);
        boolean told = file.book().has(EngineItem.CHAMBER);
        if (filled.isEmpty() && !told) {
            return Optional.empty();
        }
        boolean head = file.part().kind() == PartKind.HEAD;
        Instant at = filled.map(ChamberFile.Filled::at)
                .orElseGet(() -> file.keyedAt(EngineItem.CHAMBER).orElse(Instant.MAX));
        Optional<ValveHeads> heads = heads(number);
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
                head ? rimBetween(bore, at, Instant.MAX) : 0,
                seats,
                heads.map(ValveHeads::area).orElse(0.0),
                opening(bore, depths),
                depths,
                Outlook.deckNow(
                        file.deckOf(number),
                        head ? 0 : file.deckAt(number).map(this::cutAfter).orElse(0.0)),
                file.crownOf(number)));
    }

    /** As the valves' own step knows them; else one of each kind as keyed, sunk by what was keyed. */
    private Optional<ValveHeads> heads(int number) {
        ValveHeads own = heads().byCylinder().get(number);
        EngineBook book = file().book();
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
    private OpeningArea opening(int bore, Optional<DepthFills> depths) {
        Layout.Bore of = file.bores().get(bore);
        List<OpeningArea> ways = new ArrayList<>();
        cutBetween(bore, FillState.AS_CAME, FillState.CUT).ifPresent(ways::add);
        cutBetween(bore, FillState.SEATS, FillState.BOTH).ifPresent(ways::add);
        depths.ifPresent(d -> ways.add(OpeningArea.toDepth(d, file.book().value(EngineItem.FILL_OPEN))));
        if (file.book().has(EngineItem.OPENING)) {
            ways.add(OpeningArea.keyed(file.book().value(EngineItem.OPENING)));
        }
        boolean drawn = file.part().numbers().chambers() != ChamberShape.ROUND
                || file.part().kind() == PartKind.DECK;
        if (drawn) {
            ways.add(OpeningArea.outline(layout().chamberArea(of), layout().chamberPerimeter(of)));
        }
        ways.add(OpeningArea.share(file.book().or(EngineItem.BORE, of.diameter())));
        return OpeningArea.best(ways).orElseThrow();
    }

    private Optional<OpeningArea> cutBetween(int bore, FillState before, FillState after) {
        int number = file().bores().get(bore).number();
        Optional<ChamberFile.Filled> was = file().filled(number, before);
        Optional<ChamberFile.Filled> is = file().filled(number, after);
        if (was.isEmpty() || is.isEmpty()) {
            return Optional.empty();
        }
        double cut = rimBetween(bore, was.get().at(), is.get().at());
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
