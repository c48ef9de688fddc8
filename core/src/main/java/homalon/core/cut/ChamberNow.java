package homalon.core.cut;

import homalon.core.chambers.DepthFills;
import homalon.core.chambers.Doubts;
import homalon.core.chambers.OpeningArea;
import homalon.core.words.Message;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * One chamber as it is known now.
 *
 * @param firstCc as it was filled first, which is what the engine had; as told where it was not filled
 * @param cc as last filled, or as told
 * @param plusMinus what that leaves open
 * @param cutSince mean over its rim that came off since
 * @param seatsCc what seat work that is planned will add
 * @param valveArea heads of its valves together, mm2; 0 where they are not known
 * @param depths fills to a depth, where there are some: a cut follows them as far as they go
 * @param deck of its piston as it stands now, where it was read by itself
 * @param crownCc of its piston, where it was read by itself
 */
public record ChamberNow(
        String name,
        double firstCc,
        double cc,
        double plusMinus,
        Basis basis,
        double cutSince,
        double seatsCc,
        double valveArea,
        OpeningArea opening,
        Optional<DepthFills> depths,
        OptionalDouble deck,
        OptionalDouble crownCc) {

    /**
     * What a cut from the face as it was filled takes of it, cm3: along the fills to a depth as far as they go, below them by the
     * opening that they end with.
     */
    double loss(double cut) {
        if (depths.isEmpty() || cut <= 0) {
            return cut * opening.mm2() / 1000;
        }
        DepthFills d = depths.get();
        double along = Math.min(cut, d.deepest());
        return d.after(0) - d.after(along) + (cut - along) * below(d) / 1000;
    }

    /** Cut from the face as it was filled that takes so much of it, mm. */
    double cutFor(double cc) {
        if (depths.isEmpty() || cc <= 0) {
            return cc / opening.mm2() * 1000;
        }
        DepthFills d = depths.get();
        DepthFills.Cut cut = d.to(d.after(0) - cc);
        return cut.reached() ? cut.cut() : d.deepest() + (cc - loss(d.deepest())) / below(d) * 1000;
    }

    /** Opening under the deepest fill; that at the face where the fills say nothing sound of it. */
    private double below(DepthFills d) {
        double area = d.area(d.deepest());
        return area > 0 ? area : opening.mm2();
    }

    /**
     * What a cut from here on takes of it, cm3.
     *
     * @param rim mean over its rim, mm
     */
    double took(double rim) {
        return loss(cutSince + rim) - loss(cutSince);
    }

    /** Cut over its rim from here on that takes so much; negative for what would have to be added. */
    double rimFor(double cc) {
        return cutFor(loss(cutSince) + cc) - cutSince;
    }

    /** What its volume leaves open after a cut over its rim, cm3: by the whole of what came off since it was filled. */
    double openAfter(double rim) {
        double off = cutSince + Math.max(0, rim);
        double cut = off == 0 ? 0 : opening.mm2() * Doubts.DEFAULT_CUT / 1000;
        return Math.sqrt(plusMinus * plusMinus + Math.pow(off * opening.plusMinus() / 1000, 2) + cut * cut);
    }

    public double nowCc() {
        return cc - loss(cutSince);
    }

    /** Where a chamber's volume comes from. */
    public enum Basis {
        FILLED,
        ONE_FILL,
        TOLD;

        private final Message words = Message.of(this);

        public Message words() {
            return words;
        }
    }
}
