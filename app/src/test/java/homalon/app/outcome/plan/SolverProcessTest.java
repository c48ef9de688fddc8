package homalon.app.outcome.plan;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.bench.Bench;
import homalon.core.bench.Budget;
import homalon.core.bench.Checker;
import homalon.core.bench.ListScheduler;
import homalon.core.bench.Score;
import homalon.core.bench.Solution;
import homalon.core.bench.SolverTask;
import homalon.core.sim.MadeUpBench;
import java.nio.ByteBuffer;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

/** The solver beside the server: it answers, and whatever it does the server goes on. */
class SolverProcessTest {
    private static final Bench BENCH = MadeUpBench.draw(2, 3, 2);
    private static final SolverTask TASK =
            new SolverTask(BENCH, ListScheduler.of(BENCH, 2, 1).timetable(), new Budget(0.2, 2, 1));
    private static final Duration LONG = Duration.ofMinutes(2);

    private final SolverProcess solver = new SolverProcess(1);

    /** Prints one answer, then never comes to an end. */
    static final class Endless {
        public static void main(String[] args) throws Exception {
            byte[] asked = System.in.readAllBytes();
            SolverTask task = JsonMapper.shared().readValue(asked, SolverTask.class);
            System.out.println(JsonMapper.shared()
                    .writeValueAsString(new Solution(task.known(), Score.of(task.bench(), task.known()), List.of())));
            System.out.print("{\"timetable\":");
            System.out.flush();
            Thread.sleep(Duration.ofHours(1).toMillis());
        }
    }

    /** Takes ever more. */
    static final class Greedy {
        public static void main(String[] args) throws InterruptedException {
            List<ByteBuffer> held = new ArrayList<>();
            while (held.size() < 4000) {
                ByteBuffer more = ByteBuffer.allocateDirect(1 << 20);
                for (int i = 0; i < more.capacity(); i += 4096) {
                    more.put(i, (byte) 1);
                }
                held.add(more);
                Thread.sleep(5);
            }
        }
    }

    @Test
    void aTaskIsSolvedInAProcessOfItsOwn() {
        SolverProcess.Run run = solver.solve(TASK);
        Solution solution = run.solution().orElseThrow();
        assertEquals(List.of(), Checker.look(BENCH, solution.timetable()));
        assertEquals(Score.of(BENCH, solution.timetable()), solution.score());
        assertTrue(solution.score().compareTo(Score.of(BENCH, TASK.known())) <= 0);
        assertFalse(solution.reached().isEmpty());
        assertTrue(run.mostMb() <= SolverProcess.MOST_MB, () -> run.mostMb() + " MB");
    }

    @Test
    void oneThatTakesTooLongIsStoppedAndWhatItSaidBeforeHolds() {
        long begun = System.nanoTime();
        SolverProcess.Run run = solver.solve(TASK, Endless.class.getName(), Duration.ofSeconds(15), 700);
        assertEquals(
                Optional.of(TASK.known()),
                run.solution().map(Solution::timetable),
                "the line that was cut off does not count");
        assertTrue(System.nanoTime() - begun < LONG.toNanos());
    }

    @Test
    void oneThatTakesTooMuchMemoryIsStopped() {
        SolverProcess.Run run = solver.solve(TASK, Greedy.class.getName(), LONG, 120);
        assertEquals(Optional.empty(), run.solution());
        assertTrue(run.mostMb() > 120 && run.mostMb() < 190, () -> run.mostMb() + " MB");
    }

    @Test
    void whereItCannotRunThereIsNoAnswer() {
        assertEquals(
                Optional.empty(),
                solver.solve(TASK, "homalon.planner.Nobody", LONG, 700).solution());
    }

    @Test
    void itIsStoppedWhenThePlanIsMadeAnew() throws InterruptedException {
        List<SolverProcess.Run> runs = new ArrayList<>();
        Thread asking = new Thread(() -> runs.add(solver.solve(TASK, Endless.class.getName(), LONG, 700)));
        long begun = System.nanoTime();
        asking.start();
        while (asking.isAlive() && System.nanoTime() - begun < LONG.toNanos()) {
            solver.stop();
            asking.join(200);
        }
        assertEquals(1, runs.size());
    }
}
