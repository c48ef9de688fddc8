package homalon.core.integrity;

/** What is done in a moment and forgotten as fast: each is ticked with a name. */
public enum SmallCheck {
    DOWELS_OUT("Dowels out", "an edge laid over a dowel reads a face that is not there"),
    HOLES_CHASED(
            "Bolt holes chased with the right tap", "dirt in a hole breaks the bolt's torque, and a blind hole splits"),
    PASSAGES_BRUSHED("Passages brushed through", "one grain of grit costs a bearing"),
    OILED_AND_BAGGED("Oiled and bagged", "a bare face rusts overnight");

    private final String words;
    private final String because;

    SmallCheck(String words, String because) {
        this.words = words;
        this.because = because;
    }

    public String words() {
        return words;
    }

    public String because() {
        return because;
    }
}
