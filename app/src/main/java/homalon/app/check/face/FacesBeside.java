package homalon.app.check.face;

import homalon.app.foundation.drawing.Bands;
import homalon.app.foundation.drawing.FaceDrawing;
import homalon.app.foundation.words.Words;
import homalon.core.geometry.Range;
import homalon.core.part.Layout;
import homalon.core.quantity.BenchUnit;
import homalon.core.visit.FaceFinding;
import java.util.List;

/** Faces that stand beside each other: in one scale of colours, so that they can be compared by eye. */
public final class FacesBeside {
    /** Width of a drawing that stands beside another, px. */
    private static final double WIDE = 440;

    private FacesBeside() {}

    /** @param findings one or more, each with a map */
    public static Bands bands(List<FaceFinding> findings, BenchUnit unit) {
        List<Range> ranges =
                findings.stream().map(f -> f.map().orElseThrow().range()).toList();
        double least = ranges.stream().mapToDouble(Range::least).min().orElseThrow();
        double most = ranges.stream().mapToDouble(Range::most).max().orElseThrow();
        double reach =
                findings.stream().mapToDouble(FaceFinding::colourReach).max().orElseThrow();
        return Bands.of(new Range(least, most), reach, unit);
    }

    /**
     * @param finding with a map
     * @param id unique on its page
     */
    public static FaceDrawing picture(FaceFinding finding, Layout layout, String id, String title, Bands bands) {
        return FaceDrawing.of(layout, id, title + ": " + Words.of(finding.shape()))
                .shownAt(WIDE)
                .map(finding.map().orElseThrow(), bands);
    }
}
