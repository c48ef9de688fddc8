package homalon.core.visit;

/**
 * What a plan is to be cut with.
 *
 * @param machine name in the shop's list; empty for none
 * @param cutter name in the shop's list; empty for none
 * @param steelInFace iron liners, inserts or steel pre-chambers lie in the cut
 */
public record Tooling(String machine, String cutter, boolean steelInFace) {
    public static final Tooling NONE = new Tooling("", "", false);
}
