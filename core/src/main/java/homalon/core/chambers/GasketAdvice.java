package homalon.core.chambers;

/**
 * What a gasket can put right after a cut, and what each choice does to the other.
 *
 * @param restoresRatio how much thicker it has to be for the old ratio, mm
 * @param restoresSqueeze how much thicker for the old distance from piston to head, mm: what came off the block
 * @param squeezeWithRatio change of that distance when the ratio is restored, mm
 * @param ratioWithSqueeze ratio when the distance is restored
 */
public record GasketAdvice(
        double restoresRatio, double restoresSqueeze, double squeezeWithRatio, double ratioWithSqueeze) {

    /**
     * @param headCut mean over the rim, mm
     * @param gasketArea mm2
     */
    public static double toRestoreRatio(
            double headCut, double opening, double blockCut, double blockOpening, double gasketArea) {
        return (headCut * opening + blockCut * blockOpening) / gasketArea;
    }

    /** @param now before the cut */
    public static GasketAdvice of(Cylinder now, Compression.Cut cut) {
        double ratio = toRestoreRatio(
                cut.head(),
                cut.opening(),
                cut.block(),
                cut.blockOpening(),
                now.gasket().areaMm2());
        Cylinder then = Compression.after(now, cut, Doubts.ofFill(0)).cylinder();
        return new GasketAdvice(
                ratio,
                cut.block(),
                ratio - cut.block(),
                then.withGasket(then.gasket().thicker(cut.block())).ratio());
    }
}
