package homalon.app.valves;

import homalon.app.part.PartFile;
import homalon.app.sheets.SheetFile;
import homalon.core.part.Valve;
import homalon.core.verdict.Verdict;
import java.time.Instant;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.stereotype.Component;

/** What the valves of a visit say to the route. */
@Component
public class ValveFindings {
    private final ValveFiles files;

    ValveFindings(ValveFiles files) {
        this.files = files;
    }

    /**
     * One kind of work over all valves.
     *
     * @param due valves for which it is still to do
     * @param done valves for which it was done
     * @param last when the last of them was done
     */
    public record Work(int due, int done, Optional<Instant> last) {
        public boolean any() {
            return due + done > 0;
        }

        public boolean finished() {
            return due == 0 && done > 0;
        }
    }

    /**
     * @param count of valves
     * @param settled how many need no more reading
     * @param out how many are out
     * @param since when the oldest reading that counts was taken
     * @param axisMoved the bore of at least one guide was made anew
     */
    public record Standing(
            int count,
            int settled,
            int out,
            boolean begun,
            Optional<Instant> since,
            Work guides,
            Work inserts,
            Work seats,
            boolean axisMoved) {
        public boolean complete() {
            return settled == count;
        }
    }

    /** Empty before it was said how they lie. */
    public Optional<Standing> of(PartFile part, SheetFile sheet) {
        return files.of(part, sheet).map(ValveFindings::standing);
    }

    private static Standing standing(ValveFile file) {
        int settled = 0;
        int out = 0;
        boolean moved = false;
        for (Valve v : file.valves()) {
            boolean mended = file.guide(v) == ValveFile.Work.DONE;
            settled += file.finding(v).settled() || mended ? 1 : 0;
            out += file.finding(v).verdict() == Verdict.OUT ? 1 : 0;
            moved |= file.axisMoved(v);
        }
        return new Standing(
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

    private static Work work(ValveFile file, Function<Valve, ValveFile.Work> how, Said done) {
        int due = 0;
        int finished = 0;
        for (Valve v : file.valves()) {
            ValveFile.Work w = how.apply(v);
            due += w == ValveFile.Work.DUE ? 1 : 0;
            finished += w == ValveFile.Work.DONE ? 1 : 0;
        }
        return new Work(due, finished, file.at(done));
    }
}
