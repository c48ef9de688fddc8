package homalon.app.outcome.report;

import homalon.core.face.FeelerResult;
import homalon.core.geometry.Range;
import homalon.core.quantity.Length;
import homalon.core.visit.FeelerFile;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** What straightedge and feelers said, for the record; null stands for what nothing bounds. */
final class RecordFeelers {
    private RecordFeelers() {}

    record Feelers(
            String kind,
            String limitKind,
            List<BigDecimal> bladesMm,
            String startedAt,
            String startedBy,
            List<Line> lines,
            List<Said> said,
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

    record Result(
            String verdict,
            double gapProvenMm,
            Double gapPossibleMm,
            List<Double> longBowMm,
            List<Double> crossBowMm,
            List<Double> fourthCornerLiftMm,
            List<Double> zoneMm) {}

    static Feelers of(FeelerFile s, FeelerResult result, Map<UUID, String> names) {
        return new Feelers(
                s.kind().name(),
                s.limitKind().name(),
                s.blades().blades().stream().map(RecordJson::mm).toList(),
                s.startedAt().toString(),
                names.get(s.startedBy()),
                s.lines().stream()
                        .map(l -> new Line(
                                l.name(),
                                spot(l.from().x(), l.from().y()),
                                spot(l.to().x(), l.to().y()),
                                l.rest().name(),
                                l.places().stream().map(RecordFeelers::place).toList()))
                        .toList(),
                s.history().stream()
                        .map(t -> new Said(
                                t.seq(),
                                t.id(),
                                t.place(),
                                t.said().name(),
                                t.goes().map(RecordJson::mm).orElse(null),
                                t.refuses().map(RecordJson::mm).orElse(null),
                                t.typed(),
                                t.unit().name(),
                                names.get(t.by()),
                                t.at().toString(),
                                t.stands()))
                        .toList(),
                new Result(
                        result.verdict().name(),
                        result.gapProven(),
                        finite(result.gapPossible()),
                        result.shape().map(a -> range(a.longBow())).orElse(null),
                        result.shape().map(a -> range(a.crossBow())).orElse(null),
                        result.shape().map(a -> range(a.fourthCornerLift())).orElse(null),
                        result.shape().map(a -> range(a.zone())).orElse(null)));
    }

    private static Place place(FeelerFile.PlaceFile p) {
        boolean station = p.along();
        return new Place(
                p.id(),
                p.asked().name(),
                station ? BigDecimal.valueOf(p.at()) : null,
                p.gap().goes().map(RecordJson::mm).orElse(null),
                p.gap().refuses().map(RecordJson::mm).orElse(null));
    }

    private static List<BigDecimal> spot(double x, double y) {
        return List.of(RecordJson.mm(Length.roundedFromMm(x)), RecordJson.mm(Length.roundedFromMm(y)));
    }

    private static List<Double> range(Range range) {
        return java.util.Arrays.asList(finite(range.least()), finite(range.most()));
    }

    private static Double finite(double value) {
        return Double.isFinite(value) ? value : null;
    }
}
