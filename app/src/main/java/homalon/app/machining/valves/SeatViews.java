package homalon.app.machining.valves;

import homalon.app.foundation.drawing.SeatDrawing;
import homalon.app.foundation.web.Workings;
import homalon.app.foundation.words.Words;
import homalon.core.part.Valve;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.rulebook.BenchFigure;
import homalon.core.rulebook.BookDefaults;
import homalon.core.seats.SeatAngles;
import homalon.core.seats.SeatPlan;
import homalon.core.seats.SeatPlan.Way;
import homalon.core.seats.SpringFit;
import homalon.core.seats.ValveHeights;
import homalon.core.valves.BookItem;
import homalon.core.valves.Measure;
import homalon.core.valves.ValveBook;
import homalon.core.valves.ValveFinding;
import homalon.core.valves.ValveJudge;
import homalon.core.visit.Said;
import homalon.core.visit.SeatPlans;
import homalon.core.visit.ValveFile;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.util.StringUtils;

/** Writes the seats' page. */
@Component
@RequiredArgsConstructor
class SeatViews {
    private final ValveViews valves;

    SeatView of(ValveFile file, String asked, Length toCut, LengthWriter writer) {
        SeatPlans plans = new SeatPlans(file, toCut);
        Picked picked = Picked.of(file, asked, file::seat);
        Valve v = picked.valve();
        boolean due = file.seat(v) == ValveFile.Work.DUE;
        Optional<SeatPlan> plan = due ? plans.of(v) : plans.alone(v, plans.way(v));
        ValveBook book = file.book(v);
        String base = "/parts/" + file.part().tag() + "/seats?valve=";
        String style = plan.map(p -> p.feasible() ? due || !decided(file, v) ? "open" : "within" : "out")
                .orElse("open");
        return new SeatView(
                valves.above(
                        file,
                        "seats",
                        x -> Picked.style(file.seat(x)) + (x.equals(v) ? " now" : ""),
                        x -> base + x.key()),
                rows(file, plans, writer),
                picked,
                Picked.words(file.seat(v)),
                plan.map(p -> picture(p, book, v)).orElse(""),
                plan.isPresent() ? caption(book) : "",
                style,
                Words.of(plans.refused(v)).isPresent() ? "Cannot be planned" : words(file, v, plan, due),
                Words.of(plans.refused(v)).orElseGet(() -> sentence(file, v, plan)),
                ways(file, plans, v, writer),
                file.bareRing(v) ? bare(file, plans, v, writer) : figures(file, v, plan, writer),
                after(file, plans, v, writer),
                plan.map(p -> Workings.of(List.of(p.working()), writer)).orElse(Workings.NONE),
                file.shown(v, Said.UNEVEN, writer.unit()),
                writer.full(plans.uneven(v)),
                file.shown(v, Said.REFACED, writer.unit()),
                toCut.signum() > 0 ? "The face still loses " + writer.full(toCut) + " by the plan." : "",
                file.text(v, Said.SEAT_DONE).map(d -> done(d, writer)).orElse(""));
    }

    private static String picture(SeatPlan plan, ValveBook book, Valve v) {
        String title = "Seat of " + v.name() + " cut open, before and after, with the valve on it";
        return SeatDrawing.svg(plan, angles(book), title);
    }

    private static String caption(ValveBook book) {
        return "before: broken; after: drawn out; shaded: what is taken; blue: the valve · "
                + (book.isDefault(BookItem.FACE_ANGLE)
                        ? "angles are a general default"
                        : "angles from the " + Words.of(book.source(BookItem.FACE_ANGLE)));
    }

    static String done(String written, LengthWriter writer) {
        String[] p = written.split(" ");
        return Words.of(Way.valueOf(p[0]).words())
                + (p.length > 1 ? ", runout measured " + writer.full(Length.ofNanometres(Long.parseLong(p[1]))) : "");
    }

    private static List<String> angles(ValveBook book) {
        SeatAngles a = book.angles();
        List<String> all = new ArrayList<>(List.of(degrees(a.top()), degrees(a.face()), degrees(a.throat())));
        a.bowl().ifPresent(b -> all.add(degrees(b)));
        return all;
    }

    private static String degrees(double angle) {
        return BigDecimal.valueOf(angle).stripTrailingZeros().toPlainString() + "°";
    }

    private static String words(ValveFile file, Valve v, Optional<SeatPlan> plan, boolean due) {
        if (file.bareRing(v)) {
            return "Seat to cut in the new ring";
        }
        if (plan.isEmpty()) {
            return file.book(v).entry(BookItem.HEAD_DIAMETER).isEmpty() ? "Valve head not known" : "Not read yet";
        }
        if (!plan.get().feasible()) {
            return "An insert is the answer";
        }
        if (due) {
            return "Seat to make";
        }
        // Not judged is not good: what was not looked at may still be bad.
        return file.seat(v) == ValveFile.Work.DONE ? "Made" : decided(file, v) ? "Nothing to do" : "Not settled yet";
    }

    private static boolean decided(ValveFile file, Valve v) {
        return file.seat(v) == ValveFile.Work.DONE || file.finding(v).settled();
    }

    private static String sentence(ValveFile file, Valve v, Optional<SeatPlan> plan) {
        if (file.bareRing(v)) {
            return "Nothing of the old seat holds: sink each cutter until the valve stands as the others of its kind do, the last "
                    + "of it by eye and gauge. Then read both edges.";
        }
        if (plan.isEmpty()) {
            return "Key the valve's head in the book, and read both edges of the seat under Valves.";
        }
        ValveFinding f = file.finding(v);
        String because = file.axisMoved(v)
                ? "its guide was made anew, the old seat no longer runs true"
                : Words.of(f.seatSays());
        return StringUtils.capitalize((because.isEmpty() ? "" : because + "; ")
                        + Words.of(plan.get().why())) + ".";
    }

    private static List<SeatView.Way> ways(ValveFile file, SeatPlans plans, Valve v, LengthWriter writer) {
        List<SeatView.Way> all = new ArrayList<>();
        for (Way way : Way.values()) {
            plans.alone(v, way)
                    .ifPresent(p -> all.add(new SeatView.Way(
                            way.name(),
                            StringUtils.capitalize(Words.of(way.words())),
                            writer.full(p.seatSink()),
                            (way == Way.STONE
                                            ? "suits light wear"
                                            : "all angles in one go; suits deep wear, new rings, equal depth")
                                    + "; " + Words.of(p.binds().words()),
                            way == plans.way(v) && file.text(v, Said.SEAT_WAY).isPresent())));
        }
        return all;
    }

    private static List<ValveView.Row> figures(ValveFile file, Valve v, Optional<SeatPlan> plan, LengthWriter writer) {
        if (plan.isEmpty()) {
            return List.of();
        }
        ValveBook book = file.book(v);
        SeatPlan p = plan.get();
        List<ValveView.Row> rows = new ArrayList<>();
        String unread = Stream.of(Measure.PITS, Measure.RUNOUT)
                .filter(m -> !file.readings(v).has(m))
                .map(it -> Words.of(it.words()))
                .collect(Collectors.joining(", "));
        if (!unread.isEmpty()) {
            rows.add(row("Not read", "", unread + ": worked out with none, so it may go deeper", "out"));
        }
        String from = p.topSink() == 0
                ? "outer edge stays at "
                : "outer edge from " + size(p.outerAfterSeat(), writer) + " back to ";
        String inset = "; inside the valve " + range(book, BookItem.INSET_LEAST, BookItem.INSET, writer);
        String inner = "inner edge " + (p.throatSink() == 0 ? "stays at " : "from ") + size(p.innerAfterSeat(), writer);
        String width = range(book, BookItem.WIDTH_LEAST, BookItem.WIDTH_MOST, writer);
        String feasible = p.feasible() ? "" : "out";
        rows.add(row(
                "Sink the face by",
                writer.number(p.seatSink()),
                Words.of(p.binds().words()),
                feasible));
        rows.add(row(
                "Top cut by", writer.number(p.topSink()), from + size(p.asked().targetOuter(), writer) + inset, ""));
        rows.add(row("Throat cut by", writer.number(p.throatSink()), inner, ""));
        rows.add(row("Width then", writer.number(p.after().width()), width, ""));
        rows.add(row(
                "Sink limit", writer.number(p.asked().sinkLimit()), Words.of(book.source(BookItem.SINK)), feasible));
        rows.add(row(
                "Chamber gains",
                cc(p.valveCc() + p.ringCc()),
                "of which " + cc(p.ringCc()) + " beside the valve, the top cut run out " + writer.size(1.0)
                        + " past it (a default)",
                ""));
        return rows;
    }

    /** What is known of a seat that is cut from nothing: where its valve has to stand, and where the seat may lie. */
    private static List<ValveView.Row> bare(ValveFile file, SeatPlans plans, Valve v, LengthWriter writer) {
        ValveBook book = file.book(v);
        List<ValveView.Row> rows = new ArrayList<>();
        OptionalDouble recession = plans.standsAt(v);
        OptionalDouble tip = plans.tipAt(v);
        recession.ifPresent(r -> rows.add(row(
                "Until it stands below the face by",
                ValveViews.two(r, writer),
                "as the deepest of its kind will",
                "")));
        tip.ifPresent(t -> rows.add(row(
                "Until its tip stands at",
                ValveViews.two(t, writer),
                "above the spring seat, as the highest of its kind will",
                "")));
        if (recession.isEmpty() && tip.isEmpty()) {
            rows.add(row(
                    "Until it stands",
                    "",
                    "not known: read recession or stem tip of another of its kind, or go by the maker's book",
                    "out"));
        }
        book.seat()
                .ifPresent(r -> rows.add(row(
                        "Outer edge between",
                        size(r.outerLeast(), writer),
                        "and " + size(r.outerMost(), writer) + ", " + Words.of(book.source(BookItem.INSET)),
                        "")));
        rows.add(row(
                "Width",
                writer.number(book.value(BookItem.WIDTH_LEAST)),
                range(book, BookItem.WIDTH_LEAST, BookItem.WIDTH_MOST, writer),
                ""));
        return rows;
    }

    private static String range(ValveBook book, BookItem least, BookItem most, LengthWriter writer) {
        return writer.number(book.value(least)) + " to " + writer.number(book.value(most)) + ", "
                + Words.of(book.source(most));
    }

    private static ValveView.Row row(String name, String value, String note, String style) {
        return new ValveView.Row(name, value, note, style);
    }

    static String cc(double value) {
        return String.format(Locale.ROOT, "%.2f cc", value);
    }

    private static String size(double mm, LengthWriter writer) {
        return writer.size(Length.roundedFromMm(Math.rint(mm * 1000) / 1000));
    }

    /** What the sink does to the valve, its spring and its height. */
    private static List<ValveView.Row> after(ValveFile file, SeatPlans plans, Valve v, LengthWriter writer) {
        List<ValveView.Row> rows = new ArrayList<>();
        boolean due = file.seat(v) == ValveFile.Work.DUE;
        double sink = due ? plans.sink(v) : plans.refaced(v);
        ValveBook book = file.book(v);
        if (plans.refaced(v) > 0) {
            rows.add(margin(file, v, plans.refaced(v), writer));
        }
        rows.add(row("Valve goes in by", writer.number(sink), "its tip comes out by as much", ""));
        file.readings(v).figure(Measure.TIP).ifPresent(tip -> rows.add(tip(book, tip + sink, writer)));
        if (book.entry(BookItem.ROCKER_RATIO).isPresent()) {
            rows.add(row(
                    "Lifter preload grows by",
                    writer.number(sink / book.value(BookItem.ROCKER_RATIO)),
                    "sink over the rocker ratio",
                    ""));
        }
        plans.height(v).ifPresent(h -> height(h, plans, file.part().rules().books(), writer, rows));
        springs(file, v, sink, writer, rows);
        return rows;
    }

    private static ValveView.Row margin(ValveFile file, Valve v, double refaced, LengthWriter writer) {
        ValveBook book = file.book(v);
        double least = book.value(BookItem.MARGIN);
        if (!file.readings(v).has(Measure.MARGIN)) {
            return row("Margin when refaced", "", "not read; refacing thins it by " + writer.number(refaced), "");
        }
        double margin = file.readings(v).get(Measure.MARGIN);
        boolean thin = margin - refaced < least - 1e-9;
        String limit = "at least " + writer.number(least) + ", " + Words.of(book.source(BookItem.MARGIN));
        return row(
                "Margin when refaced",
                writer.number(margin - refaced),
                thin ? "too thin: another valve" : limit,
                thin ? "out" : "");
    }

    private static ValveView.Row tip(ValveBook book, double stands, LengthWriter writer) {
        String value = ValveViews.two(stands, writer);
        if (book.entry(BookItem.TIP).isEmpty()) {
            return row("Stem tip then", value, "no limit keyed", "");
        }
        boolean over = stands > book.value(BookItem.TIP) + 1e-9;
        String limit = ValveViews.two(book.value(BookItem.TIP), writer) + ", " + Words.of(book.source(BookItem.TIP));
        return row("Stem tip then", value, (over ? "over " : "at most ") + limit, over ? "out" : "");
    }

    private static void height(
            ValveHeights.One h, SeatPlans plans, BookDefaults shop, LengthWriter writer, List<ValveView.Row> rows) {
        if (h.extra() > 0) {
            rows.add(row(
                    "Sunk further by",
                    writer.number(h.extra()),
                    "to come within " + writer.number(BenchFigure.HEIGHTS_APART.value(shop))
                            + " of the deepest of its kind, "
                            + Words.of(BenchFigure.HEIGHTS_APART.source(shop).words()),
                    ""));
        }
        rows.add(row(
                "Below the face then",
                ValveViews.two(h.after(), writer),
                plans.toCut().signum() > 0
                        ? "and " + ValveViews.two(h.afterCut(), writer) + " once the face is cut"
                        : "",
                ""));
    }

    private static void springs(ValveFile file, Valve v, double sink, LengthWriter writer, List<ValveView.Row> rows) {
        Optional<SpringFit> fit = ValveJudge.springAfter(file.readings(v), file.book(v), sink);
        if (fit.isEmpty()) {
            return;
        }
        SpringFit s = fit.get();
        String stack = s.stack().isEmpty()
                ? "none"
                : s.stack().stream().map(writer::number).collect(Collectors.joining(" + "));
        rows.add(row(
                "Spring shims",
                stack,
                s.good()
                        ? "measured less the book's height is " + writer.number(s.shim()) + "; left open "
                                + writer.number(s.left()) + "; leaves of " + leaves(writer) + ", general default"
                        : Words.of(s.why()),
                s.good() ? "" : "out"));
        s.coilGap()
                .ifPresent(g -> rows.add(row(
                        "Coils at full lift",
                        ValveViews.two(g, writer),
                        "at least " + writer.number(SpringFit.LEAST_COIL_GAP) + ", general default",
                        g < SpringFit.LEAST_COIL_GAP - 1e-9 ? "out" : "")));
        s.sealGap()
                .ifPresent(g -> rows.add(row(
                        "Retainer to seal at full lift",
                        ValveViews.two(g, writer),
                        "at least " + writer.number(SpringFit.LEAST_SEAL_GAP) + ", general default",
                        g < SpringFit.LEAST_SEAL_GAP - 1e-9 ? "out" : "")));
        s.seatLoad().ifPresent(n -> rows.add(row("Load shut", Math.round(n) + " N", "", "")));
        s.openLoad().ifPresent(n -> rows.add(row("Load open", Math.round(n) + " N", "", "")));
    }

    private static String leaves(LengthWriter writer) {
        return SpringFit.USUAL_SHIMS.leaves().stream().map(writer::number).collect(Collectors.joining(", ")) + " "
                + writer.unit().label();
    }

    private static List<SeatView.Row> rows(ValveFile file, SeatPlans plans, LengthWriter writer) {
        List<SeatView.Row> rows = new ArrayList<>();
        for (Valve v : file.valves()) {
            Optional<SeatPlan> plan = plans.of(v);
            Optional<ValveHeights.One> height = plans.height(v);
            OptionalDouble recession = file.readings(v).figure(Measure.RECESSION);
            boolean due = file.seat(v) == ValveFile.Work.DUE;
            double further = height.map(ValveHeights.One::extra).orElse(0.0);
            // What would bring a seat level that is not to be made is told in brackets.
            rows.add(new SeatView.Row(
                    v.key(),
                    plan.map(p -> Words.of(p.binds().words())).orElse(""),
                    plan.map(p -> writer.number(p.seatSink())).orElse(""),
                    further <= 0 ? "" : due ? writer.number(further) : "(" + writer.number(further) + ")",
                    recession.isPresent() ? ValveViews.two(recession.getAsDouble(), writer) : "",
                    height.map(h -> ValveViews.two(h.after(), writer)).orElse(""),
                    plans.toCut().signum() > 0
                            ? height.map(h -> ValveViews.two(h.afterCut(), writer))
                                    .orElse("")
                            : "",
                    plan.map(p -> cc(p.valveCc() + p.ringCc())).orElse(""),
                    Picked.words(file.seat(v)),
                    plan.filter(p -> !p.feasible()).map(p -> "out").orElse("")));
        }
        return rows;
    }
}
