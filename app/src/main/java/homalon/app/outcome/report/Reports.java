package homalon.app.outcome.report;

import homalon.app.foundation.web.ReadTransaction;
import homalon.app.machining.chambers.ChamberReport;
import homalon.app.machining.valves.ValveReport;
import homalon.core.quantity.LengthWriter;
import homalon.core.visit.PartFile;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Gathers what a report shows and puts it into plain words. */
@Component
@RequiredArgsConstructor
class Reports {
    private final VisitReport visit;
    private final FaceReport face;
    private final CutReport cut;
    private final WholeReport whole;
    private final ValveReport valves;
    private final ChamberReport chambers;
    private final ReadTransaction reading;

    /** Read in one go, so that a report does not say two things. */
    ReportView of(PartFile part, LengthWriter writer) {
        return reading.of(() -> report(part, writer));
    }

    private ReportView report(PartFile part, LengthWriter writer) {
        List<ReportView.Felt> felt = face.felt(part, writer);
        Optional<ChamberReport.Chambers> filled = chambers.of(part, writer);
        CutReport.Told cutting = cut.of(part, writer);
        List<String> fitter = new ArrayList<>(cutting.fitter());
        filled.ifPresent(c -> fitter.addAll(c.fitter()));
        return new ReportView(
                part,
                visit.shop(),
                visit.logo(part),
                visit.today(writer.days()),
                writer.unit().label(),
                visit.facts(part, writer.days()),
                said(part, felt, cutting, writer),
                whole.of(part, writer),
                fitter,
                face.faces(part, writer),
                felt,
                face.thicknesses(part, writer),
                valves.of(part, writer),
                filled,
                cutting.plan(),
                cutting.view(),
                Optional.empty());
    }

    private List<String> said(PartFile part, List<ReportView.Felt> felt, CutReport.Told cutting, LengthWriter writer) {
        List<String> said = new ArrayList<>();
        said.add(face.asItCame(part, felt, writer));
        felt.forEach(f -> said.add(f.title() + ": " + f.view().headline().words() + ". "
                + f.view().headline().sentence()));
        said.addAll(cutting.said());
        face.afterTheCut(part, cutting.cut(), writer).ifPresent(said::add);
        face.thicknessSentence(part, writer).ifPresent(said::add);
        cutting.leftUncut().ifPresent(said::add);
        if (!part.visit().releasedNote().isEmpty()) {
            said.add("It left with work open: " + part.visit().releasedNote());
        }
        return said;
    }
}
