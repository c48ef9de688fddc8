package homalon.core.bench;

import java.util.List;

/**
 * A work in its place.
 *
 * @param work its id
 * @param station that it holds; empty for none
 * @param setUp minutes before its first piece in which whoever is at that sets the station up
 * @param parts one for each of its pieces
 */
public record Placed(String work, String station, int setUp, List<Part> parts) {
    /**
     * A piece in its place, open minutes.
     *
     * @param person who is at it; empty for what runs by itself
     */
    public record Part(String person, int from, int to) {}

    public Placed {
        parts = List.copyOf(parts);
    }

    /** Where its first piece begins. */
    public int from() {
        return parts.get(0).from();
    }

    /** Where the set-up begins, or the first piece where there is none. */
    public int begins() {
        return from() - setUp;
    }

    public int to() {
        return parts.get(parts.size() - 1).to();
    }

    /** The first who is at it; empty where nobody is. */
    public String person() {
        return parts.stream()
                .map(Part::person)
                .filter(p -> !p.isEmpty())
                .findFirst()
                .orElse("");
    }
}
