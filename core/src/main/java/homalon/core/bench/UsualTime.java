package homalon.core.bench;

import java.util.List;

/**
 * How long something usually takes, and on what it is done: what a shop goes by until it has seen its own.
 *
 * @param stations of which one will do; empty for what is done outside the shop
 * @param steps one after the other, one at the least
 */
public record UsualTime(List<StationKind> stations, List<Step> steps) {
    /**
     * One piece of it.
     *
     * @param minutes however small the casting
     * @param cylinder more for each cylinder
     * @param valve more for each valve
     * @param one more for each of those that the work is about
     * @param pass more for each pass
     */
    public record Step(Piece.Kind kind, int minutes, int cylinder, int valve, int one, int pass) {
        Piece of(JobSize size) {
            int sum = minutes
                    + cylinder * size.cylinders()
                    + valve * size.valves()
                    + one * size.some()
                    + pass * size.passes();
            return new Piece(Math.max(1, sum), kind);
        }
    }

    public UsualTime {
        if (steps.isEmpty()) {
            throw new IllegalArgumentException("what takes time has one step at the least");
        }
        stations = List.copyOf(stations);
        steps = List.copyOf(steps);
    }

    /** Its pieces for a casting; where the shop's own time is known, those in hands are as long in sum as that, what runs by itself as ever. */
    public List<Piece> of(JobSize size) {
        List<Piece> usual = steps.stream().map(s -> s.of(size)).toList();
        int hands =
                usual.stream().filter(Piece::attended).mapToInt(Piece::minutes).sum();
        if (size.hands().isEmpty() || hands == 0) {
            return usual;
        }
        double factor = size.hands().getAsInt() / (double) hands;
        return usual.stream()
                .map(p -> p.attended() ? new Piece(Math.max(1, (int) Math.round(p.minutes() * factor)), p.kind()) : p)
                .toList();
    }

    /** Minutes of all of them. */
    public int minutes(JobSize size) {
        return of(size).stream().mapToInt(Piece::minutes).sum();
    }
}
