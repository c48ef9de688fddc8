package homalon.core.route;

import homalon.core.words.Message;

/** One thing that is done to a casting: a check that looks, or work that changes it. */
public enum Operation {
    CLEAN(false),
    CRACK_CHECK(true),
    STITCH(false),
    WELD(false),
    SLEEVE(false),
    INSERT(false),
    VALVE_CHECK(true),
    GUIDE_WORK(false),
    SEAT_WORK(false),
    CHAMBER_FILL(true),
    PRESSURE_TEST(true),
    STRAIGHTEN(false),
    LINE_BORE(false),
    LINE_CHECK(true),
    FACE_CHECK(true),
    DECK_INDEX(true),
    /** The customer says how it goes on. */
    CHOICE(true),
    CUT_PLAN(false),
    REFERENCE_CUT(false),
    CUT(false),
    PROOF(true),
    LINER_CHECK(true),
    LINER_TRIM(false),
    TORQUE(true),
    OIL_AND_BAG(false),
    HAND_OVER(false);

    private final Message words = Message.of(this);
    private final Message after = Message.of(this, "after");
    private final boolean check;

    Operation(boolean check) {
        this.check = check;
    }

    public Message words() {
        return words;
    }

    /** {@code after the cut}. */
    public Message after() {
        return after;
    }

    /** A check can be owed again; work is done once for what made it. */
    public boolean isCheck() {
        return check;
    }
}
