package homalon.core.route;

import homalon.core.integrity.Remedy;
import homalon.core.lines.ShaftLine.Turns;
import homalon.core.route.Step.Mark;
import homalon.core.verdict.Verdict;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Writes what is known of a visit as the events that its route grows from. A check counts as made at the oldest of the readings
 * that it rests on, so that it is made again only when all of it was read again.
 */
final class VisitEvents {
    private static final Set<Remedy> MENDED =
            EnumSet.of(Remedy.STITCH, Remedy.STITCH_AND_INSERT, Remedy.WELD, Remedy.SLEEVE);

    private record Dated(Instant at, Event event) {}

    private final List<Dated> all = new ArrayList<>();
    private final VisitFacts facts;

    private VisitEvents(VisitFacts facts) {
        this.facts = facts;
    }

    /** @param marks of the steps about face, plan, cut and proof, taken by themselves */
    static List<Event> of(VisitFacts facts, Map<StepKind, Mark> marks) {
        VisitEvents events = new VisitEvents(facts);
        events.told();
        events.worked();
        events.cracked();
        events.tested();
        events.measured();
        events.valves();
        events.cut(marks);
        return events.all.stream()
                .sorted(Comparator.comparing(Dated::at))
                .map(Dated::event)
                .toList();
    }

    private void add(Instant at, Event event) {
        all.add(new Dated(at, event));
    }

    private void told() {
        for (VisitFacts.Told told : facts.told()) {
            add(
                    facts.opened(),
                    new Event.Found(
                            switch (told) {
                                case MAY_BE_BENT -> Finding.MAY_BE_BENT;
                                case HAS_LINERS -> Finding.HAS_LINERS;
                                case DECK_ASKED -> Finding.DECK_ASKED;
                                case VALVES_ASKED -> Finding.VALVES_ASKED;
                                case LINES_ASKED -> Finding.LINES_ASKED;
                                case CHAMBERS_ASKED -> Finding.CHAMBERS_ASKED;
                            }));
        }
        facts.happened().stream()
                .sorted()
                .flatMap(h -> h.finding(facts.carriesShafts()).stream())
                .distinct()
                .forEach(f -> add(facts.opened(), new Event.Found(f)));
        facts.chambers().ifPresent(c -> c.filled().forEach(at -> add(at, new Event.Did(Operation.CHAMBER_FILL))));
        facts.released().ifPresent(at -> add(at, new Event.Did(Operation.HAND_OVER)));
    }

    private void worked() {
        for (VisitFacts.Entry e : facts.work()) {
            if (e instanceof VisitFacts.DidWork did) {
                did(did);
            } else if (e instanceof VisitFacts.AddedWork added) {
                add(e.at(), new Event.Added(added.operation()));
            } else if (e instanceof VisitFacts.TurnedStiff) {
                add(e.at(), new Event.Found(Finding.TURNS_STIFF));
            } else if (e instanceof VisitFacts.WaivedWork w) {
                add(e.at(), new Event.Waived(w.operation(), w.who(), w.why()));
            } else if (e instanceof VisitFacts.AskedChoice asked) {
                add(e.at(), new Event.Found(asked.why()));
            } else if (e instanceof VisitFacts.ChoseHow) {
                add(e.at(), new Event.Did(Operation.CHOICE));
            }
        }
        facts.stop().ifPresent(s -> add(s.at(), new Event.Stopped(s.who(), s.said())));
    }

    /** A casting that was blasted is clean when its passages were brushed, not before. */
    private void did(VisitFacts.DidWork e) {
        if (e.operation() == Operation.CUT && !facts.stopped()) {
            // It was said to be clean, and then cut on.
            return;
        }
        if (!e.leavesGrit()) {
            add(e.at(), new Event.Did(e.operation()));
        } else if (!facts.gritLeft()) {
            Instant brushed = facts.brushed().orElse(e.at());
            add(brushed.isAfter(e.at()) ? brushed : e.at(), new Event.Did(e.operation()));
        }
    }

    private void cracked() {
        for (VisitFacts.Cracked c : facts.cracks()) {
            finding(c.remedy()).ifPresent(f -> add(c.since(), new Event.Found(f)));
            if (MENDED.contains(c.remedy()) && c.inFace()) {
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
        for (VisitFacts.Tested t : facts.tests()) {
            if (t.verdict() == Verdict.WITHIN) {
                add(t.at(), new Event.Did(Operation.PRESSURE_TEST));
            }
        }
    }

    private void measured() {
        // One check for all shafts, made when the last of them is proven; what binds is found at once.
        boolean proven =
                !facts.lines().isEmpty() && facts.lines().stream().allMatch(l -> l.turns() != Turns.NOT_PROVEN);
        if (proven) {
            Instant oldest = facts.lines().stream()
                    .flatMap(l -> l.oldest().stream())
                    .min(Comparator.naturalOrder())
                    .orElse(facts.opened());
            add(oldest, new Event.Did(Operation.LINE_CHECK));
        }
        for (VisitFacts.Line l : facts.lines()) {
            Instant since = l.oldest().orElse(facts.opened());
            if (l.turns() == Turns.BINDS) {
                add(since, new Event.Found(Finding.LINE_BENT));
            } else if (l.turns() == Turns.TIGHT) {
                add(since, new Event.Found(Finding.LINE_TIGHT));
            }
        }
        facts.liners().filter(l -> l.verdict() != Verdict.NOT_PROVEN).ifPresent(l -> {
            add(l.oldest(), new Event.Did(Operation.LINER_CHECK));
            if (l.verdict() == Verdict.OUT) {
                add(l.oldest(), new Event.Found(Finding.LINERS_UNEVEN));
            }
        });
        facts.index().ifPresent(i -> {
            add(i.oldest(), new Event.Did(Operation.DECK_INDEX));
            if (!i.square()) {
                add(i.oldest(), new Event.Found(Finding.DECK_ASKEW));
            }
        });
    }

    private void valves() {
        facts.valves().ifPresent(v -> {
            Instant since = v.since().orElse(facts.opened());
            if (v.complete()) {
                add(since, new Event.Did(Operation.VALVE_CHECK));
            }
            work(v.guides(), since, Finding.GUIDES_WORN, Operation.GUIDE_WORK, v.axisMoved());
            work(v.inserts(), since, Finding.SEAT_TO_INSERT, Operation.INSERT, false);
            work(v.seats(), since, Finding.SEATS_BAD, Operation.SEAT_WORK, false);
        });
    }

    private void work(VisitFacts.ValveWork work, Instant since, Finding finding, Operation operation, boolean moved) {
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

    private void cut(Map<StepKind, Mark> marks) {
        boolean out = facts.face().filter(f -> f.verdict() == Verdict.OUT).isPresent();
        // Out is proven by any of its places: nothing that is still to be read makes it better.
        if (marks.get(StepKind.FACE) == Mark.DONE || out) {
            read(facts.face(), facts.felt()).ifPresent(at -> {
                add(at, new Event.Did(Operation.FACE_CHECK));
                if (out) {
                    add(at, new Event.Found(Finding.FACE_OUT));
                }
            });
        }
        facts.plan().ifPresent(p -> {
            if (!out) {
                add(p.at(), new Event.Added(Operation.CUT));
            }
            if (marks.get(StepKind.PLAN) == Mark.DONE) {
                add(p.at(), new Event.Did(Operation.CUT_PLAN));
            }
            p.reference().ifPresent(r -> {
                add(p.at(), new Event.Added(Operation.REFERENCE_CUT));
                // Said to be clean before it was reached, or left there, it is not owed any more.
                Optional<Instant> done = marks.get(StepKind.CUT) == Mark.DONE
                        ? r.reached().or(() -> facts.passes().last())
                        : r.reached();
                done.ifPresent(at -> add(at, new Event.Did(Operation.REFERENCE_CUT)));
            });
        });
        if (marks.get(StepKind.CUT) == Mark.DONE && !facts.stopped()) {
            facts.passes().last().ifPresent(at -> add(at, new Event.Did(Operation.CUT)));
        }
        if (facts.passes().off().signum() > 0 && marks.get(StepKind.PROVE) == Mark.DONE) {
            read(facts.proof(), facts.proofFelt()).ifPresent(at -> add(at, new Event.Did(Operation.PROOF)));
        }
    }

    private static Optional<Instant> read(Optional<VisitFacts.Face> read, Optional<VisitFacts.Felt> felt) {
        return read.map(VisitFacts.Face::oldest).or(() -> felt.map(VisitFacts.Felt::begun));
    }
}
