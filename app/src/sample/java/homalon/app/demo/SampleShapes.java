package homalon.app.demo;

import homalon.app.machining.batch.BatchForming;
import homalon.app.machining.batch.BatchPasses;
import homalon.core.cut.SetUpMethod;
import homalon.core.face.PlaceProposal;
import homalon.core.part.Material;
import homalon.core.quantity.BenchUnit;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.Source;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyKind;
import java.util.List;
import lombok.RequiredArgsConstructor;

/** One casting of every shape that a face can have, and two heads that are cut together. */
@OfTheDemo
@RequiredArgsConstructor
class SampleShapes {
    private static final String MEASURED = "Measured only, as asked: the owner cuts it on his own mill.";

    private final SampleHands hands;
    private final BatchForming forming;
    private final BatchPasses passes;

    /** How a face departs from flat: long bow, cross bow, fourth-corner lift, mm. */
    private record Bend(double longBow, double crossBow, double lift) {}

    void everyShape() {
        deck("T-0430", "Trawler auxiliary, block deck", new Bend(0.08, 0.006, 0.01), "pulled by its bolts", 20);
        deck("T-0431", "Net hauler, block deck", new Bend(-0.07, 0.004, -0.01), "filed by hand in the middle once", 18);
        deck("T-0432", "Fog-horn compressor, block deck", new Bend(0.004, 0.055, 0.008), "ran hot on one side", 16);
        deck("T-0433", "Sluice pump, block deck", new Bend(-0.004, -0.075, 0.006), "stoned along both edges", 14);
        deck("T-0435", "Light tender, block deck", new Bend(0.035, 0.03, 0.06), "no story came with it", 12);
        deck("T-0436", "Pilot launch, block deck", new Bend(0.006, 0.002, 0.004), "came as a precaution", 11);

        PartFile twisted = hands.book(
                "T-0434",
                SampleHands.deck("Mud dredger, block deck", "Estuary Dredging", 4, "96", "112", "474", "166", 1),
                List.of(FlatnessLimit.overall(SampleHands.mm("0.05"), Source.SHOP)),
                "stored on two blocks at opposite corners for a year",
                "is it worth decking?",
                4,
                3);
        read(twisted, new Bend(0.006, -0.004, 0.24), 2);

        deck(
                "T-0438",
                "Winter skiff, block deck",
                new Bend(0.004, 0.002, 0.006),
                "gasket leaked there for years",
                9,
                SampleHands.dip(2, 0.11, 26));
        PartFile etched = hands.book(
                "T-0439",
                SampleHands.head(
                        "Cannery boiler feed, four in line",
                        "Old Slip Cannery",
                        Material.CAST_IRON,
                        4,
                        "88",
                        "102",
                        "426",
                        "154"),
                List.of(FlatnessLimit.overall(SampleHands.mm("0.05"), Source.MAKER)),
                "etched between 3 and 4, an old gasket leak",
                "will it clean up?",
                6,
                4);
        read(etched, new Bend(0.004, 0.002, -0.006), 2, SampleHands.dip(3, 0.12, 26));

        PartFile crowned = hands.book(
                "T-0437",
                SampleHands.head(
                        "Smokehouse blower, three in line",
                        "Saltmarsh Smokehouse",
                        Material.CAST_IRON,
                        3,
                        "90",
                        "104",
                        "346",
                        "156"),
                List.of(FlatnessLimit.overall(SampleHands.mm("0.05"), Source.MAKER)),
                "dressed with a belt sander by its last owner",
                "make it flat",
                5,
                4);
        read(crowned, new Bend(-0.006, -0.06, 0.01), 2);
    }

    private void deck(String tag, String name, Bend bend, String history, int daysAgo, SampleHands.Dip... dips) {
        PartFile part = hands.book(
                tag,
                SampleHands.deck(name, "Old Slip Boatyard", 4, "94", "110", "466", "164", 1),
                List.of(FlatnessLimit.overall(SampleHands.mm("0.05"), Source.SHOP)),
                history,
                "measure it and say what it needs",
                null,
                daysAgo);
        read(part, bend, daysAgo - 1, dips);
        hands.release(part, List.of("the cut was not made here"), MEASURED, daysAgo - 2);
    }

    private void read(PartFile part, Bend bend, int daysAgo, SampleHands.Dip... dips) {
        hands.read(
                part,
                SurveyKind.FACE,
                PlaceProposal.Density.CLOSE,
                SampleHands.face(part, 0.03, -0.02, bend.longBow(), bend.crossBow(), bend.lift(), dips),
                99,
                daysAgo);
    }

    /** Both banks of a V, so that they stay alike. */
    void together() {
        PartFile left = bank("T-0424", "left", new Bend(0.045, 0.01, 0.02));
        PartFile right = bank("T-0425", "right", new Bend(0.078, 0.012, -0.03));
        hands.together(forming, passes, List.of(left, right), BenchUnit.MM, 1);
    }

    private PartFile bank(String tag, String side, Bend bend) {
        PartFile part = hands.book(
                tag,
                SampleHands.head(
                        "Rescue tug V-eight, " + side + " head",
                        "Harbour Rescue",
                        Material.CAST_IRON,
                        4,
                        "98",
                        "114",
                        "486",
                        "170"),
                List.of(FlatnessLimit.overall(SampleHands.mm("0.05"), Source.MAKER)),
                "gaskets weep on both banks",
                "cut both alike",
                2,
                6);
        read(part, bend, 3);
        hands.plan(part, SetUpMethod.LEAST_REMOVAL, 2);
        return part;
    }
}
