package homalon.core.integrity;

import homalon.core.part.Material;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/**
 * What a casting may be cleaned with. Each method is refused with a reason, fits what is stuck on it, or would do with a
 * condition.
 */
public final class Cleaning {
    private Cleaning() {}

    /** What sticks to it. */
    public enum Dirt {
        OIL,
        CARBON,
        SCALE,
        GASKET,
        PAINT;

        private final Message words = Message.of(this);

        public Message words() {
            return words;
        }
    }

    /**
     * The casting at the tank.
     *
     * @param brassPlugs brass or soft plugs are left in thin walls
     * @param dirt what sticks to it; empty when nobody said
     */
    public record Asked(Material material, boolean brassPlugs, Set<Dirt> dirt) {
        public Asked {
            dirt = dirt.isEmpty() ? EnumSet.noneOf(Dirt.class) : EnumSet.copyOf(dirt);
        }
    }

    /** How a method fits. */
    public enum Fit {
        /** It takes off what is there. */
        GOOD,
        /** It does no harm, but does not take off what was named. */
        WEAK,
        REFUSED
    }

    /**
     * A method for this casting.
     *
     * @param why reason of the refusal, what it takes off, or what to watch
     * @param asks small checks that are due after it
     */
    public record Advice(CleaningMethod method, Fit fit, Message why, Set<SmallCheck> asks) {}

    /** Every method, those that fit first, those refused last. */
    public static List<Advice> advice(Asked asked) {
        List<Advice> all = new ArrayList<>();
        for (CleaningMethod method : CleaningMethod.values()) {
            all.add(advice(method, asked));
        }
        all.sort(java.util.Comparator.comparing(Advice::fit));
        return List.copyOf(all);
    }

    public static Advice advice(CleaningMethod method, Asked asked) {
        Message refusal = refusal(method, asked);
        Set<SmallCheck> asks = asks(method);
        if (!refusal.isEmpty()) {
            return new Advice(method, Fit.REFUSED, refusal, asks);
        }
        Set<Dirt> takes = takes(method);
        boolean fits = asked.dirt().isEmpty() || asked.dirt().stream().anyMatch(takes::contains);
        Message off = Message.of(
                "integrity.takes-off",
                Message.list(takes.stream().map(Dirt::words).toList()));
        Message watch = watch(method, asked.material());
        return new Advice(
                method,
                fits ? Fit.GOOD : Fit.WEAK,
                watch.isEmpty() ? off : Message.of("text.semicolon", off, watch),
                asks);
    }

    private static Message refusal(CleaningMethod method, Asked asked) {
        boolean aluminium = asked.material() == Material.ALUMINIUM;
        return switch (method) {
            case BAKE ->
                aluminium
                        ? Message.of("integrity.baking-draws-the-temper-out-of-an")
                        : asked.brassPlugs()
                                ? Message.of("integrity.brass-plugs-loosen-in-thin-walls-when")
                                : Message.NONE;
            case HOT_TANK -> aluminium ? Message.of("integrity.hot-caustic-eats-aluminium-use-solvent") : Message.NONE;
            default -> Message.NONE;
        };
    }

    private static Set<Dirt> takes(CleaningMethod method) {
        return switch (method) {
            case HOT_TANK -> EnumSet.of(Dirt.OIL, Dirt.PAINT, Dirt.SCALE);
            case SOLVENT -> EnumSet.of(Dirt.OIL, Dirt.GASKET);
            case BAKE -> EnumSet.of(Dirt.OIL, Dirt.CARBON, Dirt.PAINT);
            case BLAST -> EnumSet.of(Dirt.CARBON, Dirt.PAINT, Dirt.SCALE);
            case TUMBLE -> EnumSet.of(Dirt.CARBON, Dirt.SCALE);
            case SCRAPE_BY_HAND -> EnumSet.of(Dirt.GASKET, Dirt.CARBON);
        };
    }

    private static Message watch(CleaningMethod method, Material material) {
        boolean aluminium = material == Material.ALUMINIUM;
        return switch (method) {
            case BLAST ->
                Message.of(
                        "integrity.grit-hides-in-oil-ways-every-passage-is",
                        aluminium
                                ? Message.of("integrity.fine-bead-or-vapour-only-and-never-on")
                                : Message.of("integrity.never-on-the-face"));
            case TUMBLE -> Message.of("integrity.shot-hides-in-oil-ways-every-passage-is");
            case SCRAPE_BY_HAND ->
                aluminium
                        ? Message.of("integrity.plastic-scraper-or-a-fine-finishing-pad")
                        : Message.of("integrity.blade-held-flat-fine-paper-only-with");
            case BAKE -> Message.of("integrity.let-it-soak-through-and-cool-slowly-an");
            case HOT_TANK -> Message.of("integrity.rinse-at-once-it-rusts-as-it-dries");
            case SOLVENT -> Message.NONE;
        };
    }

    private static Set<SmallCheck> asks(CleaningMethod method) {
        EnumSet<SmallCheck> asks = EnumSet.of(SmallCheck.DOWELS_OUT, SmallCheck.HOLES_CHASED);
        if (method.leavesGrit()) {
            asks.add(SmallCheck.PASSAGES_BRUSHED);
        }
        return asks;
    }
}
