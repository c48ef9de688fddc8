package homalon.core.bench;

import homalon.core.part.Material;
import homalon.core.route.Operation;
import homalon.core.route.Route;
import homalon.core.route.Strength;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Function;

/**
 * What is still to be done at a casting, as works: the open steps of its route, each as long as it usually takes, in the route's own order.
 *
 * @param works one for each open step
 * @param orders between them
 */
public record RouteWorks(List<Work> works, List<Order> orders) {
    public RouteWorks {
        works = List.copyOf(works);
        orders = List.copyOf(orders);
    }

    /**
     * @param casting its tag
     * @param size for each operation
     * @param earliest minute at which anything can be done to it
     */
    public static RouteWorks of(
            String casting, Material metal, Route route, Function<Operation, JobSize> size, Crew crew, int earliest) {
        List<Work> works = new ArrayList<>();
        Set<Integer> open = new HashSet<>();
        for (Route.Step step : route.openSteps()) {
            open.add(step.id());
            works.add(work(casting, metal, step, size.apply(step.operation()), crew, earliest));
        }
        List<Order> orders = new ArrayList<>();
        for (Route.Before edge : route.edges()) {
            if (open.contains(edge.from()) && open.contains(edge.to())) {
                orders.add(
                        new Order(id(casting, edge.from()), id(casting, edge.to()), edge.strength() == Strength.MUST));
            }
        }
        return new RouteWorks(works, orders);
    }

    private static String id(String casting, int step) {
        return casting + "/" + step;
    }

    private static Work work(String casting, Material metal, Route.Step step, JobSize size, Crew crew, int earliest) {
        UsualTime time = UsualTimes.of(step.operation(), metal);
        List<Piece> pieces = time.of(size);
        List<Way> ways = new ArrayList<>();
        for (StationKind kind : time.stations()) {
            crew.stations(kind).forEach(s -> ways.add(new Way(s, pieces)));
        }
        if (time.stations().isEmpty()) {
            ways.add(new Way("", pieces));
        } else if (ways.isEmpty()) {
            // The shop has none: it is told by what it would have to be.
            ways.add(new Way(time.stations().get(0).name(), pieces));
        }
        return new Work(
                id(casting, step.id()),
                casting,
                ways,
                crew.people(time.stations()),
                setUp(time, metal),
                earliest,
                OptionalInt.empty());
    }

    /** A cutter's inserts and an oven's programme go by the metal. */
    private static String setUp(UsualTime time, Material metal) {
        boolean byMetal = time.stations().contains(StationKind.SURFACER)
                || time.stations().contains(StationKind.OVEN);
        return byMetal ? metal.name() : "";
    }
}
