package homalon.core.cut;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.input.BadInputException;
import homalon.core.part.LandRaster;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.Length;
import homalon.core.words.English;
import java.util.BitSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TouchedTest {
    private static final Layout LAYOUT =
            Layout.of(LayoutNumbers.proposed(PartKind.HEAD, 4, Length.ofMm("87"), Length.ofMm("98")));
    private static final TouchCells GRID = TouchCells.of(LandRaster.of(LAYOUT, 84));

    private static BitSet said(String words) {
        return Touched.said(words, LAYOUT, GRID).cells();
    }

    /** Share of the land's cells that the words mean, in per cent, and where their middle lies along and across. */
    @ParameterizedTest
    @CsvSource({
        "none, 0, 0, 0",
        "all, 100, 0, 0",
        "' A ', 100, 0, 0",
        "f, 25, -1, 0",
        "rear, 25, 1, 0",
        "e, 25, 0, E",
        "intake, 25, 0, I",
        "1, 25, -1, 0",
        "4, 25, 1, 0",
        "1 4, 50, 0, 0",
        "'1,2,3,4', 100, 0, 0",
        "1 + 2, 50, -1, 0"
    })
    void wordsMeanCells(String words, int percent, int along, String across) {
        BitSet cells = said(words);
        assertEquals(percent, 100.0 * cells.cardinality() / GRID.cells().size(), 9);
        double u = GRID.cells().stream()
                .filter(c -> cells.get(c.number()))
                .mapToDouble(c -> LAYOUT.box().u(c.x0() + c.width() / 2))
                .average()
                .orElse(0);
        double v = GRID.cells().stream()
                .filter(c -> cells.get(c.number()))
                .mapToDouble(c -> LAYOUT.box().v(c.y0() + c.height() / 2))
                .average()
                .orElse(0);
        assertEquals(along, Math.abs(u) < 0.1 ? 0 : Math.signum(u));
        int top = LAYOUT.numbers().intakeAtTop() ? 1 : -1;
        double side = across.equals("I") ? top : across.equals("E") ? -top : 0;
        assertEquals(side, Math.abs(v) < 0.15 ? 0 : Math.signum(v));
    }

    @Test
    void halfSaysNoMoreThanAShare() {
        Touched half = Touched.said("half", LAYOUT, GRID);
        assertEquals(0.5, half.share().orElseThrow());
        assertTrue(half.cells().isEmpty());
        assertTrue(Touched.said("none", LAYOUT, GRID).share().isEmpty());
        BitSet mine = new BitSet();
        mine.set(3);
        Touched painted = Touched.painted(mine);
        mine.set(4);
        painted.cells().set(5);
        assertFalse(painted.cells().get(4) || painted.cells().get(5), "nobody changes what was painted");
        assertTrue(painted.unsure(GRID).isEmpty(), "painted cell by cell");
    }

    /** Near the end of what was said nobody knows; further off it holds. */
    @Test
    void whereBareMetalEndsIsNotTold() {
        BitSet unsure = Touched.said("f", LAYOUT, GRID).unsure(GRID);
        GRID.cells()
                .forEach(c -> assertEquals(
                        c.column() >= 4 && c.column() <= 7, unsure.get(c.number()), () -> "column " + c.column()));
        assertTrue(Touched.said("all", LAYOUT, GRID).unsure(GRID).isEmpty());
        assertTrue(Touched.said("none", LAYOUT, GRID).unsure(GRID).isEmpty());
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "  ", "5", "0", "middle", "1 x", "-1", "123"})
    void whatIsNoPlaceIsRefusedInWords(String words) {
        BadInputException e = assertThrows(BadInputException.class, () -> said(words));
        assertTrue(English.of(e.sentence()).contains("none, half, all"), English.of(e.sentence()));
    }
}
