package homalon.core.rulebook;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import homalon.core.input.BadInputException;
import homalon.core.quantity.DayForm;
import homalon.core.rulebook.ShopPaper.Label;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ShopPaperTest {
    @Test
    void whatIsKeyedStandsInOneLine() {
        ShopPaper paper = ShopPaper.read(
                " Quay 4 \n\n Saltmarsh\n", " 0123 456 ", "desk@saltmarsh.example", "TAPE_62", "LETTER", "MONTH_FIRST");
        assertEquals(List.of("Quay 4", "Saltmarsh"), paper.address());
        assertEquals("Quay 4 · Saltmarsh · 0123 456 · desk@saltmarsh.example", paper.line());
        assertEquals(Label.TAPE_62, paper.label());
        assertEquals(ShopPaper.Sheet.LETTER, paper.sheet());
        assertEquals(DayForm.MONTH_FIRST, paper.days());
        assertEquals(ShopPaper.NONE, ShopPaper.read("", " ", "", "a roll of bark", "a slate", "when the tide turns"));
        assertEquals("", ShopPaper.NONE.line());
    }

    @ParameterizedTest
    @CsvSource({
        "address, 1, 0, 61, x@y",
        "address, 6, 0, 9, x@y",
        "phone, 1, 61, 9, x@y",
        "mail, 1, 9, 9, nobody",
        "mail, 1, 9, 9, two words@y"
    })
    void whatFitsOnNoLetterIsRefused(String field, int lines, int phone, int letters, String mail) {
        String address = ("x".repeat(letters) + "\n").repeat(lines);
        BadInputException e = assertThrows(
                BadInputException.class,
                () -> ShopPaper.read(address, "1".repeat(phone), mail, "SHEET", "A4", "DAY_FIRST"));
        assertEquals(
                List.of(field),
                e.problems().stream().map(BadInputException.Problem::field).toList());
    }

    @Test
    void asMuchAsFits() {
        ShopPaper paper =
                ShopPaper.read(("x".repeat(60) + "\n").repeat(5), "1".repeat(60), "", "LABEL_100", "A4", "DAY_FIRST");
        assertEquals(5, paper.address().size());
        assertEquals(Label.LABEL_100, paper.label());
    }
}
