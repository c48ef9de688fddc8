package homalon.app.route;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import homalon.app.face.SurveyFile;
import homalon.app.face.Surveys;
import homalon.app.part.PartFile;
import homalon.app.part.StepSource;
import homalon.app.people.People;
import homalon.app.work.WorkLog;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Event;
import homalon.core.route.Route;
import homalon.core.route.VisitSteps;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Asks the core where visits stand, from what is written about them, read once for all parts asked for. */
@Component
class RouteSteps implements StepSource {
    private final Surveys surveys;
    private final Written written;
    private final FactsOfVisits facts;
    private final People people;
    /** A route is a pure value of its events: any instance grows the same one. */
    private final Cache<List<Event>, Route> grown =
            Caffeine.newBuilder().maximumSize(600).build();

    RouteSteps(Surveys surveys, Written written, FactsOfVisits facts, People people) {
        this.surveys = surveys;
        this.written = written;
        this.facts = facts;
        this.people = people;
    }

    @Override
    public Map<UUID, VisitSteps.Standing> steps(List<PartFile> parts, LengthWriter writer) {
        List<UUID> visits = parts.stream().map(p -> p.visit().id()).toList();
        Map<UUID, List<SurveyFile>> read =
                surveys.ofVisits(visits).stream().collect(Collectors.groupingBy(SurveyFile::visit));
        Map<UUID, Written.Lines> lines = written.of(parts);
        boolean waived =
                lines.values().stream().flatMap(l -> l.work().stream()).anyMatch(e -> e.kind() == WorkLog.Kind.WAIVED);
        Map<UUID, String> names = waived ? people.names() : Map.of();
        Map<UUID, VisitSteps.Standing> all = new HashMap<>();
        for (PartFile part : parts) {
            UUID visit = part.visit().id();
            all.put(
                    visit,
                    VisitSteps.of(
                            facts.of(part, read.getOrDefault(visit, List.of()), lines.get(visit), names),
                            writer,
                            events -> grown.get(events, Route::of)));
        }
        return all;
    }
}
