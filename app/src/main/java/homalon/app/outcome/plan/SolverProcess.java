package homalon.app.outcome.plan;

import homalon.core.bench.Budget;
import homalon.core.bench.Solution;
import homalon.core.bench.SolverTask;
import java.io.BufferedReader;
import java.io.File;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * Runs the solver in a process of its own, at the lowest priority, with so much memory and so much time at the most: whatever it does, the
 * server goes on. Where it cannot run, on a machine that it is not built for, there is no answer and the list's plan holds.
 */
@Component
class SolverProcess {
    private static final Logger LOG = LoggerFactory.getLogger(SolverProcess.class);
    private static final String WORKER = "homalon.planner.Worker";
    private static final Duration LONGEST = Duration.ofSeconds(90);
    private static final int LOOK_EVERY_MS = 250;
    private static final int PAGE_KB = 4;

    private final double work;
    private final AtomicReference<@Nullable Process> running = new AtomicReference<>();

    /** Resident, heap and native together. */
    static final int MOST_MB = 700;

    /**
     * What came of it.
     *
     * @param solution the best that was told; empty where none was
     * @param mostMb memory that it held at the most, as far as it was looked at
     */
    record Run(Optional<Solution> solution, int mostMb) {}

    /**
     * @param work that it may do on one plan, in the solver's own count: about forty seconds of a quiet core. Not by the
     *     clock, so that the same bench gives the same plan
     */
    SolverProcess(@Value("${homalon.day.solver-work:1.5}") double work) {
        this.work = work;
    }

    Budget budget() {
        return new Budget(work, 1, 1);
    }

    Run solve(SolverTask task) {
        return solve(task, WORKER, LONGEST, MOST_MB);
    }

    Run solve(SolverTask task, String worker, Duration longest, int mostMb) {
        Process process;
        try {
            process = new ProcessBuilder(command(worker))
                    .redirectError(ProcessBuilder.Redirect.DISCARD)
                    .start();
        } catch (IOException e) {
            LOG.info("no solver runs here: {}", e.getMessage());
            return new Run(Optional.empty(), 0);
        }
        running.set(process);
        Watch watch = new Watch(process, longest, mostMb);
        Thread watching = new Thread(watch, "solver-watch");
        watching.setDaemon(true);
        watching.start();
        try {
            return new Run(ask(process, task), watch.most());
        } finally {
            process.destroyForcibly();
            running.compareAndSet(process, null);
        }
    }

    /** What it told up to now is answered. */
    void stop() {
        Process process = running.get();
        if (process != null) {
            process.destroyForcibly();
        }
    }

    private static List<String> command(String worker) {
        List<String> command = new ArrayList<>();
        // Idle, it makes way at once; with the lowest priority alone, one page in twenty took half as long again.
        lowered(command, "/usr/bin/chrt", "-i", "0");
        lowered(command, "/usr/bin/nice", "-n", "19");
        command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
        command.addAll(List.of("-Xmx192m", "-XX:+UseSerialGC", "-XX:TieredStopAtLevel=1", "-Djava.awt.headless=true"));
        command.addAll(List.of("-cp", classPath(), worker));
        return command;
    }

    private static void lowered(List<String> command, String program, String... how) {
        if (Files.isExecutable(Path.of(program))) {
            command.add(program);
            command.addAll(List.of(how));
        }
    }

    /** As this process has it, from wherever that was started. */
    private static String classPath() {
        List<String> all = new ArrayList<>();
        for (String one : System.getProperty("java.class.path").split(File.pathSeparator)) {
            all.add(Path.of(one).toAbsolutePath().toString());
        }
        return String.join(File.pathSeparator, all);
    }

    private static Optional<Solution> ask(Process process, SolverTask task) {
        JsonMapper json = JsonMapper.shared();
        String before = "";
        String last = "";
        try (OutputStream to = process.getOutputStream()) {
            to.write(json.writeValueAsBytes(task));
        } catch (IOException e) {
            LOG.info("the solver does not listen: {}", e.getMessage());
            return Optional.empty();
        }
        try (BufferedReader from =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8))) {
            for (String line = from.readLine(); line != null; line = from.readLine()) {
                before = last;
                last = line;
            }
        } catch (IOException e) {
            // It was stopped: what it told before holds.
            LOG.info("the solver was stopped: {}", e.getMessage());
        }
        String whole = before;
        return read(json, last).or(() -> read(json, whole));
    }

    /** Empty for a line that was cut off. */
    private static Optional<Solution> read(JsonMapper json, String line) {
        try {
            return line.isBlank() ? Optional.empty() : Optional.of(json.readValue(line, Solution.class));
        } catch (JacksonException e) {
            LOG.info("the solver's answer is not read: {}", e.getOriginalMessage());
            return Optional.empty();
        }
    }

    /** Stops it when it takes too long, or too much. */
    private static final class Watch implements Runnable {
        private final Process process;
        private final long until;
        private final int mostMb;
        private volatile int most;

        Watch(Process process, Duration longest, int mostMb) {
            this.process = process;
            this.until = System.nanoTime() + longest.toNanos();
            this.mostMb = mostMb;
        }

        int most() {
            return most;
        }

        @Override
        public void run() {
            try {
                while (!process.waitFor(LOOK_EVERY_MS, TimeUnit.MILLISECONDS)) {
                    int now = resident(process.pid());
                    most = Math.max(most, now);
                    if (now > mostMb || System.nanoTime() > until) {
                        process.destroyForcibly();
                    }
                }
            } catch (InterruptedException e) {
                process.destroyForcibly();
                Thread.currentThread().interrupt();
            }
        }

        private static int resident(long pid) {
            try {
                String[] pages =
                        Files.readString(Path.of("/proc/" + pid + "/statm")).split(" ", -1);
                return Integer.parseInt(pages[1]) * PAGE_KB / 1024;
            } catch (IOException | NumberFormatException e) {
                return 0;
            }
        }
    }
}
