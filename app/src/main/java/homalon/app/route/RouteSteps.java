package homalon.app.route;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import homalon.app.chambers.ChamberFindings;
import homalon.app.cut.PlanFile;
import homalon.app.face.Findings;
import homalon.app.face.SurveyFile;
import homalon.app.face.SurveyKind;
import homalon.app.face.Surveys;
import homalon.app.feelers.FeelerFile;
import homalon.app.feelers.FeelerFindings;
import homalon.app.feelers.FeelerKind;
import homalon.app.lines.SheetFindings;
import homalon.app.part.PartFile;
import homalon.app.part.Step;
import homalon.app.part.Step.Mark;
import homalon.app.part.StepKind;
import homalon.app.part.StepSource;
import homalon.app.people.People;
import homalon.app.sheets.Sheet;
import homalon.app.valves.ValveFindings;
import homalon.app.work.WorkLog;
import homalon.core.cut.PassPlan;
import homalon.core.face.LimitVerdict;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Event;
import homalon.core.route.Operation;
import homalon.core.route.Route;
import homalon.core.rulebook.RuleBook;
import homalon.core.verdict.Verdict;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Works the strip of steps out from surveys, plans and ledgers, read once for all parts asked for. */
@Component
class RouteSteps implements StepSource {
    private final Surveys surveys;
    private final Findings findings;
    private final FeelerFindings feelerFindings;
    private final Written written;
    private final SheetFindings sheetFindings;
    private final ValveFindings valves;
    private final ChamberFindings chambers;
    private final People people;
    /** A route is a pure value of its events: any instance grows the same one. */
    private final Cache<List<Event>, Route> grown =
            Caffeine.newBuilder().maximumSize(600).build();

    RouteSteps(
            Surveys surveys,
            Findings findings,
            FeelerFindings feelerFindings,
            Written written,
            SheetFindings sheetFindings,
            ValveFindings valves,
            ChamberFindings chambers,
            People people) {
        this.surveys = surveys;
        this.findings = findings;
        this.feelerFindings = feelerFindings;
        this.written = written;
        this.sheetFindings = sheetFindings;
        this.valves = valves;
        this.chambers = chambers;
        this.people = people;
    }

    @Override
    public Map<UUID, Standing> steps(List<PartFile> parts, LengthWriter writer) {
        Map<UUID, Standing> all = new HashMap<>();
        for (Facts facts : facts(parts)) {
            all.put(facts.part().visit().id(), new Visit(facts, writer).standing());
        }
        return all;
    }

    private List<Facts> facts(List<PartFile> parts) {
        List<UUID> visits = parts.stream().map(p -> p.visit().id()).toList();
        Map<UUID, List<SurveyFile>> read =
                surveys.ofVisits(visits).stream().collect(Collectors.groupingBy(SurveyFile::visit));
        Map<UUID, Written.Lines> lines = written.of(parts);
        List<Facts> all = new ArrayList<>();
        for (PartFile part : parts) {
            UUID visit = part.visit().id();
            Written.Lines w = lines.get(visit);
            all.add(new Facts(
                    part,
                    read.getOrDefault(visit, List.of()),
                    w,
                    valves.of(part, w.sheets().get(Sheet.VALVES)),
                    chambers.of(part, w.sheets().get(Sheet.CHAMBERS))));
        }
        return all;
    }

    /** One visit with all that is known of it. */
    private final class Visit {
        private final Facts facts;
        private final PartFile part;
        private final Optional<SurveyFile> face;
        private final Optional<SurveyFile> proof;
        private final Optional<PlanFile> plan;
        private final Length cut;
        private final int passes;
        private final LengthWriter writer;
        private final Optional<Findings.Finding> finding;

        Visit(Facts facts, LengthWriter writer) {
            this.facts = facts;
            this.part = facts.part();
            this.face = facts.survey(SurveyKind.FACE);
            this.proof = facts.survey(SurveyKind.PROOF);
            this.plan = facts.plan();
            this.writer = writer;
            this.cut = facts.cut();
            this.passes = facts.passes().size();
            this.finding = face.flatMap(s -> findings.of(part, s));
        }

        Standing standing() {
            Map<StepKind, Step> own = new EnumMap<>(StepKind.class);
            int no = part.visit().no();
            own.put(StepKind.BOOKED, new Step(StepKind.BOOKED, Mark.DONE, no == 1 ? "kept" : "visit " + no, "", ""));
            own.put(StepKind.FACE, faceStep());
            own.put(StepKind.PLAN, planStep());
            own.put(StepKind.CUT, cutStep());
            own.put(StepKind.PROVE, proofStep());
            Map<StepKind, Mark> marks = new EnumMap<>(StepKind.class);
            own.forEach((kind, step) -> marks.put(kind, step.mark()));
            boolean waived = facts.work().stream().anyMatch(e -> e.kind() == WorkLog.Kind.WAIVED);
            List<Event> events =
                    RouteEvents.of(facts, marks, faceOut(), sheetFindings, waived ? people.names() : Map.of());
            Route route = grown.get(events, Route::of);
            WholeSteps whole = new WholeSteps(facts, route, sheetFindings, writer);
            List<Step> strip = new ArrayList<>();
            for (StepKind kind : StepKind.values()) {
                Optional.ofNullable(own.get(kind))
                        .map(s -> held(s, route))
                        .or(() -> whole.step(kind))
                        .ifPresent(strip::add);
            }
            boolean ready = strip.stream().allMatch(s -> s.mark() == Mark.DONE);
            strip.add(handOver(ready, route.open(Operation.OIL_AND_BAG).isPresent()));
            return new Standing(strip, route);
        }

        private boolean faceOut() {
            return finding.filter(f -> f.judgement().worst() == Verdict.OUT).isPresent();
        }

        /** A step that was done and is owed again, or that must wait for another. */
        private static Step held(Step step, Route route) {
            Operation operation = step.kind().operation().orElse(null);
            if (operation == null) {
                return step;
            }
            Optional<Route.Step> open = route.open(operation);
            if (step.mark() == Mark.DONE && open.isPresent()) {
                String because = open.get().because().isEmpty()
                        ? ""
                        : open.get().because().get(0);
                boolean due = open.get().state() == Route.State.DUE;
                boolean again = route.steps().stream()
                        .anyMatch(o -> o.operation() == operation && o.state() == Route.State.DONE);
                return new Step(
                        step.kind(),
                        due ? Mark.DUE : Mark.WAITS,
                        again ? "owed again" : due ? "due" : "waits",
                        WholeSteps.capital(operation.words()),
                        because);
            }
            if (step.mark() == Mark.DUE && route.refusal(operation).isPresent()) {
                String first = route.refusal(operation).get();
                return new Step(step.kind(), Mark.WAITS, "waits", step.todo(), first);
            }
            return step;
        }

        private Optional<FeelerFile> felt(FeelerKind kind) {
            return facts.felt(kind);
        }

        private Length limit() {
            return RuleBook.overall(part.limits());
        }

        private boolean feltWithin() {
            return face.isEmpty()
                    && cut.signum() == 0
                    && felt(FeelerKind.FACE)
                            .filter(s -> feelerFindings.of(part, s).verdict() == Verdict.WITHIN)
                            .isPresent();
        }

        private boolean flatEnough() {
            return feltWithin()
                    || finding.filter(f -> f.judgement().worst() == Verdict.WITHIN)
                                    .isPresent()
                            && cut.signum() == 0;
        }

        private Step faceStep() {
            if (face.isEmpty() && felt(FeelerKind.FACE).isPresent()) {
                return feltStep(
                        StepKind.FACE,
                        felt(FeelerKind.FACE).get(),
                        "Read the face with an indicator",
                        "by feelers it is out; the plan needs its shape");
            }
            if (face.isEmpty()) {
                return new Step(StepKind.FACE, Mark.DUE, "due", "Check the face", "nothing is measured yet");
            }
            SurveyFile s = face.get();
            if (!s.complete()) {
                return new Step(StepKind.FACE, Mark.BEGUN, keyed(s), "Finish the face", left(s));
            }
            Verdict worst = finding.map(f -> f.judgement().worst()).orElse(Verdict.NOT_PROVEN);
            boolean settled = worst != Verdict.NOT_PROVEN || cut.signum() > 0 || plan.isPresent();
            String note = finding.map(f -> verdict(f, writer)).orElse("too few places");
            String shape = finding.map(Findings.Finding::shape).orElse("");
            return new Step(StepKind.FACE, settled ? Mark.DONE : Mark.BEGUN, note, "Measure more of the face", shape);
        }

        private Step feltStep(StepKind step, FeelerFile s, String whenOut, String detail) {
            return switch (feelerFindings.of(part, s).verdict()) {
                case WITHIN -> new Step(step, Mark.DONE, "within, by feelers", "", "");
                case OUT -> new Step(step, Mark.BEGUN, "out, by feelers", whenOut, detail);
                case NOT_PROVEN ->
                    new Step(
                            step,
                            Mark.BEGUN,
                            s.complete(limit())
                                    ? "not proven"
                                    : s.handled(limit()) + " of " + s.asked().size() + " felt",
                            "Go on with the feelers",
                            "not proven yet");
            };
        }

        private Step planStep() {
            if (flatEnough() && plan.isEmpty()) {
                return new Step(StepKind.PLAN, Mark.DONE, "no cut needed", "", "");
            }
            if (plan.isEmpty()) {
                boolean out = finding.isPresent() && face.get().complete();
                String zone = finding.map(f -> writer.full(
                                        f.judgement().flatness().minimumZone().zone()) + " to clean at the least")
                        .orElse("");
                return new Step(
                        StepKind.PLAN,
                        out ? Mark.DUE : Mark.WAITS,
                        out ? "due" : "after the face",
                        "Plan the cut",
                        zone);
            }
            PlanFile p = plan.get();
            boolean stale = face.filter(s -> s.revision() != p.surveyRevision()).isPresent() && cut.signum() == 0;
            if (stale) {
                return new Step(
                        StepKind.PLAN,
                        Mark.BEGUN,
                        "face read since",
                        "Plan the cut again",
                        "the face was read again since the plan");
            }
            int n = p.plan().passes().passes().size();
            return new Step(
                    StepKind.PLAN, Mark.DONE, writer.number(p.plan().passes().total()) + " in " + n, "", "");
        }

        private Step cutStep() {
            if (plan.isEmpty() && cut.signum() == 0) {
                return flatEnough()
                        ? new Step(StepKind.CUT, Mark.DONE, "none", "", "")
                        : new Step(StepKind.CUT, Mark.WAITS, "after the plan", "Cut", "");
            }
            List<PassPlan.Pass> planned =
                    plan.map(p -> p.plan().passes().passes()).orElse(List.of());
            Length total = plan.map(p -> p.plan().passes().total()).orElse(Length.ZERO);
            if (cut.compareTo(total) >= 0) {
                return new Step(StepKind.CUT, Mark.DONE, writer.number(cut) + " off", "", "");
            }
            String shims = shims();
            String detail = writer.full(total.minus(cut)) + " to go" + (shims.isEmpty() ? "" : " · shims " + shims);
            String todo = passes == 0
                    ? "Cut: skim and " + (planned.size() - 1) + (planned.size() == 2 ? " pass" : " passes")
                    : "Cut on: pass " + (passes + 1) + " of " + Math.max(planned.size(), passes + 1);
            String note = passes == 0 ? "due" : "pass " + passes + " of " + planned.size();
            return new Step(StepKind.CUT, passes == 0 ? Mark.DUE : Mark.BEGUN, note, todo, detail);
        }

        private String shims() {
            List<Length> shims = plan.map(p -> p.plan().shims()).orElse(List.of());
            List<String> words = new ArrayList<>();
            for (int j = 0; j < shims.size(); j++) {
                if (shims.get(j).signum() > 0) {
                    words.add((char) ('A' + j) + " " + writer.number(shims.get(j)));
                }
            }
            return String.join(", ", words);
        }

        private Step proofStep() {
            if (flatEnough()) {
                return new Step(StepKind.PROVE, Mark.DONE, "face within", "", "");
            }
            boolean cutDone = cutStep().mark() == Mark.DONE;
            if (proof.isEmpty() && felt(FeelerKind.PROOF).isPresent()) {
                return feltStep(
                        StepKind.PROVE, felt(FeelerKind.PROOF).get(), "Still out: cut again or stop", "out by feelers");
            }
            if (proof.isEmpty()) {
                return new Step(
                        StepKind.PROVE,
                        cutDone ? Mark.DUE : Mark.WAITS,
                        cutDone ? "due" : "after the cut",
                        "Read the face again",
                        "the cut is not proven until it is measured");
            }
            SurveyFile s = proof.get();
            if (!s.complete()) {
                return new Step(StepKind.PROVE, Mark.BEGUN, keyed(s), "Finish the proof", left(s));
            }
            Optional<Findings.Finding> after = findings.of(part, s);
            boolean out =
                    after.filter(f -> f.judgement().worst() == Verdict.OUT).isPresent();
            String note = after.map(f -> verdict(f, writer)).orElse("too few places");
            return new Step(StepKind.PROVE, out ? Mark.BEGUN : Mark.DONE, note, "Still out: cut again or stop", note);
        }

        private Step handOver(boolean ready, boolean bare) {
            if (part.visit().releasedAt().isPresent()) {
                return new Step(StepKind.HAND_OVER, Mark.DONE, "gone", "", "");
            }
            return new Step(
                    StepKind.HAND_OVER,
                    ready ? Mark.DUE : Mark.WAITS,
                    ready ? "due" : "waits",
                    "Hand over",
                    bare ? "oil and bag it, print the report, tie the tag on" : "print the report, tie the tag on");
        }
    }

    private static String keyed(SurveyFile s) {
        return s.handled() + " of " + s.places().size() + " keyed";
    }

    private static String left(SurveyFile s) {
        int left = s.places().size() - s.handled();
        return left + (left == 1 ? " place" : " places") + " to key";
    }

    private static String verdict(Findings.Finding finding, LengthWriter writer) {
        return switch (finding.judgement().worst()) {
            case WITHIN -> "within";
            case NOT_PROVEN -> "not proven";
            case OUT ->
                "out by "
                        + writer.number(finding.judgement().limits().stream()
                                .filter(l -> l.verdict() == Verdict.OUT)
                                .map(LimitVerdict::over)
                                .mapToDouble(o -> o.orElse(0))
                                .max()
                                .orElse(0));
        };
    }
}
