package homalon.app.machining.cut;

import homalon.app.casting.part.Faces;
import homalon.app.foundation.drawing.FaceDrawing;
import homalon.app.foundation.people.People;
import homalon.app.foundation.words.Words;
import homalon.core.cut.Comparison;
import homalon.core.cut.PassWatch;
import homalon.core.cut.Removal;
import homalon.core.cut.StopRule;
import homalon.core.cut.TouchCells;
import homalon.core.cut.TouchComparison;
import homalon.core.part.SealingBands;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.rulebook.RuleBook;
import homalon.core.visit.LedgerFile;
import homalon.core.visit.PartFile;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Says how what a pass was seen to touch compares with what was expected, or bounds what is left where nothing was. */
@Component
@RequiredArgsConstructor
class PassWatcher {
    private final Faces faces;
    private final People people;
    private final Paintings paintings;

    /** What is left by the plan and by what was seen are one figure while they are no further apart, mm. */
    static final double ONE_FIGURE = 0.002;

    /** What a look says, and what it leaves to cut. */
    record Seen(CutView.Watch watch, OptionalDouble left) {
        static Seen of(CutView.Watch watch) {
            return new Seen(watch, OptionalDouble.empty());
        }
    }

    private static final CutView.Watch NOT_SAID = new CutView.Watch(
            false,
            "open",
            "What did it touch?",
            "Say it by a key, or paint the bare metal on the drawing, after each pass: then the depth left comes from what "
                    + "was seen, not from the dial.",
            List.of(),
            false);

    /** Without a map and a plan: what was touched at which depth bounds what is left. */
    Seen witnessed(
            PartFile part,
            LedgerFile file,
            Optional<Paintings.Painting> painting,
            FaceDrawing picture,
            LengthWriter writer) {
        TouchCells grid = TouchCells.of(faces.land(part));
        picture.cells(grid.cells(), painting.map(Paintings.Painting::cells).orElse(new BitSet()), new BitSet());
        if (painting.isEmpty()) {
            return Seen.of(NOT_SAID);
        }
        if (painting.get().touched().share().isPresent()) {
            return Seen.of(new CutView.Watch(
                    true,
                    "open",
                    "Some of it is left",
                    PlanViews.percent(painting.get().touched().share().getAsDouble())
                            + " touched. Say by bores and ends where, and the depth left is bounded.",
                    List.of(),
                    false));
        }
        BitSet cells = painting.get().cells();
        String share = PlanViews.percent(grid.share(cells)) + " seen. ";
        StopRule rule = StopRule.of(grid, cells);
        if (rule.state() == StopRule.State.CLEAN) {
            return Seen.of(allTouched(share));
        }
        if (rule.state() == StopRule.State.MAY_STAY) {
            return Seen.of(mayStay(part, paintings.left(part, painting.get()), rule, share, writer));
        }
        TouchComparison witness = TouchComparison.of(
                grid, faces.layout(part.numbers()).box(), paintings.looks(part, file, grid), grid.sealing());
        return bounded(witness, share, writer);
    }

    private static Seen bounded(TouchComparison witness, String share, LengthWriter writer) {
        if (!witness.explained()) {
            return Seen.of(new CutView.Watch(
                    true,
                    "out",
                    "No even bow or twist shows that",
                    share
                            + "A dip, a step, or it moved in the clamps: look, read three places again, then cut on. How much "
                            + "is left cannot be said.",
                    List.of(),
                    false));
        }
        // Less than a dial's step more is one step more: what is not touched is not clean.
        double least =
                Math.max(witness.least(), RuleBook.dialStep(writer.unit()).mm());
        String words = witness.greatest().isEmpty()
                ? "At least " + writer.full(least) + " is left"
                : witness.greatest().getAsDouble() < least + ONE_FIGURE
                        ? "About " + writer.full(least) + " is left"
                        : "Between " + writer.full(least) + " and "
                                + writer.full(witness.greatest().getAsDouble()) + " are left";
        return new Seen(
                new CutView.Watch(
                        true,
                        "open",
                        words,
                        share
                                + "By what was touched at which depth, of a face with even bows and a twist; a dip goes deeper. "
                                + (witness.greatest().isPresent()
                                        ? ""
                                        : "Nothing seen says how much at most: another pass will."),
                        List.of(),
                        false),
                OptionalDouble.of(least));
    }

    private static CutView.Watch allTouched(String shares) {
        return new CutView.Watch(
                true, "within", "All of it is touched", shares + "A finish pass is what is left.", List.of(), false);
    }

    /** Lays the cells over the picture and says how what was seen compares. */
    Seen watch(
            PartFile part,
            Comparison setUps,
            Removal removal,
            Optional<Paintings.Painting> painting,
            Length cut,
            FaceDrawing picture,
            LengthWriter writer) {
        TouchCells grid = TouchCells.of(setUps.map().land());
        BitSet expected = grid.touchedAt(removal.heights(), removal.downTo(cut));
        picture.cells(grid.cells(), painting.map(Paintings.Painting::cells).orElse(new BitSet()), expected);
        if (painting.isEmpty()) {
            return Seen.of(NOT_SAID);
        }
        OptionalDouble share = painting.get().touched().share();
        PassWatch seen = share.isPresent()
                ? PassWatch.ofShare(setUps, removal, grid, cut, share.getAsDouble())
                : PassWatch.of(setUps, removal, grid, cut, painting.get().cells());
        String shares = PlanViews.percent(seen.seen()) + " seen, " + PlanViews.percent(seen.expected()) + " expected. ";
        if (seen.seen() >= 1) {
            return Seen.of(allTouched(shares));
        }
        StopRule rule = StopRule.of(grid, painting.get().cells());
        if (rule.state() == StopRule.State.MAY_STAY && share.isEmpty()) {
            return Seen.of(mayStay(part, paintings.left(part, painting.get()), rule, shares, writer));
        }
        OptionalDouble toGo = OptionalDouble.of(seen.left());
        String left = "By what was seen " + writer.full(seen.left()) + " is left to clean it; by the dial "
                + writer.full(seen.expectedLeft()) + ".";
        if (!seen.lags()) {
            return new Seen(new CutView.Watch(true, "within", "As expected", shares + left, List.of(), false), toGo);
        }
        return new Seen(
                new CutView.Watch(
                        true,
                        "out",
                        "It lags behind",
                        shares + left + " Likely, in this order:",
                        seen.reasons().stream().map(it -> Words.of(it.words())).toList(),
                        false),
                toGo);
    }

    /** Clean where the gasket seals: what is left is the machinist's to answer for. */
    private CutView.Watch mayStay(
            PartFile part, Optional<LeftUncut> left, StopRule rule, String shares, LengthWriter writer) {
        SealingBands bands = part.bands();
        String where = shares + "What is left, " + Math.max(1, Math.round(100 * rule.share()))
                + " % of the land, lies off the bands in which a gasket seals ("
                + (bands.inked().isPresent()
                        ? "within the line that was inked, "
                        : writer.size(bands.ring()) + " around a bore, ")
                + writer.size(bands.bead()) + " around a water hole: "
                + (part.visit().bands().isPresent() ? "as keyed with the plan" : "defaults; look at the gasket")
                + "). ";
        return left.map(l -> new CutView.Watch(
                        true,
                        "within",
                        "Left uncut, signed for",
                        where + people.names().getOrDefault(l.by(), "") + ": " + l.why(),
                        List.of(),
                        false))
                .orElse(new CutView.Watch(
                        true,
                        "within",
                        "Clean where it seals",
                        where + "Cut on, or sign for it and stop.",
                        List.of(),
                        true));
    }
}
