package homalon.core.integrity;

import homalon.core.part.Material;
import homalon.core.words.Message;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;

/**
 * What becomes of a crack: rules in one list, the first that fits is proposed. The machinist may overrule one with a reason that
 * is kept; nothing here knows the casting's price.
 */
public final class CrackRules {
    /**
     * One rule.
     *
     * @param when in words
     * @param because why, in words
     * @param tests how often it is pressure tested until it is done
     */
    public record Rule(Message when, Predicate<Crack> fits, Remedy remedy, int tests, Message because) {}

    private static final Set<CrackPlace> AT_SEATS = EnumSet.of(
            CrackPlace.BETWEEN_SEATS, CrackPlace.SEAT_TO_PLUG, CrackPlace.SEAT_TO_WATER, CrackPlace.SEAT_TO_BORE);

    public static final List<Rule> RULES = List.of(
            new Rule(
                    Message.of("integrity.a-bore-wall-next-to-water-dented-or"),
                    c -> c.suspect() && c.place() == CrackPlace.BORE_WALL,
                    Remedy.PROVE,
                    1,
                    Message.of("integrity.it-opens-on-the-hidden-side-first")),
            new Rule(
                    Message.of("integrity.any-other-place-that-is-only-suspected"),
                    Crack::suspect,
                    Remedy.PROVE,
                    1,
                    Message.of("integrity.what-cannot-be-seen-is-proven-by")),
            new Rule(
                    Message.of("integrity.from-a-bolt-hole-to-a-bore-or-to-the"),
                    c -> (c.place() == CrackPlace.BOLT_HOLE && reaches(c, Reach.COMBUSTION, Reach.WEB))
                            || (c.place() == CrackPlace.BORE_WALL && reaches(c, Reach.BOLT, Reach.WEB)),
                    Remedy.SCRAP,
                    0,
                    Message.of("integrity.the-bolts-pull-opens-it-again-whatever")),
            new Rule(
                    Message.of("integrity.in-the-main-web-or-down-to-it"),
                    c -> c.place() == CrackPlace.MAIN_WEB || reaches(c, Reach.WEB),
                    Remedy.SCRAP,
                    0,
                    Message.of("integrity.the-web-carries-the-crankshaft")),
            new Rule(
                    Message.of("integrity.a-bore-wall-that-is-through-to-water"),
                    c -> c.place() == CrackPlace.BORE_WALL && !c.reaches().isEmpty(),
                    Remedy.SLEEVE,
                    1,
                    Message.of("integrity.a-piston-runs-over-it-only-a-sleeve")),
            new Rule(
                    Message.of("integrity.at-the-seats-down-to-water-in-iron"),
                    c -> AT_SEATS.contains(c.place()) && reaches(c, Reach.WATER) && iron(c),
                    Remedy.STITCH_AND_INSERT,
                    2,
                    Message.of("integrity.pins-close-it-an-insert-carries-the")),
            new Rule(
                    Message.of("integrity.down-to-something-in-aluminium"),
                    c -> !c.reaches().isEmpty() && !iron(c),
                    Remedy.WELD,
                    1,
                    Message.of("integrity.pins-do-not-hold-in-aluminium-that")),
            new Rule(
                    Message.of("integrity.down-to-something-in-iron"),
                    c -> !c.reaches().isEmpty() && iron(c),
                    Remedy.STITCH,
                    1,
                    Message.of("integrity.tapered-pins-stop-it-at-its-tips-and")),
            new Rule(
                    Message.of("integrity.a-bore-wall-reaching-nothing-yet"),
                    c -> c.place() == CrackPlace.BORE_WALL,
                    Remedy.SLEEVE,
                    1,
                    Message.of("integrity.it-grows-under-the-rings-and-opens-on")),
            new Rule(
                    Message.of("integrity.reaching-nothing"),
                    c -> true,
                    Remedy.LEAVE,
                    0,
                    Message.of("integrity.it-is-noted-with-its-length-so-that-the")));

    private CrackRules() {}

    /** The first rule that fits; there is always one. */
    public static Rule propose(Crack crack) {
        return RULES.stream().filter(r -> r.fits().test(crack)).findFirst().orElseThrow();
    }

    /** What may be chosen in its place: all that can be done to such a metal and place. */
    public static List<Remedy> ladder(Crack crack) {
        return EnumSet.allOf(Remedy.class).stream()
                .filter(r -> r != Remedy.WELD || crack.material() == Material.ALUMINIUM)
                .filter(r -> r != Remedy.SLEEVE || crack.place() == CrackPlace.BORE_WALL)
                .filter(r -> r != Remedy.STITCH_AND_INSERT || AT_SEATS.contains(crack.place()))
                .filter(r -> r != Remedy.PROVE || crack.suspect())
                .filter(r -> r != Remedy.LEAVE || !crack.suspect())
                .toList();
    }

    private static boolean iron(Crack c) {
        return c.material() == Material.CAST_IRON;
    }

    private static boolean reaches(Crack c, Reach one, Reach other) {
        return c.reaches().contains(one) || c.reaches().contains(other);
    }

    private static boolean reaches(Crack c, Reach one) {
        return c.reaches().contains(one);
    }
}
