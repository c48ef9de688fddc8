package homalon.core.bench;

/**
 * How much there is to do at a casting, for how long it takes.
 *
 * @param cylinders of its face, or bearings of its line where that is what counts
 * @param valves in it; of a deck none
 * @param some of them, or of its cracks, that the work is about: guides to mend, seats to cut, rings to fit, cracks to pin
 * @param passes over its face
 */
public record JobSize(int cylinders, int valves, int some, int passes) {
    public JobSize {
        if (cylinders < 1 || valves < 0 || some < 0 || passes < 1) {
            throw new IllegalArgumentException(
                    "a casting has one cylinder at the least, and is cut in one pass at the least: " + cylinders + ", "
                            + valves + ", " + some + ", " + passes);
        }
    }
}
