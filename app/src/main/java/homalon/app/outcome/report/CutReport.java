package homalon.app.outcome.report;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.foundation.people.People;
import homalon.app.foundation.words.Words;
import homalon.app.machining.cut.CutView;
import homalon.app.machining.cut.CutViews;
import homalon.app.machining.cut.Paintings;
import homalon.app.machining.cut.PlanViews;
import homalon.app.machining.cut.Planner;
import homalon.app.machining.cut.Plans;
import homalon.core.ledger.Ledger;
import homalon.core.part.PartKind;
import homalon.core.quantity.LengthWriter;
import homalon.core.visit.LedgerFile;
import homalon.core.visit.PartFile;
import homalon.core.visit.PlanFile;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What the report says of the cut: the plan, what came off and in how many passes, and what it means for whoever fits it. */
@Component
@RequiredArgsConstructor
class CutReport {
    private final Paintings paintings;
    private final Plans plans;
    private final Planner planner;
    private final Ledgers ledgers;
    private final CutViews views;
    private final People people;

    /**
     * What is told of the cut on one visit.
     *
     * @param cut whether anything came off
     * @param plan in words; empty without one
     * @param view empty where the ledger has no line
     * @param said what came off on this visit and in its life
     * @param leftUncut a spot that was left, signed for; empty when none was
     * @param fitter what whoever fits it has to know
     */
    record Told(
            boolean cut,
            Optional<String> plan,
            Optional<CutView> view,
            List<String> said,
            Optional<String> leftUncut,
            List<String> fitter) {}

    Told of(PartFile part, LengthWriter writer) {
        LedgerFile ledger = ledgers.of(part);
        Optional<PlanFile> plan = plans.of(part);
        Ledger.Totals totals = ledger.ledger().totals(part.visit().id());
        return new Told(
                totals.thisJob().signum() > 0,
                plan.map(p -> planWords(p, planner.toCrankLine(part), writer)),
                ledger.lines().isEmpty() ? Optional.empty() : Optional.of(view(part, ledger, plan, writer)),
                said(part, ledger, totals, plan, writer),
                leftUncut(part),
                fitter(part, totals, writer));
    }

    private CutView view(PartFile part, LedgerFile ledger, Optional<PlanFile> plan, LengthWriter writer) {
        return views.of(
                part,
                ledger,
                plan,
                plan.flatMap(p -> planner.compare(part, p.plan().footing())),
                Optional.empty(),
                Optional.empty(),
                writer);
    }

    private List<String> said(
            PartFile part, LedgerFile ledger, Ledger.Totals totals, Optional<PlanFile> plan, LengthWriter writer) {
        List<String> said = new ArrayList<>();
        Optional<String> setUp = plan.map(p -> Words.of(p.plan().school().words(planner.toCrankLine(part))));
        said.add(thisJob(ledger.passes(part.visit().id()).size(), totals, setUp, writer));
        if (totals.life().signum() > 0) {
            boolean known = totals.opening() == Ledger.Opening.KNOWN || totals.opening() == Ledger.Opening.ESTIMATED;
            said.add("In its life " + writer.full(totals.life()) + " has come off" + (known ? ", " : " ")
                    + CutViews.lifeNote(totals, writer) + ".");
        }
        return said;
    }

    private static String thisJob(int passes, Ledger.Totals totals, Optional<String> school, LengthWriter writer) {
        if (totals.thisJob().signum() <= 0) {
            return "Nothing was cut on this visit.";
        }
        String setUp =
                school.map(s -> ", set up for " + s.toLowerCase(Locale.ROOT)).orElse("");
        return writer.full(totals.thisJob()) + " was taken off in " + passes + (passes == 1 ? " pass" : " passes")
                + setUp + ".";
    }

    private Optional<String> leftUncut(PartFile part) {
        return paintings.everyLeft(part).stream()
                .reduce((a, b) -> b)
                .map(l -> "A low spot off the gasket's sealing bands was left uncut, signed for by "
                        + people.names().getOrDefault(l.by(), "") + ": " + l.why() + ".");
    }

    private static List<String> fitter(PartFile part, Ledger.Totals totals, LengthWriter writer) {
        List<String> fitter = new ArrayList<>();
        boolean cut = totals.thisJob().signum() > 0;
        if (cut) {
            // A plain lid carries no shaft, and no timing with it.
            boolean lid = part.kind() == PartKind.HEAD
                    && part.visit().came().filter(c -> c.shafts().isEmpty()).isPresent();
            fitter.add("This " + Words.of(part.kind().words()) + " is " + writer.full(totals.thisJob())
                    + " thinner than when it came. Compression, piston and valve clearances"
                    + (lid ? "" : ", cam timing") + " and how the manifolds meet change with it: check each against the"
                    + " maker's manual before it runs.");
        }
        if (part.kind() == PartKind.HEAD) {
            fitter.add(
                    "The face of the block moves with the head's: have it measured before the two are bolted together.");
        }
        fitter.add(
                (cut ? "Edges are sharp after a cut. " : "") + "Keep the face oiled and covered until it is fitted.");
        return fitter;
    }

    private static String planWords(PlanFile plan, boolean crankLine, LengthWriter writer) {
        return Words.of(plan.plan().school().words(crankLine)) + ": "
                + Words.of(plan.plan().school().meaning()) + "; shims "
                + String.join(", ", PlanViews.shimWords(plan.plan().shims(), writer)) + "; "
                + writer.full(plan.plan().toClean()) + " from first touch to clean"
                + (plan.plan().atLeast().signum() > 0
                        ? ", at least " + writer.full(plan.plan().atLeast()) + " wanted off."
                        : ".");
    }
}
