package homalon.core.integrity;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.part.Material;
import homalon.core.words.English;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

class CleaningTest {
    private static Cleaning.Advice advice(
            CleaningMethod method, Material material, boolean plugs, Cleaning.Dirt... dirt) {
        return Cleaning.advice(method, new Cleaning.Asked(material, plugs, Set.of(dirt)));
    }

    @Test
    void anAluminiumHeadIsNeitherBakedNorBoiledInCaustic() {
        Cleaning.Advice bake = advice(CleaningMethod.BAKE, Material.ALUMINIUM, false);
        assertEquals(Cleaning.Fit.REFUSED, bake.fit());
        assertTrue(English.of(bake.why()).contains("temper"));
        assertEquals(
                Cleaning.Fit.REFUSED,
                advice(CleaningMethod.HOT_TANK, Material.ALUMINIUM, false).fit());
        assertEquals(
                Cleaning.Fit.GOOD,
                advice(CleaningMethod.BAKE, Material.CAST_IRON, false, Cleaning.Dirt.CARBON)
                        .fit());
    }

    @Test
    void brassPlugsKeepIronOutOfTheOvenButNotOutOfTheTank() {
        assertTrue(
                English.of(advice(CleaningMethod.BAKE, Material.CAST_IRON, true).why())
                        .contains("plugs"));
        assertEquals(
                Cleaning.Fit.GOOD,
                advice(CleaningMethod.HOT_TANK, Material.CAST_IRON, true, Cleaning.Dirt.OIL)
                        .fit());
    }

    @Test
    void gritAsksForThePassages() {
        for (CleaningMethod method : CleaningMethod.values()) {
            boolean grit = method == CleaningMethod.BLAST || method == CleaningMethod.TUMBLE;
            assertEquals(grit, advice(method, Material.CAST_IRON, false).asks().contains(SmallCheck.PASSAGES_BRUSHED));
        }
    }

    @Test
    void noAbrasivePaperOnAluminium() {
        assertTrue(English.of(advice(CleaningMethod.SCRAPE_BY_HAND, Material.ALUMINIUM, false)
                        .why())
                .contains("no abrasive paper"));
    }

    /** Whatever sticks to whatever casting, something takes it off and the first in the list does. */
    @Test
    void somethingAlwaysFits() {
        for (Material material : Material.values()) {
            for (Cleaning.Dirt dirt : Cleaning.Dirt.values()) {
                List<Cleaning.Advice> all = Cleaning.advice(new Cleaning.Asked(material, true, Set.of(dirt)));
                assertEquals(Cleaning.Fit.GOOD, all.get(0).fit(), material + " " + dirt);
                assertEquals(CleaningMethod.values().length, all.size());
            }
        }
    }
}
