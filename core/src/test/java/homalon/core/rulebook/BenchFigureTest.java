package homalon.core.rulebook;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.quantity.BenchUnit;
import homalon.core.rulebook.BenchFigure.Span;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class BenchFigureTest {
    private static final BookDefaults MM = BookDefaults.of(BenchUnit.MM);

    @ParameterizedTest
    @EnumSource
    void aGeneralValueMayBeKeyedAsTheShopsOwn(BenchFigure figure) {
        for (BenchUnit unit : BenchUnit.values()) {
            double general = figure.general(BookDefaults.of(unit));
            assertTrue(general >= figure.least() && general <= figure.most(), unit + " " + general);
        }
        assertEquals(figure.general(MM), figure.value(MM));
        assertEquals(Source.DEFAULT, figure.source(MM));
    }

    /** Of a least and a most the shop's own stands, and the general value beside it gives way. */
    @ParameterizedTest
    @CsvSource({
        ", , 0.02, 0.05, DEFAULT",
        "0.03, , 0.03, 0.05, SHOP_DEFAULT",
        ", 0.04, 0.02, 0.04, SHOP_DEFAULT",
        "0.06, , 0.06, 0.06, SHOP_DEFAULT",
        ", 0.01, 0.01, 0.01, SHOP_DEFAULT",
        "0.01, 0.08, 0.01, 0.08, SHOP_DEFAULT",
        "0.03, 0.03, 0.03, 0.03, SHOP_DEFAULT"
    })
    void aLeastAndAMost(Double ownLeast, Double ownMost, double least, double most, Source source) {
        Map<String, BookDefaults.Own> own = new HashMap<>();
        if (ownLeast != null) {
            own.put(BenchFigure.GUIDE_PRESS_LEAST_IRON.ofShop(), new BookDefaults.Own(ownLeast, "our lathe"));
        }
        if (ownMost != null) {
            own.put(BenchFigure.GUIDE_PRESS_MOST_IRON.ofShop(), new BookDefaults.Own(ownMost, "our lathe"));
        }
        assertEquals(
                new Span(least, most, source),
                BenchFigure.span(
                        BenchFigure.GUIDE_PRESS_LEAST_IRON,
                        BenchFigure.GUIDE_PRESS_MOST_IRON,
                        new BookDefaults(BenchUnit.MM, own)));
    }

    @Test
    void aThouShopHasRoundFigures() {
        BookDefaults thou = BookDefaults.of(BenchUnit.THOU);
        assertEquals(0.8 * 0.0254, BenchFigure.GUIDE_PRESS_LEAST_IRON.value(thou), 1e-12);
        assertEquals(0.120 * 25.4, BenchFigure.INSERT_WALL_IRON.value(thou), 1e-12);
        assertEquals(7 * 0.0254, BenchFigure.FACE_ODD.value(thou), 1e-12);
        assertEquals(2.8, BenchFigure.INSERT_PRESS_MOST_IRON.value(thou), "a share is the same in both");
    }
}
