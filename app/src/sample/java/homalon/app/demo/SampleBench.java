package homalon.app.demo;

import homalon.app.casting.part.Parts;
import homalon.app.check.mating.Mates;
import homalon.app.foundation.people.PersonInfo;
import homalon.core.cut.SetUpMethod;
import homalon.core.face.PlaceProposal;
import homalon.core.ledger.Entry;
import homalon.core.part.ChamberShape;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.quantity.Length;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.Source;
import homalon.core.visit.PartFile;
import homalon.core.visit.StuckOn;
import homalon.core.visit.SurveyKind;
import java.util.List;
import java.util.UUID;
import lombok.RequiredArgsConstructor;

/** Castings of the sample shop as they lie about on a working day: on the bench, tried with feelers, stuck. */
@OfTheDemo
@RequiredArgsConstructor
class SampleBench {
    private final Parts parts;
    private final Mates mates;
    private final SampleHands hands;
    private final SampleFeelers feelers;
    private final SampleGone gone;
    private final SampleCustomers customers;
    private final SampleAgreed agreed;
    private UUID measuring;

    void all(PersonInfo ines, PersonInfo brannoc) {
        hands.are(ines, brannoc);
        feelers.are(ines.id());
        measuring = ines.id();
        customers.are(ines.id());
        gone.all(ines.id());
        onTheBench();
        felt();
        stuck();
        agreed.all(ines.id());
    }

    private void onTheBench() {
        PartFile ferry = hands.book(
                "T-0412",
                SampleHands.head(
                        "Ferry auxiliary, four in line",
                        "Tern Island Ferries",
                        Material.CAST_IRON,
                        4,
                        "87",
                        "98",
                        "412",
                        "150"),
                List.of(
                        FlatnessLimit.overall(SampleHands.mm("0.05"), Source.MAKER),
                        FlatnessLimit.inAny(SampleHands.mm("100"), SampleHands.mm("0.02"), Source.GASKET)),
                "overheated in August, gasket gone between 3 and 4",
                "stock; back before the winter timetable",
                0,
                2);
        hands.read(
                ferry,
                SurveyKind.FACE,
                PlaceProposal.Density.USUAL,
                SampleHands.face(ferry, 0.06, -0.03, 0.062, 0.008, 0.022, SampleHands.dip(3, 0.022, 34)),
                9,
                1);

        PartFile ice = hands.book(
                "T-0409",
                SampleHands.head(
                        "Ice-plant compressor, four in line",
                        "Saltmarsh Ice & Cold Store",
                        Material.CAST_IRON,
                        4,
                        "95",
                        "110",
                        "470",
                        "165"),
                List.of(FlatnessLimit.overall(SampleHands.mm("0.06"), Source.MAKER)),
                "skimmed twice by others; leaks at the rear",
                "seal it; no more than needed",
                0,
                5);
        hands.opening(ice, Entry.Kind.OPENING_ESTIMATED, "0.31", "from the stamp and the thickness", 4);
        hands.read(
                ice,
                SurveyKind.FACE,
                PlaceProposal.Density.CLOSE,
                SampleHands.face(ice, -0.05, 0.02, 0.03, 0.068, 0.02),
                99,
                4);
        hands.plan(ice, SetUpMethod.LEAST_REMOVAL, 3);
        hands.cut(ice, 2, "CBN disc 1", "5", 1);
        hands.paint(ice, "0.03", 1);

        PartFile crab = hands.book(
                "T-0415",
                SampleHands.head(
                        "Crab boat twin-cam, four in line",
                        "Skarvik Crab Boats",
                        Material.ALUMINIUM,
                        4,
                        "81",
                        "92",
                        "388",
                        "142"),
                List.of(FlatnessLimit.overall(SampleHands.mm("0.04"), Source.MAKER)),
                "stored leaning on one corner for two winters",
                "multi-layer steel gasket; smooth",
                1,
                3);
        hands.read(
                crab,
                SurveyKind.FACE,
                PlaceProposal.Density.CLOSE,
                SampleHands.face(crab, 0.03, 0.05, 0.006, -0.004, 0.23),
                99,
                2);
        hands.thickness(crab, "118.40", 0.02, -0.03, 2);

        PartFile deck = hands.book(
                "T-0401",
                SampleHands.deck(
                        "Lifeboat museum V-eight, left deck",
                        "Lifeboat Museum, Old Slip",
                        4,
                        "92",
                        "112",
                        "478",
                        "158",
                        2),
                List.of(FlatnessLimit.overall(SampleHands.mm("0.05"), Source.SHOP)),
                "low at the rear where its head was low",
                "deck square; matching numbers stay",
                3,
                9);
        hands.read(
                deck,
                SurveyKind.FACE,
                PlaceProposal.Density.USUAL,
                SampleHands.face(deck, 0.12, 0.01, 0.006, 0.002, 0.004, SampleHands.dip(4, 0.075, 80)),
                99,
                3);
        hands.plan(deck, SetUpMethod.AVERAGE, 2);
        PartFile museum = hands.book(
                "T-0402",
                SampleHands.sheet(
                        PartKind.HEAD,
                        "Lifeboat museum V-eight, left head",
                        "Lifeboat Museum, Old Slip",
                        Material.CAST_IRON,
                        ChamberShape.CUT_OFF,
                        4,
                        "92",
                        "112",
                        "478",
                        "158",
                        2),
                List.of(FlatnessLimit.overall(SampleHands.mm("0.05"), Source.SHOP)),
                "gasket gone at the rear; sat wet for years",
                "goes on T-0401; matching numbers stay",
                3,
                9);
        hands.read(
                museum,
                SurveyKind.FACE,
                PlaceProposal.Density.CLOSE,
                SampleHands.face(museum, 0.02, 0.05, 0.006, 0.002, 0.004, SampleHands.dip(4, 0.06, 75)),
                99,
                3);
        mates.say(museum, deck, measuring);

        PartFile donkey = hands.book(
                "T-0418",
                SampleHands.head(
                        "Oyster barge donkey engine, side-valve lid",
                        "Nell's Oysters",
                        Material.CAST_IRON,
                        2,
                        "76",
                        "96",
                        "232",
                        "150"),
                List.of(FlatnessLimit.overall(Length.ofThou("3"), Source.SHOP)),
                "side-valve lid; sat in a shed since her father's time",
                "just make it hold",
                6,
                1);
        hands.read(
                donkey,
                SurveyKind.FACE,
                PlaceProposal.Density.CLOSE,
                SampleHands.face(donkey, 0.02, 0.01, -0.016, 0.012, 0.01),
                99,
                1);

        PartFile racer = hands.book(
                "T-0419",
                SampleHands.head(
                        "Harbour race skiff, four in line",
                        "Quayside Skiff Racing",
                        Material.ALUMINIUM,
                        4,
                        "84",
                        "93",
                        "395",
                        "146"),
                List.of(FlatnessLimit.overall(SampleHands.mm("0.03"), Source.GASKET)),
                "class rule: not below the stamped thickness",
                "as much compression as the class allows",
                2,
                0);
        if (racer.visits() != 1) {
            throw new IllegalStateException("a fresh part has one visit");
        }

        PartFile done = hands.book(
                "T-0407",
                SampleHands.head(
                        "Pilot cutter, three in line",
                        "Harbour Pilots",
                        Material.CAST_IRON,
                        3,
                        "102",
                        "118",
                        "388",
                        "176"),
                List.of(FlatnessLimit.overall(SampleHands.mm("0.05"), Source.MAKER)),
                "crowned after welding between 1 and 2",
                "stock",
                1,
                7);
        hands.read(
                done,
                SurveyKind.FACE,
                PlaceProposal.Density.CLOSE,
                SampleHands.face(done, -0.02, 0.03, -0.075, -0.01, 0.01),
                99,
                6);
        hands.opening(done, Entry.Kind.OPENING_UNKNOWN, "", "no paper came with it", 6);
        hands.plan(done, SetUpMethod.LEAST_REMOVAL, 5);
        hands.cut(done, 99, "CBN disc 1", "4", 4);
        hands.wrongLine(done, 4);
        hands.read(
                done,
                SurveyKind.PROOF,
                PlaceProposal.Density.CLOSE,
                SampleHands.face(done, 0.004, 0.003, 0.004, -0.003, 0.003),
                99,
                3);
    }

    /** Tried with straightedge and feelers only, as many do before they take the indicator out. */
    private void felt() {
        PartFile launch = hands.book(
                "T-0421",
                SampleHands.head(
                        "Harbour launch, three in line",
                        "Slipway Launches",
                        Material.CAST_IRON,
                        3,
                        "92",
                        "106",
                        "352",
                        "158"),
                List.of(FlatnessLimit.overall(SampleHands.mm("0.05"), Source.MAKER)),
                "lost its coolant off the point; towed home",
                "is it bent?",
                3,
                1);
        feelers.feel(launch, SampleHands.face(launch, 0.1, 0.02, 0.008, 0.002, 0.21), 99, 0);

        PartFile winch = hands.book(
                "T-0422",
                SampleHands.deck("Slip winch, block deck", "Old Slip Boatyard", 2, "98", "120", "276", "168", 1),
                List.of(FlatnessLimit.overall(SampleHands.mm("0.06"), Source.SHOP)),
                "head gone out for another; deck stays, boiled on one side",
                "go or no-go, while it is open",
                8,
                0);
        feelers.limitBlade(winch, SampleFeelers.bowedApart(winch, 0.05, 0.05), SampleHands.mm("0.06"), 0);
    }

    private void stuck() {
        PartFile crane = hands.book(
                "T-0406",
                SampleHands.head(
                        "Quay crane, two in line",
                        "Saltmarsh Harbour Board",
                        Material.CAST_IRON,
                        2,
                        "108",
                        "132",
                        "300",
                        "180"),
                List.of(),
                "cracked between the seats of 2; head hollow along its length",
                "price for a sleeve or another head",
                4,
                8);
        hands.read(
                crane,
                SurveyKind.FACE,
                PlaceProposal.Density.CLOSE,
                SampleHands.face(crane, 0.02, 0.01, 0.11, 0.02, 0.02),
                99,
                6);
        hands.wait(crane, StuckOn.CUSTOMER, "repair or replace? asked with the price", 4);

        PartFile second = hands.book(
                "T-0403",
                SampleHands.head(
                        "Ferry auxiliary no. 2, four in line",
                        "Tern Island Ferries",
                        Material.CAST_IRON,
                        4,
                        "87",
                        "98",
                        "412",
                        "150"),
                List.of(FlatnessLimit.overall(SampleHands.mm("0.05"), Source.MAKER)),
                "sister of T-0412; came as a precaution",
                "measure, touch only if needed",
                5,
                9);
        hands.read(
                second,
                SurveyKind.FACE,
                PlaceProposal.Density.CLOSE,
                SampleHands.face(second, 0.02, 0.0, 0.014, 0.004, 0.01),
                99,
                8);
        feelers.feel(second, SampleHands.face(second, 0.02, 0.0, 0.014, 0.004, 0.01), 99, 9);
        hands.wait(second, StuckOn.PARTS, "3 exhaust inserts, due Thursday", 2);

        PartFile block = hands.book(
                "T-0395",
                SampleHands.deck(
                        "Ice-plant compressor, block deck",
                        "Saltmarsh Ice & Cold Store",
                        4,
                        "95",
                        "110",
                        "470",
                        "165",
                        1),
                List.of(),
                "goes with T-0409",
                "deck it only if out",
                7,
                12);
        hands.read(
                block,
                SurveyKind.FACE,
                PlaceProposal.Density.USUAL,
                SampleHands.face(block, 0.05, -0.02, 0.028, 0.004, -0.012),
                99,
                10);
        mates.say(parts.byTag("T-0409"), block, measuring);
        hands.wait(block, StuckOn.CHECK, "dowels to pull before the far corner can be read", 1);
    }
}
