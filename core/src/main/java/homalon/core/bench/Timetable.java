package homalon.core.bench;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/** When each work is done, by whom, on what. */
public record Timetable(List<Placed> placed) {
    public Timetable {
        placed = placed.stream()
                .sorted(Comparator.comparingInt(Placed::from).thenComparing(Placed::work))
                .toList();
    }

    public Map<String, Placed> byWork() {
        return placed.stream().collect(Collectors.toMap(Placed::work, Function.identity()));
    }
}
