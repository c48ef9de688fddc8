package homalon.core.bench;

import homalon.core.part.Material;
import java.time.Instant;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Set-ups that the order of what was cut asked for: nobody writes that a machine is set up, but where one cuts iron after aluminium its inserts
 * were changed between.
 *
 * @param count of them
 * @param minutes that they take by the shop's table
 */
public record SetUpsSeen(int count, int minutes) {
    /** From fewer no share is told. */
    private static final int ENOUGH = 10;

    /**
     * A pass over a face.
     *
     * @param machine as it was keyed; one that was not is as good as another of no name
     */
    public record Pass(String machine, Material metal, Instant at) {}

    /**
     * @param passes in any order
     * @param each minutes of one change
     */
    public static SetUpsSeen of(List<Pass> passes, int each) {
        Map<String, Material> set = new HashMap<>();
        int count = 0;
        for (Pass pass : passes.stream().sorted(Comparator.comparing(Pass::at)).toList()) {
            Material before = set.put(pass.machine(), pass.metal());
            count += before == null || before == pass.metal() ? 0 : 1;
        }
        return new SetUpsSeen(count, count * each);
    }

    /**
     * Of a hundred minutes at the machines those in which they were set up.
     *
     * @param cutting minutes in which somebody cut
     * @return below 0 where there are too few to say
     */
    public int percent(long cutting) {
        return count < ENOUGH ? -1 : (int) Math.round(100.0 * minutes / (minutes + cutting));
    }
}
