package homalon.app.machining.valves;

import homalon.app.casting.part.PartFile;
import homalon.app.casting.sheets.SheetFile;
import homalon.core.part.Valve;
import homalon.core.route.VisitFacts;
import homalon.core.verdict.Verdict;
import java.util.Optional;
import java.util.function.Function;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What the valves of a visit say to the route. */
@Component
@RequiredArgsConstructor
public class ValveFindings {
    private final ValveFiles files;

    /** Empty before it was said how they lie. */
    public Optional<VisitFacts.Valves> of(PartFile part, SheetFile sheet) {
        return files.of(part, sheet).map(ValveFindings::standing);
    }

    private static VisitFacts.Valves standing(ValveFile file) {
        int settled = 0;
        int out = 0;
        boolean moved = false;
        for (Valve v : file.valves()) {
            settled += file.settled(v) ? 1 : 0;
            out += file.finding(v).verdict() == Verdict.OUT ? 1 : 0;
            moved |= file.axisMoved(v);
        }
        return new VisitFacts.Valves(
                file.valves().size(),
                settled,
                out,
                file.begun(),
                file.sheet().since(),
                work(file, file::guide, Said.GUIDE_DONE),
                work(file, file::insert, Said.INSERT_DONE),
                work(file, file::seat, Said.SEAT_DONE),
                moved);
    }

    private static VisitFacts.ValveWork work(ValveFile file, Function<Valve, ValveFile.Work> how, Said done) {
        int due = 0;
        int finished = 0;
        for (Valve v : file.valves()) {
            ValveFile.Work w = how.apply(v);
            due += w == ValveFile.Work.DUE ? 1 : 0;
            finished += w == ValveFile.Work.DONE ? 1 : 0;
        }
        return new VisitFacts.ValveWork(due, finished, file.at(done));
    }
}
