package homalon.app.machining.cut;

import homalon.app.casting.part.Faces;
import homalon.app.foundation.drawing.FaceDrawing;
import homalon.app.foundation.people.People;
import homalon.app.foundation.time.WrittenDay;
import homalon.app.foundation.words.Words;
import homalon.core.cut.Comparison;
import homalon.core.cut.PassPlan;
import homalon.core.cut.Removal;
import homalon.core.ledger.CornerDepths;
import homalon.core.ledger.Entry;
import homalon.core.ledger.Ledger;
import homalon.core.part.Layout;
import homalon.core.part.PlaceNames;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.rulebook.RuleBook;
import homalon.core.visit.ComparedFace;
import homalon.core.visit.LedgerFile;
import homalon.core.visit.PartFile;
import homalon.core.visit.PlanFile;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Writes the cutting log for the screen. */
@Component
@RequiredArgsConstructor
public class CutViews {
    private final Faces faces;
    private final People people;
    private final PlanViews planViews;
    private final PassWatcher watching;

    /** @param clean who said that it is clean and stopped there */
    public CutView of(
            PartFile part,
            LedgerFile file,
            Optional<PlanFile> plan,
            Optional<ComparedFace> compared,
            Optional<Paintings.Painting> painting,
            Optional<String> clean,
            LengthWriter writer) {
        UUID visit = part.visit().id();
        Ledger.Totals totals = file.ledger().totals(visit);
        List<LedgerFile.Line> passes = file.passes(visit);
        Optional<LedgerFile.Line> last =
                passes.isEmpty() ? Optional.empty() : Optional.of(passes.get(passes.size() - 1));
        Optional<Length> planned = plan.map(p -> p.plan().passes().total());
        Expected expected = expected(part, file, plan, compared, painting, writer);
        return new CutView(
                expected.picture(),
                expected.passes(),
                writer.number(totals.thisJob()),
                planned.map(writer::number).orElse(""),
                expected.share(),
                writer.number(totals.life()),
                lifeNote(totals, writer),
                totals.opening() == Ledger.Opening.NOT_ASKED,
                lines(part, file, writer),
                walk(plan, passes, totals.thisJob(), expected.left(), writer),
                last.map(LedgerFile.Line::machine)
                        .orElse(plan.map(p -> p.tooling().machine()).orElse("")),
                last.map(LedgerFile.Line::cutter)
                        .orElse(plan.map(p -> p.tooling().cutter()).orElse("")),
                last.map(LedgerFile.Line::edge).orElse(""),
                headline(planned, totals, clean, expected.left(), writer),
                expected.watch(),
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
     * The face as it is expected after the passes logged.
     *
     * @param left depth still to cut by what was seen after the last pass, mm; empty while nothing was, or it says none
     */
    private record Expected(
            FaceDrawing picture,
            List<PlanView.Pass> passes,
            String share,
            Optional<CutView.Watch> watch,
            OptionalDouble left) {}

    private Expected expected(
            PartFile part,
            LedgerFile file,
            Optional<PlanFile> plan,
            Optional<ComparedFace> compared,
            Optional<Paintings.Painting> painting,
            LengthWriter writer) {
        Length cut = file.ledger().totals(part.visit().id()).thisJob();
        int done = file.passes(part.visit().id()).size();
        Optional<Comparison> setUps = compared.map(ComparedFace::setUps);
        Optional<Removal> removal =
                plan.flatMap(p -> setUps.flatMap(c -> c.with(p.plan().school())));
        if (removal.isEmpty()) {
            FaceDrawing bare = FaceDrawing.of(
                    faces.layout(part.numbers()), "face", "Face of " + part.tag() + ", front at the left");
            if (done == 0) {
                return new Expected(bare, List.of(), "", Optional.empty(), OptionalDouble.empty());
            }
            PassWatcher.Seen seen = watching.witnessed(part, file, painting, bare, writer);
            return new Expected(bare, List.of(), "", Optional.of(seen.watch()), seen.left());
        }
        String share = PlanViews.percent(setUps.get().sealedShare(removal.get(), cut));
        FaceDrawing picture = FaceDrawing.of(
                        setUps.get().layout(),
                        "face",
                        "Expected after the passes logged: " + share + " of the land that seals is clean")
                .touched(removal.get().heights(), removal.get().downTo(cut));
        Optional<PassWatcher.Seen> seen = done == 0
                ? Optional.empty()
                : Optional.of(watching.watch(part, setUps.get(), removal.get(), painting, cut, picture, writer));
        return new Expected(
                picture,
                planViews.passes(setUps.get(), removal.get(), plan.get().plan().passes(), writer, done),
                share,
                seen.map(PassWatcher.Seen::watch),
                seen.map(PassWatcher.Seen::left).orElse(OptionalDouble.empty()));
    }

    private static CutView.Headline headline(
            Optional<Length> planned,
            Ledger.Totals totals,
            Optional<String> clean,
            OptionalDouble seen,
            LengthWriter writer) {
        if (clean.isPresent()) {
            return stoppedClean(planned, totals, clean.get(), writer);
        }
        if (planned.isEmpty()) {
            return seen.isPresent()
                    ? new CutView.Headline(
                            "open",
                            "At least " + writer.full(seen.getAsDouble()) + " to go",
                            "By what was touched at which depth. Say what the next pass touches, and when it is clean.")
                    : new CutView.Headline(
                            "open",
                            "No plan",
                            "Log the passes anyway, and say when it is clean; a plan says how deep and how many.");
        }
        Length left = planned.get().minus(totals.thisJob());
        if (seen.isPresent() && seen.getAsDouble() > Math.max(0, left.mm()) + PassWatcher.ONE_FIGURE) {
            return new CutView.Headline(
                    "open",
                    writer.full(seen.getAsDouble()) + " to go by what was seen",
                    "By the plan it would be " + writer.full(left.signum() > 0 ? left : Length.ZERO) + ".");
        }
        String cut = writer.number(totals.thisJob()) + " of " + writer.full(planned.get()) + " cut.";
        return switch (left.signum()) {
            case 1 -> new CutView.Headline("open", writer.full(left) + " to go", cut);
            case 0 ->
                new CutView.Headline(
                        "within",
                        "Cut as planned",
                        "Read the face again before it leaves: a cut is not proven until measured.");
            default ->
                new CutView.Headline(
                        "out",
                        writer.full(left.abs()) + " past the plan",
                        "More was cut than planned. Check the life total, then read the face again.");
        };
    }

    private static CutView.Headline stoppedClean(
            Optional<Length> planned, Ledger.Totals totals, String clean, LengthWriter writer) {
        Length spared = planned.orElse(Length.ZERO).minus(totals.thisJob());
        String stays = spared.signum() > 0 ? "; " + writer.full(spared) + " of the plan stay on" : "";
        return new CutView.Headline(
                "within",
                "Clean at " + writer.full(totals.thisJob()),
                clean + " stopped here" + stays
                        + ". Read the face again before it leaves: a cut is not proven until measured.");
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
            boolean pass = l.kind() == Entry.Kind.PASS;
            String what = switch (l.kind()) {
                case PASS -> here ? "Pass " + ++number : "Earlier visit";
                case REVERSAL -> "Takes a line back";
                case OPENING_KNOWN -> "Before us, known";
                case OPENING_ESTIMATED -> "Before us, estimated";
                case OPENING_UNKNOWN -> "Before us, unknown";
            };
            running = l.stands() ? running.plus(l.depth()) : running;
            String notes = String.join(
                    " · ",
                    Stream.of(l.machine(), l.cutter(), l.edge().isEmpty() ? "" : "edge " + l.edge(), l.note())
                            .filter(s -> !s.isEmpty())
                            .toList());
            lines.add(new CutView.Line(
                    l.id(),
                    what,
                    pass || l.depth().signum() > 0 ? writer.number(l.depth()) : "—",
                    writer.number(running),
                    names.getOrDefault(l.by(), ""),
                    WrittenDay.moment(l.at(), writer.days()),
                    notes,
                    l.kind() == Entry.Kind.REVERSAL ? "reversal" : l.stands() ? "stands" : "taken-back",
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
            Optional<Length> own =
                    i < size ? Optional.of(planned.passes().get(i).depth()) : Optional.empty();
            String proposed =
                    (i == passes.size() ? next : own).map(writer::number).orElse("");
            String name = i < size ? Words.of(planned.name(i)) : "Pass " + (i + 1);
            boolean done = i < passes.size();
            String value = done ? writer.number(passes.get(i).depth()) : "";
            walk.add(new CutView.Walk(i, name, done ? "read" : "open", value, proposed, proposed));
        }
        return walk;
    }
}
