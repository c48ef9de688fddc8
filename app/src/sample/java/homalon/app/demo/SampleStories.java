package homalon.app.demo;

import homalon.app.casting.part.Faces;
import homalon.app.casting.part.Parts;
import homalon.app.casting.sheets.Sheets;
import homalon.app.check.integrity.Cracks;
import homalon.app.check.integrity.PressureTests;
import homalon.app.foundation.time.ShopClock;
import homalon.app.foundation.web.Keyed;
import homalon.app.foundation.words.Words;
import homalon.core.face.PlaceProposal;
import homalon.core.geometry.Spot;
import homalon.core.integrity.CleaningMethod;
import homalon.core.integrity.Crack;
import homalon.core.integrity.CrackMethod;
import homalon.core.integrity.CrackPlace;
import homalon.core.integrity.CrackSpots;
import homalon.core.integrity.Reach;
import homalon.core.part.ChamberShape;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.route.Operation;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.Source;
import homalon.core.visit.CrackFile;
import homalon.core.visit.PartFile;
import homalon.core.visit.Sheet;
import homalon.core.visit.StuckOn;
import homalon.core.visit.SurveyKind;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;

/** Castings of the sample shop whose story is not told by their face: cracked, bent in their line, askew, with liners. */
@OfTheDemo
@RequiredArgsConstructor
class SampleStories {
    private final SampleHands hands;
    private final Cracks cracks;
    private final PressureTests tests;
    private final Sheets sheets;
    private final Faces faces;
    private final Parts parts;
    private final ShopClock clock;
    private UUID ines;
    private UUID brannoc;

    void are(UUID measuring, UUID atTheMachine) {
        this.ines = measuring;
        this.brannoc = atTheMachine;
    }

    void whole() {
        crackedBetweenSeats();
        bentAtTheCam();
        deckLowAtTheBack();
        liners(
                "T-0443",
                "Ice-plant engine block, three liners",
                "composite gasket with wire rings",
                "PROUD",
                0.066,
                0.052,
                0.118);
        liners(
                "T-0444",
                "Dredger tender block, three liners",
                "multi-layer steel gasket",
                "FLUSH",
                0.011,
                0.041,
                0.008);
        dentedWall();
        lidThatNobodyMeasured();
    }

    /** Set up by its corners, skimmed, looked at: cut by what the cutter shows, with no reading and no plan. */
    private void lidThatNobodyMeasured() {
        PartFile lid = hands.book(
                "T-0454",
                SampleHands.head(
                        "Net winch, three in line, lid",
                        "Fog-horn Trust",
                        Material.CAST_IRON,
                        3,
                        "84",
                        "104",
                        "344",
                        "150"),
                List.of(),
                "gasket gone between 2 and 3",
                "to seal again, and to lose no more than it must",
                3,
                2);
        hands.did(lid, Operation.CLEAN, Words.of(CleaningMethod.SCRAPE_BY_HAND.words()), days(1, 0));
        hands.did(lid, Operation.CRACK_CHECK, Words.of(CrackMethod.MAGNETIC_PARTICLE.words()), days(1, 30));
        hands.witnessed(lid, "0.03", "f r", days(1, 60));
        hands.witnessed(lid, "0.02", "1 3", days(1, 70));
    }

    private static Duration days(int days, int minutes) {
        return Duration.ofDays(days).minusMinutes(minutes);
    }

    /** Stitched and tested; the insert is in, and the test is owed again. */
    private void crackedBetweenSeats() {
        PartFile crane = hands.book(
                "T-0440",
                SampleHands.head(
                        "Quay crane, four in line", "Old Slip Quays", Material.CAST_IRON, 4, "96", "112", "468", "168"),
                List.of(FlatnessLimit.overall(SampleHands.mm("0.06"), Source.MAKER)),
                "pushes water out of the radiator under load",
                "keep this head, no other to be had",
                4,
                6);
        hands.did(crane, Operation.CLEAN, Words.of(CleaningMethod.BAKE.words()), days(5, 0));
        UUID crack = crack(crane, CrackPlace.BETWEEN_SEATS, 2, 19, false, days(5, 60), Reach.WATER);
        crack(crane, CrackPlace.GUIDE_BOSS, 0, 8, false, days(5, 66));
        hands.did(crane, Operation.CRACK_CHECK, Words.of(CrackMethod.MAGNETIC_PARTICLE.words()), days(5, 80));
        CrackFile marked = cracks.of(crane).stream()
                .filter(c -> c.crack().equals(crack))
                .findFirst()
                .orElseThrow();
        clock.ago(
                days(5, 90),
                () -> cracks.decide(crane, UUID.randomUUID(), crack, marked.remedy(), "", SampleHands.mm("8"), ines));
        hands.read(
                crane,
                SurveyKind.FACE,
                PlaceProposal.Density.CLOSE,
                SampleHands.face(crane, 0.02, 0.01, 0.012, 0.004, 0.006),
                99,
                4);
        hands.did(crane, Operation.STITCH, "tapered pins, 8 mm", days(3, 0));
        held(crane, days(3, 120), 2.6, 21.5, 2.58, 20.5);
        hands.did(crane, Operation.INSERT, "exhaust and intake of 3", days(2, 0));
        hands.did(crane, Operation.CRACK_CHECK, Words.of(CrackMethod.MAGNETIC_PARTICLE.words()), days(2, 90));
    }

    private UUID crack(
            PartFile part, CrackPlace place, int bore, double length, boolean suspect, Duration ago, Reach... reaches) {
        UUID id = UUID.randomUUID();
        CrackMethod method = part.material() == Material.CAST_IRON ? CrackMethod.MAGNETIC_PARTICLE : CrackMethod.DYE;
        Crack crack = new Crack(
                part.kind(),
                part.material(),
                place,
                length,
                Set.of(reaches),
                suspect ? CrackMethod.EYES : method,
                suspect);
        CrackSpots.Tips tips = CrackSpots.of(faces.layout(part.numbers()), place, bore, length);
        clock.ago(ago, () -> cracks.mark(part, id, crack, bore, tips.from(), tips.to(), ines));
        return id;
    }

    /** A test that held: the air cooled, which looks like a leak on the gauge. */
    private void held(PartFile part, Duration ago, double bar, double celsius, double barThen, double celsiusThen) {
        clock.ago(
                ago,
                () -> tests.begin(
                        part,
                        UUID.randomUUID(),
                        new PressureTests.SetUp("air under water", false, "10", "0.05", ""),
                        BenchUnit.MM,
                        brannoc));
        clock.ago(
                ago.minusMinutes(1),
                () -> tests.read(
                        part,
                        UUID.randomUUID(),
                        new PressureTests.Reading("0", "" + bar, "" + celsius),
                        BenchUnit.MM,
                        brannoc));
        clock.ago(
                ago.minusMinutes(6),
                () -> tests.read(
                        part,
                        UUID.randomUUID(),
                        new PressureTests.Reading(
                                "5",
                                "%.3f".formatted((bar + barThen) / 2).replace(',', '.'),
                                "" + (celsius + celsiusThen) / 2),
                        BenchUnit.MM,
                        brannoc));
        clock.ago(
                ago.minusMinutes(11),
                () -> tests.read(
                        part,
                        UUID.randomUUID(),
                        new PressureTests.Reading("10", "" + barThen, "" + celsiusThen),
                        BenchUnit.MM,
                        brannoc));
        clock.ago(
                ago.minusMinutes(12), () -> tests.bubbles(part, UUID.randomUUID(), false, "", new Spot(0, 0), brannoc));
    }

    /** Flat, since it was skimmed; bent all the same, as its cam line says. */
    private void bentAtTheCam() {
        PartFile crab = hands.book(
                "T-0441",
                SampleHands.head(
                        "Crab boat twin-cam, spare head",
                        "Skarvik Crab Boats",
                        Material.ALUMINIUM,
                        4,
                        "81",
                        "92",
                        "388",
                        "142"),
                List.of(FlatnessLimit.overall(SampleHands.mm("0.05"), Source.MAKER)),
                "overheated, then skimmed by others; the cam is stiff",
                "tell whether it is worth it",
                3,
                4);
        hands.read(
                crab,
                SurveyKind.FACE,
                PlaceProposal.Density.USUAL,
                SampleHands.face(crab, 0.01, 0.02, 0.012, 0.004, 0.006),
                99,
                3);
        // One of its two cams is bound, the other runs free: each has a line of its own.
        shaft(crab, "Exhaust cam", "", 0, new double[] {0, -0.062, -0.094, -0.058, 0.002});
        shaft(crab, "Intake cam", "2-", 20, new double[] {0, -0.008, -0.011, -0.006, 0.001});
    }

    private void shaft(PartFile part, String name, String prefix, int later, double[] heights) {
        Map<String, String> setup = Map.of(
                "name",
                name,
                "prefix",
                prefix,
                "at",
                nm(0, 88, 176, 264, 352),
                "clearance",
                nm(0.06, 0.06, 0.06, 0.06, 0.06),
                "running",
                nm(0.03),
                "way",
                "INDICATOR",
                "sideways",
                "false");
        clock.ago(days(2, later), () -> sheets.setUp(part, UUID.randomUUID(), Sheet.LINE, setup, ines));
        for (int i = 0; i < heights.length; i++) {
            key(part, Sheet.LINE, prefix + "h" + i, heights[i], days(2, later + 4 + i));
        }
    }

    private static String nm(double... mm) {
        return Arrays.stream(mm)
                .mapToObj(v -> Long.toString(Math.round(v * 1_000_000)))
                .collect(Collectors.joining(" "));
    }

    private void key(PartFile part, Sheet sheet, String place, double value, Duration ago) {
        String typed =
                BigDecimal.valueOf(value).setScale(3, RoundingMode.HALF_UP).toPlainString();
        clock.ago(ago, () -> sheets.key(part, sheet, Keyed.sure(UUID.randomUUID(), place, typed, BenchUnit.MM), ines));
    }

    private void deckLowAtTheBack() {
        PartFile deck = hands.book(
                "T-0442",
                SampleHands.deck(
                        "Lifeboat museum V-eight, right deck",
                        "Lifeboat Museum, Old Slip",
                        4,
                        "92",
                        "112",
                        "478",
                        "158",
                        2),
                List.of(FlatnessLimit.overall(SampleHands.mm("0.05"), Source.SHOP)),
                "the right head always leaked at the rear",
                "both decks alike, square to the crank",
                3,
                8);
        hands.read(
                deck,
                SurveyKind.FACE,
                PlaceProposal.Density.USUAL,
                SampleHands.face(deck, 0.09, 0.02, 0.01, 0.004, 0.006),
                99,
                3);
        clock.ago(
                days(2, 0),
                () -> sheets.setUp(deck, UUID.randomUUID(), Sheet.INDEX, Map.of("outerAtTop", "true"), ines));
        corners(deck, 229.83, 229.66, 229.81, 229.63);
        // The left one went through the shop before: its deck was read over the same crank line.
        PartFile left = parts.byTag("T-0401");
        clock.ago(
                days(2, 20),
                () -> sheets.setUp(left, UUID.randomUUID(), Sheet.INDEX, Map.of("outerAtTop", "true"), ines));
        corners(left, 229.79, 229.78, 229.80, 229.77);
    }

    private void corners(PartFile deck, double... heights) {
        for (int i = 0; i < heights.length; i++) {
            key(deck, Sheet.INDEX, "c" + i, heights[i], days(2, 25 + 2 * i));
        }
    }

    private void liners(String tag, String name, String wish, String school, double... means) {
        PartFile block = hands.book(
                tag,
                SampleHands.sheet(
                        PartKind.DECK,
                        name,
                        "Saltmarsh Ice & Cold Store",
                        Material.CAST_IRON,
                        ChamberShape.ROUND,
                        3,
                        "105",
                        "134",
                        "440",
                        "190",
                        1),
                List.of(FlatnessLimit.overall(SampleHands.mm("0.06"), Source.SHOP)),
                "liners pulled and put back by others",
                wish,
                6,
                5);
        hands.read(
                block,
                SurveyKind.FACE,
                PlaceProposal.Density.CLOSE,
                SampleHands.face(block, 0.02, 0.01, 0.008, 0.004, 0.006),
                99,
                4);
        double least = school.equals("PROUD") ? 0.03 : 0;
        double most = school.equals("PROUD") ? 0.10 : 0.02;
        Map<String, String> setup = Map.of("school", school, "least", nm(least), "most", nm(most), "usual", "true");
        clock.ago(days(3, 0), () -> sheets.setUp(block, UUID.randomUUID(), Sheet.LINERS, setup, ines));
        int[] clockPlaces = {12, 3, 6, 9};
        for (int i = 0; i < means.length; i++) {
            for (int k = 0; k < clockPlaces.length; k++) {
                double lean = (k == 0 ? 1 : k == 2 ? -1 : 0) * 0.004;
                key(block, Sheet.LINERS, (i + 1) + "@" + clockPlaces[k], means[i] + lean, days(3, 5 + 4 * i + k));
            }
        }
    }

    private void dentedWall() {
        PartFile barge = hands.book(
                "T-0445",
                SampleHands.deck(
                        "Oyster barge donkey engine, block", "Oyster Barge Company", 2, "88", "116", "300", "170", 1),
                List.of(FlatnessLimit.overall(SampleHands.mm("0.08"), Source.SHOP)),
                "a broken ring dented the wall of bore 2",
                "stock",
                8,
                2);
        hands.did(barge, Operation.CLEAN, Words.of(CleaningMethod.HOT_TANK.words()), days(1, 0));
        crack(barge, CrackPlace.BORE_WALL, 1, 0, true, days(1, 30));
        hands.did(barge, Operation.CRACK_CHECK, Words.of(CrackMethod.MAGNETIC_PARTICLE.words()), days(1, 40));
        hands.wait(barge, StuckOn.PARTS, "blanking plates for the pressure test", 1);
    }
}
