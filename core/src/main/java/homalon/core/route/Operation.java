package homalon.core.route;

/** One thing that is done to a casting: a check that looks, or work that changes it. */
public enum Operation {
    CLEAN("clean", false),
    CRACK_CHECK("crack check", true),
    STITCH("stitch with pins", false),
    WELD("weld", false),
    SLEEVE("sleeve", false),
    INSERT("seat insert", false),
    VALVE_CHECK("valve check", true),
    GUIDE_WORK("guide work", false),
    SEAT_WORK("seat work", false),
    CHAMBER_FILL("fill the chambers", true),
    PRESSURE_TEST("pressure test", true),
    STRAIGHTEN("straighten", false),
    LINE_BORE("cut the caps and line-bore", false),
    LINE_CHECK("line check", true),
    FACE_CHECK("face check", true),
    DECK_INDEX("deck index", true),
    CUT_PLAN("cut plan", false),
    REFERENCE_CUT("reference cut", false),
    CUT("cut the face", false),
    PROOF("read the face again", true),
    LINER_CHECK("liner protrusion", true),
    LINER_TRIM("trim liners", false),
    TORQUE("turning torque", true),
    OIL_AND_BAG("oil and bag", false),
    HAND_OVER("hand over", false);

    private final String words;
    private final boolean check;

    Operation(String words, boolean check) {
        this.words = words;
        this.check = check;
    }

    public String words() {
        return words;
    }

    /** A check can be owed again; work is done once for what made it. */
    public boolean isCheck() {
        return check;
    }
}
