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
 * @param byCover whether a face was within by the rule of cover alone: for what was handed over while nothing more was asked
 */
public record ShopRules(
        FaceDefaults faces,
        BookDefaults books,
        OwnLines lines,
        Map<String, String> letGo,
        ShopPaper paper,
        TagNumbers tags,
        boolean byCover) {
    public ShopRules {
        letGo = Map.copyOf(letGo);
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
                false);
    }

    /** The same for what was handed over while the rule of cover was all that was asked of a face. */
    public ShopRules withCoverAlone() {
        return new ShopRules(faces, books, lines, letGo, paper, tags, true);
    }
}
