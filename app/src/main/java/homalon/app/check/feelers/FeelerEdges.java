package homalon.app.check.feelers;

import homalon.app.foundation.drawing.EdgeMark;
import homalon.app.foundation.words.Words;
import homalon.core.face.Gap;
import homalon.core.quantity.Length;
import homalon.core.visit.Asked;
import homalon.core.visit.FeelerFile.LineFile;
import homalon.core.visit.FeelerFile.PlaceFile;
import homalon.core.visit.FeelerReading;
import java.util.List;

/** The laid edges of a feeler survey on its drawing, each with what was said of it. */
final class FeelerEdges {
    private FeelerEdges() {}

    static List<EdgeMark> of(FeelerReading read) {
        return read.survey().lines().stream().map(l -> edge(read, l)).toList();
    }

    private static EdgeMark edge(FeelerReading read, LineFile line) {
        List<EdgeMark.GapMark> gaps = line.places().stream()
                .filter(p -> p.asked() == Asked.STATION
                        || (p.asked() == Asked.SLID && p.gap().isTried()))
                .map(p -> mark(read, line, p))
                .toList();
        EdgeMark.Rest rest = switch (line.rest()) {
            case ROCKS -> EdgeMark.Rest.ROCKS;
            case SITS_STILL -> EdgeMark.Rest.SITS;
            case NOT_NOTED -> EdgeMark.Rest.UNKNOWN;
        };
        String id = line.places().get(0).id().toString();
        String title = line.name() + ": " + Words.of(FeelerReading.rest(line.rest()));
        return new EdgeMark(line.from(), line.to(), rest, id, gaps, title);
    }

    private static EdgeMark.GapMark mark(FeelerReading read, LineFile line, PlaceFile p) {
        Gap gap = p.gap();
        return new EdgeMark.GapMark(
                p.id().toString(),
                p.at(),
                gap.isTried(),
                gap.goes().map(Length::mm).orElse(0.0),
                gap.refuses().map(Length::mm).orElse(Double.POSITIVE_INFINITY),
                gap.goes().filter(g -> g.compareTo(read.limit().most()) >= 0).isPresent(),
                line.name() + ", " + read.where(line, p) + ": " + words(read, gap));
    }

    private static String words(FeelerReading read, Gap gap) {
        return gap.isTried() ? Words.of(read.value(gap)) : "not tried";
    }
}
