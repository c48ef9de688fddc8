package homalon.app.cut;

import homalon.app.drawing.FaceDrawing;
import homalon.app.ledger.LedgerFile;
import homalon.app.part.Faces;
import homalon.app.part.PartFile;
import homalon.app.people.People;
import homalon.core.cut.Comparison;
import homalon.core.cut.PassPlan;
import homalon.core.cut.PassWatch;
import homalon.core.cut.Removal;
import homalon.core.cut.StopRule;
import homalon.core.cut.TouchCells;
import homalon.core.cut.Witness;
import homalon.core.ledger.CornerDepths;
import homalon.core.ledger.Ledger;
import homalon.core.part.Layout;
import homalon.core.part.PlaceNames;
import homalon.core.part.SealingBands;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.rulebook.RuleBook;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Writes the cutting log for the screen. */
@Component
public class CutViews {
    private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("d MMM HH:mm", java.util.Locale.ENGLISH);

    private final Faces faces;
    private final People people;
    private final PlanViews planViews;
    private final Paintings paintings;

    CutViews(Faces faces, People people, PlanViews planViews, Paintings paintings) {
        this.faces = faces;
        this.people = people;
        this.planViews = planViews;
        this.paintings = paintings;
    }

    /** @param clean who said that it is clean and stopped there */
    public CutView of(
            PartFile part,
            LedgerFile file,
            Optional<PlanFile> plan,
            Optional<Planner.Compared> compared,
            Optional<Paintings.Painting> painting,
            Optional<String> clean,
            LengthWriter writer) {
        UUID visit = part.visit().id();
        Ledger.Totals totals = file.ledger().totals(visit);
        List<LedgerFile.Line> passes = file.passes(visit);
        Optional<LedgerFile.Line> last =
                passes.isEmpty() ? Optional.empty() : Optional.of(passes.get(passes.size() - 1));
        Optional<Length> planned = plan.map(p -> p.plan().passes().total());
        Foretold foretold = foretold(part, file, plan, compared, painting, writer);
        return new CutView(
                foretold.picture(),
                foretold.passes(),
                writer.number(totals.thisJob()),
                planned.map(writer::number).orElse(""),
                foretold.share(),
                writer.number(totals.life()),
                lifeNote(totals, writer),
                totals.opening() == Ledger.Opening.NOT_ASKED,
                lines(part, file, writer),
                walk(plan, passes, totals.thisJob(), foretold.left(), writer),
                last.map(LedgerFile.Line::machine)
                        .orElse(plan.map(p -> p.tooling().machine()).orElse("")),
                last.map(LedgerFile.Line::cutter)
                        .orElse(plan.map(p -> p.tooling().cutter()).orElse("")),
                last.map(LedgerFile.Line::edge).orElse(""),
                headline(planned, totals, clean, foretold.left(), writer),
                foretold.watch(),
                corners(part, file.ledger().corners(visit), writer));
    }

    /** Empty while no pass was booked corner by corner. */
    private Optional<CutView.Corners> corners(PartFile part, Ledger.CornerTotals totals, LengthWriter writer) {
        if (!totals.told()) {
            return Optional.empty();
        }
        Layout layout = faces.layout(part.numbers());
        CornerDepths here = totals.thisJob();
        List<CutView.Corner> each = new ArrayList<>();
        for (int c = 0; c < 4; c++) {
            each.add(new CutView.Corner(
                    PlaceNames.corner(layout, layout.corners().get(c)),
                    writer.number(here.each().get(c)),
                    writer.number(totals.life().each().get(c))));
        }
        return Optional.of(
                new CutView.Corners(writer.number(here.least()) + " to " + writer.number(here.most()), each));
    }

    /**
     * The face as it is foretold after the passes logged.
     *
     * @param left depth still to cut by what was seen after the last pass, mm; empty while nothing was, or it says none
     */
    private record Foretold(
            FaceDrawing picture,
            List<PlanView.Pass> passes,
            String share,
            Optional<CutView.Watch> watch,
            OptionalDouble left) {}

    /** What a look says, and what it leaves to cut. */
    private record Seen(CutView.Watch watch, OptionalDouble left) {
        static Seen of(CutView.Watch watch) {
            return new Seen(watch, OptionalDouble.empty());
        }
    }

    private Foretold foretold(
            PartFile part,
            LedgerFile file,
            Optional<PlanFile> plan,
            Optional<Planner.Compared> compared,
            Optional<Paintings.Painting> painting,
            LengthWriter writer) {
        Length cut = file.ledger().totals(part.visit().id()).thisJob();
        int done = file.passes(part.visit().id()).size();
        Optional<Comparison> setUps = compared.map(Planner.Compared::setUps);
        Optional<Removal> removal =
                plan.flatMap(p -> setUps.flatMap(c -> c.with(p.plan().school())));
        if (removal.isEmpty()) {
            FaceDrawing bare = FaceDrawing.of(
                    faces.layout(part.numbers()), "face", "Face of " + part.tag() + ", front at the left");
            if (done == 0) {
                return new Foretold(bare, List.of(), "", Optional.empty(), OptionalDouble.empty());
            }
            Seen seen = witnessed(part, file, painting, bare, writer);
            return new Foretold(bare, List.of(), "", Optional.of(seen.watch()), seen.left());
        }
        String share = PlanViews.percent(setUps.get().sealedShare(removal.get(), cut));
        FaceDrawing picture = FaceDrawing.of(
                        setUps.get().layout(),
                        "face",
                        "Foretold after the passes logged: " + share + " of the land that seals is clean")
                .touched(removal.get().heights(), removal.get().downTo(cut));
        Optional<Seen> seen = done == 0
                ? Optional.empty()
                : Optional.of(watch(part, setUps.get(), removal.get(), painting, cut, picture, writer));
        return new Foretold(
                picture,
                planViews.passes(setUps.get(), removal.get(), plan.get().plan().passes(), writer, done),
                share,
                seen.map(Seen::watch),
                seen.map(Seen::left).orElse(OptionalDouble.empty()));
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
    private Seen witnessed(
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
        Witness witness =
                Witness.of(grid, faces.layout(part.numbers()).box(), paintings.looks(part, file, grid), grid.sealing());
        return bounded(witness, share, writer);
    }

    private static Seen bounded(Witness witness, String share, LengthWriter writer) {
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
    private Seen watch(
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
        String shares = PlanViews.percent(seen.seen()) + " seen, " + PlanViews.percent(seen.foretold()) + " foretold. ";
        if (seen.seen() >= 1) {
            return Seen.of(allTouched(shares));
        }
        StopRule rule = StopRule.of(grid, painting.get().cells());
        if (rule.state() == StopRule.State.MAY_STAY && share.isEmpty()) {
            return Seen.of(mayStay(part, paintings.left(part, painting.get()), rule, shares, writer));
        }
        OptionalDouble toGo = OptionalDouble.of(seen.left());
        String left = "By what was seen " + writer.full(seen.left()) + " is left to clean it; by the dial "
                + writer.full(seen.foretoldLeft()) + ".";
        if (!seen.lags()) {
            return new Seen(new CutView.Watch(true, "within", "As foretold", shares + left, List.of(), false), toGo);
        }
        return new Seen(
                new CutView.Watch(
                        true,
                        "out",
                        "It lags behind",
                        shares + left + " Likely, in this order:",
                        seen.reasons().stream().map(PassWatch.Reason::words).toList(),
                        false),
                toGo);
    }

    /** Clean where the gasket seals: what is left is the machinist's to answer for. */
    private CutView.Watch mayStay(
            PartFile part, Optional<Paintings.Left> left, StopRule rule, String shares, LengthWriter writer) {
        SealingBands bands = part.bands();
        String where = shares + "What is left, " + Math.max(1, Math.round(100 * rule.share()))
                + " % of the land, lies off the bands in which a gasket seals ("
                + writer.size(bands.ring()) + " around a bore, "
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

    /** What is left by the plan and by what was seen are one figure while they are no further apart, mm. */
    private static final double ONE_FIGURE = 0.002;

    private static CutView.Headline headline(
            Optional<Length> planned,
            Ledger.Totals totals,
            Optional<String> clean,
            OptionalDouble seen,
            LengthWriter writer) {
        if (clean.isPresent()) {
            Length spared = planned.orElse(Length.ZERO).minus(totals.thisJob());
            return new CutView.Headline(
                    "within",
                    "Clean at " + writer.number(totals.thisJob()),
                    clean.get() + " stopped here"
                            + (spared.signum() > 0 ? "; " + writer.full(spared) + " of the plan stay on" : "")
                            + ". Read the face again before it leaves: a cut is not proven until measured.");
        }
        if (planned.isEmpty() && seen.isPresent()) {
            return new CutView.Headline(
                    "open",
                    "At least " + writer.number(seen.getAsDouble()) + " to go",
                    "By what was touched at which depth. Say what the next pass touches, and when it is clean.");
        }
        if (planned.isEmpty()) {
            return new CutView.Headline(
                    "open",
                    "No plan",
                    "Log the passes all the same, and say when it is clean; a plan says how deep and how many.");
        }
        Length left = planned.get().minus(totals.thisJob());
        if (seen.isPresent() && seen.getAsDouble() > Math.max(0, left.mm()) + ONE_FIGURE) {
            return new CutView.Headline(
                    "open",
                    writer.number(seen.getAsDouble()) + " to go by what was seen",
                    "By the plan it were " + writer.number(left.signum() > 0 ? left : Length.ZERO) + ".");
        }
        if (left.signum() > 0) {
            return new CutView.Headline(
                    "open",
                    writer.number(left) + " to go",
                    writer.number(totals.thisJob()) + " of " + writer.number(planned.get()) + " cut.");
        }
        if (left.signum() == 0) {
            return new CutView.Headline(
                    "within",
                    "Cut as planned",
                    "Read the face again before it leaves: a cut is not proven until measured.");
        }
        return new CutView.Headline(
                "out",
                writer.number(left.abs()) + " past the plan",
                "More was cut than planned. Check the life total, then read the face again.");
    }

    /** The life total in words, with how sure it is. */
    public static String lifeNote(Ledger.Totals totals, LengthWriter writer) {
        return switch (totals.opening()) {
            case KNOWN -> "of which " + writer.number(totals.before()) + " before we knew it, from its record";
            case ESTIMATED -> "of which " + writer.number(totals.before()) + " before we knew it, an estimate";
            case UNKNOWN -> "at least: nobody knows what was taken off before";
            case NOT_ASKED -> "at least: what was taken off before was not asked yet";
        };
    }

    private List<CutView.Line> lines(PartFile part, LedgerFile file, LengthWriter writer) {
        Map<UUID, String> names = people.names();
        List<CutView.Line> lines = new ArrayList<>();
        Length running = Length.ZERO;
        int number = 0;
        for (LedgerFile.Line l : file.lines()) {
            boolean here = l.visit().equals(part.visit().id());
            boolean pass = l.kind().equals("PASS");
            String what = switch (l.kind()) {
                case "PASS" -> here ? "Pass " + ++number : "Earlier visit";
                case "REVERSAL" -> "Takes a line back";
                case "OPENING_KNOWN" -> "Before us, known";
                case "OPENING_ESTIMATED" -> "Before us, estimated";
                default -> "Before us, unknown";
            };
            running = l.stands() ? running.plus(l.depth()) : running;
            String notes = String.join(
                    " · ",
                    java.util.stream.Stream.of(
                                    l.machine(), l.cutter(), l.edge().isEmpty() ? "" : "edge " + l.edge(), l.note())
                            .filter(s -> !s.isEmpty())
                            .toList());
            lines.add(new CutView.Line(
                    l.id(),
                    what,
                    pass || l.depth().signum() > 0 ? writer.number(l.depth()) : "—",
                    writer.number(running),
                    names.getOrDefault(l.by(), ""),
                    WHEN.format(l.at().atZone(ZoneId.systemDefault())),
                    notes,
                    l.kind().equals("REVERSAL") ? "reversal" : l.stands() ? "stands" : "taken-back",
                    l.stands() && part.visit().releasedAt().isEmpty()));
        }
        return lines;
    }

    private static Optional<Length> upToStep(OptionalDouble left, LengthWriter writer) {
        if (left.isEmpty() || left.getAsDouble() <= 0) {
            return Optional.empty();
        }
        long step = RuleBook.dialStep(writer.unit()).nanometres();
        long wanted = Length.roundedFromMm(left.getAsDouble()).nanometres();
        return Optional.of(Length.ofNanometres(-Math.floorDiv(-wanted, step) * step));
    }

    private static List<CutView.Walk> walk(
            Optional<PlanFile> plan,
            List<LedgerFile.Line> passes,
            Length off,
            OptionalDouble seen,
            LengthWriter writer) {
        List<CutView.Walk> walk = new ArrayList<>();
        PassPlan planned = plan.map(p -> p.plan().passes()).orElse(new PassPlan(List.of()));
        int size = planned.passes().size();
        // Once the plan is through, what was seen says what is left.
        Optional<Length> next =
                planned.next(off, writer.unit()).or(() -> plan.isPresent() ? upToStep(seen, writer) : Optional.empty());
        for (int i = 0; i < Math.max(size, passes.size() + 1); i++) {
            boolean done = i < passes.size();
            Optional<Length> proposed = i == passes.size()
                    ? next
                    : i < size ? Optional.of(planned.passes().get(i).depth()) : Optional.empty();
            walk.add(new CutView.Walk(
                    i,
                    i < size ? planned.name(i) : "Pass " + (i + 1),
                    done ? "read" : "open",
                    done ? writer.number(passes.get(i).depth()) : "",
                    proposed.map(writer::number).orElse(""),
                    proposed.map(writer::number).orElse("")));
        }
        return walk;
    }
}
