package homalon.core.valves;

import homalon.core.verdict.Verdict;
import homalon.core.verdict.Working;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * One thing that was found of a valve.
 *
 * @param verdict empty where it was read and nothing says how it should be
 * @param figure the value found, mm, kPa or seconds; empty where it was seen or felt
 * @param limit what it is held against; empty where there is none
 * @param source of the limit, in words
 * @param says in words
 */
public record Aspect(
        Subject subject,
        Optional<Verdict> verdict,
        OptionalDouble figure,
        OptionalDouble limit,
        String source,
        String says,
        Optional<Working> working) {
    /** What it is about. */
    public enum Subject {
        GUIDE("guide"),
        WIDTH("seat width"),
        PLACE("place on the valve"),
        RUNOUT("runout"),
        PITS("pits"),
        HEIGHT("height"),
        MARGIN("margin"),
        VACUUM("vacuum"),
        FALL("vacuum falls"),
        LOOKS("looks"),
        SPRING("spring");

        private final String words;

        Subject(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    public boolean is(Verdict which) {
        return verdict.filter(v -> v == which).isPresent();
    }
}
