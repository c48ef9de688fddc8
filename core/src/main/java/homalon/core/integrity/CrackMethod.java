package homalon.core.integrity;

import homalon.core.part.Material;
import homalon.core.words.Message;
import java.util.Optional;

/** How cracks are looked for. */
public enum CrackMethod {
    EYES,
    MAGNETIC_PARTICLE,
    DYE,
    PRESSURE;

    private final Message words = Message.of(this, "words");
    private final Message how = Message.of(this, "how");

    public Message words() {
        return words;
    }

    public Message how() {
        return how;
    }

    /** What can hurt; empty where nothing is special. */
    public Message caution() {
        return this == EYES ? Message.NONE : Message.of(this, "caution");
    }

    /** Why it cannot show a crack in that metal; empty when it can. */
    public Optional<Message> refusal(Material material) {
        return this == MAGNETIC_PARTICLE && material != Material.CAST_IRON
                ? Optional.of(Message.of("integrity.magnetic-particle-needs-iron-or-steel", material.words()))
                : Optional.empty();
    }
}
