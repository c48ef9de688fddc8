package homalon.core.bench;

import homalon.core.hours.OpenTime;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * All that is to be placed, and what it is placed on.
 *
 * @param time on which it is placed
 * @param changes of set-up; the first that fits counts, none where a station is set up for the same already
 * @param told where work was placed in the timetable that people were told
 * @param soon up to here what was told is to stay where it is, open minutes
 */
public record Bench(
        OpenTime time,
        List<Station> stations,
        List<Person> people,
        List<Due> dues,
        List<Work> works,
        List<Order> orders,
        List<Change> changes,
        List<Placed> told,
        int soon) {
    public Bench {
        stations = List.copyOf(stations);
        people = List.copyOf(people);
        dues = List.copyOf(dues);
        works = List.copyOf(works);
        orders = List.copyOf(orders);
        changes = List.copyOf(changes);
        told = List.copyOf(told);
    }

    /** The same with other works; orders that name none of them are gone with what they ordered. */
    public Bench with(List<Work> others) {
        Map<String, Work> kept = others.stream().collect(Collectors.toMap(Work::id, Function.identity()));
        return new Bench(
                time,
                stations,
                people,
                dues,
                others,
                orders.stream()
                        .filter(o -> kept.containsKey(o.before()) && kept.containsKey(o.after()))
                        .toList(),
                changes,
                told,
                soon);
    }

    /** Minutes to set a station up. */
    public int change(String station, String from, String to) {
        if (to.isEmpty() || from.equals(to)) {
            return 0;
        }
        for (Change c : changes) {
            if (c.station().equals(station)
                    && (c.from().isEmpty() || c.from().equals(from))
                    && (c.to().isEmpty() || c.to().equals(to))) {
                return c.minutes();
            }
        }
        return 0;
    }
}
