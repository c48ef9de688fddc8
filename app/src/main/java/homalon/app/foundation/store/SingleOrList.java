package homalon.app.foundation.store;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import java.util.function.Function;

/**
 * Asks for one by itself: a query with a list is translated anew at every call, because lists differ in length, and at the
 * bench nearly every question is about one part.
 */
public final class SingleOrList {
    private SingleOrList() {}

    public static <T> List<T> of(
            Collection<UUID> ids, Function<UUID, List<T>> one, Function<Collection<UUID>, List<T>> many) {
        return switch (ids.size()) {
            case 0 -> List.of();
            case 1 -> one.apply(ids.iterator().next());
            default -> many.apply(ids);
        };
    }

    /**
     * What ends a condition of a query on the ids that stand for {@code :ids}; the ids themselves as {@link #value} has them.
     *
     * @param ids one or more
     */
    public static String among(Collection<UUID> ids) {
        return ids.size() == 1 ? "= :ids" : "in (:ids)";
    }

    public static Object value(Collection<UUID> ids) {
        return ids.size() == 1 ? ids.iterator().next() : ids;
    }
}
