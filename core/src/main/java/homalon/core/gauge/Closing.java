package homalon.core.gauge;

/**
 * The first place of a survey read once more at its end: a gauge that moved on its stand, or warmed up in the hand, reads otherwise.
 *
 * @param first what was read there at first, mm
 * @param again at the end, mm
 * @param kept what one reading keeps on both sides, k = 2, mm
 */
public record Closing(double first, double again, double kept) {
    private static final double ROUNDING = 1e-9;

    /** The same as heights: an indicator at an angle travels further than it moved. */
    public Closing seen(Corrections known) {
        return new Closing(first * known.cosine(), again * known.cosine(), kept);
    }

    /** How far it moved while the face was read, mm; plus where it reads higher now. */
    public double moved() {
        return again - first;
    }

    /** Two readings of one place differ by no more than this, nineteen times in twenty, while nothing moves. */
    public double allowed() {
        return kept * Math.sqrt(2);
    }

    public boolean held() {
        return Math.abs(moved()) <= allowed() + ROUNDING;
    }

    /**
     * Standard uncertainty that it adds to each reading: nothing while it held; else each was off by something between nothing and all of
     * it, every part as likely (JCGM 100, 4.3.7).
     */
    public double standard() {
        return held() ? 0 : Uncertain.within(0, Math.abs(moved()) / 2).standard();
    }
}
