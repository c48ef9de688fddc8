package homalon.app.demo;

import homalon.app.casting.part.Parts;
import homalon.app.foundation.time.ShopClock;
import homalon.app.foundation.web.Keyed;
import homalon.app.machining.chambers.WorkOnChambers;
import homalon.core.chambers.FillState;
import homalon.core.cut.SetUpMethod;
import homalon.core.face.PlaceProposal;
import homalon.core.ledger.Entry;
import homalon.core.part.ChamberShape;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.Source;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyKind;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import lombok.RequiredArgsConstructor;

/** Heads whose chambers are filled: a stock rebuild, a class rule, one with little life left, one bank of a V. */
@OfTheDemo
@RequiredArgsConstructor
class SampleChambers {
    private final SampleHands hands;
    private final WorkOnChambers chambers;
    private final Parts parts;
    private final ShopClock clock;
    private UUID ines;

    void all(UUID measuring) {
        this.ines = measuring;
        stockRebuild();
        classRule();
        littleLifeLeft();
        bankOfAV();
        classBowl();
        sideValves(parts.byTag("T-0447"));
    }

    /** @param figures name and figure, parted by commas; behind a colon the source of a limit */
    private static Map<String, String> figures(String figures) {
        Map<String, String> form = new HashMap<>();
        for (String one : figures.strip().split("\\s*,\\s*")) {
            String[] words = one.split("\\s+", 2);
            String[] value = words[1].split(":");
            form.put(words[0], value[0]);
            if (value.length > 1) {
                form.put(words[0] + ".source", value[1]);
            }
        }
        return form;
    }

    private void engine(PartFile part, int hoursAgo, String figures) {
        clock.ago(
                Duration.ofHours(hoursAgo),
                () -> chambers.engine(part, UUID.randomUUID(), figures(figures), BenchUnit.MM, ines));
    }

    /** Two fills of every chamber, as a careful hand reads them. */
    private void fill(PartFile part, FillState state, int hoursAgo, double... cc) {
        for (int i = 0; i < cc.length; i++) {
            int cylinder = part.numbers().firstNumber() + i * part.numbers().numberStep();
            fill(part, state, "0", cylinder, 1, cc[i], hoursAgo * 60 - 6 * i);
            fill(part, state, "0", cylinder, 2, cc[i] + (i % 3 - 1) * 0.1, hoursAgo * 60 - 6 * i - 3);
        }
    }

    private void fill(
            PartFile part, FillState state, String depth, int cylinder, int number, double cc, int minutesAgo) {
        String typed = String.format(Locale.ROOT, "%.1f", cc);
        clock.ago(
                Duration.ofMinutes(minutesAgo),
                () -> chambers.fill(
                        part,
                        state,
                        Length.ofMm(depth),
                        cylinder,
                        number,
                        Keyed.sure(UUID.randomUUID(), "", typed, BenchUnit.MM),
                        ines));
    }

    /** Cut clean and filled again: the ratio rose a little, and a gasket can bring it back. */
    private void stockRebuild() {
        PartFile mail = hands.book(
                "T-0450",
                SampleHands.head(
                        "Mail boat, four in line",
                        "Tern Island Ferries",
                        Material.CAST_IRON,
                        4,
                        "88",
                        "98",
                        "416",
                        "152"),
                List.of(FlatnessLimit.overall(SampleHands.mm("0.05"), Source.MAKER)),
                "lost water off the point; gasket weeping at the rear",
                "stock rebuild, compression as it was",
                1,
                5);
        hands.read(
                mail,
                SurveyKind.FACE,
                PlaceProposal.Density.USUAL,
                SampleHands.face(mail, 0.03, 0.02, 0.09, 0.012, 0.008),
                99,
                4);
        hands.opening(mail, Entry.Kind.OPENING_KNOWN, "0.15", "stamped on the pad", 4);
        engine(mail, 90, """
                drive PUSHROD, crown FLAT, rods IRON, STROKE 92, GASKET_BORE 90, GASKET 1.3, DECK 0.25, CROWN 8.5,
                THICKNESS_LEAST 97.2:MAKER, LIFE_MOST 0.5:MAKER, THINNEST 97.81, INTAKE_ROOM 3.1, EXHAUST_ROOM 3.4,
                PRELOAD 0.8, PRELOAD_MOST 1.4:MAKER, BOLT_ROOM 3.0
                """);
        fill(mail, FillState.AS_CAME, 88, 58.4, 58.9, 58.6, 58.2);
        hands.plan(mail, SetUpMethod.LEAST_REMOVAL, 3);
        hands.cut(mail, 99, "CBN disc 1", "5", 2);
        hands.read(
                mail,
                SurveyKind.PROOF,
                PlaceProposal.Density.USUAL,
                SampleHands.face(mail, 0.004, 0.003, 0.004, 0.003, 0.002),
                99,
                1);
        fill(mail, FillState.CUT, 22, 57.9, 58.4, 58.0, 57.8);
    }

    /** To be brought to the least volume that the class allows, all four alike; filled to depths as well. */
    private void classRule() {
        PartFile skiff = hands.book(
                "T-0451",
                SampleHands.head(
                        "Harbour race skiff, spare head",
                        "Quayside Skiff Racing",
                        Material.ALUMINIUM,
                        4,
                        "84",
                        "93",
                        "395",
                        "146"),
                List.of(FlatnessLimit.overall(SampleHands.mm("0.03"), Source.GASKET)),
                "new seats last season",
                "all the compression that the class rules allow, chambers alike",
                2,
                6);
        hands.read(
                skiff,
                SurveyKind.FACE,
                PlaceProposal.Density.USUAL,
                SampleHands.face(skiff, 0.02, 0.01, 0.035, 0.006, 0.03),
                99,
                2);
        hands.opening(skiff, Entry.Kind.OPENING_KNOWN, "0.10", "scrutineer's card", 2);
        engine(skiff, 46, """
                drive CHAIN_OR_BELT, crown FLAT, rods ALUMINIUM_OR_FAST, depths 1 2, STROKE 76, GASKET_BORE 85.5,
                GASKET 1.1, DECK 0.15, CROWN 2.4, PLAY 0.06, TOP_LAND 6.5, BURETTE 50, CLASS_CC 42:RULES,
                CLASS_RATIO 10.5:RULES, CLASS_THICKNESS 118.2:RULES, LIFE_MOST 1.2:SHOP, THINNEST 119.06,
                INTAKE_ROOM 2.9, EXHAUST_ROOM 3.3, INTAKE_LEAN 18, EXHAUST_LEAN 21, SPROCKET 52, INTAKE_HEAD 38,
                EXHAUST_HEAD 33, SINK_MOST 0.1
                """);
        fill(skiff, FillState.SEATS, 44, 44.1, 43.4, 44.4, 43.8);
        double[] one = {39.6, 38.9, 39.9, 39.3};
        double[] two = {35.5, 34.9, 35.8, 35.2};
        for (int i = 0; i < 4; i++) {
            fill(skiff, FillState.SEATS, "1", i + 1, 1, one[i], 41 * 60 - 5 * i);
            fill(skiff, FillState.SEATS, "2", i + 1, 1, two[i], 40 * 60 - 5 * i);
        }
    }

    /** Skimmed often: it needs more to come clean than its thickness allows. */
    private void littleLifeLeft() {
        PartFile ice = hands.book(
                "T-0452",
                SampleHands.head(
                        "Ice-plant compressor engine, three in line",
                        "Northquay Ice",
                        Material.CAST_IRON,
                        3,
                        "96",
                        "112",
                        "372",
                        "164"),
                List.of(FlatnessLimit.overall(SampleHands.mm("0.06"), Source.MAKER)),
                "overheated; skimmed at least twice before",
                "run the season if it can; tell us what the compression comes to",
                2,
                3);
        hands.read(
                ice,
                SurveyKind.FACE,
                PlaceProposal.Density.USUAL,
                SampleHands.face(ice, 0.03, 0.02, 0.14, 0.02, 0.03),
                99,
                2);
        hands.opening(ice, Entry.Kind.OPENING_ESTIMATED, "0.55", "by its thickness against the book", 2);
        engine(ice, 40, """
                drive GEARS, crown PARALLEL_POCKET, rods IRON, STROKE 105, GASKET_BORE 98, GASKET 1.5, DECK -0.1,
                CROWN 24, THICKNESS_LEAST 104.0:MAKER, LIFE_MOST 0.7:MAKER, THINNEST 104.11, RECESSION 0.45,
                RECESSION_LEAST 0.3:MAKER, EXHAUST_ROOM 2.3, EXHAUST_LEAN 0, GOUGE 0.08
                """);
        fill(ice, FillState.AS_CAME, 38, 21.6, 21.9, 21.7);
    }

    /** Valves in the block: its opening is wider than the bore, and the roof of the head is what a valve could meet. */
    private void sideValves(PartFile block) {
        engine(block, 20, """
                drive SIDE_VALVE, crown FLAT, rods IRON, STROKE 110, GASKET_AREA 9800, BLOCK_OPENING 9800, GASKET 1.6,
                DECK 0.6, CROWN 0, CHAMBER 118, LIFE_MOST 1.0:SHOP, ROOM 2.3, RATIO_MOST 6.0:OWNER
                """);
    }

    /** A class that asks a least bowl: the first piston was milled deeper and filled again, the others wait for its depth. */
    private void classBowl() {
        PartFile tug = hands.book(
                "T-0455",
                SampleHands.head(
                        "Harbour race tug, three in line",
                        "Quayside Skiff Racing",
                        Material.CAST_IRON,
                        3,
                        "100",
                        "116",
                        "384",
                        "170"),
                List.of(FlatnessLimit.overall(SampleHands.mm("0.05"), Source.SHOP)),
                "bought with its pistons; nobody knows from where",
                "class rules: chambers and pistons, a bowl of 14 cc at the least",
                4,
                2);
        hands.read(
                tug,
                SurveyKind.FACE,
                PlaceProposal.Density.USUAL,
                SampleHands.face(tug, 0.02, 0.01, 0.02, 0.006, 0.01),
                99,
                1);
        engine(tug, 20, """
                drive PUSHROD, crown FLAT, rods IRON, STROKE 112, GASKET_BORE 102, GASKET 1.4, DECK 0.3,
                CLASS_BOWL 14:RULES, LIFE_MOST 1.0:SHOP, POCKET_DEEPER 1.1, POCKET_GAVE 1.4
                """);
        fill(tug, FillState.AS_CAME, 19, 71.3, 71.0, 71.4);
        crown(tug, 1, "13.2", 18);
        crown(tug, 2, "13.9", 18);
        crown(tug, 3, "14.6", 18);
        crown(tug, 1, "14.6", 2);
    }

    private void crown(PartFile part, int cylinder, String cc, int hoursAgo) {
        clock.ago(
                Duration.ofHours(hoursAgo),
                () -> chambers.crown(part, cylinder, Keyed.sure(UUID.randomUUID(), "", cc, BenchUnit.MM), ines));
    }

    /** One bank of a V: what comes off here, the manifold has to follow. */
    private void bankOfAV() {
        PartFile crane = hands.book(
                "T-0453",
                SampleHands.sheet(
                        PartKind.HEAD,
                        "Quay crane V-eight, right head",
                        "Harbour Works",
                        Material.CAST_IRON,
                        ChamberShape.CUT_OFF,
                        4,
                        "94",
                        "114",
                        "486",
                        "160",
                        2),
                List.of(FlatnessLimit.overall(SampleHands.mm("0.05"), Source.SHOP)),
                "sat with a blown gasket",
                "more compression: 9.2 if it can be had",
                3,
                8);
        hands.read(
                crane,
                SurveyKind.FACE,
                PlaceProposal.Density.USUAL,
                SampleHands.face(crane, 0.02, 0.03, 0.05, 0.01, 0.012),
                99,
                1);
        engine(crane, 20, """
                drive PUSHROD, crown FLAT, rods IRON, STROKE 88, GASKET_BORE 97, GASKET 1.05, DECK 0.4, CROWN 6.2,
                THICKNESS_LEAST 88.0:SHOP, LIFE_MOST 1.5:SHOP, THINNEST 89.4, RATIO_MOST 9.4:OWNER, INTAKE_ROOM 3.6,
                EXHAUST_ROOM 3.9, BANK_HALF 45, FLANGE_LEAN 10
                """);
        fill(crane, FillState.AS_CAME, 18, 60.4, 60.9, 60.7, 60.1);
    }
}
