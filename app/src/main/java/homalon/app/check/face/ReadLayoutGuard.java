package homalon.app.check.face;

import homalon.app.casting.part.LayoutGuard;
import homalon.core.visit.PartFile;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** A layout with readings on it is not redrawn. */
@Component
@RequiredArgsConstructor
class ReadLayoutGuard implements LayoutGuard {
    private final Surveys surveys;

    @Override
    public boolean layoutMayChange(PartFile part) {
        return !surveys.hasReadings(part);
    }
}
