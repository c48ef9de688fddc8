package homalon.app.machining.valves;

import homalon.app.foundation.drawing.CounterboreDrawing;
import homalon.app.foundation.drawing.PressDrawing;
import homalon.app.foundation.web.Workings;
import homalon.app.foundation.words.Words;
import homalon.app.shop.stock.Catalogue;
import homalon.core.catalogue.Item;
import homalon.core.catalogue.Metal;
import homalon.core.gauge.Scale;
import homalon.core.part.Material;
import homalon.core.part.Valve;
import homalon.core.quantity.LengthWriter;
import homalon.core.rulebook.BenchGauges;
import homalon.core.seats.Damage;
import homalon.core.seats.InsertChoice;
import homalon.core.seats.InsertLimits;
import homalon.core.seats.PressFit;
import homalon.core.verdict.Verdict;
import homalon.core.visit.InsertPlace;
import homalon.core.visit.PlaceLine;
import homalon.core.visit.RingFitted;
import homalon.core.visit.Said;
import homalon.core.visit.ValveFile;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.util.StringUtils;

/** Writes the inserts' page. */
@Component
@RequiredArgsConstructor
class InsertViews {
    private final ValveViews valves;
    private final Catalogue catalogue;

    /** Empty until the place is measured. */
    Optional<InsertChoice> choice(ValveFile file, Valve v, LengthWriter writer) {
        return InsertPlace.of(file, v).map(q -> InsertChoice.of(q, catalogue.items(Item.Kind.INSERT)));
    }

    InsertView of(ValveFile file, String asked, LengthWriter writer) {
        Picked picked = Picked.of(file, asked, file::insert);
        Valve v = picked.valve();
        Optional<InsertChoice.Asked> place = InsertPlace.of(file, v);
        Optional<InsertChoice> choice = choice(file, v, writer);
        String code = file.text(v, Said.INSERT).orElse("");
        Optional<InsertChoice.Step> chosen = choice.flatMap(c ->
                c.steps().stream().filter(s -> s.insert().code().equals(code)).findFirst());
        Optional<InsertChoice.Step> shown = chosen.or(() -> choice.flatMap(InsertChoice::chosen));
        Optional<PressFit> fit = shown.flatMap(InsertChoice.Step::fit)
                .map(f -> fitted(file, v, f))
                .map(f -> file.text(v, Said.INSERT_DONE)
                        .map(d -> RingFitted.of(d).in(f))
                        .orElse(f));
        String base = "/parts/" + file.part().tag() + "/inserts?valve=";
        return new InsertView(
                valves.above(
                        file,
                        "inserts",
                        x -> Picked.style(file.insert(x)) + (x.equals(v) ? " now" : ""),
                        x -> base + x.key()),
                picked,
                Picked.words(file.insert(v)),
                style(choice, chosen),
                words(choice, chosen, code),
                why(choice, chosen, writer),
                typed(file, v, writer),
                oneMore(InsertPlace.damageLines(file, v, writer.unit())),
                oneMore(InsertPlace.neighbourLines(file, v, writer.unit())),
                file.valves().stream()
                        .filter(other -> !other.equals(v))
                        .map(Valve::key)
                        .toList(),
                place.map(q -> bore(q, shown.or(() -> choice.flatMap(InsertViews::stoppedAt)), v))
                        .orElse(""),
                fit.map(f -> curve(f, shown.get(), writer)).orElse(""),
                choice.map(c -> steps(c, writer)).orElse(List.of()),
                code,
                chosen.filter(InsertChoice.Step::passes).isPresent(),
                fit.map(f -> figures(f, shown.get(), place.orElseThrow().limits(), gauges(file, v), writer))
                        .orElse(List.of()),
                fit.map(f -> Workings.of(List.of(f.working()), writer)).orElse(Workings.NONE),
                shown.map(s -> after(s, place.orElseThrow(), writer)).orElse(List.of()),
                usualHeat(file.part().material(), writer),
                file.text(v, Said.INSERT_DONE).map(d -> done(d, file, writer)).orElse(""));
    }

    /** What was measured of a ring that is in is open by its gauges; a plan is exact. */
    private static BenchGauges gauges(ValveFile file, Valve v) {
        return file.text(v, Said.INSERT_DONE).isPresent() ? file.part().rules().gauges() : BenchGauges.EXACT;
    }

    private static String style(Verdict verdict) {
        return switch (verdict) {
            case WITHIN -> "within";
            case OUT -> "out";
            case NOT_PROVEN -> "open";
        };
    }

    /** A blank line is there to be filled, and two at the least. */
    private static List<PlaceLine> oneMore(List<PlaceLine> lines) {
        return Stream.concat(lines.stream(), Stream.of(PlaceLine.BLANK, PlaceLine.BLANK))
                .limit(Math.max(2, lines.size() + 1))
                .toList();
    }

    private static String style(Optional<InsertChoice> choice, Optional<InsertChoice.Step> chosen) {
        if (chosen.isEmpty() && choice.isEmpty()) {
            return "open";
        }
        boolean passes = chosen.map(InsertChoice.Step::passes)
                .orElseGet(() -> choice.orElseThrow().chosen().isPresent());
        return passes ? "within" : "out";
    }

    private static String curve(PressFit fit, InsertChoice.Step step, LengthWriter writer) {
        String title = "Press of " + step.insert().code() + " with head and ring at one temperature";
        return PressDrawing.svg(fit, writer, title);
    }

    private static String usualHeat(Material metal, LengthWriter writer) {
        return writer.temperature(InsertChoice.usualHeat(metal)) + " stands for " + Words.of(metal.words())
                + " when it is left blank: a general default.";
    }

    /** The press as it is measured once ring and hole are there. */
    static String done(String written, ValveFile file, LengthWriter writer) {
        RingFitted fitted = RingFitted.of(written);
        Metal casting = Metal.of(file.part().material());
        String warm = fitted.at()
                .map(a -> " with the casting at " + writer.temperature(a.casting()) + " and the gauge at "
                        + writer.temperature(a.gauge()) + ", at " + writer.temperature(Scale.REFERENCE) + " "
                        + GuideViews.size(fitted.hole(casting), writer))
                .orElse("");
        return fitted.code() + ", hole " + GuideViews.size(fitted.hole().mm(), writer) + warm + ", ring "
                + GuideViews.size(fitted.ring().mm(), writer) + ": press " + writer.full(fitted.press(casting));
    }

    private static PressFit fitted(ValveFile file, Valve v, PressFit fit) {
        double[] t = file.text(v, Said.CHILL)
                .map(InsertPlace::temperatures)
                .orElse(new double[] {PressFit.ROOM, PressFit.ROOM});
        PressFit.Asked a = fit.asked();
        return PressFit.of(a.with(a.counterbore(), a.outer(), t[0], t[1]));
    }

    private static String words(Optional<InsertChoice> choice, Optional<InsertChoice.Step> chosen, String code) {
        if (choice.isEmpty()) {
            return "Measure the place";
        }
        if (chosen.isPresent()) {
            return chosen.get().passes() ? code + " chosen" : code + " does not pass any more";
        }
        return choice.get()
                .chosen()
                .map(s -> s.insert().code() + " passes")
                .orElse(choice.get().steps().isEmpty() ? "Nothing on the list" : "None passes");
    }

    private static String why(Optional<InsertChoice> choice, Optional<InsertChoice.Step> chosen, LengthWriter writer) {
        if (choice.isEmpty()) {
            return "Counterbore, floor, wall to water and throat are needed before an insert can be called good.";
        }
        if (chosen.isPresent() && !chosen.get().passes()) {
            return chosen.get().broken().stream()
                    .map(c -> Words.of(c.rule().words()) + ": " + Words.of(c.says(), writer))
                    .collect(Collectors.joining("; "));
        }
        if (choice.get().steps().isEmpty()) {
            return "No insert on the shop's list is larger than this counterbore: take a list in under Stock.";
        }
        Optional<InsertChoice.Step> first = choice.get().chosen();
        if (first.isEmpty()) {
            return choice.get().stop().map(c -> stoppedBy(c, writer)).orElse("");
        }
        String code = first.get().insert().code();
        if (chosen.filter(c -> !c.insert().code().equals(code)).isPresent()) {
            return "It passes. The smallest that does is " + code + ".";
        }
        long before = choice.get().steps().stream().takeWhile(s -> !s.passes()).count();
        return before == 0
                ? "The smallest on the list."
                : "Stepped up over " + before + (before == 1 ? " that does not do." : " that do not do.");
    }

    private static String stoppedBy(InsertChoice.Check c, LengthWriter writer) {
        String by = c.rule() == InsertChoice.Rule.STRENGTH ? "" : ", short by " + writer.full(-c.spare());
        return "Stopped by: " + Words.of(c.rule().words()) + ". "
                + StringUtils.capitalize(Words.of(c.says(), writer)) + by
                + ". Less press, more wall, or another seat; thinner only signed.";
    }

    /** The ring at which the step-up was stopped: it is drawn, so that one sees what is in its way. */
    private static Optional<InsertChoice.Step> stoppedAt(InsertChoice choice) {
        return choice.stop()
                .flatMap(stop -> choice.steps().stream()
                        .filter(s -> s.broken().contains(stop))
                        .findFirst());
    }

    private static Map<String, String> typed(ValveFile file, Valve v, LengthWriter writer) {
        Map<String, String> typed = new HashMap<>();
        for (Said s : Said.values()) {
            typed.put(s.name(), file.shown(v, s, writer.unit()));
        }
        String[] t = typed.get(Said.CHILL.name()).split(" ");
        typed.put("chillTo", t.length == 2 ? degrees(t[0], writer) : "");
        typed.put("warmTo", t.length == 2 ? degrees(t[1], writer) : "");
        typed.computeIfPresent(Said.RUN_AT.name(), (k, kept) -> degrees(kept, writer));
        return typed;
    }

    /** Kept in °C, and keyed again in what the reader chose. */
    private static String degrees(String kept, LengthWriter writer) {
        return kept.isEmpty() ? "" : writer.temperatureNumber(Double.parseDouble(kept));
    }

    private static String bore(InsertChoice.Asked q, Optional<InsertChoice.Step> shown, Valve v) {
        return CounterboreDrawing.svg(
                q.counterbore(),
                shown.map(s -> OptionalDouble.of(s.cutTo())).orElseGet(OptionalDouble::empty),
                q.wall(),
                q.throat(),
                q.damage(),
                "Counterbore of " + v.name() + " from above"
                        + (q.damage().arcs().isEmpty() ? "" : ", with what is broken out of it"));
    }

    private List<InsertView.Step> steps(InsertChoice choice, LengthWriter writer) {
        Map<String, Integer> shelf =
                catalogue.rows().stream().collect(Collectors.toMap(r -> r.item().code(), Catalogue.Row::shelf));
        List<InsertView.Step> all = new ArrayList<>();
        String first = choice.chosen().map(s -> s.insert().code()).orElse("");
        for (InsertChoice.Step s : choice.steps()) {
            List<InsertView.Rule> rules = s.checks().stream()
                    .map(c -> new InsertView.Rule(Words.of(c.rule().words()), c.holds(), Words.of(c.says(), writer)))
                    .toList();
            all.add(new InsertView.Step(
                    s.insert().code(),
                    s.insert().metal().map(it -> Words.of(it.words())).orElse("")
                            + (s.insert().nominal() ? ", nominal" : ""),
                    GuideViews.size(s.insert().outer(), writer),
                    GuideViews.size(s.cutTo(), writer),
                    s.fit().map(f -> writer.number(f.press())).orElse(""),
                    s.passes(),
                    s.insert().code().equals(first),
                    rules,
                    s.broken().stream().map(c -> Words.of(c.rule().words())).collect(Collectors.joining(", ")),
                    shelf.getOrDefault(s.insert().code(), 0)));
        }
        return all;
    }

    private static List<ValveView.Row> figures(
            PressFit fit, InsertChoice.Step step, InsertLimits limits, BenchGauges gauges, LengthWriter writer) {
        List<ValveView.Row> rows = new ArrayList<>();
        rows.add(new ValveView.Row(
                "Cut the counterbore to",
                GuideViews.size(step.cutTo(), writer),
                "on a pilot in a sound guide; flat bottom just cleaned",
                ""));
        rows.addAll(presses(fit, limits, gauges, writer));
        rows.addAll(stresses(fit, writer));
        rows.add(new ValveView.Row(
                "Arc that bears",
                Math.round(step.bearing() * 100) + " %",
                "",
                step.bearing() < Damage.LEAST_SHARE ? "out" : ""));
        return rows;
    }

    private static List<ValveView.Row> presses(
            PressFit fit, InsertLimits limits, BenchGauges gauges, LengthWriter writer) {
        boolean ends = fit.goneAt().isPresent();
        boolean room = fit.asked().chillTo() == PressFit.ROOM && fit.asked().warmTo() == PressFit.ROOM;
        String fitting = room
                ? "Fitting, both at room"
                : "Fitting, ring at " + writer.temperature(fit.asked().chillTo()) + ", head at "
                        + writer.temperature(fit.asked().warmTo());
        String felt =
                fit.goes() == PressFit.Goes.DRIVEN ? ": " + writer.full(-fit.fitting()) + " of press is felt" : "";
        return List.of(
                new ValveView.Row("Press now", writer.number(fit.press()), "", ""),
                new ValveView.Row(
                        "Press at " + writer.temperature(fit.asked().runAt()),
                        writer.number(fit.hot()),
                        "more than " + writer.number(limits.hot()) + " wanted, "
                                + Words.of(limits.hotSource().words()),
                        style(fit.holdsHot(gauges))),
                new ValveView.Row(
                        "Gone at",
                        ends ? writer.temperature(fit.goneAt().getAsDouble()) : "never",
                        ends ? "overheating is how seats drop" : "the ring grows as much as the head",
                        ""),
                new ValveView.Row(
                        fitting,
                        writer.signed(fit.fitting()),
                        Words.of(fit.goes().words()) + felt,
                        ""));
    }

    private static List<ValveView.Row> stresses(PressFit fit, LengthWriter writer) {
        String style = switch (fit.strain()) {
            case BEARS -> "";
            case WARNS -> "open";
            default -> "out";
        };
        return List.of(
                new ValveView.Row("Pressure between them", Math.round(fit.pressure()) + " MPa", "", ""),
                new ValveView.Row(
                        "Stress in the head",
                        Math.round(fit.hoop()) + " MPa",
                        percent(fit.shareCold()) + " of what it stands cold, " + percent(fit.shareHot()) + " hot: "
                                + Words.of(fit.strain().words()) + " (thinnest wall, general default)",
                        style),
                new ValveView.Row(
                        "Stress, ring " + writer.apart(PressFit.RING_HOTTER) + " hotter",
                        percent(fit.shareRingHotter()),
                        PressFit.Strain.WARNS.over() < fit.shareRingHotter()
                                ? "of what it stands: overheated, the ring may yield and be loose afterwards"
                                : "of what it stands",
                        ""));
    }

    private static String percent(double share) {
        return Math.round(100 * share) + " %";
    }

    private static List<String> after(InsertChoice.Step step, InsertChoice.Asked q, LengthWriter writer) {
        double trim = InsertChoice.trim(step.insert().height(), q.floor(), q.proud());
        String stands = q.proud() > 0
                ? writer.full(q.proud()) + " proud"
                : q.proud() < 0 ? writer.full(-q.proud()) + " shy" : "flush";
        List<String> all = new ArrayList<>();
        all.add(
                "Lead chamfer 0.5 × 45° on the bore; the ring's rounded edge goes down; driven square and quickly, held till it warms.");
        all.add(
                trim >= 0
                        ? "Trim its top by " + writer.full(trim) + ": it then stands " + stands + "."
                        : "It stands " + writer.full(-trim) + " too low: a taller ring, or say so to the customer.");
        double open = q.throat() - step.insert().inner();
        all.add("Open its inside from " + GuideViews.size(step.insert().inner(), writer) + " to the throat, "
                + GuideViews.size(q.throat(), writer) + (open > 0 ? " (" + writer.full(open) + " on the diameter)" : "")
                + ", and blend it.");
        all.add("Owed then: seat angles, crack check, pressure test.");
        return all;
    }
}
