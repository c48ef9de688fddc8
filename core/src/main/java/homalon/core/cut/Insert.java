package homalon.core.cut;

import homalon.core.part.Material;

/** What cuts, and how fast it is usually run, m/min at the edge. */
public enum Insert {
    CBN("boron nitride (CBN)"),
    PCD("diamond (PCD)"),
    CARBIDE("carbide");

    private final String words;

    Insert(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** Middle of the usual cutting speeds, m/min; a default, the insert maker's figure comes first. */
    public double speed(Material metal) {
        return switch (this) {
            case CBN -> 650;
            case PCD -> 1150;
            case CARBIDE -> metal == Material.CAST_IRON ? 115 : 400;
        };
    }
}
