package homalon.core.bench;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;

/**
 * When a casting is done, as a distribution: the shop's timetable replayed many times, with times, arrivals and findings drawn anew each
 * time. The same question gives the same answer.
 *
 * @param ends where it is done in each draw, open minutes, the earliest first
 */
public record Promise(List<Integer> ends) {
    private static final long SEED = 20_261_201L;

    public Promise {
        ends = ends.stream().sorted().toList();
    }

    /**
     * @param timetable of the bench
     * @param draws one at the least
     * @return by casting
     */
    public static Map<String, Promise> of(Bench bench, Timetable timetable, Chances chances, int draws) {
        return of(bench, timetable, chances, draws, SEED);
    }

    /** @param seed another one draws anew */
    public static Map<String, Promise> of(Bench bench, Timetable timetable, Chances chances, int draws, long seed) {
        Replay replay = new Replay(bench, timetable);
        Numbered numbered = replay.bench();
        SplittableRandom random = new SplittableRandom(seed);
        int[][] ends = new int[numbered.castings()][draws];
        for (int d = 0; d < draws; d++) {
            Drawn drawn = new Drawn(numbered, timetable, chances, random);
            int[] done = replay.ends(drawn.minutes, drawn.earliest);
            for (int c = 0; c < done.length; c++) {
                ends[c][d] = done[c];
            }
        }
        Map<String, Promise> all = new HashMap<>();
        for (int w = 0; w < numbered.works(); w++) {
            int[] own = ends[numbered.casting(w)];
            all.computeIfAbsent(
                    numbered.work(w).casting(),
                    c -> new Promise(Arrays.stream(own).boxed().toList()));
        }
        return all;
    }

    /** The open minute by which it is done in so many of a hundred draws. */
    public int keptIn(int ofAHundred) {
        int index = (int) Math.ceil(ofAHundred / 100.0 * ends.size()) - 1;
        return ends.get(Math.max(0, Math.min(ends.size() - 1, index)));
    }

    /** The share of draws in which it is done by a minute. */
    public double kept(int by) {
        return ends.stream().filter(e -> e <= by).count() / (double) ends.size();
    }

    /** What happens in one draw. */
    private static final class Drawn {
        private final int[][] minutes;
        private final int[] earliest;

        Drawn(Numbered bench, Timetable timetable, Chances chances, SplittableRandom random) {
            this.minutes = new int[bench.works()][];
            this.earliest = new int[bench.works()];
            Map<String, Placed> placed = timetable.byWork();
            for (int w = 0; w < minutes.length; w++) {
                Work work = bench.work(w);
                Placed at = placed.get(work.id());
                String station = at == null ? work.ways().get(0).station() : at.station();
                List<Piece> pieces = work.ways().stream()
                        .filter(v -> v.station().equals(station))
                        .findFirst()
                        .orElse(work.ways().get(0))
                        .pieces();
                // One hand is quick or slow at all of a work.
                double factor = Math.exp(chances.spread() * random.nextGaussian());
                minutes[w] = pieces.stream()
                        .mapToInt(p -> p.attended() ? Math.max(1, (int) Math.round(p.minutes() * factor)) : p.minutes())
                        .toArray();
                earliest[w] = work.earliest();
            }
            for (Chances.Turn turn : chances.turns()) {
                int w = bench.number(turn.work());
                boolean turns = random.nextDouble() < turn.chance();
                if (w >= 0 && turns) {
                    minutes[w][lastInHands(bench.work(w))] += turn.minutes();
                }
            }
            for (Chances.Arrival arrival : chances.arrivals()) {
                int w = bench.number(arrival.work());
                boolean late = random.nextDouble() < arrival.chance();
                double later = late
                        ? -arrival.late() * Math.log(1 - random.nextDouble())
                        : -arrival.early() * random.nextDouble();
                if (w >= 0) {
                    earliest[w] = Math.max(0, earliest[w] + (int) Math.round(later));
                }
            }
        }

        private static int lastInHands(Work work) {
            List<Piece> pieces = work.ways().get(0).pieces();
            int last = pieces.size() - 1;
            while (last > 0 && !pieces.get(last).attended()) {
                last--;
            }
            return last;
        }
    }
}
