package homalon.app.testing;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.FreeTags;
import homalon.app.casting.part.Parts;
import homalon.app.casting.work.WorkEntry;
import homalon.app.casting.work.WorkLog;
import homalon.app.check.face.Surveys;
import homalon.app.foundation.people.People;
import homalon.app.foundation.web.Keyed;
import homalon.app.machining.cut.Planner;
import homalon.app.machining.cut.Plans;
import homalon.app.machining.valves.WorkOnValves;
import homalon.core.cut.CutPlan;
import homalon.core.cut.PassPlan;
import homalon.core.cut.SetUpMethod;
import homalon.core.face.PlaceProposal;
import homalon.core.geometry.Spot;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.route.Operation;
import homalon.core.rulebook.RuleBook;
import homalon.core.valves.Measure;
import homalon.core.visit.Booking;
import homalon.core.visit.ComparedFace;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.ToDoubleFunction;

/** Books, reads and plans castings for tests, through the services that a person uses. */
public final class HandsOfTests {
    private final RunningShop.Shop shop;
    private final UUID ines;

    public HandsOfTests(RunningShop.Shop shop) {
        this(shop, inesOf(shop));
    }

    /** The hands of somebody else, in a shop where there is no Ines. */
    public HandsOfTests(RunningShop.Shop shop, UUID who) {
        this.shop = shop;
        this.ines = who;
    }

    private static UUID inesOf(RunningShop.Shop shop) {
        return shop.bean(People.class).all().stream()
                .filter(p -> p.name().equals("Ines"))
                .findFirst()
                .orElseThrow()
                .id();
    }

    public UUID ines() {
        return ines;
    }

    /** A head that is clean and looked over, so that it may be cut. */
    public PartFile bookReady() {
        PartFile part = book(Material.CAST_IRON);
        prepare(part);
        return part;
    }

    public PartFile book(Material metal) {
        return book(metal, PartKind.HEAD);
    }

    /** Cleans a casting and looks it over: what comes before its face is read. */
    public void prepare(PartFile part) {
        WorkLog work = shop.bean(WorkLog.class);
        work.write(part, UUID.randomUUID(), WorkEntry.Kind.DID, Operation.CLEAN, "solvent", ines);
        work.write(part, UUID.randomUUID(), WorkEntry.Kind.DID, Operation.CRACK_CHECK, "eyes", ines);
    }

    public PartFile book(Material metal, PartKind kind) {
        Parts parts = shop.bean(Parts.class);
        LayoutNumbers numbers = LayoutNumbers.proposed(kind, 4, Length.ofMm("84"), Length.ofMm("96"));
        return parts.book(
                new Booking(
                        shop.bean(FreeTags.class).next(),
                        kind,
                        "Kelp cutter, four in line",
                        "Kelp Row",
                        metal,
                        "",
                        numbers,
                        List.of(),
                        "",
                        "",
                        "",
                        Optional.empty()),
                ines);
    }

    /** A casting of somebody. */
    public PartFile bookFor(String customer) {
        LayoutNumbers numbers = LayoutNumbers.proposed(PartKind.HEAD, 4, Length.ofMm("84"), Length.ofMm("96"));
        return book("Kelp cutter, four in line", customer, "", "", numbers, Optional.empty());
    }

    /** With what tells it from another. */
    public PartFile book(
            String name,
            String customer,
            String castingNumber,
            String stamps,
            LayoutNumbers numbers,
            Optional<LocalDate> due) {
        Parts parts = shop.bean(Parts.class);
        return parts.book(
                new Booking(
                        shop.bean(FreeTags.class).next(),
                        PartKind.HEAD,
                        name,
                        customer,
                        Material.CAST_IRON,
                        castingNumber,
                        stamps,
                        numbers,
                        List.of(),
                        "",
                        Optional.empty(),
                        "",
                        "",
                        Optional.empty(),
                        due),
                ines);
    }

    /** Keys every place of a survey, of a casting that was cleaned and looked over. */
    public void read(PartFile part, SurveyKind kind, ToDoubleFunction<Spot> shape) {
        if (shop.bean(WorkLog.class).of(part).isEmpty()) {
            prepare(part);
        }
        Surveys surveys = shop.bean(Surveys.class);
        SurveyFile survey = shop.bean(homalon.app.check.face.SurveyStarts.class)
                .start(part, kind, PlaceProposal.Density.CLOSE, RuleBook.DEFAULT_UNCERTAINTY, ines);
        for (SurveyFile.PlaceFile p : survey.places()) {
            String typed = BigDecimal.valueOf(shape.applyAsDouble(p.spot()))
                    .setScale(3, RoundingMode.HALF_UP)
                    .toPlainString();
            surveys.key(
                    part, kind, Keyed.sure(UUID.randomUUID(), p.id(), typed, BenchUnit.MM), anyone -> "Someone", ines);
        }
    }

    public CutPlan plan(PartFile part, SetUpMethod school) {
        Planner planner = shop.bean(Planner.class);
        ComparedFace compared =
                planner.compare(part, planner.usual(part, BenchUnit.MM)).orElseThrow();
        CutPlan plan = CutPlan.of(
                compared.setUps(),
                compared.setUps().with(school).orElseThrow(),
                PassPlan.Depths.usual(BenchUnit.MM),
                RuleBook.dialStep(BenchUnit.MM));
        shop.bean(Plans.class).choose(part, UUID.randomUUID(), compared.survey(), plan, ines);
        return plan;
    }

    /** A pass all over, booked in the ledger. */
    public void pass(PartFile part, String mm) {
        shop.bean(Ledgers.class)
                .pass(
                        part,
                        UUID.randomUUID(),
                        Length.ofMm(mm),
                        Optional.empty(),
                        Ledgers.Notes.NONE,
                        Optional.empty(),
                        ines);
    }

    /** One figure of a valve. */
    public void valve(PartFile part, String valve, String measure, String typed) {
        shop.bean(WorkOnValves.class)
                .key(part, UUID.randomUUID(), valve, Measure.valueOf(measure), typed, BenchUnit.MM, true, ines);
    }
}
