package homalon.app.casting.part;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.testing.HandsOfTests;
import homalon.app.testing.OwnDatabase;
import homalon.app.testing.RunningShop;
import homalon.core.part.Material;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Happened;
import homalon.core.route.StepKind;
import homalon.core.rulebook.FaceDefaults;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.Source;
import homalon.core.visit.Booking;
import homalon.core.visit.CameWith;
import homalon.core.visit.IntakeForm;
import homalon.core.visit.PartFile;
import homalon.core.visit.StuckOn;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** A part is remembered between two answers; what is remembered is never older than what is stored. */
@ExtendWith(RunningShop.class)
class PartsTest {
    private final Parts parts;
    private final PartFile booked;
    private final UUID ines;
    private final TransactionTemplate transaction;

    private final RunningShop.Shop shop;
    private final StepSource steps;

    PartsTest(RunningShop.Shop shop) {
        this.shop = shop;
        this.steps = shop.bean(StepSource.class);
        HandsOfTests hands = new HandsOfTests(shop);
        this.parts = shop.bean(Parts.class);
        this.booked = hands.book(Material.CAST_IRON);
        this.ines = hands.ines();
        this.transaction = new TransactionTemplate(shop.bean(PlatformTransactionManager.class));
    }

    private Booking as(String name, List<FlatnessLimit> limits, String history) {
        return new Booking(
                booked.tag(),
                booked.kind(),
                name,
                booked.customer(),
                booked.material(),
                "",
                booked.numbers(),
                limits,
                history,
                "",
                "",
                Optional.empty());
    }

    private void amend(Booking booking) {
        parts.amend(booking, parts.byTag(booked.tag()).version(), false, ines);
    }

    private void noticed(Runnable change) {
        PartFile before = parts.byTag(booked.tag());
        assertEquals(before, parts.byTag(booked.tag()));
        change.run();
        assertNotEquals(before, parts.byTag(booked.tag()));
        assertEquals(parts.byId(booked.id()).orElseThrow(), parts.byTag(booked.tag()));
    }

    private static FlatnessLimit limit(String mm) {
        return new FlatnessLimit(FlatnessLimit.Scope.OVERALL, Length.ofMm(mm), Optional.empty(), Source.MAKER);
    }

    private boolean lineOwed() {
        return steps
                .steps(List.of(parts.byTag(booked.tag())), new LengthWriter(BenchUnit.MM))
                .get(booked.visit().id())
                .strip()
                .stream()
                .anyMatch(s -> s.kind() == StepKind.LINE);
    }

    /**
     * Of a casting booked before intake asked, checks follow from its words. Whoever keeps its sheet for another reason sees them
     * as ticks, and takes no check away; whoever takes a tick away does it in the record.
     */
    @Test
    void keepingTheSheetTakesNoCheckAway() {
        amend(as("Kelp cutter, overhead cam", List.of(), "overheated on the way home"));
        assertTrue(parts.byTag(booked.tag()).visit().came().isEmpty());
        assertTrue(lineOwed());
        Booking kept = IntakeForm.of(parts.byTag(booked.tag()), BenchUnit.MM)
                .read(BenchUnit.MM, FaceDefaults.of(BenchUnit.MM));
        amend(kept);
        CameWith came = parts.byTag(booked.tag()).visit().came().orElseThrow();
        assertEquals(Set.of(Happened.OVERHEATED), came.happened());
        assertEquals(List.of("Cam"), came.shafts());
        assertTrue(lineOwed());
        // Words alone decide nothing any more.
        amend(asked(kept, new CameWith(Set.of(Happened.STOOD_WITH_WATER), List.of("Cam"))));
        assertFalse(lineOwed());
        assertEquals(
                List.of("overheated; shafts: Cam", "stood with water in it; shafts: Cam"),
                OwnDatabase.asked(
                        shop,
                        "select detail from change_line where job_id = '"
                                + booked.visit().id() + "' and what = 'CAME_WITH' order by seq"));
        // Kept once more as it is, nothing is written.
        amend(IntakeForm.of(parts.byTag(booked.tag()), BenchUnit.MM).read(BenchUnit.MM, FaceDefaults.of(BenchUnit.MM)));
        assertEquals(
                List.of("2"),
                OwnDatabase.asked(
                        shop,
                        "select count(*)::text from change_line where job_id = '"
                                + booked.visit().id() + "' and what = 'CAME_WITH'"));
    }

    private static Booking asked(Booking b, CameWith came) {
        return new Booking(
                b.tag(),
                b.kind(),
                b.name(),
                b.customer(),
                b.material(),
                b.castingNumber(),
                b.stamps(),
                b.numbers(),
                b.limits(),
                b.history(),
                Optional.of(came),
                b.wishes(),
                b.gasket(),
                b.gasketKind(),
                b.due());
    }

    @Test
    void everyChangeOfAPartIsNoticed() {
        noticed(() -> amend(asked(as("Kelp cutter", List.of(), ""), new CameWith(Set.of(Happened.SEIZED), List.of()))));
        noticed(() -> amend(as("Kelp cutter, renamed", List.of(), "")));
        noticed(() -> amend(as("Kelp cutter, renamed", List.of(), "ran hot")));
        noticed(() -> amend(as("Kelp cutter, renamed", List.of(limit("0.04")), "ran hot")));
        noticed(() -> amend(as("Kelp cutter, renamed", List.of(limit("0.06")), "ran hot")));
        noticed(() -> amend(as("Kelp cutter, renamed", List.of(), "ran hot")));
        noticed(() -> shop.bean(PartVisits.class)
                .stick(booked.id(), Optional.of(StuckOn.values()[0]), "price for liners", ines));
        noticed(() -> shop.bean(PartVisits.class).stick(booked.id(), Optional.empty(), "", ines));
        noticed(() -> shop.bean(PartVisits.class).handOver(booked.id(), List.of(), "", ines));
        noticed(() -> shop.bean(PartVisits.class).comeBack(booked.tag(), "again", "", ines));
    }

    @Test
    void whatIsTakenBackIsNotRemembered() {
        PartFile before = parts.byTag(booked.tag());
        PartFile within = transaction.execute(turn -> {
            amend(as("Never was", List.of(), ""));
            turn.setRollbackOnly();
            return parts.byTag(booked.tag());
        });
        assertEquals("Never was", within.name());
        assertEquals(before, parts.byTag(booked.tag()));
        // The next change has the same number as the one taken back.
        amend(as("Kelp cutter, renamed", List.of(), ""));
        assertEquals("Kelp cutter, renamed", parts.byTag(booked.tag()).name());
    }
}
