package homalon.core.visit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.visit.Wanted.Between;
import homalon.core.visit.Wanted.State;
import homalon.core.visit.Wanted.Term;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class WantedTest {
    private static List<Term> read(String typed) {
        return Wanted.read(typed, BenchUnit.MM).terms();
    }

    private static List<String> words(List<Term> terms) {
        return terms.stream().map(Term::word).toList();
    }

    private static Term only(String typed) {
        assertEquals(1, read(typed).size(), typed);
        return read(typed).get(0);
    }

    @Test
    void wordsAreTakenAsTheyAreTypedInSmallLetters() {
        assertEquals(List.of("tern", "island", "t-0412"), words(read("  Tern  ISLAND t-0412 ")));
        assertTrue(read("Tern ISLAND").stream().allMatch(Term::plain));
        assertEquals(List.of(), read("  "));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            96 mm      | 95.5  | 96.5
            96mm       | 95.5  | 96.5
            bore 96    | 95.5  | 96.5
            bore 96,5  | 96.0  | 97.0
            3.78 in    | 95.512| 96.512
            3.78"      | 95.512| 96.512
            """)
    void aSizeWithItsUnitIsABoreWithinHalfAMillimetre(String typed, String from, String to) {
        assertEquals(
                Optional.of(new Between<>(Length.ofMm(from), Length.ofMm(to))),
                only(typed).bore());
        assertEquals("", only(typed).word());
    }

    @Test
    void aBoreWithoutAUnitIsMeantInTheReadersOwn() {
        assertEquals(
                Optional.of(new Between<>(Length.ofMm("101.1"), Length.ofMm("102.1"))),
                Wanted.read("bore 4", BenchUnit.THOU).terms().get(0).bore());
    }

    @Test
    void aNumberAloneIsAWord() {
        assertTrue(only("0412").plain());
        assertEquals("96", only("96").word());
    }

    @ParameterizedTest
    @CsvSource({
        "2024, 2024, 2024-01-01, 2024-12-31",
        "2024-02, 2024-02, 2024-02-01, 2024-02-29",
        "2023-11-05, 2023-11-05, 2023-11-05, 2023-11-05",
        "feb 2023, '', 2023-02-01, 2023-02-28",
        "September 2025, '', 2025-09-01, 2025-09-30",
    })
    void aYearAMonthOrADayIsWhenItCameOrLeft(String typed, String word, LocalDate from, LocalDate to) {
        assertEquals(Optional.of(new Between<>(from, to)), only(typed).days());
        assertEquals(word, only(typed).word());
    }

    @ParameterizedTest
    @ValueSource(strings = {"2024-13", "2024-02-30", "20245", "1850"})
    void whatIsNoDayIsAWord(String typed) {
        assertTrue(only(typed).plain());
    }

    @Test
    void aWordBeforeAYearThatIsNoMonthStaysAWord() {
        assertEquals(List.of("ferry", "2024"), words(read("ferry 2024")));
        assertTrue(read("ferry 2024").get(1).days().isPresent());
    }

    @ParameterizedTest
    @CsvSource({
        "here, HERE",
        "in the shop, HERE",
        "waiting, WAITING",
        "waits on parts, WAITING",
        "late, LATE",
        "handed over, GONE",
        "left, GONE",
    })
    void aWordOfStateSaysWhereItIs(String typed, State state) {
        assertEquals(Optional.of(state), only(typed).state());
        assertEquals(typed, only(typed).word());
    }

    @Test
    void allOfItAtOnce() {
        List<Term> all = read("ferry 87 mm late mar 2026");
        assertEquals(4, all.size());
        assertEquals(1, all.stream().filter(t -> t.bore().isPresent()).count());
        assertEquals(1, all.stream().filter(t -> t.days().isPresent()).count());
        assertEquals(1, all.stream().filter(t -> t.state().isPresent()).count());
        assertEquals(List.of("ferry"), words(all.stream().filter(Term::plain).toList()));
    }

    @Test
    void noMoreThanEightThingsAreAskedFor() {
        assertEquals(8, read("a b c d e f g h i j").size());
    }
}
