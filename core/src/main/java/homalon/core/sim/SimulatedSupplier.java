package homalon.core.sim;

import java.util.Locale;
import java.util.SplittableRandom;

/**
 * A supplier that does not exist: for the demo, for trying the order pages out and for tests. The same seed and code give the
 * same answer; some codes are out of stock, some answers are slow.
 */
public record SimulatedSupplier(long seed) {
    private static final double OUT_OF_STOCK = 0.25;
    private static final double SLOW = 0.12;

    /**
     * What it says.
     *
     * @param cents price of one, in hundredths of the shop's money
     * @param onHand how many it has
     * @param days until they arrive: the next days from its shelf, weeks when it has none
     * @param afterMillis how long it takes to answer
     */
    public record Answer(String code, int cents, int onHand, int days, int afterMillis) {
        public boolean inStock() {
            return onHand > 0;
        }
    }

    public Answer answer(String code) {
        SplittableRandom random = new SplittableRandom(
                seed * 1_000_003L + code.toUpperCase(Locale.ROOT).hashCode());
        int cents = 350 + random.nextInt(80) * 25;
        boolean out = random.nextDouble() < OUT_OF_STOCK;
        int onHand = out ? 0 : 4 + random.nextInt(40);
        int days = out ? 8 + random.nextInt(18) : 1 + random.nextInt(3);
        int after = random.nextDouble() < SLOW ? 4_000 : 20 + random.nextInt(250);
        return new Answer(code, cents, onHand, days, after);
    }
}
