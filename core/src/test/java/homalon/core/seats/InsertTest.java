package homalon.core.seats;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.catalogue.Item;
import homalon.core.catalogue.Metal;
import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.part.Material;
import homalon.core.quantity.BenchUnit;
import homalon.core.rulebook.BookDefaults;
import homalon.core.rulebook.Source;
import homalon.core.seats.InsertChoice.Asked;
import homalon.core.seats.InsertChoice.Neighbour;
import homalon.core.seats.InsertChoice.Rule;
import homalon.core.seats.InsertChoice.Sign;
import homalon.core.words.English;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class InsertTest {
    private static final BookDefaults PLAIN = BookDefaults.of(BenchUnit.MM);

    private static Item ring(String code, double outer, double inner) {
        return new Item(
                code, Item.Kind.INSERT, "", outer, inner, 7, Optional.of(Metal.HARD_IRON), OptionalDouble.empty());
    }

    private static final List<Item> LIST =
            List.of(ring("A", 34.6, 27), ring("B", 35.0, 27), ring("C", 35.6, 27), ring("D", 36.4, 28));

    private static Asked asked(double wall, List<Neighbour> neighbours, Damage damage, Sign... signed) {
        return new Asked(
                new InsertLimits(Material.ALUMINIUM, PLAIN),
                34.4,
                7,
                wall,
                28.5,
                33,
                0,
                200,
                neighbours,
                damage,
                Optional.empty(),
                false,
                Set.of(signed));
    }

    private static Damage broken(double from, double to, double beyond) {
        return new Damage(List.of(Damage.Arc.ofHours(from, to, beyond)));
    }

    /** A ring with no hole in a wall without end, of one metal: pressure is press times E over twice the diameter. */
    @Test
    void thickRingsMeetTheSimpleCase() {
        PressFit fit = PressFit.of(
                new PressFit.Asked(Metal.HARD_IRON, Metal.HARD_IRON, 40, 40.1, 0.001, 500, 20, 20, 20, 0.02));
        assertEquals(0.1 * 150_000 / (2 * 40), fit.pressure(), 0.4, "but for a wall of half a metre");
        // A thinner wall holds with less pressure and more stress.
        PressFit thin =
                PressFit.of(new PressFit.Asked(Metal.HARD_IRON, Metal.HARD_IRON, 40, 40.1, 30, 2, 20, 20, 20, 0.02));
        PressFit thick =
                PressFit.of(new PressFit.Asked(Metal.HARD_IRON, Metal.HARD_IRON, 40, 40.1, 30, 8, 20, 20, 20, 0.02));
        assertTrue(thin.pressure() < thick.pressure() && thin.hoop() > thick.hoop());
    }

    @Test
    void theCurveAgreesWithItsFigures() {
        Random random = new Random(2);
        for (int n = 0; n < 100; n++) {
            double d = 25 + random.nextDouble() * 30;
            PressFit fit = PressFit.of(new PressFit.Asked(
                    Metal.ALUMINIUM,
                    Metal.values()[2 + random.nextInt(5)],
                    d,
                    d + 0.05 + random.nextDouble() * 0.1,
                    d * 0.8,
                    4,
                    -78,
                    120,
                    20 + random.nextDouble() * 300,
                    0.02));
            assertEquals(fit.press(), fit.at(20), 1e-12);
            assertEquals(fit.hot(), fit.at(fit.asked().runAt()), 1e-12);
            assertEquals(0, fit.at(fit.goneAt().orElseThrow()), 1e-9);
            List<Spot> curve = fit.curve();
            assertEquals(-200, curve.get(0).x());
            assertEquals(350, curve.get(curve.size() - 1).x());
            for (int i = 1; i < curve.size(); i++) {
                assertTrue(curve.get(i).y() < curve.get(i - 1).y(), "an aluminium head lets go as it warms");
            }
        }
    }

    @Test
    void deepColdShrinksLessThanThePlainFigurePromises() {
        PressFit.Asked dry =
                new PressFit.Asked(Metal.CAST_IRON, Metal.POWDER_METAL, 38, 38.1, 31, 5, -99, 20, 200, 0.02);
        PressFit.Asked nitrogen =
                new PressFit.Asked(Metal.CAST_IRON, Metal.POWDER_METAL, 38, 38.1, 31, 5, -196, 20, 200, 0.02);
        double deep = (216 * 9.5e-6 - 70 * 12e-6) / 146;
        assertEquals(-0.1 + 38 * (12e-6 * 70 + deep * 49), PressFit.of(dry).fitting(), 1e-9);
        assertEquals(-0.1 + 9.5e-6 * 38 * 216, PressFit.of(nitrogen).fitting(), 1e-9);
        assertEquals(PressFit.Goes.DRIVEN, PressFit.of(nitrogen).goes());
    }

    /** A colder ring is never a larger one, a warmer head never a smaller one, and no kelvin makes a jump. */
    @ParameterizedTest
    @EnumSource(names = {"POWDER_METAL", "HARD_IRON", "NICKEL_COBALT"})
    void theColderTheLooser(Metal ring) {
        double before = Double.NEGATIVE_INFINITY;
        for (double chill = 20; chill >= -200; chill -= 0.5) {
            double fitting = PressFit.of(
                            new PressFit.Asked(Metal.CAST_IRON, ring, 38, 38.1, 31, 5, chill, 20, 200, 0.02))
                    .fitting();
            assertTrue(fitting > before, "at " + chill);
            assertTrue(Double.isInfinite(before) || fitting - before < 38 * 0.5 * 20e-6, "no jump at " + chill);
            before = fitting;
        }
        assertEquals(ring.alphaCold() * 216e-6, -PressFit.strain(ring, -196), 1e-15);
        assertEquals(ring.alpha() * 180e-6, PressFit.strain(ring, 200), 1e-15);
    }

    @Test
    void bearingShareIsTheArcThatIsLeft() {
        assertEquals(1, Damage.NONE.bearing(34.4, 34.4));
        assertEquals(0.75, broken(2, 5, 0.4).bearing(34.4, 34.6), 1e-12);
        assertEquals(1, broken(2, 5, 0.4).bearing(34.4, 35.2), 1e-12, "cut past it");
        assertEquals(0.75, broken(11, 2, 0.4).bearing(34.4, 34.6), 1e-12, "over twelve");
        assertEquals(0, broken(3, 3, 0.4).bearing(34.4, 34.6), 1e-12, "all round");
        Damage two = new Damage(List.of(Damage.Arc.ofHours(1, 4, 0.5), Damage.Arc.ofHours(3, 6, 0.5)));
        assertEquals(1 - 5 / 12.0, two.bearing(34.4, 34.6), 1e-12, "what overlaps counts once");
        assertEquals(34.4 + 2 * 0.65, broken(2, 5, 0.4).cleanedBy(34.4), 1e-12);
    }

    /** The smallest that cleans is stepped up to; where the wall does not allow it, the wall stops it and says by how much. */
    @Test
    void stepsUpUntilTheWallStopsIt() {
        Damage damage = broken(2, 5, 0.18);
        InsertChoice choice = InsertChoice.of(asked(4.2, List.of(), damage), LIST);
        assertEquals("C", choice.chosen().orElseThrow().insert().code(), "two sizes up");
        assertEquals(Rule.CLEANS, choice.steps().get(0).broken().get(0).rule());
        InsertChoice stopped = InsertChoice.of(asked(3.7, List.of(), damage), LIST);
        assertTrue(stopped.chosen().isEmpty());
        assertEquals(Rule.WALL, stopped.stop().orElseThrow().rule());
        double cut = stopped.steps().get(2).cutTo();
        assertEquals(3.7 - (cut - 34.4) / 2 - 3.5, stopped.stop().orElseThrow().spare(), 1e-9);
        // Signed for, with the press brought down to its least.
        InsertChoice signed = InsertChoice.of(asked(3.7, List.of(), damage, Sign.THIN_WALL), LIST);
        assertEquals("C", signed.chosen().orElseThrow().insert().code());
        assertEquals(
                0.0028 * 35.6, signed.chosen().orElseThrow().fit().orElseThrow().press(), 1e-9, "its least press");
    }

    /** Press by diameter, and what heat asks for where that is more. */
    @ParameterizedTest
    @CsvSource({
        "CAST_IRON, HARD_IRON, 40, 200, 0.0800, 0.1120",
        "ALUMINIUM, HARD_IRON, 40, 20, 0.1120, 0.1440",
        // Eleven millionths apart over 200 degrees: 0.088, and 0.025 above it.
        "ALUMINIUM, HARD_IRON, 40, 220, 0.1130, 0.1440",
        "ALUMINIUM, HARD_IRON, 40, 400, 0.1922, 0.1922",
        "CAST_IRON, HARD_IRON, 8, 200, 0.0250, 0.0250",
        // A ring that grows more than the head holds the better for it.
        "CAST_IRON, NICKEL_COBALT, 50, 400, 0.1000, 0.1400"
    })
    void pressWanted(Material head, Metal ring, double bore, double runAt, double least, double most) {
        double[] press = new InsertLimits(head, PLAIN).press(ring, bore, runAt);
        assertEquals(least, press[0], 1e-9);
        assertEquals(most, press[1], 1e-9);
    }

    /** The shop's own limits stand before the general ones, each with where it is from. */
    @Test
    void theShopsOwnLimits() {
        BookDefaults shop = new BookDefaults(
                BenchUnit.MM,
                Map.of(
                        "BENCH_INSERT_HOT", new BookDefaults.Own(0.05, "ours"),
                        "BENCH_INSERT_PRESS_LEAST_ALUMINIUM", new BookDefaults.Own(3.8, "ours"),
                        "BENCH_INSERT_WALL_ALUMINIUM", new BookDefaults.Own(4.5, "ours"),
                        "BENCH_INSERT_BRIDGE", new BookDefaults.Own(2.5, "ours")));
        InsertLimits ours = new InsertLimits(Material.ALUMINIUM, shop);
        double[] press = ours.press(Metal.HARD_IRON, 40, 20);
        assertEquals(0.152, press[0], 1e-9);
        assertEquals(0.152, press[1], 1e-9, "the general most gives way");
        assertEquals(0.055, ours.press(Metal.HARD_IRON, 8, 20)[0], 1e-9);
        Asked plain = asked(5.2, List.of(new Neighbour("2I", 37, 34)), Damage.NONE);
        Asked q = new Asked(
                ours,
                34.4,
                7,
                5.2,
                28.5,
                33,
                0,
                200,
                plain.neighbours(),
                Damage.NONE,
                Optional.empty(),
                false,
                Set.of());
        for (Rule rule : List.of(Rule.WALL, Rule.BRIDGE)) {
            InsertChoice.Check own = check(q, "D", rule);
            InsertChoice.Check general = check(plain, "D", rule);
            assertTrue(general.holds(), rule.name());
            assertFalse(own.holds(), rule.name());
            assertEquals(-1, own.spare() - general.spare(), 0.02, rule.name());
        }
        assertEquals(Source.SHOP_DEFAULT, ours.wallSource());
        assertEquals(Source.SHOP_DEFAULT, ours.pressSource());
        assertEquals(Source.DEFAULT, new InsertLimits(Material.CAST_IRON, shop).wallSource());
        assertEquals(3.0, new InsertLimits(Material.CAST_IRON, shop).wall());
    }

    private static InsertChoice.Check check(Asked q, String code, Rule rule) {
        return InsertChoice.of(q, LIST).steps().stream()
                .filter(s -> s.insert().code().equals(code))
                .flatMap(s -> s.checks().stream())
                .filter(c -> c.rule() == rule)
                .findFirst()
                .orElseThrow();
    }

    /** Stress against the strength of the casting, cold and hot. */
    @ParameterizedTest
    @CsvSource({
        // press, wall, run at, strain
        "0.06, 20, 200, BEARS",
        "0.10, 6, 200, WARNS",
        "0.10, 3, 200, SIGNED",
        "0.15, 3, 200, BARRED"
    })
    void howTheCastingStandsIt(double press, double wall, double runAt, PressFit.Strain strain) {
        PressFit fit = PressFit.of(
                new PressFit.Asked(Metal.CAST_IRON, Metal.HARD_IRON, 40, 40 + press, 30, wall, 20, 20, runAt, 0.02));
        assertEquals(strain, fit.strain(), () -> fit.shareCold() + " " + fit.shareHot());
        assertEquals(fit.hoop() / 220, fit.shareCold(), 1e-12);
        assertEquals(fit.shareCold(), fit.shareHot(), 1e-12, "of one growth, the press stays");
        assertTrue(fit.shareRingHotter() > fit.shareHot());
    }

    @ParameterizedTest
    @CsvSource({"0.59999, BEARS", "0.60001, WARNS", "0.90001, SIGNED", "1.3, SIGNED", "1.30001, BARRED", "0, BEARS"})
    void bandsOfStrain(double share, PressFit.Strain strain) {
        assertEquals(strain, PressFit.Strain.of(share));
    }

    /** Aluminium is weaker hot, and its press is less: the worse of the two decides. */
    @Test
    void aluminiumIsLookedAtColdAndHot() {
        assertEquals(240, Metal.ALUMINIUM.strength(20), 1e-9);
        assertEquals(130, Metal.ALUMINIUM.strength(220), 1e-9);
        assertEquals(185, Metal.ALUMINIUM.strength(120), 1e-9);
        assertEquals(Metal.ALUMINIUM.strength(300), Metal.ALUMINIUM.strength(500), 1e-9, "no further guess");
        PressFit same =
                PressFit.of(new PressFit.Asked(Metal.ALUMINIUM, Metal.ALUMINIUM, 40, 40.1, 30, 8, 20, 20, 220, 0.02));
        assertEquals(same.hoop() / 130, same.shareHot(), 1e-12);
        assertTrue(same.shareHot() > same.shareCold());
        PressFit let =
                PressFit.of(new PressFit.Asked(Metal.ALUMINIUM, Metal.HARD_IRON, 40, 40.05, 30, 8, 20, 20, 300, 0.02));
        assertEquals(0, let.shareHot(), "nothing is left of it");
        // A ring that runs hotter warns, and no more.
        PressFit hotter =
                PressFit.of(new PressFit.Asked(Metal.CAST_IRON, Metal.HARD_IRON, 40, 40.07, 30, 6, 20, 20, 200, 0.02));
        assertTrue(
                hotter.shareCold() < 0.6 && hotter.shareRingHotter() > 0.6,
                () -> hotter.shareCold() + " " + hotter.shareRingHotter());
        assertEquals(PressFit.Strain.WARNS, hotter.strain());
    }

    /** Who may lift a strained casting, and who may not. */
    @ParameterizedTest
    @CsvSource({
        "0.050, '', true",
        "0.095, '', false",
        "0.095, STRAIN, true",
        "0.095, OVERSTRAIN, true",
        "0.140, STRAIN, false",
        "0.140, OVERSTRAIN, true",
        "0.140, THIN_WALL, false"
    })
    void whoAnswersForTheStrain(double press, String sign, boolean holds) {
        Item nominal = new Item(
                "N", Item.Kind.INSERT, "", 34.5 + press, 27, 7, Optional.of(Metal.HARD_IRON), OptionalDouble.of(34.5));
        Asked q = new Asked(
                new InsertLimits(Material.CAST_IRON, PLAIN),
                34.4,
                7,
                3,
                28.5,
                33,
                0,
                200,
                List.of(),
                Damage.NONE,
                Optional.empty(),
                false,
                sign.isEmpty() ? Set.of() : Set.of(Sign.valueOf(sign)));
        InsertChoice.Check check = InsertChoice.of(q, List.of(nominal)).steps().get(0).checks().stream()
                .filter(c -> c.rule() == Rule.STRENGTH)
                .findFirst()
                .orElseThrow();
        assertEquals(holds, check.holds(), () -> check.says().toString());
        boolean lifted = holds && !sign.isEmpty();
        assertEquals(lifted, English.bare(check.says()).contains("signed for"), English.bare(check.says()));
        assertEquals(holds && !lifted, check.spare() > 0, "over nine tenths there is nothing to spare");
    }

    @Test
    void measuredSizesTakeThePlaceOfNominalOnes() {
        PressFit planned = PressFit.of(
                new PressFit.Asked(Metal.ALUMINIUM, Metal.HARD_IRON, 35, 35.11, 27, 5, -78, 120, 220, 0.02));
        PressFit got = planned.measured(35.03, 35.10);
        assertEquals(0.07, got.press(), 1e-9);
        assertFalse(got.holdsHot());
        assertEquals(-78, got.asked().chillTo());
    }

    @Test
    void aJudgedWallSaysSo() {
        Asked q = new Asked(
                new InsertLimits(Material.ALUMINIUM, PLAIN),
                34.4,
                7,
                5,
                28.5,
                33,
                0,
                200,
                List.of(),
                Damage.NONE,
                Optional.empty(),
                true,
                Set.of());
        String says = English.bare(InsertChoice.of(q, LIST).steps().get(0).checks().stream()
                .filter(c -> c.rule() == Rule.WALL)
                .findFirst()
                .orElseThrow()
                .says());
        assertTrue(says.contains("judged, not measured"), says);
    }

    @Test
    void lessThanAWholeCleanUpIsSignedAndCounted() {
        Damage small = broken(2, 3, 0.5);
        assertTrue(InsertChoice.of(asked(3.6, List.of(), small), LIST).chosen().isEmpty());
        InsertChoice.Step step = InsertChoice.of(asked(3.6, List.of(), small, Sign.PARTIAL), LIST)
                .chosen()
                .orElseThrow();
        assertEquals("A", step.insert().code());
        assertEquals(11 / 12.0, step.bearing(), 1e-12);
        // A quarter gone is too much to sign for.
        assertTrue(InsertChoice.of(asked(3.6, List.of(), broken(2, 5, 0.5), Sign.PARTIAL), LIST)
                .chosen()
                .isEmpty());
    }

    @Test
    void theBridgeToTheNeighbourCounts() {
        List<Neighbour> near = List.of(new Neighbour("2E", 35.2, 33));
        InsertChoice choice = InsertChoice.of(asked(8, near, broken(2, 5, 0.4)), LIST);
        assertTrue(choice.chosen().isEmpty());
        assertEquals(Rule.BRIDGE, choice.stop().orElseThrow().rule());
    }

    @Test
    void aNominalRowIsTheHoleItIsMeantFor() {
        Item nominal =
                new Item("N", Item.Kind.INSERT, "", 35.11, 27, 7, Optional.of(Metal.HARD_IRON), OptionalDouble.of(35));
        InsertChoice.Step step = InsertChoice.of(asked(6, List.of(), Damage.NONE), List.of(nominal))
                .steps()
                .get(0);
        assertEquals(35, step.cutTo(), 1e-12);
        assertEquals(0.11, step.fit().orElseThrow().press(), 1e-9);
    }

    @Test
    void whatCannotBeIsRefusedInWords() {
        BadInputException small = assertThrows(
                BadInputException.class,
                () -> new PressFit.Asked(Metal.CAST_IRON, Metal.HARD_IRON, 35, 34.9, 27, 4, 20, 20, 200, 0.02));
        assertTrue(English.of(small.sentence()).contains("smaller than its hole"), English.of(small.sentence()));
        BadInputException wall = assertThrows(BadInputException.class, () -> asked(-0.5, List.of(), Damage.NONE));
        assertTrue(English.of(wall.sentence()).contains("nothing to press into"), English.of(wall.sentence()));
        assertThrows(BadInputException.class, () -> Damage.Arc.ofHours(13, 2, 0.3));
        assertThrows(BadInputException.class, () -> ring("X", 30, 31));
        assertFalse(LIST.get(0).nominal());
    }
}
