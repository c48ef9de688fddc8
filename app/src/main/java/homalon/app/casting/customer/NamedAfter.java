package homalon.app.casting.customer;

import java.util.UUID;

/** Something that carries a customer's name: told when the name changes, in the same transaction. */
public interface NamedAfter {
    /**
     * What hung on one record hangs on another, or on the same under a new name.
     *
     * @param into the same as from for a mere new name
     */
    void hangOn(UUID from, UUID into, String name);
}
