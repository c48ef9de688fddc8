package homalon.app.cut;

import homalon.app.ledger.LedgerFile;
import homalon.app.ledger.Ledgers;
import homalon.app.part.PartFile;
import homalon.app.part.PartShells;
import homalon.core.cut.Removal;
import homalon.core.cut.StopRule;
import homalon.core.cut.TouchCells;
import homalon.core.input.BadInputException;
import homalon.core.ledger.CornerDepths;
import homalon.core.quantity.Length;
import homalon.core.route.Operation;
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

    Cutting(Plans plans, Planner planner, Ledgers ledgers, Paintings paintings, FeedsViews feeds, PartShells shells) {
        this.plans = plans;
        this.planner = planner;
        this.ledgers = ledgers;
        this.paintings = paintings;
        this.feeds = feeds;
        this.shells = shells;
    }

    /**
     * @throws BadInputException when that depth cannot be a pass, the cutter is not for that metal, or the route says that
     *     something must be done first
     */
    public void pass(PartFile part, UUID id, Length depth, Ledgers.Notes notes, UUID by) {
        pass(part, id, depth, notes, Optional.empty(), by);
    }

    /** @param batch that it was cut in */
    public void pass(PartFile part, UUID id, Length depth, Ledgers.Notes notes, Optional<UUID> batch, UUID by) {
        shells.require(part, Operation.CUT, "depth");
        Optional<PlanFile> plan = plans.of(part);
        boolean steel = plan.map(p -> p.tooling().steelInFace()).orElse(false);
        feeds.check(part, new Tooling(notes.machine(), notes.cutter(), steel));
        ledgers.pass(part, id, depth, corners(part, plan, depth), notes, batch, by);
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
