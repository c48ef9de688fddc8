package homalon.app.machining.valves;

import homalon.core.part.Valve;
import homalon.core.visit.ValveFile;
import java.util.List;
import java.util.function.Function;

/**
 * The valve that a page of work is on, with its neighbours in the walk.
 *
 * @param before key of the one before; the last one for the first
 * @param after key of the one after
 */
record Picked(Valve valve, String before, String after) {

    /** The one asked for; else the first that is due, else the first of all. */
    static Picked of(ValveFile file, String asked, Function<Valve, ValveFile.Work> work) {
        List<Valve> all = file.valves();
        Valve picked = asked.isEmpty()
                ? all.stream()
                        .filter(v -> work.apply(v) == ValveFile.Work.DUE)
                        .findFirst()
                        .orElse(all.get(0))
                : file.valve(asked);
        int i = all.indexOf(picked);
        return new Picked(
                picked,
                all.get((i + all.size() - 1) % all.size()).key(),
                all.get((i + 1) % all.size()).key());
    }

    /** The look of a valve's sign on a page of work. */
    static String style(ValveFile.Work work) {
        return switch (work) {
            case DUE -> "due";
            case DONE -> "within";
            case NONE -> "none";
        };
    }

    static String words(ValveFile.Work work) {
        return switch (work) {
            case DUE -> "to do";
            case DONE -> "done";
            case NONE -> "";
        };
    }
}
