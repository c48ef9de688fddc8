package homalon.core.rulebook;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.rulebook.FaceDefaults.Item;
import homalon.core.rulebook.FaceDefaults.Own;
import homalon.core.rulebook.FlatnessLimit.Scope;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class FaceDefaultsTest {
    private static final FaceDefaults MM = FaceDefaults.of(BenchUnit.MM);
    private static final FaceDefaults THOU = FaceDefaults.of(BenchUnit.THOU);
    private static final Own TIGHT = new Own(Length.ofMm("0.04"), "harbour authority, sheet 7");

    private static FlatnessLimit limit(List<FlatnessLimit> all, Scope scope) {
        return all.stream().filter(l -> l.scope() == scope).findFirst().orElseThrow();
    }

    private static FlatnessLimit overall(FaceDefaults d, List<FlatnessLimit> entered, Optional<GasketKind> gasket) {
        return limit(d.inForce(entered, gasket, 4), Scope.OVERALL);
    }

    @ParameterizedTest
    @CsvSource({"1, 0.03, 1.2", "2, 0.03, 1.2", "3, 0.05, 2", "4, 0.05, 2", "5, 0.08, 3", "8, 0.08, 3"})
    void overallGoesByTheCylindersInALineAndIsRoundInTheShopsUnit(int cylinders, String mm, String thou) {
        assertEquals(Length.ofMm(mm), MM.overall(cylinders));
        assertEquals(Length.ofThou(thou), THOU.overall(cylinders));
    }

    @Test
    void aThouShopHasItsSquareInInches() {
        FlatnessLimit square = limit(THOU.limits(4), Scope.WINDOW);
        assertEquals(Length.ofThou("0.8"), square.most());
        assertEquals(Optional.of(Length.ofThou("4000")), square.window());
        assertEquals(
                "4 in", new LengthWriter(BenchUnit.THOU).size(square.window().orElseThrow()));
    }

    /** Nobody reads a third figure off a dial for a value that was a round one once. */
    @ParameterizedTest
    @EnumSource(Item.class)
    void noGeneralValueHasMoreThanTwoFiguresInItsUnit(Item item) {
        item.usual(BenchUnit.MM).ifPresent(v -> assertTrue(figures(v.nanometres()) <= 2, item + " " + v));
        item.usual(BenchUnit.THOU).ifPresent(v -> assertTrue(figures(v.nanometres() / 254) <= 2, item + " " + v));
        assertEquals(
                item.usual(BenchUnit.MM).isPresent(), item.usual(BenchUnit.THOU).isPresent());
    }

    private static int figures(long number) {
        long n = number;
        while (n % 10 == 0) {
            n /= 10;
        }
        return Long.toString(n).length();
    }

    @Test
    void acrossIsHalfOfOverallAndNeverLessThanTheLeast() {
        assertEquals(Length.ofMm("0.04"), limit(MM.limits(6), Scope.ACROSS).most());
        assertEquals(Length.ofMm("0.02"), limit(MM.limits(1), Scope.ACROSS).most());
        FaceDefaults own = new FaceDefaults(BenchUnit.MM, Map.of(Item.LEAST_ACROSS, TIGHT));
        assertEquals(Length.ofMm("0.04"), limit(own.limits(1), Scope.ACROSS).most());
        assertEquals(Source.SHOP_DEFAULT, limit(own.limits(1), Scope.ACROSS).source());
    }

    @Test
    void theShopsOwnFigureStandsAndSaysThatItIsTheShops() {
        FaceDefaults own = new FaceDefaults(BenchUnit.MM, Map.of(Item.THREE_OR_FOUR, TIGHT));
        FlatnessLimit four = overall(own, List.of(), Optional.empty());
        assertEquals(Length.ofMm("0.04"), four.most());
        assertEquals(Source.SHOP_DEFAULT, four.source());
        FlatnessLimit six = limit(own.inForce(List.of(), Optional.empty(), 6), Scope.OVERALL);
        assertEquals(Source.DEFAULT, six.source(), "the others are general still");
    }

    @Test
    void whatWasEnteredForTheCastingComesBeforeEveryDefault() {
        FaceDefaults own = new FaceDefaults(BenchUnit.MM, Map.of(Item.THREE_OR_FOUR, TIGHT, Item.LAYERED_STEEL, TIGHT));
        FlatnessLimit maker = FlatnessLimit.overall(Length.ofMm("0.1"), Source.MAKER);
        assertEquals(maker, overall(own, List.of(maker), Optional.of(GasketKind.LAYERED_STEEL)));
    }

    @Test
    void aKindOfGasketComesBeforeTheDefaultWhoeverSetIt() {
        FaceDefaults own = new FaceDefaults(BenchUnit.MM, Map.of(Item.THREE_OR_FOUR, TIGHT));
        FlatnessLimit steel = overall(own, List.of(), Optional.of(GasketKind.LAYERED_STEEL));
        assertEquals(Length.ofMm("0.03"), steel.most());
        assertEquals(Source.GASKET_KIND, steel.source());
        assertEquals(
                Source.SHOP_DEFAULT,
                overall(own, List.of(), Optional.of(GasketKind.COPPER)).source());
        FaceDefaults copper = new FaceDefaults(BenchUnit.MM, Map.of(Item.COPPER, TIGHT));
        FlatnessLimit asked = overall(copper, List.of(), Optional.of(GasketKind.COPPER));
        assertEquals(Length.ofMm("0.04"), asked.most());
        assertEquals(Source.SHOP_GASKET_KIND, asked.source());
    }

    @Test
    void aSquareThatWasEnteredAnswersForEveryDefaultOne() {
        FlatnessLimit entered = FlatnessLimit.inAny(Length.ofMm("150"), Length.ofMm("0.03"), Source.MAKER);
        FaceDefaults own = new FaceDefaults(BenchUnit.MM, Map.of(Item.IN_SQUARE, TIGHT));
        assertEquals(
                List.of(entered),
                own.inForce(List.of(entered), Optional.empty(), 4).stream()
                        .filter(l -> l.scope() == Scope.WINDOW)
                        .toList());
    }

    @Test
    void whatIsKeyedIsReadInTheReadersUnit() {
        Map<Item, Own> own = new DefaultsForm(Map.of(
                        "THREE_OR_FOUR", "1.5",
                        "THREE_OR_FOUR.from", "as the last foreman had it",
                        "SQUARE", "6 in",
                        "SQUARE.from", "the same"))
                .read(BenchUnit.THOU);
        assertEquals(new Own(Length.ofThou("1.5"), "as the last foreman had it"), own.get(Item.THREE_OR_FOUR));
        assertEquals(Length.ofThou("6000"), own.get(Item.SQUARE).value());
        assertEquals(2, own.size(), "what is empty is general");
    }

    @ParameterizedTest
    @CsvSource({
        "THREE_OR_FOUR, 0.05, '', THREE_OR_FOUR.from",
        "THREE_OR_FOUR, nought, a sheet, THREE_OR_FOUR",
        "THREE_OR_FOUR, 0, a sheet, THREE_OR_FOUR",
        "THREE_OR_FOUR, 1.1, a sheet, THREE_OR_FOUR",
        "SQUARE, 9, a sheet, SQUARE",
        "SQUARE, 1001, a sheet, SQUARE",
    })
    void whatCannotBeALimitIsRefusedInItsField(String item, String typed, String from, String field) {
        DefaultsForm form = new DefaultsForm(Map.of(item, typed, item + ".from", from));
        BadInputException e = assertThrows(BadInputException.class, () -> form.read(BenchUnit.MM));
        assertEquals(field, e.problems().get(0).field());
    }

    @ParameterizedTest
    @EnumSource(BenchUnit.class)
    void whatStandsIsKeyedAgainAsItStands(BenchUnit unit) {
        FaceDefaults own = new FaceDefaults(
                unit,
                Map.of(
                        Item.THREE_OR_FOUR, TIGHT,
                        Item.IN_SQUARE, new Own(Length.ofThou("0.7"), "x"),
                        Item.SQUARE, new Own(Length.ofMm("120"), "y")));
        assertEquals(own.own(), DefaultsForm.of(own, unit).read(unit));
        assertFalse(own.own().isEmpty());
    }
}
