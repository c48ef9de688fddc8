package homalon.core.route;

import static homalon.core.route.Finding.*;
import static homalon.core.route.Operation.*;
import static homalon.core.route.Strength.BETTER;
import static homalon.core.route.Strength.MUST;

import homalon.core.words.Message;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The rules of the route, all in this one place: what every casting needs, what a finding makes, what work makes owed, and what
 * comes before what. Each says why, in the words that the screens show. A shop may let go an order that is only better so, and a check
 * that a finding asks for, if not of cracks or leaks; what follows from work that was done stays.
 */
public final class RouteRules {
    private RouteRules() {}

    /** Every casting needs it. */
    public record Always(Operation operation, Message because) {}

    /** A finding makes work, or a check. */
    public record Makes(Finding finding, Operation operation, Message because) {
        /** Under which a shop lets it go. */
        public String name() {
            return "ROUTE." + finding.name() + "." + operation.name();
        }

        public boolean mayGo() {
            return operation.isCheck() && !KEPT.contains(operation);
        }
    }

    /**
     * Work makes a check owed, or other work, each time that it is done.
     *
     * @param onlyWith the rule holds only for a casting with this finding
     */
    public record Owes(Operation work, Operation then, Optional<Finding> onlyWith, Message because) {}

    /**
     * One comes before the other.
     *
     * @param onlyWith the rule holds only where that is part of the route as well
     */
    public record Order(
            Operation before, Operation after, Strength strength, Optional<Operation> onlyWith, Message because) {
        /** Under which a shop lets it go. */
        public String name() {
            return "ROUTE." + before.name() + "." + after.name();
        }

        public boolean mayGo() {
            return strength == BETTER;
        }
    }

    /**
     * The rules that a shop goes by.
     *
     * @param makes what findings ask for
     * @param order what comes before what
     */
    public record InForce(List<Makes> makes, List<Order> order) {
        /** @param off names of what the shop let go; a name of what may not go changes nothing */
        public static InForce without(Set<String> off) {
            return off.isEmpty()
                    ? ALL
                    : new InForce(
                            MAKES.stream()
                                    .filter(r -> !r.mayGo() || !off.contains(r.name()))
                                    .toList(),
                            ORDER.stream()
                                    .filter(r -> !r.mayGo() || !off.contains(r.name()))
                                    .toList());
        }
    }

    /** What finds cracks and leaks, and what asks whose money it is: no shop lets a rule go that asks for it. */
    private static final Set<Operation> KEPT = EnumSet.of(PRESSURE_TEST, CRACK_CHECK, CHOICE);

    public static final List<Always> ALWAYS = List.of(
            new Always(CLEAN, Message.of("route.dirt-hides-cracks-and-holds-an-edge-off")),
            new Always(CRACK_CHECK, Message.of("route.no-work-pays-on-a-casting-that-has-to")),
            new Always(FACE_CHECK, Message.of("route.the-face-decides-whether-it-is-cut")),
            new Always(OIL_AND_BAG, Message.of("route.a-bare-face-rusts-overnight")),
            new Always(HAND_OVER, Message.of("route.that-is-what-the-customer-waits-for")));

    public static final List<Makes> MAKES = List.of(
            new Makes(CRACK_TO_STITCH, STITCH, Message.of("route.pins-stop-the-crack-at-its-tips-and")),
            new Makes(CRACK_BETWEEN_SEATS, STITCH, Message.of("route.pins-close-it-down-to-the-water")),
            new Makes(CRACK_BETWEEN_SEATS, INSERT, Message.of("route.an-insert-carries-the-seat-over-the")),
            new Makes(VALVES_ASKED, VALVE_CHECK, Message.of("route.guides-seats-and-springs-are-measured")),
            new Makes(GUIDES_WORN, GUIDE_WORK, Message.of("route.a-stem-that-leans-wears-its-seat-oval")),
            new Makes(SEATS_BAD, SEAT_WORK, Message.of("route.a-seat-that-does-not-seal-burns")),
            new Makes(SEAT_TO_INSERT, INSERT, Message.of("route.the-seat-is-past-grinding")),
            new Makes(CHAMBERS_ASKED, CHAMBER_FILL, Message.of("route.a-ratio-is-only-as-good-as-the-volume")),
            new Makes(CRACK_TO_WELD, WELD, Message.of("route.aluminium-is-welded-by-a-specialist")),
            new Makes(WALL_TO_SLEEVE, SLEEVE, Message.of("route.a-sleeve-takes-the-broken-walls-place")),
            new Makes(WALL_SUSPECT, PRESSURE_TEST, Message.of("route.such-a-wall-opens-on-its-hidden-side")),
            new Makes(MAY_BE_BENT, LINE_CHECK, Message.of("route.a-casting-that-was-hot-may-be-bent")),
            new Makes(PICKED_UP, LINE_CHECK, Message.of("route.what-held-a-shaft-once-may-have-moved")),
            new Makes(NOT_TRUSTED, LINE_CHECK, Message.of("route.neither-a-bought-casting-nor-others")),
            new Makes(DROPPED, VALVE_CHECK, Message.of("route.what-drops-hammers-guides-and-seats")),
            new Makes(DROPPED, PRESSURE_TEST, Message.of("route.what-drops-hammers-the-chamber-down-to")),
            new Makes(STOOD_WET, PRESSURE_TEST, Message.of("route.rust-eats-a-wall-from-the-side-one-does")),
            new Makes(LINES_ASKED, LINE_CHECK, Message.of("route.a-line-that-was-begun-is-read-to-its")),
            new Makes(TURNS_STIFF, LINE_CHECK, Message.of("route.what-holds-a-shaft-is-in-its-line-its")),
            new Makes(LINE_BENT, STRAIGHTEN, Message.of("route.cutting-the-face-does-not-make-the-line")),
            new Makes(LINE_TIGHT, STRAIGHTEN, Message.of("route.less-is-left-than-a-shaft-runs-with-and")),
            new Makes(FACE_OUT, CUT_PLAN, Message.of("route.the-depth-and-the-set-up-are-chosen")),
            new Makes(FACE_OUT, CUT, Message.of("route.the-face-is-out-of-its-limit")),
            new Makes(DECK_ASKEW, CUT_PLAN, Message.of("route.the-squaring-cut-is-set-up-parallel-to")),
            new Makes(DECK_ASKEW, CUT, Message.of("route.a-flat-deck-that-stands-askew-leaks-at")),
            new Makes(DECK_ASKED, DECK_INDEX, Message.of("route.a-deck-can-be-flat-and-still-stand")),
            new Makes(CHOICE_ASKED, CHOICE, Message.of("route.no-work-is-begun-before-the-customer")),
            new Makes(SUM_PASSED, CHOICE, Message.of("route.more-than-was-agreed-is-asked-for-first")),
            new Makes(LOOK_DONE, CHOICE, Message.of("route.all-is-known-that-a-look-can-tell")),
            new Makes(METAL_ENDS, CHOICE, Message.of("route.what-has-to-come-off-leaves-too-little")),
            new Makes(PROMISE_BROKEN, CHOICE, Message.of("route.who-was-promised-a-day-may-want-another")),
            new Makes(HAS_LINERS, LINER_CHECK, Message.of("route.the-gasket-seals-on-the-liners")),
            new Makes(LINERS_UNEVEN, LINER_TRIM, Message.of("route.a-liner-that-stands-wrong-is-not-sealed")));

    public static final List<Owes> OWES = List.of(
            owes(STITCH, PRESSURE_TEST, Message.of("route.pins-are-tight-when-water-says-so")),
            owes(INSERT, PRESSURE_TEST, Message.of("route.a-counterbore-can-break-into-water")),
            owes(INSERT, CRACK_CHECK, Message.of("route.a-ring-that-went-in-with-force-can-open")),
            owes(INSERT, SEAT_WORK, VALVES_ASKED, Message.of("route.a-new-ring-has-no-seat-yet")),
            owes(GUIDE_WORK, SEAT_WORK, AXIS_MOVED, Message.of("route.the-old-seat-no-longer-runs-true-to-the")),
            owes(SLEEVE, PRESSURE_TEST, Message.of("route.a-sleeve-is-tight-when-water-says-so")),
            owes(WELD, CRACK_CHECK, Message.of("route.a-weld-cracks-beside-itself-as-it-cools")),
            owes(WELD, PRESSURE_TEST, Message.of("route.a-weld-is-tight-when-water-says-so")),
            owes(WELD, FACE_CHECK, Message.of("route.welding-bends")),
            owes(STRAIGHTEN, CRACK_CHECK, Message.of("route.heat-and-press-may-open-a-crack")),
            owes(STRAIGHTEN, LINE_CHECK, Message.of("route.it-is-straight-once-it-was-measured-so")),
            owes(STRAIGHTEN, FACE_CHECK, Message.of("route.the-face-moved-with-the-line")),
            owes(CUT, PROOF, Message.of("route.a-cut-is-proven-by-reading-the-face")),
            owes(CUT, PRESSURE_TEST, REPAIR_IN_FACE, Message.of("route.the-cut-goes-over-a-repaired-place")),
            owes(CUT, LINER_CHECK, HAS_LINERS, Message.of("route.a-deck-cut-raises-a-fixed-liner-by-its")),
            owes(CUT, DECK_INDEX, DECK_ASKED, Message.of("route.the-cut-was-to-square-it-read-it-over")),
            owes(LINE_BORE, LINE_CHECK, Message.of("route.it-is-straight-once-it-was-measured-so")),
            owes(LINER_TRIM, LINER_CHECK, Message.of("route.they-stand-right-once-they-were")),
            owes(CUT, CHAMBER_FILL, CHAMBERS_ASKED, Message.of("route.the-cut-made-every-chamber-smaller-what")),
            owes(SEAT_WORK, CHAMBER_FILL, CHAMBERS_ASKED, Message.of("route.valves-that-lie-deeper-make-a-chamber")),
            owes(CUT, OIL_AND_BAG, Message.of("route.the-cut-face-is-bare")),
            owes(PRESSURE_TEST, OIL_AND_BAG, Message.of("route.it-was-wet")));

    public static final List<Order> ORDER = List.of(
            order(CLEAN, CRACK_CHECK, MUST, Message.of("route.a-crack-under-dirt-is-not-seen")),
            order(CRACK_CHECK, FACE_CHECK, BETTER, Message.of("route.a-crack-may-scrap-it-the-readings-were")),
            order(CRACK_CHECK, CUT, MUST, Message.of("route.metal-off-a-cracked-casting-is-lost")),
            order(CRACK_CHECK, STITCH, BETTER, Message.of("route.there-may-be-more-cracks-to-do-in-one")),
            order(CRACK_CHECK, WELD, BETTER, Message.of("route.there-may-be-more-cracks-to-do-in-one")),
            order(CRACK_CHECK, SLEEVE, BETTER, Message.of("route.there-may-be-more-cracks-to-do-in-one")),
            order(CLEAN, VALVE_CHECK, BETTER, Message.of("route.carbon-in-a-guide-measures-as-metal")),
            order(CRACK_CHECK, VALVE_CHECK, BETTER, Message.of("route.a-crack-may-scrap-it-the-readings-were")),
            order(VALVE_CHECK, GUIDE_WORK, MUST, Message.of("route.what-is-worn-and-how-is-measured-first")),
            order(VALVE_CHECK, SEAT_WORK, BETTER, Message.of("route.what-a-seat-needs-is-measured-first")),
            order(CRACK_CHECK, GUIDE_WORK, BETTER, Message.of("route.new-guides-in-a-casting-that-may-be")),
            order(CRACK_CHECK, SEAT_WORK, BETTER, Message.of("route.seat-work-on-a-casting-that-may-be")),
            order(GUIDE_WORK, INSERT, MUST, Message.of("route.the-counterbore-is-cut-on-a-pilot-in-a")),
            order(GUIDE_WORK, SEAT_WORK, MUST, Message.of("route.a-seat-is-cut-true-to-the-guide-that")),
            order(INSERT, SEAT_WORK, MUST, Message.of("route.the-ring-carries-the-seat")),
            order(INSERT, CUT, BETTER, Message.of("route.heat-and-force-for-a-ring-move-the-face")),
            order(CRACK_CHECK, REFERENCE_CUT, MUST, Message.of("route.metal-off-a-cracked-casting-is-lost")),
            order(CUT_PLAN, REFERENCE_CUT, BETTER, Message.of("route.without-one-nothing-tells-how-deep-it")),
            order(STRAIGHTEN, REFERENCE_CUT, MUST, Message.of("route.skimmed-while-bent-it-binds-for-good")),
            order(LINE_CHECK, REFERENCE_CUT, MUST, Message.of("route.skimmed-while-bent-it-binds-for-good")),
            order(STITCH, REFERENCE_CUT, MUST, Message.of("route.pins-are-cut-flush-with-the-face")),
            order(WELD, REFERENCE_CUT, MUST, Message.of("route.a-weld-stands-proud-and-bends-the-face")),
            order(REFERENCE_CUT, INSERT, BETTER, Message.of("route.rings-are-topped-and-measured-off-the")),
            order(REFERENCE_CUT, SEAT_WORK, BETTER, Message.of("route.seats-and-spring-seats-are-cut-off-the")),
            order(REFERENCE_CUT, CUT, MUST, Message.of("route.the-light-finish-pass-is-the-last")),
            staged(GUIDE_WORK, CUT, BETTER, Message.of("route.the-light-finish-pass-comes-after-the")),
            staged(SEAT_WORK, CUT, BETTER, Message.of("route.the-light-finish-pass-comes-after-the")),
            order(CLEAN, CHAMBER_FILL, BETTER, Message.of("route.carbon-fills-a-chamber-as-well-as-metal")),
            order(CRACK_CHECK, CHAMBER_FILL, BETTER, Message.of("route.a-crack-may-scrap-it-the-fills-were-for")),
            order(CHAMBER_FILL, CUT_PLAN, BETTER, Message.of("route.how-much-may-come-off-is-worked-out")),
            order(CHAMBER_FILL, OIL_AND_BAG, MUST, Message.of("route.after-the-last-wet-step")),
            order(STITCH, INSERT, MUST, Message.of("route.the-counterbore-is-cut-through-the-pins")),
            order(PRESSURE_TEST, INSERT, BETTER, Message.of("route.a-leak-under-an-insert-cannot-be")),
            order(CLEAN, PRESSURE_TEST, BETTER, Message.of("route.dirt-closes-a-leak-for-a-while")),
            order(STITCH, CUT, MUST, Message.of("route.pins-are-cut-flush-with-the-face")),
            order(WELD, CUT, MUST, Message.of("route.a-weld-stands-proud-and-bends-the-face")),
            order(SLEEVE, CUT, MUST, Message.of("route.a-sleeve-is-cut-flush-with-the-deck")),
            order(PRESSURE_TEST, CUT, BETTER, Message.of("route.the-cut-is-lost-on-a-casting-that-leaks")),
            order(FACE_CHECK, CUT_PLAN, BETTER, Message.of("route.what-is-not-read-of-the-face-the-plan")),
            order(CUT_PLAN, CUT, BETTER, Message.of("route.without-one-nothing-tells-how-deep-it")),
            order(STRAIGHTEN, FACE_CHECK, BETTER, Message.of("route.the-face-moves-with-the-line")),
            order(STRAIGHTEN, CUT_PLAN, MUST, Message.of("route.skimmed-while-bent-it-binds-for-good")),
            order(STRAIGHTEN, CUT, MUST, Message.of("route.skimmed-while-bent-it-binds-for-good")),
            order(LINE_CHECK, CUT, MUST, Message.of("route.skimmed-while-bent-it-binds-for-good")),
            order(LINE_CHECK, CUT_PLAN, BETTER, Message.of("route.a-bent-line-changes-the-plan")),
            order(DECK_INDEX, CUT_PLAN, BETTER, Message.of("route.the-squaring-cut-decides-the-set-up")),
            order(CUT, LINER_CHECK, BETTER, Message.of("route.the-cut-changes-the-protrusion")),
            order(LINER_CHECK, LINER_TRIM, MUST, Message.of("route.the-amount-to-trim-is-measured-first")),
            order(CUT, LINER_TRIM, MUST, Message.of("route.a-deck-cut-raises-a-fixed-liner-by-its")),
            order(LINE_CHECK, STRAIGHTEN, BETTER, Message.of("route.how-much-it-is-bent-is-measured-first")),
            order(CRACK_CHECK, LINE_BORE, BETTER, Message.of("route.a-bored-line-in-a-casting-that-may-be")),
            order(LINE_CHECK, LINE_BORE, BETTER, Message.of("route.how-much-the-caps-lose-is-worked-out")),
            order(LINE_BORE, CUT_PLAN, BETTER, Message.of("route.the-line-moves-towards-the-face-and-so")),
            order(LINE_BORE, OIL_AND_BAG, MUST, Message.of("route.after-the-last-wet-step")),
            order(CRACK_CHECK, OIL_AND_BAG, BETTER, Message.of("route.oil-hides-a-crack")),
            order(FACE_CHECK, OIL_AND_BAG, BETTER, Message.of("route.oil-holds-an-edge-off-the-face")),
            order(LINE_CHECK, OIL_AND_BAG, BETTER, Message.of("route.oil-holds-an-edge-off-the-saddles")),
            order(STRAIGHTEN, OIL_AND_BAG, MUST, Message.of("route.after-the-last-wet-step")),
            order(STITCH, OIL_AND_BAG, MUST, Message.of("route.after-the-last-wet-step")),
            order(INSERT, OIL_AND_BAG, MUST, Message.of("route.after-the-last-wet-step")),
            order(GUIDE_WORK, OIL_AND_BAG, MUST, Message.of("route.after-the-last-wet-step")),
            order(SEAT_WORK, OIL_AND_BAG, MUST, Message.of("route.after-the-last-wet-step")),
            order(WELD, OIL_AND_BAG, MUST, Message.of("route.after-the-last-wet-step")),
            order(SLEEVE, OIL_AND_BAG, MUST, Message.of("route.after-the-last-wet-step")),
            order(LINER_TRIM, OIL_AND_BAG, MUST, Message.of("route.after-the-last-wet-step")),
            order(CLEAN, OIL_AND_BAG, MUST, Message.of("route.after-the-last-wet-step")),
            order(CHOICE, STITCH, MUST, Message.of("route.the-customer-pays-for-it-and-says-so")),
            order(CHOICE, WELD, MUST, Message.of("route.the-customer-pays-for-it-and-says-so")),
            order(CHOICE, SLEEVE, MUST, Message.of("route.the-customer-pays-for-it-and-says-so")),
            order(CHOICE, INSERT, MUST, Message.of("route.the-customer-pays-for-it-and-says-so")),
            order(CHOICE, GUIDE_WORK, MUST, Message.of("route.the-customer-pays-for-it-and-says-so")),
            order(CHOICE, SEAT_WORK, MUST, Message.of("route.the-customer-pays-for-it-and-says-so")),
            order(CHOICE, STRAIGHTEN, MUST, Message.of("route.the-customer-pays-for-it-and-says-so")),
            order(CHOICE, LINE_BORE, MUST, Message.of("route.the-customer-pays-for-it-and-says-so")),
            order(CHOICE, REFERENCE_CUT, MUST, Message.of("route.the-customer-pays-for-it-and-says-so")),
            order(CHOICE, CUT, MUST, Message.of("route.the-customer-pays-for-it-and-says-so")),
            order(CHOICE, LINER_TRIM, MUST, Message.of("route.the-customer-pays-for-it-and-says-so")),
            order(CRACK_CHECK, CHOICE, BETTER, Message.of("route.the-customer-is-asked-once-with-all")),
            order(VALVE_CHECK, CHOICE, BETTER, Message.of("route.the-customer-is-asked-once-with-all")),
            order(LINE_CHECK, CHOICE, BETTER, Message.of("route.the-customer-is-asked-once-with-all")),
            order(FACE_CHECK, CHOICE, BETTER, Message.of("route.the-customer-is-asked-once-with-all")),
            order(DECK_INDEX, CHOICE, BETTER, Message.of("route.the-customer-is-asked-once-with-all")),
            order(CHAMBER_FILL, CHOICE, BETTER, Message.of("route.the-customer-is-asked-once-with-all")),
            order(PROOF, OIL_AND_BAG, BETTER, Message.of("route.oil-holds-an-edge-off-the-face")),
            order(LINER_CHECK, OIL_AND_BAG, BETTER, Message.of("route.oil-holds-an-edge-off-the-face")),
            order(PRESSURE_TEST, OIL_AND_BAG, MUST, Message.of("route.after-the-last-wet-step")),
            order(CUT, OIL_AND_BAG, MUST, Message.of("route.after-the-last-wet-step")));

    /** Every rule, where a shop lets none go. */
    public static final InForce ALL = new InForce(MAKES, ORDER);

    private static final Map<Operation, List<Owes>> OWES_BY_WORK = OWES.stream()
            .collect(Collectors.groupingBy(Owes::work, () -> new EnumMap<>(Operation.class), Collectors.toList()));

    /** What doing it makes owed. */
    static List<Owes> owes(Operation work) {
        return OWES_BY_WORK.getOrDefault(work, List.of());
    }

    /**
     * True when having done the one answers a need for the other: a bored line need not be straightened, and what was cut by
     * what the cutter showed needs no plan any more.
     */
    static boolean meets(Operation did, Operation need) {
        return did == need || (did == LINE_BORE && need == STRAIGHTEN) || (did == CUT && need == CUT_PLAN);
    }

    private static Owes owes(Operation work, Operation then, Message because) {
        return new Owes(work, then, Optional.empty(), because);
    }

    private static Owes owes(Operation work, Operation then, Finding onlyWith, Message because) {
        return new Owes(work, then, Optional.of(onlyWith), because);
    }

    private static Order staged(Operation before, Operation after, Strength strength, Message because) {
        return new Order(before, after, strength, Optional.of(REFERENCE_CUT), because);
    }

    private static Order order(Operation before, Operation after, Strength strength, Message because) {
        return new Order(before, after, strength, Optional.empty(), because);
    }
}
