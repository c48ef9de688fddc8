package homalon.core.rulebook;

import homalon.core.quantity.BenchUnit;
import java.util.Map;

/**
 * What a shop goes by, as it stood on one day.
 *
 * @param faces what a face may have where nothing was entered for it
 * @param books what stands in the books of valves and engines where nothing was keyed
 * @param lines that are ticked for every casting
 * @param letGo rules of the route that it does not go by, by name, and why
 * @param paper what stands on its papers
 * @param tags how they are numbered
 * @param before how what was handed over before was judged
 */
public record ShopRules(
        FaceDefaults faces,
        BookDefaults books,
        OwnLines lines,
        Map<String, String> letGo,
        ShopPaper paper,
        TagNumbers tags,
        Before before) {
    /**
     * What was handed over while less was asked stays judged as it was.
     *
     * @param byCover a face that was read was within by the rule of cover alone
     * @param byBlades one that was tried with feelers was within by what bow and twist allow
     * @param byFigures what was read of valves, liners, lines and tests counted as exact
     * @param byScan one that was scanned was within by the rule of cover alone
     * @param byStiffEdge a straightedge did not hang down, and a chance by feelers counted as it was drawn
     */
    public record Before(boolean byCover, boolean byBlades, boolean byFigures, boolean byScan, boolean byStiffEdge) {
        public static final Before NOTHING = new Before(false, false, false, false, false);
    }

    public ShopRules {
        letGo = Map.copyOf(letGo);
    }

    /** What its gauges leave open where none is told by its code. */
    public BenchGauges gauges() {
        return before.byFigures() ? BenchGauges.EXACT : BenchGauges.of(books);
    }

    /** Before a shop set anything. */
    public static ShopRules of(BenchUnit unit) {
        return new ShopRules(
                FaceDefaults.of(unit),
                BookDefaults.of(unit),
                OwnLines.NONE,
                Map.of(),
                ShopPaper.NONE,
                TagNumbers.USUAL,
                Before.NOTHING);
    }

    /** The same for what was handed over while less was asked. */
    public ShopRules asBefore(Before then) {
        return new ShopRules(faces, books, lines, letGo, paper, tags, then);
    }
}
