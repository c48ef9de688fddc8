package homalon.app.cut;

import homalon.app.drawing.FaceDrawing;
import homalon.app.drawing.PlaceMark;
import homalon.app.drawing.ProfileDrawing;
import homalon.app.part.PartFile;
import homalon.core.cut.PassPlan;
import homalon.core.cut.School;
import homalon.core.cut.SetUp;
import homalon.core.face.FaceMap;
import homalon.core.geometry.Box;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Raster;
import homalon.core.geometry.Spot;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Writes set-ups and pass lists for the screen. */
@Component
class PlanViews {

    PlanView of(
            PartFile part,
            Planner.Compared compared,
            School chosen,
            PassPlan.Depths depths,
            Optional<PlanFile> kept,
            BenchUnit unit) {
        LengthWriter writer = new LengthWriter(unit);
        SetUp setup = compared.with(chosen).orElse(compared.setups().get(0));
        List<PlanView.Card> cards = new ArrayList<>();
        for (SetUp s : compared.setups()) {
            cards.add(card(compared, s, setup, writer, cards.size() + 1));
        }
        boolean sameAsKept = kept.filter(
                        k -> k.school() == setup.school() && k.depths().equals(depths))
                .isPresent();
        boolean stale =
                kept.filter(k -> k.readUpTo() != compared.survey().lastSeq()).isPresent();
        return new PlanView(
                cards,
                compared.reference().isPresent() ? "" : "Parallel to the other deck: the thickness was not measured.",
                chosen(part, compared, setup, depths, sameAsKept && !stale, stale, unit),
                supportsDrawing(part, compared, setup, writer),
                "");
    }

    private PlanView.Card card(Planner.Compared c, SetUp s, SetUp chosen, LengthWriter writer, int key) {
        double least = c.setups().get(0).depth();
        double more = s.depth() - least;
        String cost = more < 5e-7 ? "the least there is" : writer.number(more) + " more than the least";
        return new PlanView.Card(
                s.school().name(),
                s.school().words(),
                s.school().meaning(),
                key,
                writer.number(s.depth()),
                String.join("  ", shimWords(s, writer)),
                (s.costOfRounding() >= 0 ? "+" : "\u2212") + writer.number(Math.abs(s.costOfRounding()))
                        + " by rounding shims",
                cost,
                corners(c, s, writer),
                taper(c, s, writer),
                ProfileDrawing.svg(
                        c.map(), s.plane(), c.highest(s) - s.depth() - s.firstTouch(), 84, "p-" + key, false),
                s.school() == chosen.school());
    }

    /** Metal off at each corner when the face is cut to its depth. */
    private static String corners(Planner.Compared c, SetUp s, LengthWriter writer) {
        Box box = c.layout().box();
        double bottom = c.highest(s) - s.firstTouch() - s.depth();
        List<String> words = new ArrayList<>();
        for (Spot corner : List.of(
                new Spot(box.x0(), box.y1()),
                new Spot(box.x1(), box.y1()),
                new Spot(box.x0(), box.y0()),
                new Spot(box.x1(), box.y0()))) {
            FaceMap map = c.map();
            double z = map.above(corner.x(), corner.y()) + map.level().at(corner.x(), corner.y());
            words.add(writer.number(Math.max(0, z - s.plane().at(corner.x(), corner.y()) - bottom)));
        }
        return String.join(" / ", words);
    }

    private static String taper(Planner.Compared c, SetUp s, LengthWriter writer) {
        if (c.reference().isEmpty()) {
            return "taper not measured";
        }
        Box box = c.layout().box();
        double along = (s.plane().a() - c.reference().get().a()) * box.width();
        double across = (s.plane().b() - c.reference().get().b()) * box.height();
        if (Math.max(Math.abs(along), Math.abs(across)) < 5e-5) {
            return "leaves no taper";
        }
        return "leaves taper " + writer.signed(along) + " along, " + writer.signed(across) + " across";
    }

    private static List<String> shimWords(SetUp s, LengthWriter writer) {
        List<String> words = new ArrayList<>();
        for (int j = 0; j < s.shims().size(); j++) {
            words.add((char) ('A' + j) + " " + writer.number(s.shims().get(j)));
        }
        return words;
    }

    private PlanView.Chosen chosen(
            PartFile part,
            Planner.Compared c,
            SetUp s,
            PassPlan.Depths depths,
            boolean kept,
            boolean stale,
            BenchUnit unit) {
        LengthWriter writer = new LengthWriter(unit);
        PassPlan plan = PassPlan.toClean(c.toClean(s), depths, Planner.dialStep(unit));
        return new PlanView.Chosen(
                s.school().name(),
                s.school().words(),
                writer.number(c.toClean(s)),
                writer.number(plan.total()),
                unit.label(),
                passes(part, c, s, plan, writer, 0),
                writer.exact(depths.skim()),
                writer.exact(depths.deepest()),
                writer.exact(depths.finish()),
                shimWords(s, writer),
                kept,
                stale,
                working(c, s, plan, writer));
    }

    private static List<String> working(Planner.Compared c, SetUp s, PassPlan plan, LengthWriter writer) {
        Plane p = s.plane();
        Box box = c.layout().box();
        List<String> lines = new ArrayList<>();
        lines.add("Plane: rises " + writer.full(p.a() * box.width()) + " along the face and "
                + writer.full(p.b() * box.height()) + " across it");
        lines.add("Depth = highest − lowest sealing place above that plane = " + writer.full(s.depth()));
        for (int j = 0; j < s.shims().size(); j++) {
            Spot at = c.supports().get(j);
            lines.add("Shim " + (char) ('A' + j) + " at " + writer.size(Length.roundedFromMm(at.x()))
                    + " from the front, "
                    + writer.size(Length.roundedFromMm(at.y())) + " up: "
                    + writer.full(s.shims().get(j))
                    + ", rounded to the shim stock (default step)");
        }
        lines.add("On the rounded shims the depth is " + writer.full(s.depthWithShims()));
        if (s.firstTouch() > 5e-7) {
            lines.add("A place that does not seal stands " + writer.full(s.firstTouch())
                    + " higher and is touched first; that much comes on top");
        }
        lines.add("From first touch to clean " + writer.full(c.toClean(s)) + "; the passes add up to "
                + writer.full(plan.total()));
        return lines;
    }

    /** Pictures of what each pass is foretold to touch. */
    List<PlanView.Pass> passes(
            PartFile part, Planner.Compared c, SetUp s, PassPlan plan, LengthWriter writer, int done) {
        Raster heights = c.heights(s);
        double highest = c.highest(s);
        List<PlanView.Pass> passes = new ArrayList<>();
        int count = 0;
        for (PassPlan.Pass pass : plan.passes()) {
            double downTo = highest - pass.total().mm();
            String name = pass.kind() == PassPlan.Kind.PASS
                    ? "Pass " + ++count
                    : pass.kind().words();
            int percent = (int) Math.floor(100 * c.map().share(heights, downTo) + 1e-9);
            int index = passes.size();
            passes.add(new PlanView.Pass(
                    name,
                    writer.number(pass.depth()),
                    writer.number(pass.total()),
                    percent + " %",
                    FaceDrawing.of(
                                    c.layout(),
                                    "pass-" + index,
                                    "After " + name.toLowerCase(Locale.ROOT) + " " + percent
                                            + " percent of the land is foretold clean")
                            .small()
                            .touched(heights, downTo)
                            .svg(),
                    index < done ? "done" : index == done ? "now" : "waits"));
        }
        return passes;
    }

    private static String supportsDrawing(PartFile part, Planner.Compared c, SetUp s, LengthWriter writer) {
        List<PlaceMark> marks = new ArrayList<>();
        for (int j = 0; j < c.supports().size(); j++) {
            marks.add(new PlaceMark(
                    "support-" + j,
                    c.supports().get(j),
                    PlaceMark.State.SUPPORT,
                    (char) ('A' + j) + " " + writer.number(s.shims().get(j)),
                    "Support " + (char) ('A' + j)));
        }
        return FaceDrawing.of(c.layout(), "supports", "Where the shims go: " + String.join(", ", shimWords(s, writer)))
                .map(c.map(), writer.unit())
                .places(marks)
                .svg();
    }
}
