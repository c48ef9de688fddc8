package homalon.app.demo;

import homalon.app.foundation.time.ShopClock;
import homalon.app.machining.chambers.WorkOnChambers;
import homalon.core.cut.SetUpMethod;
import homalon.core.face.PlaceProposal;
import homalon.core.ledger.Entry;
import homalon.core.part.Material;
import homalon.core.quantity.BenchUnit;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.Source;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyKind;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lombok.RequiredArgsConstructor;

/** Castings of the sample shop that were handed over, one of them twice. */
@OfTheDemo
@RequiredArgsConstructor
class SampleGone {
    private final SampleHands hands;
    private final WorkOnChambers chambers;
    private final ShopClock clock;

    void all(UUID measuring) {
        once();
        twice(measuring);
    }

    private void once() {
        PartFile tug = hands.book(
                "T-0388",
                SampleHands.head(
                        "Dredger tender, six in line",
                        "Estuary Dredging",
                        Material.CAST_IRON,
                        6,
                        "100",
                        "116",
                        "718",
                        "172"),
                List.of(FlatnessLimit.overall(SampleHands.mm("0.08"), Source.MAKER)),
                "low along one side: was cut on an angle before",
                "stock",
                null,
                60);
        hands.opening(tug, Entry.Kind.OPENING_KNOWN, "0.25", "stamped by the last shop", 58);
        hands.read(
                tug,
                SurveyKind.FACE,
                PlaceProposal.Density.CLOSE,
                SampleHands.face(tug, 0.04, 0.09, 0.06, 0.03, 0.05),
                99,
                58);
        hands.plan(tug, SetUpMethod.AVERAGE, 57);
        hands.cut(tug, 99, "CBN disc 1", "2", 56);
        hands.read(
                tug,
                SurveyKind.PROOF,
                PlaceProposal.Density.CLOSE,
                SampleHands.face(tug, 0.004, 0.002, 0.006, 0.003, -0.004),
                99,
                55);
        hands.release(tug, List.of(), "", 54);
    }

    /** Here twice, three years apart: what was made flat went hollow again where it runs hot. */
    private void twice(UUID measuring) {
        PartFile launch = hands.book(
                "T-0379",
                SampleHands.head(
                        "Pilot launch, four in line",
                        "Bar Pilots' Boathouse",
                        Material.CAST_IRON,
                        4,
                        "88",
                        "100",
                        "428",
                        "152"),
                List.of(FlatnessLimit.overall(SampleHands.mm("0.05"), Source.MAKER)),
                "gasket blown between 2 and 3",
                "make it hold; the launch is waiting",
                null,
                1130);
        hands.opening(launch, Entry.Kind.OPENING_ESTIMATED, "0.15", "from its thickness", 1129);
        hands.read(
                launch,
                SurveyKind.FACE,
                PlaceProposal.Density.CLOSE,
                SampleHands.face(launch, 0.02, 0.01, 0.09, 0.004, 0.003),
                99,
                1129);
        hands.plan(launch, SetUpMethod.LEAST_REMOVAL, 1128);
        hands.cut(launch, 99, "CBN disc 1", "1", 1128);
        hands.read(
                launch,
                SurveyKind.PROOF,
                PlaceProposal.Density.CLOSE,
                SampleHands.face(launch, 0.003, 0.002, 0.004, -0.002, 0.003),
                99,
                1127);
        hands.release(launch, List.of(), "", 1126);
        PartFile again =
                hands.comeBack(launch, "ran hot last summer, thermostat stuck", "look at it before the season", 44);
        hands.read(
                again,
                SurveyKind.FACE,
                PlaceProposal.Density.CLOSE,
                SampleHands.face(again, 0.02, 0.01, 0.006, 0.003, 0.004, SampleHands.dip(3, 0.05, 60)),
                99,
                43);
        Map<String, String> most = Map.of(
                "LIFE_MOST", "0.6", "LIFE_MOST.source", "MAKER", "drive", "GEARS", "crown", "FLAT", "rods", "IRON");
        clock.ago(Duration.ofDays(43), () -> chambers.engine(again, UUID.randomUUID(), most, BenchUnit.MM, measuring));
        hands.release(
                again,
                List.of("Skim"),
                "low between 3 and 4; goes as it is, at the pilots' wish, and comes back after the season",
                42);
    }
}
