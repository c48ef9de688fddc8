package homalon.core.cut;

import homalon.core.cut.Finish.Run;
import homalon.core.cut.Finish.Spindle;
import homalon.core.part.Material;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * How a face is cut with a machine and a cutter: spindle speed from the insert's usual cutting speed, feed from the wanted
 * finish, both held to what the machine can do, and the power of the deepest pass, P = k_c d w F / 60e6 (kW; N/mm2, mm, mm,
 * mm/min; k_c for chips this thin 3500 on iron, 2200 on aluminium).
 *
 * @param finish of the last pass, as it will be after the machine's limits
 * @param wantedRa micrometres
 * @param power of the deepest pass at that feed, kW
 * @param share of the spindle's power, 0 to 1 and more
 * @param deepest that takes 70 % of the spindle, mm
 * @param refused why this must not be cut so; empty when it may
 * @param notes what the machine's limits changed, and what to take instead, in sentences
 */
public record Feeds(
        Finish finish,
        double wantedRa,
        double power,
        double share,
        double deepest,
        Optional<Message> refused,
        List<Message> notes) {
    /** Of the spindle's power: more and it slows in the cut. */
    public static final double MOST_SHARE = 0.7;

    private static final double ON_IRON = 3500;
    private static final double ON_ALUMINIUM = 2200;
    private static final double KW = 60e6;

    /**
     * What is to be cut.
     *
     * @param steelInFace iron liners, inserts or steel pre-chambers lie in the cut
     * @param length of the face, mm
     * @param width of it, mm
     * @param depth of the deepest pass, mm
     * @param wantedRa micrometres
     */
    public record Cut(
            Material metal, boolean steelInFace, double length, double width, double depth, double wantedRa) {}

    public static Feeds of(Machine machine, Cutter cutter, Cut cut) {
        List<Message> notes = new ArrayList<>();
        double wanted = 1000 * cutter.insert().speed(cut.metal()) / (Math.PI * cutter.diameter());
        double rpm = Math.max(machine.minRpm(), Math.min(machine.maxRpm(), wanted));
        notes.addAll(ofSpeed(machine, cutter, cut, wanted, rpm));
        Spindle spindle = new Spindle(
                OptionalDouble.of(cutter.diameter()),
                OptionalDouble.of(Math.PI * cutter.diameter() * rpm / 1000),
                OptionalDouble.of(machine.maxRpm()));
        Run run = new Run(OptionalDouble.of(cut.length()), cutter.diameter());
        Finish asked = Finish.ofRa(cutter.noseRadius(), cut.wantedRa(), spindle, run);
        double table = asked.tableFeed().orElseThrow();
        double held = Math.max(machine.minFeed(), Math.min(machine.maxFeed(), table));
        Finish finish = held == table ? asked : Finish.ofFeed(cutter.noseRadius(), held / rpm, spindle, run);
        notes.addAll(ofFeed(cut, finish, table, held));
        double perDepth = (cut.metal() == Material.CAST_IRON ? ON_IRON : ON_ALUMINIUM)
                * Math.min(cutter.diameter(), cut.width())
                * held
                / KW;
        double power = perDepth * cut.depth();
        double share = power / machine.power();
        double deepest = MOST_SHARE * machine.power() / perDepth;
        if (share > MOST_SHARE) {
            notes.add(Message.of("cut.the-deepest-pass-takes-of-the-spindle", Math.round(100 * share)));
        }
        if (cutter.insert() == Insert.CBN && cut.metal() == Material.ALUMINIUM) {
            notes.add(Message.of("cut.boron-nitride-is-for-iron-aluminium"));
        }
        return new Feeds(
                finish, cut.wantedRa(), power, share, deepest, refused(cutter.insert(), cut), List.copyOf(notes));
    }

    private static List<Message> ofSpeed(Machine machine, Cutter cutter, Cut cut, double wanted, double rpm) {
        List<Message> notes = new ArrayList<>();
        if (wanted > machine.maxRpm() * 1.02) {
            notes.add(Message.of(
                    "cut.the-spindles-fastest-is-below-the-usual",
                    cutter.insert().words(),
                    Math.round(Math.PI * cutter.diameter() * rpm / 1000),
                    Math.round(cutter.insert().speed(cut.metal()))));
        }
        if (wanted < machine.minRpm() * 0.98) {
            notes.add(Message.of(
                    "cut.the-spindles-slowest-is-above-the-usual",
                    cutter.insert().words()));
        }
        return notes;
    }

    private static List<Message> ofFeed(Cut cut, Finish finish, double table, double held) {
        List<Message> notes = new ArrayList<>();
        if (held < table) {
            notes.add(Message.of("cut.the-tables-fastest-is-slower-than-this"));
        }
        if (held > table) {
            notes.add(Message.of(
                    "cut.the-table-cannot-go-slow-enough-ra", oneDigit(finish.ra()), oneDigit(cut.wantedRa())));
        }
        if (!finish.holds()) {
            notes.add(Message.of("cut.the-feed-is-large-against-the-nose"));
        }
        return notes;
    }

    private static Optional<Message> refused(Insert insert, Cut cut) {
        return refused(insert, cut.metal(), cut.steelInFace());
    }

    /** Why an insert must not touch a face; empty when it may. */
    public static Optional<Message> refused(Insert insert, Material metal, boolean steelInFace) {
        if (insert != Insert.PCD) {
            return Optional.empty();
        }
        if (metal == Material.CAST_IRON) {
            return Optional.of(Message.of("cut.diamond-must-not-cut-iron-hot-iron"));
        }
        if (steelInFace) {
            return Optional.of(Message.of("cut.diamond-must-not-cut-a-face-with-iron"));
        }
        return Optional.empty();
    }

    private static String oneDigit(double value) {
        return String.format(Locale.ROOT, "%.1f", value);
    }
}
