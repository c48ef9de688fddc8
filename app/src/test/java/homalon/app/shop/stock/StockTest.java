package homalon.app.shop.stock;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import homalon.app.casting.part.PartVisits;
import homalon.app.casting.part.Parts;
import homalon.app.foundation.words.Words;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.catalogue.Item;
import homalon.core.input.BadInputException;
import homalon.core.part.Material;
import homalon.core.route.Operation;
import homalon.core.sim.SimulatedSupplier;
import homalon.core.visit.PartFile;
import homalon.core.visit.StuckOn;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The shop's list, its supplier, and what is ordered of it. */
@ExtendWith(RunningShop.class)
class StockTest {
    private static final String HEAD = "code,kind,what,outer,inner,height,metal,sizing,press,shelf\n";

    private final RunningShop.Shop shop;
    private final HandsOfTests hands;

    StockTest(RunningShop.Shop shop) {
        this.shop = shop;
        this.hands = new HandsOfTests(shop);
    }

    private static List<Catalogue.Row> read(String text) {
        return CatalogueCsv.read(text.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void aListGoesOutAndComesInAgainUnchanged() {
        List<Catalogue.Row> rows = read(HEAD
                + "a-1,insert,ring,1-7/16,1.1in,6.4,hard iron,true,,3\n"
                + "A-2,insert,ring,1-3/8,28,7.1,nickel-cobalt,nominal,0.12,\n"
                + "G-1,guide,guide,13.045,6.9,42,,,,4\n");
        assertEquals(1.4375 * 25.4, rows.get(0).item().outer(), 1e-9);
        assertEquals("A-1", rows.get(0).item().code());
        // A nominal ring is larger than the hole it is named after, by its own press.
        assertEquals(34.925, rows.get(1).item().counterbore().getAsDouble(), 1e-9);
        assertEquals(35.045, rows.get(1).item().outer(), 1e-9);
        assertEquals(rows, read(CatalogueCsv.write(rows)));
        List<Catalogue.Row> demo = shop.bean(Catalogue.class).rows();
        assertEquals(demo, read(CatalogueCsv.write(demo)));
        // As a spreadsheet of another country saves it.
        assertEquals(
                1,
                read("\uFEFFCode;Kind;Outer;Inner;Height\nG-2;guide;13,05;7;42\n".replace(",", "."))
                        .size());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "A,insert,x,30,31,6,hard iron,true,,1 | no wall is left",
                "A,insert,x,30,25,6,,true,,1 | needs its metal",
                "A,insert,x,30,25,6,hard iron,nominal,,1 | needs the ring's own press",
                "A,ring,x,30,25,6,hard iron,true,,1 | must be one of",
                "A,insert,x,wide,25,6,hard iron,true,,1 | Line 2: Outer",
                "A,insert,x,30,25,6,cheese,true,,1 | must be one of",
                "A,guide,x,13,7,42,,,,many | number of pieces",
                "=cmd,guide,x,13,7,42,,,,1 | Code"
            })
    void aBadLineTakesNothingAndSaysWhy(String line, String says) {
        BadInputException e = assertThrows(BadInputException.class, () -> read(HEAD + line + "\n"));
        assertTrue(Words.of(e.sentence()).startsWith("Nothing was taken."), Words.of(e.sentence()));
        assertTrue(Words.of(e.sentence()).contains(says), Words.of(e.sentence()));
    }

    @Test
    void aFileThatIsNoListIsRefused() {
        assertTrue(Words.of(assertThrows(BadInputException.class, () -> read("x,y\n1,2\n"))
                        .sentence())
                .contains("columns"));
        assertTrue(
                Words.of(assertThrows(BadInputException.class, () -> read(HEAD)).sentence())
                        .contains("no line"));
        String twice = HEAD + "A,guide,x,13,7,42,,,,1\nA,guide,x,14,7,42,,,,1\n";
        assertTrue(Words.of(
                        assertThrows(BadInputException.class, () -> read(twice)).sentence())
                .contains("twice"));
        assertThrows(BadInputException.class, () -> read("\u0000\u0001\"never closed"));
    }

    /** What became of a code stands; what stood before is not lost. */
    @Test
    void linesAreSuperseded() {
        Catalogue list = shop.bean(Catalogue.class);
        Item item = read(HEAD + "TEST-9,guide,x,13.5,7,42,,,,5\n").get(0).item();
        list.keep(List.of(new Catalogue.Row(item, 5)), hands.ines());
        list.keep(List.of(new Catalogue.Row(item, 2)), hands.ines());
        assertEquals(2, list.byCode("test-9").orElseThrow().shelf());
        list.drop("TEST-9", hands.ines());
        assertTrue(list.byCode("TEST-9").isEmpty());
    }

    @Test
    void aSupplierThatIsSlowOrDownHoldsNothingUp() {
        Supplier supplier = mock(Supplier.class);
        SimulatedSupplier.Answer answer = new SimulatedSupplier.Answer("A", 1250, 3, 2, 0);
        when(supplier.ask("A")).thenReturn(CompletableFuture.completedFuture(answer));
        when(supplier.ask("SLOW")).thenReturn(new CompletableFuture<>());
        when(supplier.ask("DOWN")).thenReturn(CompletableFuture.failedFuture(new IllegalStateException("line cut")));
        when(supplier.ask("THROWS")).thenThrow(new IllegalStateException("no route"));
        List<Quotes.Quote> quotes = new Quotes(supplier).ask(List.of("A", "SLOW", "DOWN", "THROWS"));
        assertEquals(Optional.of(answer), quotes.get(0).answer());
        assertTrue(quotes.get(1).why().contains("no answer yet"));
        assertTrue(quotes.get(2).why().contains("cannot be reached"));
        assertTrue(quotes.get(3).why().contains("cannot be reached"));
        // The one that ships answers alike each time, and is sometimes out of stock.
        SimulatedSupplier one = new SimulatedSupplier(7);
        assertEquals(one.answer("HI-34.0"), one.answer("hi-34.0".toUpperCase(java.util.Locale.ROOT)));
        long out = java.util.stream.IntStream.range(0, 200)
                .filter(i -> !one.answer("C" + i).inStock())
                .count();
        assertTrue(out > 20 && out < 90, "" + out);
    }

    @Test
    void anOrderIsOpenUntilAllOfItIsHereAndIsKeptOnce() {
        Orders orders = shop.bean(Orders.class);
        PartFile part = hands.book(Material.CAST_IRON);
        UUID id = UUID.randomUUID();
        Need need = new Need("HI-34.0", "ring", 4, Operation.INSERT, List.of());
        orders.order(part, id, need, Optional.empty(), hands.ines());
        orders.order(part, id, need, Optional.empty(), hands.ines());
        assertEquals(1, orders.of(part).size());
        UUID arrival = UUID.randomUUID();
        orders.arrived(part, arrival, id, 3, "", hands.ines());
        assertTrue(orders.of(part).get(0).open());
        assertThrows(BadInputException.class, () -> orders.arrived(part, UUID.randomUUID(), id, 2, "", hands.ines()));
        orders.arrived(part, UUID.randomUUID(), id, 1, "", hands.ines());
        assertTrue(!orders.of(part).get(0).open());
        assertThrows(BadInputException.class, () -> orders.cancel(part, UUID.randomUUID(), id, "late", hands.ines()));
    }

    @Test
    void theShelfGivesWhatItHolds() {
        Orders orders = shop.bean(Orders.class);
        Catalogue list = shop.bean(Catalogue.class);
        PartFile part = hands.book(Material.CAST_IRON);
        int before = list.byCode("SHIM-0.8").orElseThrow().shelf();
        UUID id = UUID.randomUUID();
        for (int twice = 0; twice < 2; twice++) {
            orders.takeFromShelf(part, id, "SHIM-0.8", 3, Operation.SEAT_WORK, hands.ines());
        }
        assertEquals(before - 3, list.byCode("SHIM-0.8").orElseThrow().shelf());
        assertTrue(!orders.of(part).get(0).open());
        assertThrows(
                BadInputException.class,
                () -> orders.takeFromShelf(
                        part, UUID.randomUUID(), "SHIM-0.8", 9999, Operation.SEAT_WORK, hands.ines()));
    }

    /** What no list has is ordered by its words; a casting that waits on it goes on by itself once it is here. */
    @Test
    void whatIsOffTheListIsOrderedAndHoldsTheCastingUntilItIsHere() {
        PartFile part = hands.book(Material.CAST_IRON);
        Visitor ines = Visitor.signedIn(shop.port(), "ines");
        String list = "/parts/" + part.tag() + "/parts-list";
        ines.get(list);
        String[] order = {"id", UUID.randomUUID().toString(), "code", "", "quantity", "2", "operation", "GUIDE_WORK"};
        HttpResponse<String> nothing = ines.key(list + "/order", order);
        assertEquals(422, nothing.statusCode());
        assertTrue(nothing.body().contains("its code, or what it is in a few words"), nothing.body());
        String[] named = Arrays.copyOf(order, order.length + 4);
        named[order.length] = "words";
        named[order.length + 1] = "bronze rod, 16 mm";
        named[order.length + 2] = "waits";
        named[order.length + 3] = "true";
        assertEquals(200, ines.key(list + "/order", named).statusCode());
        Orders orders = shop.bean(Orders.class);
        Orders.Order rod = orders.of(part).get(0);
        assertEquals("", rod.code());
        assertEquals(Optional.of("2 × bronze rod, 16 mm"), stuck(part));
        String page = ines.get(list).body();
        assertTrue(page.contains("Waits on parts") && page.contains("once all of it is here"), page);
        arrived(ines, list, rod, 1);
        assertEquals(Optional.of("2 × bronze rod, 16 mm"), stuck(part), "one of two");
        arrived(ines, list, rod, 1);
        assertEquals(Optional.empty(), stuck(part));
    }

    @Test
    void whoWaitsForSomethingElseIsNotFreedByParts() {
        PartFile part = hands.book(Material.CAST_IRON);
        Visitor ines = Visitor.signedIn(shop.port(), "ines");
        String list = "/parts/" + part.tag() + "/parts-list";
        ines.get(list);
        UUID id = UUID.randomUUID();
        Need need = new Need("HI-34.0", "ring", 1, Operation.INSERT, List.of());
        shop.bean(Orders.class).order(part, id, need, Optional.empty(), hands.ines());
        PartVisits visits = shop.bean(PartVisits.class);
        visits.stick(part.id(), Optional.of(StuckOn.CUSTOMER), "price for liners", hands.ines());
        arrived(ines, list, shop.bean(Orders.class).of(part).get(0), 1);
        assertEquals(Optional.of("price for liners"), stuck(part));
        visits.stick(part.id(), Optional.of(StuckOn.PARTS), "a ring that nobody ordered", hands.ines());
        UUID wrong = UUID.randomUUID();
        shop.bean(Orders.class).order(part, wrong, need, Optional.empty(), hands.ines());
        String[] cancel = {"id", UUID.randomUUID().toString(), "order", wrong.toString(), "note", "a wrong size"};
        assertEquals(200, ines.key(list + "/cancel", cancel).statusCode());
        assertEquals(Optional.of("a ring that nobody ordered"), stuck(part), "what was cancelled is not here");
        assertTrue(ines.get(list).body().contains("Nothing of it is ordered here"));
        ines.key(list + "/go-on");
        assertEquals(Optional.empty(), stuck(part));
    }

    private Optional<String> stuck(PartFile part) {
        return shop.bean(Parts.class).byTag(part.tag()).visit().stuck().map(PartFile.Stuck::why);
    }

    private static void arrived(Visitor by, String list, Orders.Order order, int pieces) {
        by.key(
                list + "/arrived",
                "id",
                UUID.randomUUID().toString(),
                "order",
                order.id().toString(),
                "quantity",
                Integer.toString(pieces));
    }

    /** At a thou bench a bare size is in inches, as everywhere. */
    @Test
    void aLineIsPutOnTheListByHand() {
        Visitor ines = Visitor.signedIn(shop.port(), "ines");
        ines.get("/stock");
        String[] line = {
            "code",
            "hand-1",
            "kind",
            "INSERT",
            "what",
            "by hand",
            "outer",
            "1-1/2in",
            "inner",
            "31.5",
            "height",
            "7",
            "metal",
            "HARD_IRON",
            "sizing",
            "nominal",
            "press",
            "0.1",
            "shelf",
            "2"
        };
        HttpResponse<String> taken = ines.key("/stock/line", line);
        assertTrue(taken.body().contains("1 line taken in."), taken.body());
        Catalogue.Row row = shop.bean(Catalogue.class).byCode("HAND-1").orElseThrow();
        assertEquals(38.2, row.item().outer(), 1e-9);
        assertEquals(38.1, row.item().counterbore().getAsDouble(), 1e-9);
        assertEquals(2, row.shelf());
        line[9] = "";
        HttpResponse<String> refused = ines.key("/stock/line", line);
        assertEquals(422, refused.statusCode());
        assertTrue(refused.body().contains("Inner"), refused.body());
        shop.bean(Catalogue.class).drop("HAND-1", hands.ines());
    }

    /** The list to be filled is one that is taken in as it is, and a line number counts the line of the columns. */
    @Test
    void theTemplateIsAList() {
        String template =
                Visitor.signedIn(shop.port(), "ines").get("/stock-template.csv").body();
        assertEquals(4, read(template).size());
        BadInputException e = assertThrows(BadInputException.class, () -> read(template + "X,saddle,,1,1,1,,,,\n"));
        assertTrue(Words.of(e.sentence()).contains("Line 6:"), Words.of(e.sentence()));
    }
}
