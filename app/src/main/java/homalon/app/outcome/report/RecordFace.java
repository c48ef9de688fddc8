package homalon.app.outcome.report;

import homalon.app.check.face.Findings;
import homalon.app.check.face.Surveys;
import homalon.core.face.BowAndTwist;
import homalon.core.face.FlatnessResult;
import homalon.core.face.LimitVerdict;
import homalon.core.gauge.Corrections;
import homalon.core.gauge.InUse;
import homalon.core.part.Layout;
import homalon.core.quantity.Length;
import homalon.core.rulebook.Soak;
import homalon.core.sure.Sureness;
import homalon.core.visit.FaceFinding;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What an indicator said of a face, for the record: places, every reading, and what came of those that stand. */
@Component
@RequiredArgsConstructor
class RecordFace {
    private final Surveys surveys;
    private final Findings findings;

    record Survey(
            String kind,
            BigDecimal uncertaintyMm,
            String startedAt,
            String startedBy,
            List<Place> places,
            List<Reading> readings,
            BigDecimal partC,
            BigDecimal roomC,
            List<Instrument> readWith,
            Closed closing,
            TakenOff takenOff,
            Result result) {}

    /** What bends readings and is taken off them; null where nothing is, and each part of it where that is not. */
    record TakenOff(Double indicatorDegrees, Warm bothSides, Gauged scale) {}

    /** @param bowMm over the length of the face, up in the middle */
    record Warm(
            double faceC, double backC, double heightMm, double expansionPerK, double bowMm, double bowStandardMm) {}

    record Gauged(double partC, double scaleC, double expansionPerK) {}

    /** @param state as it stood when it was taken in hand */
    record Instrument(String code, String name, String kind, double standardMm, String state, String due) {}

    /** The first place read once more; null where it was not. */
    record Closed(double firstMm, double againMm, boolean held) {}

    record Place(UUID id, int no, String name, BigDecimal xMm, BigDecimal yMm, boolean seals, boolean dropped) {}

    record Reading(
            long line,
            UUID id,
            UUID place,
            String kind,
            String typed,
            String typedUnit,
            BigDecimal valueMm,
            UUID withdraws,
            String by,
            String at,
            boolean stands) {}

    record Result(
            double minimumZoneMm,
            double leastSquaresMm,
            Double longBowMm,
            Double crossBowMm,
            Double fourthCornerLiftMm,
            String shape,
            Double risk,
            Double chance,
            List<Judged> limits) {}

    /** @param chance that the limit is broken somewhere; null where it was not asked */
    record Judged(
            String scope,
            BigDecimal mostMm,
            BigDecimal windowMm,
            String source,
            Double valueMm,
            Double chance,
            String verdict) {}

    /** What was read on each visit. */
    Map<UUID, List<SurveyFile>> ofVisits(List<UUID> visits) {
        return surveys.ofVisits(visits).stream().collect(Collectors.groupingBy(SurveyFile::visit));
    }

    Survey of(PartFile part, SurveyFile s, Map<UUID, String> names) {
        List<Place> places = Stream.concat(
                        s.places().stream().map(p -> place(p, false)),
                        s.dropped().stream().map(p -> place(p, true)))
                .toList();
        return new Survey(
                s.kind().name(),
                RecordNumbers.mm(s.uncertainty()),
                s.startedAt().toString(),
                names.get(s.startedBy()),
                places,
                s.history().stream()
                        .map(r -> new Reading(
                                r.seq(),
                                r.id(),
                                r.place(),
                                r.kind().name(),
                                r.typed(),
                                r.unit().name(),
                                r.value().map(RecordNumbers::mm).orElse(null),
                                r.withdraws().orElse(null),
                                names.get(r.by()),
                                r.at().toString(),
                                r.stands()))
                        .toList(),
                s.soak().map(Soak::part).orElse(null),
                s.soak().map(Soak::room).orElse(null),
                s.with().instruments().isEmpty()
                        ? null
                        : s.with().instruments().stream()
                                .map(RecordFace::instrument)
                                .toList(),
                s.with()
                        .closing()
                        .map(c -> new Closed(c.first(), c.again(), c.held()))
                        .orElse(null),
                takenOff(part, s.with().corrections()),
                s.kind().ofHeights()
                        ? findings.of(part, s).map(RecordFace::result).orElse(null)
                        : null);
    }

    private TakenOff takenOff(PartFile part, Corrections known) {
        if (known.none()) {
            return null;
        }
        double length = Layout.of(part.numbers()).box().width();
        return new TakenOff(
                known.angle() > 0 ? known.angle() : null,
                known.warmth()
                        .map(w -> new Warm(
                                w.face(),
                                w.back(),
                                w.height(),
                                w.expansion(),
                                w.bow(length).value(),
                                w.bow(length).standard()))
                        .orElse(null),
                known.scale()
                        .map(g -> new Gauged(g.part(), g.scale(), g.expansion()))
                        .orElse(null));
    }

    static Instrument instrument(InUse use) {
        return new Instrument(
                use.code(),
                use.name(),
                use.kind().name(),
                use.standard(),
                use.state().name(),
                use.due().map(LocalDate::toString).orElse(null));
    }

    private static Place place(SurveyFile.PlaceFile p, boolean dropped) {
        return new Place(
                p.id(),
                p.seq(),
                p.name(),
                RecordNumbers.mm(Length.roundedFromMm(p.spot().x())),
                RecordNumbers.mm(Length.roundedFromMm(p.spot().y())),
                p.sealing(),
                dropped);
    }

    private static Result result(FaceFinding finding) {
        FlatnessResult flat = finding.judgement().flatness();
        BowAndTwist bend = flat.bend();
        return new Result(
                flat.minimumZone().zone(),
                flat.leastSquares(),
                RecordNumbers.boxed(bend.longBow()),
                RecordNumbers.boxed(bend.crossBow()),
                RecordNumbers.boxed(bend.fourthCornerLift()),
                flat.shape().name(),
                finding.sureness().map(Sureness::risk).orElse(null),
                finding.sureness().map(s -> RecordNumbers.chance(s.any())).orElse(null),
                IntStream.range(0, finding.judgement().limits().size())
                        .mapToObj(l -> judged(finding, l))
                        .toList());
    }

    private static Judged judged(FaceFinding finding, int limit) {
        LimitVerdict l = finding.judgement().limits().get(limit);
        return new Judged(
                l.limit().scope().name(),
                RecordNumbers.mm(l.limit().most()),
                l.limit().window().map(RecordNumbers::mm).orElse(null),
                l.limit().source().name(),
                RecordNumbers.boxed(l.value()),
                finding.sureness()
                        .map(s -> RecordNumbers.chance(s.chance(limit)))
                        .orElse(null),
                l.verdict().name());
    }
}
