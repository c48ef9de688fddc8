package homalon.app.machining.cut;

import homalon.app.foundation.drawing.Bands;
import homalon.app.foundation.drawing.FaceDrawing;
import homalon.app.foundation.drawing.PlaceMark;
import homalon.app.foundation.drawing.ProfileDrawing;
import homalon.app.foundation.words.Words;
import homalon.core.cut.Comparison;
import homalon.core.cut.CutPlan;
import homalon.core.cut.PassPlan;
import homalon.core.cut.Removal;
import homalon.core.cut.SetUp;
import homalon.core.cut.SetUpMethod;
import homalon.core.cut.Supports;
import homalon.core.geometry.Box;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Spot;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.rulebook.ShimStock;
import homalon.core.sure.CleanDepth;
import homalon.core.sure.CleanUp;
import homalon.core.visit.ComparedFace;
import homalon.core.visit.PlanFile;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Writes set-ups and pass lists for the screen and the report. */
@Component
public class PlanViews {
    /** Width of the sheet beside the drawing, px. */
    private static final double SHEET_PX = 355;

    private static final double THOUSANDTHS = 1000;

    PlanView of(
            ComparedFace compared,
            SetUpMethod wanted,
            PassPlan.Depths depths,
            Length atLeast,
            boolean finishLast,
            Length dialStep,
            Optional<PlanFile> kept,
            LengthWriter writer) {
        Comparison setUps = compared.setUps();
        Removal chosen = setUps.with(wanted).orElse(setUps.removals().get(0));
        List<PlanView.Card> cards = new ArrayList<>();
        for (Removal r : setUps.removals()) {
            cards.add(card(compared, r, r.equals(chosen), writer, cards.size() + 1));
        }
        CutPlan plan = CutPlan.of(setUps, chosen, depths, dialStep, atLeast).finishedLast(finishLast);
        boolean stale = kept.filter(k -> k.surveyRevision() != compared.survey().revision())
                .isPresent();
        boolean same = !stale && kept.filter(k -> k.plan().equals(plan)).isPresent();
        return new PlanView(
                cards,
                setUps.with(SetUpMethod.PARALLEL).isEmpty(),
                chosen(setUps, chosen, plan, same, stale, compared.crankLine(), writer),
                supportsDrawing(compared, plan, writer),
                supports(setUps, plan, writer),
                tips(setUps, plan.footing()),
                plan.passes());
    }

    /** From first touch, after each pass. */
    static List<Length> totals(PassPlan plan) {
        return plan.passes().stream().map(PassPlan.Pass::total).toList();
    }

    /** After each pass, how much of the land that seals is clean in eight of ten cases. */
    static List<String> bands(CleanUp cleaning) {
        return cleaning.shares().stream().map(PlanViews::band).toList();
    }

    private static String band(CleanUp.Share share) {
        String least = percent(share.least());
        String most = percent(share.most());
        return least.equals(most) ? least : least.replace(" %", "") + " to " + most;
    }

    static PlanView.Spread spread(CleanDepth depth, LengthWriter writer) {
        return new PlanView.Spread(
                writer.number(depth.likely()),
                writer.number(depth.mostly()),
                writer.exact(Length.roundedFromMm(Math.ceil(depth.mostly() * THOUSANDTHS) / THOUSANDTHS)));
    }

    private static List<PlanView.Support> supports(Comparison setUps, CutPlan plan, LengthWriter writer) {
        Box box = setUps.layout().box();
        List<PlanView.Support> supports = new ArrayList<>();
        for (int j = 0; j < plan.shims().size(); j++) {
            Spot at = setUps.supports().get(j);
            Length shim = plan.shims().get(j);
            List<Length> stack = plan.footing().stock().stack(shim);
            supports.add(new PlanView.Support(
                    String.valueOf((char) ('A' + j)),
                    size(at.x() - box.x0(), writer),
                    size(at.y() - box.y0(), writer),
                    writer.number(shim)
                            + (stack.size() < 2
                                    ? ""
                                    : stack.stream()
                                            .map(writer::exact)
                                            .collect(Collectors.joining(" + ", " = ", "")))));
        }
        return supports;
    }

    /** To a tenth of a millimetre or a hundredth of an inch: nobody sets a jack nearer. */
    private static String size(double mm, LengthWriter writer) {
        double grain = writer.unit() == BenchUnit.MM ? 0.1 : 0.254;
        return writer.size(Length.roundedFromMm(Math.rint(mm / grain) * grain));
    }

    private static String tips(Comparison setUps, Supports footing) {
        Box box = setUps.layout().box();
        return footing.tips(new Spot((box.x0() + box.x1()) / 2, (box.y0() + box.y1()) / 2))
                ? "The middle of the casting lies outside of A, B and C: it tips unless something holds it. Move a support."
                : "";
    }

    private static PlanView.Card card(ComparedFace compared, Removal r, boolean here, LengthWriter writer, int key) {
        SetUp s = r.setUp();
        Removal.At most = Stream.concat(r.corners().stream(), r.bores().stream())
                .max(Comparator.comparingDouble(Removal.At::depth))
                .orElseThrow();
        String where = r.corners().contains(most) ? most.name() : "bore " + most.name();
        return new PlanView.Card(
                s.school().name(),
                Words.of(s.school().words(compared.crankLine())),
                key,
                writer.number(s.toClean()),
                String.join(
                        "  ",
                        shimWords(s.shims().stream().map(Length::roundedFromMm).toList(), writer)),
                "rounding " + writer.signed(s.costOfRounding()),
                (r.moreThanLeast() < 5e-7
                                ? "the least there is"
                                : writer.number(r.moreThanLeast()) + " more than the least")
                        + " · most off " + writer.number(most.depth()) + " at " + where,
                r.taperLeft()
                        .map(t -> t.none()
                                ? "leaves no taper"
                                : "leaves taper " + writer.signed(t.along()) + " along, " + writer.signed(t.across())
                                        + " across")
                        .orElse("taper not measured"),
                ProfileDrawing.of(compared.setUps().map(), s.onShims(), "p-" + key)
                        .height(110)
                        .span(compared.finding().limit().mm())
                        .cut(r.firstTouch() - s.toClean())
                        .edges()
                        .svg(),
                here);
    }

    /** {@code A 0.050}, {@code B 0.020}, ... */
    public static List<String> shimWords(List<Length> shims, LengthWriter writer) {
        List<String> words = new ArrayList<>();
        for (int j = 0; j < shims.size(); j++) {
            words.add((char) ('A' + j) + " " + writer.number(shims.get(j)));
        }
        return words;
    }

    private PlanView.Chosen chosen(
            Comparison setUps,
            Removal r,
            CutPlan plan,
            boolean kept,
            boolean stale,
            boolean crankLine,
            LengthWriter writer) {
        List<String> corners =
                r.corners().stream().map(a -> writer.number(a.depth())).toList();
        return new PlanView.Chosen(
                plan.school().name(),
                Words.of(plan.school().words(crankLine)),
                Words.of(plan.school().meaning()),
                writer.number(plan.toClean()),
                writer.number(plan.passes().total()),
                plan.atLeast().signum() == 0 ? "" : writer.exact(plan.atLeast()),
                passes(setUps, r, plan.passes(), writer, 0),
                writer.exact(plan.depths().skim()),
                writer.exact(plan.depths().deepest()),
                writer.exact(plan.depths().finish()),
                corners.subList(0, 2),
                r.bores().stream().map(a -> writer.number(a.depth())).toList(),
                corners.subList(2, 4),
                kept,
                stale,
                working(setUps, r.setUp(), plan, writer));
    }

    private static List<String> working(Comparison setUps, SetUp s, CutPlan plan, LengthWriter writer) {
        Plane p = s.plane();
        Box box = setUps.layout().box();
        List<String> lines = new ArrayList<>();
        lines.add("Plane: " + Words.of(s.school().meaning()) + "; it rises " + writer.full(p.a() * box.width())
                + " along the face and " + writer.full(p.b() * box.height()) + " across it");
        lines.add(
                "Depth = highest sealing place − lowest metal of the bands that seal, places and map, above that plane = "
                        + writer.full(s.depth()));
        for (int j = 0; j < s.shims().size(); j++) {
            Spot at = setUps.supports().get(j);
            lines.add((j < 3 ? "" : "Only brought up to touch: ") + "Shim " + (char) ('A' + j)
                    + " = −(a x + b y), shifted so that the least is 0, at "
                    + writer.size(Length.roundedFromMm(at.x())) + " from the front, "
                    + writer.size(Length.roundedFromMm(at.y())) + " from the lower edge: "
                    + writer.full(s.shims().get(j)) + stockWords(plan.footing().stock(), writer));
        }
        lines.add("On the rounded shims the depth is " + writer.full(s.depthWithShims()));
        if (s.firstTouch() > 5e-7) {
            lines.add("Metal of the map, out to the corners, stands " + writer.full(s.firstTouch())
                    + " higher and is touched first; that much comes on top");
        }
        lines.add("From first touch to clean " + writer.full(plan.toClean()) + "; the passes add up to "
                + writer.full(plan.passes().total()) + ", in steps of the dial");
        return lines;
    }

    private static String stockWords(ShimStock stock, LengthWriter writer) {
        return stock.inSteps()
                ? ", in steps of " + writer.full(stock.step()) + " (default stock)"
                : ", as near as up to " + ShimStock.MOST_IN_A_STACK + " of the shop's leaves make it";
    }

    /**
     * Pictures of what each pass is expected to touch.
     *
     * @param done how many of them are cut
     */
    public List<PlanView.Pass> passes(Comparison setUps, Removal r, PassPlan plan, LengthWriter writer, int done) {
        List<PlanView.Pass> passes = new ArrayList<>();
        for (PassPlan.Pass pass : plan.passes()) {
            int index = passes.size();
            String name = Words.of(plan.name(index));
            String percent = percent(setUps.sealedShare(r, pass.total()));
            passes.add(new PlanView.Pass(
                    name,
                    writer.number(pass.depth()),
                    writer.number(pass.total()),
                    percent,
                    FaceDrawing.of(
                                    setUps.layout(),
                                    "pass-" + index,
                                    "After " + name.toLowerCase(Locale.ROOT) + " " + percent
                                            + " of the land is expected clean")
                            .small()
                            .touched(r.heights(), r.downTo(pass.total())),
                    index < done ? "done" : index == done ? "now" : "waits"));
        }
        return passes;
    }

    /** Rounded down: 100 % is said only of all. */
    static String percent(double share) {
        return (int) Math.floor(100 * share + 1e-9) + " %";
    }

    private static String supportsDrawing(ComparedFace compared, CutPlan plan, LengthWriter writer) {
        Comparison setUps = compared.setUps();
        List<PlaceMark> marks = new ArrayList<>();
        List<String> words = shimWords(plan.shims(), writer);
        for (int j = 0; j < words.size(); j++) {
            marks.add(new PlaceMark(
                    "support-" + j,
                    setUps.supports().get(j),
                    PlaceMark.State.SUPPORT,
                    words.get(j),
                    "Support " + (char) ('A' + j)));
        }
        return FaceDrawing.of(setUps.layout(), "supports", "Where the shims go: " + String.join(", ", words))
                .shownAt(SHEET_PX)
                .map(
                        setUps.map(),
                        Bands.of(setUps.map().range(), compared.finding().colourReach(), writer.unit()))
                .places(marks)
                .svg();
    }
}
