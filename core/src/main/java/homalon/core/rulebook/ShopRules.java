package homalon.core.rulebook;

import homalon.core.quantity.BenchUnit;

/**
 * What a shop goes by, as it stood on one day.
 *
 * @param faces what a face may have where nothing was entered for it
 * @param lines that are ticked for every casting
 * @param paper what stands on its papers
 * @param tags how they are numbered
 */
public record ShopRules(FaceDefaults faces, OwnLines lines, ShopPaper paper, TagNumbers tags) {

    /** Before a shop set anything. */
    public static ShopRules of(BenchUnit unit) {
        return new ShopRules(FaceDefaults.of(unit), OwnLines.NONE, ShopPaper.NONE, TagNumbers.USUAL);
    }
}
