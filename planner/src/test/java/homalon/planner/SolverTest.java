package homalon.planner;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.bench.Aim;
import homalon.core.bench.Bench;
import homalon.core.bench.Breach;
import homalon.core.bench.Budget;
import homalon.core.bench.Checker;
import homalon.core.bench.Due;
import homalon.core.bench.ListScheduler;
import homalon.core.bench.Person;
import homalon.core.bench.Placed;
import homalon.core.bench.Score;
import homalon.core.bench.Solution;
import homalon.core.bench.SolverTask;
import homalon.core.bench.Timetable;
import homalon.core.hours.Stretch;
import homalon.core.sim.MadeUpBench;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.json.JsonMapper;

/** Timetables by constraint programming: legal, proven where it is known what can be proven, never worse than what was known. */
class SolverTest {
    private static final Budget LITTLE = new Budget(0.4, 8, 1);

    /** Six jobs on six machines (Fisher and Thompson 1963), of which 55 is known to be the least. */
    static final String FT06 = """
            2 1 0 3 1 6 3 7 5 3 4 6
            1 8 2 5 4 10 5 10 0 10 3 4
            2 5 3 4 5 8 0 9 1 1 4 7
            1 5 0 5 2 5 3 3 4 8 5 9
            2 9 1 3 4 5 5 4 0 3 3 1
            1 3 3 3 5 9 0 10 4 4 2 1
            """;

    private static Solution solved(Bench bench, Budget budget) {
        return Solver.whole(bench, ListScheduler.of(bench, 5, 1).timetable(), budget, s -> {});
    }

    @Test
    void sixJobsOnSixMachinesTakeFiftyFiveAndThatIsProven() {
        Solution solution = solved(JobShop.of(FT06), LITTLE);
        assertEquals(55, JobShop.takes(solution.score().late()));
        assertTrue(solution.reached().get(0).proven());
    }

    @Test
    void onTwoMachinesOfWhichOneIsSlowTheWorkIsShared() {
        // Three works of one job each: 4 minutes on the first machine, 9 on the second. All on the first take 12, one
        // on the second 9.
        Solution solution = solved(JobShop.flexible("1 2 1 4 2 9\n1 2 1 4 2 9\n1 2 1 4 2 9"), LITTLE);
        assertEquals(9, JobShop.takes(solution.score().late()));
        assertTrue(solution.reached().get(0).proven());
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3})
    void aSmallShopIsLegalAndNoWorseThanWhatWasKnown(int seed) {
        Bench bench = MadeUpBench.draw(seed, 3, 2);
        Timetable known = ListScheduler.of(bench, 5, 1).timetable();
        Solution solution = Solver.of(bench, known, LITTLE, s -> {});
        assertEquals(List.of(), Checker.look(bench, solution.timetable()));
        assertTrue(solution.score().compareTo(Score.of(bench, known)) <= 0);
        assertEquals(Score.of(bench, solution.timetable()), solution.score());
        solution.reached().forEach(r -> assertTrue(r.bound() <= r.value(), r::toString));
    }

    /** Too large to be solved at once: some castings at a time, no worse than before, under bounds that hold. */
    @Test
    void aLargeShopIsMadeBetterAPartAtATime() {
        Bench bench = MadeUpBench.draw(1, 12, 2);
        Timetable known = ListScheduler.of(backwards(bench), 1, 1).timetable();
        List<Score> told = new ArrayList<>();
        Budget budget = new Budget(0.3, 1, 1);
        Solution solution = Solver.of(bench, known, budget, s -> told.add(s.score()));
        assertEquals(List.of(), Checker.look(bench, solution.timetable()));
        assertTrue(solution.score().compareTo(Score.of(bench, known)) < 0, () -> "nothing better than " + solution);
        assertEquals(told.get(told.size() - 1), solution.score());
        for (int i = 1; i < told.size(); i++) {
            assertTrue(told.get(i).compareTo(told.get(i - 1)) < 0, told::toString);
        }
        solution.reached().forEach(r -> assertTrue(r.bound() <= r.value(), r::toString));
        assertEquals(solution, Solver.of(bench, known, budget, s -> {}));
    }

    /** The same with the last due first, so that what is planned for it is legal and late. */
    private static Bench backwards(Bench bench) {
        List<Due> turned = new ArrayList<>();
        int n = bench.dues().size();
        for (int i = 0; i < n; i++) {
            Due other = bench.dues().get(n - 1 - i);
            turned.add(new Due(bench.dues().get(i).casting(), other.promised(), other.wanted(), other.weight()));
        }
        return new Bench(
                bench.time(),
                bench.stations(),
                bench.people(),
                turned,
                bench.works(),
                bench.orders(),
                bench.changes(),
                bench.told(),
                bench.soon());
    }

    /** As the server asks: JSON in, a line of JSON for each that is better, the last at the end. */
    @Test
    void theProcessAnswersInLines() throws IOException {
        // As much work as it takes to prove the best: which of several timetables of that worth it is, the engine does
        // not repeat (ADR 54).
        Bench bench = MadeUpBench.draw(7, 3, 2);
        Budget enough = new Budget(0.6, 2, 1);
        SolverTask task = new SolverTask(bench, ListScheduler.of(bench, 5, 1).timetable(), enough);
        JsonMapper json = JsonMapper.shared();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Worker.answer(new ByteArrayInputStream(json.writeValueAsBytes(task)), out);
        String[] lines = out.toString(StandardCharsets.UTF_8).strip().split("\n");
        Solution last = json.readValue(lines[lines.length - 1], Solution.class);
        Solution here = Solver.of(bench, task.known(), enough, s -> {});
        assertEquals(here.score(), last.score());
        assertEquals(here.reached(), last.reached());
        last.reached().forEach(r -> assertEquals(r.value(), r.bound(), r::toString));
        assertEquals(last.score(), Score.of(bench, last.timetable()), "all of it came over");
        assertEquals(List.of(), Checker.look(bench, last.timetable()));
        assertTrue(lines.length > 1, "on the way too");
    }

    @Test
    void theSameWorkGivesTheSameTimetable() {
        Bench bench = MadeUpBench.draw(4, 3, 2);
        assertEquals(solved(bench, LITTLE), solved(bench, LITTLE));
    }

    @Test
    void somebodyIllMovesNoMoreThanItMust() {
        Bench bench = MadeUpBench.draw(5, 3, 2);
        List<Placed> told = solved(bench, LITTLE).timetable().placed();
        Placed hit =
                told.stream().filter(p -> p.person().equals("Ines")).findFirst().orElseThrow();
        Stretch ill = new Stretch(hit.begins(), hit.begins() + 5);
        Bench after = new Bench(
                bench.time(),
                bench.stations(),
                bench.people().stream()
                        .map(p -> p.id().equals("Ines") ? new Person("Ines", List.of(ill)) : p)
                        .toList(),
                List.of(),
                bench.works(),
                bench.orders(),
                bench.changes(),
                told,
                bench.time().length());
        Solution solution = solved(after, LITTLE);
        List<Breach> breaches = Checker.look(after, solution.timetable());
        assertEquals(List.of(), breaches);
        Solution.Reached moved = solution.reached().stream()
                .filter(r -> r.aim() == Aim.MOVED)
                .findFirst()
                .orElseThrow();
        assertTrue(moved.proven(), () -> "fewer might do: " + moved);
        assertTrue(moved.value() < told.size() / 4, moved::toString);
    }
}
