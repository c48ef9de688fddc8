package homalon.app.cut;

import homalon.app.ledger.LedgerFile;
import homalon.app.ledger.Ledgers;
import homalon.app.part.PartFile;
import homalon.app.part.PartShells;
import homalon.app.part.Turns;
import homalon.app.people.People;
import homalon.app.web.AskAgainException;
import homalon.core.cut.Removal;
import homalon.core.cut.StopRule;
import homalon.core.cut.TouchCells;
import homalon.core.input.BadInputException;
import homalon.core.ledger.CornerDepths;
import homalon.core.quantity.Length;
import homalon.core.route.Operation;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Writes passes into the ledger with what they take at the corners, and says when one may stop. */
@Service
@Transactional
public class Cutting {
    private final Plans plans;
    private final Planner planner;
    private final Ledgers ledgers;
    private final Paintings paintings;
    private final FeedsViews feeds;
    private final PartShells shells;
    private final Turns turns;
    private final People people;

    Cutting(
            Plans plans,
            Planner planner,
            Ledgers ledgers,
            Paintings paintings,
            FeedsViews feeds,
            PartShells shells,
            Turns turns,
            People people) {
        this.plans = plans;
        this.planner = planner;
        this.ledgers = ledgers;
        this.paintings = paintings;
        this.feeds = feeds;
        this.shells = shells;
        this.turns = turns;
        this.people = people;
    }

    /**
     * How many passes of this visit the hand knew of.
     *
     * @param place of the pass in the walk, counted from 0: as many were logged before it
     * @param told how many it was told of since
     */
    public record Seen(int place, long told) {
        public static final Seen ALL = new Seen(Integer.MAX_VALUE, 0);

        /** @param place as the page names it; what is no number knows of all */
        public static Seen at(String place, long told) {
            return place.matches("[0-9]{1,4}") ? new Seen(Integer.parseInt(place), told) : ALL;
        }

        private long passes() {
            return Math.max(place, told);
        }
    }

    /**
     * @throws BadInputException when that depth cannot be a pass, the cutter is not for that metal, or the route says that
     *     something must be done first
     */
    public void pass(PartFile part, UUID id, Length depth, Ledgers.Notes notes, UUID by) {
        pass(part, id, depth, notes, Optional.empty(), Seen.ALL, by);
    }

    /**
     * @param batch that it was cut in
     * @throws AskAgainException when a pass was logged that the hand did not see
     */
    public void pass(
            PartFile part, UUID id, Length depth, Ledgers.Notes notes, Optional<UUID> batch, Seen seen, UUID by) {
        // What comes off at the corners hangs on what came off before: nobody cuts between the sum and its line.
        turns.take(part);
        if (ledgers.holds(id)) {
            return;
        }
        meanwhile(part, seen);
        shells.require(part, Operation.CUT, "depth");
        Optional<PlanFile> plan = plans.of(part);
        boolean steel = plan.map(p -> p.tooling().steelInFace()).orElse(false);
        feeds.check(part, new Tooling(notes.machine(), notes.cutter(), steel));
        ledgers.pass(part, id, depth, corners(part, plan, depth), notes, batch, by);
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

    /** Foretold from the map and the plan; empty without them. */
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

    /** @throws BadInputException when nothing was painted, what is left seals, or no reason is given */
    public void leave(PartFile part, UUID id, String why, UUID by) {
        LedgerFile ledger = ledgers.of(part);
        Paintings.Painting painting = paintings
                .now(part, ledger)
                .orElseThrow(() -> new BadInputException(
                        "leave", "Paint what the cutter touched first: what is left is not known."));
        TouchCells grid = planner.cells(part);
        switch (StopRule.of(grid, painting.cells()).state()) {
            case CLEAN -> throw new BadInputException("leave", "All of it is touched: nothing is left to sign for.");
            case GO_ON ->
                throw new BadInputException(
                        "leave", "What is left lies where the gasket seals: it is cut, not signed for.");
            case MAY_STAY -> paintings.leave(part, id, painting, why, by);
        }
    }
}
