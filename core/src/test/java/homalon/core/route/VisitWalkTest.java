package homalon.core.route;

import static homalon.core.verdict.Verdict.WITHIN;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.integrity.Remedy;
import homalon.core.lines.ShaftLine.Turns;
import homalon.core.route.Step.Mark;
import homalon.core.route.VisitFacts.ValveWork;
import homalon.core.verdict.Verdict;
import homalon.core.words.English;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Ten walks of ten thousand events, in any order, through visits that begin anew after forty: no order makes a tick that
 * its facts do not bear out, hides a check that is owed, or leaves a person with nothing that may be done.
 */
class VisitWalkTest {
    /** For each seed; more of them by -Dhomalon.walk=10000. */
    private static final int EVENTS = Integer.getInteger("homalon.walk", 3000);

    private static final int LONGEST_VISIT = 40;

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10})
    void anyOrder(long seed) {
        Random random = new Random(seed);
        List<String> story = new ArrayList<>();
        VisitOfTests v = new VisitOfTests();
        for (int i = 0; i < EVENTS; i++) {
            if (story.size() == LONGEST_VISIT) {
                v = new VisitOfTests();
                story.clear();
            }
            story.add(happens(v, random));
            VisitSteps.Standing standing = v.standing();
            check(v, standing);
        }
    }

    private static <T> T any(Random random, T[] all) {
        return all[random.nextInt(all.length)];
    }

    private static String happens(VisitOfTests v, Random random) {
        Verdict verdict = any(random, Verdict.values());
        // Nobody adds a reference cut by itself: it comes with a plan in stages.
        Operation operation = any(
                random,
                Arrays.stream(Operation.values())
                        .filter(o -> o != Operation.REFERENCE_CUT)
                        .toArray(Operation[]::new));
        switch (random.nextInt(21)) {
            case 0 -> v.did(Operation.CLEAN);
            case 1 -> v.blasted();
            case 2 -> v.brushed();
            case 3 -> v.did(Operation.CRACK_CHECK);
            case 4 -> v.read(verdict, random.nextInt(16), 15);
            case 5 -> v.read(verdict);
            case 6 -> v.felt(verdict);
            case 7 -> {
                String total = "0.1" + random.nextInt(10);
                int passes = 1 + random.nextInt(4);
                if (random.nextInt(3) == 0) {
                    v.staged("0.08", total, passes);
                } else {
                    v.planned(total, passes);
                }
            }
            case 8, 9 -> {
                if (random.nextInt(6) == 0) {
                    v.takenBack();
                } else {
                    v.pass("0.0" + (1 + random.nextInt(9)));
                }
            }
            case 10 -> v.proven(verdict);
            case 11 -> v.provenByFeel(verdict);
            case 12 -> v.cracked(any(random, Remedy.values()), random.nextBoolean());
            case 13 -> v.tested(verdict);
            case 14 -> {
                if (random.nextInt(5) == 0) {
                    v.stiff();
                }
                v.lined(any(random, new String[] {"Exhaust", "Intake"}), any(random, Turns.values()));
            }
            case 15 -> v.valves(random.nextInt(3), work(v, random), work(v, random), work(v, random));
            case 16 -> {
                v.told.add(any(random, VisitFacts.Told.values()));
                v.came(any(random, Happened.values()));
                v.shafts = random.nextBoolean();
            }
            case 17 -> {
                if (random.nextInt(4) == 0) {
                    v.did(Operation.CUT);
                }
                // What the route's own page lets one say was done.
                Operation repair = any(random, VisitSteps.REPAIRS.toArray(Operation[]::new));
                v.did(random.nextInt(4) == 0 ? Operation.OIL_AND_BAG : repair);
            }
            case 18 -> {
                if (random.nextBoolean()) {
                    v.asked(random.nextBoolean() ? Finding.CHOICE_ASKED : Finding.SUM_PASSED);
                } else {
                    v.chose(random.nextInt(3) > 0);
                }
            }
            case 19 -> {
                if (random.nextInt(4) == 0 && operation != Operation.HAND_OVER) {
                    v.waived(operation);
                } else if (operation != Operation.HAND_OVER) {
                    v.added(operation);
                }
            }
            default ->
                v.ordered(any(random, new Operation[] {Operation.INSERT, Operation.GUIDE_WORK}), random.nextInt(2));
        }
        VisitFacts facts = v.facts();
        return facts.work().size() + "w " + facts.passes().number() + "p "
                + facts.tests().size() + "t";
    }

    private static ValveWork work(VisitOfTests v, Random random) {
        int due = random.nextInt(3);
        int done = random.nextInt(3);
        return new ValveWork(due, done, done == 0 ? Optional.empty() : Optional.of(v.tick()));
    }

    private static void check(VisitOfTests v, VisitSteps.Standing standing) {
        VisitFacts facts = v.facts();
        String seen = standing.strip().stream()
                .map(s -> s.kind() + " " + s.mark() + " " + English.of(s.note()))
                .collect(Collectors.joining(", "));
        for (Step s : standing.strip()) {
            if (s.mark() == Mark.DONE) {
                assertTrue(borneOut(s, facts, standing.route()), () -> s + " of " + facts + " in " + seen);
            }
        }
        // Nothing that is owed is hidden: whatever is open stands on the strip as not done, or is oiling and bagging.
        Set<Operation> open = standing.route().openSteps().stream()
                .map(Route.Step::operation)
                .filter(o -> o != Operation.HAND_OVER && o != Operation.OIL_AND_BAG)
                .collect(Collectors.toSet());
        for (Operation o : standing.route().owed()) {
            Optional<StepKind> kind = Arrays.stream(StepKind.values())
                    .filter(k -> k.operation().filter(o::equals).isPresent())
                    .findFirst();
            assertTrue(
                    kind.isEmpty()
                            || standing.strip().stream().anyMatch(s -> s.kind() == kind.get() && s.mark() != Mark.DONE),
                    () -> o + " is owed and not shown: " + seen);
        }
        Step last = standing.strip().get(standing.strip().size() - 1);
        assertEquals(StepKind.HAND_OVER, last.kind());
        if (last.mark() == Mark.DUE) {
            assertEquals(List.of(), standing.route().owed(), seen);
            assertTrue(
                    open.stream().noneMatch(Operation::isCheck),
                    () -> "it may leave though open: " + open + " in " + seen);
        }
        // Something may be done now: a step that is due, or any open operation that nothing stands against.
        boolean goesOn = standing.strip().stream().anyMatch(s -> s.mark() == Mark.DUE || s.mark() == Mark.BEGUN)
                || open.stream()
                        .anyMatch(o -> English.of(standing.route().refusal(o)).isEmpty());
        assertTrue(goesOn, () -> "nothing may be done: " + seen + " open " + open);
    }

    private static boolean waived(Route route, Operation operation) {
        return route.steps().stream().anyMatch(s -> s.operation() == operation && s.state() == Route.State.WAIVED);
    }

    private static boolean did(VisitFacts facts, Operation operation) {
        return facts.work().stream().anyMatch(e -> e instanceof VisitFacts.DidWork d && d.operation() == operation);
    }

    /** Asked of the facts alone, in other words than the steps are worked out. */
    private static boolean borneOut(Step s, VisitFacts f, Route route) {
        if (s.kind().operation().filter(o -> waived(route, o)).isPresent()) {
            return true;
        }
        if (route.isStopped() && s.found() == Step.Found.NOT_JUDGED) {
            // The customer's word bears it out that it was left out.
            return f.stop().isPresent();
        }
        boolean nothingCut = f.passes().off().signum() == 0;
        boolean faceWithin = f.face()
                        .filter(x -> x.handled() >= x.asked() && x.finding().isPresent())
                        .filter(x -> x.finding().get().worst() == WITHIN)
                        .isPresent()
                || (f.face().isEmpty()
                        && f.felt().filter(x -> x.verdict() == WITHIN).isPresent());
        faceWithin |= f.work().stream()
                .anyMatch(e -> e instanceof VisitFacts.WaivedWork w && w.operation() == Operation.FACE_CHECK);
        return switch (s.kind()) {
            case BOOKED, HAND_OVER -> true;
            case CLEAN -> did(f, Operation.CLEAN);
            case CRACKS ->
                f.cracks().stream().anyMatch(c -> c.remedy() == Remedy.SCRAP)
                        ? route.isStopped() && s.found() == Step.Found.OUT
                        : did(f, Operation.CRACK_CHECK);
            case REPAIR -> route.openSteps().stream().noneMatch(o -> repairsHere(o.operation(), f));
            case PRESSURE -> f.tests().stream().anyMatch(t -> t.verdict() == WITHIN);
            case LINE -> !f.lines().isEmpty() && f.lines().stream().allMatch(l -> l.turns() != Turns.NOT_PROVEN);
            case VALVES -> f.valves().filter(x -> x.settled() == x.count()).isPresent();
            case FACE ->
                f.face()
                                .flatMap(VisitFacts.Face::finding)
                                .filter(x -> x.worst() != Verdict.NOT_PROVEN)
                                .isPresent()
                        || faceWithin
                        || f.plan().isPresent()
                        || !nothingCut;
            case PLAN -> f.plan().isPresent() || faceWithin || !nothingCut;
            case CUT ->
                (nothingCut && f.plan().isEmpty() && faceWithin)
                        || f.plan()
                                .filter(p -> f.passes().off().compareTo(p.total()) >= 0)
                                .isPresent()
                        || (!nothingCut && saidClean(f))
                        || (!nothingCut && f.plan().isEmpty() && provenWithin(f));
            case PROVE -> (nothingCut && faceWithin && f.plan().isEmpty()) || provenWithin(f);
            case GUIDES -> done(f.valves().map(VisitFacts.Valves::guides), f, Operation.GUIDE_WORK);
            case INSERTS -> done(f.valves().map(VisitFacts.Valves::inserts), f, Operation.INSERT);
            case SEATS -> done(f.valves().map(VisitFacts.Valves::seats), f, Operation.SEAT_WORK);
            case CHOICE -> f.work().stream().anyMatch(VisitFacts.ChoseHow.class::isInstance);
            case CHAMBERS, LINERS, INDEX -> true;
        };
    }

    /** Read, or felt where it was not read, after the last pass. */
    private static boolean provenWithin(VisitFacts f) {
        java.time.Instant last = f.passes().last().orElse(java.time.Instant.MIN);
        return f.proof().isPresent()
                ? f.proof().get().finding().filter(x -> x.worst() == WITHIN).isPresent()
                        && !f.proof().get().oldest().isBefore(last)
                : f.proofFelt()
                        .filter(x -> x.verdict() == WITHIN && !x.begun().isBefore(last))
                        .isPresent();
    }

    private static boolean saidClean(VisitFacts f) {
        return f.work().stream()
                .anyMatch(e -> e instanceof VisitFacts.DidWork d
                        && d.operation() == Operation.CUT
                        && d.at().isAfter(f.passes().last().orElseThrow()));
    }

    private static boolean repairsHere(Operation o, VisitFacts f) {
        boolean ownPage = o == Operation.INSERT
                && f.valves().filter(v -> v.inserts().any()).isPresent();
        return VisitSteps.REPAIRS.contains(o) && !ownPage;
    }

    private static boolean done(Optional<ValveWork> work, VisitFacts f, Operation operation) {
        return work.filter(w -> w.due() == 0).isPresent() || did(f, operation);
    }
}
