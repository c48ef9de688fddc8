package homalon.planner;

import homalon.core.bench.Bench;
import homalon.core.bench.Due;
import homalon.core.bench.Order;
import homalon.core.bench.Piece;
import homalon.core.bench.Station;
import homalon.core.bench.Way;
import homalon.core.bench.Work;
import homalon.core.hours.OpenTime;
import homalon.core.hours.Stretch;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.Scanner;
import java.util.stream.IntStream;

/**
 * Job shops of the literature as benches: machines as stations without closings or people, jobs as castings, and last of all one work after
 * every job, due at once, so that how late it is tells how long all takes.
 */
public final class JobShop {
    private static final int LONG = 20_000;

    private JobShop() {}

    /** How long all takes, for what {@link Due#late} counts. */
    public static long takes(long late) {
        return late / Due.PROMISE - 1;
    }

    /** @param text for each job pairs of machine, from 0, and minutes; a line a job */
    public static Bench of(String text) {
        List<List<List<Way>>> jobs = new ArrayList<>();
        for (String line : text.strip().split("\n")) {
            List<List<Way>> job = new ArrayList<>();
            try (Scanner numbers = new Scanner(line)) {
                while (numbers.hasNextInt()) {
                    job.add(List.of(way(numbers.nextInt(), numbers.nextInt())));
                }
            }
            jobs.add(job);
        }
        return of(jobs);
    }

    /** @param text after a first line, for each job the count of works, and for each of these the count of ways, each a machine, from 1, and minutes */
    public static Bench flexible(String text) {
        List<List<List<Way>>> jobs = new ArrayList<>();
        for (String line : text.strip().split("\n")) {
            List<List<Way>> job = new ArrayList<>();
            try (Scanner numbers = new Scanner(line)) {
                int works = numbers.nextInt();
                for (int w = 0; w < works; w++) {
                    List<Way> ways = new ArrayList<>();
                    int count = numbers.nextInt();
                    for (int i = 0; i < count; i++) {
                        ways.add(way(numbers.nextInt() - 1, numbers.nextInt()));
                    }
                    job.add(ways);
                }
            }
            jobs.add(job);
        }
        return of(jobs);
    }

    private static Way way(int machine, int minutes) {
        return new Way("m" + machine, List.of(new Piece(minutes, Piece.Kind.ALONE)));
    }

    private static Bench of(List<List<List<Way>>> jobs) {
        List<Work> works = new ArrayList<>();
        List<Order> orders = new ArrayList<>();
        int machines = 0;
        for (int j = 0; j < jobs.size(); j++) {
            String before = "";
            for (List<Way> ways : jobs.get(j)) {
                String id = "j" + j + " " + works.size();
                works.add(new Work(id, "j" + j, ways, List.of(), "", 0, OptionalInt.empty()));
                for (Way way : ways) {
                    machines = Math.max(
                            machines, 1 + Integer.parseInt(way.station().substring(1)));
                }
                if (!before.isEmpty()) {
                    orders.add(new Order(before, id, true));
                }
                before = id;
            }
            orders.add(new Order(before, "end", true));
        }
        works.add(Work.of("end", "end", List.of(new Piece(1, Piece.Kind.ALONE)), List.of(), List.of(), "", 0));
        return new Bench(
                new OpenTime(Instant.EPOCH, List.of(new Stretch(0, LONG)), LONG),
                IntStream.range(0, machines)
                        .mapToObj(m -> new Station("m" + m, 1, List.of(), ""))
                        .toList(),
                List.of(),
                List.of(new Due("end", OptionalInt.of(0), OptionalInt.empty(), 1)),
                works,
                orders,
                List.of(),
                List.of(),
                0);
    }
}
