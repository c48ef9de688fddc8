package homalon.app.route;

import homalon.app.chambers.ChamberFindings;
import homalon.app.face.SurveyFile;
import homalon.app.face.SurveyKind;
import homalon.app.feelers.FeelerFile;
import homalon.app.feelers.FeelerKind;
import homalon.app.integrity.CrackFile;
import homalon.app.integrity.TestFile;
import homalon.app.lines.LineFinding;
import homalon.app.lines.SheetFindings;
import homalon.app.part.Step.Mark;
import homalon.app.part.StepKind;
import homalon.app.sheets.Sheet;
import homalon.app.sheets.SheetFile;
import homalon.app.valves.ValveFindings;
import homalon.app.work.WorkLog;
import homalon.core.face.Causes;
import homalon.core.integrity.CleaningMethod;
import homalon.core.integrity.Remedy;
import homalon.core.lines.DeckIndex;
import homalon.core.lines.ShaftLine.Turns;
import homalon.core.route.Event;
import homalon.core.route.Finding;
import homalon.core.route.Operation;
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

/**
 * Writes what is known of a visit as the events that its route grows from. A check counts as made at the oldest of the readings
 * that it rests on, so that it is made again only when all of it was read again.
 */
final class RouteEvents {
    private static final Set<Remedy> MENDED =
            EnumSet.of(Remedy.STITCH, Remedy.STITCH_AND_INSERT, Remedy.WELD, Remedy.SLEEVE);

    private record Dated(Instant at, Event event) {}

    private final List<Dated> all = new ArrayList<>();
    private final Facts facts;

    private RouteEvents(Facts facts) {
        this.facts = facts;
    }

    /**
     * @param marks of the steps about face, plan, cut and proof, taken by themselves
     * @param faceOut whether the face was found out of a limit
     * @param names of people, for those who answer for what is left out
     */
    static List<Event> of(
            Facts facts, Map<StepKind, Mark> marks, boolean faceOut, SheetFindings sheets, Map<UUID, String> names) {
        RouteEvents events = new RouteEvents(facts);
        events.told();
        events.worked(names);
        events.cracked();
        events.tested();
        events.measured(sheets);
        events.valves();
        events.cut(marks, faceOut);
        return events.all.stream()
                .sorted(Comparator.comparing(Dated::at))
                .map(Dated::event)
                .toList();
    }

    private void add(Instant at, Event event) {
        all.add(new Dated(at, event));
    }

    private void told() {
        Instant opened = facts.part().visit().openedAt();
        if (Causes.mayBeBent(facts.part().kind(), facts.story())) {
            add(opened, new Event.Found(Finding.MAY_BE_BENT));
        }
        if (facts.sheets().containsKey(Sheet.LINERS)) {
            add(opened, new Event.Found(Finding.HAS_LINERS));
        }
        if (facts.sheets().containsKey(Sheet.INDEX)) {
            add(opened, new Event.Found(Finding.DECK_ASKED));
        }
        if (facts.valves().isPresent() || Wished.valves(facts.part().visit().wishes())) {
            add(opened, new Event.Found(Finding.VALVES_ASKED));
        }
        if (facts.chambers().filter(ChamberFindings.Standing::begun).isPresent()
                || homalon.core.chambers.Wished.chambers(facts.part().visit().wishes())) {
            add(opened, new Event.Found(Finding.CHAMBERS_ASKED));
        }
        facts.chambers().ifPresent(c -> c.filled().forEach(at -> add(at, new Event.Did(Operation.CHAMBER_FILL))));
        facts.part().visit().releasedAt().ifPresent(at -> add(at, new Event.Did(Operation.HAND_OVER)));
    }

    private void worked(Map<UUID, String> names) {
        for (WorkLog.Entry e : facts.work()) {
            switch (e.kind()) {
                case DID -> done(e);
                case ADDED -> add(e.at(), new Event.Added(Operation.valueOf(e.what())));
                case WAIVED ->
                    add(
                            e.at(),
                            new Event.Waived(
                                    Operation.valueOf(e.what()), names.getOrDefault(e.by(), "someone"), e.note()));
                default -> {
                    // Small checks are no part of the route.
                }
            }
        }
    }

    /** A casting that was blasted is clean when its passages were brushed, not before. */
    private void done(WorkLog.Entry e) {
        Operation operation = Operation.valueOf(e.what());
        boolean grit = operation == Operation.CLEAN && CleaningMethod.leavesGrit(e.note());
        if (!grit) {
            add(e.at(), new Event.Did(operation));
        } else if (!facts.gritLeft()) {
            Instant brushed = facts.brushed().orElse(e.at());
            add(brushed.isAfter(e.at()) ? brushed : e.at(), new Event.Did(operation));
        }
    }

    private void cracked() {
        for (CrackFile c : facts.cracks()) {
            finding(c.remedy()).ifPresent(f -> add(c.since(), new Event.Found(f)));
            if (MENDED.contains(c.remedy()) && c.what().place().inFace()) {
                add(c.since(), new Event.Found(Finding.REPAIR_IN_FACE));
            }
        }
    }

    private static Optional<Finding> finding(Remedy remedy) {
        return switch (remedy) {
            case STITCH -> Optional.of(Finding.CRACK_TO_STITCH);
            case STITCH_AND_INSERT -> Optional.of(Finding.CRACK_BETWEEN_SEATS);
            case WELD -> Optional.of(Finding.CRACK_TO_WELD);
            case SLEEVE -> Optional.of(Finding.WALL_TO_SLEEVE);
            case PROVE -> Optional.of(Finding.WALL_SUSPECT);
            case LEAVE, SCRAP -> Optional.empty();
        };
    }

    /** What was done while a test held is not proven by it: it counts from its beginning. */
    private void tested() {
        for (TestFile t : facts.tests()) {
            if (t.decay().verdict() == Verdict.WITHIN) {
                add(t.at(), new Event.Did(Operation.PRESSURE_TEST));
            }
        }
    }

    private void measured(SheetFindings findings) {
        SheetFile line = facts.sheets().get(Sheet.LINE);
        if (line != null) {
            Turns turns = LineFinding.of(line).map(LineFinding::verdict).orElse(Turns.NOT_PROVEN);
            if (turns != Turns.NOT_PROVEN) {
                Instant since = line.since().orElseThrow();
                add(since, new Event.Did(Operation.LINE_CHECK));
                if (turns == Turns.BINDS) {
                    add(since, new Event.Found(Finding.LINE_BENT));
                }
            }
        }
        findings.liners(facts.part(), facts.sheets().get(Sheet.LINERS)).ifPresent(l -> {
            if (l.verdict() != Verdict.NOT_PROVEN) {
                Instant since = facts.sheets().get(Sheet.LINERS).since().orElseThrow();
                add(since, new Event.Did(Operation.LINER_CHECK));
                if (l.verdict() == Verdict.OUT) {
                    add(since, new Event.Found(Finding.LINERS_UNEVEN));
                }
            }
        });
        findings.index(facts.part(), facts.sheets().get(Sheet.INDEX)).ifPresent(i -> {
            Instant since = facts.sheets().get(Sheet.INDEX).since().orElseThrow();
            add(since, new Event.Did(Operation.DECK_INDEX));
            if (!i.square(DeckIndex.DEFAULT_SQUARE)) {
                add(since, new Event.Found(Finding.DECK_ASKEW));
            }
        });
    }

    private void valves() {
        facts.valves().ifPresent(v -> {
            Instant opened = facts.part().visit().openedAt();
            Instant since = v.since().orElse(opened);
            if (v.complete()) {
                add(since, new Event.Did(Operation.VALVE_CHECK));
            }
            work(v.guides(), since, Finding.GUIDES_WORN, Operation.GUIDE_WORK, v.axisMoved());
            work(v.inserts(), since, Finding.SEAT_TO_INSERT, Operation.INSERT, false);
            work(v.seats(), since, Finding.SEATS_BAD, Operation.SEAT_WORK, false);
        });
    }

    private void work(ValveFindings.Work work, Instant since, Finding finding, Operation operation, boolean moved) {
        if (work.any()) {
            add(since, new Event.Found(finding));
        }
        if (work.finished()) {
            Instant last = work.last().orElse(since);
            if (moved) {
                add(last, new Event.Found(Finding.AXIS_MOVED));
            }
            add(last, new Event.Did(operation));
        }
    }

    private void cut(Map<StepKind, Mark> marks, boolean faceOut) {
        Optional<Instant> read = read(SurveyKind.FACE, FeelerKind.FACE);
        if (read.isPresent() && marks.get(StepKind.FACE) == Mark.DONE) {
            add(read.get(), new Event.Did(Operation.FACE_CHECK));
            if (faceOut) {
                add(read.get(), new Event.Found(Finding.FACE_OUT));
            }
        }
        facts.plan().ifPresent(p -> {
            if (!faceOut) {
                add(p.at(), new Event.Added(Operation.CUT));
            }
            if (marks.get(StepKind.PLAN) == Mark.DONE) {
                add(p.at(), new Event.Did(Operation.CUT_PLAN));
            }
        });
        if (!facts.passes().isEmpty() && marks.get(StepKind.CUT) == Mark.DONE) {
            add(facts.passes().get(facts.passes().size() - 1).at(), new Event.Did(Operation.CUT));
        }
        if (facts.cut().signum() > 0 && marks.get(StepKind.PROVE) == Mark.DONE) {
            read(SurveyKind.PROOF, FeelerKind.PROOF).ifPresent(at -> add(at, new Event.Did(Operation.PROOF)));
        }
    }

    private Optional<Instant> read(SurveyKind survey, FeelerKind felt) {
        return facts.survey(survey)
                .map(s -> s.places().stream()
                        .flatMap(p -> p.reading().stream())
                        .map(SurveyFile.ReadingFile::at)
                        .min(Comparator.naturalOrder())
                        .orElse(s.startedAt()))
                .or(() -> facts.felt(felt).map(FeelerFile::startedAt));
    }
}
