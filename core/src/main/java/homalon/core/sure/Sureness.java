package homalon.core.sure;

import homalon.core.face.FaceJudge;
import homalon.core.face.LimitVerdict;
import homalon.core.geometry.Box;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.numeric.LeastSquaresPlane;
import homalon.core.surface.Fault;
import homalon.core.surface.Surface;
import homalon.core.surface.SurfaceDraws;
import homalon.core.surface.SurfacePrior;
import homalon.core.verdict.Verdict;
import homalon.core.verdict.Working;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How sure a face is within its limits, from what its readings leave open: the chance that each is broken somewhere, where the next
 * reading settles most, and how well each spot is known. A verdict of within asks for readings under the limit by the guard band and a
 * chance of out of no more than the risk (JCGM 106); out is proven by readings alone.
 */
public final class Sureness {
    /** A face is called within when no more than one in a hundred like it is out. */
    public static final double USUAL_RISK = 0.01;
    /** Where it races or goes to sea: one in a thousand. */
    public static final double SMALL_RISK = 0.001;
    /** Spread in tightest limits from which a part of the face counts as known less and less. */
    private static final double[] GRADES = {0.09, 0.14, 0.21};
    /** A chance below this is not taken for a sign of anything. */
    private static final double SUSPECTED = 0.3;

    /**
     * What is asked.
     *
     * @param grid of the face and its limits
     * @param prior what such faces may be
     * @param noise standard uncertainty of one reading, mm, above zero
     * @param gone where a gasket was seen to be gone
     * @param risk that is allowed, such as 0.01
     */
    public record Question(FaceGrid grid, SurfacePrior prior, double noise, List<Spot> gone, double risk) {}

    private final Question question;
    private final Points read;
    private final Surface surface;
    private final SurfaceDraws draws;
    private final FaceChance chance;
    private final Optional<Spot> next;

    private Sureness(Question question, Points read) {
        this.question = question;
        this.read = level(read);
        this.surface =
                Surface.given(question.prior(), question.grid().ground(), this.read, question.noise(), question.gone());
        this.draws = surface.over(question.grid().spots());
        this.chance = FaceChance.of(draws, question.grid(), question.risk());
        this.next = NextPlace.of(chance, draws, this.read, question.noise());
    }

    /** @param read the sealing places, mm: four at least, not on one line */
    public static Sureness of(Question question, Points read) {
        return new Sureness(question, read);
    }

    /** How a part lies on its supports says nothing of its face. */
    private static Points level(Points read) {
        Plane plane = LeastSquaresPlane.fit(read);
        double[] z = new double[read.size()];
        for (int i = 0; i < z.length; i++) {
            z[i] = read.above(plane, i);
        }
        return Points.of(read.xs(), read.ys(), z);
    }

    /** The chance that the limit of that number is broken somewhere. */
    public double chance(int limit) {
        return chance.of(limit);
    }

    /** The chance that any is. */
    public double any() {
        return chance.any();
    }

    public double risk() {
        return question.risk();
    }

    /** Whole faces that were drawn. */
    public int drawn() {
        return chance.faces();
    }

    /** Where the next reading settles most; empty where no place is left. */
    public Optional<Spot> next() {
        return next;
    }

    /** How far the face may be from what is most likely at each place of the grid, mm: standard deviations. */
    public double[] spreads() {
        double[] all = new double[draws.places().size()];
        for (int i = 0; i < all.length; i++) {
            all[i] = draws.spread(i);
        }
        return all;
    }

    /**
     * A part of the face and how little is known of it.
     *
     * @param grade 1 where little is left open, 2, or 3 where hardly more is known than of a face that nobody read
     */
    public record Unknown(Box cell, int grade) {}

    /** Parts in which the height is known worse than the tightest limit asks. */
    public List<Unknown> unknown() {
        double tightest = question.grid().tightest();
        List<Unknown> all = new ArrayList<>();
        for (FaceGrid.Cell cell : question.grid().cells()) {
            double share = draws.spread(cell.place()) / tightest;
            int grade = 0;
            while (grade < GRADES.length && share > GRADES[grade]) {
                grade++;
            }
            if (grade > 0) {
                all.add(new Unknown(cell.box(), grade));
            }
        }
        return all;
    }

    /** Faults that the readings speak for, the likeliest first. */
    public List<Fault> suspected() {
        List<Fault> all = new ArrayList<>(List.of(Fault.values()));
        all.removeIf(f -> surface.chanceOf(f) < SUSPECTED);
        all.sort((a, b) -> Double.compare(surface.chanceOf(b), surface.chanceOf(a)));
        return List.copyOf(all);
    }

    public double chanceOf(Fault fault) {
        return surface.chanceOf(fault);
    }

    /**
     * The judgement with what lies between the places.
     *
     * @param byReadings of the same places and limits, which are those of the grid in the same order
     */
    public FaceJudge.Judgement judge(FaceJudge.Judgement byReadings) {
        int doubtful = 0;
        for (int l = 1; l < byReadings.limits().size(); l++) {
            doubtful = chance.of(l) > chance.of(doubtful) ? l : doubtful;
        }
        List<LimitVerdict> limits = new ArrayList<>();
        for (int l = 0; l < byReadings.limits().size(); l++) {
            // Each limit within by itself, but not all of them together: the likeliest to be broken stays open.
            double asked = l == doubtful ? chance.any() : chance.of(l);
            limits.add(limit(byReadings.limits().get(l), chance.of(l), asked));
        }
        return byReadings.with(limits);
    }

    private LimitVerdict limit(LimitVerdict v, double own, double asked) {
        Working shown = shown(v.working(), own);
        return switch (v.readings()) {
            case OVER, TOO_FEW -> v.with(v.verdict(), v.why(), v.next(), shown);
            case CLOSE -> v.with(v.verdict(), v.why(), next, shown);
            case UNDER ->
                asked <= question.risk()
                        ? v.with(Verdict.WITHIN, Message.NONE, Optional.empty(), shown)
                        : v.with(Verdict.NOT_PROVEN, open(own, asked), next, shown);
        };
    }

    private Message open(double own, double asked) {
        Message risk = Odds.of(question.risk(), Integer.MAX_VALUE);
        return own > question.risk()
                ? Message.of("sure.the-readings-are-within-but", Odds.of(own, drawn()), risk)
                : Message.of("sure.each-limit-by-itself-is-within-but", Odds.of(asked, drawn()), risk);
    }

    private Working shown(Working before, double own) {
        SurfacePrior prior = question.prior();
        Working.Builder working = Working.of(before.title());
        before.lines().forEach(working::line);
        working.line(Message.of("sure.chance-that-it-is-over-somewhere", Odds.of(own, drawn()), drawn()))
                .line(
                        prior.faces() == 0
                                ? Message.of("sure.model-by-general-values")
                                : Message.of("sure.model-learnt-from", prior.faces()),
                        prior.local(),
                        prior.length(),
                        question.noise())
                .line(Message.of("sure.risk-that-is-allowed", Odds.of(question.risk(), Integer.MAX_VALUE)));
        return working.done();
    }
}
