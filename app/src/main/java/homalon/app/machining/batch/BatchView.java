package homalon.app.machining.batch;

import homalon.app.machining.cut.CutView;
import java.util.List;
import java.util.UUID;

/**
 * A batch ready to be shown.
 *
 * @param total cut so far over the first casting
 * @param planned to be cut in all
 * @param apart true when the ledgers do not tell the same passes any more
 * @param begun true when a pass stands
 */
record BatchView(
        UUID id,
        List<Member> members,
        String total,
        String planned,
        CutView.Headline headline,
        List<CutView.Walk> walk,
        String machine,
        String cutter,
        String edge,
        boolean apart,
        boolean begun) {

    /**
     * One casting on the table.
     *
     * @param share expected clean
     * @param shims to lay under it
     * @param cleanAfter name of the pass after which it is clean
     * @param extra comes off it for the sake of another; empty for nothing
     */
    record Member(
            String tag,
            String name,
            String picture,
            String share,
            String shims,
            String cleanAfter,
            String extra,
            String life) {}
}
