package homalon.core.cut;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.face.FaceMap;
import homalon.core.face.PlaceProposal;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.ledger.CornerDepths;
import homalon.core.ledger.Entry;
import homalon.core.ledger.Ledger;
import homalon.core.ledger.ThicknessCheck;
import homalon.core.part.LandRaster;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.RuleBook;
import homalon.core.sim.SeededFace;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** From a tilted cut to the ledger, the micrometer, the rule when to stop, and castings that are cut together. */
class TiltedCutTest {
    private static final Layout LAYOUT =
            Layout.of(LayoutNumbers.proposed(PartKind.HEAD, 4, Length.ofMm("87"), Length.ofMm("98")));
    private static final UUID JOB = UUID.randomUUID();

    private static Removal removal(SeededFace face, Optional<Plane> thickness, SetUpMethod school) {
        List<Spot> spots = PlaceProposal.of(LAYOUT, PlaceProposal.Density.CLOSE).stream()
                .map(PlaceProposal.Place::spot)
                .toList();
        Points points = face.read(spots, 0, 1);
        boolean[] sealing = new boolean[points.size()];
        java.util.Arrays.fill(sealing, true);
        FaceMap map = FaceMap.of(points, Plane.LEVEL, LandRaster.of(LAYOUT, 84)).orElseThrow();
        Supports footing = Supports.usual(LAYOUT.box(), RuleBook.shims(BenchUnit.MM));
        return Comparison.of(new Comparison.Question(points, sealing, map, thickness, footing))
                .with(school)
                .orElseThrow();
    }

    /** A flat face on a head that is 0.20 thicker at the rear, cut parallel: the rear gives it all, and in the end 0.20 more. */
    @Test
    void passesBookAtEachCornerWhatTheyTakeThere() {
        SeededFace flat = new SeededFace(LAYOUT.box(), 0, 0, 0, 0, 0, List.of());
        Plane thickness = new Plane(0.2 / LAYOUT.box().width(), 0, 120);
        Removal r = removal(flat, Optional.of(thickness), SetUpMethod.PARALLEL);
        Ledger ledger = new Ledger(List.of());
        Length total = Length.ZERO;
        List<Entry> entries = new ArrayList<>();
        for (String depth : List.of("0.01", "0.05", "0.05", "0.05", "0.05", "0.02")) {
            Length pass = Length.ofMm(depth);
            CornerDepths taken = r.taken(total, pass);
            assertTrue(taken.most().compareTo(pass) <= 0, "no corner gives more than the pass is deep");
            entries.add(new Entry(UUID.randomUUID(), JOB, Entry.Kind.PASS, pass, Optional.empty(), Optional.of(taken)));
            ledger = new Ledger(entries);
            total = total.plus(pass);
        }
        CornerDepths off = ledger.corners(JOB).thisJob();
        double taper =
                (off.each().get(1).mm() - off.each().get(0).mm()) / LAYOUT.box().width();
        // Places are read a little inside the corners, and shims come in steps of 0.01.
        assertEquals(0.2 / LAYOUT.box().width(), taper, 0.015 / LAYOUT.box().width());
        assertEquals(total, ledger.totals(JOB).thisJob());
        Entry wrong = entries.get(2);
        entries.add(new Entry(UUID.randomUUID(), JOB, Entry.Kind.REVERSAL, Length.ZERO, Optional.of(wrong.id())));
        entries.add(
                new Entry(UUID.randomUUID(), JOB, Entry.Kind.OPENING_ESTIMATED, Length.ofMm("0.3"), Optional.empty()));
        Ledger.CornerTotals after = new Ledger(entries).corners(JOB);
        for (int c = 0; c < 4; c++) {
            Length taken = wrong.atCorners().each().get(c);
            assertEquals(off.each().get(c).minus(taken), after.thisJob().each().get(c), "taken back at corner " + c);
            assertEquals(
                    after.thisJob().each().get(c).plus(Length.ofMm("0.3")),
                    after.life().each().get(c));
        }
    }

    /** However a cut is split into passes, the corners add up the same. */
    @Test
    void cornersDoNotDependOnHowTheCutIsSplit() {
        Random random = new Random(8);
        for (int n = 0; n < 40; n++) {
            Removal r = removal(
                    new SeededFace(
                            LAYOUT.box(),
                            random.nextGaussian() * 0.2,
                            random.nextGaussian() * 0.1,
                            random.nextGaussian() * 0.05,
                            0,
                            random.nextGaussian() * 0.1,
                            List.of()),
                    Optional.empty(),
                    SetUpMethod.AVERAGE);
            Length total = Length.ofMm("0.24");
            CornerDepths once = r.taken(Length.ZERO, total);
            CornerDepths parts = CornerDepths.NONE;
            for (int k = 0; k < 8; k++) {
                parts = parts.plus(r.taken(new Length(30_000L * k), Length.ofMm("0.03")));
            }
            for (int c = 0; c < 4; c++) {
                assertEquals(once.each().get(c).mm(), parts.each().get(c).mm(), 1e-5);
            }
        }
    }

    @Test
    void theMicrometerTellsOnTheDial() {
        CornerDepths booked = new CornerDepths(
                List.of(Length.ofMm("0.10"), Length.ofMm("0.20"), Length.ofMm("0.10"), Length.ofMm("0.20")));
        List<ThicknessCheck.Read> before = new ArrayList<>();
        List<ThicknessCheck.Read> after = new ArrayList<>();
        for (Spot corner : LAYOUT.corners()) {
            String name = corner.toString();
            before.add(new ThicknessCheck.Read(name, corner, Length.ofMm("118.00")));
            Length off = Length.ofMm(corner.x() > 1 ? "0.21" : "0.10");
            after.add(
                    new ThicknessCheck.Read(name, corner, Length.ofMm("118.00").minus(off)));
        }
        ThicknessCheck check =
                ThicknessCheck.of(before, after, booked, LAYOUT.box()).orElseThrow();
        assertTrue(check.agrees());
        assertEquals(0.01, check.worst().apart(), 1e-9);
        assertEquals(0.15, booked.at(LAYOUT.box(), new Spot(LAYOUT.box().width() / 2, 3)), 1e-9);
        after.set(0, new ThicknessCheck.Read("slipped", LAYOUT.corners().get(0), Length.ofMm("117.869")));
        ThicknessCheck apart =
                ThicknessCheck.of(before, after, booked, LAYOUT.box()).orElseThrow();
        assertFalse(apart.agrees());
        assertEquals("slipped", apart.worst().name());
        assertEquals(0.031, apart.worst().apart(), 1e-9);
        assertTrue(ThicknessCheck.of(before.subList(0, 1), after.subList(1, 4), booked, LAYOUT.box())
                .isEmpty());
    }

    @Test
    void whatIsLeftMayStayOnlyOffTheSealingBands() {
        TouchCells grid = TouchCells.of(LandRaster.of(LAYOUT, 84));
        BitSet all = new BitSet();
        grid.cells().forEach(c -> all.set(c.number()));
        assertEquals(StopRule.State.CLEAN, StopRule.of(grid, all).state());
        Layout.Bore two = LAYOUT.bores().get(1);
        int onRing = cellAt(grid, new Spot(two.centre().x(), two.centre().y() + two.diameter() / 2 + 6));
        int offRing = grid.cells().stream()
                .filter(c -> !grid.sealing().get(c.number()))
                .findFirst()
                .orElseThrow()
                .number();
        BitSet touched = (BitSet) all.clone();
        touched.clear(offRing);
        StopRule dip = StopRule.of(grid, touched);
        assertEquals(StopRule.State.MAY_STAY, dip.state());
        assertTrue(dip.share() > 0 && dip.share() < 0.02);
        touched.clear(onRing);
        StopRule ring = StopRule.of(grid, touched);
        assertEquals(StopRule.State.GO_ON, ring.state());
        assertTrue(ring.sealing().get(onRing) && !ring.sealing().get(offRing));
    }

    private static int cellAt(TouchCells grid, Spot s) {
        return grid.cells().stream()
                .filter(c ->
                        s.x() >= c.x0() && s.x() < c.x0() + c.width() && s.y() >= c.y0() && s.y() < c.y0() + c.height())
                .findFirst()
                .orElseThrow()
                .number();
    }

    @Test
    void aBatchGivesWhatTheWorstNeeds() {
        PassPlan.Depths depths = PassPlan.Depths.usual(BenchUnit.MM);
        Length dial = RuleBook.dialStep(BenchUnit.MM);
        Batch batch = Batch.of(
                List.of(
                        new Batch.Member("left", Material.CAST_IRON, 0.06),
                        new Batch.Member("right", Material.CAST_IRON, 0.14)),
                depths,
                dial);
        assertEquals(PassPlan.toClean(0.14, depths, dial), batch.passes());
        assertEquals(Length.ofMm("0.08"), batch.members().get(0).extra());
        assertEquals(Length.ZERO, batch.members().get(1).extra());
        int left = batch.members().get(0).clean().orElseThrow();
        assertTrue(batch.passes().passes().get(left).total().mm() >= 0.06
                && batch.passes().passes().get(left - 1).total().mm() < 0.06);
        assertEquals(
                OptionalInt.of(batch.passes().passes().size() - 1),
                OptionalInt.of(batch.members().get(1).clean().orElseThrow()));
        for (List<Batch.Member> bad : List.of(
                List.of(new Batch.Member("alone", Material.CAST_IRON, 0.1)),
                List.of(
                        new Batch.Member("iron", Material.CAST_IRON, 0.1),
                        new Batch.Member("light", Material.ALUMINIUM, 0.1)))) {
            assertThrows(BadInputException.class, () -> Batch.of(bad, depths, dial));
        }
    }
}
