package homalon.core.bench;

/** How much it counts that a casting is late: work that is paid for before the shop's own, and the more the longer it has lain there. */
public final class Weights {
    private static final int PAID = 3;
    private static final int OWN = 1;
    /** So many days in the shop count as one more. */
    private static final int DAYS = 14;
    /** More than that its age does not count: the shop's own outweighs what was just paid for after six weeks, and no more. */
    private static final int MOST = 3;

    private Weights() {}

    /**
     * @param own nobody pays for it
     * @param days that it has been in the shop
     */
    public static int of(boolean own, long days) {
        return (own ? OWN : PAID) + (int) Math.max(0, Math.min(MOST, days / DAYS));
    }
}
