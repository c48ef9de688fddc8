package homalon.core.chambers;

import homalon.core.words.Message;
import java.util.Optional;

/** The state a head was in when a chamber was filled: seat work and a cut each change the volume. */
public enum FillState {
    AS_CAME(false, false),
    SEATS(true, false),
    CUT(false, true),
    BOTH(true, true);

    private final Message words = Message.of(this);
    private final boolean seats;
    private final boolean cut;

    FillState(boolean seats, boolean cut) {
        this.seats = seats;
        this.cut = cut;
    }

    public Message words() {
        return words;
    }

    /** Seats were made already. */
    public boolean seatsDone() {
        return seats;
    }

    /** The face was cut already. */
    public boolean cutDone() {
        return cut;
    }

    /** The state of a head of which so much was done. */
    public static FillState of(boolean seatsDone, boolean cutDone) {
        return seatsDone ? cutDone ? BOTH : SEATS : cutDone ? CUT : AS_CAME;
    }

    public static Optional<FillState> byName(String name) {
        for (FillState s : values()) {
            if (s.name().equals(name)) {
                return Optional.of(s);
            }
        }
        return Optional.empty();
    }
}
