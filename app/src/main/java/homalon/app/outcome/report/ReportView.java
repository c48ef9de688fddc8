package homalon.app.outcome.report;

import homalon.app.check.face.FaceView;
import homalon.app.check.feelers.FeelerView;
import homalon.app.foundation.drawing.FaceDrawing;
import homalon.app.machining.chambers.ChamberReport;
import homalon.app.machining.cut.CutView;
import homalon.app.machining.valves.ValveReport;
import homalon.core.visit.PartFile;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * A visit ready to be handed over, every figure written in the reader's unit.
 *
 * @param logo at its head, a picture that carries itself; empty where the shop has none
 * @param facts name and value of what is known of the casting
 * @param said what was found and done, in plain words
 * @param whole what was found and done beside the face: cleaned, cracks, pressure, lines; and what was not looked at
 * @param fitter what whoever fits it must know
 * @param faces each survey of heights that has readings
 * @param felt each time straightedge and feelers were tried
 * @param thickness rows of the thickness, when it was read
 * @param valves every valve, when they were part of the visit
 * @param chambers what they hold and the ratio, before and after, when they were part of the visit
 * @param plan set-up and shims in words, when a cut was planned
 * @param cut the cutting log, when there is a line in it
 * @param seal digest of the sealed record, in groups of four; empty before it is handed over
 */
public record ReportView(
        PartFile part,
        String shop,
        Optional<String> logo,
        String made,
        String unit,
        List<Fact> facts,
        List<String> said,
        List<String> whole,
        List<String> fitter,
        List<Face> faces,
        List<Felt> felt,
        List<FaceView.Row> thickness,
        Optional<ValveReport.Valves> valves,
        Optional<ChamberReport.Chambers> chambers,
        Optional<String> plan,
        Optional<CutView> cut,
        Optional<String> seal) {

    /** One known thing. */
    public record Fact(String name, String value) {}

    /**
     * One survey of the face.
     *
     * @param glance its map by itself, for the first page
     */
    public record Face(String title, String when, FaceView view, FaceDrawing glance, List<Place> places) {

        /** Two beside each other, so that they take half the paper. */
        public List<List<Place>> pairs() {
            return IntStream.range(0, (places.size() + 1) / 2)
                    .mapToObj(i -> places.subList(2 * i, Math.min(2 * i + 2, places.size())))
                    .toList();
        }
    }

    /** One place of a survey. */
    public record Place(String name, String value, String by) {}

    /** One time that straightedge and feelers were tried. */
    public record Felt(String title, String when, FeelerView view) {}

    ReportView sealed(String digest) {
        return new ReportView(
                part,
                shop,
                logo,
                made,
                unit,
                facts,
                said,
                whole,
                fitter,
                faces,
                felt,
                thickness,
                valves,
                chambers,
                plan,
                cut,
                Optional.of(digest));
    }

    public boolean gone() {
        return part.visit().releasedAt().isPresent();
    }
}
