package homalon.app.check.face;

import homalon.app.casting.part.LayoutGuard;
import homalon.app.casting.part.PartFile;
import org.springframework.stereotype.Component;

/** A layout with readings on it is not redrawn. */
@Component
class LayoutIsRead implements LayoutGuard {
    private final Surveys surveys;

    LayoutIsRead(Surveys surveys) {
        this.surveys = surveys;
    }

    @Override
    public boolean layoutMayChange(PartFile part) {
        return !surveys.hasReadings(part);
    }
}
