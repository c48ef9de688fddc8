package homalon.core.cut;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Spot;
import homalon.core.part.LandRaster;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.Length;
import java.util.BitSet;
import java.util.List;
import org.junit.jupiter.api.Test;

class TouchCellsTest {
    private static final Layout LAYOUT =
            Layout.of(LayoutNumbers.proposed(PartKind.HEAD, 4, Length.ofMm("86"), Length.ofMm("94")));
    private static final TouchCells GRID = TouchCells.of(LandRaster.of(LAYOUT, 84));

    private static BitSet upTo(int column) {
        BitSet cells = new BitSet();
        GRID.cells().stream().filter(c -> c.column() <= column).forEach(c -> cells.set(c.number()));
        return cells;
    }

    /** Touched from the front to its eleventh column: bare metal ends on one line across. */
    @Test
    void bareMetalEndsBetweenTouchedAndUntouched() {
        TouchComparison.Look look = new TouchComparison.Look(0.03, upTo(10), new BitSet());
        List<Spot> ends = GRID.ends(look);
        double line = LAYOUT.box().x0() + LAYOUT.box().width() * 11 / TouchCells.COLUMNS;
        assertTrue(ends.size() > 2 && ends.size() <= GRID.size() / TouchCells.COLUMNS, ends.size() + " ends");
        ends.forEach(e -> assertEquals(line, e.x(), 1e-9));
        BitSet inner = GRID.inner(look);
        for (TouchCells.Cell c : GRID.cells()) {
            boolean beside = c.column() == 10
                    ? GRID.cells().stream().anyMatch(o -> o.row() == c.row() && o.column() == 11)
                    : c.column() == 11 && GRID.cells().stream().anyMatch(o -> o.row() == c.row() && o.column() == 10);
            assertEquals(!beside, inner.get(c.number()), c.toString());
        }
    }

    @Test
    void whatNobodySaidEndsNowhere() {
        BitSet unsure = upTo(12);
        unsure.andNot(upTo(8));
        TouchComparison.Look look = new TouchComparison.Look(0.03, upTo(10), unsure);
        assertEquals(List.of(), GRID.ends(look));
        BitSet inner = GRID.inner(look);
        assertTrue(GRID.cells().stream().noneMatch(c -> c.column() >= 9 && c.column() <= 12 && inner.get(c.number())));
        assertTrue(GRID.cells().stream().filter(c -> c.column() < 8).allMatch(c -> inner.get(c.number())));
    }

    @Test
    void aPlaceLiesInItsCell() {
        for (TouchCells.Cell c : GRID.cells()) {
            assertEquals(c.number(), GRID.at(new Spot(c.x0() + c.width() / 2, c.y0() + c.height() / 2)));
        }
    }
}
