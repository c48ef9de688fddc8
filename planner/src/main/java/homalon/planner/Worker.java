package homalon.planner;

import homalon.core.bench.Solution;
import homalon.core.bench.SolverTask;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import tools.jackson.databind.json.JsonMapper;

/**
 * The solver as a process of its own, so that nothing native can take down whoever asks: a task as JSON comes in, each timetable that is
 * better goes out as a line of JSON, the last one at the end.
 */
public final class Worker {
    private Worker() {}

    public static void main(String[] args) throws IOException {
        answer(System.in, System.out);
    }

    static void answer(InputStream from, OutputStream to) throws IOException {
        JsonMapper json = JsonMapper.shared();
        SolverTask task = json.readValue(from.readAllBytes(), SolverTask.class);
        PrintStream out = new PrintStream(to, true, StandardCharsets.UTF_8);
        Solution last = Solver.of(
                task.bench(), task.known(), task.budget(), better -> out.println(json.writeValueAsString(better)));
        out.println(json.writeValueAsString(last));
    }
}
