package homalon.core.visit;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/** A head and the block of its engine: they are put together, so that one is of no use before the other. */
public final class OfOneEngine {
    private OfOneEngine() {}

    /** Those of the castings that a casting goes with, and that are here. */
    public static List<PartFile> here(PartFile part, Map<String, PartFile> here) {
        return part.visit().with().stream()
                .map(here::get)
                .filter(Objects::nonNull)
                .filter(o -> o.visit().releasedAt().isEmpty())
                .toList();
    }

    /** The day by which it is wanted: its own where one was said, else the first of those it goes with. */
    public static Optional<LocalDate> wanted(PartFile part, Map<String, PartFile> here) {
        return part.visit()
                .day()
                .or(() -> here(part, here).stream()
                        .flatMap(o -> o.visit().day().stream())
                        .min(Comparator.naturalOrder()));
    }
}
