package homalon.app.cut;

import homalon.app.drawing.FaceDrawing;
import homalon.app.ledger.LedgerFile;
import homalon.app.part.Faces;
import homalon.app.part.PartFile;
import homalon.app.people.People;
import homalon.core.cut.PassPlan;
import homalon.core.cut.SetUp;
import homalon.core.geometry.Raster;
import homalon.core.ledger.Ledger;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Writes the cutting log for the screen. */
@Component
class CutViews {
    private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("d MMM HH:mm", java.util.Locale.ENGLISH);

    private final Faces faces;
    private final People people;
    private final PlanViews planViews;

    CutViews(Faces faces, People people, PlanViews planViews) {
        this.faces = faces;
        this.people = people;
        this.planViews = planViews;
    }

    CutView of(
            PartFile part,
            LedgerFile file,
            Optional<PlanFile> plan,
            Optional<Planner.Compared> compared,
            BenchUnit unit) {
        LengthWriter writer = new LengthWriter(unit);
        UUID visit = part.visit().id();
        Ledger.Totals totals = file.ledger().totals(visit);
        List<LedgerFile.Line> passes = file.passes(visit);
        Optional<SetUp> setup = plan.flatMap(p -> compared.flatMap(c -> c.with(p.school())));
        List<PlanView.Pass> pictures = List.of();
        String drawing;
        String share = "";
        if (setup.isPresent()) {
            Planner.Compared c = compared.orElseThrow();
            pictures = planViews.passes(part, c, setup.get(), plan.get().passes(), writer, passes.size());
            Raster heights = c.heights(setup.get());
            double downTo = c.highest(setup.get()) - totals.thisJob().mm();
            int percent = totals.thisJob().signum() == 0
                    ? 0
                    : (int) Math.floor(100 * c.map().share(heights, downTo) + 1e-9);
            share = percent + " %";
            drawing = FaceDrawing.of(
                            c.layout(),
                            "face",
                            "Foretold after the passes logged: " + percent + " percent of the land clean")
                    .touched(heights, totals.thisJob().signum() == 0 ? downTo + 1e-6 : downTo)
                    .svg();
        } else {
            drawing = FaceDrawing.of(
                            faces.layout(part.numbers()), "face", "Face of " + part.tag() + ", front at the left")
                    .svg();
        }
        Optional<LedgerFile.Line> last =
                passes.isEmpty() ? Optional.empty() : Optional.of(passes.get(passes.size() - 1));
        Length planned = plan.map(p -> p.passes().total()).orElse(Length.ZERO);
        String[] head = headline(plan, totals, planned, writer);
        return new CutView(
                drawing,
                pictures,
                writer.number(totals.thisJob()),
                plan.isPresent() ? writer.number(planned) : "",
                plan.isPresent() ? writer.number(planned.minus(totals.thisJob())) : "",
                share,
                writer.number(totals.life()),
                lifeNote(totals, writer),
                totals.opening() == Ledger.Opening.NOT_ASKED,
                lines(part, file, writer),
                walk(plan, passes, writer),
                last.map(LedgerFile.Line::machine).orElse("surfacer"),
                last.map(LedgerFile.Line::cutter).orElse(""),
                last.map(LedgerFile.Line::edge).orElse(""),
                head[0],
                head[1],
                head[2]);
    }

    private static String[] headline(
            Optional<PlanFile> plan, Ledger.Totals totals, Length planned, LengthWriter writer) {
        if (plan.isEmpty()) {
            return new String[] {
                "open", "No plan", "Passes can be logged all the same; a plan says how deep and how many."
            };
        }
        Length left = planned.minus(totals.thisJob());
        if (left.signum() > 0) {
            return new String[] {
                "open",
                writer.number(left) + " to go",
                writer.number(totals.thisJob()) + " of " + writer.number(planned) + " cut."
            };
        }
        if (left.signum() == 0) {
            return new String[] {
                "within", "Cut as planned", "Read the face again before it leaves: a cut is not proven until measured."
            };
        }
        return new String[] {
            "out",
            writer.number(left.abs()) + " past the plan",
            "More was cut than planned. Check the life total, then read the face again."
        };
    }

    /** The life total in words, with how sure it is. */
    static String lifeNote(Ledger.Totals totals, LengthWriter writer) {
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

    private static List<CutView.Walk> walk(Optional<PlanFile> plan, List<LedgerFile.Line> passes, LengthWriter writer) {
        List<CutView.Walk> walk = new ArrayList<>();
        List<PassPlan.Pass> planned = plan.map(p -> p.passes().passes()).orElse(List.of());
        int all = Math.max(planned.size(), passes.size() + 1);
        int count = 0;
        for (int i = 0; i < all; i++) {
            boolean done = i < passes.size();
            String name = "Pass beyond the plan";
            String depth = "";
            if (i < planned.size()) {
                PassPlan.Kind kind = planned.get(i).kind();
                name = kind == PassPlan.Kind.PASS ? "Pass " + ++count : kind.words();
                depth = writer.exact(planned.get(i).depth());
            }
            if (i < planned.size() || done || i == passes.size()) {
                walk.add(new CutView.Walk(
                        i,
                        name,
                        done ? "read" : "open",
                        done ? writer.number(passes.get(i).depth()) : "",
                        depth));
            }
        }
        return walk;
    }
}
