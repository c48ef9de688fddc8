package homalon.app.demo;

import homalon.app.cut.Cutting;
import homalon.app.cut.Paintings;
import homalon.app.cut.Planner;
import homalon.app.cut.Plans;
import homalon.app.face.SurveyFile;
import homalon.app.face.SurveyKind;
import homalon.app.face.Surveys;
import homalon.app.feelers.Asked;
import homalon.app.feelers.FeelerFile;
import homalon.app.feelers.FeelerKind;
import homalon.app.feelers.FeelerSurveys;
import homalon.app.feelers.Way;
import homalon.app.ledger.Ledgers;
import homalon.app.mating.Mates;
import homalon.app.part.Booking;
import homalon.app.part.PartFile;
import homalon.app.part.Parts;
import homalon.app.part.StuckOn;
import homalon.app.people.People;
import homalon.app.people.Role;
import homalon.app.people.Someone;
import homalon.app.time.ShopClock;
import homalon.app.tools.Toolbox;
import homalon.app.web.Shop;
import homalon.core.cut.Comparison;
import homalon.core.cut.CutPlan;
import homalon.core.cut.Cutter;
import homalon.core.cut.Insert;
import homalon.core.cut.Machine;
import homalon.core.cut.PassPlan;
import homalon.core.cut.Removal;
import homalon.core.cut.School;
import homalon.core.cut.TouchCells;
import homalon.core.face.FeelerSurvey;
import homalon.core.face.PlaceProposal;
import homalon.core.geometry.Spot;
import homalon.core.ledger.Entry;
import homalon.core.part.BoltRows;
import homalon.core.part.ChamberShape;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.RuleBook;
import homalon.core.rulebook.Source;
import homalon.core.sim.FeelerHand;
import homalon.core.sim.SeededFace;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.LocalDate;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** "Saltmarsh Head &amp; Deck", a made-up shop in a made-up harbour. Every name in it is plainly invented. */
@Component
@ConditionalOnProperty("homalon.demo")
class DemoData implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(DemoData.class);
    static final String PASSWORD = "saltmarsh-demo";
    /** What it takes to set the indicator, read it and key it. */
    private static final Duration PER_PLACE = Duration.ofSeconds(14);

    private final People people;
    private final Toolbox toolbox;
    private final Shop shop;
    private final Parts parts;
    private final Surveys surveys;
    private final FeelerSurveys feelers;
    private final Planner planner;
    private final Plans plans;
    private final Ledgers ledgers;
    private final Cutting cutting;
    private final Paintings paintings;
    private final Mates mates;
    private final ShopClock clock;
    private Someone ines;
    private Someone brannoc;

    DemoData(
            People people,
            Toolbox toolbox,
            Shop shop,
            Parts parts,
            Surveys surveys,
            FeelerSurveys feelers,
            Planner planner,
            Plans plans,
            Ledgers ledgers,
            Cutting cutting,
            Paintings paintings,
            Mates mates,
            ShopClock clock) {
        this.people = people;
        this.toolbox = toolbox;
        this.shop = shop;
        this.parts = parts;
        this.surveys = surveys;
        this.feelers = feelers;
        this.planner = planner;
        this.plans = plans;
        this.ledgers = ledgers;
        this.cutting = cutting;
        this.paintings = paintings;
        this.mates = mates;
        this.clock = clock;
    }

    /** All of it or nothing: a half-made shop would never be finished. */
    @Override
    @Transactional
    public void run(ApplicationArguments args) {
        if (!people.nobodyYet()) {
            return;
        }
        shop.rename("Saltmarsh Head & Deck");
        Someone owner = people.add("marit", "Marit", Role.OWNER, PASSWORD);
        ines = people.add("ines", "Ines", Role.MACHINIST, PASSWORD);
        brannoc = people.add("brannoc", "Brannoc", Role.MACHINIST, PASSWORD);
        people.add("desk", "Pell at the desk", Role.DESK, PASSWORD);
        people.setPin(owner.id(), "4826");
        people.setPin(ines.id(), "7391");
        people.setPin(brannoc.id(), "5028");
        people.useUnit(brannoc.id(), BenchUnit.THOU);
        toolbox.add(new Machine("surfacer", 250, 1150, 3, 20, 760));
        toolbox.add(new Machine("long-bed mill", 60, 900, 7.5, 15, 1200));
        toolbox.add(new Cutter("CBN disc 1", Insert.CBN, 330, 6.35, 8));
        toolbox.add(new Cutter("PCD disc 1", Insert.PCD, 330, 6.35, 4));
        toolbox.add(new Cutter("Carbide mill", Insert.CARBIDE, 160, 1.6, 8));
        outOfTheDoor();
        onTheBench();
        felt();
        stuck();
        LOG.info("sample data is in");
    }

    private void onTheBench() {
        PartFile ferry = book(
                "T-0412",
                head(
                        "Ferry auxiliary, four in line",
                        "Tern Island Ferries",
                        Material.CAST_IRON,
                        4,
                        "87",
                        "98",
                        "412",
                        "150"),
                List.of(
                        FlatnessLimit.overall(mm("0.05"), Source.MAKER),
                        FlatnessLimit.inAny(mm("100"), mm("0.02"), Source.GASKET)),
                "overheated in August, gasket gone between 3 and 4",
                "stock; back before the winter timetable",
                0,
                2);
        read(
                ferry,
                SurveyKind.FACE,
                PlaceProposal.Density.USUAL,
                face(ferry, 0.06, -0.03, 0.062, 0.008, 0.022, dip(3, 0.022, 34)),
                9,
                1);

        PartFile ice = book(
                "T-0409",
                head(
                        "Ice-plant compressor, four in line",
                        "Saltmarsh Ice & Cold Store",
                        Material.CAST_IRON,
                        4,
                        "95",
                        "110",
                        "470",
                        "165"),
                List.of(FlatnessLimit.overall(mm("0.06"), Source.MAKER)),
                "skimmed twice by others; leaks at the back",
                "seal it; no more than needed",
                0,
                5);
        opening(ice, Entry.Kind.OPENING_ESTIMATED, "0.31", "from the stamp and the thickness", 4);
        read(ice, SurveyKind.FACE, PlaceProposal.Density.CLOSE, face(ice, -0.05, 0.02, 0.03, 0.068, 0.02), 99, 4);
        plan(ice, School.LEAST_REMOVAL, 3);
        cut(ice, 2, "CBN disc 1", "5", 1);
        paint(ice, "0.03", 1);

        PartFile crab = book(
                "T-0415",
                head(
                        "Crab boat twin-cam, four in line",
                        "Skarvik Crab Boats",
                        Material.ALUMINIUM,
                        4,
                        "81",
                        "92",
                        "388",
                        "142"),
                List.of(FlatnessLimit.overall(mm("0.04"), Source.MAKER)),
                "stored leaning on one corner for two winters",
                "multi-layer steel gasket; smooth",
                1,
                3);
        read(crab, SurveyKind.FACE, PlaceProposal.Density.CLOSE, face(crab, 0.03, 0.05, 0.006, -0.004, 0.23), 99, 2);
        thickness(crab, "118.40", 0.02, -0.03, 2);

        PartFile deck = book(
                "T-0401",
                deck(
                        "Lifeboat museum V-eight, left deck",
                        "Lifeboat Museum, Old Slip",
                        4,
                        "92",
                        "112",
                        "478",
                        "158",
                        2),
                List.of(FlatnessLimit.overall(mm("0.05"), Source.SHOP)),
                "low at the back where its head was low",
                "deck square; matching numbers stay",
                3,
                9);
        read(
                deck,
                SurveyKind.FACE,
                PlaceProposal.Density.USUAL,
                face(deck, 0.12, 0.01, 0.006, 0.002, 0.004, dip(4, 0.075, 80)),
                99,
                3);
        plan(deck, School.AVERAGE, 2);
        PartFile museum = book(
                "T-0402",
                sheet(
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
                List.of(FlatnessLimit.overall(mm("0.05"), Source.SHOP)),
                "gasket gone at the back; sat wet for years",
                "goes on T-0401; matching numbers stay",
                3,
                9);
        read(
                museum,
                SurveyKind.FACE,
                PlaceProposal.Density.CLOSE,
                face(museum, 0.02, 0.05, 0.006, 0.002, 0.004, dip(4, 0.06, 75)),
                99,
                3);
        mates.say(museum, deck, ines.id());

        PartFile donkey = book(
                "T-0418",
                head(
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
        read(
                donkey,
                SurveyKind.FACE,
                PlaceProposal.Density.CLOSE,
                face(donkey, 0.02, 0.01, -0.016, 0.012, 0.01),
                99,
                1);

        PartFile racer = book(
                "T-0419",
                head(
                        "Harbour race skiff, four in line",
                        "Quayside Skiff Racing",
                        Material.ALUMINIUM,
                        4,
                        "84",
                        "93",
                        "395",
                        "146"),
                List.of(FlatnessLimit.overall(mm("0.03"), Source.GASKET)),
                "class rule: not below the stamped thickness",
                "as much compression as the class allows",
                2,
                0);
        if (racer.visits() != 1) {
            throw new IllegalStateException("a fresh part has one visit");
        }

        PartFile done = book(
                "T-0407",
                head(
                        "Pilot cutter, three in line",
                        "Harbour Pilots",
                        Material.CAST_IRON,
                        3,
                        "102",
                        "118",
                        "388",
                        "176"),
                List.of(FlatnessLimit.overall(mm("0.05"), Source.MAKER)),
                "crowned after welding between 1 and 2",
                "stock",
                1,
                7);
        read(done, SurveyKind.FACE, PlaceProposal.Density.CLOSE, face(done, -0.02, 0.03, -0.075, -0.01, 0.01), 99, 6);
        opening(done, Entry.Kind.OPENING_UNKNOWN, "", "no paper came with it", 6);
        plan(done, School.LEAST_REMOVAL, 5);
        cut(done, 99, "CBN disc 1", "4", 4);
        wrongLine(done, 4);
        read(
                done,
                SurveyKind.PROOF,
                PlaceProposal.Density.CLOSE,
                face(done, 0.004, 0.003, 0.004, -0.003, 0.003),
                99,
                3);
    }

    /** Tried with straightedge and feelers only, as many do before they take the indicator out. */
    private void felt() {
        PartFile launch = book(
                "T-0421",
                head(
                        "Harbour launch, three in line",
                        "Slipway Launches",
                        Material.CAST_IRON,
                        3,
                        "92",
                        "106",
                        "352",
                        "158"),
                List.of(FlatnessLimit.overall(mm("0.05"), Source.MAKER)),
                "lost its coolant off the point; towed home",
                "is it bent?",
                3,
                1);
        feel(launch, FeelerKind.FACE, face(launch, 0.1, 0.02, 0.008, 0.002, 0.21), 99, 0);

        PartFile winch = book(
                "T-0422",
                deck("Slip winch, block deck", "Old Slip Boatyard", 2, "98", "120", "276", "168", 1),
                List.of(FlatnessLimit.overall(mm("0.06"), Source.SHOP)),
                "head gone out for another; deck stays",
                "check the deck while it is open",
                8,
                0);
        feel(winch, FeelerKind.FACE, face(winch, 0.0, 0.03, -0.02, -0.006, 0.01), 5, 0);
    }

    /** Finds the gap along the first so many lines, as a hand with a straightedge does. */
    private void feel(PartFile part, FeelerKind kind, SeededFace shape, int most, int daysAgo) {
        Duration ago = Duration.ofDays(daysAgo).plus(Duration.ofMinutes(40));
        clock.ago(ago, () -> feelers.start(part, kind, FeelerSurvey.Kind.GAP, Way.FIND, BenchUnit.MM, ines.id()));
        FeelerFile survey = feelers.find(part, kind).orElseThrow();
        int keyed = 0;
        for (FeelerFile.LineFile line :
                survey.lines().subList(0, Math.min(most, survey.lines().size()))) {
            FeelerHand.Laid laid = FeelerHand.lay(shape, line.from(), line.to());
            for (FeelerFile.PlaceFile place : line.places()) {
                boolean ends = place.asked() == Asked.ENDS;
                if (ends && !laid.rocks()) {
                    continue;
                }
                double gap = ends ? laid.rock() : laid.gap(place.at());
                String typed = place.asked() == Asked.REST ? (laid.rocks() ? "r" : "s") : thickestThatGoes(survey, gap);
                Duration then = ago.minus(PER_PLACE.multipliedBy(++keyed));
                clock.ago(
                        then,
                        () -> feelers.key(
                                part,
                                kind,
                                new FeelerSurveys.Keyed(
                                        id(part, kind, place.id()), place.id(), typed, BenchUnit.MM, 0, true),
                                Map.of(),
                                ines.id()));
            }
        }
    }

    private static String thickestThatGoes(FeelerFile survey, double gap) {
        return survey.blades().blades().stream()
                .filter(b -> b.mm() <= gap)
                .reduce((a, b) -> b)
                .map(b -> Double.toString(b.mm()))
                .orElse("0");
    }

    private void stuck() {
        PartFile crane = book(
                "T-0406",
                head(
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
        read(crane, SurveyKind.FACE, PlaceProposal.Density.CLOSE, face(crane, 0.02, 0.01, 0.11, 0.02, 0.02), 99, 6);
        wait(crane, StuckOn.CUSTOMER, "repair or replace? asked with the price", 4);

        PartFile second = book(
                "T-0403",
                head(
                        "Ferry auxiliary no. 2, four in line",
                        "Tern Island Ferries",
                        Material.CAST_IRON,
                        4,
                        "87",
                        "98",
                        "412",
                        "150"),
                List.of(FlatnessLimit.overall(mm("0.05"), Source.MAKER)),
                "sister of T-0412; came as a precaution",
                "measure, touch only if needed",
                5,
                9);
        read(second, SurveyKind.FACE, PlaceProposal.Density.CLOSE, face(second, 0.02, 0.0, 0.014, 0.004, 0.01), 99, 8);
        feel(second, FeelerKind.FACE, face(second, 0.02, 0.0, 0.014, 0.004, 0.01), 99, 9);
        wait(second, StuckOn.PARTS, "3 exhaust inserts, due Thursday", 2);

        PartFile block = book(
                "T-0395",
                deck("Ice-plant compressor, block deck", "Saltmarsh Ice & Cold Store", 4, "95", "110", "470", "165", 1),
                List.of(),
                "goes with T-0409",
                "deck it only if out",
                7,
                12);
        read(
                block,
                SurveyKind.FACE,
                PlaceProposal.Density.USUAL,
                face(block, 0.05, -0.02, 0.028, 0.004, -0.012),
                99,
                10);
        mates.say(parts.byTag("T-0409"), block, ines.id());
        wait(block, StuckOn.CHECK, "dowels to pull before the far corner can be read", 1);
    }

    private void outOfTheDoor() {
        PartFile tug = book(
                "T-0388",
                head(
                        "Dredger tender, six in line",
                        "Estuary Dredging",
                        Material.CAST_IRON,
                        6,
                        "100",
                        "116",
                        "718",
                        "172"),
                List.of(FlatnessLimit.overall(mm("0.08"), Source.MAKER)),
                "low along one side: was cut on an angle before",
                "stock",
                null,
                60);
        opening(tug, Entry.Kind.OPENING_KNOWN, "0.25", "stamped by the last shop", 58);
        read(tug, SurveyKind.FACE, PlaceProposal.Density.CLOSE, face(tug, 0.04, 0.09, 0.06, 0.03, 0.05), 99, 58);
        plan(tug, School.AVERAGE, 57);
        cut(tug, 99, "CBN disc 1", "2", 56);
        read(tug, SurveyKind.PROOF, PlaceProposal.Density.CLOSE, face(tug, 0.004, 0.002, 0.006, 0.003, -0.004), 99, 55);
        clock.ago(Duration.ofDays(54), () -> parts.handOver(tug.id(), List.of(), "", ines.id()));
    }

    private PartFile book(
            String tag,
            Booking sheet,
            List<FlatnessLimit> limits,
            String history,
            String wishes,
            Integer dueIn,
            int daysAgo) {
        Booking full = new Booking(
                tag,
                sheet.kind(),
                sheet.name(),
                sheet.customer(),
                sheet.material(),
                sheet.castingNumber(),
                sheet.numbers(),
                limits,
                history,
                wishes,
                "",
                Optional.ofNullable(dueIn).map(d -> LocalDate.now().plusDays(d)));
        clock.ago(Duration.ofDays(daysAgo), () -> parts.book(full, ines.id()));
        return parts.byTag(tag);
    }

    private static Booking head(
            String name,
            String customer,
            Material metal,
            int n,
            String bore,
            String pitch,
            String length,
            String width) {
        ChamberShape shape = name.contains("lid") ? ChamberShape.ROUND : ChamberShape.CUT_OFF;
        return sheet(PartKind.HEAD, name, customer, metal, shape, n, bore, pitch, length, width, 1);
    }

    private static Booking deck(
            String name, String customer, int n, String bore, String pitch, String length, String width, int step) {
        return sheet(
                PartKind.DECK,
                name,
                customer,
                Material.CAST_IRON,
                ChamberShape.ROUND,
                n,
                bore,
                pitch,
                length,
                width,
                step);
    }

    private static Booking sheet(
            PartKind kind,
            String name,
            String customer,
            Material metal,
            ChamberShape shape,
            int n,
            String bore,
            String pitch,
            String length,
            String width,
            int step) {
        LayoutNumbers numbers = new LayoutNumbers(
                n,
                1,
                step,
                mm(bore),
                mm(pitch),
                mm(length),
                mm(width),
                BoltRows.TWO,
                mm("12"),
                4,
                shape,
                false,
                kind == PartKind.DECK ? 2 : 0);
        return new Booking("", kind, name, customer, metal, "", numbers, List.of(), "", "", "", Optional.empty());
    }

    private static SeededFace face(
            PartFile part, double tiltX, double tiltY, double longBow, double crossBow, double lift, Dip... dips) {
        var layout = homalon.core.part.Layout.of(part.numbers());
        List<SeededFace.Dip> hollows = java.util.Arrays.stream(dips)
                .map(d -> {
                    Spot bore = layout.bores().get(d.bore() - 1).centre();
                    Spot at = new Spot(bore.x() + part.numbers().spacing().mm() / 2, bore.y());
                    return new SeededFace.Dip(at, d.depth(), d.radius());
                })
                .toList();
        return new SeededFace(layout.box(), tiltX, tiltY, longBow, crossBow, lift, hollows);
    }

    private record Dip(int bore, double depth, double radius) {}

    private static Dip dip(int bore, double depth, double radius) {
        return new Dip(bore, depth, radius);
    }

    /** Keys the first so many places of a survey, as a machinist reads them off the dial. */
    private void read(
            PartFile part, SurveyKind kind, PlaceProposal.Density density, SeededFace shape, int most, int daysAgo) {
        Duration ago = Duration.ofDays(daysAgo);
        clock.ago(ago, () -> surveys.start(part, kind, density, mm("0.002"), ines.id()));
        SurveyFile survey = surveys.find(part, kind).orElseThrow();
        List<Spot> spots =
                survey.places().stream().map(SurveyFile.PlaceFile::spot).toList();
        var points = shape.read(spots, 0.0012, part.tag().hashCode() + kind.ordinal());
        double zero = points.z(0);
        for (int i = 0; i < Math.min(most, spots.size()); i++) {
            String typed = BigDecimal.valueOf(points.z(i) - zero)
                    .setScale(3, RoundingMode.HALF_UP)
                    .toPlainString();
            key(part, kind, survey.places().get(i).id(), typed, ago.minus(PER_PLACE.multipliedBy(i + 1)));
        }
    }

    private void thickness(PartFile part, String at, double tiltX, double tiltY, int daysAgo) {
        SurveyKind kind = SurveyKind.THICKNESS;
        Duration ago = Duration.ofDays(daysAgo).minus(Duration.ofHours(1));
        clock.ago(ago, () -> surveys.start(part, kind, PlaceProposal.Density.CORNERS, mm("0.005"), ines.id()));
        SurveyFile survey = surveys.find(part, kind).orElseThrow();
        var box = homalon.core.part.Layout.of(part.numbers()).box();
        for (SurveyFile.PlaceFile p : survey.places()) {
            double more = tiltX * box.u(p.spot().x()) + tiltY * box.v(p.spot().y());
            String typed = new BigDecimal(at)
                    .add(BigDecimal.valueOf(more).setScale(3, RoundingMode.HALF_UP))
                    .toPlainString();
            key(part, kind, p.id(), typed, ago.minus(PER_PLACE.multipliedBy(p.seq())));
        }
    }

    private void key(PartFile part, SurveyKind kind, UUID place, String typed, Duration ago) {
        Surveys.Keyed keyed = new Surveys.Keyed(id(part, kind, place), place, typed, BenchUnit.MM, 0, true);
        clock.ago(ago, () -> surveys.key(part, kind, keyed, Map.of(), ines.id()));
    }

    private static UUID id(Object... of) {
        return UUID.nameUUIDFromBytes(java.util.Arrays.deepToString(of).getBytes(StandardCharsets.UTF_8));
    }

    private void opening(PartFile part, Entry.Kind kind, String depth, String note, int daysAgo) {
        Length removed = depth.isEmpty() ? Length.ZERO : mm(depth);
        clock.ago(
                Duration.ofDays(daysAgo),
                () -> ledgers.opening(part, UUID.randomUUID(), kind, removed, note, ines.id()));
    }

    private void plan(PartFile part, School school, int daysAgo) {
        Planner.Compared compared =
                planner.compare(part, planner.usual(part, BenchUnit.MM)).orElseThrow();
        CutPlan plan = CutPlan.of(
                compared.setUps(),
                compared.setUps().with(school).orElseThrow(),
                PassPlan.Depths.usual(BenchUnit.MM),
                RuleBook.dialStep(BenchUnit.MM));
        clock.ago(
                Duration.ofDays(daysAgo),
                () -> plans.choose(part, UUID.randomUUID(), compared.survey(), plan, ines.id()));
    }

    private void cut(PartFile part, int most, String cutter, String edge, int daysAgo) {
        List<PassPlan.Pass> planned =
                plans.of(part).orElseThrow().plan().passes().passes();
        clock.ago(
                Duration.ofDays(daysAgo),
                () -> planned.stream()
                        .limit(most)
                        .forEach(p -> cutting.pass(
                                part,
                                UUID.randomUUID(),
                                p.depth(),
                                new Ledgers.Notes(
                                        "surfacer", cutter, edge, "", p.depth().toString()),
                                brannoc.id())));
    }

    /** Paints what a cutter touched that came down less than its dial said. */
    private void paint(PartFile part, String less, int daysAgo) {
        CutPlan plan = plans.of(part).orElseThrow().plan();
        Comparison setUps = planner.compare(part, plan.footing()).orElseThrow().setUps();
        Removal removal = setUps.with(plan.school()).orElseThrow();
        Length cut =
                ledgers.of(part).ledger().totals(part.visit().id()).thisJob().minus(mm(less));
        BitSet touched = TouchCells.of(setUps.map().land()).touchedAt(removal.heights(), removal.downTo(cut));
        clock.ago(
                Duration.ofDays(daysAgo).minusMinutes(10),
                () -> paintings.paint(
                        part, ledgers.of(part), UUID.randomUUID(), Paintings.written(touched), brannoc.id()));
    }

    /** A slip of the dial, written and taken back, as it happens in any shop. */
    private void wrongLine(PartFile part, int daysAgo) {
        UUID wrong = UUID.randomUUID();
        clock.ago(Duration.ofDays(daysAgo), () -> {
            cutting.pass(
                    part, wrong, mm("0.2"), new Ledgers.Notes("surfacer", "CBN disc 1", "4", "", ".2"), brannoc.id());
            ledgers.reverse(
                    part, UUID.randomUUID(), wrong, "keyed .2 for .02, which was the finish pass above", brannoc.id());
        });
    }

    private void wait(PartFile part, StuckOn on, String why, int daysAgo) {
        clock.ago(Duration.ofDays(daysAgo), () -> parts.stick(part.id(), Optional.of(on), why));
    }

    private static Length mm(String mm) {
        return Length.ofMm(mm);
    }
}
