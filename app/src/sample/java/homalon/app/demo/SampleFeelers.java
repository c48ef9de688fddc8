package homalon.app.demo;

import homalon.app.check.feelers.FeelerStarts;
import homalon.app.check.feelers.FeelerSurveys;
import homalon.app.foundation.time.ShopClock;
import homalon.app.foundation.web.Keyed;
import homalon.core.face.FeelerSurvey;
import homalon.core.part.Layout;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.sim.FeelerHand;
import homalon.core.sim.SeededFace;
import homalon.core.visit.Asked;
import homalon.core.visit.FeelerFile;
import homalon.core.visit.FeelerKind;
import homalon.core.visit.FeelerWay;
import homalon.core.visit.PartFile;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import lombok.RequiredArgsConstructor;

/** A hand with straightedge and blades, some days ago. */
@OfTheDemo
@RequiredArgsConstructor
class SampleFeelers {
    /** What it takes to push a blade and key what it said. */
    private static final Duration PER_PLACE = Duration.ofSeconds(14);

    private final SampleHands hands;
    private final FeelerSurveys feelers;
    private final FeelerStarts starts;
    private final ShopClock clock;
    private UUID measuring;

    void are(UUID measuring) {
        this.measuring = measuring;
    }

    /** What is keyed at a place, one after the other; empty where nothing is to be tried. */
    private interface Hand {
        List<String> keys(
                FeelerFile survey, FeelerFile.LineFile line, FeelerFile.PlaceFile place, FeelerHand.Laid laid);
    }

    /** Finds the gap along the first so many lines, as a hand with a straightedge does. */
    void feel(PartFile part, SeededFace shape, int most, int daysAgo) {
        along(part, shape, FeelerWay.FIND, most, daysAgo, (survey, line, place, laid) -> switch (place.asked()) {
            case REST -> List.of(rest(laid));
            case ENDS -> laid.rocks() ? List.of(thickestThatGoes(survey, laid.rock())) : List.of();
            default -> List.of(thickestThatGoes(survey, laid.gap(place.at())));
        });
    }

    /** Go or no-go along every line: the blade that is asked for at each place, and the limit's own where a thinner one went. */
    void limitBlade(PartFile part, SeededFace shape, Length limit, int daysAgo) {
        along(part, shape, FeelerWay.LIMIT, Integer.MAX_VALUE, daysAgo, (survey, line, place, laid) -> {
            if (place.asked() != Asked.STATION) {
                return place.asked() == Asked.REST ? List.of(rest(laid)) : List.of();
            }
            Length first = survey.first(line, place, shape.box(), limit);
            double gap = laid.gap(place.at());
            return first.compareTo(limit) < 0 && gap >= first.mm()
                    ? List.of(goes(first, gap), goes(limit, gap))
                    : List.of(goes(first, gap));
        });
    }

    private void along(PartFile part, SeededFace shape, FeelerWay way, int most, int daysAgo, Hand hand) {
        hands.prepare(part, daysAgo);
        FeelerKind kind = FeelerKind.FACE;
        Duration ago = Duration.ofDays(daysAgo).plus(Duration.ofMinutes(40));
        clock.ago(ago, () -> starts.start(part, kind, FeelerSurvey.Kind.GAP, way, BenchUnit.MM, measuring));
        FeelerFile survey = feelers.find(part, kind).orElseThrow();
        int keyed = 0;
        for (FeelerFile.LineFile line : survey.lines().stream().limit(most).toList()) {
            FeelerHand.Laid laid = FeelerHand.lay(shape, line.from(), line.to());
            for (FeelerFile.PlaceFile place : line.places()) {
                for (String typed : hand.keys(survey, line, place, laid)) {
                    var said =
                            Keyed.sure(SampleHands.id(part, kind, place.id(), typed), place.id(), typed, BenchUnit.MM);
                    clock.ago(
                            ago.minus(PER_PLACE.multipliedBy(++keyed)),
                            () -> feelers.key(part, kind, said, anyone -> "Someone", measuring));
                }
            }
        }
    }

    private static String rest(FeelerHand.Laid laid) {
        return laid.rocks() ? "r" : "s";
    }

    private static String goes(Length blade, double gap) {
        return blade.mm() + (gap >= blade.mm() ? "+" : "-");
    }

    private static String thickestThatGoes(FeelerFile survey, double gap) {
        return survey.blades().blades().stream()
                .filter(b -> b.mm() <= gap)
                .reduce((a, b) -> b)
                .map(b -> Double.toString(b.mm()))
                .orElse("0");
    }

    /** Hollow along its length, one long edge more than the other. */
    static SeededFace bowedApart(PartFile part, double longBow, double apart) {
        return new SeededFace(Layout.of(part.numbers()).box(), 0, 0.03, longBow, 0, 0, apart, List.of());
    }
}
