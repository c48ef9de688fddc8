package homalon.core.rulebook;

import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The rules that stand until something stronger is entered. Every figure here is a general engineering value and is shown
 * as a default.
 */
public final class RuleBook {
    /** Overall flatness of a face of three or four cylinders in a line. */
    public static final Length DEFAULT_OVERALL = Length.ofMm("0.05");

    private static final Length SHORT_FACE = Length.ofMm("0.03");
    private static final Length LONG_FACE = Length.ofMm("0.08");
    private static final Length LEAST_ACROSS = Length.ofMm("0.02");
    /** Flatness in any square of 100 mm. */
    public static final Length DEFAULT_IN_WINDOW = Length.ofMm("0.02");

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

    /** Overall flatness by how many cylinders lie in a line: 0.03 up to two, 0.05 up to four, 0.08 for more. */
    public static Length overall(int cylinders) {
        return cylinders <= 2 ? SHORT_FACE : cylinders <= 4 ? DEFAULT_OVERALL : LONG_FACE;
    }

    /** Half of what the whole face may have, 0.02 at the least: a face bends less across than along. */
    private static FlatnessLimit across(Length overall) {
        Length half = Length.ofNanometres(overall.nanometres() / 2);
        return FlatnessLimit.across(half.compareTo(LEAST_ACROSS) < 0 ? LEAST_ACROSS : half, Source.DEFAULT);
    }

    /** The defaults for a face of so many cylinders in a line. */
    public static List<FlatnessLimit> defaultLimits(int cylinders) {
        return List.of(
                FlatnessLimit.overall(overall(cylinders), Source.DEFAULT),
                across(overall(cylinders)),
                FlatnessLimit.inAny(DEFAULT_WINDOW, DEFAULT_IN_WINDOW, Source.DEFAULT));
    }

    /**
     * The limits in force: for each question the one from the strongest source (of two from the same source, the tighter
     * one), defaults where nothing was entered.
     */
    public static List<FlatnessLimit> inForce(List<FlatnessLimit> entered) {
        return inForce(entered, Optional.empty(), FOUR);
    }

    private static final int FOUR = 4;

    /**
     * @param cylinders in a line
     * @param gasket kind that goes on the face: what such gaskets usually ask comes before the general defaults
     */
    public static List<FlatnessLimit> inForce(List<FlatnessLimit> entered, Optional<GasketKind> gasket, int cylinders) {
        List<FlatnessLimit> all = new ArrayList<>(entered);
        gasket.flatMap(GasketKind::flatness).ifPresent(f -> all.add(FlatnessLimit.overall(f, Source.GASKET_KIND)));
        // Across follows what stands for the whole face, whoever said it.
        Length whole = Stream.concat(all.stream(), defaultLimits(cylinders).stream())
                .filter(l -> l.scope() == FlatnessLimit.Scope.OVERALL)
                .min(Comparator.comparing(FlatnessLimit::source).thenComparing(FlatnessLimit::most))
                .map(FlatnessLimit::most)
                .orElseThrow();
        defaultLimits(cylinders).stream()
                .map(l -> l.scope() == FlatnessLimit.Scope.ACROSS ? across(whole) : l)
                .forEach(all::add);
        all.sort(Comparator.comparing(FlatnessLimit::source).thenComparing(FlatnessLimit::most));
        List<FlatnessLimit> strongest = new ArrayList<>();
        for (FlatnessLimit limit : all) {
            boolean answered = strongest.stream().anyMatch(limit::sameQuestionAs);
            boolean windowAnswered =
                    limit.source() == Source.DEFAULT && strongest.stream().anyMatch(s -> s.scope() == limit.scope());
            if (!answered && !windowAnswered) {
                strongest.add(limit);
            }
        }
        strongest.sort(Comparator.comparing(FlatnessLimit::scope));
        return List.copyOf(strongest);
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
