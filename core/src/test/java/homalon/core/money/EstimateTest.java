package homalon.core.money;

import static homalon.core.money.PriceListTest.FOUR;
import static homalon.core.money.PriceListTest.eur;
import static homalon.core.money.PriceListTest.list;
import static homalon.core.money.PriceListTest.price;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.bench.UsualChances;
import homalon.core.part.Material;
import homalon.core.route.Event;
import homalon.core.route.Finding;
import homalon.core.route.Operation;
import homalon.core.route.Route;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What a casting comes to. */
class EstimateTest {
    private static final PriceList LIST = list(
            price(Operation.CUT, Optional.empty(), 1, 16, Price.Per.CASTING, "90"),
            price(Operation.GUIDE_WORK, Optional.empty(), 1, 16, Price.Per.PIECE, "22.50"));

    private static Route route(Event... more) {
        List<Event> all = new ArrayList<>(List.of(
                new Event.Did(Operation.CLEAN),
                new Event.Did(Operation.CRACK_CHECK),
                new Event.Did(Operation.FACE_CHECK)));
        all.addAll(Arrays.asList(more));
        return Route.of(all);
    }

    private static Estimate estimate(Route route, List<Estimate.Part> parts, Estimate.Said said) {
        return Estimate.of(LIST, Material.CAST_IRON, route, o -> FOUR, o -> 30, parts, said);
    }

    private static Estimate.Part guides(Optional<Money> each) {
        return new Estimate.Part("order 1", "guides 8 mm", 3, Operation.GUIDE_WORK, each, false);
    }

    private static Estimate.Line line(Estimate estimate, String key) {
        return estimate.lines().stream()
                .filter(l -> l.key().equals(key))
                .findFirst()
                .orElseThrow(() -> new AssertionError(estimate.toString()));
    }

    @Test
    void everyLineHasTheFindingThatMadeIt() {
        Estimate estimate = estimate(
                route(new Event.Found(Finding.FACE_OUT), new Event.Found(Finding.GUIDES_WORN)),
                List.of(guides(Optional.of(eur("4")))),
                Estimate.Said.NOTHING);
        assertEquals(Optional.of(eur("75")), line(estimate, Estimate.LOOK).worth());
        Estimate.Line cut = line(estimate, "CUT");
        assertEquals(Optional.of(eur("90")), cut.worth());
        assertFalse(cut.because().isEmpty());
        assertEquals(Optional.of(eur("67.50")), line(estimate, "GUIDE_WORK").worth(), "three at 22.50");
        Estimate.Line guides = line(estimate, "order 1");
        assertEquals(Optional.of(eur("15.60")), guides.worth(), "three at 4.00 and 30 of a hundred on it");
        assertEquals(List.of(Operation.GUIDE_WORK.words()), guides.because());
        Money all = Money.total(
                estimate.lines().stream().flatMap(l -> l.worth().stream()).toList());
        assertEquals(all, estimate.sum().net(), "all of it is owed");
        assertEquals(
                estimate.lines().size(),
                estimate.lines().stream().map(Estimate.Line::key).distinct().count());
    }

    @ParameterizedTest
    @EnumSource(Estimate.Stand.class)
    void onlyWhatIsOwedIsAsked(Estimate.Stand stand) {
        Route route = route(new Event.Found(Finding.FACE_OUT));
        Estimate whole = estimate(route, List.of(), Estimate.Said.NOTHING);
        Estimate said = estimate(route, List.of(), new Estimate.Said(Map.of("CUT", stand), Map.of()));
        Money less = whole.sum().net().minus(said.sum().net());
        assertEquals(stand == Estimate.Stand.OWED ? eur("0") : eur("90"), less);
        assertEquals(Optional.of(eur("90")), line(said, "CUT").worth(), "what it comes to stands there all the same");
    }

    /** Seen before: to be asked, and to answer, was a line of its own, and what was shown changed by being asked of. */
    @Test
    void askingCostsNothing() {
        Event.Found out = new Event.Found(Finding.FACE_OUT);
        Event.Found asked = new Event.Found(Finding.CHOICE_ASKED);
        Estimate before = estimate(route(out), List.of(), Estimate.Said.NOTHING);
        assertEquals(
                before.lines().size(),
                estimate(route(out, asked), List.of(), Estimate.Said.NOTHING)
                        .lines()
                        .size());
        Estimate chosen =
                estimate(route(out, asked, new Event.Did(Operation.CHOICE)), List.of(), Estimate.Said.NOTHING);
        assertEquals(
                before.lines().stream().map(Estimate.Line::key).toList(),
                chosen.lines().stream().map(Estimate.Line::key).toList());
        assertEquals(before.sum(), chosen.sum());
    }

    @Test
    void whatSomebodyElseDoesIsOpenUntilItIsQuoted() {
        Route route = route(new Event.Found(Finding.CRACK_TO_WELD));
        Estimate open = estimate(route, List.of(guides(Optional.empty())), Estimate.Said.NOTHING);
        assertEquals(
                List.of("WELD", "order 1"),
                open.open().stream().map(Estimate.Line::key).toList());
        assertEquals(Estimate.Kind.OUTSIDE, line(open, "WELD").kind());
        Estimate quoted = estimate(
                route,
                List.of(guides(Optional.empty())),
                new Estimate.Said(Map.of("order 1", Estimate.Stand.BROUGHT), Map.of("WELD", eur("180"))));
        assertEquals(List.of(), quoted.open());
        assertEquals(open.sum().net().plus(eur("180")), quoted.sum().net());
    }

    @Test
    void aJobComesToTheLeastThereIs() {
        PriceList cheap =
                new PriceList(LIST.rules(), eur("60"), eur("100"), eur("75"), LIST.margin(), LIST.prices(), Set.of());
        Route nothing = route();
        Estimate estimate =
                Estimate.of(cheap, Material.CAST_IRON, nothing, o -> FOUR, o -> 0, List.of(), Estimate.Said.NOTHING);
        assertEquals(eur("100"), estimate.sum().net());
        Estimate ours = Estimate.of(
                cheap,
                Material.CAST_IRON,
                route(new Event.Found(Finding.CRACK_TO_WELD)),
                o -> FOUR,
                o -> 0,
                List.of(),
                Estimate.Said.NOTHING);
        assertTrue(ours.lines().stream().noneMatch(l -> l.kind() == Estimate.Kind.LEAST), "as long as a price is open");
    }

    @Test
    void whatMayStillTurnUpIsAddedBeforeTax() {
        Estimate estimate = estimate(route(new Event.Found(Finding.FACE_OUT)), List.of(), Estimate.Said.NOTHING);
        Message crack = Message.plain("a crack");
        Risk seldom = new Risk("crack", crack, 0.1, new UsualChances.Counted(0, 0), eur("200"), 60, "");
        Risk often = new Risk("guides", crack, 0.5, new UsualChances.Counted(8, 5), eur("80"), 60, "");
        Outlook outlook = Outlook.of(estimate, List.of(seldom, often));
        assertEquals(estimate.sum().total(), outlook.fixed());
        assertEquals(outlook.fixed().plus(eur("75")), outlook.expected(), "60 and a quarter of tax");
        assertEquals(outlook.fixed().plus(eur("100")), outlook.kept());
        assertEquals(outlook.fixed().plus(eur("350")), outlook.worst());
        assertTrue(outlook.exact());
        Outlook sure = Outlook.of(estimate, List.of());
        assertEquals(
                List.of(sure.fixed(), sure.fixed(), sure.fixed()), List.of(sure.expected(), sure.kept(), sure.worst()));
    }
}
