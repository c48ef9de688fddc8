package homalon.core.cut;

import homalon.core.part.Material;
import homalon.core.words.Message;

/** What cuts, and how fast it is usually run, m/min at the edge. */
public enum Insert {
    CBN,
    PCD,
    CARBIDE;

    private final Message words = Message.of(this);

    public Message words() {
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
