package homalon.app.machining.valves;

import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.casting.sheets.Sheets;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.valves.Measure;
import homalon.core.visit.PartFile;
import homalon.core.visit.Sheet;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What was keyed from the book for one casting is proposed for the next of its kind. */
@ExtendWith(RunningShop.class)
class BookOfAlikeTest {
    private final RunningShop.Shop shop;
    private final HandsOfTests hands;
    private final WorkOnValves work;
    private final Visitor ines;

    BookOfAlikeTest(RunningShop.Shop shop) {
        this.shop = shop;
        this.hands = new HandsOfTests(shop);
        this.work = shop.bean(WorkOnValves.class);
        this.ines = Visitor.signedIn(shop.port(), "ines");
    }

    private void setUp(PartFile part, String stem) {
        Map<String, String> form = new HashMap<>(
                Map.of("intake", "1", "exhaust", "1", "rows", "ONE", "source", "MAKER", "knurls", "true"));
        form.put("I.STEM", stem);
        work.setUp(part, UUID.randomUUID(), form, BenchUnit.MM, hands.ines());
    }

    /** The next of a batch is not keyed from the book again; what was found on the first is no part of it. */
    @Test
    void theBookOfACastingLikeItIsProposed() {
        PartFile first = alike("KW 77-1", "Alike Yard");
        setUp(first, "6.97");
        work.key(first, UUID.randomUUID(), "1I", Measure.RUNOUT, "0.05", BenchUnit.MM, true, hands.ines());
        PartFile next = alike("kw 77-1", "Other Yard");
        String page = ines.get("/parts/" + next.tag() + "/valves").body();
        assertTrue(page.contains("Filled as <a href=\"/parts/" + first.tag() + "/valves\""), page);
        assertTrue(page.contains("value=\"6.97"), page);
        assertTrue(shop.bean(Sheets.class).of(next, Sheet.VALVES).setup().isEmpty(), "proposed, and not kept");
        PartFile other = alike("KW 78-2", "Alike Yard");
        assertFalse(ines.get("/parts/" + other.tag() + "/valves").body().contains("Filled as"));
        setUp(next, "");
        assertFalse(ines.get("/parts/" + next.tag() + "/valves").body().contains("Filled as"), "its own stands");
    }

    private PartFile alike(String castingNumber, String customer) {
        LayoutNumbers numbers = LayoutNumbers.proposed(PartKind.HEAD, 4, Length.ofMm("84"), Length.ofMm("96"));
        return hands.book("Alike " + castingNumber, customer, castingNumber, "", numbers, Optional.empty());
    }
}
