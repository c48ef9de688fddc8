package homalon.app.machining.cut;

import homalon.app.casting.sheets.Sheets;
import homalon.app.foundation.words.Words;
import homalon.app.shop.tools.Toolbox;
import homalon.core.cut.Cutter;
import homalon.core.cut.Feeds;
import homalon.core.cut.Finish;
import homalon.core.cut.Machine;
import homalon.core.cut.PassPlan;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.quantity.Quantity;
import homalon.core.rulebook.GasketKind;
import homalon.core.rulebook.RuleBook;
import homalon.core.visit.PartFile;
import homalon.core.visit.Sheet;
import homalon.core.visit.Tooling;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Writes how a plan is cut: speed, feed, finish, time and power. */
@Component
@RequiredArgsConstructor
class FeedsViews {
    private static final double LEAST_RA = 0.05;
    private static final double MOST_RA = 12.5;

    private final Toolbox toolbox;
    private final Sheets sheets;

    /** Iron or steel lies in the face: somebody said so, or liners were measured in it on this visit. */
    boolean steelInFace(PartFile part, Tooling tooling) {
        return tooling.steelInFace() || !sheets.of(part, Sheet.LINERS).setup().isEmpty();
    }

    /**
     * Ready to be shown.
     *
     * @param machines names to choose from
     * @param cutters names to choose from
     * @param ra wanted, as it was keyed or from the gasket
     * @param rows figure and what it is, empty without a machine and a cutter
     * @param refused why it must not be cut so; empty when it may
     */
    record View(
            List<String> machines,
            List<String> cutters,
            GasketKind[] gaskets,
            String gasket,
            String ra,
            String raUnit,
            Tooling tooling,
            List<Row> rows,
            String refused,
            List<String> notes) {}

    /** One figure. */
    record Row(String name, String value, String note) {}

    /** What was chosen on the page. */
    record Asked(Tooling tooling, GasketKind gasket, String ra) {}

    View of(PartFile part, Asked asked, PassPlan passes, LengthWriter writer) {
        List<Machine> machines = toolbox.machines();
        List<Cutter> cutters = toolbox.cutters();
        Optional<Machine> machine = toolbox.machine(asked.tooling().machine());
        Optional<Cutter> cutter = toolbox.cutter(asked.tooling().cutter());
        double ra = asked.ra().isBlank() ? asked.gasket().wantedRa(part.material()) : ra(asked.ra(), writer.unit());
        boolean steel = steelInFace(part, asked.tooling());
        List<Row> rows = new ArrayList<>();
        List<String> notes = new ArrayList<>(flatnessNote(part, asked.gasket(), writer));
        if (steel) {
            notes.add("Steel lies in the cut: no pass is deeper than "
                    + writer.full(RuleBook.passThroughSteel(writer.unit())) + ", a general default.");
        }
        Optional<String> refused = cutter.flatMap(c -> Words.of(Feeds.refused(c.insert(), part.material(), steel)));
        if (machine.isPresent() && cutter.isPresent() && refused.isEmpty()) {
            Feeds feeds = Feeds.of(machine.get(), cutter.get(), cut(part, steel, passes, ra, writer));
            rows.addAll(rows(feeds, passes.passes().size(), writer));
            notes.addAll(Words.of(feeds.notes()));
        }
        return new View(
                machines.stream().map(Machine::name).toList(),
                cutters.stream().map(Cutter::name).toList(),
                GasketKind.values(),
                asked.gasket().name(),
                Quantity.ROUGHNESS.aboutNumber(ra, writer.unit()),
                Quantity.ROUGHNESS.unit(writer.unit()),
                asked.tooling(),
                rows,
                refused.orElse(""),
                notes);
    }

    private static Feeds.Cut cut(PartFile part, boolean steel, PassPlan passes, double ra, LengthWriter writer) {
        Length deepest = passes.passes().stream()
                .map(PassPlan.Pass::depth)
                .max(Length::compareTo)
                .orElse(RuleBook.pass(writer.unit()));
        return new Feeds.Cut(
                part.material(),
                steel,
                part.numbers().length().mm(),
                part.numbers().width().mm(),
                deepest.mm(),
                ra);
    }

    private static List<String> flatnessNote(PartFile part, GasketKind gasket, LengthWriter writer) {
        Length limit = RuleBook.overall(part.limits());
        return part.rules()
                .faces()
                .of(gasket)
                .filter(f -> f.compareTo(limit) < 0)
                .map(f -> List.of("A " + Words.of(gasket.words()) + " gasket usually wants " + writer.full(f)
                        + " over the face; the limit in force is " + writer.full(limit) + "."))
                .orElse(List.of());
    }

    private static List<Row> rows(Feeds f, int passes, LengthWriter writer) {
        Finish finish = f.finish();
        double minutes = finish.minutes().orElse(0);
        String all = passes > 1 ? ", " + decimals(minutes * passes, 0) + " in " + passes : "";
        BenchUnit unit = writer.unit();
        String feed = Quantity.FEED.unit(unit) + ", " + Quantity.FEED_A_TURN.full(finish.feedPerRev(), unit);
        String rt = Quantity.ROUGHNESS.unit(unit) + ", one insert cutting; Rt "
                + Quantity.ROUGHNESS.number(finish.rt(), unit);
        String deepest = "of the spindle in the deepest pass; 70 % at " + writer.full(f.deepest());
        return List.of(
                new Row("Spindle", decimals(finish.rpm().orElse(0), 0), "rpm, usual speed of the insert (default)"),
                new Row("Table, finish", Quantity.FEED.number(finish.tableFeed().orElse(0), unit), feed),
                new Row("Ra, theory", Quantity.ROUGHNESS.number(finish.ra(), unit), rt),
                new Row("Minutes", decimals(minutes, 1), "a pass" + all),
                new Row("Power", decimals(100 * f.share(), 0) + " %", deepest));
    }

    /** @throws BadInputException when it must not be cut so */
    void check(PartFile part, Tooling tooling) {
        toolbox.cutter(tooling.cutter())
                .flatMap(c -> Words.of(Feeds.refused(c.insert(), part.material(), steelInFace(part, tooling))))
                .ifPresent(why -> {
                    throw new BadInputException("cutter", Message.plain(why));
                });
    }

    private static double ra(String typed, BenchUnit unit) {
        OptionalDouble ra = Quantity.ROUGHNESS.read(typed, unit);
        if (ra.isPresent() && ra.getAsDouble() >= LEAST_RA && ra.getAsDouble() <= MOST_RA) {
            return ra.getAsDouble();
        }
        throw new BadInputException("ra", "app.cut.ra-key-the-wanted-roughness-in");
    }

    private static String decimals(double value, int digits) {
        return String.format(Locale.ROOT, "%." + digits + "f", value);
    }
}
