package homalon.core.visit;

import homalon.core.chambers.EngineBook.Crown;
import homalon.core.chambers.EngineBook.Drive;
import homalon.core.chambers.EngineBook.Rods;
import homalon.core.input.Problems;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.quantity.NotALengthException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * What is chosen of an engine and how its chambers are filled.
 *
 * @param depths below the face to which chambers are filled beside the brim; none as a rule
 */
public record ChamberSetup(Drive drive, Crown crown, Rods rods, List<Length> depths) {
    private static final int MOST_DEPTHS = 4;

    public static final ChamberSetup NONE = new ChamberSetup(Drive.UNKNOWN, Crown.FLAT, Rods.IRON, List.of());

    public static ChamberSetup of(Map<String, String> kept) {
        return kept.isEmpty()
                ? NONE
                : new ChamberSetup(
                        Drive.valueOf(Objects.requireNonNull(kept.get("drive"))),
                        Crown.valueOf(Objects.requireNonNull(kept.get("crown"))),
                        Rods.valueOf(Objects.requireNonNull(kept.get("rods"))),
                        Arrays.stream(kept.getOrDefault("depths", "").split(" "))
                                .filter(d -> !d.isEmpty())
                                .map(d -> Length.ofNanometres(Long.parseLong(d)))
                                .toList());
    }

    public Map<String, String> kept() {
        Map<String, String> kept = new TreeMap<>();
        kept.put("drive", drive.name());
        kept.put("crown", crown.name());
        kept.put("rods", rods.name());
        kept.put(
                "depths",
                depths.stream().map(d -> Long.toString(d.nanometres())).collect(Collectors.joining(" ")));
        return kept;
    }

    /** @throws homalon.core.input.BadInputException naming every field that cannot be */
    public static ChamberSetup typed(Map<String, String> form, BenchUnit unit) {
        Problems problems = new Problems();
        List<Length> depths = new ArrayList<>();
        String typed = form.getOrDefault("depths", "").strip();
        for (String d : typed.isEmpty() ? new String[0] : typed.split("[ ;]+")) {
            try {
                Length depth = Length.parse(d, unit);
                boolean fits = problems.require(
                        depth.mm() >= 0.1 && depth.mm() <= 50 && depths.size() < MOST_DEPTHS,
                        "depths",
                        "visit.fill-to-depths-too-key-up-to-four");
                if (fits && !depths.contains(depth)) {
                    depths.add(depth);
                }
            } catch (NotALengthException e) {
                problems.require(false, "depths", "visit.fill-to-depths-too", e.sentence());
            }
        }
        ChamberSetup setup = new ChamberSetup(
                one(Drive.class, form.get("drive"), problems, "drive"),
                one(Crown.class, form.get("crown"), problems, "crown"),
                one(Rods.class, form.get("rods"), problems, "rods"),
                List.copyOf(depths));
        problems.throwIfAny();
        return setup;
    }

    private static <E extends Enum<E>> E one(Class<E> type, @Nullable String typed, Problems problems, String field) {
        for (E e : type.getEnumConstants()) {
            if (e.name().equals(typed)) {
                return e;
            }
        }
        problems.require(typed == null, field, "visit.choose-one-of-what-is-offered");
        return type.getEnumConstants()[0];
    }

    public String shownDepths(LengthWriter writer) {
        return depths.stream().map(writer::exact).collect(Collectors.joining(" "));
    }
}
