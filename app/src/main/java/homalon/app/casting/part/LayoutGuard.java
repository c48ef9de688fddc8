package homalon.app.casting.part;

import homalon.core.visit.PartFile;

/** A feature's word on whether a layout may still be redrawn. */
public interface LayoutGuard {
    boolean layoutMayChange(PartFile part);
}
