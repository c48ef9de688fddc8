package homalon.core.chambers;

import homalon.core.verdict.Working;
import homalon.core.words.Message;
import java.util.Locale;

/**
 * The compression ratio of one cylinder with its spread.
 *
 * @param cylinder as it is worked out, after the cut
 * @param ratio (swept + clearance) / clearance
 * @param spread one standard deviation, by first-order propagation
 * @param chamberSpread of the chamber's volume after the cut, cm3
 */
public record Compression(Cylinder cylinder, double ratio, double spread, double chamberSpread) {

    /**
     * What comes off.
     *
     * @param head mean depth over the chamber's rim, mm
     * @param block mm
     * @param opening of the chamber at the face, mm2
     * @param blockOpening mm2; the bore's circle unless the valves stand in the block
     * @param since what came off the chamber's rim between its filling and now, mm: worked out in the cylinder already, but what the
     *     opening leaves open of it is not
     */
    public record Cut(double head, double block, double opening, double blockOpening, double since) {
        public static final Cut NONE = new Cut(0, 0, 0, 0);

        /** Of a chamber that was filled as it is now. */
        public Cut(double head, double block, double opening, double blockOpening) {
            this(head, block, opening, blockOpening, 0);
        }

        /** What the chamber's volume leaves open after it, cm3. */
        double chamberOpen(Doubts doubts) {
            double off = since + head;
            return root(doubts.chamberCc(), off * doubts.area() / 1000, off == 0 ? 0 : opening * doubts.cut() / 1000);
        }

        double headCc() {
            return head * opening / 1000;
        }

        double blockCc() {
            return block * blockOpening / 1000;
        }
    }

    /** As it is. */
    public static Compression now(Cylinder cylinder, Doubts doubts) {
        return after(cylinder, Cut.NONE, doubts);
    }

    /**
     * After a cut of head and block. A block cut lowers the deck; where the block's opening is wider than the bore, what it takes
     * beside the bore is taken off the chamber.
     *
     * @throws homalon.core.input.BadInputException when nothing would be left above the piston
     */
    public static Compression after(Cylinder now, Cut cut, Doubts doubts) {
        double beside = cut.block() == 0 ? 0 : cut.blockCc() - cut.block() * now.boreArea() / 1000;
        Cylinder then = new Cylinder(
                now.bore(),
                now.stroke(),
                now.chamberCc() - cut.headCc() - beside,
                now.gasket(),
                now.deck() - cut.block(),
                now.crownCc(),
                now.creviceCc());
        double chamber = cut.chamberOpen(doubts);
        double clearance = root(
                chamber,
                now.gasket().areaMm2() * doubts.gasket() / 1000,
                now.boreArea() * doubts.deck() / 1000,
                cut.block() == 0 ? 0 : cut.blockOpening() * doubts.cut() / 1000,
                doubts.crownCc());
        double slope = then.sweptCc() / (then.clearanceCc() * then.clearanceCc());
        return new Compression(then, then.ratio(), slope * clearance, chamber);
    }

    private static double root(double... parts) {
        double sum = 0;
        for (double p : parts) {
            sum += p * p;
        }
        return Math.sqrt(sum);
    }

    /** {@code 9.62 ± 0.04}. */
    public String words() {
        return Ratios.ratio(ratio) + String.format(Locale.ROOT, " ± %.2f", spread);
    }

    public Working working(Message title) {
        Working base = cylinder.working(title);
        Working.Builder all = Working.of(title);
        base.lines().forEach(all::line);
        return all.line(Message.of(
                        "chambers.spread-swept-clearance-what-the-volume",
                        String.format(Locale.ROOT, "%.3f", spread),
                        String.format(Locale.ROOT, "%.2f", chamberSpread)))
                .done();
    }
}
