package homalon.app.outcome.report;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.check.face.FaceViews;
import homalon.app.check.face.Findings;
import homalon.app.check.face.Surveys;
import homalon.app.check.face.ThicknessViews;
import homalon.app.check.feelers.FeelerSurveys;
import homalon.app.check.feelers.FeelerView;
import homalon.app.check.feelers.FeelerViews;
import homalon.app.foundation.people.People;
import homalon.app.foundation.web.Shop;
import homalon.app.machining.chambers.ChamberReport;
import homalon.app.machining.cut.CutViews;
import homalon.app.machining.cut.Paintings;
import homalon.app.machining.cut.PlanViews;
import homalon.app.machining.cut.Planner;
import homalon.app.machining.cut.Plans;
import homalon.app.machining.valves.ValveReport;
import homalon.core.face.LimitVerdict;
import homalon.core.ledger.Ledger;
import homalon.core.part.PartKind;
import homalon.core.quantity.LengthWriter;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.GasketKind;
import homalon.core.verdict.Verdict;
import homalon.core.visit.FaceFinding;
import homalon.core.visit.FeelerFile;
import homalon.core.visit.FeelerKind;
import homalon.core.visit.LedgerFile;
import homalon.core.visit.PartFile;
import homalon.core.visit.PlanFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Gathers what a report shows and puts it into plain words. */
@Component
@RequiredArgsConstructor
class Reports {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);

    private final Surveys surveys;
    private final Findings findings;
    private final FaceViews faceViews;
    private final ThicknessViews thicknessViews;
    private final Paintings paintings;
    private final FeelerSurveys feelers;
    private final FeelerViews feelerViews;
    private final Plans plans;
    private final Planner planner;
    private final Ledgers ledgers;
    private final CutViews cutViews;
    private final WholeReport whole;
    private final ValveReport valves;
    private final ChamberReport chambers;
    private final People people;
    private final Shop shop;
    private final Clock clock;

    ReportView of(PartFile part, LengthWriter writer) {
        LedgerFile ledger = ledgers.of(part);
        Optional<PlanFile> plan = plans.of(part);
        Optional<SurveyFile> face = read(part, SurveyKind.FACE);
        Optional<SurveyFile> proof = read(part, SurveyKind.PROOF);
        List<ReportView.Face> faces = new ArrayList<>();
        face.ifPresent(s -> faces.add(face("The face as it came", part, s, writer)));
        proof.ifPresent(s -> faces.add(face("The face after the cut", part, s, writer)));
        List<ReportView.Felt> felt = new ArrayList<>();
        for (FeelerKind kind : FeelerKind.values()) {
            feelers.find(part, kind).filter(FeelerFile::begun).ifPresent(s -> felt.add(felt(part, s, writer)));
        }
        Optional<ChamberReport.Chambers> filled = chambers.of(part, writer);
        List<String> fitter = fitter(part, ledger, writer);
        filled.ifPresent(c -> fitter.addAll(c.fitter()));
        return new ReportView(
                part,
                shop.name(),
                day(clock.instant()),
                writer.unit().label(),
                facts(part),
                said(part, ledger, plan, face, proof, felt, writer),
                whole.of(part, writer),
                fitter,
                faces,
                felt,
                read(part, SurveyKind.THICKNESS_AFTER)
                        .or(() -> read(part, SurveyKind.THICKNESS))
                        .map(t -> faceViews.of(part, t, writer.unit()).rows())
                        .orElse(List.of()),
                valves.of(part, writer),
                filled,
                plan.map(p -> planWords(p, writer)),
                ledger.lines().isEmpty()
                        ? Optional.empty()
                        : Optional.of(cutViews.of(
                                part,
                                ledger,
                                plan,
                                plan.flatMap(p -> planner.compare(part, p.plan().footing())),
                                Optional.empty(),
                                Optional.empty(),
                                writer)),
                Optional.empty());
    }

    private Optional<SurveyFile> read(PartFile part, SurveyKind kind) {
        return surveys.find(part, kind).filter(s -> s.read() > 0);
    }

    private ReportView.Face face(String title, PartFile part, SurveyFile survey, LengthWriter writer) {
        Map<UUID, String> names = people.names();
        Instant last = survey.history().get(survey.history().size() - 1).at();
        String when = "Read " + day(last) + " by " + names.getOrDefault(survey.startedBy(), "someone") + ", "
                + survey.read() + " places, instrument good to " + writer.full(survey.uncertainty());
        return new ReportView.Face(
                title, when, faceViews.of(part, survey, writer.unit()), places(survey, names, writer));
    }

    private static List<ReportView.Place> places(SurveyFile survey, Map<UUID, String> names, LengthWriter writer) {
        return survey.places().stream()
                .map(p -> new ReportView.Place(
                        p.name() + (p.sealing() ? "" : " (does not seal)"),
                        p.isRead() ? writer.signed(p.value()) : p.isSkipped() ? "skipped" : "not read",
                        p.reading().map(r -> names.getOrDefault(r.by(), "")).orElse("")))
                .toList();
    }

    private ReportView.Felt felt(PartFile part, FeelerFile survey, LengthWriter writer) {
        FeelerView view = feelerViews.of(part, survey, writer.unit());
        Instant last = survey.history().get(survey.history().size() - 1).at();
        String when = "Tried " + day(last) + " by "
                + people.names().getOrDefault(survey.startedBy(), "someone") + "; thinnest blade "
                + writer.full(survey.blades().thinnest());
        return new ReportView.Felt(survey.kind().words(), when, view);
    }

    private List<ReportView.Fact> facts(PartFile part) {
        PartFile.Visit visit = part.visit();
        List<ReportView.Fact> facts = new ArrayList<>();
        fact(facts, "Casting", part.kindWords() + (part.castingNumber().isEmpty() ? "" : ", " + part.castingNumber()));
        fact(facts, "For", part.customer());
        fact(facts, "Came in", day(visit.openedAt()) + (part.visits() > 1 ? ", visit " + visit.no() : ""));
        fact(facts, "What happened", visit.history());
        fact(facts, "Wanted", visit.wishes());
        fact(
                facts,
                "Gasket",
                Stream.concat(visit.gasketKind().map(GasketKind::words).stream(), Stream.of(visit.gasket()))
                        .filter(w -> !w.isEmpty())
                        .collect(Collectors.joining(", ")));
        visit.releasedAt()
                .ifPresent(at -> fact(
                        facts,
                        "Handed over",
                        day(at) + " by "
                                + visit.releasedBy()
                                        .map(p -> people.names().getOrDefault(p, "someone"))
                                        .orElse("someone")));
        return facts;
    }

    private static void fact(List<ReportView.Fact> facts, String name, String value) {
        if (!value.isEmpty()) {
            facts.add(new ReportView.Fact(name, value));
        }
    }

    private List<String> said(
            PartFile part,
            LedgerFile ledger,
            Optional<PlanFile> plan,
            Optional<SurveyFile> face,
            Optional<SurveyFile> proof,
            List<ReportView.Felt> felt,
            LengthWriter writer) {
        List<String> said = new ArrayList<>();
        Optional<FaceFinding> before = face.flatMap(s -> findings.of(part, s));
        said.add(before.map(f -> "As it came, the face read " + verdict(f, writer) + " " + f.shape())
                .orElse(
                        felt.isEmpty()
                                ? "The face was not measured as it came."
                                : "The face was not read with an indicator as it came."));
        felt.forEach(f -> said.add(f.title() + ": " + f.view().headline().words() + ". "
                + f.view().headline().sentence()));
        Ledger.Totals totals = ledger.ledger().totals(part.visit().id());
        int passes = ledger.passes(part.visit().id()).size();
        boolean cut = totals.thisJob().signum() > 0;
        said.add(
                cut
                        ? writer.full(totals.thisJob()) + " was taken off in " + passes
                                + (passes == 1 ? " pass" : " passes")
                                + plan.map(p -> ", set up for "
                                                + p.plan().school().words().toLowerCase(Locale.ROOT))
                                        .orElse("")
                                + "."
                        : "Nothing was cut on this visit.");
        if (totals.life().signum() > 0) {
            said.add("In its life " + writer.full(totals.life()) + " has come off"
                    + (totals.opening() == Ledger.Opening.KNOWN || totals.opening() == Ledger.Opening.ESTIMATED
                            ? ", "
                            : " ")
                    + CutViews.lifeNote(totals, writer) + ".");
        }
        if (cut || proof.isPresent()) {
            said.add(proof.flatMap(s -> findings.of(part, s))
                    .map(f -> "Read again after the cut, it is " + verdict(f, writer))
                    .orElse("It was not read again after the cut: what it is now is not proven."));
        }
        thicknessViews.sentence(part, writer).ifPresent(said::add);
        paintings.everyLeft(part).stream()
                .reduce((a, b) -> b)
                .ifPresent(l -> said.add("A low spot off the gasket's sealing bands was left uncut, signed for by "
                        + people.names().getOrDefault(l.by(), "") + ": " + l.why() + "."));
        if (!part.visit().releasedNote().isEmpty()) {
            said.add("It left with work open: " + part.visit().releasedNote());
        }
        return said;
    }

    /** {@code 0.062 flat, out of the limit of 0.050 (maker's book).} Each figure stands beside the limit that it was held against. */
    private static String verdict(FaceFinding finding, LengthWriter writer) {
        LimitVerdict worst = finding.judgement().limits().stream()
                .filter(l -> l.verdict() == finding.judgement().worst())
                .findFirst()
                .orElseThrow();
        boolean whole = worst.limit().scope() == FlatnessLimit.Scope.OVERALL
                || worst.value().isEmpty();
        double zone = finding.judgement().flatness().minimumZone().zone();
        String where = worst.limit()
                .window()
                .map(w -> " in any " + writer.size(w))
                .orElse(
                        switch (worst.limit().scope()) {
                            case ALONG -> " along";
                            case ACROSS -> " across";
                            case BORE -> " around a bore";
                            case OVERALL, WINDOW -> "";
                        });
        boolean within = finding.judgement().worst() == Verdict.WITHIN;
        String figure = within || whole
                ? writer.full(zone) + " flat"
                : writer.full(worst.value().getAsDouble()) + " flat" + where + " (" + writer.full(zone) + " over all)";
        String limit = writer.full(worst.limit().most()) + where + " ("
                + worst.limit().source().words() + ")";
        return figure
                + switch (finding.judgement().worst()) {
                    case WITHIN -> ", within every limit of flatness set for it.";
                    case OUT -> ", out of the limit of " + limit + ".";
                    case NOT_PROVEN -> ", not proven against the limit of " + limit + ". " + worst.why();
                };
    }

    private static List<String> fitter(PartFile part, LedgerFile ledger, LengthWriter writer) {
        List<String> fitter = new ArrayList<>();
        Ledger.Totals totals = ledger.ledger().totals(part.visit().id());
        boolean cut = totals.thisJob().signum() > 0;
        if (cut) {
            // A plain lid carries no shaft, and no timing with it.
            boolean lid = part.kind() == PartKind.HEAD
                    && part.visit().came().filter(c -> c.shafts().isEmpty()).isPresent();
            fitter.add("This " + part.kind().words() + " is " + writer.full(totals.thisJob())
                    + " thinner than when it came. Compression, piston and valve clearances"
                    + (lid ? "" : ", cam timing") + " and how the manifolds meet change with it: check each against the"
                    + " maker's manual before it runs.");
        }
        if (part.kind() == PartKind.HEAD) {
            fitter.add(
                    "The face of the block moves with the head's: have it measured before the two are bolted together.");
        }
        fitter.add(
                (cut ? "Edges are sharp after a cut. " : "") + "Keep the face oiled and covered until it is fitted.");
        return fitter;
    }

    private static String planWords(PlanFile plan, LengthWriter writer) {
        return plan.plan().school().words() + ": " + plan.plan().school().meaning() + "; shims "
                + String.join(", ", PlanViews.shimWords(plan.plan().shims(), writer)) + "; "
                + writer.full(plan.plan().toClean()) + " from first touch to clean"
                + (plan.plan().atLeast().signum() > 0
                        ? ", at least " + writer.full(plan.plan().atLeast()) + " wanted off."
                        : ".");
    }

    private static String day(Instant at) {
        return DAY.format(at.atZone(ZoneId.systemDefault()));
    }
}
