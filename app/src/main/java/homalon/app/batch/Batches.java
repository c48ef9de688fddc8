package homalon.app.batch;

import homalon.app.cut.CutTogether;
import homalon.app.cut.Cutting;
import homalon.app.cut.PlanFile;
import homalon.app.cut.Planner;
import homalon.app.cut.Plans;
import homalon.app.ledger.LedgerFile;
import homalon.app.ledger.Ledgers;
import homalon.app.part.PartFile;
import homalon.app.part.Parts;
import homalon.app.part.Turns;
import homalon.app.web.NotHereException;
import homalon.core.cut.Batch;
import homalon.core.cut.CutPlan;
import homalon.core.cut.PassPlan;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.RuleBook;
import java.nio.charset.StandardCharsets;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts castings together on one table and writes their passes. */
@Service
@Transactional
public class Batches implements CutTogether {
    private final Parts parts;
    private final Plans plans;
    private final Planner planner;
    private final Ledgers ledgers;
    private final Cutting cutting;
    private final Turns turns;
    private final JdbcClient jdbc;
    private final Clock clock;

    Batches(
            Parts parts,
            Plans plans,
            Planner planner,
            Ledgers ledgers,
            Cutting cutting,
            Turns turns,
            JdbcClient jdbc,
            Clock clock) {
        this.turns = turns;
        this.parts = parts;
        this.plans = plans;
        this.planner = planner;
        this.ledgers = ledgers;
        this.cutting = cutting;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /**
     * A casting that could go on the table, or why it could not.
     *
     * @param plan that stands
     * @param not why it cannot; empty when it can
     */
    record Candidate(PartFile part, Optional<PlanFile> plan, String not) {}

    /** Every casting in the shop with a plan, the one given first. */
    @Transactional(readOnly = true)
    List<Candidate> candidates(PartFile first) {
        List<Candidate> all = new ArrayList<>();
        all.add(candidate(first, first));
        parts.inTheShop().stream()
                .filter(p -> !p.id().equals(first.id()))
                .map(p -> candidate(first, p))
                .filter(c -> c.plan().isPresent())
                .forEach(all::add);
        return all;
    }

    private Candidate candidate(PartFile first, PartFile part) {
        Optional<PlanFile> plan = plans.of(part);
        String not = "";
        if (plan.isEmpty()) {
            not = "it has no plan yet";
        } else if (part.material() != first.material()) {
            not = part.material().words() + ": another cutter";
        } else if (!ledgers.of(part).passes(part.visit().id()).isEmpty()) {
            not = "it is being cut already";
        } else if (ofPart(part).isPresent()) {
            not = "it is in another batch";
        }
        return new Candidate(part, plan, not);
    }

    /**
     * Puts castings together: each keeps its own set-up and is given the passes that clean the worst of them.
     *
     * @throws BadInputException when they cannot be cut together, naming why
     */
    public void form(UUID id, List<String> tags, BenchUnit unit, UUID by) {
        // The same table set up by two hands at once is one table: the second waits, and finds it there.
        turns.take(tags.stream().map(t -> parts.byTag(t).id()).toList());
        if (exists(id)) {
            return;
        }
        List<PartFile> members = tags.stream().distinct().map(parts::byTag).toList();
        if (members.isEmpty()) {
            throw new BadInputException("parts", "Mark the castings that go on the table together.");
        }
        for (PartFile part : members) {
            part.requireHere("parts", "to cut it");
            String not = candidate(members.get(0), part).not();
            if (!not.isEmpty()) {
                throw new BadInputException("parts", part.tag() + " cannot go on this table: " + not + ".");
            }
        }
        PassPlan.Depths depths = plans.of(members.get(0)).orElseThrow().plan().depths();
        List<CutPlan> own = members.stream().map(this::planned).toList();
        List<Batch.Member> asked = new ArrayList<>();
        for (int i = 0; i < members.size(); i++) {
            PartFile part = members.get(i);
            asked.add(new Batch.Member(
                    part.tag(), part.material(), own.get(i).toClean().mm()));
        }
        Batch batch = Batch.of(asked, depths, RuleBook.dialStep(unit));
        jdbc.sql("insert into batch (id, made_by, made_at) values (?, ?, ?)")
                .params(id, by, Timestamp.from(clock.instant()))
                .update();
        for (int i = 0; i < members.size(); i++) {
            join(id, i, members.get(i), own.get(i).cutInPasses(depths, batch.passes()), by);
        }
    }

    private CutPlan planned(PartFile part) {
        return plans.of(part).orElseThrow().plan();
    }

    private void join(UUID id, int seq, PartFile part, CutPlan plan, UUID by) {
        jdbc.sql("insert into batch_member (batch_id, seq, job_id) values (?, ?, ?)")
                .params(id, seq, part.visit().id())
                .update();
        PlanFile kept = plans.of(part).orElseThrow();
        Planner.Compared compared = planner.compare(part, plan.footing())
                .orElseThrow(() -> new BadInputException(
                        "parts",
                        part.tag() + " cannot go on this table: its face cannot be judged any more. Read it again."));
        plans.choose(part, derived(id, part), compared.survey(), plan, kept.tooling(), by);
    }

    private static UUID derived(UUID id, PartFile part) {
        return UUID.nameUUIDFromBytes((id + ":" + part.visit().id()).getBytes(StandardCharsets.UTF_8));
    }

    private boolean exists(UUID id) {
        return jdbc.sql("select count(*) from batch where id = ?")
                        .param(id)
                        .query(Long.class)
                        .single()
                > 0;
    }

    /** The castings of a batch in the order they were put together. */
    @Transactional(readOnly = true)
    List<PartFile> members(UUID batch) {
        List<UUID> ids = jdbc.sql("""
                        select j.part_id from batch_member m join job j on j.id = m.job_id
                        where m.batch_id = ? order by m.seq
                        """).param(batch).query(UUID.class).list();
        if (ids.isEmpty()) {
            throw new NotHereException("There is no such batch: go back to the bench.");
        }
        return ids.stream().map(i -> parts.byId(i).orElseThrow()).toList();
    }

    /** The batch that a casting's present visit is cut in. */
    @Override
    @Transactional(readOnly = true)
    public Optional<UUID> ofPart(PartFile part) {
        return jdbc.sql("select batch_id from batch_member where job_id = ? limit 1")
                .param(part.visit().id())
                .query(UUID.class)
                .optional();
    }

    /** One pass over all of them: a line in each ledger, or in none. */
    public void pass(UUID batch, UUID id, Length depth, Ledgers.Notes notes, Cutting.Seen seen, UUID by) {
        List<PartFile> members = members(batch);
        turns.take(members.stream().map(PartFile::id).toList());
        for (PartFile part : members) {
            cutting.pass(part, derived(id, part), depth, notes, Optional.of(batch), seen, by);
        }
    }

    /**
     * Takes the last pass of the batch that stands back, in every ledger where it stands.
     *
     * @throws BadInputException when none stands, or no reason is given
     */
    void takeBack(UUID batch, UUID id, String why, UUID by) {
        List<PartFile> members = members(batch);
        turns.take(members.stream().map(PartFile::id).toList());
        boolean any = members.stream().anyMatch(p -> ledgers.holds(derived(id, p)));
        if (any) {
            return;
        }
        for (PartFile part : members) {
            Optional<LedgerFile.Line> last = last(ledgers.of(part), batch);
            if (last.isPresent()) {
                ledgers.reverse(part, derived(id, part), last.get().id(), why, by);
                any = true;
            }
        }
        if (!any) {
            throw new BadInputException("why", "No pass of this batch stands: there is nothing to take back.");
        }
    }

    private static Optional<LedgerFile.Line> last(LedgerFile ledger, UUID batch) {
        return ledger.lines().stream()
                .filter(l -> l.stands() && l.batch().filter(batch::equals).isPresent())
                .reduce((a, b) -> b);
    }

    /** Tags whose passes differ from the first one's: a line was taken back in one ledger only. */
    static boolean apart(Collection<LedgerFile> ledgers, UUID batch) {
        Set<List<Length>> cut = new HashSet<>();
        for (LedgerFile ledger : ledgers) {
            cut.add(ledger.lines().stream()
                    .filter(l -> l.stands() && l.batch().filter(batch::equals).isPresent())
                    .map(LedgerFile.Line::depth)
                    .toList());
        }
        return cut.size() > 1;
    }
}
