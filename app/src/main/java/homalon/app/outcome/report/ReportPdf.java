package homalon.app.outcome.report;

import homalon.app.casting.paper.PdfPress;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Prints a report. */
@Component
@RequiredArgsConstructor
class ReportPdf {
    private static final double PAPER_MM = 128;
    private static final double HALF_MM = 84;

    private final PdfPress press;

    byte[] print(ReportView report) {
        String css = press.drawingCss();
        for (ReportView.Face face : report.faces()) {
            face.glance().onPaper(HALF_MM, css);
            face.view().picture().onPaper(PAPER_MM, css);
            face.view().section().ifPresent(s -> s.onPaper(PAPER_MM, css));
        }
        report.felt().forEach(f -> f.view().picture().onPaper(PAPER_MM, css));
        report.cut().ifPresent(cut -> cut.passes().forEach(p -> p.picture().onPaper(PAPER_MM / 4.3, css)));
        return press.print(
                "outcome/report/print",
                "r",
                report,
                report.part().rules().paper().sheet());
    }
}
