package homalon.core.bench;

import homalon.core.words.Message;

/** What stations there are in a shop. */
public enum StationKind {
    TANK,
    OVEN,
    BLAST,
    CRACKS,
    PRESSURE,
    MEASURING,
    SURFACER,
    SEATS,
    PRESS,
    HANDS,
    WASH;

    private final Message words = Message.of(this);

    public Message words() {
        return words;
    }
}
