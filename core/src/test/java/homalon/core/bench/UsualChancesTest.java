package homalon.core.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.hours.Hours;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.route.Event;
import homalon.core.route.Finding;
import homalon.core.route.Operation;
import homalon.core.route.Route;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a check finds, by general values and by what it found before. */
class UsualChancesTest {
    private static UsualChances.Left left(Material metal, boolean checked, Finding... found) {
        List<Event> events = new ArrayList<>();
        if (checked) {
            events.add(new Event.Did(Operation.CLEAN));
            events.add(new Event.Did(Operation.CRACK_CHECK));
        }
        for (Finding one : found) {
            events.add(new Event.Found(one));
        }
        return new UsualChances.Left(metal, Route.of(events));
    }

    @Test
    void aCheckCountsWhereItWasDoneAndWhatItFoundWhereItMadeWork() {
        Map<UsualChances.Check, UsualChances.Counted> counted = UsualChances.counted(List.of(
                left(Material.CAST_IRON, true),
                left(Material.CAST_IRON, true, Finding.CRACK_TO_STITCH),
                left(Material.CAST_IRON, true, Finding.GUIDES_WORN),
                left(Material.CAST_IRON, false, Finding.CRACK_TO_STITCH),
                left(Material.ALUMINIUM, true, Finding.CRACK_TO_WELD)));
        assertEquals(
                Map.of(
                        new UsualChances.Check(Operation.CRACK_CHECK, Material.CAST_IRON),
                        new UsualChances.Counted(3, 1),
                        new UsualChances.Check(Operation.CRACK_CHECK, Material.ALUMINIUM),
                        new UsualChances.Counted(1, 1)),
                counted);
    }

    /** The general value for a crack is 15 of 100 and counts as twenty castings. */
    @ParameterizedTest
    @CsvSource({"0, 0, 0.15", "20, 0, 0.075", "20, 20, 0.575", "180, 18, 0.105", "1980, 990, 0.4965"})
    void fewCastingsSayLittleAndManyNearlyAll(int looked, int found, double chance) {
        Instant now = Instant.parse("2026-03-10T09:00:00Z");
        ShopCrew crew = new ShopCrew(
                Hours.of(ShopCrew.USUAL_WEEK), ShopCrew.usualStations(), List.of(ShopCrew.Hand.of("Ines")), Map.of());
        AtTheBench casting = new AtTheBench(
                "T-1",
                Material.CAST_IRON,
                Route.of(List.of()),
                JobSizes.of(PartKind.HEAD, 4, Map.of(), 0),
                Optional.empty(),
                Optional.empty(),
                1,
                AtTheBench.Waits.FOR_NOTHING,
                Optional.empty(),
                Map.of());
        Bench bench = DayPlan.bench(crew, List.of(casting), List.of(), now, ZoneOffset.UTC);
        Map<UsualChances.Check, UsualChances.Counted> own = Map.of(
                new UsualChances.Check(Operation.CRACK_CHECK, Material.CAST_IRON),
                new UsualChances.Counted(looked, found),
                new UsualChances.Check(Operation.CRACK_CHECK, Material.ALUMINIUM),
                new UsualChances.Counted(500, 500));
        Chances chances = UsualChances.of(bench, List.of(casting), own);
        Chances.Turn crack = chances.turns().stream()
                .filter(t -> t.work().equals("T-1/CRACK_CHECK"))
                .findFirst()
                .orElseThrow();
        assertEquals(chance, crack.chance(), 1e-9);
        assertTrue(chances.turns().size() > 1, "what was not counted keeps the general value");
    }
}
