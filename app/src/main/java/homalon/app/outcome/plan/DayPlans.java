package homalon.app.outcome.plan;

import homalon.app.foundation.web.ReadTransaction;
import homalon.app.foundation.web.WriteTransaction;
import homalon.core.bench.DayPlan;
import homalon.core.bench.Posted;
import homalon.core.bench.Score;
import homalon.core.bench.UsualChances;
import homalon.core.bench.WhatIf;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReentrantLock;
import lombok.RequiredArgsConstructor;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** The plan that the shop goes by, made anew when anything changed that it follows from. */
@Service
@RequiredArgsConstructor
public class DayPlans {
    /** Works that are placed while a better plan is looked for: as many in every shop, by fewer plans where each has more of them. */
    private static final int WORKS_PLACED = 12_000;

    private static final int LEAST_ROUNDS = 2;
    private static final int MOST_ROUNDS = 120;
    /** In which it is looked at when each casting can be ready. */
    private static final int DRAWS = 500;

    private static final long SEED = 20_261_201L;
    /** Time alone moves a plan: what was not begun is told anew after so long. */
    private static final Duration STALE = Duration.ofMinutes(10);
    /** Nobody waits longer at a page for what follows. */
    private static final Duration PATIENCE = Duration.ofSeconds(5);
    /** Older ones are not kept. */
    private static final int KEPT = 50;

    private static final Logger LOG = LoggerFactory.getLogger(DayPlans.class);

    private final PostedPlanRepository posted;
    private final DayInputs inputs;
    private final FoundBefore history;
    private final SolverProcess solver;
    private final ReadTransaction reading;
    private final WriteTransaction writing;
    private final Clock clock;
    private final ReentrantLock planning = new ReentrantLock();
    private final ReentrantLock solving = new ReentrantLock();

    /** @param madeAt when it was made; empty where there is none yet */
    public record Plan(Posted posted, Optional<Instant> madeAt) {}

    /** What the shop goes by; made now where there is none. */
    public Plan now() {
        return last().orElseGet(() -> {
            try {
                follow();
            } catch (RuntimeException e) {
                // Whoever looks is told that there is none; the next look behind tries again.
                LOG.warn("the bench day was not planned", e);
            }
            return last().orElseGet(() -> new Plan(Posted.NOTHING, Optional.empty()));
        });
    }

    /** What was posted last, for whoever only looks, within a transaction too: nothing is planned for it. */
    public Posted posted() {
        return last().map(Plan::posted).orElse(Posted.NOTHING);
    }

    private Optional<Plan> last() {
        return reading.of(() -> posted.findFirstByOrderBySeqDesc()
                .flatMap(r -> read(r.plan).map(p -> new Plan(p, Optional.of(r.madeAt)))));
    }

    /** Empty for one that another version wrote, in a form that is not known here: then there is none. */
    private static Optional<Posted> read(String plan) {
        try {
            return Optional.of(JsonMapper.shared().readValue(plan, Posted.class));
        } catch (JacksonException e) {
            LOG.info("the plan before is not read: {}", e.getOriginalMessage());
            return Optional.empty();
        }
    }

    /**
     * Looks whether anything changed, and plans anew if so; whoever looks while another does goes away again.
     *
     * @return whether another plan holds now
     */
    public boolean look() {
        if (!planning.tryLock()) {
            return false;
        }
        try {
            return planned(clock.instant());
        } finally {
            planning.unlock();
        }
    }

    /**
     * The same for whoever has just written something and is to see what follows: waits until another look is over.
     *
     * @return whether the plan that holds now follows from all that is written
     */
    public boolean follow() {
        try {
            if (!planning.tryLock(PATIENCE.toMillis(), TimeUnit.MILLISECONDS)) {
                return false;
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
        try {
            planned(clock.instant());
            return true;
        } finally {
            planning.unlock();
        }
    }

    private boolean planned(Instant now) {
        DayInputs.Gathered all = reading.of(() -> inputs.gather(now));
        Optional<PostedPlanRow> before = reading.of(posted::findFirstByOrderBySeqDesc);
        Optional<Posted> known = before.flatMap(b -> read(b.plan));
        boolean holds = before.isPresent()
                && known.isPresent()
                && before.get().madeFrom.equals(all.mark())
                && now.isBefore(before.get().madeAt.plus(STALE));
        if (holds) {
            return false;
        }
        post(plan(all, known.map(Posted::told).orElse(List.of()), now), all, known, now, false);
        // What it looks for is no better plan of what holds now.
        solver.stop();
        return true;
    }

    private void post(DayPlan plan, DayInputs.Gathered all, Optional<Posted> known, Instant now, boolean searched) {
        Map<UsualChances.Check, UsualChances.Counted> own = reading.of(history::now);
        Posted made = plan.posted(all.beyond())
                .after(known.map(Posted::moved).orElse(List.of()), now)
                .withReady(plan.ready(UsualChances.of(plan.bench(), all.castings(), own), DRAWS))
                .withUnkept(plan.unkept(all.castings(), all.crew()));
        String kept = JsonMapper.shared().writeValueAsString(searched ? made.searched() : made);
        writing.of(() -> {
            PostedPlanRow row = posted.save(new PostedPlanRow(now, all.mark(), kept));
            posted.forgetUpTo(row.seq - KEPT);
            return row.seq;
        });
    }

    /**
     * Lets the solver look for a better plan than the one that holds, once for each; whoever looks while another does goes away again. What
     * was told for the next hours counts as told. Nothing is posted where what it was made from changed meanwhile.
     *
     * @return whether a better one was found
     */
    public boolean better() {
        if (!solving.tryLock()) {
            return false;
        }
        try {
            Instant now = clock.instant();
            Optional<PostedPlanRow> row = reading.of(posted::findFirstByOrderBySeqDesc);
            Optional<Posted> known = row.flatMap(r -> read(r.plan));
            DayInputs.Gathered all = reading.of(() -> inputs.gather(now));
            if (known.isEmpty()
                    || known.get().gap().searched()
                    || !row.get().madeFrom.equals(all.mark())) {
                return false;
            }
            DayPlan before = plan(all, known.get().told(), now);
            Optional<DayPlan> better = solver.solve(before.task(solver.budget()))
                    .solution()
                    .filter(s -> s.score().compareTo(Score.of(before.bench(), before.timetable())) < 0)
                    .map(s -> before.by(s.timetable()));
            return searched(row.get(), better.orElse(before), all, known.get(), now) && better.isPresent();
        } finally {
            solving.unlock();
        }
    }

    private boolean searched(PostedPlanRow of, DayPlan plan, DayInputs.Gathered all, Posted known, Instant now) {
        planning.lock();
        try {
            boolean holds = reading.of(posted::findFirstByOrderBySeqDesc)
                    .filter(r -> r.seq.equals(of.seq))
                    .isPresent();
            if (holds) {
                post(plan, all, Optional.of(known), now, true);
            }
            return holds;
        } finally {
            planning.unlock();
        }
    }

    /** A plan with something that is only tried; nothing of it is kept. */
    public Posted tried(WhatIf what) {
        Instant now = clock.instant();
        LocalDate today = LocalDate.ofInstant(now, ZoneId.systemDefault());
        Instant again =
                what.until().plusDays(1).atStartOfDay(ZoneId.systemDefault()).toInstant();
        DayInputs.Gathered all = reading.of(() -> inputs.gather(now));
        DayInputs.Gathered with = new DayInputs.Gathered(
                what.crew(all.crew(), today, now, again),
                what.castings(all.castings(), today, again),
                all.beyond(),
                all.mark());
        DayPlan plan = plan(with, now().posted().told(), now);
        return plan.posted(all.beyond()).withUnkept(plan.unkept(with.castings(), with.crew()));
    }

    private static DayPlan plan(DayInputs.Gathered all, List<DayPlan.Told> told, Instant now) {
        int works = all.castings().stream()
                .mapToInt(c -> c.route().openSteps().size())
                .sum();
        int rounds = Math.max(LEAST_ROUNDS, Math.min(MOST_ROUNDS, WORKS_PLACED / Math.max(1, works)));
        return DayPlan.of(DayPlan.bench(all.crew(), all.castings(), told, now, ZoneId.systemDefault()), rounds, SEED);
    }
}
