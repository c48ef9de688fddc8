package homalon.core.visit;

/**
 * One line of what is keyed of an insert's place, cell by cell as typed: damage from one hour to another and how far past the wall, or a
 * neighbour, the distance of centres and its counterbore.
 */
public record PlaceLine(String first, String second, String third) {
    /** A cell is one word, so that a figure keeps its unit beside it. */
    public PlaceLine {
        first = word(first);
        second = word(second);
        third = word(third);
    }

    public static final PlaceLine BLANK = new PlaceLine("", "", "");

    private static String word(String cell) {
        return cell.replaceAll("[\\s;]+", "");
    }

    public boolean blank() {
        return equals(BLANK);
    }
}
