package homalon.app.outcome.report;

import homalon.app.check.feelers.FeelerFindings;
import homalon.app.check.feelers.FeelerSurveys;
import homalon.core.face.FeelerResult;
import homalon.core.geometry.Range;
import homalon.core.sure.FeelerSureness;
import homalon.core.visit.FeelerFile;
import homalon.core.visit.FeelerFinding;
import homalon.core.visit.PartFile;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What straightedge and feelers said, for the record; null stands for what nothing bounds. */
@Component
@RequiredArgsConstructor
class RecordFeelers {
    private final FeelerSurveys surveys;
    private final FeelerFindings findings;

    record Feelers(
            String kind,
            String limitKind,
            List<BigDecimal> bladesMm,
            String startedAt,
            String startedBy,
            List<Line> lines,
            List<Said> said,
            List<RecordFace.Instrument> triedWith,
            Result result) {}

    record Line(String name, List<BigDecimal> fromMm, List<BigDecimal> toMm, String rest, List<Place> places) {}

    record Place(UUID id, String asked, BigDecimal at, BigDecimal goesMm, BigDecimal refusesMm) {}

    record Said(
            long line,
            UUID id,
            UUID place,
            String kind,
            BigDecimal goesMm,
            BigDecimal refusesMm,
            String typed,
            String typedUnit,
            String by,
            String at,
            boolean stands) {}

    /** @param chance that the limit is broken between the edges; null, as the risk, where it was not asked */
    record Result(
            String verdict,
            double gapProvenMm,
            Double gapPossibleMm,
            List<Double> longBowMm,
            List<Double> crossBowMm,
            List<Double> fourthCornerLiftMm,
            List<Double> zoneMm,
            Double risk,
            Double chance) {}

    /** What was tried on each visit. */
    Map<UUID, List<FeelerFile>> ofVisits(List<UUID> visits) {
        return surveys.ofVisits(visits);
    }

    Feelers of(PartFile part, FeelerFile s, Map<UUID, String> names) {
        return new Feelers(
                s.kind().name(),
                s.limitKind().name(),
                s.blades().blades().stream().map(RecordNumbers::mm).toList(),
                s.startedAt().toString(),
                names.get(s.startedBy()),
                s.lines().stream().map(RecordFeelers::line).toList(),
                s.history().stream().map(t -> said(t, names.get(t.by()))).toList(),
                s.instruments().isEmpty()
                        ? null
                        : s.instruments().stream().map(RecordFace::instrument).toList(),
                result(findings.of(part, s)));
    }

    private static Line line(FeelerFile.LineFile l) {
        return new Line(
                l.name(),
                RecordNumbers.spot(l.from().x(), l.from().y()),
                RecordNumbers.spot(l.to().x(), l.to().y()),
                l.rest().name(),
                l.places().stream().map(RecordFeelers::place).toList());
    }

    private static Said said(FeelerFile.TryFile t, String by) {
        return new Said(
                t.seq(),
                t.id(),
                t.place(),
                t.said().name(),
                t.goes().map(RecordNumbers::mm).orElse(null),
                t.refuses().map(RecordNumbers::mm).orElse(null),
                t.typed(),
                t.unit().name(),
                by,
                t.at().toString(),
                t.stands());
    }

    private static Result result(FeelerFinding finding) {
        FeelerResult result = finding.result();
        return new Result(
                result.verdict().name(),
                result.gapProven(),
                finite(result.gapPossible()),
                result.shape().map(a -> range(a.longBow())).orElse(null),
                result.shape().map(a -> range(a.crossBow())).orElse(null),
                result.shape().map(a -> range(a.fourthCornerLift())).orElse(null),
                result.shape().map(a -> range(a.zone())).orElse(null),
                finding.sureness().map(FeelerSureness::risk).orElse(null),
                finding.sureness().map(s -> RecordNumbers.chance(s.said())).orElse(null));
    }

    private static Place place(FeelerFile.PlaceFile p) {
        boolean station = p.along();
        return new Place(
                p.id(),
                p.asked().name(),
                station ? BigDecimal.valueOf(p.at()) : null,
                p.gap().goes().map(RecordNumbers::mm).orElse(null),
                p.gap().refuses().map(RecordNumbers::mm).orElse(null));
    }

    private static List<Double> range(Range range) {
        return java.util.Arrays.asList(finite(range.least()), finite(range.most()));
    }

    private static Double finite(double value) {
        return Double.isFinite(value) ? value : null;
    }
}
