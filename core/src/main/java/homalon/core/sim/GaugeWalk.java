package homalon.core.sim;

import homalon.core.geometry.Spot;
import homalon.core.quantity.GaugeLine;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;

/**
 * A made-up indicator that is carried over a made-up face: at each place its tip settles, then its button is pressed. On demand
 * lines are lost on the way, come twice, or come in a unit that is not the one they say.
 *
 * @param gauge its name
 * @param face that it walks over
 * @param places in the order of the walk
 * @param seed of everything that is left to chance
 * @param lost share of the lines that never arrive, 0 to 1
 * @param twice share that arrives twice
 * @param wrongUnitAt place from 1 at which the value is in inches while it says mm; 0 for none
 */
public record GaugeWalk(
        String gauge, SeededFace face, List<Spot> places, long seed, double lost, double twice, int wrongUnitAt) {
    private static final int SETTLING = 4;
    private static final double NOISE = 0.0012;
    private static final double INCH = 25.4;

    /**
     * A line, and how long after the one before it comes.
     *
     * @param millis pause before it
     * @param place from 1
     */
    public record Sent(GaugeLine line, int millis, int place) {}

    /** All lines of the walk, lost ones left out: their numbers are missing. */
    public List<Sent> lines() {
        Random random = new Random(seed);
        List<Sent> sent = new ArrayList<>();
        long number = 0;
        double zero =
                places.isEmpty() ? 0 : face.at(places.get(0).x(), places.get(0).y());
        for (int p = 0; p < places.size(); p++) {
            double height = face.at(places.get(p).x(), places.get(p).y()) - zero + NOISE * random.nextGaussian();
            int battery = Math.max(3, 92 - p);
            for (int i = SETTLING; i >= 0; i--) {
                boolean button = i == 0;
                double value = height + i * i * 0.02;
                boolean wrong = p + 1 == wrongUnitAt;
                String written = String.format(Locale.ROOT, "%.4f", wrong ? value / INCH : value);
                GaugeLine line = new GaugeLine(gauge, ++number, written, "mm", battery, button);
                // A press that is lost is pressed again: the hand sees that nothing was taken.
                boolean isLost = random.nextDouble() < lost;
                if (!isLost) {
                    sent.add(new Sent(line, button ? 700 : 120, p + 1));
                    if (random.nextDouble() < twice) {
                        sent.add(new Sent(line, 5, p + 1));
                    }
                } else if (button) {
                    sent.add(new Sent(new GaugeLine(gauge, ++number, written, "mm", battery, true), 1500, p + 1));
                }
            }
        }
        return List.copyOf(sent);
    }
}
