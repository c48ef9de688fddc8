package homalon.app.outcome.plan;

import static org.junit.jupiter.api.Assertions.assertEquals;

import homalon.app.foundation.web.Shop;
import homalon.app.shop.stock.Need;
import homalon.app.shop.stock.Orders;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.core.route.Operation;
import homalon.core.visit.PartFile;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;

/** What was counted of a casting makes its work longer or shorter. */
@ExtendWith(RunningShop.class)
class CountsTest {
    private final RunningShop.Shop shop;
    private final HandsOfTests hands;
    private final PartFile head;

    CountsTest(RunningShop.Shop shop) {
        this.shop = shop;
        this.hands = new HandsOfTests(shop);
        this.head = hands.bookReady();
    }

    private Counts.Of counted() {
        UUID visit = head.visit().id();
        return shop.bean(Counts.class).of(List.of(visit)).getOrDefault(visit, Counts.Of.NOTHING);
    }

    private UUID pass(UUID reverses) {
        UUID id = UUID.randomUUID();
        shop.bean(JdbcClient.class)
                .sql("""
                        insert into ledger_line (id, part_id, job_id, kind, depth_nm, reverses, by_person, at)
                        values (?, ?, ?, ?, 50000, ?, ?, now())""")
                .params(
                        id,
                        head.id(),
                        head.visit().id(),
                        reverses == null ? "PASS" : "REVERSAL",
                        reverses,
                        hands.ines())
                .update();
        return id;
    }

    /** Two plans: the later one holds. */
    private void plan(int passes) {
        UUID plan = UUID.randomUUID();
        JdbcClient jdbc = shop.bean(JdbcClient.class);
        UUID survey =
                jdbc.sql("select id from survey limit 1").query(UUID.class).single();
        jdbc.sql("""
                        insert into cut_plan (id, job_id, survey_id, survey_revision, school, depth_nm, shim_step_nm, shims, skim_nm,
                          deepest_nm, finish_nm, supports, made_by, made_at)
                        values (?, ?, ?, 1, 'AVERAGE', 200000, 10000, '', 50000, 150000, 30000, '0,0', ?, now())""").params(plan, head.visit().id(), survey, hands.ines()).update();
        for (int i = 1; i <= passes; i++) {
            jdbc.sql("insert into plan_pass (plan_id, seq, kind, depth_nm) values (?, ?, 'PASS', 50000)")
                    .params(plan, i)
                    .update();
        }
    }

    @Test
    void passesOfThePlanThatHoldsAreCountedUntilTheyAreCut() {
        assertEquals(Counts.Of.NOTHING, counted());
        plan(7);
        plan(4);
        assertEquals(4, counted().passes());
        UUID first = pass(null);
        pass(null);
        assertEquals(2, counted().passes());
        pass(first);
        assertEquals(3, counted().passes(), "what was taken back is to be cut");
        for (int i = 0; i < 6; i++) {
            pass(null);
        }
        assertEquals(1, counted().passes(), "one at the least, while it is not done");
    }

    @Test
    void guidesThatAreOrderedAreThoseThatAreMended() {
        Orders orders = shop.bean(Orders.class);
        UUID some = UUID.randomUUID();
        orders.order(
                head, some, new Need("", "guides", 3, Operation.GUIDE_WORK, List.of()), Optional.empty(), hands.ines());
        orders.order(
                head,
                UUID.randomUUID(),
                new Need("", "rings", 5, Operation.SEAT_WORK, List.of()),
                Optional.empty(),
                hands.ines());
        assertEquals(new Counts.Of(Map.of(Operation.GUIDE_WORK, 3), 0), counted());
        orders.cancel(head, UUID.randomUUID(), some, "the wrong size", hands.ines());
        assertEquals(Counts.Of.NOTHING, counted());
    }

    private static PartFile of(PartFile part, String customer) {
        return new PartFile(
                part.id(),
                part.tag(),
                part.kind(),
                part.name(),
                customer,
                part.material(),
                part.castingNumber(),
                part.stamps(),
                part.numbers(),
                part.entered(),
                part.visit(),
                part.visits(),
                part.version(),
                part.rules());
    }

    @Test
    void whatIsBookedUnderTheShopsNameOrNobodysIsItsOwn() {
        ShopInputs inputs = shop.bean(ShopInputs.class);
        Instant came = head.visit().openedAt();
        assertEquals(3, inputs.weight(head, came));
        assertEquals(4, inputs.weight(head, came.plus(Duration.ofDays(15))));
        String own = shop.bean(Shop.class).name();
        for (String customer : List.of(own, own.toUpperCase(Locale.ROOT), " ")) {
            assertEquals(1, inputs.weight(of(head, customer), came), customer);
        }
    }
}
