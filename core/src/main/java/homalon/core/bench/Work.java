package homalon.core.bench;

import java.util.Comparator;
import java.util.List;
import java.util.OptionalInt;

/**
 * One thing that is done to one casting, in pieces one after the other. From the begin of the first to the end of the last it holds one
 * station; two works of one casting are never in hand at the same time.
 *
 * @param id of it
 * @param casting that it is done to
 * @param ways of which it takes one; as many pieces in each, of the same kinds, that may take longer in one than in another
 * @param people of whom each attended piece takes one; empty only where no piece is attended
 * @param setUp what its station has to be set up for; empty where it is all one
 * @param earliest the first minute at which it can begin
 * @param at where it begins because somebody pinned it there, or because it is in hand
 */
public record Work(
        String id, String casting, List<Way> ways, List<String> people, String setUp, int earliest, OptionalInt at) {
    public Work {
        if (ways.isEmpty() || ways.get(0).pieces().isEmpty()) {
            throw new IllegalArgumentException("a work has one way and one piece at the least: " + id);
        }
        if (ways.stream().map(Work::kinds).distinct().count() > 1) {
            throw new IllegalArgumentException("all ways of a work have pieces of the same kinds: " + id);
        }
        ways = List.copyOf(ways);
        people = List.copyOf(people);
    }

    private static List<Piece.Kind> kinds(Way way) {
        return way.pieces().stream().map(Piece::kind).toList();
    }

    /**
     * One that takes as long on each of its stations.
     *
     * @param stations empty for what is done outside the shop
     */
    public static Work of(
            String id,
            String casting,
            List<Piece> pieces,
            List<String> stations,
            List<String> people,
            String setUp,
            int earliest) {
        List<Way> ways = stations.isEmpty()
                ? List.of(new Way("", pieces))
                : stations.stream().map(s -> new Way(s, pieces)).toList();
        return new Work(id, casting, ways, people, setUp, earliest, OptionalInt.empty());
    }

    /** The same, pinned to a minute. */
    public Work at(int minute) {
        return new Work(id, casting, ways, people, setUp, earliest, OptionalInt.of(minute));
    }

    /** The same without a place that it is pinned to. */
    public Work free() {
        return new Work(id, casting, ways, people, setUp, earliest, OptionalInt.empty());
    }

    /** Whether it is done outside the shop. */
    public boolean outside() {
        return ways.get(0).station().isEmpty();
    }

    /** Whether somebody is at one of its pieces. */
    public boolean attended() {
        return ways.get(0).pieces().stream().anyMatch(Piece::attended);
    }

    /** Minutes of all its pieces in the shortest way. */
    public int minutes() {
        return shortest().minutes();
    }

    private Way shortest() {
        return ways.stream().min(Comparator.comparingInt(Way::minutes)).orElseThrow();
    }
}
