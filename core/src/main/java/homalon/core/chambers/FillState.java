package homalon.core.chambers;

import java.util.Optional;

/** The state a head was in when a chamber was filled: seat work and a cut each change the volume. */
public enum FillState {
    AS_CAME("as it came", false, false),
    SEATS("after seat work", true, false),
    CUT("after the cut", false, true),
    BOTH("after seats and cut", true, true);

    private final String words;
    private final boolean seats;
    private final boolean cut;

    FillState(String words, boolean seats, boolean cut) {
        this.words = words;
        this.seats = seats;
        this.cut = cut;
    }

    public String words() {
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
