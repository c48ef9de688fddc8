package homalon.app.machining.cut;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.CastingLocks;
import homalon.app.casting.work.WorkEntry;
import homalon.app.casting.work.WorkLog;
import homalon.app.foundation.people.People;
import homalon.app.foundation.web.AskAgainException;
import homalon.app.foundation.words.Words;
import homalon.core.cut.PassPlan;
import homalon.core.cut.Removal;
import homalon.core.input.BadInputException;
import homalon.core.ledger.CornerDepths;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Operation;
import homalon.core.route.VisitFacts;
import homalon.core.rulebook.RuleBook;
import homalon.core.visit.LedgerFile;
import homalon.core.visit.PartFile;
import homalon.core.visit.PlanFile;
import homalon.core.visit.Tooling;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Writes passes into the ledger with what they take at the corners, and says when one may stop. */
@Service
@Transactional
@RequiredArgsConstructor
public class Cutting {
    private final Plans plans;
    private final Planner planner;
    private final Ledgers ledgers;
    private final FeedsViews feeds;
    private final WorkLog work;
    private final CastingLocks locks;
    private final People people;

    /**
     * How many passes of this visit the hand knew of.
     *
     * @param place of the pass in the walk, counted from 0: as many were logged before it
     * @param told how many it was told of since
     * @param asks about an odd depth, in this unit; empty when the hand is sure of it
     */
    public record Seen(int place, long told, Optional<BenchUnit> asks) {
        public static final Seen ALL = new Seen(Integer.MAX_VALUE, 0, Optional.empty());

        /** @param place as the page names it; what is no number knows of all */
        public static Seen at(String place, long told, boolean sure, BenchUnit unit) {
            return place.matches("[0-9]{1,4}")
                    ? new Seen(Integer.parseInt(place), told, sure ? Optional.empty() : Optional.of(unit))
                    : ALL;
        }

        private long passes() {
            return Math.max(place, told);
        }
    }

    /**
     * Metal that is off is always written, whatever should have come before it: what is owed stays owed.
     *
     * @throws BadInputException when that depth cannot be a pass, or the cutter is not for that metal
     */
    public void pass(PartFile part, UUID id, Length depth, Ledgers.Notes notes, UUID by) {
        pass(part, id, depth, notes, Optional.empty(), Seen.ALL, by);
    }

    /**
     * @param batch that it was cut in
     * @throws AskAgainException when a pass was logged that the hand did not see, or the depth is far from what is planned next
     */
    public void pass(
            PartFile part, UUID id, Length depth, Ledgers.Notes notes, Optional<UUID> batch, Seen seen, UUID by) {
        // What comes off at the corners hangs on what came off before: nobody cuts between the sum and its line.
        locks.take(part);
        if (ledgers.holds(id)) {
            return;
        }
        meanwhile(part, seen);
        Optional<PlanFile> plan = plans.of(part);
        if (depth.signum() > 0 && depth.compareTo(RuleBook.DEEPEST_PASS) <= 0) {
            seen.asks().ifPresent(unit -> askIfOdd(part, plan, depth, unit));
        }
        boolean steel = plan.map(p -> p.tooling().steelInFace()).orElse(false);
        feeds.check(part, new Tooling(notes.machine(), notes.cutter(), steel));
        ledgers.pass(part, id, depth, corners(part, plan, depth), notes, batch, by);
    }

    private void askIfOdd(PartFile part, Optional<PlanFile> plan, Length depth, BenchUnit unit) {
        Length off = ledgers.of(part).ledger().totals(part.visit().id()).thisJob();
        Words.of(plan.map(p -> p.plan().passes())
                        .orElse(new PassPlan(List.of()))
                        .odd(off, depth, new LengthWriter(unit)))
                .ifPresent(odd -> {
                    throw new AskAgainException(odd + " Press Enter again to log it so, or Escape to key it anew.", 0);
                });
    }

    /**
     * The cutter has touched all that must seal: the cut is done at what was taken, whatever the plan said. Undone on the route,
     * and by the next pass.
     *
     * @param note what stays off the sealing bands and why; empty when nothing does
     * @throws BadInputException when nothing was cut on this visit
     */
    public void clean(PartFile part, UUID id, String note, UUID by) {
        locks.take(part);
        if (ledgers.of(part).passes(part.visit().id()).isEmpty()) {
            throw new BadInputException("clean", "app.cut.no-pass-is-logged-on-this-visit-key");
        }
        work.write(part, id, WorkEntry.Kind.DID, Operation.CUT, note, by);
    }

    /** Who said that it is clean, after the last pass. */
    @Transactional(readOnly = true)
    public Optional<String> saidClean(PartFile part, LedgerFile ledger) {
        VisitFacts.Passes cut = ledger.cut(part.visit().id());
        return work.of(part).stream()
                .filter(e -> e.kind() == WorkEntry.Kind.DID && e.what().equals(Operation.CUT.name()))
                .filter(e -> cut.heldSince(e.at()))
                .findFirst()
                .map(e -> people.nameOf(e.by()));
    }

    private void meanwhile(PartFile part, Seen seen) {
        List<LedgerFile.Line> passes = ledgers.of(part).passes(part.visit().id());
        if (passes.size() <= seen.passes()) {
            return;
        }
        LedgerFile.Line last = passes.get(passes.size() - 1);
        throw new AskAgainException(
                "Pass " + passes.size() + " is logged already, by " + people.nameOf(last.by())
                        + ". Press Enter again to log this one as a further pass, or Escape to leave it.",
                passes.size());
    }

    /** Worked out from the map and the plan; empty without them. */
    private Optional<CornerDepths> corners(PartFile part, Optional<PlanFile> plan, Length depth) {
        if (depth.signum() <= 0) {
            return Optional.empty();
        }
        Length before = ledgers.of(part).ledger().totals(part.visit().id()).thisJob();
        return plan.flatMap(p -> removal(part, p)).map(r -> r.taken(before, depth));
    }

    private Optional<Removal> removal(PartFile part, PlanFile plan) {
        return planner.compare(part, plan.plan().footing())
                .flatMap(c -> c.setUps().with(plan.plan().school()));
    }
}
