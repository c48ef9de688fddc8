package homalon.core.face;

import homalon.core.face.FeelerLine.Tried;
import homalon.core.quantity.Length;
import homalon.core.rulebook.BladeSet;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What blades have said at one place so far. A later try wins over earlier ones that it contradicts: the blade that went after
 * a thinner one had refused tells that the refusal was dirt or a slip.
 *
 * @param goes thickest blade that went in
 * @param refuses thinnest that did not
 */
public record Gap(Optional<Length> goes, Optional<Length> refuses) {
    public static final Gap UNTRIED = new Gap(Optional.empty(), Optional.empty());

    public Gap went(Length blade) {
        return new Gap(
                Optional.of(goes.filter(g -> g.compareTo(blade) > 0).orElse(blade)),
                refuses.filter(r -> r.compareTo(blade) > 0));
    }

    public Gap refused(Length blade) {
        return new Gap(
                goes.filter(g -> g.compareTo(blade) < 0),
                Optional.of(refuses.filter(r -> r.compareTo(blade) < 0).orElse(blade)));
    }

    public boolean isTried() {
        return goes.isPresent() || refuses.isPresent();
    }

    /** True when no blade of the set would tell more. */
    public boolean isFound(BladeSet set) {
        return isTried() && next(set, set.thinnest()).isEmpty();
    }

    /**
     * The blade to try next.
     *
     * @param first where to begin
     * @return empty when no blade of the set would tell more
     */
    public Optional<Length> next(BladeSet set, Length first) {
        if (!isTried()) {
            return Optional.of(first);
        }
        if (refuses.isEmpty()) {
            return set.thickerThan(goes.get());
        }
        return set.thinnerThan(refuses.get()).filter(b -> goes.isEmpty() || b.compareTo(goes.get()) > 0);
    }

    /** For the sum, in mm. */
    public Tried tried() {
        return new Tried(mm(goes), mm(refuses));
    }

    private static OptionalDouble mm(Optional<Length> length) {
        return length.isPresent() ? OptionalDouble.of(length.get().mm()) : OptionalDouble.empty();
    }
}
