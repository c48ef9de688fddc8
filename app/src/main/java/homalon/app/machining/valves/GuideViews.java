package homalon.app.machining.valves;

import homalon.app.foundation.drawing.GuideDrawing;
import homalon.app.foundation.words.Words;
import homalon.app.shop.stock.Catalogue;
import homalon.core.catalogue.Item;
import homalon.core.guides.Guide;
import homalon.core.guides.GuideFit;
import homalon.core.guides.GuideHeight;
import homalon.core.guides.Ladder;
import homalon.core.input.BadInputException;
import homalon.core.part.Material;
import homalon.core.part.Valve;
import homalon.core.part.ValvePattern;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.valves.Aspect;
import homalon.core.valves.BookItem;
import homalon.core.valves.ValveBook;
import homalon.core.valves.ValveFinding;
import homalon.core.valves.ValveReadings;
import homalon.core.verdict.Verdict;
import homalon.core.visit.Said;
import homalon.core.visit.ValveFile;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.util.StringUtils;

/** Writes the guides' page. */
@Component
@RequiredArgsConstructor
class GuideViews {
    private final ValveViews valves;
    private final Catalogue catalogue;

    /** @param toCut what the face still loses by the plan; zero for none */
    GuideView of(ValveFile file, String asked, Length toCut, LengthWriter writer) {
        Picked picked = Picked.of(file, asked, file::guide);
        Valve v = picked.valve();
        ValveFinding finding = file.finding(v);
        Optional<Ladder> ladder = ladder(file, v);
        String chosen = file.text(v, Said.GUIDE).orElse("");
        String base = "/parts/" + file.part().tag() + "/guides?valve=";
        List<GuideView.Rung> rungs = ladder.map(l -> rungs(l, chosen, writer)).orElse(List.of());
        Optional<GuideFit> fit = fit(file, v);
        String height = file.book(v).entry(BookItem.GUIDE_HEIGHT).isPresent() ? heightNow(file, v, toCut, writer) : "";
        Optional<Guide> guide = finding.guide();
        String style =
                finding.guideWorn() ? "out" : guide.filter(g -> !g.oneEndOnly()).isPresent() ? "within" : "open";
        return new GuideView(
                valves.above(
                        file,
                        "guides",
                        x -> Picked.style(file.guide(x)) + (x.equals(v) ? " now" : ""),
                        x -> base + x.key()),
                rows(file, writer),
                picked,
                Picked.words(file.guide(v)),
                guide.map(g -> picture(file, v, g, writer)).orElse(""),
                style,
                finding.aspect(Aspect.Subject.GUIDE)
                        .map(a -> StringUtils.capitalize(Words.of(a.says())))
                        .orElse("Not read yet"),
                sentence(ladder),
                figures(file, v, writer),
                rungs,
                file.shown(v, Said.HOUSING, writer.unit()),
                fit.map(f -> fits(f, writer)).orElse(List.of()),
                fit.map(f -> press(f, file.part().material(), writer)).orElse(""),
                fit.map(f -> ream(f, writer)).orElse(""),
                file.text(v, Said.GUIDE_ITEM).orElse(""),
                height,
                file.text(v, Said.GUIDE_DONE).map(d -> done(d, writer)).orElse(""));
    }

    /** What was found of the guide; the seat has a page of its own. */
    private static List<ValveView.Row> figures(ValveFile file, Valve v, LengthWriter writer) {
        return ValveViews.said(file, v, writer).rows().stream()
                .filter(r -> !r.name().startsWith("Seat")
                        && !r.name().equals("Spring")
                        && !r.name().equals("Looks"))
                .toList();
    }

    private static String press(GuideFit fit, Material metal, LengthWriter writer) {
        return "Press wanted " + writer.number(fit.least()) + " to " + writer.full(fit.most()) + " in "
                + Words.of(metal.words()) + ", "
                + Words.of(fit.source().words());
    }

    private static String ream(GuideFit fit, LengthWriter writer) {
        return fit.ream()
                .map(r -> "None of them bites. Ream the housing to " + size(r.size(), writer) + " for "
                        + r.guide().code() + ".")
                .orElse(fit.each().isEmpty() ? "No guide stands on the shop's list yet." : "");
    }

    /** A piece of work as it was written: what, and the size that was measured after it. */
    static String done(String written, LengthWriter writer) {
        String[] parts = written.split(" ");
        String what = ValveFile.rung(written).map(it -> Words.of(it.words())).orElse(parts[0]);
        return parts.length < 2
                ? what
                : what + ", finished at "
                        + size(Length.ofNanometres(Long.parseLong(parts[1])).mm(), writer);
    }

    static Optional<Ladder> ladder(ValveFile file, Valve v) {
        ValveReadings read = file.readings(v);
        return file.finding(v)
                .guide()
                .map(g -> Ladder.of(
                        g,
                        DoubleStream.of(read.stem()).min().orElseThrow(),
                        file.book(v).guide(),
                        new Ladder.Shop(file.setup().knurls(), file.setup().racing(), Ladder.Shop.USUAL_OVERSIZES),
                        file.length(v, Said.HOUSING).isPresent()));
    }

    Optional<GuideFit> fit(ValveFile file, Valve v) {
        return file.length(v, Said.HOUSING).flatMap(h -> {
            try {
                return Optional.of(GuideFit.of(
                        h.mm(),
                        file.part().material(),
                        catalogue.items(Item.Kind.GUIDE),
                        file.part().rules().books()));
            } catch (BadInputException e) {
                return Optional.empty();
            }
        });
    }

    private static String sentence(Optional<Ladder> ladder) {
        if (ladder.isEmpty()) {
            return "Read its stem and both ends of the guide first.";
        }
        return ladder.get()
                .lowest()
                .map(s -> "Lowest rung that helps: " + Words.of(s.rung().words()) + ".")
                .orElse("Read it at all three places before anything is chosen.");
    }

    private static List<GuideView.Rung> rungs(Ladder ladder, String chosen, LengthWriter writer) {
        Optional<Ladder.Rung> lowest = ladder.lowest().map(Ladder.Step::rung);
        List<GuideView.Rung> all = new ArrayList<>();
        for (Ladder.Step s : ladder.rungs()) {
            String ream = s.ream().isEmpty() ? "" : "finish at " + size(s.ream().getAsDouble(), writer);
            all.add(new GuideView.Rung(
                    s.rung().name(),
                    StringUtils.capitalize(Words.of(s.rung().words())),
                    s.helps().name().toLowerCase(Locale.ROOT),
                    Words.of(s.why(), writer),
                    ream,
                    s.rung().name().equals(chosen),
                    lowest.filter(l -> l == s.rung()).isPresent()));
        }
        return all;
    }

    private List<GuideView.Fit> fits(GuideFit fit, LengthWriter writer) {
        List<GuideView.Fit> all = new ArrayList<>();
        for (GuideFit.One o : fit.each().stream().limit(8).toList()) {
            all.add(new GuideView.Fit(
                    o.guide().code(),
                    o.guide().words(),
                    size(o.guide().outer(), writer),
                    writer.signed(o.press()),
                    Words.of(o.answer().words()),
                    o.answer().sits(),
                    catalogue.byCode(o.guide().code()).map(Catalogue.Row::shelf).orElse(0)));
        }
        return all;
    }

    /** Sizes that are reamed or pressed keep their thousandths. */
    static String size(double mm, LengthWriter writer) {
        return writer.unit() == BenchUnit.MM
                ? String.format(Locale.ROOT, "%.3f mm", mm)
                : writer.size(Length.roundedFromMm(mm));
    }

    private static List<GuideView.Row> rows(ValveFile file, LengthWriter writer) {
        List<GuideView.Row> rows = new ArrayList<>();
        for (Valve v : file.valves()) {
            ValveFinding f = file.finding(v);
            rows.add(new GuideView.Row(
                    v.key(),
                    f.guide().map(g -> writer.number(g.clearanceGoverning())).orElse(""),
                    f.aspect(Aspect.Subject.GUIDE).map(a -> Words.of(a.says())).orElse("not read"),
                    file.text(v, Said.GUIDE)
                            .flatMap(ValveFile::rung)
                            .map(r -> Words.of(r.words())
                                    + file.text(v, Said.GUIDE_ITEM)
                                            .map(i -> ", " + i)
                                            .orElse(""))
                            .orElse(""),
                    Picked.words(file.guide(v)),
                    f.aspect(Aspect.Subject.GUIDE)
                            .flatMap(a -> a.verdict())
                            .filter(x -> x == Verdict.OUT && file.guide(v) != ValveFile.Work.DONE)
                            .map(x -> "out")
                            .orElse("")));
        }
        return rows;
    }

    private static String picture(ValveFile file, Valve v, Guide g, LengthWriter writer) {
        ValveReadings read = file.readings(v);
        double stem = DoubleStream.of(read.stem()).min().orElseThrow();
        double[][] bore = read.bore();
        List<String> names = List.of("top", "middle", "bottom");
        List<GuideDrawing.Place> places = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            places.add(
                    bore[i] == null
                            ? GuideDrawing.Place.unread(names.get(i))
                            : new GuideDrawing.Place(
                                    names.get(i),
                                    OptionalDouble.of((bore[i][0] - stem) / 2),
                                    OptionalDouble.of((bore[i][1] - stem) / 2),
                                    writer.number(bore[i][0] - stem) + " / " + writer.number(bore[i][1] - stem)));
        }
        ValveBook book = file.book(v);
        return GuideDrawing.svg(
                places,
                book.guide().service() / 2,
                "Guide of " + v.name() + " cut open, clearance " + writer.full(g.clearanceGoverning()));
    }

    static GuideHeight.From from(ValveFile file) {
        return file.setup().pattern().rows() == ValvePattern.Rows.IN_BLOCK
                ? GuideHeight.From.BELOW_FACE
                : GuideHeight.From.ABOVE_FACE;
    }

    /**
     * Above a spring seat in a head nothing is cut; below the deck of a side-valve block the cut still to come is allowed for, and
     * once it is set, what the cut leaves of it is shown.
     */
    private static String heightNow(ValveFile file, Valve v, Length toCut, LengthWriter writer) {
        GuideHeight.From from = from(file);
        double cut = from == GuideHeight.From.BELOW_FACE ? toCut.mm() : 0;
        double target = file.book(v).value(BookItem.GUIDE_HEIGHT);
        String where = from == GuideHeight.From.BELOW_FACE ? "below the deck" : "above its spring seat";
        GuideHeight height = GuideHeight.of(target, from, cut);
        String set = file.length(v, Said.GUIDE_SET)
                .map(s -> " It was set at " + size(s.mm(), writer)
                        + (cut > 0
                                ? ", which the cut leaves at " + size(GuideHeight.resulting(s.mm(), from, cut), writer)
                                : "")
                        + ".")
                .orElse("");
        return cut > 0
                ? "Set it " + size(height.now(), writer) + " " + where + ": " + size(target, writer)
                        + " wanted, and the deck still loses " + writer.full(toCut) + ". Depth stop of the driver: "
                        + size(height.now(), writer) + "." + set
                : "Set it " + size(height.now(), writer) + " " + where + "; that is the driver's depth stop as well."
                        + set;
    }
}
