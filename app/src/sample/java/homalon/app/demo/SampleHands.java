package homalon.app.demo;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.PartVisits;
import homalon.app.casting.part.Parts;
import homalon.app.casting.work.WorkEntry;
import homalon.app.casting.work.WorkLog;
import homalon.app.foundation.people.PersonInfo;
import homalon.app.foundation.time.ShopClock;
import homalon.app.foundation.words.Words;
import homalon.app.machining.batch.BatchForming;
import homalon.app.machining.batch.BatchPasses;
import homalon.app.machining.cut.Cutting;
import homalon.app.machining.cut.Paintings;
import homalon.app.machining.cut.Planner;
import homalon.app.machining.cut.Plans;
import homalon.app.machining.cut.SeenTouched;
import homalon.core.cut.Comparison;
import homalon.core.cut.CutPlan;
import homalon.core.cut.PassPlan;
import homalon.core.cut.Removal;
import homalon.core.cut.SetUpMethod;
import homalon.core.cut.TouchCells;
import homalon.core.cut.Touched;
import homalon.core.face.PlaceProposal;
import homalon.core.geometry.Spot;
import homalon.core.integrity.CleaningMethod;
import homalon.core.integrity.CrackMethod;
import homalon.core.integrity.SmallCheck;
import homalon.core.ledger.Entry;
import homalon.core.part.BoltRows;
import homalon.core.part.ChamberShape;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.route.Operation;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.GasketKind;
import homalon.core.rulebook.RuleBook;
import homalon.core.sim.SeededFace;
import homalon.core.visit.Booking;
import homalon.core.visit.ComparedFace;
import homalon.core.visit.PartFile;
import homalon.core.visit.StuckOn;
import homalon.core.visit.SurveyKind;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;

/** Hands that do the work of the sample shop through the same services as a person, some days ago. */
@OfTheDemo
@RequiredArgsConstructor
class SampleHands {
    private final Parts parts;
    private final PartVisits visits;
    private final SampleGauge gauge;
    private final Planner planner;
    private final Plans plans;
    private final Ledgers ledgers;
    private final Cutting cutting;
    private final SeenTouched seen;
    private final Paintings paintings;
    private final WorkLog work;
    private final ShopClock clock;
    private PersonInfo ines;
    private PersonInfo brannoc;

    /** Who measures and who cuts. */
    void are(PersonInfo measuring, PersonInfo atTheMachine) {
        this.ines = measuring;
        this.brannoc = atTheMachine;
    }

    /** Puts castings on one table and takes the first two passes. */
    void together(BatchForming forming, BatchPasses passes, List<PartFile> on, BenchUnit unit, int daysAgo) {
        UUID batch = UUID.randomUUID();
        clock.ago(Duration.ofDays(daysAgo), () -> {
            forming.form(batch, on.stream().map(PartFile::tag).toList(), unit, brannoc.id());
            plans.of(on.get(0)).orElseThrow().plan().passes().passes().stream()
                    .limit(2)
                    .forEach(p -> passes.pass(
                            batch,
                            UUID.randomUUID(),
                            p.depth(),
                            new Ledgers.Notes(
                                    "long-bed mill",
                                    "CBN disc 1",
                                    "6",
                                    "",
                                    p.depth().toString()),
                            Cutting.Seen.ALL,
                            brannoc.id()));
        });
    }

    /** Cleans a casting and looks it over for cracks, unless that was done. */
    void prepare(PartFile part, int daysAgo) {
        if (!work.of(part).isEmpty()) {
            return;
        }
        boolean iron = part.material() == Material.CAST_IRON;
        Duration ago = Duration.ofDays(daysAgo).plusHours(3);
        did(part, Operation.CLEAN, Words.of((iron ? CleaningMethod.HOT_TANK : CleaningMethod.SOLVENT).words()), ago);
        for (SmallCheck check : List.of(SmallCheck.DOWELS_OUT, SmallCheck.HOLES_CHASED)) {
            clock.ago(
                    ago.minusMinutes(20),
                    () -> work.write(part, UUID.randomUUID(), WorkEntry.Kind.TICKED, check, "", brannoc.id()));
        }
        did(
                part,
                Operation.CRACK_CHECK,
                Words.of((iron ? CrackMethod.MAGNETIC_PARTICLE : CrackMethod.DYE).words()),
                ago.minusMinutes(60));
    }

    void did(PartFile part, Operation operation, String note, Duration ago) {
        clock.ago(ago, () -> work.write(part, UUID.randomUUID(), WorkEntry.Kind.DID, operation, note, brannoc.id()));
    }

    /** Hands a part over with what is still open answered for. */
    void release(PartFile part, List<String> open, String note, int daysAgo) {
        did(part, Operation.OIL_AND_BAG, "", Duration.ofDays(daysAgo).plusMinutes(30));
        clock.ago(Duration.ofDays(daysAgo), () -> visits.handOver(part.id(), open, note, ines.id()));
    }

    /** The same casting is booked in again. */
    PartFile comeBack(PartFile part, String history, String wishes, int daysAgo) {
        clock.ago(Duration.ofDays(daysAgo), () -> visits.comeBack(part.tag(), history, wishes, ines.id()));
        return parts.byTag(part.tag());
    }

    PartFile book(
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
                sheet.stamps(),
                sheet.numbers(),
                limits,
                history,
                Optional.empty(),
                wishes,
                "",
                wishes.contains("multi-layer steel") ? Optional.of(GasketKind.LAYERED_STEEL) : Optional.empty(),
                Optional.ofNullable(dueIn)
                        .map(d -> LocalDate.now(ZoneId.systemDefault()).plusDays(d)));
        clock.ago(Duration.ofDays(daysAgo), () -> parts.book(full, ines.id()));
        return parts.byTag(tag);
    }

    static Booking head(
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

    static Booking deck(
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

    static Booking sheet(
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

    static SeededFace face(
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

    record Dip(int bore, double depth, double radius) {}

    static Dip dip(int bore, double depth, double radius) {
        return new Dip(bore, depth, radius);
    }

    /** Keys the first so many places of a survey, as a machinist reads them off the dial. */
    void read(PartFile part, SurveyKind kind, PlaceProposal.Density density, SeededFace shape, int most, int daysAgo) {
        prepare(part, daysAgo);
        gauge.read(part, kind, density, shape, most, Duration.ofDays(daysAgo), ines.id());
    }

    void thickness(PartFile part, String at, double tiltX, double tiltY, int daysAgo) {
        gauge.thickness(part, at, tiltX, tiltY, Duration.ofDays(daysAgo).minus(Duration.ofHours(1)), ines.id());
    }

    static UUID id(Object... of) {
        return UUID.nameUUIDFromBytes(java.util.Arrays.deepToString(of).getBytes(StandardCharsets.UTF_8));
    }

    void opening(PartFile part, Entry.Kind kind, String depth, String note, int daysAgo) {
        Length removed = depth.isEmpty() ? Length.ZERO : mm(depth);
        clock.ago(
                Duration.ofDays(daysAgo),
                () -> ledgers.opening(part, UUID.randomUUID(), kind, removed, note, ines.id()));
    }

    void plan(PartFile part, SetUpMethod school, int daysAgo) {
        ComparedFace compared =
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

    void cut(PartFile part, int most, String cutter, String edge, int daysAgo) {
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
    void paint(PartFile part, String less, int daysAgo) {
        CutPlan plan = plans.of(part).orElseThrow().plan();
        Comparison setUps = planner.compare(part, plan.footing()).orElseThrow().setUps();
        Removal removal = setUps.with(plan.school()).orElseThrow();
        Length cut =
                ledgers.of(part).ledger().totals(part.visit().id()).thisJob().minus(mm(less));
        BitSet touched = TouchCells.of(setUps.map().land()).touchedAt(removal.heights(), removal.downTo(cut));
        clock.ago(
                Duration.ofDays(daysAgo).minusMinutes(10),
                () -> paintings.paint(
                        part, ledgers.of(part), UUID.randomUUID(), Touched.painted(touched), brannoc.id()));
    }

    /** A pass without a plan, and what it was seen to touch. */
    void witnessed(PartFile part, String depth, String touched, Duration ago) {
        clock.ago(
                ago,
                () -> cutting.pass(
                        part,
                        UUID.randomUUID(),
                        mm(depth),
                        new Ledgers.Notes("surfacer", "fly cutter", "3", "", depth),
                        brannoc.id()));
        clock.ago(
                ago.minusMinutes(3),
                () -> paintings.paint(
                        part, ledgers.of(part), UUID.randomUUID(), seen.said(part, touched), brannoc.id()));
    }

    /** A slip of the dial, written and taken back, as it happens in any shop. */
    void wrongLine(PartFile part, int daysAgo) {
        UUID wrong = UUID.randomUUID();
        clock.ago(Duration.ofDays(daysAgo), () -> {
            cutting.pass(
                    part, wrong, mm("0.2"), new Ledgers.Notes("surfacer", "CBN disc 1", "4", "", ".2"), brannoc.id());
            ledgers.reverse(
                    part, UUID.randomUUID(), wrong, "keyed .2 for .02, which was the finish pass above", brannoc.id());
        });
    }

    void wait(PartFile part, StuckOn on, String why, int daysAgo) {
        clock.ago(Duration.ofDays(daysAgo), () -> visits.stick(part.id(), Optional.of(on), why, ines.id()));
    }

    static Length mm(String mm) {
        return Length.ofMm(mm);
    }
}
