package homalon.core.money;

import static homalon.core.money.PriceListTest.eur;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.input.BadInputException;
import homalon.core.route.Finding;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** When a customer is asked again. */
class AskingTest {
    private static final Set<AskPoint> EVERYWHERE = EnumSet.allOf(AskPoint.class);
    private static final Asking.Stand AT_WORK = new Asking.Stand(true, true, false, false);

    private static ShownEstimate shown(String fixed, String expected) {
        return new ShownEstimate(
                "EUR", "0", false, List.of(), List.of(), fixed, "0.00", "0.00", fixed, expected, expected, expected, 0,
                List.of(), List.of());
    }

    private static Outlook now(String fixed, String expected) {
        return new Outlook(eur(fixed), eur(expected), eur(expected), eur(expected), true);
    }

    /** Shown 500, 560 to be expected: agreed up to 600, or nothing said of more. */
    @ParameterizedTest
    @CsvSource({
        "600, 600.00, 600.00, false",
        "600, 600.01, 600.01, true",
        "600, 640.00, 700.00, true",
        "600, 560.00, 600.01, true",
        "600, 420.00, 590.00, false",
        "   , 500.00, 900.00, false",
        "   , 500.01, 560.00, true",
        "   , 480.00, 480.00, false",
    })
    void whatPassesWhatWasAgreed(String upTo, String fixed, String expected, boolean passed) {
        Agreed agreed = Agreed.keyed(
                shown("500.00", "560.00"), Optional.ofNullable(upTo).map(PriceListTest::eur));
        assertEquals(passed, agreed.passedBy(now(fixed, expected)));
    }

    /** Whoever named 600 while 700 was to be expected knew that. */
    @Test
    void whatWasToBeExpectedThenPassesNothing() {
        Agreed agreed = Agreed.keyed(shown("500.00", "700.00"), Optional.of(eur("600")));
        assertEquals(false, agreed.passedBy(now("500.00", "700.00")));
        assertTrue(agreed.passedBy(now("500.00", "700.01")));
    }

    @Test
    void nothingIsDoneForLessThanItComesTo() {
        ShownEstimate shown = shown("500.00", "560.00");
        assertThrows(BadInputException.class, () -> Agreed.keyed(shown, Optional.of(eur("499.99"))));
        Agreed.keyed(shown, Optional.of(eur("500")));
    }

    @Test
    void eachPointOfTheShopAsksOnce() {
        Outlook now = now("500.00", "560.00");
        Optional<Agreed> none = Optional.empty();
        assertEquals(Optional.of(Finding.LOOK_DONE), Asking.why(EVERYWHERE, none, Set.of(), now, AT_WORK));
        assertEquals(Optional.empty(), Asking.why(Set.of(), none, Set.of(), now, AT_WORK));
        assertEquals(
                Optional.empty(),
                Asking.why(EVERYWHERE, none, Set.of(), now, new Asking.Stand(false, true, false, false)));
        Optional<Agreed> agreed = Optional.of(Agreed.keyed(shown("500.00", "560.00"), Optional.empty()));
        assertEquals(
                Optional.empty(),
                Asking.why(EVERYWHERE, agreed, Set.of(), now, AT_WORK),
                "who chose before the look was done has chosen");
        Asking.Stand worst = new Asking.Stand(true, true, true, true);
        assertEquals(Optional.of(Finding.METAL_ENDS), Asking.why(EVERYWHERE, agreed, Set.of(), now, worst));
        assertEquals(
                Optional.of(Finding.PROMISE_BROKEN),
                Asking.why(EVERYWHERE, agreed, Set.of(Finding.METAL_ENDS), now, worst));
        assertEquals(
                Optional.empty(),
                Asking.why(EVERYWHERE, agreed, Set.of(Finding.METAL_ENDS, Finding.PROMISE_BROKEN), now, worst));
        assertEquals(
                Optional.of(Finding.SUM_PASSED),
                Asking.why(Set.of(), agreed, Set.of(Finding.SUM_PASSED), now("500.01", "560.00"), worst),
                "a sum is asked about each time");
        assertEquals(
                Optional.empty(),
                Asking.why(
                        EVERYWHERE,
                        agreed,
                        Set.of(),
                        now("900.00", "900.00"),
                        new Asking.Stand(true, false, true, true)),
                "with no work left nothing can be chosen");
    }

    @Test
    void whatIsDoneAsksTheSame() {
        ShownEstimate.Line open =
                new ShownEstimate.Line("CUT", Estimate.Kind.WORK, "cut", "", "", "90.00", Estimate.Stand.OWED, false);
        ShownEstimate.Line done =
                new ShownEstimate.Line("CUT", Estimate.Kind.WORK, "cut", "", "", "90.00", Estimate.Stand.OWED, true);
        ShownEstimate.Line ours =
                new ShownEstimate.Line("CUT", Estimate.Kind.WORK, "cut", "", "", "90.00", Estimate.Stand.OURS, false);
        assertEquals(with(open).asks(), with(done).asks());
        assertNotEquals(with(open).asks(), with(ours).asks());
        assertNotEquals(
                shown("500.00", "560.00").asks(), shown("500.00", "561.00").asks());
    }

    private static ShownEstimate with(ShownEstimate.Line line) {
        ShownEstimate s = shown("90.00", "90.00");
        return new ShownEstimate(
                "EUR",
                "0",
                false,
                List.of(line),
                List.of(),
                s.net(),
                s.taxed(),
                s.rounding(),
                s.fixed(),
                s.expected(),
                s.kept(),
                s.worst(),
                0,
                List.of(),
                List.of());
    }
}
