package homalon.core.rulebook;

import homalon.core.quantity.Length;
import java.util.Optional;

/**
 * How far a face may be from flat.
 *
 * @param scope what it is asked of
 * @param most greatest minimum zone allowed; positive
 * @param window side of the square for {@link Scope#WINDOW}
 * @param source where it comes from
 */
public record FlatnessLimit(Scope scope, Length most, Optional<Length> window, Source source) {

    /** What a flatness limit is asked of. */
    public enum Scope {
        /** The whole face. */
        OVERALL,
        /** Straightness of any line along it. */
        ALONG,
        /** Straightness of any line across it. */
        ACROSS,
        /** Any square of a stated side. */
        WINDOW,
        /** The ring around each bore where the gasket's fire ring seals. */
        BORE
    }

    public FlatnessLimit {
        if (most.signum() <= 0) {
            throw new IllegalArgumentException("limit must be above zero, such as 0.05 mm");
        }
        if ((scope == Scope.WINDOW) != window.isPresent()) {
            throw new IllegalArgumentException("a window limit, and no other, has a window");
        }
    }

    public static FlatnessLimit overall(Length most, Source source) {
        return new FlatnessLimit(Scope.OVERALL, most, Optional.empty(), source);
    }

    public static FlatnessLimit along(Length most, Source source) {
        return new FlatnessLimit(Scope.ALONG, most, Optional.empty(), source);
    }

    public static FlatnessLimit across(Length most, Source source) {
        return new FlatnessLimit(Scope.ACROSS, most, Optional.empty(), source);
    }

    public static FlatnessLimit inAny(Length window, Length most, Source source) {
        return new FlatnessLimit(Scope.WINDOW, most, Optional.of(window), source);
    }

    public static FlatnessLimit aroundBores(Length most, Source source) {
        return new FlatnessLimit(Scope.BORE, most, Optional.empty(), source);
    }

    /** In force for the same thing: same scope, and for windows the same side. */
    public boolean sameQuestionAs(FlatnessLimit other) {
        return scope == other.scope && window.equals(other.window);
    }
}
