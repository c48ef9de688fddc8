package homalon.core.bench;

import homalon.core.hours.OpenTime;
import homalon.core.part.Material;
import homalon.core.route.Operation;
import homalon.core.route.Route;
import homalon.core.route.Strength;
import java.time.Duration;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;

/**
 * What is still to be done at a casting, as works: the open steps of its route, each as long as it usually takes, in the route's own order.
 *
 * @param works one for each open step
 * @param orders between them
 * @param unkept what was said of them and cannot be done with them
 */
public record RouteWorks(List<Work> works, List<Order> orders, List<Unkept> unkept) {
    /** Of each piece of what is in hand as much is left at the least, minutes. */
    private static final int LEAST_LEFT = 5;

    public RouteWorks {
        works = List.copyOf(works);
        orders = List.copyOf(orders);
        unkept = List.copyOf(unkept);
    }

    /**
     * @param crew who and what there is
     * @param time that it is planned on
     */
    public static RouteWorks of(AtTheBench casting, Crew crew, OpenTime time) {
        List<Work> works = new ArrayList<>();
        List<Unkept> unkept = new ArrayList<>();
        Map<Integer, String> open = new HashMap<>();
        Map<Operation, Integer> count = new EnumMap<>(Operation.class);
        for (Route.Step step : casting.route().openSteps()) {
            int no = count.merge(step.operation(), 1, Integer::sum);
            String id = id(casting.tag(), step.operation(), no);
            open.put(step.id(), id);
            Work work = work(casting, step.operation(), id, crew, time);
            boolean held = no == 1 && inHand(casting, step.operation(), work);
            works.add(held ? inHand(casting, work, time) : said(casting, within(id), work, time, unkept));
        }
        List<Order> orders = new ArrayList<>();
        for (Route.Before edge : casting.route().edges()) {
            String before = open.get(edge.from());
            String after = open.get(edge.to());
            if (before != null && after != null) {
                orders.add(new Order(before, after, edge.strength() == Strength.MUST));
            }
        }
        return new RouteWorks(works, orders, unkept);
    }

    /** By what is done and not by its place in the route, which moves as the route grows. */
    private static String id(String casting, Operation operation, int no) {
        return casting + "/" + operation.name() + (no == 1 ? "" : "/" + no);
    }

    /** Of which casting a work is. */
    public static String casting(String work) {
        return work.substring(0, work.indexOf('/'));
    }

    /** What a work is called within its casting. */
    public static String within(String work) {
        return work.substring(work.indexOf('/') + 1);
    }

    /** What is done in a work. */
    public static Operation operation(String work) {
        return Operation.valueOf(work.split("/", -1)[1]);
    }

    private static Work work(AtTheBench casting, Operation operation, String id, Crew crew, OpenTime time) {
        UsualTime usual = UsualTimes.of(operation, casting.metal());
        List<Piece> pieces = usual.of(casting.size().apply(operation)).stream()
                .map(p -> atNight(p, usual, crew))
                .toList();
        List<Way> ways = new ArrayList<>();
        for (StationKind kind : usual.stations()) {
            crew.stations(kind).forEach(s -> ways.add(new Way(s, pieces)));
        }
        if (usual.stations().isEmpty()) {
            ways.add(new Way("", pieces));
        } else if (ways.isEmpty()) {
            // The shop has none: it is told by what it would have to be.
            ways.add(new Way(usual.stations().get(0).name(), pieces));
        }
        return new Work(
                id,
                casting.tag(),
                ways,
                crew.people(usual.stations()),
                setUp(usual, casting.metal()),
                casting.waits().of(operation).map(time::before).orElse(0),
                OptionalInt.empty());
    }

    /** What runs by itself in the shop waits out the night where its station is not left on; what is away is nobody's night. */
    private static Piece atNight(Piece piece, UsualTime usual, Crew crew) {
        boolean runs = usual.stations().isEmpty()
                || crew.nights().contains(usual.stations().get(0));
        return piece.kind() == Piece.Kind.ALONE && !runs ? piece.as(Piece.Kind.BY_DAY) : piece;
    }

    /** As it was pinned, as far as it can be. */
    private static Work said(AtTheBench casting, String within, Work work, OpenTime time, List<Unkept> unkept) {
        Pin pin = casting.pins().getOrDefault(within, Pin.NONE);
        pin.against(work, time).ifPresent(k -> unkept.add(Unkept.of(k, work.id(), pin)));
        return pin.on(work, time);
    }

    /** A desk that writes about it is at nothing. */
    private static boolean inHand(AtTheBench casting, Operation operation, Work work) {
        return casting.inHand()
                .filter(h -> h.operation() == operation && work.people().contains(h.person()))
                .isPresent();
    }

    /** It stays with whoever is at it, set up as it is, for as long as is left of it. */
    private static Work inHand(AtTheBench casting, Work work, OpenTime time) {
        AtTheBench.InHand hand = casting.inHand().orElseThrow();
        int gone = (int) Duration.between(hand.since(), time.from()).toMinutes();
        return new Work(
                work.id(),
                work.casting(),
                work.ways().stream()
                        .map(w -> new Way(w.station(), left(w.pieces(), Math.max(0, gone))))
                        .toList(),
                List.of(hand.person()),
                "",
                0,
                OptionalInt.of(0));
    }

    /** What is left of the pieces of a work that somebody has been at. What is in by now runs on as it is; the plan has no say in it. */
    private static List<Piece> left(List<Piece> pieces, int minutes) {
        List<Piece> left = new ArrayList<>();
        int gone = minutes;
        for (Piece piece : pieces) {
            int off = Math.min(gone, Math.max(0, piece.minutes() - LEAST_LEFT));
            gone -= off;
            Piece rest = new Piece(piece.minutes() - off, piece.kind());
            left.add(rest.kind() == Piece.Kind.BY_DAY ? rest.as(Piece.Kind.ALONE) : rest);
        }
        return left;
    }

    /** A cutter's inserts and an oven's programme go by the metal. */
    private static String setUp(UsualTime time, Material metal) {
        boolean byMetal = time.stations().contains(StationKind.SURFACER)
                || time.stations().contains(StationKind.OVEN);
        return byMetal ? metal.name() : "";
    }
}
