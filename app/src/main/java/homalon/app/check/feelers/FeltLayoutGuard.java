package homalon.app.check.feelers;

import homalon.app.casting.part.LayoutGuard;
import homalon.core.visit.PartFile;
import java.util.List;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** A layout with edges laid on it is not redrawn. */
@Component
@RequiredArgsConstructor
class FeltLayoutGuard implements LayoutGuard {
    private final FeelerSurveys surveys;

    @Override
    public boolean layoutMayChange(PartFile part) {
        return surveys.ofVisits(List.of(part.visit().id())).values().stream()
                .flatMap(List::stream)
                .noneMatch(s -> !s.history().isEmpty());
    }
}
