package homalon.app.casting.part;

import homalon.core.route.StepKind;

/** Where the page of a step is, and which letter goes there. */
public final class StepPages {
    private StepPages() {}

    /** Last part of the step's address. */
    public static String path(StepKind kind) {
        return switch (kind) {
            case BOOKED -> "intake";
            case CLEAN -> "clean";
            case CRACKS -> "cracks";
            case REPAIR -> "route";
            case PRESSURE -> "pressure";
            case LINE -> "line";
            case VALVES -> "valves";
            case FACE -> "face";
            case INDEX -> "index";
            case CHOICE -> "estimate";
            case GUIDES -> "guides";
            case INSERTS -> "inserts";
            case CHAMBERS -> "chambers";
            case PLAN -> "plan";
            case CUT -> "cut";
            case PROVE -> "proof";
            case SEATS -> "seats";
            case LINERS -> "liners";
            case HAND_OVER -> "report";
        };
    }

    /** Goes to the step after {@code g}. */
    public static char key(StepKind kind) {
        return switch (kind) {
            case BOOKED -> 'i';
            case CLEAN -> 'w';
            case CRACKS -> 'x';
            case REPAIR -> 'o';
            case PRESSURE -> 'r';
            case LINE -> 'l';
            case VALVES -> 'a';
            case FACE -> 'f';
            case INDEX -> 'y';
            case CHOICE -> 'd';
            case GUIDES -> 'm';
            case INSERTS -> 'n';
            case CHAMBERS -> 'e';
            case PLAN -> 'p';
            case CUT -> 'c';
            case PROVE -> 'v';
            case SEATS -> 't';
            case LINERS -> 's';
            case HAND_OVER -> 'h';
        };
    }
}
