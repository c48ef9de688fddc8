package homalon.core.visit;

import static org.junit.jupiter.api.Assertions.assertEquals;

import homalon.core.part.PartKind;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class OfOneEngineTest {
    private static PartFile casting(
            String tag, PartKind kind, String due, String promised, boolean left, String... with) {
        PartFile usual = Castings.of(kind, 4);
        PartFile.Visit v = usual.visit();
        PartFile.Visit visit = new PartFile.Visit(
                v.id(),
                v.no(),
                v.history(),
                v.came(),
                v.wishes(),
                v.gasket(),
                v.gasketKind(),
                v.bands(),
                day(due),
                day(promised),
                List.of(with),
                v.stuck(),
                v.openedBy(),
                v.openedAt(),
                v.releasedBy(),
                left ? Optional.of(Instant.EPOCH) : Optional.empty(),
                "");
        return new PartFile(
                usual.id(),
                tag,
                kind,
                usual.name(),
                usual.customer(),
                usual.material(),
                "",
                "",
                usual.numbers(),
                List.of(),
                visit,
                1,
                0,
                usual.rules());
    }

    private static Optional<LocalDate> day(String december) {
        return Optional.ofNullable(december).map(d -> LocalDate.parse("2026-12-" + d));
    }

    @ParameterizedTest(name = "own {0}/{1}, head {2}/{3} left {4}: {5}")
    @CsvSource({
        // Its own day is not touched, late or early.
        "18, , 04, , false, 18",
        "18, 20, 04, , false, 20",
        // Without one it is wanted with what it goes with, by what was promised there.
        ", , 04, , false, 04",
        ", , 04, 11, false, 11",
        // What left wants nothing any more.
        ", , 04, , true, ",
        ", , , , false, "
    })
    void aBlockWithoutADayIsWantedWithItsHead(
            String due, String promised, String headDue, String headPromised, boolean left, String wanted) {
        PartFile block = casting("T-2", PartKind.DECK, due, promised, false, "T-1", "T-3", "T-9");
        PartFile head = casting("T-1", PartKind.HEAD, headDue, headPromised, left, "T-2");
        PartFile other = casting("T-3", PartKind.HEAD, "24", null, left || headDue == null, "T-2");
        Map<String, PartFile> here = Map.of("T-1", head, "T-2", block, "T-3", other);
        assertEquals(day(wanted), OfOneEngine.wanted(block, here));
        assertEquals(
                left ? List.of() : headDue == null ? List.of(head) : List.of(head, other),
                OfOneEngine.here(block, here));
    }
}
