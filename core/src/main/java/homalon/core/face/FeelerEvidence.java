package homalon.core.face;

import homalon.core.face.FeelerLine.Rest;
import homalon.core.face.FeelerLine.Station;
import homalon.core.face.FeelerLine.Tried;
import homalon.core.gauge.Sag;
import homalon.core.geometry.Spot;
import homalon.core.part.Ground;
import homalon.core.quantity.Length;
import homalon.core.rulebook.BladeSet;
import homalon.core.surface.Evidence;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import org.apache.commons.numbers.gamma.Erfc;
import org.locationtech.jts.geom.Coordinate;

/**
 * What blades under laid edges say of a face of any shape. An edge rests as {@link EdgeAtRest} says; a blade goes where the gap is
 * wider than it, give or take what hand, blade and edge leave open, and once in a while an answer is simply wrong: dirt, a burr, a slip.
 */
public final class FeelerEvidence implements Evidence {
    /** Standard uncertainty of the feel of a blade, mm. */
    private static final double FEEL = 0.003;

    /**
     * What is in hand: standard uncertainties, mm.
     *
     * @param blade of its thickness
     * @param edge of the straightedge along itself
     * @param sag how far it hangs down between the places on which it rests
     * @param set of blades, of which some may have been stacked; empty where each answer is of one blade
     */
    public record Tools(double blade, double edge, Sag sag, Optional<BladeSet> set) {
        /** A stiff workshop straightedge and a set of feelers of which nothing more is known. */
        public static final Tools USUAL = new Tools(0.002, 0.003, Sag.NONE, Optional.empty());

        /** Of one answer, with the feel of the hand; every leaf of a stack adds its own. */
        double spread(double thickness) {
            int leaves = set.map(s -> s.leaves(Length.roundedFromMm(thickness))).orElse(1);
            return Math.sqrt(FEEL * FEEL + leaves * blade * blade + edge * edge);
        }
    }

    /** What blades said at a place, with what is open of the one that went and the one that was refused. */
    private record Answer(Tried tried, double went, double refused) {
        static Answer of(Tried tried, Tools tools) {
            return new Answer(
                    tried,
                    tools.spread(tried.goes().orElse(0)),
                    tools.spread(tried.refuses().orElse(0)));
        }

        double likely(double gap) {
            double goes = tried.goes().isPresent() ? below((gap - tried.goes().getAsDouble()) / went) : 1;
            double refuses =
                    tried.refuses().isPresent() ? below((gap - tried.refuses().getAsDouble()) / refused) : 0;
            return Math.max(0, goes - refuses);
        }
    }

    /** Half of all hands feel an edge rock by so much, mm, and how that differs from hand to hand. */
    private static final double FELT = 0.008;

    private static final double FELT_SPREAD = 0.004;
    /** Share of answers that say nothing: as likely as not whatever the gap. */
    private static final double WRONG = 0.01;
    /** Between places under an edge, mm. */
    private static final double APART = 10;

    private static final double MIDDLE = 0.5;
    private static final double ROOT_2 = Math.sqrt(2);

    /** An edge with its places: where they lie along it, the number of the first, for each station that of its own, and what was said. */
    private record Laid(FeelerLine line, double[] at, int first, int[] stations, List<Answer> said, Answer ends) {
        Rest rocks() {
            return line.rest();
        }

        /** Whether anything was answered for it. */
        boolean speaks() {
            return rocks() != Rest.NOT_NOTED
                    || !ends.tried().isEmpty()
                    || said.stream().anyMatch(a -> !a.tried().isEmpty());
        }
    }

    private final List<Spot> spots = new ArrayList<>();
    private final List<Laid> laid = new ArrayList<>();
    /** Those of which something was said. */
    private final List<Laid> speaking;

    private final Tools tools;

    /**
     * @param lines tried or not; one over less than two places of metal says nothing
     * @param ground that the edges lie on
     */
    public FeelerEvidence(List<FeelerLine> lines, Ground ground, Tools tools) {
        this.tools = tools;
        for (FeelerLine line : lines) {
            laid.add(
                    line.stations().isEmpty() && line.rest() == Rest.NOT_NOTED
                            ? new Laid(line, new double[0], 0, new int[0], List.of(), Answer.of(line.ends(), tools))
                            : lay(line, ground));
        }
        this.speaking = laid.stream().filter(l -> rests(l) && l.speaks()).toList();
    }

    private Laid lay(FeelerLine line, Ground ground) {
        int parts = (int) Math.max(2, Math.ceil(line.from().distance(line.to()) / APART));
        DoubleStream under =
                DoubleStream.iterate(0, i -> i <= parts, i -> i + 1).map(i -> i / parts);
        double[] at = DoubleStream.concat(
                        under.filter(t -> metal(ground, spot(line, t))),
                        line.stations().stream().mapToDouble(Station::at))
                .sorted()
                .distinct()
                .toArray();
        int[] stations =
                line.stations().stream().mapToInt(s -> indexOf(at, s.at())).toArray();
        Laid one = new Laid(
                line,
                at,
                spots.size(),
                stations,
                line.stations().stream().map(s -> Answer.of(s.tried(), tools)).toList(),
                Answer.of(line.ends(), tools));
        for (double t : at) {
            spots.add(spot(line, t));
        }
        return one;
    }

    private static int indexOf(double[] at, double wanted) {
        int i = 0;
        while (at[i] != wanted) {
            i++;
        }
        return i;
    }

    private static Spot spot(FeelerLine line, double t) {
        return new Spot(
                line.from().x() + t * (line.to().x() - line.from().x()),
                line.from().y() + t * (line.to().y() - line.from().y()));
    }

    private static boolean metal(Ground ground, Spot s) {
        return ground.land().holds(new Coordinate(s.x(), s.y()));
    }

    /** The places under all edges, one edge after the other. */
    public List<Spot> spots() {
        return List.copyOf(spots);
    }

    @Override
    public int places() {
        return spots.size();
    }

    private static EdgeAtRest rest(Laid one, double[] heights) {
        double[] z = new double[one.at().length];
        System.arraycopy(heights, one.first(), z, 0, z.length);
        return EdgeAtRest.of(one.at(), z);
    }

    private static boolean rests(Laid one) {
        return one.at().length >= 2;
    }

    /**
     * The gap at each station of a line in a face, mm.
     *
     * @param heights of the places, mm
     */
    public double[] gaps(double[] heights, int line) {
        Laid one = laid.get(line);
        double[] all = new double[one.stations().length];
        if (rests(one)) {
            EdgeAtRest edge = rest(one, heights);
            Arrays.setAll(all, s -> gap(one, edge, one.stations()[s]));
        }
        return all;
    }

    /** What a blade finds there: the edge hangs down a little. */
    private double gap(Laid one, EdgeAtRest edge, int place) {
        double gap = edge.gap(place);
        return gap <= 0 ? 0 : Math.max(0, gap - hangs(one, edge.left(), edge.right(), place));
    }

    private double hangs(Laid one, int left, int right, int place) {
        double length = one.line().from().distance(one.line().to());
        return tools.sag().at(one.at()[left] * length, one.at()[right] * length, one.at()[place] * length);
    }

    /** Blades as thick as this under both ends of a line stop its rocking, mm; 0 where it does not rock. */
    public double rock(double[] heights, int line) {
        Laid one = laid.get(line);
        return rests(one) ? rest(one, heights).rock() : 0;
    }

    @Override
    public double log(double[] heights, double least) {
        double sum = 0;
        // No answer makes a face likelier: once it is unlikely enough the other edges need not be laid.
        for (int l = 0; l < speaking.size() && sum > least; l++) {
            Laid one = speaking.get(l);
            sum += log(one, rest(one, heights));
        }
        return sum;
    }

    private double log(Laid one, EdgeAtRest edge) {
        double sum = 0;
        if (one.rocks() != Rest.NOT_NOTED || !one.ends().tried().isEmpty()) {
            double rock = edge.rock();
            if (one.rocks() != Rest.NOT_NOTED) {
                double feels = below((rock - FELT) / FELT_SPREAD);
                sum += likely(one.rocks() == Rest.ROCKS ? feels : 1 - feels);
            }
            if (!one.ends().tried().isEmpty()) {
                sum += likely(one.ends().likely(rock));
            }
        }
        for (int s = 0; s < one.stations().length; s++) {
            Answer said = one.said().get(s);
            if (!said.tried().isEmpty()) {
                sum += likely(said.likely(gap(one, edge, one.stations()[s])));
            }
        }
        return sum;
    }

    private static double likely(double share) {
        return Math.log((1 - WRONG) * share + WRONG / 2);
    }

    private static double below(double value) {
        return 0.5 * Erfc.value(-value / ROOT_2);
    }

    @Override
    public List<Hint> hints() {
        List<Hint> all = new ArrayList<>();
        for (Laid one : laid) {
            if (rests(one)) {
                hints(one, all);
            }
        }
        return all;
    }

    private void hints(Laid one, List<Hint> all) {
        if (one.line().rest() == Rest.ROCKS) {
            int middle = nearest(one.at(), MIDDLE);
            all.add(hint(
                    one,
                    middle,
                    -1,
                    one.line().ends().isEmpty()
                            ? new double[] {FELT, 5 * FELT}
                            : range(one.line().ends()),
                    one.ends()));
            return;
        }
        for (int s = 0; s < one.stations().length; s++) {
            Answer said = one.said().get(s);
            if (!said.tried().isEmpty()) {
                all.add(hint(one, one.stations()[s], 1, range(said.tried()), said));
            }
        }
    }

    private static int nearest(double[] at, double wanted) {
        int best = 0;
        for (int i = 1; i < at.length; i++) {
            best = Math.abs(at[i] - wanted) < Math.abs(at[best] - wanted) ? i : best;
        }
        return best;
    }

    /** What an interval leaves, from where to where; of one that is open above a part as wide again. */
    private double[] range(Tried tried) {
        double least = tried.goes().orElse(-tried.refuses().orElse(0) / 2);
        return new double[] {least, tried.refuses().orElse(least + Math.max(least, 5 * tools.spread(least)))};
    }

    /** A place under the line through both ends, or for a rise above it. */
    private Hint hint(Laid one, int place, int sign, double[] range, Answer said) {
        int last = one.at().length - 1;
        double t = (one.at()[place] - one.at()[0]) / (one.at()[last] - one.at()[0]);
        double width = range[1] - range[0];
        double spread = Math.max(said.went(), said.refused());
        double hangs = sign > 0 ? hangs(one, 0, last, place) : 0;
        return new Hint(
                new int[] {one.first(), one.first() + last, one.first() + place},
                new double[] {sign * (1 - t), sign * t, -sign},
                (range[0] + range[1]) / 2 + hangs,
                Math.sqrt(width * width / 12 + spread * spread));
    }

    /** Answers that the face speaks against: line, station and how likely the answer was a wrong one, from 0 to 1. */
    public record Doubted(int line, int station, double chance) {}

    /**
     * How likely each answer was wrong, over faces that agree with the rest.
     *
     * @param faces heights of the places, mm
     * @param weights of each
     * @param least chance that is told
     * @return the likeliest first
     */
    public List<Doubted> doubted(List<double[]> faces, double[] weights, double least) {
        List<Doubted> all = new ArrayList<>();
        for (int l = 0; l < laid.size(); l++) {
            Laid one = laid.get(l);
            for (int s = 0; rests(one) && s < one.stations().length; s++) {
                double wrong = one.said().get(s).tried().isEmpty() ? 0 : wrong(one, s, faces, weights);
                if (wrong >= least) {
                    all.add(new Doubted(l, s, wrong));
                }
            }
        }
        all.sort(Comparator.comparingDouble(Doubted::chance).reversed());
        return all;
    }

    private double wrong(Laid one, int station, List<double[]> faces, double[] weights) {
        double sum = 0;
        double together = 0;
        for (int f = 0; f < weights.length; f++) {
            double share = one.said().get(station).likely(gap(one, rest(one, faces.get(f)), one.stations()[station]));
            sum += weights[f] * (WRONG / 2) / ((1 - WRONG) * share + WRONG / 2);
            together += weights[f];
        }
        return sum / together;
    }
}
