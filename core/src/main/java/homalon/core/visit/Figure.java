package homalon.core.visit;

import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/** What was keyed at one place of a sheet; never changed, only taken back or keyed anew. */
public interface Figure {
    /** What was done there. */
    enum Kind {
        KEYED,
        SKIPPED,
        WITHDRAWN
    }

    UUID id();

    /** Goes up with every line, whoever writes it. */
    long seq();

    Sheet sheet();

    /** Key of the place on its sheet. */
    String place();

    Kind kind();

    /** As it was keyed. */
    String typed();

    /** In which a bare number was meant. */
    BenchUnit unit();

    /** Empty for a skip, and for what is no length. */
    Optional<Length> value();

    UUID by();

    Instant at();
}
