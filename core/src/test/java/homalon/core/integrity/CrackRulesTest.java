package homalon.core.integrity;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.words.English;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CrackRulesTest {
    private static Crack crack(Material material, CrackPlace place, boolean suspect, Reach... reaches) {
        PartKind kind = place.on(PartKind.HEAD) ? PartKind.HEAD : PartKind.DECK;
        return new Crack(kind, material, place, suspect ? 0 : 14, Set.of(reaches), CrackMethod.EYES, suspect);
    }

    @ParameterizedTest
    @CsvSource({
        "CAST_IRON, BETWEEN_SEATS, WATER, STITCH_AND_INSERT, 2",
        "ALUMINIUM, BETWEEN_SEATS, WATER, WELD, 1",
        "CAST_IRON, SEAT_TO_WATER, WATER, STITCH_AND_INSERT, 2",
        "CAST_IRON, EXHAUST_PORT, WATER, STITCH, 1",
        "CAST_IRON, BOLT_HOLE, COMBUSTION, SCRAP, 0",
        "CAST_IRON, BOLT_HOLE, WEB, SCRAP, 0",
        "CAST_IRON, BOLT_HOLE, WATER, STITCH, 1",
        "CAST_IRON, MAIN_WEB, OIL, SCRAP, 0",
        "CAST_IRON, BORE_WALL, WATER, SLEEVE, 1",
        "CAST_IRON, BETWEEN_BORES, COMBUSTION, STITCH, 1",
    })
    void theRuleProposes(Material material, CrackPlace place, Reach reach, Remedy remedy, int tests) {
        CrackRules.Rule rule = CrackRules.propose(crack(material, place, false, reach));
        assertEquals(remedy, rule.remedy());
        assertEquals(tests, rule.tests());
    }

    @Test
    void aCrackThatReachesNothingIsNotedAndMayGrow() {
        assertEquals(
                Remedy.LEAVE,
                CrackRules.propose(crack(Material.CAST_IRON, CrackPlace.GUIDE_BOSS, false))
                        .remedy());
    }

    @Test
    void aSuspectWallIsNeverCalledFine() {
        for (CrackPlace place : CrackPlace.values()) {
            Crack suspect = crack(Material.CAST_IRON, place, true);
            assertEquals(Remedy.PROVE, CrackRules.propose(suspect).remedy());
            assertFalse(CrackRules.ladder(suspect).contains(Remedy.LEAVE));
        }
    }

    /** Every rule is reached by some crack, and what it proposes can always be chosen. */
    @Test
    void noRuleIsDeadAndEveryProposalStandsOnTheLadder() {
        Set<CrackRules.Rule> used = new HashSet<>();
        for (Material material : Material.values()) {
            for (CrackPlace place : CrackPlace.values()) {
                for (int bits = 0; bits < 64; bits++) {
                    EnumSet<Reach> reaches = EnumSet.noneOf(Reach.class);
                    for (Reach r : Reach.values()) {
                        if ((bits & 1 << r.ordinal()) != 0) {
                            reaches.add(r);
                        }
                    }
                    Crack crack = crack(material, place, bits >= 32, reaches.toArray(Reach[]::new));
                    CrackRules.Rule rule = CrackRules.propose(crack);
                    assertTrue(
                            CrackRules.ladder(crack).contains(rule.remedy()),
                            () -> crack + " " + English.of(rule.when()));
                    used.add(rule);
                }
            }
        }
        assertEquals(new HashSet<>(CrackRules.RULES), used);
    }

    @Test
    void whatCannotWorkOnThatMetalOrPlaceIsRefusedTogether() {
        BadInputException e = assertThrows(
                BadInputException.class,
                () -> new Crack(
                        PartKind.HEAD,
                        Material.ALUMINIUM,
                        CrackPlace.MAIN_WEB,
                        0,
                        Set.of(),
                        CrackMethod.MAGNETIC_PARTICLE,
                        false));
        assertEquals(
                List.of("place", "method", "length"),
                e.problems().stream().map(BadInputException.Problem::field).toList());
    }

    @Test
    void pinsOverlapAndDrillTheTipsOut() {
        Stitch stitch = Stitch.of(28, 8, 0.3);
        // 28 / 5.6 is five pitches: six pins.
        assertEquals(6, stitch.pins());
        List<Spot> centres = stitch.centres(new Spot(10, 5), new Spot(38, 5));
        assertEquals(new Spot(10, 5), centres.get(0));
        assertEquals(38, centres.get(5).x(), 1e-9);
        assertEquals(2, Stitch.of(0.5, 8, 0.3).pins());
        for (double length = 0.1; length < 60; length += 0.37) {
            Stitch s = Stitch.of(length, 6, 0.3);
            assertTrue(s.pitch() <= 6 * 0.7 + 1e-9, "pins drift apart");
            assertTrue(s.pins() == 2 || length / (s.pins() - 2) > 6 * 0.7 - 1e-6, "one pin fewer would do");
        }
        assertThrows(BadInputException.class, () -> Stitch.of(0, 8, 0.3));
        assertThrows(BadInputException.class, () -> Stitch.of(10, 8, 1));
    }
}
