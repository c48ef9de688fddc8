package homalon.core.gauge;

import homalon.core.words.Message;

/** What a shop measures with. */
public enum InstrumentKind {
    INDICATOR(Reads.LENGTH),
    /** What a face is read from: a surface table, a slideway. */
    TABLE(Reads.LENGTH),
    STRAIGHTEDGE(Reads.LENGTH),
    FEELERS(Reads.LENGTH),
    MICROMETER(Reads.LENGTH),
    BORE_GAUGE(Reads.LENGTH),
    SPLIT_BALL(Reads.LENGTH),
    DEPTH_GAUGE(Reads.LENGTH),
    BURETTE(Reads.VOLUME),
    TORQUE_WRENCH(Reads.TORQUE),
    PRESSURE_GAUGE(Reads.PRESSURE);

    /** What it tells, and what its figures are kept in: mm, cc, Nm, bar. */
    public enum Reads {
        LENGTH,
        VOLUME,
        TORQUE,
        PRESSURE
    }

    private final Reads reads;

    InstrumentKind(Reads reads) {
        this.reads = reads;
    }

    public Reads reads() {
        return reads;
    }

    /** Whether reading it both ways in that way tells of its own error: an edge is turned over, on a table the part is turned. */
    public boolean turns(Reversal.Way way) {
        return this == (way == Reversal.Way.OVER ? STRAIGHTEDGE : TABLE);
    }

    public Message words() {
        return Message.of(this);
    }
}
