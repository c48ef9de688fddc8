package homalon.core.gauge;

import homalon.core.input.Problems;
import homalon.core.words.Message;
import org.hipparchus.distribution.continuous.FDistribution;

/**
 * What a gauge and the people who use it leave open: every one of some people reads every one of some places the same number of times.
 * Analysis of variance with both at random (Montgomery, Design and Analysis of Experiments, the two-factor random model).
 *
 * @param places their part of the variance and its sums
 * @param people the same; nothing with one person
 * @param together of people and places: some people read some places otherwise than others do
 * @param repeat of one person at one place
 */
public record Repeatability(Source places, Source people, Source together, Source repeat) {
    /** Above this chance that they are none, people and places together are taken for repeat. */
    private static final double POOLED = 0.25;
    /** Distinct steps that a gauge tells: root of 2, as it is used. */
    private static final double STEPS = 1.41;

    private static final double WHOLE = 6;
    private static final double PROVES = 0.1;
    private static final double BARELY = 0.3;
    private static final int MOST = 1000;

    /**
     * One line of the analysis.
     *
     * @param squares sum of squares
     * @param freedom degrees of freedom
     * @param variance that it adds to one reading; 0 where it cannot be told from repeat
     */
    public record Source(double squares, int freedom, double variance) {
        public double meanSquare() {
            return freedom == 0 ? 0 : squares / freedom;
        }

        public double deviation() {
            return Math.sqrt(variance);
        }
    }

    /** What a gauge can do about one limit. */
    public enum Fit {
        /** What it leaves open is a small part of the limit. */
        PROVES,
        /** It proves what lies well off the limit. */
        BARELY,
        /** It cannot tell good from bad. */
        CANNOT;

        public Message words() {
            return Message.of(this);
        }
    }

    /**
     * @param read by person, by place, by time: each person has as many places, each place as many readings
     * @throws homalon.core.input.BadInputException when it is no such table: two places and two readings of each at the least
     */
    public static Repeatability of(double[][][] read) {
        check(read);
        int p = read.length;
        int k = read[0].length;
        int r = read[0][0].length;
        Means means = new Means(read);
        double ofPeople = 0;
        double ofPlaces = 0;
        double ofBoth = 0;
        double ofRepeat = 0;
        for (int o = 0; o < p; o++) {
            ofPeople += k * r * square(means.people[o] - means.all);
            for (int j = 0; j < k; j++) {
                ofBoth += r * square(means.cells[o][j] - means.people[o] - means.places[j] + means.all);
                for (int t = 0; t < r; t++) {
                    ofRepeat += square(read[o][j][t] - means.cells[o][j]);
                }
            }
        }
        for (int j = 0; j < k; j++) {
            ofPlaces += p * r * square(means.places[j] - means.all);
        }
        Sums sums = new Sums(p, k, r, ofPlaces, ofPeople, ofBoth, ofRepeat);
        return sums.pooled() ? sums.withoutInteraction() : sums.withInteraction();
    }

    private static void check(double[][][] read) {
        Problems problems = new Problems();
        problems.require(read.length >= 1 && read.length <= MOST, "readings", "gauge.study-one-person-at-the-least");
        problems.throwIfAny();
        int k = read[0].length;
        problems.require(k >= 2 && k <= MOST, "readings", "gauge.study-two-places-at-the-least");
        problems.throwIfAny();
        int r = read[0][0].length;
        problems.require(r >= 2 && r <= MOST, "readings", "gauge.study-read-each-place-twice-at-the-least");
        for (double[][] person : read) {
            boolean whole = person.length == k;
            for (int j = 0; whole && j < k; j++) {
                whole = person[j].length == r && allFinite(person[j]);
            }
            problems.require(whole, "readings", "gauge.study-every-person-reads-every-place-as-often");
        }
        problems.throwIfAny();
    }

    private static boolean allFinite(double[] values) {
        for (double v : values) {
            if (!Double.isFinite(v)) {
                return false;
            }
        }
        return true;
    }

    private static double square(double a) {
        return a * a;
    }

    private static final class Means {
        private final double all;
        private final double[] people;
        private final double[] places;
        private final double[][] cells;

        Means(double[][][] read) {
            int p = read.length;
            int k = read[0].length;
            int r = read[0][0].length;
            people = new double[p];
            places = new double[k];
            cells = new double[p][k];
            double sum = 0;
            for (int o = 0; o < p; o++) {
                for (int j = 0; j < k; j++) {
                    for (int t = 0; t < r; t++) {
                        cells[o][j] += read[o][j][t] / r;
                    }
                    people[o] += cells[o][j] / k;
                    places[j] += cells[o][j] / p;
                    sum += cells[o][j];
                }
            }
            all = sum / (p * k);
        }
    }

    private record Sums(int p, int k, int r, double ofPlaces, double ofPeople, double ofBoth, double ofRepeat) {
        private int freeBoth() {
            return (p - 1) * (k - 1);
        }

        private int freeRepeat() {
            return p * k * (r - 1);
        }

        /** Whether what people and places do together cannot be told from repeat. */
        boolean pooled() {
            if (freeBoth() == 0) {
                return true;
            }
            double repeat = ofRepeat / freeRepeat();
            if (repeat <= 0) {
                return ofBoth <= 0;
            }
            double ratio = ofBoth / freeBoth() / repeat;
            return 1 - new FDistribution(freeBoth(), freeRepeat()).cumulativeProbability(ratio) > POOLED;
        }

        Repeatability withInteraction() {
            double repeat = ofRepeat / freeRepeat();
            double both = ofBoth / freeBoth();
            return of(
                    both,
                    new Source(ofBoth, freeBoth(), Math.max(0, (both - repeat) / r)),
                    new Source(ofRepeat, freeRepeat(), repeat));
        }

        Repeatability withoutInteraction() {
            int free = freeRepeat() + freeBoth();
            double repeat = (ofRepeat + ofBoth) / free;
            return of(repeat, new Source(ofBoth, freeBoth(), 0), new Source(ofRepeat, freeRepeat(), repeat));
        }

        /** @param under mean square that people and places are held against */
        private Repeatability of(double under, Source together, Source again) {
            double people = p == 1 ? 0 : Math.max(0, (ofPeople / (p - 1) - under) / (k * r));
            double places = Math.max(0, (ofPlaces / (k - 1) - under) / (p * r));
            return new Repeatability(
                    new Source(ofPlaces, k - 1, places), new Source(ofPeople, p - 1, people), together, again);
        }
    }

    /** Standard uncertainty of a reading by one person with this gauge. */
    public double repeatability() {
        return repeat.deviation();
    }

    /** What it adds that another person reads. */
    public double reproducibility() {
        return Math.sqrt(people.variance() + together.variance());
    }

    /** Of a reading by any of them: what belongs with the gauge in the register. */
    public double both() {
        return Math.sqrt(repeat.variance() + people.variance() + together.variance());
    }

    /** How many distinct steps it can tell among these places; 0 when it tells none. */
    public int steps() {
        return both() == 0 ? MOST : (int) Math.min(MOST, Math.floor(STEPS * places.deviation() / both()));
    }

    /**
     * Of a limit, the part that is open in nearly all readings: six standard deviations.
     *
     * @param width from the least to the most that is allowed; of a one-sided limit what it allows
     */
    public double share(double width) {
        return WHOLE * both() / width;
    }

    public Fit fit(double width) {
        double share = share(width);
        return share <= PROVES ? Fit.PROVES : share <= BARELY ? Fit.BARELY : Fit.CANNOT;
    }
}
