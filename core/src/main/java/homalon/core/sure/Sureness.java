package homalon.core.sure;

import homalon.core.face.Causes;
import homalon.core.face.FaceJudge;
import homalon.core.face.LimitVerdict;
import homalon.core.geometry.Box;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.numeric.LeastSquaresPlane;
import homalon.core.surface.Fault;
import homalon.core.surface.Noise;
import homalon.core.surface.Surface;
import homalon.core.surface.SurfaceDraws;
import homalon.core.surface.SurfacePrior;
import homalon.core.verdict.Verdict;
import homalon.core.verdict.Working;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * How sure a face is within its limits, from what its readings leave open: the chance that each is broken somewhere, where the next
 * reading settles most, and how well each spot is known. A verdict of within asks for readings under the limit by the guard band and a
 * chance of out of no more than the risk (JCGM 106); out is proven by readings alone.
 */
public final class Sureness {
    /** A face is called within when no more than one in a hundred like it is out. */
    public static final double USUAL_RISK = 0.01;
    /** Spread in tightest limits from which a part of the face counts as known less and less. */
    private static final double[] GRADES = {0.09, 0.14, 0.21};
    /** A chance below this is not taken for a sign of anything. */
    private static final double SUSPECTED = 0.3;

    /**
     * What is asked.
     *
     * @param grid of the face and its limits
     * @param prior what such faces may be
     * @param noise what is open of readings
     * @param gone where a gasket was seen to be gone
     * @param risk that is allowed, such as 0.01
     */
    public record Question(FaceGrid grid, SurfacePrior prior, Noise noise, List<Spot> gone, double risk) {
        /** Of readings that share nothing. */
        public Question(FaceGrid grid, SurfacePrior prior, double noise, List<Spot> gone, double risk) {
            this(grid, prior, Noise.of(noise), gone, risk);
        }
    }

    /** No reading is surer than this, whatever was keyed: a fifth of a micrometre. */
    private static final double LEAST_NOISE = 0.0002;

    /** Standard uncertainty of a reading, mm, from what is kept as guard band, which is twice that (k = 2). */
    public static double noise(double guardBand) {
        return Math.max(LEAST_NOISE, guardBand / 2);
    }

    private final SurfacePrior prior;
    private final Noise noise;
    private final double risk;
    private final double[] chances;
    private final double any;
    private final int drawn;
    private final Optional<Spot> next;
    private final List<Unknown> unknown;
    private final Map<Fault, Double> faults = new EnumMap<>(Fault.class);

    /** Keeps what was found; the faces that it was found from are hundreds of times as large, and are let go. */
    private Sureness(Question question, Points read) {
        this.prior = question.prior();
        this.noise = question.noise();
        this.risk = question.risk();
        FaceGrid grid = question.grid();
        Points level = above(read, LeastSquaresPlane.fit(read));
        Surface surface = Surface.given(prior, grid.ground(), level, noise, question.gone());
        SurfaceDraws draws = surface.over(grid.spots(), grid.alike(prior.length()));
        FaceChance chance = FaceChance.of(draws, grid, risk);
        this.chances =
                IntStream.range(0, grid.limits().size()).mapToDouble(chance::of).toArray();
        this.any = chance.any();
        this.drawn = chance.faces();
        this.next = NextPlace.of(chance, draws, level, noise.each());
        this.unknown = unknown(grid, draws);
        for (Fault fault : Fault.values()) {
            faults.put(fault, surface.chanceOf(fault));
        }
    }

    /** Heights about their plane: what a prior speaks of. */
    public static Points level(Points read) {
        return above(read, LeastSquaresPlane.fit(read));
    }

    /** @param read the sealing places, mm: four at least, not on one line */
    public static Sureness of(Question question, Points read) {
        return new Sureness(question, read);
    }

    /** Heights over a plane: how a part lies on its supports says nothing of its face. */
    static Points above(Points read, Plane plane) {
        double[] z = new double[read.size()];
        for (int i = 0; i < z.length; i++) {
            z[i] = read.above(plane, i);
        }
        return Points.of(read.xs(), read.ys(), z);
    }

    /** The chance that the limit of that number is broken somewhere. */
    public double chance(int limit) {
        return chances[limit];
    }

    /** The chance that any is. */
    public double any() {
        return any;
    }

    /** That is allowed. */
    public double risk() {
        return risk;
    }

    /** Whether the chance of being out is no more than what is allowed. */
    public boolean withinRisk() {
        return any <= risk;
    }

    /** Whole faces that were drawn. */
    public int drawn() {
        return drawn;
    }

    /** Where the next reading settles most; empty where no place is left. */
    public Optional<Spot> next() {
        return next;
    }

    /**
     * A part of the face and how little is known of it.
     *
     * @param grade 1 where little is left open, 2, or 3 where hardly more is known than of a face that nobody read
     */
    public record Unknown(Box cell, int grade) {}

    private static List<Unknown> unknown(FaceGrid grid, SurfaceDraws draws) {
        double tightest = grid.tightest();
        List<Unknown> all = new ArrayList<>();
        for (FaceGrid.Cell cell : grid.cells()) {
            double share = draws.spread(cell.place()) / tightest;
            int grade = 0;
            while (grade < GRADES.length && share > GRADES[grade]) {
                grade++;
            }
            if (grade > 0) {
                all.add(new Unknown(cell.box(), grade));
            }
        }
        return List.copyOf(all);
    }

    /** Parts in which the height is known worse than the tightest limit asks, row by row from the lower edge. */
    public List<Unknown> unknown() {
        return unknown;
    }

    /** Faults that the readings speak for, the likeliest first. */
    public List<Fault> suspected() {
        return faults.keySet().stream()
                .filter(f -> chanceOf(f) >= SUSPECTED)
                .sorted(Comparator.comparingDouble(this::chanceOf).reversed())
                .toList();
    }

    /** The same as sentences, each with how likely it is. */
    public List<Causes.Cause> causes() {
        return suspected().stream()
                .map(f -> new Causes.Cause(
                        Message.of("sure.the-readings-speak-for", f.words()), Odds.of(chanceOf(f), drawn)))
                .toList();
    }

    public double chanceOf(Fault fault) {
        return faults.getOrDefault(fault, 0.0);
    }

    /**
     * The judgement with what lies between the places.
     *
     * @param byReadings of the same places and limits, which are those of the grid in the same order
     */
    public FaceJudge.Judgement judge(FaceJudge.Judgement byReadings) {
        int doubtful = 0;
        for (int l = 1; l < byReadings.limits().size(); l++) {
            doubtful = chances[l] > chances[doubtful] ? l : doubtful;
        }
        List<LimitVerdict> limits = new ArrayList<>();
        for (int l = 0; l < byReadings.limits().size(); l++) {
            // Each limit within by itself, but not all of them together: the likeliest to be broken stays open.
            double asked = l == doubtful ? any : chances[l];
            limits.add(limit(byReadings.limits().get(l), chances[l], asked));
        }
        return byReadings.with(limits);
    }

    private LimitVerdict limit(LimitVerdict v, double own, double asked) {
        Working shown = shown(v.working(), own);
        return switch (v.readings()) {
            case OVER, TOO_FEW -> v.with(v.verdict(), v.why(), v.next(), shown);
            case CLOSE -> v.with(v.verdict(), v.why(), next, shown);
            case UNDER ->
                asked <= risk
                        ? v.with(Verdict.WITHIN, Message.NONE, Optional.empty(), shown)
                        : v.with(Verdict.NOT_PROVEN, open(own, asked), next, shown);
        };
    }

    private Message open(double own, double asked) {
        Message allowed = Odds.of(risk, Integer.MAX_VALUE);
        return own > risk
                ? Message.of("sure.the-readings-are-within-but", Odds.of(own, drawn), allowed)
                : Message.of("sure.each-limit-by-itself-is-within-but", Odds.of(asked, drawn), allowed);
    }

    private Working shown(Working before, double own) {
        Working.Builder working = Working.of(before.title());
        before.lines().forEach(working::line);
        working.line(Message.of("sure.chance-that-it-is-over-somewhere", Odds.of(own, drawn), drawn))
                .line(
                        prior.faces() == 0
                                ? Message.of("sure.model-by-general-values")
                                : Message.of("sure.model-learnt-from", prior.faces()),
                        prior.local(),
                        prior.length(),
                        noise.each())
                .line(Message.of("sure.risk-that-is-allowed", Odds.of(risk, Integer.MAX_VALUE)));
        return working.done();
    }
}
