package homalon.core.sure;

import homalon.core.words.Message;

/** A chance as one says it: 1 in 60, 3 in 10, fewer than 1 in 1000. */
public final class Odds {
    private static final double SAID_IN_TENTHS = 0.15;
    private static final double NEARLY_SURE = 0.95;

    private Odds() {}

    /**
     * In words.
     *
     * @param chance from 0 to 1
     * @param drawn whole faces that it was counted over: no chance is told finer than these can tell
     */
    public static Message of(double chance, int drawn) {
        double finest = 1.0 / Math.max(1, drawn);
        if (chance < finest) {
            return Message.of("sure.fewer-than-1-in", round((long) Math.floor(1 / finest)));
        }
        if (chance >= NEARLY_SURE) {
            return Message.of("sure.more-than-19-in-20");
        }
        return chance >= SAID_IN_TENTHS
                ? Message.of("sure.in-10", Math.round(chance * 10))
                : Message.of("sure.1-in", round(Math.round(1 / chance)));
    }

    /** To two figures: nobody acts on the third. */
    private static long round(long in) {
        long unit = 1;
        while (in / unit >= 100) {
            unit *= 10;
        }
        return in / unit * unit;
    }
}
