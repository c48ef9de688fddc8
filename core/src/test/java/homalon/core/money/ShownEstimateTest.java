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
import homalon.core.words.English;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

/** An estimate as a customer saw it. */
class ShownEstimateTest {
    private static final PriceList LIST = list(price(Operation.CUT, Optional.empty(), 1, 16, Price.Per.CASTING, "90"));

    private static final Compared ALONE = new Compared(List.of(), List.of(), eur("0"));

    private static Route route(Event... more) {
        List<Event> all = new ArrayList<>(List.of(new Event.Did(Operation.CLEAN)));
        all.addAll(List.of(more));
        return Route.of(all);
    }

    private static Estimate estimate(Route route, Estimate.Said said) {
        return Estimate.of(LIST, Material.CAST_IRON, route, o -> FOUR, o -> 30, List.of(), said);
    }

    private static List<Risk> risks(Route route, boolean hot) {
        return Risks.of(LIST, hot, UsualChances.mayFind(Material.CAST_IRON, route, o -> FOUR, Map.of()));
    }

    private static ShownEstimate shown(Route route, Estimate.Said said) {
        return ShownEstimate.of(estimate(route, said), risks(route, false), ALONE, English::of);
    }

    @Test
    void tellsWhatTheEstimateCameTo() {
        Route route = route(new Event.Found(Finding.FACE_OUT));
        ShownEstimate shown = shown(route, Estimate.Said.NOTHING);
        Estimate estimate = estimate(route, Estimate.Said.NOTHING);
        Outlook outlook = Outlook.of(estimate, risks(route, false));
        assertEquals(estimate.sum().total(), shown.total());
        assertEquals(Amounts.shown(outlook.worst()), shown.worst());
        assertEquals(estimate.lines().size(), shown.lines().size());
        assertFalse(shown.risks().isEmpty());
        assertEquals(
                shown,
                JsonMapper.shared().readValue(JsonMapper.shared().writeValueAsString(shown), ShownEstimate.class));
    }

    @Test
    void whatIsNotAsItWasIsNamed() {
        Route before = route(new Event.Found(Finding.FACE_OUT));
        Route after = route(new Event.Found(Finding.FACE_OUT), new Event.Found(Finding.CRACK_TO_STITCH));
        ShownEstimate first = shown(before, Estimate.Said.NOTHING);
        assertEquals(List.of(), first.since(first));
        List<ShownEstimate.Changed> more = shown(after, Estimate.Said.NOTHING).since(first);
        assertTrue(
                more.stream().anyMatch(c -> c.was().isEmpty() && c.what().equals(English.of(Operation.STITCH.words()))),
                more::toString);
        List<ShownEstimate.Changed> less = first.since(shown(after, Estimate.Said.NOTHING));
        assertTrue(less.stream().anyMatch(c -> c.now().isEmpty()), less::toString);
        ShownEstimate ours = shown(before, new Estimate.Said(Map.of("CUT", Estimate.Stand.OURS), Map.of()));
        assertEquals(
                List.of(new ShownEstimate.Changed(English.of(Operation.CUT.words()), "90.00", "90.00 OURS")),
                ours.since(first));
        ShownEstimate dearer = shown(before, new Estimate.Said(Map.of(), Map.of("CUT", eur("120"))));
        assertEquals("120.00", dearer.since(first).get(0).now());
    }

    /** Together what hangs together, and the same on average either way. */
    @Test
    void whatWasHotFailsTogether() {
        Route route = route();
        List<Risk> cold = risks(route, false);
        List<Risk> hot = risks(route, true);
        assertTrue(cold.stream().allMatch(r -> r.with().isEmpty()));
        assertTrue(hot.stream().filter(r -> !r.with().isEmpty()).count() >= 2, hot::toString);
        Estimate estimate = estimate(route, Estimate.Said.NOTHING);
        assertEquals(
                Outlook.of(estimate, cold).expected(), Outlook.of(estimate, hot).expected());
        assertEquals(
                Outlook.of(estimate, cold).worst(), Outlook.of(estimate, hot).worst());
    }

    @Test
    void whatIsSpentWeighsNothing() {
        Route route = route(
                new Event.Found(Finding.FACE_OUT),
                new Event.Did(Operation.CRACK_CHECK),
                new Event.Did(Operation.FACE_CHECK),
                new Event.Found(Finding.GUIDES_WORN),
                new Event.Did(Operation.GUIDE_WORK));
        Estimate estimate = estimate(route, Estimate.Said.NOTHING);
        Money spent = estimate.spent().sum().net();
        Money rest = estimate.rest().sum().net();
        assertEquals(estimate.sum().net(), spent.plus(rest));
        assertTrue(spent.isPositive() && rest.isPositive());
        assertTrue(estimate.rest().lines().stream().noneMatch(Estimate.Line::done));
    }

    @Test
    void whoStopsGoesNoFurther() {
        assertEquals(
                List.of(Choice.GO_ON, Choice.OWN_PARTS),
                List.of(Choice.values()).stream().filter(Choice::goesOn).toList());
    }
}
