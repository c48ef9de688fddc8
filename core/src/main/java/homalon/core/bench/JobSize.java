package homalon.core.bench;

import java.util.OptionalInt;

/**
 * How much there is to do at a casting, for how long it takes.
 *
 * @param cylinders of its face, or bearings of its line where that is what counts
 * @param valves in it; of a deck none
 * @param some of them, or of its cracks, that the work is about: guides to mend, seats to cut, rings to fit, cracks to pin
 * @param passes over its face
 * @param hands minutes that somebody is at it in this shop; empty where the general value stands
 */
public record JobSize(int cylinders, int valves, int some, int passes, OptionalInt hands) {
    public JobSize(int cylinders, int valves, int some, int passes) {
        this(cylinders, valves, some, passes, OptionalInt.empty());
    }

    /** The same where the shop needs so long. */
    public JobSize in(OptionalInt minutes) {
        return new JobSize(cylinders, valves, some, passes, minutes);
    }

    public JobSize {
        if (cylinders < 1 || valves < 0 || some < 0 || passes < 1) {
            throw new IllegalArgumentException(
                    "a casting has one cylinder at the least, and is cut in one pass at the least: " + cylinders + ", "
                            + valves + ", " + some + ", " + passes);
        }
    }
}
