package homalon.app.route;

import homalon.app.chambers.ChamberFindings;
import homalon.app.cut.PlanFile;
import homalon.app.face.SurveyFile;
import homalon.app.face.SurveyKind;
import homalon.app.feelers.FeelerFile;
import homalon.app.feelers.FeelerKind;
import homalon.app.integrity.CrackFile;
import homalon.app.integrity.TestFile;
import homalon.app.ledger.LedgerFile;
import homalon.app.part.PartFile;
import homalon.app.sheets.Sheet;
import homalon.app.sheets.SheetFile;
import homalon.app.stock.Orders;
import homalon.app.valves.ValveFindings;
import homalon.app.work.WorkLog;
import homalon.core.integrity.CleaningMethod;
import homalon.core.integrity.SmallCheck;
import homalon.core.quantity.Length;
import homalon.core.route.Operation;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** All that is known of one visit. */
record Facts(
        PartFile part,
        List<SurveyFile> surveys,
        Written.Lines lines,
        Optional<ValveFindings.Standing> valves,
        Optional<ChamberFindings.Standing> chambers) {

    Optional<PlanFile> plan() {
        return lines.plan();
    }

    List<WorkLog.Entry> work() {
        return lines.work();
    }

    List<CrackFile> cracks() {
        return lines.cracks();
    }

    List<TestFile> tests() {
        return lines.tests();
    }

    Map<Sheet, SheetFile> sheets() {
        return lines.sheets();
    }

    /** Orders that a piece of work needs and that were not cancelled. */
    List<Orders.Order> ordered(Operation operation) {
        return lines.orders().stream()
                .filter(o -> o.operation() == operation && !o.cancelled())
                .toList();
    }

    Optional<SurveyFile> survey(SurveyKind kind) {
        return surveys.stream().filter(s -> s.kind() == kind).findFirst();
    }

    Optional<FeelerFile> felt(FeelerKind kind) {
        return lines.felt().stream().filter(s -> s.kind() == kind && s.begun()).findFirst();
    }

    /** Cut off on this visit. */
    Length cut() {
        return lines.ledger().ledger().totals(part.visit().id()).thisJob();
    }

    List<LedgerFile.Line> passes() {
        return lines.ledger().passes(part.visit().id());
    }

    /** Cleaned with grit, and nobody signed for the passages: it is not clean yet. */
    boolean gritLeft() {
        return work().stream()
                        .anyMatch(e -> e.kind() == WorkLog.Kind.DID
                                && e.what().equals(Operation.CLEAN.name())
                                && CleaningMethod.leavesGrit(e.note()))
                && brushed().isEmpty();
    }

    /** When the passages were signed for. */
    Optional<Instant> brushed() {
        return work().stream()
                .filter(e -> e.kind() == WorkLog.Kind.TICKED && e.what().equals(SmallCheck.PASSAGES_BRUSHED.name()))
                .map(WorkLog.Entry::at)
                .reduce((a, b) -> b);
    }

    String story() {
        return part.name() + ". " + part.visit().history() + ". " + part.visit().wishes();
    }
}
