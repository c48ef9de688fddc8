package homalon.core.integrity;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Spot;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.Length;
import org.junit.jupiter.api.Test;

class CrackSpotsTest {
    /** Whatever casting, place and bore: it starts on the casting, is as long as was said, and stays near its bore. */
    @Test
    void aCrackIsDrawnAsLongAsItIsAtItsPlace() {
        for (PartKind kind : PartKind.values()) {
            for (int n = 1; n <= 8; n++) {
                Layout layout = Layout.of(LayoutNumbers.proposed(kind, n, Length.ofMm("84"), Length.ofMm("96")));
                for (CrackPlace place : CrackPlace.values()) {
                    for (int bore = -1; bore <= n; bore++) {
                        CrackSpots.Tips tips = CrackSpots.of(layout, place, bore, 12);
                        assertEquals(12, tips.from().distance(tips.to()), 1e-9);
                        Spot from = tips.from();
                        assertTrue(from.x() > -1 && from.x() < layout.box().width() + 1, () -> place + " " + from);
                        assertTrue(from.y() > -1 && from.y() < layout.box().height() + 1, () -> place + " " + from);
                        int at = Math.max(0, Math.min(n - 1, bore));
                        assertTrue(from.distance(layout.bores().get(at).centre()) < 110, () -> place + " " + from);
                        CrackSpots.Tips spot = CrackSpots.of(layout, place, bore, 0);
                        assertEquals(0, spot.from().distance(spot.to()), 1e-9);
                    }
                }
            }
        }
    }
}
