package homalon.core.bench;

import homalon.core.hours.DaysOff;
import homalon.core.hours.Hours;
import homalon.core.hours.OpenTime;
import homalon.core.hours.Stretch;
import homalon.core.hours.WeekHours;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What a shop has for its bench days: its hours, its stations, those who work there.
 *
 * @param hours of the shop, with its days off
 * @param changes minutes to set a station of a kind up for another metal; none for kinds that are not named
 * @param standing what stations are set up for now, by their ids; none where nobody knows
 * @param nights what may run by itself while the shop is closed for the night
 */
public record ShopCrew(
        Hours hours,
        List<Post> stations,
        List<Hand> hands,
        Map<StationKind, Integer> changes,
        Map<String, String> standing,
        Set<StationKind> nights) {
    /** A day's usual hours until the shop has said its own: a dinner break within. */
    public static final WeekHours USUAL_WEEK =
            WeekHours.workdays(new Stretch(7 * 60 + 30, 12 * 60), new Stretch(12 * 60 + 45, 16 * 60 + 30));

    /** Other inserts and a pass to try them; another heat. */
    public static final Map<StationKind, Integer> USUAL_CHANGES =
            Map.of(StationKind.SURFACER, 20, StationKind.OVEN, 15);

    /** A tank may soak; nothing hot and nothing under pressure is left on, and no dye left to dry, until the shop says that it may. */
    public static final Set<StationKind> USUAL_NIGHTS = Set.of(StationKind.TANK);

    /** Castings that a usual oven takes. */
    private static final int IN_AN_OVEN = 2;

    /**
     * A station of the shop.
     *
     * @param name as the shop calls it
     * @param holds castings at a time
     * @param down when it cannot be used
     */
    public record Post(String id, String name, StationKind kind, int holds, List<Down> down) {
        public Post {
            down = List.copyOf(down);
        }
    }

    /**
     * A station that cannot be used.
     *
     * @param to when it is said to be mended; empty while nobody knows
     */
    public record Down(Instant from, Optional<Instant> to) {}

    /**
     * Somebody who works at the bench.
     *
     * @param week own hours; empty for the shop's
     * @param off days not there, beside those on which the shop is closed
     * @param skills stations that this person works at
     */
    public record Hand(String id, Optional<WeekHours> week, List<DaysOff> off, Set<StationKind> skills) {
        public Hand {
            off = List.copyOf(off);
            skills = Set.copyOf(skills);
        }

        /** One who works at all of them in the shop's hours. */
        public static Hand of(String id) {
            return new Hand(id, Optional.empty(), List.of(), EnumSet.allOf(StationKind.class));
        }
    }

    public ShopCrew {
        stations = List.copyOf(stations);
        hands = List.copyOf(hands);
        changes = Map.copyOf(changes);
        standing = Map.copyOf(standing);
        nights = Set.copyOf(nights);
    }

    /** One that leaves on at night what is usual, of which nobody knows what its stations are set up for. */
    public ShopCrew(Hours hours, List<Post> stations, List<Hand> hands, Map<StationKind, Integer> changes) {
        this(hours, stations, hands, changes, Map.of(), USUAL_NIGHTS);
    }

    /** The same that may leave those on at night. */
    public ShopCrew nights(Set<StationKind> kinds) {
        return new ShopCrew(hours, stations, hands, changes, standing, kinds);
    }

    /**
     * The same, with its surfacers set up for what was cut on them last. A pass names its machine as somebody keyed it: it is the surfacer of that
     * name, or the shop's only one.
     *
     * @param latest the last pass first
     */
    public ShopCrew after(List<SetUpsSeen.Pass> latest) {
        List<Post> surfacers =
                stations.stream().filter(p -> p.kind() == StationKind.SURFACER).toList();
        Map<String, String> set = new HashMap<>();
        for (SetUpsSeen.Pass pass : latest) {
            surfacers.stream()
                    .filter(p -> surfacers.size() == 1
                            || p.name().equalsIgnoreCase(pass.machine().strip()))
                    .forEach(p -> set.putIfAbsent(p.id(), pass.metal().name()));
        }
        return new ShopCrew(hours, stations, hands, changes, set, nights);
    }

    /** One station of each kind, an oven for two: a small shop, until it has said what it has. */
    public static List<Post> usualStations() {
        return Arrays.stream(StationKind.values())
                .map(k -> new Post(k.name(), "", k, k == StationKind.OVEN ? IN_AN_OVEN : 1, List.of()))
                .toList();
    }

    /** The open time of the shop: whenever it or anybody in it is there. */
    public OpenTime time(Instant now, int days, ZoneId zone) {
        Instant to = now.plus(Duration.ofDays(days));
        List<Stretch> open = new ArrayList<>(hours.between(now, to, zone));
        hands.forEach(h -> open.addAll(there(h, now, to, zone)));
        return new OpenTime(now, open, (int) Duration.between(now, to).toMinutes());
    }

    private List<Stretch> there(Hand hand, Instant from, Instant to, ZoneId zone) {
        return new Hours(hand.week().orElse(hours.week()), hours.off())
                .with(hand.off())
                .between(from, to, zone);
    }

    /** Those who work there, on the shop's open time. */
    List<Person> people(OpenTime time, ZoneId zone) {
        Instant to = time.from().plus(Duration.ofMinutes(time.end()));
        return hands.stream()
                .map(h -> new Person(h.id(), time.away(there(h, time.from(), to, zone))))
                .toList();
    }

    /** Its stations, on the shop's open time. */
    List<Station> stations(OpenTime time) {
        return stations.stream()
                .map(p -> new Station(p.id(), p.holds(), down(p, time), standing.getOrDefault(p.id(), "")))
                .toList();
    }

    private static List<Stretch> down(Post post, OpenTime time) {
        return post.down().stream()
                .map(d -> new Stretch(
                        time.before(d.from()), d.to().map(time::before).orElseGet(time::length)))
                .filter(s -> s.minutes() > 0)
                .toList();
    }

    /** What it takes to set each station up for another metal. */
    List<Change> setUps() {
        return stations.stream()
                .filter(p -> changes.getOrDefault(p.kind(), 0) > 0)
                .map(p -> new Change(p.id(), "", "", changes.getOrDefault(p.kind(), 0)))
                .toList();
    }

    Crew crew() {
        Map<StationKind, List<String>> who = new EnumMap<>(StationKind.class);
        for (StationKind kind : StationKind.values()) {
            who.put(
                    kind,
                    hands.stream()
                            .filter(h -> h.skills().contains(kind))
                            .map(Hand::id)
                            .toList());
        }
        return new Crew(
                stations.stream()
                        .collect(Collectors.groupingBy(Post::kind, Collectors.mapping(Post::id, Collectors.toList()))),
                who,
                nights);
    }
}
