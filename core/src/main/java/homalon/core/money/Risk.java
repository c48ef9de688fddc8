package homalon.core.money;

import homalon.core.bench.UsualChances.Counted;
import homalon.core.words.Message;
import org.joda.money.Money;

/**
 * What may still turn up.
 *
 * @param key by which it is known again
 * @param chance from 0 to 1
 * @param own castings of the shop by which the chance leans away from the general value; none where it is the general value
 * @param adds before tax, where it comes
 * @param minutes of work, likewise
 * @param with what it comes together with, a name; empty for one that comes by itself
 */
public record Risk(String key, Message what, double chance, Counted own, Money adds, int minutes, String with) {
    public Risk {
        if (!(chance >= 0 && chance <= 1)) {
            throw new IllegalArgumentException("a chance is from 0 to 1: " + chance);
        }
    }

    Spread.One money() {
        return new Spread.One(chance, with, adds.getAmountMinorLong());
    }
}
