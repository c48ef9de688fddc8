package homalon.core.face;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.part.BoltRows;
import homalon.core.part.ChamberShape;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.Length;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class FeelerProposalTest {
    private static LayoutNumbers numbers(int bores) {
        return LayoutNumbers.proposed(PartKind.DECK, bores, Length.ofMm("87"), Length.ofMm("98"));
    }

    @ParameterizedTest
    @ValueSource(ints = {2, 3, 4, 6})
    void everyLineThatAVerdictRestsOnIsLaidAcrossMetalWithPlacesOnIt(int bores) {
        Layout layout = Layout.of(numbers(bores));
        List<FeelerProposal.Line> lines = FeelerProposal.of(layout);
        List<String> names = lines.stream().map(FeelerProposal.Line::name).toList();
        assertTrue(names.containsAll(List.of("Intake edge", "Middle", "Exhaust edge")), names.toString());
        assertEquals(2, names.stream().filter(n -> n.startsWith("Diagonal")).count());
        assertEquals(
                bores + 1, names.stream().filter(n -> n.startsWith("Across")).count());
        for (FeelerProposal.Line line : lines) {
            assertTrue(!line.places().isEmpty() && line.places().stream().allMatch(t -> t > 0 && t < 1), line.name());
        }
    }

    @ParameterizedTest
    @EnumSource(BoltRows.class)
    void linesGoRoundTheDowelsWhereTheyCan(BoltRows rows) {
        for (int bores = 2; bores <= 6; bores++) {
            LayoutNumbers n = numbers(bores);
            Layout layout = Layout.of(new LayoutNumbers(
                    n.cylinders(),
                    n.firstNumber(),
                    n.numberStep(),
                    n.bore(),
                    n.spacing(),
                    n.length(),
                    n.width(),
                    rows,
                    Length.ofMm("12"),
                    n.waterHoles(),
                    ChamberShape.ROUND,
                    n.intakeAtTop(),
                    2));
            for (FeelerProposal.Line line : FeelerProposal.of(layout)) {
                assertEquals(
                        line.dowels(),
                        FeelerProposal.dowels(layout, line.from(), line.to()),
                        "what a line rides on is told");
                // At the ends, along a diagonal and between bolts that stand around the bores there may be no metal
                // beside a
                // dowel: then it is told.
                boolean room = line.name().contains("edge")
                        || (line.name().contains("Middle") && rows != BoltRows.AROUND)
                        || line.name().contains("between");
                assertTrue(!room || line.dowels().isEmpty(), line.name() + " of " + bores + ", " + rows);
            }
        }
    }
}
