package homalon.app.machining.chambers;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.Faces;
import homalon.app.check.face.Surveys;
import homalon.app.machining.cut.Planner;
import homalon.app.machining.cut.Plans;
import homalon.app.machining.valves.ValveHeadsOfPart;
import homalon.core.cut.Outlook;
import homalon.core.cut.OutlookQuestion;
import homalon.core.cut.RimDepths;
import homalon.core.cut.SetUpMethod;
import homalon.core.cut.WhatIf;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.visit.ChamberFile;
import homalon.core.visit.ComparedFace;
import homalon.core.visit.OutlookFacts;
import homalon.core.visit.PartFile;
import homalon.core.visit.PlanFile;
import homalon.core.visit.SurveyKind;
import java.util.Optional;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Gathers what is known of a visit for the core to say what a cut brings with it. */
@Component
@RequiredArgsConstructor
class OutlookSource {
    private final Planner planner;
    private final Plans plans;
    private final Ledgers ledgers;
    private final Surveys surveys;
    private final Faces faces;
    private final ValveHeadsOfPart valves;

    OutlookQuestion question(ChamberFile file, WhatIf whatIf) {
        PartFile part = file.part();
        Optional<PlanFile> plan = plans.of(part);
        Optional<ComparedFace> compared = compared(part, plan);
        SetUpMethod school = plan.map(p -> p.plan().school()).orElse(SetUpMethod.LEAST_REMOVAL);
        RimDepths rims = compared.flatMap(
                        c -> c.setUps().with(school).map(r -> r.rims(c.setUps().map())))
                .orElse(RimDepths.level(file.bores().size()));
        return new OutlookFacts(
                        file,
                        ledgers.of(part),
                        plan,
                        compared,
                        rims,
                        faces.layout(part.numbers()),
                        valves.of(part),
                        surveys.find(part, SurveyKind.THICKNESS_AFTER)
                                .filter(s -> s.read() > 0)
                                .or(() ->
                                        surveys.find(part, SurveyKind.THICKNESS).filter(s -> s.read() > 0))
                                .flatMap(OutlookFacts.Thinnest::of))
                .question(whatIf);
    }

    Outlook of(ChamberFile file, WhatIf whatIf) {
        return Outlook.of(question(file, whatIf));
    }

    /** Off on this visit, mm. */
    double thisVisit(ChamberFile file) {
        return ledgers.of(file.part())
                .ledger()
                .totals(file.part().visit().id())
                .thisJob()
                .mm();
    }

    /**
     * The whole cut of this visit as one, from the face as it came: for the words to whoever puts the engine together.
     *
     * @return empty where nothing was cut
     */
    Optional<Outlook> fromTheStart(ChamberFile file) {
        double cut = thisVisit(file);
        if (cut <= 0) {
            return Optional.empty();
        }
        return Optional.of(Outlook.of(question(file, WhatIf.NOTHING).asOneCut(cut)));
    }

    private Optional<ComparedFace> compared(PartFile part, Optional<PlanFile> plan) {
        try {
            return planner.compare(
                    part, plan.map(p -> p.plan().footing()).orElseGet(() -> planner.usual(part, BenchUnit.MM)));
        } catch (BadInputException e) {
            return Optional.empty();
        }
    }
}
