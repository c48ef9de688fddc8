package homalon.app.part;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;

import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.core.part.Material;
import homalon.core.quantity.Length;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.Source;
import java.util.List;
import java.util.Optional;
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

    PartsTest(RunningShop.Shop shop) {
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

    @Test
    void everyChangeOfAPartIsNoticed() {
        noticed(() -> amend(as("Kelp cutter, renamed", List.of(), "")));
        noticed(() -> amend(as("Kelp cutter, renamed", List.of(), "ran hot")));
        noticed(() -> amend(as("Kelp cutter, renamed", List.of(limit("0.04")), "ran hot")));
        noticed(() -> amend(as("Kelp cutter, renamed", List.of(limit("0.06")), "ran hot")));
        noticed(() -> amend(as("Kelp cutter, renamed", List.of(), "ran hot")));
        noticed(() -> parts.stick(booked.id(), Optional.of(StuckOn.values()[0]), "price for liners", ines));
        noticed(() -> parts.stick(booked.id(), Optional.empty(), "", ines));
        noticed(() -> parts.handOver(booked.id(), List.of(), "", ines));
        noticed(() -> parts.comeBack(booked.tag(), "again", "", ines));
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
