package homalon.core.route;

import static homalon.core.route.Finding.*;
import static homalon.core.route.Operation.*;
import static homalon.core.route.Strength.BETTER;
import static homalon.core.route.Strength.MUST;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * The rules of the route, all in this one place: what every casting needs, what a finding makes, what work makes owed, and what
 * comes before what. Each says why, in the words that the screens show.
 */
public final class RouteRules {
    private RouteRules() {}

    /** Every casting needs it. */
    public record Always(Operation operation, String because) {}

    /** A finding makes work, or a check. */
    public record Makes(Finding finding, Operation operation, String because) {}

    /**
     * Work makes a check owed, or other work, each time that it is done.
     *
     * @param onlyWith the rule holds only for a casting with this finding
     */
    public record Owes(Operation work, Operation then, Optional<Finding> onlyWith, String because) {}

    /**
     * One comes before the other.
     *
     * @param onlyWith the rule holds only where that is part of the route as well
     */
    public record Order(
            Operation before, Operation after, Strength strength, Optional<Operation> onlyWith, String because) {}

    public static final List<Always> ALWAYS = List.of(
            new Always(CLEAN, "dirt hides cracks and holds an edge off the face"),
            new Always(CRACK_CHECK, "no work pays on a casting that has to be scrapped"),
            new Always(FACE_CHECK, "the face decides whether it is cut"),
            new Always(OIL_AND_BAG, "a bare face rusts overnight"),
            new Always(HAND_OVER, "that is what the customer waits for"));

    public static final List<Makes> MAKES = List.of(
            new Makes(CRACK_TO_STITCH, STITCH, "pins stop the crack at its tips and close it"),
            new Makes(CRACK_BETWEEN_SEATS, STITCH, "pins close it down to the water"),
            new Makes(CRACK_BETWEEN_SEATS, INSERT, "an insert carries the seat over the pins"),
            new Makes(VALVES_ASKED, VALVE_CHECK, "guides, seats and springs are measured before any is worked on"),
            new Makes(GUIDES_WORN, GUIDE_WORK, "a stem that leans wears its seat oval"),
            new Makes(SEATS_BAD, SEAT_WORK, "a seat that does not seal burns"),
            new Makes(SEAT_TO_INSERT, INSERT, "the seat is past grinding"),
            new Makes(CHAMBERS_ASKED, CHAMBER_FILL, "a ratio is only as good as the volume it is worked out from"),
            new Makes(CRACK_TO_WELD, WELD, "aluminium is welded by a specialist"),
            new Makes(WALL_TO_SLEEVE, SLEEVE, "a sleeve takes the broken wall's place"),
            new Makes(WALL_SUSPECT, PRESSURE_TEST, "such a wall opens on its hidden side first"),
            new Makes(MAY_BE_BENT, LINE_CHECK, "a casting that was hot may be bent though its face was made flat"),
            new Makes(PICKED_UP, LINE_CHECK, "what held a shaft once may have moved or bent its line"),
            new Makes(
                    NOT_TRUSTED,
                    LINE_CHECK,
                    "neither a bought casting nor others' work is trusted until it is measured"),
            new Makes(DROPPED, VALVE_CHECK, "what drops hammers guides and seats beside it"),
            new Makes(DROPPED, PRESSURE_TEST, "what drops hammers the chamber down to the water"),
            new Makes(STOOD_WET, PRESSURE_TEST, "rust eats a wall from the side one does not see"),
            new Makes(LINES_ASKED, LINE_CHECK, "a line that was begun is read to its end"),
            new Makes(TURNS_STIFF, LINE_CHECK, "what holds a shaft is in its line, its caps or its bores"),
            new Makes(LINE_BENT, STRAIGHTEN, "cutting the face does not make the line straight"),
            new Makes(LINE_TIGHT, STRAIGHTEN, "less is left than a shaft runs with, and a skim takes none of it away"),
            new Makes(FACE_OUT, CUT_PLAN, "the depth and the set-up are chosen before the cut"),
            new Makes(FACE_OUT, CUT, "the face is out of its limit"),
            new Makes(DECK_ASKEW, CUT_PLAN, "the squaring cut is set up parallel to the crank line"),
            new Makes(DECK_ASKEW, CUT, "a flat deck that stands askew leaks at its low end"),
            new Makes(DECK_ASKED, DECK_INDEX, "a deck can be flat and still stand askew to the crank line"),
            new Makes(HAS_LINERS, LINER_CHECK, "the gasket seals on the liners"),
            new Makes(LINERS_UNEVEN, LINER_TRIM, "a liner that stands wrong is not sealed"));

    public static final List<Owes> OWES = List.of(
            owes(STITCH, PRESSURE_TEST, "pins are tight when water says so"),
            owes(INSERT, PRESSURE_TEST, "a counterbore can break into water"),
            owes(INSERT, CRACK_CHECK, "a ring that went in with force can open the casting beside it"),
            owes(INSERT, SEAT_WORK, VALVES_ASKED, "a new ring has no seat yet"),
            owes(GUIDE_WORK, SEAT_WORK, AXIS_MOVED, "the old seat no longer runs true to the guide"),
            owes(SLEEVE, PRESSURE_TEST, "a sleeve is tight when water says so"),
            owes(WELD, CRACK_CHECK, "a weld cracks beside itself as it cools"),
            owes(WELD, PRESSURE_TEST, "a weld is tight when water says so"),
            owes(WELD, FACE_CHECK, "welding bends"),
            owes(STRAIGHTEN, CRACK_CHECK, "heat and press may open a crack"),
            owes(STRAIGHTEN, LINE_CHECK, "it is straight once it was measured so"),
            owes(STRAIGHTEN, FACE_CHECK, "the face moved with the line"),
            owes(CUT, PROOF, "a cut is proven by reading the face again"),
            owes(CUT, PRESSURE_TEST, REPAIR_IN_FACE, "the cut goes over a repaired place"),
            owes(CUT, LINER_CHECK, HAS_LINERS, "a deck cut raises a fixed liner by its depth"),
            owes(CUT, DECK_INDEX, DECK_ASKED, "the cut was to square it: read it over the crank line again"),
            owes(LINE_BORE, LINE_CHECK, "it is straight once it was measured so"),
            owes(LINER_TRIM, LINER_CHECK, "they stand right once they were measured so"),
            owes(CUT, CHAMBER_FILL, CHAMBERS_ASKED, "the cut made every chamber smaller: what it came to is filled"),
            owes(SEAT_WORK, CHAMBER_FILL, CHAMBERS_ASKED, "valves that lie deeper make a chamber larger"),
            owes(CUT, OIL_AND_BAG, "the cut face is bare"),
            owes(PRESSURE_TEST, OIL_AND_BAG, "it was wet"));

    public static final List<Order> ORDER = List.of(
            order(CLEAN, CRACK_CHECK, MUST, "a crack under dirt is not seen"),
            order(CRACK_CHECK, FACE_CHECK, BETTER, "a crack may scrap it: the readings were for nothing"),
            order(CRACK_CHECK, CUT, MUST, "metal off a cracked casting is lost"),
            order(CRACK_CHECK, STITCH, BETTER, "there may be more cracks to do in one go"),
            order(CRACK_CHECK, WELD, BETTER, "there may be more cracks to do in one go"),
            order(CRACK_CHECK, SLEEVE, BETTER, "there may be more cracks to do in one go"),
            order(CLEAN, VALVE_CHECK, BETTER, "carbon in a guide measures as metal"),
            order(CRACK_CHECK, VALVE_CHECK, BETTER, "a crack may scrap it: the readings were for nothing"),
            order(VALVE_CHECK, GUIDE_WORK, MUST, "what is worn, and how, is measured first"),
            order(VALVE_CHECK, SEAT_WORK, BETTER, "what a seat needs is measured first"),
            order(CRACK_CHECK, GUIDE_WORK, BETTER, "new guides in a casting that may be scrapped are lost"),
            order(CRACK_CHECK, SEAT_WORK, BETTER, "seat work on a casting that may be scrapped is lost"),
            order(GUIDE_WORK, INSERT, MUST, "the counterbore is cut on a pilot in a sound guide"),
            order(GUIDE_WORK, SEAT_WORK, MUST, "a seat is cut true to the guide that will stay"),
            order(INSERT, SEAT_WORK, MUST, "the ring carries the seat"),
            order(INSERT, CUT, BETTER, "heat and force for a ring move the face"),
            order(CRACK_CHECK, REFERENCE_CUT, MUST, "metal off a cracked casting is lost"),
            order(CUT_PLAN, REFERENCE_CUT, BETTER, "without one nothing tells how deep it goes or how it should lie"),
            order(STRAIGHTEN, REFERENCE_CUT, MUST, "skimmed while bent, it binds for good"),
            order(LINE_CHECK, REFERENCE_CUT, MUST, "skimmed while bent, it binds for good"),
            order(STITCH, REFERENCE_CUT, MUST, "pins are cut flush with the face"),
            order(WELD, REFERENCE_CUT, MUST, "a weld stands proud and bends the face"),
            order(REFERENCE_CUT, INSERT, BETTER, "rings are topped and measured off the reference cut"),
            order(REFERENCE_CUT, SEAT_WORK, BETTER, "seats and spring seats are cut off the reference cut"),
            order(REFERENCE_CUT, CUT, MUST, "the light finish pass is the last"),
            staged(GUIDE_WORK, CUT, BETTER, "the light finish pass comes after the work that is done off the face"),
            staged(SEAT_WORK, CUT, BETTER, "the light finish pass comes after the work that is done off the face"),
            order(CLEAN, CHAMBER_FILL, BETTER, "carbon fills a chamber as well as metal"),
            order(CRACK_CHECK, CHAMBER_FILL, BETTER, "a crack may scrap it: the fills were for nothing"),
            order(CHAMBER_FILL, CUT_PLAN, BETTER, "how much may come off is worked out from the volumes"),
            order(CHAMBER_FILL, OIL_AND_BAG, MUST, "after the last wet step"),
            order(STITCH, INSERT, MUST, "the counterbore is cut through the pins"),
            order(PRESSURE_TEST, INSERT, BETTER, "a leak under an insert cannot be reached any more"),
            order(CLEAN, PRESSURE_TEST, BETTER, "dirt closes a leak for a while"),
            order(STITCH, CUT, MUST, "pins are cut flush with the face"),
            order(WELD, CUT, MUST, "a weld stands proud and bends the face"),
            order(SLEEVE, CUT, MUST, "a sleeve is cut flush with the deck"),
            order(PRESSURE_TEST, CUT, BETTER, "the cut is lost on a casting that leaks"),
            order(FACE_CHECK, CUT_PLAN, BETTER, "what is not read of the face, the plan does not know"),
            order(CUT_PLAN, CUT, BETTER, "without one nothing tells how deep it goes or how it should lie"),
            order(STRAIGHTEN, FACE_CHECK, BETTER, "the face moves with the line"),
            order(STRAIGHTEN, CUT_PLAN, MUST, "skimmed while bent, it binds for good"),
            order(STRAIGHTEN, CUT, MUST, "skimmed while bent, it binds for good"),
            order(LINE_CHECK, CUT, MUST, "skimmed while bent, it binds for good"),
            order(LINE_CHECK, CUT_PLAN, BETTER, "a bent line changes the plan"),
            order(DECK_INDEX, CUT_PLAN, BETTER, "the squaring cut decides the set-up"),
            order(CUT, LINER_CHECK, BETTER, "the cut changes the protrusion"),
            order(LINER_CHECK, LINER_TRIM, MUST, "the amount to trim is measured first"),
            order(CUT, LINER_TRIM, MUST, "a deck cut raises a fixed liner by its depth"),
            order(LINE_CHECK, STRAIGHTEN, BETTER, "how much it is bent is measured first"),
            order(CRACK_CHECK, LINE_BORE, BETTER, "a bored line in a casting that may be scrapped is lost"),
            order(LINE_CHECK, LINE_BORE, BETTER, "how much the caps lose is worked out from what was measured"),
            order(LINE_BORE, CUT_PLAN, BETTER, "the line moves towards the face, and so does what may come off"),
            order(LINE_BORE, OIL_AND_BAG, MUST, "after the last wet step"),
            order(CRACK_CHECK, OIL_AND_BAG, BETTER, "oil hides a crack"),
            order(FACE_CHECK, OIL_AND_BAG, BETTER, "oil holds an edge off the face"),
            order(LINE_CHECK, OIL_AND_BAG, BETTER, "oil holds an edge off the saddles"),
            order(STRAIGHTEN, OIL_AND_BAG, MUST, "after the last wet step"),
            order(STITCH, OIL_AND_BAG, MUST, "after the last wet step"),
            order(INSERT, OIL_AND_BAG, MUST, "after the last wet step"),
            order(GUIDE_WORK, OIL_AND_BAG, MUST, "after the last wet step"),
            order(SEAT_WORK, OIL_AND_BAG, MUST, "after the last wet step"),
            order(WELD, OIL_AND_BAG, MUST, "after the last wet step"),
            order(SLEEVE, OIL_AND_BAG, MUST, "after the last wet step"),
            order(LINER_TRIM, OIL_AND_BAG, MUST, "after the last wet step"),
            order(CLEAN, OIL_AND_BAG, MUST, "after the last wet step"),
            order(PROOF, OIL_AND_BAG, BETTER, "oil holds an edge off the face"),
            order(LINER_CHECK, OIL_AND_BAG, BETTER, "oil holds an edge off the face"),
            order(PRESSURE_TEST, OIL_AND_BAG, MUST, "after the last wet step"),
            order(CUT, OIL_AND_BAG, MUST, "after the last wet step"));

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

    private static Owes owes(Operation work, Operation then, String because) {
        return new Owes(work, then, Optional.empty(), because);
    }

    private static Owes owes(Operation work, Operation then, Finding onlyWith, String because) {
        return new Owes(work, then, Optional.of(onlyWith), because);
    }

    private static Order staged(Operation before, Operation after, Strength strength, String because) {
        return new Order(before, after, strength, Optional.of(REFERENCE_CUT), because);
    }

    private static Order order(Operation before, Operation after, Strength strength, String because) {
        return new Order(before, after, strength, Optional.empty(), because);
    }
}
