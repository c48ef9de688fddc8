package homalon.core.cut;

import homalon.core.chambers.ClassMargin;
import homalon.core.chambers.EngineBook;
import homalon.core.chambers.EngineItem;
import homalon.core.rulebook.Source;
import homalon.core.verdict.Working;
import homalon.core.words.Message;
import java.util.Optional;

/**
 * One limit of what may come off a face.
 *
 * @param where which chamber, where there are several; empty else
 * @param figures what was measured comes to; empty when it was not measured
 * @param limit that it must keep to
 * @param plusMinus one standard uncertainty; the limit of a class is kept only by more than two
 */
public record Budget(
        Kind kind,
        Message where,
        State state,
        Optional<Figures> figures,
        double limit,
        double plusMinus,
        Source source,
        Working working) {

    /**
     * What a limit is held against.
     *
     * @param now before the cut that is looked at, in the kind's unit
     * @param after it
     * @param room depth from first touch after which the limit is reached, mm; negative when it is passed already, infinite when
     *     this cut does not change it
     */
    public record Figures(double now, double after, double room) {}

    /** What is limited. */
    public enum Kind {
        THICKNESS(EngineItem.THICKNESS_LEAST, true),
        CLASS_THICKNESS(EngineItem.CLASS_THICKNESS, true),
        LIFE(EngineItem.LIFE_MOST, false),
        SQUEEZE(EngineItem.SQUEEZE_LEAST, true),
        INTAKE(EngineItem.INTAKE_LEAST, true),
        EXHAUST(EngineItem.EXHAUST_LEAST, true),
        RATIO(EngineItem.RATIO_MOST, false),
        CLASS_RATIO(EngineItem.CLASS_RATIO, false),
        CLASS_CC(EngineItem.CLASS_CC, true),
        CLASS_SPACE(EngineItem.CLASS_SPACE, true),
        CLASS_BOWL(EngineItem.CLASS_BOWL, true),
        CLASS_DECK(EngineItem.CLASS_DECK, true),
        WAY_METAL(EngineItem.WAY_METAL_LEAST, true),
        RING(EngineItem.RING_DEPTH, true),
        RECESSION(EngineItem.RECESSION_LEAST, true),
        ROOM(EngineItem.ROOM_LEAST, true);

        private final Message words = Message.of(this);
        private final EngineItem limit;
        private final boolean least;

        Kind(EngineItem limit, boolean least) {
            this.limit = limit;
            this.least = least;
        }

        public Message words() {
            return words;
        }

        /** Where the limit is keyed; its unit is that of the figures. */
        public EngineItem item() {
            return limit;
        }

        /** True when the figure must not fall below the limit, false when it must not rise above it. */
        public boolean least() {
            return least;
        }

        /** True where only metal on the face itself could mend it, which nobody puts back. */
        public boolean goneWithMetal() {
            return switch (this) {
                case THICKNESS, CLASS_THICKNESS, LIFE, WAY_METAL, RING -> true;
                default -> false;
            };
        }

        public boolean ofClass() {
            return switch (this) {
                case CLASS_THICKNESS, CLASS_RATIO, CLASS_CC, CLASS_SPACE, CLASS_BOWL, CLASS_DECK -> true;
                default -> false;
            };
        }
    }

    /** How it stands after the cut that is looked at. */
    public enum State {
        WITHIN,
        ON_THE_LINE,
        /** Inside by what is known; not every one that has to be was measured. */
        NOT_PROVEN,
        OVER,
        NOT_MEASURED;

        private final Message words = Message.of(this);

        public Message words() {
            return words;
        }
    }

    private static final double SLACK = 1e-9;

    /** @param limit with its source; the other figures as the components of this record */
    static Budget of(
            Kind kind,
            Message where,
            EngineBook.Entry limit,
            double now,
            double after,
            double plusMinus,
            double room,
            Working working) {
        ClassMargin margin = kind.least()
                ? ClassMargin.atLeast(after, limit.value(), plusMinus)
                : ClassMargin.atMost(after, limit.value(), plusMinus);
        State state = switch (margin.standing()) {
            case PASSES -> State.WITHIN;
            case FAILS -> State.OVER;
            // A class asks for more than the measurement leaves open; elsewhere the limit itself still counts as kept.
            case ON_THE_LINE -> kind.ofClass() || margin.margin() < -SLACK ? State.ON_THE_LINE : State.WITHIN;
        };
        return new Budget(
                kind,
                where,
                state,
                Optional.of(new Figures(now, after, room)),
                limit.value(),
                plusMinus,
                limit.source(),
                working);
    }

    /** The same where what is known is inside, but does not cover all that has to be. */
    Budget notProven() {
        return state != State.WITHIN
                ? this
                : new Budget(kind, where, State.NOT_PROVEN, figures, limit, plusMinus, source, working);
    }

    static Budget notMeasured(Kind kind, EngineBook.Entry limit, EngineItem missing) {
        return new Budget(
                kind,
                Message.NONE,
                State.NOT_MEASURED,
                Optional.empty(),
                limit.value(),
                0,
                limit.source(),
                Working.of(kind.words())
                        .line(Message.of("cut.not-known", missing.words()))
                        .done());
    }

    /** Whether this cut can use it up. */
    public boolean binds() {
        return figures.filter(f -> Double.isFinite(f.room())).isPresent();
    }

    /** @throws java.util.NoSuchElementException when it was not measured, as the other figures do */
    public double now() {
        return figures.orElseThrow().now();
    }

    public double after() {
        return figures.orElseThrow().after();
    }

    public double room() {
        return figures.orElseThrow().room();
    }

    /** What is left of it after so much more, mm. */
    public double left(double cut) {
        return room() - cut;
    }

    public Message name() {
        return where.isEmpty() ? kind.words() : Message.of("text.comma", kind.words(), where);
    }
}
