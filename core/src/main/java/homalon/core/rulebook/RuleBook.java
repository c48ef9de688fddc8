package homalon.core.rulebook;

import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import java.util.Arrays;
import java.util.List;

/**
 * The rules that stand until something stronger is entered. Every figure here is a general engineering value and is shown
 * as a default.
 */
public final class RuleBook {
    /** Overall flatness of a face of three or four cylinders in a line. */
    public static final Length DEFAULT_OVERALL = Length.ofMm("0.05");

    public static final Length DEFAULT_WINDOW = Length.ofMm("100");
    /** No place of the land may be further than this from a measured one for a face to be called within. */
    public static final Length DEFAULT_COVER = Length.ofMm("75");
    /** Width of the ring around a bore where the fire ring seals. */
    public static final Length DEFAULT_FIRE_RING_BAND = Length.ofMm("12");
    /** What a good lever indicator and a steady hand leave open. */
    public static final Length DEFAULT_UNCERTAINTY = Length.ofMm("0.002");
    /** Width of the ring around a water or oil hole where a gasket's bead seals. */
    public static final Length DEFAULT_HOLE_BAND = Length.ofMm("6");

    /** Micrometer and ledger further apart than this after a cut: one of them is wrong. */
    public static final Length THICKNESS_APART = Length.ofMm("0.02");
    /** Deeper than any pass on a face; a keyed depth beyond it is a slip of the decimal point. */
    public static final Length DEEPEST_PASS = Length.ofMm("2");

    private RuleBook() {}

    /** Ground shims or jacks as usual, for a shop that did not say what it has: steps of 0.01 mm, or of half a thou. */
    public static ShimStock shims(BenchUnit unit) {
        return ShimStock.inSteps(unit == BenchUnit.MM ? Length.ofMm("0.01") : Length.ofThou("0.5"));
    }

    /** Steps that a machine's dial has at a bench of that unit: 0.005 mm, or half a thou. */
    public static Length dialStep(BenchUnit unit) {
        return unit == BenchUnit.MM ? Length.ofMm("0.005") : Length.ofThou("0.5");
    }

    /** First light cut. */
    public static Length skim(BenchUnit unit) {
        return unit == BenchUnit.MM ? Length.ofMm("0.01") : Length.ofThou("0.5");
    }

    /** Most for a pass between skim and finish. */
    public static Length pass(BenchUnit unit) {
        return unit == BenchUnit.MM ? Length.ofMm("0.05") : Length.ofThou("2");
    }

    /** Most for a pass through steel pre-chambers or liners, which would drag the insert. */
    public static Length passThroughSteel(BenchUnit unit) {
        return unit == BenchUnit.MM ? Length.ofMm("0.04") : Length.ofThou("1.5");
    }

    /** Last pass. */
    public static Length finish(BenchUnit unit) {
        return unit == BenchUnit.MM ? Length.ofMm("0.02") : Length.ofThou("1");
    }

    /** A gap about this wide shows light under a straightedge; a narrower one is dark. */
    public static final Length LIGHT_GAP = Length.ofMm("0.003");

    /** Feelers of a usual set, for a shop that did not say which it has. */
    public static BladeSet blades(BenchUnit unit) {
        String[] mm = {
            "0.02", "0.03", "0.04", "0.05", "0.06", "0.07", "0.08", "0.09", "0.10", "0.15", "0.20", "0.25", "0.30",
            "0.40", "0.50", "0.60", "0.80", "1.00"
        };
        String[] thou = {"1", "1.5", "2", "2.5", "3", "4", "5", "6", "7", "8", "10", "12", "15", "18", "20", "25", "30"
        };
        return unit == BenchUnit.THOU
                ? new BladeSet(Arrays.stream(thou).map(Length::ofThou).toList())
                : new BladeSet(Arrays.stream(mm).map(Length::ofMm).toList());
    }

    /** The overall limit among those in force. */
    public static Length overall(List<FlatnessLimit> inForce) {
        return inForce.stream()
                .filter(l -> l.scope() == FlatnessLimit.Scope.OVERALL)
                .map(FlatnessLimit::most)
                .findFirst()
                .orElse(DEFAULT_OVERALL);
    }
}
