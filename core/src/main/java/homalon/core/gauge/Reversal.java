package homalon.core.gauge;

import homalon.core.input.Problems;
import homalon.core.words.Message;

/**
 * The error of what a face is read from, found by reading it twice: once as it lies and once turned over (for a straightedge: on its other
 * edge), where the face stays and the error changes its sign; or once turned end for end, where what is read at a place is read at the
 * place opposite. Turning end for end tells only what is uneven about the middle: a table that is hollow or crowned as a whole reads the
 * same both ways, and stays in the face.
 *
 * @param error of the table or edge at each place, mm; of an end-for-end reversal the part that is uneven about the middle
 * @param face what was read less that, mm, as it lay at first
 */
public record Reversal(double[] error, double[] face) {
    private static final int MOST = 1000;
    /** What is kept is rounded up to this, mm: no shop reads finer. */
    private static final double STEP = 0.0005;

    /** How a thing is turned between its two readings. */
    public enum Way {
        /** A straightedge, to its other edge. */
        OVER,
        /** The part, end for end on the table. */
        ENDS;

        public Message words() {
            return Message.of(this);
        }

        /** What two readings of the same places say. */
        public Reversal of(double[] first, double[] second) {
            return this == OVER ? over(first, second) : ends(first, second);
        }
    }

    private static void check(double[] first, double[] second) {
        Problems problems = new Problems();
        problems.require(
                first.length >= 2 && first.length == second.length && first.length <= MOST,
                "second",
                "gauge.reversal-reads-the-same-places-twice");
        problems.throwIfAny();
    }

    /**
     * The edge turned over: its own error adds once and is taken off once.
     *
     * @param first at places along the edge, mm
     * @param second at the same places with the edge turned over
     */
    public static Reversal over(double[] first, double[] second) {
        check(first, second);
        double[] error = new double[first.length];
        double[] face = new double[first.length];
        for (int i = 0; i < first.length; i++) {
            error[i] = (first[i] - second[i]) / 2;
            face[i] = (first[i] + second[i]) / 2;
        }
        return new Reversal(error, face);
    }

    /**
     * The part turned end for end on the table, read at places that lie evenly about its middle.
     *
     * @param first at places of the table from one end to the other, mm
     * @param second at the same places of the table with the part turned
     */
    public static Reversal ends(double[] first, double[] second) {
        check(first, second);
        int n = first.length;
        double[] error = new double[n];
        double[] face = new double[n];
        for (int i = 0; i < n; i++) {
            int across = n - 1 - i;
            // first(i) = face(i) + table(i), second(n-1-i) = face(i) + table(n-1-i)
            error[i] = (first[i] - second[across]) / 2;
            face[i] = first[i] - error[i];
        }
        return new Reversal(error, face);
    }

    /** What it may be said to keep by that, mm to either side: the greatest of it, rounded up. */
    public double keeps() {
        return Math.max(STEP, Math.ceil(most() / STEP - 1e-6) * STEP);
    }

    /** The greatest of it, to either side, mm: what is kept for it as limits. */
    public double most() {
        double most = 0;
        for (double e : error) {
            most = Math.max(most, Math.abs(e));
        }
        return most;
    }
}
