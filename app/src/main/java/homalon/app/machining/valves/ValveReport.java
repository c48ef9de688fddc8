package homalon.app.machining.valves;

import homalon.app.foundation.words.Words;
import homalon.core.part.Valve;
import homalon.core.quantity.LengthWriter;
import homalon.core.valves.Aspect;
import homalon.core.valves.BookItem;
import homalon.core.valves.Measure;
import homalon.core.valves.ValveBook;
import homalon.core.valves.ValveFinding;
import homalon.core.verdict.Verdict;
import homalon.core.visit.PartFile;
import homalon.core.visit.Said;
import homalon.core.visit.ValveFile;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What the report says of valves. */
@Component
@RequiredArgsConstructor
public class ValveReport {
    private final ValveFiles files;

    /**
     * @param said in plain words
     * @param rows every valve
     */
    public record Valves(List<String> said, List<Row> rows) {}

    /** One valve: its figures as found, and what was done to it. */
    public record Row(
            String valve,
            String clearance,
            String width,
            String runout,
            String recession,
            String finding,
            String done) {}

    /** Empty where valves were no part of the visit. */
    public Optional<Valves> of(PartFile part, LengthWriter writer) {
        return files.of(part).map(f -> of(f, files.told(f, writer), writer));
    }

    private static Valves of(ValveFile file, Optional<String> with, LengthWriter writer) {
        List<Row> rows = new ArrayList<>();
        int out = 0;
        int open = 0;
        int felt = 0;
        List<String> near = new ArrayList<>();
        for (Valve v : file.valves()) {
            ValveFinding f = file.finding(v);
            out += f.verdict() == Verdict.OUT ? 1 : 0;
            open += f.settled() || file.signedFor(v) ? 0 : 1;
            felt += file.signedByFeel(v) ? 1 : 0;
            if (file.signedFor(v) && !file.signedByFeel(v)) {
                near.add(v.key());
            }
            OptionalDouble recession = file.readings(v).figure(Measure.RECESSION);
            rows.add(new Row(
                    v.key(),
                    f.guide().map(g -> writer.number(g.clearanceGoverning())).orElse("not read"),
                    figure(f, Aspect.Subject.WIDTH, writer),
                    figure(f, Aspect.Subject.RUNOUT, writer),
                    recession.isPresent() ? ValveViews.two(recession.getAsDouble(), writer) : "",
                    Words.of(f.says()),
                    done(file, v, writer)));
        }
        List<String> said = new ArrayList<>();
        int count = file.valves().size();
        said.add("Valves: " + count + ", of which " + (out == 0 ? "none was" : out + (out == 1 ? " was" : " were"))
                + " out as found" + (open > 0 ? "; " + open + " not read to the end" : "") + ".");
        if (felt > 0) {
            said.add((felt == 1 ? "One guide was" : felt + " guides were")
                    + " judged by feel and signed for, not measured: what wear there is, nobody knows.");
        }
        if (!near.isEmpty()) {
            said.add("Signed for, not proven, because a figure lies nearer to its limit than the gauges here can tell: "
                    + String.join(", ", near) + ".");
        }
        with.ifPresent(t -> said.add("Valves, " + t));
        causes(file, said);
        work(file, ValveFile.Work.DUE, said);
        return new Valves(said, rows);
    }

    /** Why they wore, where the readings show it: a new guide alone wears the same way again. */
    private static void causes(ValveFile file, List<String> said) {
        List<String> sideLoad = new ArrayList<>();
        List<String> ends = new ArrayList<>();
        for (Valve v : file.valves()) {
            ValveBook book = file.setup().book(v.kind());
            file.finding(v).guide().ifPresent(g -> {
                if (g.ovalAcross() && g.ovality() > book.value(BookItem.OVALITY)) {
                    sideLoad.add(v.key());
                }
                double more = book.value(BookItem.BELL_MOUTH);
                if (g.bellMouthTop().orElse(0) > more || g.bellMouthBottom().orElse(0) > more) {
                    ends.add(v.key());
                }
            });
        }
        if (!sideLoad.isEmpty()) {
            said.add("Oval across the rocker line, which the valve gear does: " + String.join(", ", sideLoad)
                    + ". The gear was not looked at here; unless it is, new guides wear the same way.");
        }
        if (!ends.isEmpty()) {
            said.add("Worn at the ends, as a stem does that is pushed sideways or runs dry: " + String.join(", ", ends)
                    + ".");
        }
    }

    private static String figure(ValveFinding f, Aspect.Subject subject, LengthWriter writer) {
        return f.aspect(subject)
                .flatMap(Aspect::figure)
                .map(v -> writer.number(v.value()))
                .orElse("");
    }

    private static void work(ValveFile file, ValveFile.Work due, List<String> said) {
        List<String> open = new ArrayList<>();
        for (Valve v : file.valves()) {
            if (file.guide(v) == due || file.insert(v) == due || file.seat(v) == due) {
                open.add(v.key());
            }
        }
        if (!open.isEmpty()) {
            said.add("Still to be worked on: " + String.join(", ", open) + ".");
        }
    }

    private static String done(ValveFile file, Valve v, LengthWriter writer) {
        List<String> all = new ArrayList<>();
        file.text(v, Said.GUIDE_DONE).ifPresent(d -> all.add("guide: " + GuideViews.done(d, writer)));
        file.text(v, Said.INSERT_DONE).ifPresent(d -> all.add("insert " + InsertViews.done(d, file, writer)));
        file.text(v, Said.SEAT_DONE).ifPresent(d -> all.add("seat: " + SeatViews.done(d, writer)));
        return String.join("; ", all);
    }
}
