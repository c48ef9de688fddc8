package homalon.core.surface;

import java.util.List;

/**
 * What was found of a face that is no height: an edge laid over it, blades that went or were refused, metal that a cutter touched. All
 * of it depends on heights at some places.
 */
public interface Evidence {
    /** How many places it depends on. */
    int places();

    /**
     * Natural logarithm of how likely it is that all was found as it was.
     *
     * @param heights at those places, mm; finite, a plane more or less changes nothing
     */
    default double log(double[] heights) {
        return log(heights, Double.NEGATIVE_INFINITY);
    }

    /**
     * The same, for one who asks only whether it is more than something.
     *
     * @param least what it has to be more than
     * @return the logarithm, or anything that is no more than the least where the logarithm is not either
     */
    double log(double[] heights, double least);

    /** About what it says, for whoever looks for faces that agree with it: nothing rests on these but how soon they are found. */
    List<Hint> hints();

    /**
     * A sum of heights, each times a factor, that is about a value.
     *
     * @param places whose heights are summed: their numbers
     * @param factors of each
     * @param about the value, mm
     * @param spread standard deviation, mm, above zero
     */
    record Hint(int[] places, double[] factors, double about, double spread) {}
}
