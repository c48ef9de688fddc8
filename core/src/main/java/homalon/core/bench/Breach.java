package homalon.core.bench;

/**
 * What is not legal in a timetable.
 *
 * @param work in which
 * @param other what it stands against: a work, a station or a person; empty for none
 */
public record Breach(Kind kind, String work, String other) {
    /** In what way. */
    public enum Kind {
        /** It was to be placed and is not. */
        MISSING,
        /** Nobody asked for it, or it is there twice. */
        NOT_ASKED_FOR,
        /** On a station that it cannot be done on. */
        STATION,
        /** By somebody who does not do it, or by nobody. */
        PERSON,
        /** A piece is shorter or longer than it takes, or begins before the one before it ends. */
        PIECES,
        /** The set-up is not what the change takes. */
        SET_UP,
        /** Two works on one station at once. */
        STATION_TWICE,
        /** More castings, others, or at another time than go in together. */
        TOGETHER,
        /** Somebody at two works at once. */
        PERSON_TWICE,
        /** One casting in two hands at once. */
        CASTING_TWICE,
        /** The station is down. */
        DOWN,
        /** Whoever is to do it is not there. */
        AWAY,
        /** What is not left lying is left when the shop closes. */
        LEFT_LYING,
        /** What does not run at night would. */
        AT_NIGHT,
        /** Before it can begin. */
        EARLY,
        /** Before what must come before it. */
        ORDER,
        /** Not where it is pinned. */
        PIN,
        /** Past the end of the time that is looked at. */
        PAST_THE_END
    }
}
