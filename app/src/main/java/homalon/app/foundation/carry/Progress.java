package homalon.app.foundation.carry;

import java.util.function.IntConsumer;

/** How far a shop has gone out or come in, in lines and files; told at each whole hundredth that is new. */
final class Progress {
    private static final int WHOLE = 100;

    private final long all;
    private final IntConsumer told;
    private long done;
    private int last = -1;

    /**
     * @param all lines and files there are; a line added meanwhile does not make it more than whole
     * @param told percents, rising, the last of them 100
     */
    Progress(long all, IntConsumer told) {
        this.all = all;
        this.told = told;
        tell(0);
    }

    void one() {
        done++;
        // Whole it is when it has ended.
        tell((int) Math.min(WHOLE - 1L, done * WHOLE / Math.max(1, all)));
    }

    void ended() {
        tell(WHOLE);
    }

    private void tell(int percent) {
        if (percent > last) {
            last = percent;
            told.accept(percent);
        }
    }

    /** A line that is written over itself, for somebody who waits at a terminal; one line for each tenth elsewhere. */
    static IntConsumer onTerminal(boolean overItself) {
        return percent -> {
            if (overItself) {
                int tenths = percent / 5;
                System.err.print("\r[" + "#".repeat(tenths) + " ".repeat(20 - tenths) + "] " + percent + " %"
                        + (percent == WHOLE ? "\n" : ""));
            } else if (percent % 10 == 0) {
                System.err.println(percent + " %");
            }
            System.err.flush();
        };
    }
}
