package homalon.core.money;

import static homalon.core.money.PriceListTest.FOUR;
import static homalon.core.money.PriceListTest.eur;
import static homalon.core.money.PriceListTest.list;
import static homalon.core.money.PriceListTest.price;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.bench.UsualChances.Counted;
import homalon.core.input.BadInputException;
import homalon.core.part.Material;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.route.Event;
import homalon.core.route.Finding;
import homalon.core.route.Operation;
import homalon.core.route.Route;
import homalon.core.words.English;
import homalon.core.words.Message;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.joda.money.CurrencyUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Whether a casting is worth its work, beside another in its place. */
class ComparedTest {
    private static final PriceList LIST = list(price(Operation.CUT, Optional.empty(), 1, 16, Price.Per.CASTING, "90"));
    private static final LocalDate DAY = LocalDate.of(2026, 12, 10);

    private static Risk risk(String name, double chance, String adds) {
        return new Risk(name, Message.plain(name), chance, new Counted(0, 0), eur(adds), 0, "");
    }

    private static Other other(Other.Kind kind, String price, String core) {
        return new Other(
                kind,
                "the other",
                eur(price),
                eur("0"),
                eur(core),
                3,
                0,
                Optional.of(Length.ofMm("0.4")),
                OptionalInt.of(12),
                "");
    }

    /** The look is done; the cut of 90 is still to come. */
    private static Estimate looked() {
        Route route = Route.of(List.of(
                new Event.Did(Operation.CLEAN),
                new Event.Did(Operation.CRACK_CHECK),
                new Event.Did(Operation.FACE_CHECK),
                new Event.Found(Finding.FACE_OUT)));
        return Estimate.of(LIST, Material.CAST_IRON, route, o -> FOUR, o -> 30, List.of(), Estimate.Said.NOTHING);
    }

    private static Compared compared(List<Risk> risks, Other other, List<Risk> its) {
        return Compared.of(
                LIST,
                new Compared.Repair(looked(), risks, 0, Optional.of(DAY), Optional.empty(), OptionalInt.empty()),
                List.of(new Compared.Instead(other, its, DAY)));
    }

    private static String said(List<Risk> risks, String price) {
        return English.of(compared(risks, other(Other.Kind.NEW, price, "0"), List.of())
                .said()
                .get(0));
    }

    /** What is spent weighs nothing: the look of 75 is on neither side, and told apart. */
    @Test
    void moneySpentIsSpent() {
        Compared compared = compared(List.of(), other(Other.Kind.NEW, "200", "0"), List.of());
        assertEquals(LIST.rules().sum(List.of(eur("75"))).total(), compared.spent());
        Compared.Row here = compared.rows().get(0);
        assertTrue(here.other().isEmpty());
        assertEquals(looked().rest().sum().total(), here.outlook().fixed());
    }

    /** A look that is not done is owed for both. */
    @Test
    void theLookIsOwedWhateverIsChosen() {
        Estimate none = Estimate.of(
                LIST, Material.CAST_IRON, Route.of(List.of()), o -> FOUR, o -> 30, List.of(), Estimate.Said.NOTHING);
        Compared compared = Compared.of(
                LIST,
                new Compared.Repair(none, List.of(), 0, Optional.empty(), Optional.empty(), OptionalInt.empty()),
                List.of(new Compared.Instead(other(Other.Kind.NEW, "200", "0"), List.of(), DAY)));
        Compared.Row there = compared.rows().stream()
                .filter(r -> r.other().isPresent())
                .findFirst()
                .orElseThrow();
        assertEquals(
                LIST.rules().sum(List.of(eur("200"), eur("75"))).total(),
                there.outlook().fixed());
    }

    /** Here 90 with a crack of 150 that comes in 20 of 100: 90, 120, 240 without tax. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            300 | this one costs less than the other, whatever turns up.
            240 | this one costs less than the other, whatever turns up.
            239 | this one costs less than the other, unless there is the crack: so in 80 of 100.
            121 | this one costs less than the other, unless there is the crack: so in 80 of 100.
            119 | the other costs less than this one, whatever turns up.
            """)
    void theSentenceSaysWhatTurnsItRound(String price, String words) {
        assertEquals(words, said(List.of(risk("the crack", 0.2, "150")), price));
    }

    @Test
    void severalMayHaveToComeTogether() {
        List<Risk> two = List.of(risk("the crack", 0.1, "100"), risk("the seats", 0.5, "100"));
        assertEquals(
                "this one costs less than the other, unless several of what may turn up come together: so in 95 of 100.",
                said(two, "210"));
        assertEquals(
                "this one costs less than the other, unless there is the crack or the seats: so in 45 of 100.",
                said(two, "180"));
    }

    /** A used one is looked at like any other, and may hide as much. */
    @Test
    void aUsedOneHasItsOwnLookAndItsOwnRisks() {
        Other used = other(Other.Kind.USED, "100", "0");
        assertEquals(List.of(eur("100"), eur("0"), eur("0"), eur("75")), used.lines(LIST, List.of()));
        List<Risk> its = used.risks(LIST, Material.CAST_IRON, o -> FOUR, Map.of());
        assertTrue(its.stream().anyMatch(r -> r.key().equals(Operation.CRACK_CHECK.name())), its.toString());
        assertTrue(its.stream().anyMatch(r -> r.key().equals(Operation.VALVE_CHECK.name())), its.toString());
        assertTrue(other(Other.Kind.NEW, "100", "0")
                .risks(LIST, Material.CAST_IRON, o -> FOUR, Map.of())
                .isEmpty());
        assertEquals(4, used.daysToReady(), "a day for the look");
        assertEquals(3, other(Other.Kind.NEW, "100", "0").daysToReady());
    }

    /** What comes back for the old one is taken off, and a new one that seems cheaper may not be. */
    @Test
    void theOneThatSeemsCheaperMayNotBe() {
        Compared compared = compared(
                List.of(risk("the crack", 0.05, "150")),
                other(Other.Kind.USED, "60", "20"),
                List.of(risk("its crack", 0.15, "150"), risk("its guides", 0.4, "80")));
        assertTrue(compared.rows().get(0).other().isEmpty(), "115 and a look beside 97.50: repaired");
        assertFalse(compared.rows().get(1).open().isEmpty());
        assertEquals(
                LIST.rules().sum(List.of(eur("60"), eur("-20"), eur("75"))).total(),
                compared.rows().get(1).outlook().fixed());
    }

    @Test
    void moreHoursMayTurnItRound() {
        Compared.Repair longer =
                new Compared.Repair(looked(), List.of(), 120, Optional.of(DAY), Optional.empty(), OptionalInt.empty());
        Compared compared = Compared.of(
                LIST, longer, List.of(new Compared.Instead(other(Other.Kind.NEW, "180", "0"), List.of(), DAY)));
        assertTrue(compared.rows().get(0).other().isPresent(), "90 and two hours of 60 are more than 180");
        assertEquals(
                "the other costs less than this one, whatever turns up.",
                English.of(compared.said().get(0)));
    }

    private static OtherForm form(String price, String core, String days, String hours, String left) {
        return new OtherForm(Other.Kind.USED, "one of the yard", price, "", core, days, hours, left, "", "");
    }

    @Test
    void isReadAsItIsKeyed() {
        Other read = form("120,50", "", "5", "1.5", "0,3").read(CurrencyUnit.EUR, BenchUnit.MM);
        assertEquals(eur("120.50"), read.price());
        assertEquals(90, read.minutes());
        assertEquals(Optional.of(Length.ofMm("0.3")), read.left());
        assertEquals(OptionalInt.empty(), read.months());
        assertEquals(
                6 + 1,
                form("120", "", "5", "1.5", "")
                        .read(CurrencyUnit.EUR, BenchUnit.MM)
                        .daysToReady());
    }

    @ParameterizedTest
    @CsvSource({
        "-1, '', 5, '', ''",
        "x, '', 5, '', ''",
        "100, 101, 5, '', ''",
        "100, '', '', '', ''",
        "100, '', 731, '', ''",
        "100, '', 5, 201, ''",
        "100, '', 5, '', 21",
        "100, '', 5, '', -1",
    })
    void whatCannotBeIsRefusedInWords(String price, String core, String days, String hours, String left) {
        BadInputException e = assertThrows(
                BadInputException.class,
                () -> form(price, core, days, hours, left).read(CurrencyUnit.EUR, BenchUnit.MM));
        assertFalse(English.of(e.sentence()).isBlank());
    }
}
