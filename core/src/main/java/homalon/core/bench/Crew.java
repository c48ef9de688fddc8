package homalon.core.bench;

import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What a shop has to work with.
 *
 * @param stations names of its stations, by what they are
 * @param people names of those who work at each
 * @param nights what may run by itself while the shop is closed for the night
 */
public record Crew(
        Map<StationKind, List<String>> stations, Map<StationKind, List<String>> people, Set<StationKind> nights) {
    public Crew {
        nights = Set.copyOf(nights);
        stations = Map.copyOf(stations);
        people = Map.copyOf(people);
    }

    List<String> stations(StationKind kind) {
        return stations.getOrDefault(kind, List.of());
    }

    List<String> people(List<StationKind> kinds) {
        return kinds.stream()
                .flatMap(k -> people.getOrDefault(k, List.of()).stream())
                .distinct()
                .toList();
    }
}
