package homalon.core.cut;

import homalon.core.chambers.ClassMargin;
import homalon.core.chambers.EngineBook;
import homalon.core.chambers.EngineItem;
import homalon.core.rulebook.Source;
import homalon.core.verdict.Working;

/**
 * One limit of what may come off a face.
 *
 * @param where which chamber, where there are several; empty else
 * @param now figure before the cut that is looked at, in the kind's unit; NaN when it was not measured
 * @param after figure after it
 * @param limit that it must keep to
 * @param plusMinus one standard uncertainty; the limit of a class is kept only by more than two
 * @param room depth from first touch after which the limit is reached, mm; negative when it is passed already, infinite when this
 *     cut does not change it, NaN when it was not measured
 */
public record Budget(
        Kind kind,
        String where,
        State state,
        double now,
        double after,
        double limit,
        double plusMinus,
        double room,
        Source source,
        Working working) {

    /** What is limited. */
    public enum Kind {
        THICKNESS("Thickness", EngineItem.THICKNESS_LEAST, true),
        CLASS_THICKNESS("Class: thickness", EngineItem.CLASS_THICKNESS, true),
        LIFE("Off in its life", EngineItem.LIFE_MOST, false),
        SQUEEZE("Piston to head", EngineItem.SQUEEZE_LEAST, true),
        INTAKE("Intake to piston", EngineItem.INTAKE_LEAST, true),
        EXHAUST("Exhaust to piston", EngineItem.EXHAUST_LEAST, true),
        RATIO("Compression", EngineItem.RATIO_MOST, false),
        CLASS_RATIO("Class: compression", EngineItem.CLASS_RATIO, false),
        CLASS_CC("Class: chamber", EngineItem.CLASS_CC, true),
        CLASS_SPACE("Class: whole space", EngineItem.CLASS_SPACE, true),
        CLASS_BOWL("Class: bowl in the piston", EngineItem.CLASS_BOWL, true),
        CLASS_DECK("Class: deck", EngineItem.CLASS_DECK, true),
        WAY_METAL("Metal over ways", EngineItem.WAY_METAL_LEAST, true),
        RING("Insert or sleeve", EngineItem.RING_DEPTH, true),
        RECESSION("Valve heads below face", EngineItem.RECESSION_LEAST, true),
        ROOM("Side valve to roof", EngineItem.ROOM_LEAST, true);

        private final String words;
        private final EngineItem limit;
        private final boolean least;

        Kind(String words, EngineItem limit, boolean least) {
            this.words = words;
            this.limit = limit;
            this.least = least;
        }

        public String words() {
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
        WITHIN("within"),
        ON_THE_LINE("on the line"),
        /** Inside by what is known; not every one that has to be was measured. */
        NOT_PROVEN("not proven"),
        OVER("over"),
        NOT_MEASURED("not measured");

        private final String words;

        State(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    private static final double SLACK = 1e-9;

    /** @param limit with its source; the other figures as the components of this record */
    static Budget of(
            Kind kind,
            String where,
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
        return new Budget(kind, where, state, now, after, limit.value(), plusMinus, room, limit.source(), working);
    }

    /** The same where what is known is inside, but does not cover all that has to be. */
    Budget notProven() {
        return state != State.WITHIN
                ? this
                : new Budget(kind, where, State.NOT_PROVEN, now, after, limit, plusMinus, room, source, working);
    }

    static Budget notMeasured(Kind kind, EngineBook.Entry limit, EngineItem missing) {
        return new Budget(
                kind,
                "",
                State.NOT_MEASURED,
                Double.NaN,
                Double.NaN,
                limit.value(),
                0,
                Double.NaN,
                limit.source(),
                Working.of(kind.words()).line("not known: " + missing.words()).done());
    }

    /** Whether this cut can use it up. */
    public boolean binds() {
        return Double.isFinite(room);
    }

    /** What is left of it after so much more, mm. */
    public double left(double cut) {
        return room - cut;
    }

    public String name() {
        return where.isEmpty() ? kind.words() : kind.words() + ", " + where;
    }
}
