package homalon.app.machining.valves;

import java.util.List;

/**
 * The page on which guides are mended.
 *
 * @param map the face with every guide's state
 * @param picture the guide in hand, cut open; empty before it is read
 * @param ream what to ream the housing to; empty where a guide fits as it is
 * @param height where to set it; empty when the book does not say
 * @param done what was written when it was done; empty before
 */
record GuideView(
        String map,
        List<Row> rows,
        Picked picked,
        String state,
        String picture,
        String style,
        String words,
        String sentence,
        List<ValveView.Row> figures,
        List<Rung> rungs,
        String housing,
        List<Fit> fits,
        String press,
        String ream,
        String item,
        String height,
        String done) {
    record Row(String key, String clearance, String finding, String choice, String state, String style) {}

    /**
     * @param chosen by the machinist
     * @param lowest the lowest that helps
     */
    record Rung(String name, String words, String helps, String why, String ream, boolean chosen, boolean lowest) {}

    record Fit(String code, String words, String outer, String press, String answer, boolean bites, int shelf) {}
}
