package homalon.core.visit;

import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** Keys a sheet in memory, line after line, a minute apart. */
final class SheetHand {
    static final Instant START = Instant.parse("2026-03-02T08:00:00Z");

    private final Sheet sheet;
    private final List<Map<String, String>> setups = new ArrayList<>();
    private final List<Figure> lines = new ArrayList<>();

    SheetHand(Sheet sheet) {
        this.sheet = sheet;
    }

    record Line(
            UUID id,
            long seq,
            Sheet sheet,
            String place,
            Figure.Kind kind,
            String typed,
            BenchUnit unit,
            Optional<Length> value,
            UUID by,
            Instant at)
            implements Figure {}

    SheetHand setUp(Map<String, String> kept) {
        setups.add(kept);
        return this;
    }

    SheetHand key(String place, String typed) {
        return line(place, Figure.Kind.KEYED, typed, Optional.of(Length.parse(typed, BenchUnit.MM)), BenchUnit.MM);
    }

    SheetHand size(String place, String typed) {
        return line(place, Figure.Kind.KEYED, typed, Optional.of(Length.parseSize(typed, BenchUnit.MM)), BenchUnit.MM);
    }

    SheetHand thou(String place, String typed) {
        return line(place, Figure.Kind.KEYED, typed, Optional.of(Length.parse(typed, BenchUnit.THOU)), BenchUnit.THOU);
    }

    /** What is no length: a choice, a look, a blade that goes. */
    SheetHand say(String place, String typed) {
        return line(place, Figure.Kind.KEYED, typed, Optional.empty(), BenchUnit.MM);
    }

    SheetHand blade(String place, String thick, boolean goes) {
        return line(
                place,
                Figure.Kind.KEYED,
                thick + (goes ? "+" : "-"),
                Optional.of(Length.parse(thick, BenchUnit.MM)),
                BenchUnit.MM);
    }

    SheetHand skip(String place) {
        return line(place, Figure.Kind.SKIPPED, "/", Optional.empty(), BenchUnit.MM);
    }

    private SheetHand line(String place, Figure.Kind kind, String typed, Optional<Length> value, BenchUnit unit) {
        long seq = lines.size() + 1L;
        lines.add(new Line(
                new UUID(0, seq),
                seq,
                sheet,
                place,
                kind,
                typed,
                unit,
                value,
                new UUID(1, 1),
                START.plusSeconds(60 * seq)));
        return this;
    }

    SheetFile file() {
        Map<String, Figure> standing = new LinkedHashMap<>();
        lines.forEach(l -> standing.put(l.place(), l));
        return new SheetFile(
                sheet,
                setups.isEmpty() ? Map.of() : setups.get(setups.size() - 1),
                List.copyOf(setups),
                standing,
                List.copyOf(lines),
                List.copyOf(lines),
                lines.size());
    }
}
