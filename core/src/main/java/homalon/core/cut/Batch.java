package homalon.core.cut;

import homalon.core.input.BadInputException;
import homalon.core.part.Material;
import homalon.core.quantity.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;

/**
 * Several castings side by side on one table, each on its own shims and all brought up so that the cutter touches them
 * together: one list of passes cuts them all, and each gives as much as the worst of them needs.
 *
 * @param passes for all
 * @param members in the order given
 */
public record Batch(PassPlan passes, List<Share> members) {
    public static final int MOST = 6;

    /**
     * What is asked of one casting.
     *
     * @param toClean from first touch until its sealing land is clean, in its own set-up, mm
     */
    public record Member(String name, Material material, double toClean) {}

    /**
     * What the batch does to one casting.
     *
     * @param clean index of the pass after which it is clean; empty when there is nothing to cut
     * @param extra comes off it because another one needs it, beyond what its own list would take, zero or more
     */
    public record Share(String name, OptionalInt clean, Length extra) {}

    /**
     * @param dialStep steps that the machine's dial has
     * @throws BadInputException when there are fewer than two or more than {@link #MOST}, or they are of two metals
     */
    public static Batch of(List<Member> members, PassPlan.Depths depths, Length dialStep) {
        check(members);
        double worst = members.stream().mapToDouble(Member::toClean).max().orElse(0);
        PassPlan passes = PassPlan.toClean(worst, depths, dialStep);
        List<Share> shares = new ArrayList<>();
        for (Member m : members) {
            Length own = PassPlan.toClean(m.toClean(), depths, dialStep).total();
            shares.add(new Share(
                    m.name(), cleanAfter(passes, m.toClean()), passes.total().minus(own)));
        }
        return new Batch(passes, List.copyOf(shares));
    }

    private static void check(List<Member> members) {
        if (members.size() < 2 || members.size() > MOST) {
            throw new BadInputException("parts", "cut.a-batch-is-two-to-six-castings-mark");
        }
        List<Material> metals =
                members.stream().map(Member::material).distinct().toList();
        if (metals.size() > 1) {
            throw new BadInputException(
                    "parts",
                    "cut.one-cutter-does-not-do-and-put-castings",
                    metals.get(0).words(),
                    metals.get(1).words());
        }
    }

    private static OptionalInt cleanAfter(PassPlan passes, double toClean) {
        for (int i = 0; i < passes.passes().size(); i++) {
            if (passes.passes().get(i).total().mm() >= toClean - 1e-9) {
                return OptionalInt.of(i);
            }
        }
        return OptionalInt.empty();
    }
}
