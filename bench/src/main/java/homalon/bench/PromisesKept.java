package homalon.bench;

import homalon.core.bench.Bench;
import homalon.core.bench.Chances;
import homalon.core.bench.ListScheduler;
import homalon.core.bench.Promise;
import homalon.core.bench.Timetable;
import homalon.core.bench.Work;
import homalon.core.sim.MadeUpBench;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.IntStream;

/**
 * Of made-up shops, how many of the days that were to be kept in 50, 80 and 95 of 100 were kept, when times, arrivals and findings were drawn
 * once more; and how many where hands were less even, or late arrivals more frequent, than the shop believed. Arguments: shops.
 */
public final class PromisesKept {
    private static final int[] OF_100 = {50, 80, 95};
    private static final int DRAWS = 500;

    private PromisesKept() {}

    /** What one shop came to: kept or not at each of the three, in each world. */
    private record Kept(boolean[][] worlds) {}

    private enum World {
        AS_BELIEVED(1, 1),
        LESS_EVEN(1.5, 1),
        LATER(1, 2);

        private final double spread;
        private final double late;

        World(double spread, double late) {
            this.spread = spread;
            this.late = late;
        }
    }

    public static void main(String[] args) {
        int shops = args.length > 0 ? Integer.parseInt(args[0]) : 500;
        List<Kept> all =
                IntStream.range(0, shops).parallel().mapToObj(PromisesKept::shop).toList();
        System.out.printf("%d shops of 6 to 30 castings, a casting of each, %d draws%n", all.size(), DRAWS);
        for (World world : World.values()) {
            StringBuilder line = new StringBuilder(world.name());
            for (int i = 0; i < OF_100.length; i++) {
                int at = i;
                long kept = all.stream()
                        .filter(k -> k.worlds()[world.ordinal()][at])
                        .count();
                line.append(String.format("  %d: %.1f", OF_100[i], 100.0 * kept / all.size()));
            }
            System.out.println(line);
        }
    }

    private static Kept shop(int seed) {
        SplittableRandom random = new SplittableRandom(seed);
        Bench bench = MadeUpBench.draw(seed, 6 + random.nextInt(25), 1 + random.nextInt(4));
        Timetable timetable = ListScheduler.of(bench, 5, 1).timetable();
        Chances believed = chances(bench, World.AS_BELIEVED, seed);
        Map<String, Promise> told = Promise.of(bench, timetable, believed, DRAWS, 1);
        List<String> castings = told.keySet().stream().sorted().toList();
        String one = castings.get(random.nextInt(castings.size()));
        boolean[][] kept = new boolean[World.values().length][OF_100.length];
        for (World world : World.values()) {
            int end = Promise.of(bench, timetable, chances(bench, world, seed), 1, 1_000_000L + seed)
                    .get(one)
                    .ends()
                    .get(0);
            for (int i = 0; i < OF_100.length; i++) {
                kept[world.ordinal()][i] = end <= told.get(one).keptIn(OF_100[i]);
            }
        }
        return new Kept(kept);
    }

    /** Checks that find something, and arrivals, at some of the works. */
    private static Chances chances(Bench bench, World world, int seed) {
        SplittableRandom random = new SplittableRandom(7_000_000L + seed);
        List<Chances.Turn> turns = new ArrayList<>();
        List<Chances.Arrival> arrivals = new ArrayList<>();
        for (Work work : bench.works()) {
            double what = random.nextDouble();
            double chance = 0.1 + 0.4 * random.nextDouble();
            if (work.attended() && what < 0.15) {
                turns.add(new Chances.Turn(work.id(), chance, 30 + random.nextInt(120)));
            } else if (what > 0.95 || work.earliest() > 0) {
                arrivals.add(new Chances.Arrival(work.id(), 0, 900, Math.min(1, 0.25 * world.late)));
            }
        }
        return new Chances(0.3 * world.spread, turns, arrivals);
    }
}
