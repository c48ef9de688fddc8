package homalon.app.demo;

import homalon.app.foundation.time.ShopClock;
import homalon.app.shop.stock.Catalogue;
import homalon.app.shop.stock.Need;
import homalon.app.shop.stock.Orders;
import homalon.core.cut.SetUpMethod;
import homalon.core.face.PlaceProposal;
import homalon.core.part.ChamberShape;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.part.Valve;
import homalon.core.part.ValveKind;
import homalon.core.part.ValvePattern;
import homalon.core.route.Operation;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.Source;
import homalon.core.valves.Measure;
import homalon.core.visit.PartFile;
import homalon.core.visit.Said;
import homalon.core.visit.SurveyKind;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import lombok.RequiredArgsConstructor;

/** Castings of the sample shop that came for their valves, and the shop's list of what it buys by size. */
@OfTheDemo
@RequiredArgsConstructor
class SampleValves {
    private final SampleHands hands;
    private final SampleValveHands at;
    private final Catalogue catalogue;
    private final Orders orders;
    private final ShopClock clock;
    private UUID ines;
    private UUID brannoc;

    void all(UUID measuring, UUID atTheMachine) {
        this.ines = measuring;
        this.brannoc = atTheMachine;
        at.are(measuring, atTheMachine);
        catalogue.keep(SampleStock.rows(), ines);
        sixteen();
        wornAtOneEnd();
        dropped();
        leadFree();
    }

    private void sixteen() {
        PartFile crab = hands.book(
                "T-0446",
                SampleHands.sheet(
                        PartKind.HEAD,
                        "Crab boat twin-cam, sixteen valves",
                        "Skarvik Crab Boats",
                        Material.ALUMINIUM,
                        ChamberShape.ROUND,
                        4,
                        "82",
                        "92",
                        "398",
                        "176",
                        1),
                List.of(FlatnessLimit.overall(SampleHands.mm("0.05"), Source.MAKER)),
                "down on power, smokes on the overrun",
                "guides and seats, spring heights alike",
                2,
                4);
        ValvePattern pattern = new ValvePattern(2, 2, ValvePattern.Rows.TWO, false, false);
        at.setUp(
                crab,
                at.lie(
                        2,
                        2,
                        ValvePattern.Rows.TWO,
                        Source.MAKER,
                        "HEAD_DIAMETER",
                        "31.5",
                        "27.5",
                        "STEM",
                        "7",
                        "7",
                        "CLEARANCE_SERVICE",
                        "0.09",
                        "0.10",
                        "GUIDE_LENGTH",
                        "42",
                        "42",
                        "RECESSION",
                        "1.6",
                        "1.8",
                        "TIP",
                        "34.6",
                        "34.6",
                        "SPRING_HEIGHT",
                        "36",
                        "36",
                        "SPRING_FREE",
                        "45.5",
                        "45.5",
                        "SPRING_SOLID",
                        "23.4",
                        "23.4",
                        "SPRING_RATE",
                        "31",
                        "31",
                        "LIFT",
                        "9.8",
                        "9.4",
                        "GUIDE_HEIGHT",
                        "12.5",
                        "12.5"),
                2);
        Random random = new Random(16);
        List<Valve> all = SampleValveHands.of(crab, pattern);
        for (Valve v : all) {
            double worn = v.key().equals("3E1") ? 0.062 : 0.008;
            at.sound(crab, v.key(), v.kind() == ValveKind.INTAKE ? 6.972 : 6.958, worn, random);
        }
        at.key(crab, "2I2", Measure.GUIDE_TOP_ACROSS, 7.061);
        for (Valve v : all) {
            boolean exhaust = v.kind() == ValveKind.EXHAUST;
            double outer = exhaust ? 26.6 : 30.7;
            at.key(crab, v.key(), Measure.SEAT_OUTER, outer + random.nextInt(5) * 0.02);
            at.key(crab, v.key(), Measure.SEAT_INNER, outer - (exhaust ? 2.4 : 1.8) - random.nextInt(4) * 0.02);
        }
        for (Valve v : all) {
            boolean off = v.key().equals("3E1") || v.key().equals("1E2");
            at.key(crab, v.key(), Measure.RUNOUT, off ? 0.09 : 0.02 + random.nextInt(3) * 0.01);
        }
        for (Valve v : all) {
            boolean pits = v.kind() == ValveKind.EXHAUST && v.cylinder() > 1;
            at.key(crab, v.key(), Measure.PITS, pits ? 0.04 + random.nextInt(4) * 0.01 : 0);
        }
        for (Valve v : all) {
            boolean exhaust = v.kind() == ValveKind.EXHAUST;
            at.key(crab, v.key(), Measure.RECESSION, (exhaust ? 1.3 : 1.1) + random.nextInt(6) * 0.02);
            at.key(crab, v.key(), Measure.TIP, 34.1 + random.nextInt(5) * 0.02);
        }
        for (Valve v : all) {
            at.key(crab, v.key(), Measure.MARGIN, v.key().equals("4E2") ? 0.86 : 1.15 + random.nextInt(3) * 0.05);
        }
        for (Valve v : all) {
            boolean pits = v.kind() == ValveKind.EXHAUST && v.cylinder() > 1;
            at.say(crab, v.key(), Measure.VACUUM, v.key().equals("3E1") ? "38" : pits ? "58" : "72");
        }
        for (Valve v : all) {
            at.key(crab, v.key(), Measure.INSTALLED, 36.05 + random.nextInt(4) * 0.1 + (v.cylinder() == 2 ? 0.3 : 0));
            at.key(crab, v.key(), Measure.SEAL_GAP, 12.4);
        }
        for (Valve v : all) {
            boolean pits = v.kind() == ValveKind.EXHAUST && v.cylinder() > 1;
            at.say(crab, v.key(), Measure.LOOKS, pits ? "2" : "18");
        }
        at.answer(crab);
        hands.read(
                crab,
                SurveyKind.FACE,
                PlaceProposal.Density.USUAL,
                SampleHands.face(crab, 0.03, 0.02, 0.11, 0.02, 0.03),
                99,
                2);
        hands.plan(crab, SetUpMethod.LEAST_REMOVAL, 1);
        at.keep(crab, "3E1", Map.of(Said.GUIDE, "REPLACE", Said.HOUSING, "13.025", Said.GUIDE_ITEM, "G-13.070"));
        clock.ago(
                Duration.ofHours(20),
                () -> orders.order(
                        crab,
                        UUID.randomUUID(),
                        new Need("G-13.070", "iron guide, reamed to size", 1, Operation.GUIDE_WORK, List.of()),
                        Optional.of(LocalDate.now(ZoneOffset.UTC).plusDays(1)),
                        brannoc));
    }

    /** A side-valve block: from the port one guide looks good; the spring side of its neighbour told why that is not enough. */
    private void wornAtOneEnd() {
        PartFile barge = hands.book(
                "T-0447",
                SampleHands.sheet(
                        PartKind.DECK,
                        "Oyster barge side-valve donkey engine, block",
                        "Oyster Barge Company",
                        Material.CAST_IRON,
                        ChamberShape.ROUND,
                        2,
                        "84",
                        "112",
                        "300",
                        "236",
                        1),
                List.of(FlatnessLimit.overall(SampleHands.mm("0.08"), Source.SHOP)),
                "burns oil, valves tick",
                "valves in the block: guides first",
                3,
                7);
        at.setUp(
                barge,
                at.lie(
                        1,
                        1,
                        ValvePattern.Rows.IN_BLOCK,
                        Source.SHOP,
                        "HEAD_DIAMETER",
                        "36",
                        "34",
                        "GUIDE_HEIGHT",
                        "38.4",
                        "38.4",
                        "GUIDE_LENGTH",
                        "58",
                        "58"),
                2);
        Random random = new Random(9);
        at.sound(barge, "1I", 7.962, 0.01, random);
        at.sound(barge, "2I", 7.964, 0.012, random);
        // From the port alone.
        for (Measure m : List.of(Measure.STEM_TOP, Measure.STEM_MIDDLE, Measure.STEM_BOTTOM)) {
            at.key(barge, "1E", m, 7.951);
        }
        at.key(barge, "1E", Measure.GUIDE_BOTTOM_ALONG, 8.012);
        at.key(barge, "1E", Measure.GUIDE_BOTTOM_ACROSS, 8.014);
        at.sound(barge, "2E", 7.95, 0.11, random);
        for (String v : List.of("1I", "1E", "2I", "2E")) {
            at.say(barge, v, Measure.LOOKS, v.endsWith("E") ? "2" : "1");
        }
        hands.read(
                barge,
                SurveyKind.FACE,
                PlaceProposal.Density.USUAL,
                SampleHands.face(barge, 0.02, 0.02, 0.1, 0.01, 0.02),
                99,
                2);
        hands.plan(barge, SetUpMethod.LEAST_REMOVAL, 1);
    }

    /** An insert that dropped and beat its counterbore out: two sizes up it would clean, and there the wall says no. */
    private void dropped() {
        PartFile tender = hands.book(
                "T-0448",
                SampleHands.sheet(
                        PartKind.HEAD,
                        "Lifeboat tender, aluminium four",
                        "Lifeboat Museum, Old Slip",
                        Material.ALUMINIUM,
                        ChamberShape.CUT_OFF,
                        4,
                        "86",
                        "96",
                        "412",
                        "150",
                        1),
                List.of(FlatnessLimit.overall(SampleHands.mm("0.05"), Source.MAKER)),
                "overheated, then ran on three; an insert lay in the chamber",
                "save it if it can be saved",
                1,
                3);
        at.setUp(
                tender,
                at.lie(
                        1,
                        1,
                        ValvePattern.Rows.ONE,
                        Source.MAKER,
                        "HEAD_DIAMETER",
                        "38",
                        "33",
                        "STEM",
                        "8",
                        "8",
                        "GUIDE_LENGTH",
                        "48",
                        "48"),
                2);
        Random random = new Random(4);
        for (String v : List.of("1I", "1E", "2I", "2E", "3I", "3E", "4I", "4E")) {
            at.sound(tender, v, v.endsWith("I") ? 7.966 : 7.952, 0.008, random);
        }
        for (String v : List.of("1I", "1E", "2I", "2E", "3I", "3E", "4I", "4E")) {
            at.say(tender, v, Measure.LOOKS, v.equals("3E") ? "6" : v.equals("2E") ? "5" : "1");
        }
        at.answer(tender);
        at.keep(
                tender,
                "3E",
                Map.of(
                        Said.COUNTERBORE,
                        "33.3",
                        Said.FLOOR,
                        "6.2",
                        Said.WALL,
                        "3.9",
                        Said.THROAT,
                        "27.6",
                        Said.DAMAGE,
                        "2-5 0.2; 9-10 0.1",
                        Said.NEIGHBOURS,
                        "3I 40.5 36",
                        Said.METAL,
                        "HARD_IRON"));
        at.keep(
                tender,
                "2E",
                Map.of(
                        Said.COUNTERBORE,
                        "33.3",
                        Said.FLOOR,
                        "6.2",
                        Said.WALL,
                        "4.6",
                        Said.THROAT,
                        "27.6",
                        Said.METAL,
                        "HARD_IRON"));
    }

    /** Iron seats that are to run without lead: rings for the exhausts, half of them on their way. */
    private void leadFree() {
        PartFile ice = hands.book(
                "T-0449",
                SampleHands.sheet(
                        PartKind.HEAD,
                        "Ice-plant standby engine, four in line",
                        "Saltmarsh Ice & Cold Store",
                        Material.CAST_IRON,
                        ChamberShape.CUT_OFF,
                        4,
                        "88",
                        "104",
                        "446",
                        "158",
                        1),
                List.of(FlatnessLimit.overall(SampleHands.mm("0.06"), Source.SHOP)),
                "an old engine, seats cut in the iron",
                "exhaust seats for fuel without lead",
                5,
                9);
        at.setUp(
                ice,
                at.lie(
                        1,
                        1,
                        ValvePattern.Rows.ONE,
                        Source.SHOP,
                        "HEAD_DIAMETER",
                        "38",
                        "33",
                        "STEM",
                        "8",
                        "8",
                        "RECESSION",
                        "1.2",
                        "1.2"),
                4);
        Random random = new Random(12);
        List<String> all = List.of("1I", "1E", "2I", "2E", "3I", "3E", "4I", "4E");
        for (String v : all) {
            at.sound(ice, v, v.endsWith("I") ? 7.964 : 7.952, 0.01, random);
        }
        for (String v : all) {
            at.say(ice, v, Measure.LOOKS, "1");
        }
        double[] walls = {5.6, 5.4, 5.5, 4.9};
        for (int i = 0; i < walls.length; i++) {
            at.keep(
                    ice,
                    (i + 1) + "E",
                    Map.of(
                            Said.COUNTERBORE,
                            "33.1",
                            Said.FLOOR,
                            "6.4",
                            Said.WALL,
                            "" + walls[i],
                            Said.THROAT,
                            "27.5",
                            Said.METAL,
                            "HARD_IRON",
                            Said.INSERT,
                            "HI-34.0",
                            Said.CHILL,
                            "-78 20"));
        }
        clock.ago(
                Duration.ofDays(2),
                () -> orders.order(
                        ice,
                        UUID.randomUUID(),
                        new Need("HI-34.0", "hard iron insert", 4, Operation.INSERT, List.of()),
                        Optional.of(LocalDate.now(ZoneOffset.UTC).plusDays(2)),
                        brannoc));
        clock.ago(Duration.ofDays(1), () -> {
            UUID order = orders.of(ice).get(0).id();
            orders.arrived(ice, UUID.randomUUID(), order, 2, "", ines);
        });
    }
}
