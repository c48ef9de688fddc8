package homalon.app.outcome.route;

import homalon.app.casting.part.StepSource;
import homalon.app.casting.work.WorkEntry;
import homalon.app.check.face.Surveys;
import homalon.app.foundation.memory.Memory;
import homalon.app.foundation.memory.Question;
import homalon.app.foundation.people.People;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Event;
import homalon.core.route.Route;
import homalon.core.route.RouteRules;
import homalon.core.route.VisitSteps;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Asks the core where visits stand, from what is written about them, read once for all parts asked for. */
@Component
@RequiredArgsConstructor
class RouteSteps implements StepSource {
    private final Surveys surveys;
    private final VisitRecords written;
    private final VisitFactsSource facts;
    private final People people;
    private final Memory memory;

    /** A route is a pure value of its events: any instance grows the same one. */
    private record Grown(List<Event> events, Set<String> letGo) implements Question<Route> {}

    /** By unit, since two people at one bench may write in different ones. */
    private record LastOf(UUID visit, BenchUnit unit) implements Question<Stood> {}

    /** Where a visit stood, and what that was found from. */
    private record Stood(
            VisitRecords.Lines lines,
            List<SurveyFile> surveys,
            Map<UUID, String> names,
            VisitSteps.Standing standing) {}

    @Override
    public Map<UUID, VisitSteps.Standing> steps(List<PartFile> parts, LengthWriter writer) {
        List<UUID> visits = parts.stream().map(p -> p.visit().id()).toList();
        Map<UUID, List<SurveyFile>> read =
                surveys.ofVisits(visits).stream().collect(Collectors.groupingBy(SurveyFile::visit));
        Map<UUID, VisitRecords.Lines> lines = written.of(parts);
        Map<UUID, String> names = lines.values().stream().anyMatch(RouteSteps::leavesOut) ? people.names() : Map.of();
        Map<UUID, VisitSteps.Standing> all = new HashMap<>();
        for (PartFile part : parts) {
            UUID visit = part.visit().id();
            VisitRecords.Lines own = lines.get(visit);
            all.put(
                    visit,
                    standing(
                            part, read.getOrDefault(visit, List.of()), own, leavesOut(own) ? names : Map.of(), writer));
        }
        return all;
    }

    @SuppressWarnings("ReferenceEquality") // the same object as long as nothing was written
    private static boolean same(List<SurveyFile> these, List<SurveyFile> those) {
        return these.size() == those.size()
                && IntStream.range(0, these.size()).allMatch(i -> these.get(i) == those.get(i));
    }

    /** Somebody answers for what is left out, and is named. */
    private static boolean leavesOut(VisitRecords.Lines lines) {
        return lines.work().stream().anyMatch(e -> e.kind() == WorkEntry.Kind.WAIVED);
    }

    @SuppressWarnings("ReferenceEquality")
    private VisitSteps.Standing standing(
            PartFile part,
            List<SurveyFile> surveys,
            VisitRecords.Lines lines,
            Map<UUID, String> names,
            LengthWriter writer) {
        LastOf of = new LastOf(part.visit().id(), writer.unit());
        Stood before = memory.last(of).orElse(null);
        // Both are the same objects as long as neither the part nor anything written about it or read of it changed.
        if (before != null
                && before.lines() == lines
                && same(before.surveys(), surveys)
                && before.names().equals(names)) {
            return before.standing();
        }
        VisitSteps.Standing now = VisitSteps.of(
                facts.of(part, surveys, lines, names),
                writer,
                events -> route(events, part.rules().letGo().keySet()));
        memory.keep(of, writer.unit(), new Stood(lines, surveys, names, now));
        return now;
    }

    private Route route(List<Event> events, Set<String> letGo) {
        return memory.answer(new Grown(events, letGo), () -> Route.of(events, RouteRules.InForce.without(letGo)));
    }
}
