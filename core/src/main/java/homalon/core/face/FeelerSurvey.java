package homalon.core.face;

import homalon.core.geometry.Box;
import homalon.core.input.Problems;
import java.util.List;
import java.util.stream.Stream;

/**
 * A face tried with straightedge and feelers.
 *
 * @param box of the face, mm
 * @param thinnest blade of the set, mm
 * @param lines as they were laid; those not tried have no stations
 * @param limit judged against, mm
 * @param kind what the limit means
 */
public record FeelerSurvey(Box box, double thinnest, List<FeelerLine> lines, double limit, Kind kind) {

    /** What a limit is asked of. */
    public enum Kind {
        /** The gap under the edge. */
        GAP,
        /** The distance of two planes that hold the face: what must come off. */
        ZONE
    }

    private static final int MOST_LINES = 60;
    private static final int MOST_STATIONS = 40;

    /** @throws homalon.core.input.BadInputException naming every line and station that cannot be */
    public FeelerSurvey {
        lines = List.copyOf(lines);
        Problems problems = new Problems();
        problems.require(
                Double.isFinite(thinnest) && thinnest > 0, "thinnest", "face.thinnest-must-be-the-thinnest-blade-of");
        problems.require(Double.isFinite(limit) && limit > 0, "limit", "face.limit-must-be-a-number-above-zero-such");
        problems.require(lines.size() <= MOST_LINES, "lines", "face.lines-lay-at-most-lines-over-one-face", MOST_LINES);
        for (int i = 0; i < lines.size() && i < MOST_LINES; i++) {
            FeelerLine line = lines.get(i);
            problems.require(
                    line.stations().size() <= MOST_STATIONS,
                    "lines[" + i + "]",
                    "face.lines-try-at-most-places-along-one-line",
                    i,
                    MOST_STATIONS);
            line.check(problems, "lines[" + i + "]", thinnest);
        }
        problems.throwIfAny();
    }

    /** The thickest blade that went in under an edge, or that went under both ends of one that rocks, mm; 0 when none did. */
    public double proven() {
        return lines.stream()
                .flatMap(l ->
                        Stream.concat(Stream.of(l.ends()), l.stations().stream().map(FeelerLine.Station::tried)))
                .mapToDouble(t -> t.goes().orElse(0))
                .max()
                .orElse(0);
    }

    FeelerSurvey with(List<FeelerLine> others) {
        return new FeelerSurvey(box, thinnest, others, limit, kind);
    }
}
