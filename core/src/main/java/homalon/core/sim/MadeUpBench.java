package homalon.core.sim;

import homalon.core.bench.Bench;
import homalon.core.bench.Change;
import homalon.core.bench.Due;
import homalon.core.bench.Order;
import homalon.core.bench.Person;
import homalon.core.bench.Piece;
import homalon.core.bench.Station;
import homalon.core.bench.Work;
import homalon.core.hours.Hours;
import homalon.core.hours.OpenTime;
import homalon.core.hours.Stretch;
import homalon.core.hours.WeekHours;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.SplittableRandom;

/** Benches of made-up castings, for tests and timings: eight stations, a few people, iron and aluminium. */
public final class MadeUpBench {
    private static final List<String> PEOPLE = List.of("Ines", "Marit", "Brannoc", "Oda", "Tove", "Kel");
    private static final List<String> METALS = List.of("iron", "aluminium");
    private static final List<String> PILOTS = List.of("pilot-6", "pilot-7", "pilot-8");
    private static final int DAYS = 42;

    private final SplittableRandom random;
    private final List<String> people;
    private final OpenTime time;
    private final boolean ovenAtNight;
    private final List<Work> works = new ArrayList<>();
    private final List<Order> orders = new ArrayList<>();

    private MadeUpBench(long seed, int people) {
        this.random = new SplittableRandom(seed);
        this.ovenAtNight = seed % 2 == 0;
        this.people = PEOPLE.subList(0, people);
        Hours hours = Hours.of(
                WeekHours.workdays(new Stretch(7 * 60 + 30, 12 * 60), new Stretch(12 * 60 + 45, 16 * 60 + 30)));
        Instant from = Instant.parse("2026-11-02T07:00:00Z");
        Instant to = from.plus(Duration.ofDays(DAYS));
        this.time = new OpenTime(from, hours.between(from, to, ZoneId.of("Europe/Oslo")), (int)
                Duration.ofDays(DAYS).toMinutes());
    }

    /**
     * @param castings each with some eight works
     * @param people 1 to 6
     */
    public static Bench draw(long seed, int castings, int people) {
        MadeUpBench made = new MadeUpBench(seed, people);
        List<Due> dues = new ArrayList<>();
        for (int c = 0; c < castings; c++) {
            String tag = "T-" + (500 + c);
            made.route(tag);
            dues.add(made.due(tag, castings));
        }
        List<Person> there =
                made.people.stream().map(p -> new Person(p, made.away())).toList();
        return new Bench(
                made.time, made.stations(), there, dues, made.works, made.orders, made.changes(), List.of(), 0);
    }

    private int between(int least, int most) {
        return least + random.nextInt(most - least + 1);
    }

    private boolean inHundred(int chance) {
        return random.nextInt(100) < chance;
    }

    private List<Stretch> away() {
        if (!inHundred(25)) {
            return List.of();
        }
        int from = random.nextInt(2000);
        return List.of(new Stretch(from, from + 495));
    }

    private List<Station> stations() {
        List<Station> all = new ArrayList<>();
        all.add(new Station("oven", 4, List.of(), ""));
        for (String one : List.of("tank", "cracks", "pressure", "surfacer", "seats", "hands-1", "hands-2")) {
            all.add(new Station(one, 1, inHundred(15) ? away() : List.of(), one.equals("surfacer") ? "iron" : ""));
        }
        return all;
    }

    private List<Change> changes() {
        return List.of(new Change("surfacer", "", "", 25), new Change("seats", "", "", 12));
    }

    private Due due(String tag, int castings) {
        int load = castings * 200 / people.size();
        OptionalInt promised = inHundred(60)
                ? OptionalInt.of(495 * (1 + random.nextInt(Math.max(1, load / 300))))
                : OptionalInt.empty();
        OptionalInt wanted = promised.isEmpty() && inHundred(70)
                ? OptionalInt.of(495 * (1 + random.nextInt(1 + load / 300)))
                : OptionalInt.empty();
        return new Due(tag, promised, wanted, inHundred(20) ? 1 : 3);
    }

    private void route(String tag) {
        String metal = METALS.get(random.nextInt(2));
        String pilot = PILOTS.get(random.nextInt(3));
        Piece oven = new Piece(90, ovenAtNight ? Piece.Kind.ALONE : Piece.Kind.BY_DAY);
        int from = inHundred(20) ? between(100, 2500) : 0;
        String clean = inHundred(50)
                ? add(tag, "clean", "oven", metal, from, List.of(attended(5), oven, attended(5)))
                : add(tag, "clean", "tank", "", from, List.of(attended(10), alone(40), attended(15)));
        String cracks =
                add(tag, "cracks", "cracks", "", 0, List.of(attended(between(10, 30)), alone(15), attended(10)));
        must(clean, cracks);
        String face = add(tag, "face", "", "", 0, List.of(attended(between(15, 35))));
        better(cracks, face);
        String last = face;
        String seats = "";
        if (inHundred(45)) {
            String guides = add(
                    tag,
                    "guides",
                    "hands-1",
                    "",
                    inHundred(25) ? between(200, 3000) : 0,
                    List.of(attended(between(60, 180))));
            must(cracks, guides);
            seats = add(tag, "seats", "seats", pilot, 0, List.of(attended(between(60, 150))));
            must(guides, seats);
            must(face, guides);
        }
        if (inHundred(40)) {
            String pressure = add(tag, "pressure", "pressure", "", 0, List.of(attended(25), alone(30), attended(10)));
            better(cracks, pressure);
            better(pressure, face);
            last = pressure;
        }
        String cut = add(tag, "cut", "surfacer", metal, 0, List.of(whole(between(25, 60))));
        must(cracks, cut);
        must(face, cut);
        better(last, cut);
        if (!seats.isEmpty()) {
            better(seats, cut);
        }
        String proof = add(tag, "proof", "", "", 0, List.of(attended(between(10, 25))));
        must(cut, proof);
        String bag = add(tag, "bag", "", "", 0, List.of(attended(10)));
        must(proof, bag);
        must(last, bag);
        if (!seats.isEmpty()) {
            must(seats, bag);
        }
    }

    private static Piece attended(int minutes) {
        return new Piece(minutes, Piece.Kind.ATTENDED);
    }

    private static Piece whole(int minutes) {
        return new Piece(minutes, Piece.Kind.WHOLE);
    }

    private static Piece alone(int minutes) {
        return new Piece(minutes, Piece.Kind.ALONE);
    }

    private String add(String tag, String what, String station, String setUp, int earliest, List<Piece> pieces) {
        String id = tag + " " + what;
        List<String> on = station.isEmpty() ? List.of("hands-1", "hands-2") : List.of(station);
        List<String> by = station.equals("surfacer") || station.equals("seats")
                ? people.subList(0, Math.max(1, people.size() - 1))
                : people;
        works.add(Work.of(id, tag, pieces, on, by, setUp, earliest));
        return id;
    }

    private void must(String before, String after) {
        orders.add(new Order(before, after, true));
    }

    private void better(String before, String after) {
        orders.add(new Order(before, after, false));
    }
}
