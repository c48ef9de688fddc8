package homalon.core.visit;

import homalon.core.geometry.Plane;
import java.util.Optional;

/** What a face shall be parallel to, where something stronger than its thickness says so: a deck's heights over its crank line. */
public interface SquareReference {
    /** Height of the face over the reference, mm; empty where it was not read. */
    public Optional<Plane> over(PartFile part);
}
