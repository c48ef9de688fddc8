package homalon.app.machining.chambers;

import homalon.app.casting.part.Faces;
import homalon.app.foundation.drawing.BuretteDrawing;
import homalon.app.foundation.drawing.FaceDrawing;
import homalon.app.foundation.drawing.ValveSign;
import homalon.app.foundation.web.WalkRows;
import homalon.app.foundation.web.WorkingView;
import homalon.app.foundation.words.Words;
import homalon.core.chambers.ChamberVolume;
import homalon.core.chambers.EngineItem;
import homalon.core.chambers.Fill;
import homalon.core.chambers.FillState;
import homalon.core.chambers.PistonLevel;
import homalon.core.chambers.Ratios;
import homalon.core.cut.WhatIf;
import homalon.core.part.Layout;
import homalon.core.quantity.LengthWriter;
import homalon.core.quantity.Quantity;
import homalon.core.rulebook.BenchFigure;
import homalon.core.visit.ChamberFile;
import homalon.core.visit.ChamberPlace;
import homalon.core.visit.ChamberWalk;
import homalon.core.visit.Figure;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Writes chambers for the screen. */
@Component
@RequiredArgsConstructor
class ChamberViews {
    private final Faces faces;
    private final OutlookSource outlooks;

    ChamberView of(ChamberFile file, ChamberWalk walk, FillState state, FillState suggested, LengthWriter writer) {
        List<ChamberView.Tab> walks = walks(file, walk, state, writer);
        Optional<Figure> last = last(file, walk, state);
        List<ChamberView.Row> rows = rows(file, writer);
        Said said = said(file, state);
        return new ChamberView(
                drawing(file, state),
                burette(file, last),
                last.map(f -> "Last: " + f.typed()
                                + (f.typed().matches(".*[-+ ].*")
                                        ? " comes to " + Ratios.cc(ChamberFile.cc(f))
                                        : " cc"))
                        .orElse("It counts downwards from its top"),
                rows,
                pistons(file, writer),
                walks,
                states(file, state, suggested),
                Words.of(walk.words(writer)),
                Words.of(walk.with()),
                walk(file, walk, state, writer),
                next(walks),
                said.style(),
                said.words(),
                said.sentence(),
                openings(file, writer),
                walk.done(file, state),
                file.sheet().revision());
    }

    private record Said(String style, String words, String sentence) {}

    private static Said said(ChamberFile file, FillState state) {
        List<ChamberFile.Filled> filled = file.bores().stream()
                .flatMap(b -> file.filled(b.number(), state).stream())
                .toList();
        List<String> open = new ArrayList<>();
        for (Layout.Bore b : file.bores()) {
            Optional<ChamberFile.Filled> f = file.filled(b.number(), state);
            if (f.filter(x -> x.volume().settled()).isEmpty()) {
                open.add(b.number() + ": "
                        + f.map(x -> Words.of(x.volume().next())).orElse("not filled yet"));
            }
        }
        if (!open.isEmpty()) {
            return new Said(
                    "open",
                    (file.bores().size() - open.size()) + " of " + file.bores().size() + " settled",
                    "Chamber " + open.get(0) + ".");
        }
        double least = filled.stream().mapToDouble(f -> f.volume().cc()).min().orElseThrow();
        double most = filled.stream().mapToDouble(f -> f.volume().cc()).max().orElseThrow();
        double plusMinus =
                filled.stream().mapToDouble(f -> f.volume().plusMinus()).max().orElseThrow();
        return new Said(
                "within",
                least == most ? Ratios.cc(most) : Ratios.cc(least).replace(" cc", "") + " to " + Ratios.cc(most),
                Ratios.signedCc(most - least).replace("+", "") + " apart, each good to ± " + Ratios.cc(plusMinus)
                        + ". What that makes of the ratio stands under Budget.");
    }

    private String drawing(ChamberFile file, FillState state) {
        List<ValveSign> signs = new ArrayList<>();
        for (Layout.Bore b : file.bores()) {
            Optional<ChamberVolume> v = file.filled(b.number(), state).map(ChamberFile.Filled::volume);
            signs.add(new ValveSign(
                    Integer.toString(b.number()),
                    v.map(x -> Ratios.cc(x.cc()).replace(" cc", "")).orElse(Integer.toString(b.number())),
                    b.centre(),
                    b.diameter() * 0.8,
                    false,
                    v.map(x -> x.settled() ? "within" : "begun").orElse("unread"),
                    "Chamber " + b.number() + ": "
                            + v.map(x -> Ratios.cc(x.cc()) + (x.settled() ? "" : ", " + Words.of(x.next())))
                                    .orElse("not filled"),
                    ""));
        }
        return FaceDrawing.of(
                        faces.layout(file.part().numbers()),
                        "chambers",
                        "Chambers of " + file.part().tag() + " with what each holds, in cc")
                .valves(signs)
                .svg();
    }

    private static Optional<Figure> last(ChamberFile file, ChamberWalk walk, FillState state) {
        return walk.ofFills()
                ? walk.places(file, state).stream()
                        .map(p -> file.sheet().standing().get(p.key()))
                        .filter(f -> f != null && f.kind() == Figure.Kind.KEYED)
                        .max(Comparator.comparingLong(Figure::seq))
                : Optional.empty();
    }

    private static String burette(ChamberFile file, Optional<Figure> last) {
        double capacity = file.book().value(EngineItem.BURETTE);
        if (last.isEmpty()) {
            double shown = Math.rint(capacity * 0.426 * 10) / 10;
            return BuretteDrawing.svg(
                    capacity,
                    OptionalDouble.empty(),
                    shown,
                    "A burette, read at the lowest point of the curve with the eye level; here, for example, " + shown);
        }
        List<Fill.Run> runs = Fill.read(last.get().typed(), Double.MAX_VALUE).runs();
        Fill.Run run = runs.get(runs.size() - 1);
        return BuretteDrawing.svg(
                capacity,
                OptionalDouble.of(run.from().doubleValue()),
                run.to().doubleValue(),
                "The burette as it was read last, from " + run.from() + " to " + run.to());
    }

    private static List<String> pistons(ChamberFile file, LengthWriter writer) {
        Map<Integer, Double> below = new TreeMap<>();
        for (Layout.Bore b : file.bores()) {
            file.deckOf(b.number()).ifPresent(deck -> below.put(b.number(), deck));
        }
        return PistonLevel.of(
                        below, BenchFigure.PISTON_ODD.value(file.part().rules().books()))
                .odd()
                .stream()
                .map(o -> Words.of(o.words(), writer))
                .toList();
    }

    private static List<ChamberView.Row> rows(ChamberFile file, LengthWriter writer) {
        List<FillState> columns = Stream.of(FillState.values())
                .filter(s -> file.bores().stream()
                        .anyMatch(x -> file.filled(x.number(), s).isPresent()))
                .toList();
        return file.bores().stream()
                .map(b -> row(file, b.number(), columns, writer))
                .toList();
    }

    private static ChamberView.Row row(ChamberFile file, int n, List<FillState> columns, LengthWriter writer) {
        Optional<ChamberFile.Filled> latest = file.latest(n);
        return new ChamberView.Row(
                Integer.toString(n),
                columns.stream()
                        .map(s -> file.filled(n, s)
                                .map(f -> bare(Ratios.cc(f.volume().cc())))
                                .orElse(""))
                        .toList(),
                latest.filter(f -> f.volume().fills() > 1)
                        .map(f -> bare(Ratios.signedCc(f.volume().apart())).replace("+", ""))
                        .orElse(""),
                file.deckOf(n).isPresent() ? writer.signed(file.deckOf(n).getAsDouble()) : "",
                file.crownOf(n).isPresent()
                        ? bare(Ratios.signedCc(file.crownOf(n).getAsDouble()))
                        : "",
                latest.map(ChamberViews::note).orElse("not filled"),
                latest.filter(f -> f.volume().settled()).isEmpty());
    }

    /** Its column names the unit. */
    private static String bare(String cc) {
        return cc.replace(" cc", "");
    }

    private static String note(ChamberFile.Filled f) {
        ChamberVolume v = f.volume();
        String left = v.taken().size() < v.fills()
                ? "; " + (v.fills() - v.taken().size()) + " of " + v.fills() + " fills stood apart, left out"
                : "";
        return v.settled() ? Words.of(f.state().words()) + left : Words.of(v.next());
    }

    private static List<ChamberView.Tab> walks(
            ChamberFile file, ChamberWalk here, FillState state, LengthWriter writer) {
        List<ChamberView.Tab> tabs = new ArrayList<>();
        for (ChamberWalk w : ChamberWalk.of(file)) {
            List<ChamberPlace> places = w.places(file, state);
            long done = places.stream()
                    .filter(p -> file.sheet().standing().containsKey(p.key()))
                    .count();
            tabs.add(new ChamberView.Tab(
                    w.key(),
                    Words.of(w.words(writer)),
                    done == 0 ? "" : done == places.size() ? "\u2713" : done + "/" + places.size(),
                    w.equals(here),
                    done == places.size()));
        }
        return tabs;
    }

    /** Fills to a depth come after the brim; pistons are keyed where they are at hand. */
    private static String next(List<ChamberView.Tab> walks) {
        boolean passed = false;
        for (ChamberView.Tab t : walks) {
            if (passed && !t.done() && t.key().startsWith("to-")) {
                return t.key();
            }
            passed |= t.current();
        }
        return "";
    }

    private static List<ChamberView.Tab> states(ChamberFile file, FillState here, FillState suggested) {
        List<ChamberView.Tab> tabs = new ArrayList<>();
        for (FillState s : FillState.values()) {
            long filled = file.bores().stream()
                    .filter(b -> file.filled(b.number(), s).isPresent())
                    .count();
            tabs.add(new ChamberView.Tab(
                    s.name(),
                    Words.of(s.words()),
                    filled > 0 ? filled + "/" + file.bores().size() : "",
                    s == here,
                    s == suggested));
        }
        return tabs;
    }

    private List<ChamberView.Opening> openings(ChamberFile file, LengthWriter writer) {
        return outlooks.question(file, WhatIf.NOTHING).chambers().stream()
                .map(c -> new ChamberView.Opening(
                        c.name(),
                        Quantity.AREA.number(c.opening().mm2(), writer.unit()) + " ± "
                                + Quantity.AREA.full(c.opening().plusMinus(), writer.unit()),
                        Words.of(c.opening().way().words()),
                        WorkingView.of(c.opening().working(), writer)))
                .collect(Collectors.toList());
    }

    private static String walk(ChamberFile file, ChamberWalk walk, FillState state, LengthWriter writer) {
        WalkRows list = new WalkRows();
        for (ChamberPlace p : walk.places(file, state)) {
            Figure f = file.sheet().standing().get(p.key());
            boolean skipped = f != null && f.kind() == Figure.Kind.SKIPPED;
            WalkRows.Place place = new WalkRows.Place(
                    p.key(),
                    name(p),
                    WalkRows.State.of(f != null, skipped),
                    f == null || skipped ? "" : written(file, p, f, writer),
                    f == null ? 0 : f.seq());
            boolean length = p.what() == ChamberPlace.What.DECK;
            // A third fill is asked for where two differ, as soon as the second is keyed.
            boolean again = p.number() > 2;
            list.add(
                    place,
                    "valve",
                    p.cylinder(),
                    "unit-label",
                    length ? writer.unit().label() : "cc",
                    "echo-as",
                    length ? "length" : "none",
                    "again",
                    again ? p.cylinder() : "",
                    "after",
                    again ? before(p).key() : "");
        }
        return list.html();
    }

    private static ChamberPlace before(ChamberPlace fill) {
        return ChamberPlace.fill(fill.state(), fill.depth(), fill.cylinder(), fill.number() - 1);
    }

    /** A place without its walk and state. */
    static String name(ChamberPlace p) {
        return switch (p.what()) {
            case FILL -> "chamber " + p.cylinder() + ", fill " + p.number();
            case DECK -> "piston " + p.cylinder() + " below the deck";
            case CROWN -> "crown " + p.cylinder();
        };
    }

    private static String written(ChamberFile file, ChamberPlace p, Figure f, LengthWriter writer) {
        return switch (p.what()) {
            case FILL -> Ratios.cc(ChamberFile.cc(f));
            case DECK -> f.value().map(writer::signed).orElse("");
            case CROWN -> Ratios.signedCc(file.crownOf(p.cylinder()).orElse(0));
        };
    }
}
