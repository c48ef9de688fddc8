package homalon.core.bench;

import java.util.BitSet;
import java.util.SplittableRandom;

/** Rules by which a list is gone through: the usual one, some drawn about it, and some near one that did well. */
final class Rules {
    /**
     * The rule of one passage.
     *
     * @param stay whether what was told stays where it can
     * @param room minutes as {@link #ROOM}
     * @param setUp minutes as {@link #SET_UP}
     * @param window minutes as {@link #WINDOW}
     * @param more how much more each work presses
     * @param dropped works that do not wait for what is only better before them
     */
    record Rule(boolean stay, double room, double setUp, int window, double[] more, BitSet dropped) {}

    /** A work that begins no later than this after the first that can, minutes, may go before it where it presses more. */
    private static final int WINDOW = 90;
    /** What still has so much room, minutes, presses e times less than what has none. */
    private static final double ROOM = 300;
    /** What takes so long to set up for, minutes, presses e times less. */
    private static final double SET_UP = 60;

    private static final double DISTURBED = 1.5;
    private static final double MOST_DROPPED = 0.3;
    private static final int FEW = 5;

    private final Numbered bench;
    private final SplittableRandom random;

    Rules(Numbered bench, long seed) {
        this.bench = bench;
        this.random = new SplittableRandom(seed);
    }

    Rule usual(boolean stay) {
        return new Rule(stay, ROOM, SET_UP, WINDOW, new double[bench.works()], new BitSet());
    }

    Rule drawn(int round) {
        double disturb = DISTURBED * random.nextDouble();
        double drop = random.nextBoolean() ? 0 : MOST_DROPPED * random.nextDouble();
        double[] more = new double[bench.works()];
        BitSet dropped = new BitSet();
        for (int w = 0; w < more.length; w++) {
            more[w] = disturb * (random.nextDouble() - 0.5);
            dropped.set(w, random.nextDouble() < drop);
        }
        return new Rule(
                round % 3 > 0,
                ROOM * Math.exp(2 * random.nextDouble() - 1),
                SET_UP * Math.exp(2 * random.nextDouble() - 1),
                random.nextInt(2 * WINDOW),
                more,
                dropped);
    }

    /** The same but for a little: a casting or a few works press more or less, or wait no longer. */
    Rule near(Rule rule) {
        double[] more = rule.more().clone();
        BitSet dropped = (BitSet) rule.dropped().clone();
        int casting = random.nextInt(bench.castings());
        double by = DISTURBED * (2 * random.nextDouble() - 1);
        boolean whole = random.nextInt(3) > 0;
        int few = FEW + random.nextInt(FEW);
        for (int w = 0; w < more.length; w++) {
            boolean meant = whole ? bench.casting(w) == casting : random.nextInt(more.length) < few;
            more[w] += meant ? (whole ? by : DISTURBED * (2 * random.nextDouble() - 1)) : 0;
            if (meant && random.nextInt(FEW) == 0) {
                dropped.flip(w);
            }
        }
        boolean all = random.nextInt(FEW) == 0;
        return new Rule(
                all ? random.nextInt(FEW) > 0 : rule.stay(),
                all ? rule.room() * Math.exp(random.nextDouble() - 0.5) : rule.room(),
                all ? rule.setUp() * Math.exp(random.nextDouble() - 0.5) : rule.setUp(),
                all ? random.nextInt(2 * WINDOW) : rule.window(),
                more,
                dropped);
    }
}
