package homalon.app.demo;

import homalon.app.check.face.Findings;
import homalon.app.check.face.SurveyPlaces;
import homalon.app.check.face.SurveyStarts;
import homalon.app.check.face.Surveys;
import homalon.app.foundation.time.ShopClock;
import homalon.app.foundation.web.Keyed;
import homalon.core.face.PlaceProposal;
import homalon.core.geometry.Spot;
import homalon.core.part.Layout;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.sim.SeededFace;
import homalon.core.verdict.Verdict;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import lombok.RequiredArgsConstructor;

/** An indicator and a micrometer in the hands of the sample shop. */
@OfTheDemo
@RequiredArgsConstructor
class SampleGauge {
    /** What it takes to set the indicator, read it and key it. */
    private static final Duration PER_PLACE = Duration.ofSeconds(14);
    /** Read beyond the walk. */
    private static final int MOST_MORE = 16;

    private final Surveys surveys;
    private final SurveyStarts starts;
    private final SurveyPlaces places;
    private final Findings findings;
    private final ShopClock clock;

    /** Keys the first so many places of a survey, as a machinist reads them off the dial. */
    void read(
            PartFile part,
            SurveyKind kind,
            PlaceProposal.Density density,
            SeededFace shape,
            int most,
            Duration ago,
            UUID who) {
        clock.ago(ago, () -> starts.start(part, kind, density, Length.ofMm("0.002"), who));
        SurveyFile survey = surveys.find(part, kind).orElseThrow();
        List<Spot> spots =
                survey.places().stream().map(SurveyFile.PlaceFile::spot).toList();
        var points = shape.read(spots, 0.0012, part.tag().hashCode() + kind.ordinal());
        double zero = points.z(0);
        for (int i = 0; i < Math.min(most, spots.size()); i++) {
            String typed = BigDecimal.valueOf(points.z(i) - zero)
                    .setScale(3, RoundingMode.HALF_UP)
                    .toPlainString();
            key(part, kind, survey.places().get(i).id(), typed, ago.minus(PER_PLACE.multipliedBy(i + 1)), who);
        }
        if (most >= spots.size()) {
            readOn(part, kind, shape, zero, ago.minus(PER_PLACE.multipliedBy(spots.size())), who);
        }
    }

    /** Whoever is through with the walk reads on where it is asked, until it is settled. */
    private void readOn(PartFile part, SurveyKind kind, SeededFace shape, double zero, Duration ago, UUID who) {
        Random random = new Random(part.tag().hashCode());
        for (int n = 1; n <= MOST_MORE; n++) {
            SurveyFile survey = surveys.find(part, kind).orElseThrow();
            Optional<Spot> next = findings.of(part, survey)
                    .filter(f -> f.judgement().worst() == Verdict.NOT_PROVEN)
                    .flatMap(f -> f.judgement().limits().stream()
                            .flatMap(l -> l.next().stream())
                            .findFirst());
            if (next.isEmpty()) {
                return;
            }
            Duration then = ago.minus(PER_PLACE.multipliedBy(n));
            clock.ago(then, () -> places.add(part, kind, next.get(), who));
            SurveyFile.PlaceFile place = surveys.find(part, kind).orElseThrow().places().stream()
                    .filter(p -> !p.isRead())
                    .findFirst()
                    .orElseThrow();
            String typed = BigDecimal.valueOf(
                            shape.at(place.spot().x(), place.spot().y()) + 0.0012 * random.nextGaussian() - zero)
                    .setScale(3, RoundingMode.HALF_UP)
                    .toPlainString();
            key(part, kind, place.id(), typed, then, who);
        }
    }

    void thickness(PartFile part, String at, double tiltX, double tiltY, Duration ago, UUID who) {
        SurveyKind kind = SurveyKind.THICKNESS;
        clock.ago(ago, () -> starts.start(part, kind, PlaceProposal.Density.CORNERS, Length.ofMm("0.005"), who));
        SurveyFile survey = surveys.find(part, kind).orElseThrow();
        var box = Layout.of(part.numbers()).box();
        for (SurveyFile.PlaceFile p : survey.places()) {
            double more = tiltX * box.u(p.spot().x()) + tiltY * box.v(p.spot().y());
            String typed = new BigDecimal(at)
                    .add(BigDecimal.valueOf(more).setScale(3, RoundingMode.HALF_UP))
                    .toPlainString();
            key(part, kind, p.id(), typed, ago.minus(PER_PLACE.multipliedBy(p.seq())), who);
        }
    }

    private void key(PartFile part, SurveyKind kind, UUID place, String typed, Duration ago, UUID who) {
        Keyed keyed = Keyed.sure(SampleHands.id(part, kind, place), place, typed, BenchUnit.MM);
        clock.ago(ago, () -> surveys.key(part, kind, keyed, anyone -> "Someone", who));
    }
}
