package homalon.core.chambers;

import homalon.core.input.Problems;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Chambers brought to one volume: all to the largest, or to a larger one that is wanted. Volume can only be added here; what each
 * lacks is shared out to the ways that take fewest minutes, each within its limit. Since minutes and volume grow in step within a
 * way, filling up the cheapest first is the cheapest mix of all.
 *
 * @param target cm3
 * @param possible the most equal target that these ways allow at every chamber, cm3: what the one with least room comes to, at
 *     most the target
 */
public record Equalise(double target, List<One> each, double possible) {
    /** How a chamber is made larger. */
    public enum Way {
        GRIND,
        SINK,
        POCKET;

        private final Message words = Message.of(this);

        public Message words() {
            return words;
        }
    }

    /**
     * What a way gives.
     *
     * @param mostCc at one chamber
     * @param minutesPerCc for one cm3
     */
    public record Means(Way way, double mostCc, double minutesPerCc) {}

    /**
     * @param cc as it is
     * @param means open to it
     */
    public record Chamber(String name, double cc, List<Means> means) {}

    /**
     * @param cc by this way
     * @param minutes that takes
     */
    public record Share(Way way, double cc, double minutes) {}

    /**
     * @param add what it lacks, cm3
     * @param shares by which ways, those used only
     * @param lacking what no way gives, cm3; 0 when the target is reached
     */
    public record One(String name, double cc, double add, List<Share> shares, double lacking) {
        public double minutes() {
            return shares.stream().mapToDouble(Share::minutes).sum();
        }
    }

    private static final double SLACK = 1e-9;

    /** General defaults, minutes for one cm3: a stone in the chamber, seat and stone, a mill in the crown. */
    public static final double DEFAULT_GRIND = 15;

    public static final double DEFAULT_SINK = 25;
    public static final double DEFAULT_POCKET = 40;
    /** Most that is ground from a chamber without asking where the water is, cm3. */
    public static final double DEFAULT_GRIND_MOST = 1.0;

    /**
     * @param atLeast a target that is wanted, cm3; 0 for the largest as it is
     * @throws homalon.core.input.BadInputException without chambers, or for a wish that is no volume
     */
    public static Equalise of(List<Chamber> chambers, double atLeast) {
        Problems problems = new Problems();
        problems.require(!chambers.isEmpty(), "chambers", "chambers.fill-every-chamber-first");
        problems.require(atLeast >= 0 && atLeast <= 1e5, "target", "chambers.target-volume-key-cc-above-0");
        problems.throwIfAny();
        double target = Math.max(
                atLeast, chambers.stream().mapToDouble(Chamber::cc).max().orElseThrow());
        List<One> each = new ArrayList<>();
        double possible = target;
        for (Chamber c : chambers) {
            One one = one(c, target);
            each.add(one);
            possible = Math.min(possible, target - one.lacking());
        }
        return new Equalise(target, List.copyOf(each), possible);
    }

    private static One one(Chamber chamber, double target) {
        double left = target - chamber.cc();
        double add = left < SLACK ? 0 : left;
        left = add;
        List<Means> cheapest = new ArrayList<>(chamber.means());
        cheapest.sort(Comparator.comparingDouble(Means::minutesPerCc).thenComparing(Means::way));
        List<Share> shares = new ArrayList<>();
        for (Means m : cheapest) {
            double cc = Math.min(left, Math.max(0, m.mostCc()));
            if (cc > SLACK) {
                shares.add(new Share(m.way(), cc, cc * m.minutesPerCc()));
                left -= cc;
            }
        }
        return new One(chamber.name(), chamber.cc(), add, List.copyOf(shares), left < SLACK ? 0 : left);
    }

    /** Every chamber reaches the target. */
    public boolean reached() {
        return each.stream().allMatch(o -> o.lacking() == 0);
    }

    public double minutes() {
        return each.stream().mapToDouble(One::minutes).sum();
    }
}
