package homalon.core.face;

import homalon.core.face.FeelerLine.Rest;
import homalon.core.face.FeelerLine.Station;
import homalon.core.face.FeelerLine.Tried;
import homalon.core.face.FeelerResult.Allowed;
import homalon.core.face.FeelerResult.Bow;
import homalon.core.face.FeelerResult.Fits;
import homalon.core.face.FeelerResult.Judged;
import homalon.core.face.FeelerResult.Odd;
import homalon.core.face.FeelerResult.Try;
import homalon.core.geometry.Box;
import homalon.core.geometry.Range;
import homalon.core.geometry.Spot;
import homalon.core.numeric.LinearBounds;
import homalon.core.numeric.LinearBounds.Band;
import homalon.core.verdict.Verdict;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * What straightedge and feelers prove of a face.
 *
 * <p>For the smooth shape z = e u^2 + f v^2 + d u v, with u and v from -1 to 1 over the face, the gap under an edge laid along
 * a line is K t (1 - t), K = e du^2 + f dv^2 + d du dv. A blade that goes or refuses, an edge that rocks (K below 0) or sits
 * still (K / 4 above minus the thinnest blade), and equal blades under both ends of one that rocks (it stops when each is
 * -K / 4) are each a band of a linear form of (e, f, d). Linear programmes give what all of them together allow; when they
 * allow nothing, the readings that would have to give way are named.
 *
 * <p>When no such shape explains the readings, {@link #look} tries one whose two long edges bow differently before it names a dip,
 * and then whether all lines but one agree: the one keeps to itself.
 *
 * <p>The verdict never rests on lines that were not tried: <em>within</em> needs an edge laid along both long edges, crosswise
 * and along both diagonals, nothing unexplained, and the limit kept under every chord of the face, laid or not. A local dip away from every line stays unseen; points see those.
 */
public final class Feelers {
    private static final double SLACK = 1e-9;
    private static final double STANDS_OUT = 1e-7;
    /** In u and v: how far from a judged line's run an edge may lie and still count as laid there. */
    private static final double NEAR = 0.55;

    private static final int MOST_TRIES = 24;
    /** What blades and hand leave open, mm: readings that are apart by less do not contradict each other. */
    private static final double LEFT_OPEN = 0.005;

    private final FeelerSurvey survey;
    private final FaceTerms terms;
    private final double leftOpen;
    private final List<Band> bands;

    private Feelers(FeelerSurvey survey, FaceTerms terms, double leftOpen) {
        this.survey = survey;
        this.terms = terms;
        this.leftOpen = leftOpen;
        this.bands = FeelerBands.of(survey, terms, leftOpen);
    }

    /** By bow and twist alone. */
    public static FeelerResult judge(FeelerSurvey survey) {
        return new Feelers(survey, FaceTerms.ONE_BOW, 0).result(true);
    }

    /** By bow and twist; else by a bow that differs between the two long edges; else without the one line that stands out. */
    public static FeelerResult look(FeelerSurvey survey) {
        FeelerResult plain = judge(survey);
        if (plain.consistent()) {
            return plain;
        }
        FeelerResult apart = new Feelers(survey, FaceTerms.EDGES_APART, 0).result(true);
        return apart.consistent() ? apart : withoutOne(survey, plain);
    }

    /** What the others say when one line is left out; as it was when no one line explains it. */
    private static FeelerResult withoutOne(FeelerSurvey survey, FeelerResult all) {
        int[] lines = all.odd().stream().mapToInt(Odd::line).distinct().toArray();
        for (int out : lines) {
            List<FeelerLine> others = new ArrayList<>(survey.lines());
            others.remove(out);
            FeelerResult rest = judge(survey.with(others));
            if (rest.consistent()) {
                List<Odd> itself =
                        all.odd().stream().filter(o -> o.line() == out).toList();
                return new FeelerResult(
                        all.verdict() == Verdict.OUT || rest.verdict() == Verdict.OUT
                                ? Verdict.OUT
                                : Verdict.NOT_PROVEN,
                        Fits.ALL_BUT_ONE_LINE,
                        all.gapProven(),
                        rest.gapPossible(),
                        rest.shape(),
                        rest.bows(),
                        OptionalDouble.empty(),
                        itself,
                        all.next().map(n -> new Feelers(survey, FaceTerms.ONE_BOW, 0).again(itself.get(0))),
                        OptionalInt.empty());
            }
        }
        return all;
    }

    /** The thickest blade that went in anywhere, mm; 0 when none did. */
    private double gapProven() {
        return survey.lines().stream()
                .flatMap(l -> l.stations().stream())
                .mapToDouble(s -> s.tried().goes().orElse(0))
                .max()
                .orElse(0);
    }

    private FeelerResult result(boolean lookAhead) {
        LinearBounds bounds = new LinearBounds(bands, terms.count);
        double gapProven = gapProven();
        Optional<Range> longBow = bounds.of(terms.only(0, 1));
        if (longBow.isEmpty()) {
            return leftOpen == 0 ? contradiction(gapProven, lookAhead) : contradicts(gapProven, giveWay());
        }
        Range crossBow = bounds.of(terms.only(1, 1)).orElseThrow();
        Range lift = bounds.of(terms.only(2, 4)).orElseThrow();
        Optional<Range> apart = terms == FaceTerms.EDGES_APART ? bounds.of(terms.only(3, 2)) : Optional.empty();
        boolean bounded = finite(longBow.get())
                && finite(crossBow)
                && finite(lift)
                && apart.map(Feelers::finite).orElse(true);
        List<double[]> corners = bounded ? bounds.corners() : List.of();
        if (terms == FaceTerms.EDGES_APART && bounded && !restsWhereItWent(corners)) {
            return contradicts(gapProven, giveWay());
        }
        EdgesApart.Bounds of = terms == FaceTerms.EDGES_APART
                ? EdgesApart.over(bands, corners)
                : new EdgesApart.Bounds(ChordGap.over(bands, corners), BowTwistZone.over(bands, corners));
        Allowed allowed = new Allowed(longBow.get(), crossBow, lift, of.zone(), corners);
        List<Bow> bows = Arrays.stream(Judged.values())
                .map(j -> new Bow(j, bounds.of(quarter(formOf(j))), laid(j).isPresent()))
                .toList();
        Verdict verdict = verdict(gapProven, of.gap(), bows, allowed);
        Optional<Try> next = verdict == Verdict.NOT_PROVEN ? Optional.of(next(bows)) : Optional.empty();
        return new FeelerResult(
                verdict,
                terms == FaceTerms.EDGES_APART ? Fits.EDGES_APART : Fits.ONE_BOW,
                gapProven,
                of.gap().most(),
                Optional.of(allowed),
                bows,
                apart.map(r -> OptionalDouble.of(r.least() > 0 ? r.least() : Math.min(0, r.most())))
                        .orElse(OptionalDouble.empty()),
                List.of(),
                next,
                lookAhead ? triesAtBest(verdict, next) : OptionalInt.empty());
    }

    /**
     * Whether every blade that went in under a line whose gap is no parabola could go: the gap below a resting edge is convex in the
     * terms, so that it is greatest at a corner of what is allowed.
     */
    private boolean restsWhereItWent(List<double[]> corners) {
        for (FeelerLine line : survey.lines()) {
            if (terms.parabola(line, survey.box())) {
                continue;
            }
            for (Station s : line.stations()) {
                double went = s.tried().goes().orElse(0);
                if (went > 0 && EdgesApart.under(line, survey.box(), s.at(), corners) < went - LEFT_OPEN) {
                    return false;
                }
            }
        }
        return true;
    }

    private static double[] quarter(double[] form) {
        return Arrays.stream(form).map(c -> c / 4).toArray();
    }

    private Verdict verdict(double gapProven, Range gap, List<Bow> bows, Allowed allowed) {
        double limit = survey.limit();
        Range judged = survey.kind() == FeelerSurvey.Kind.GAP ? gap : allowed.zone();
        if (gapProven >= limit - SLACK || judged.least() > limit + SLACK) {
            return Verdict.OUT;
        }
        boolean allTried = bows.stream().allMatch(Bow::tried);
        return allTried && judged.most() <= limit + SLACK ? Verdict.WITHIN : Verdict.NOT_PROVEN;
    }

    /** Apart by less than blades and hand leave open, they say less, and no more: each is taken as that much wider. */
    private FeelerResult contradiction(double gapProven, boolean lookAhead) {
        List<Odd> odd = giveWay();
        boolean open = odd.stream().allMatch(o -> o.by() <= LEFT_OPEN + STANDS_OUT);
        return open ? new Feelers(survey, terms, LEFT_OPEN).result(lookAhead) : contradicts(gapProven, odd);
    }

    /** Those that give way when all must be explained as far as possible. */
    private List<Odd> giveWay() {
        List<FeelerBands.Said> all = FeelerBands.said(survey, terms);
        double[] slack =
                new LinearBounds(all.stream().map(FeelerBands.Said::band).toList(), terms.count).giveWay();
        List<Odd> odd = new ArrayList<>();
        for (int i = 0; i < slack.length; i++) {
            if (slack[i] > STANDS_OUT) {
                odd.add(new Odd(all.get(i).line(), all.get(i).station(), slack[i]));
            }
        }
        odd.sort(Comparator.comparingDouble(Odd::by).reversed());
        return odd;
    }

    /** Readings that no smooth face explains. */
    private FeelerResult contradicts(double gapProven, List<Odd> odd) {
        boolean out = gapProven >= survey.limit() - SLACK;
        List<Bow> bows = Arrays.stream(Judged.values())
                .map(j -> new Bow(j, Optional.empty(), laid(j).isPresent()))
                .toList();
        return new FeelerResult(
                out ? Verdict.OUT : Verdict.NOT_PROVEN,
                Fits.NOTHING,
                gapProven,
                Double.POSITIVE_INFINITY,
                Optional.empty(),
                bows,
                OptionalDouble.empty(),
                odd,
                out || odd.isEmpty() ? Optional.empty() : Optional.of(again(odd.get(0))),
                OptionalInt.empty());
    }

    private Try again(Odd odd) {
        FeelerLine line = survey.lines().get(odd.line());
        double at = odd.station().isPresent()
                ? line.stations().get(odd.station().getAsInt()).at()
                : 0;
        return new Try(nearest(line), OptionalInt.of(odd.line()), line.from(), line.to(), at, survey.limit());
    }

    private Judged nearest(FeelerLine line) {
        return nearest(line, survey.box());
    }

    /** The judged line that an edge over a face lies closest to. */
    public static Judged nearest(FeelerLine line, Box box) {
        return Arrays.stream(Judged.values())
                .min(Comparator.comparingDouble(j -> away(j, line, box)))
                .orElseThrow();
    }

    private double[] formOf(Judged j) {
        return terms.form(-j.du / 2, j.v - j.dv / 2, j.du / 2, j.v + j.dv / 2, 0.5);
    }

    /** How far an edge lies from a judged line, in u and v; turning the edge end for end changes nothing. */
    private static double away(Judged j, FeelerLine line, Box box) {
        double du = line.du(box);
        double dv = line.dv(box);
        double run = Math.min(
                Math.max(Math.abs(du - j.du), Math.abs(dv - j.dv)),
                Math.max(Math.abs(-du - j.du), Math.abs(-dv - j.dv)));
        boolean edge = j == Judged.LOWER_EDGE || j == Judged.UPPER_EDGE;
        double v = (box.v(line.from().y()) + box.v(line.to().y())) / 2;
        return edge ? Math.max(run, Math.abs(v - j.v)) : run;
    }

    /** The laid line that stands for a judged one and says something. */
    private OptionalInt laid(Judged j) {
        int best = -1;
        double least = NEAR;
        for (int i = 0; i < survey.lines().size(); i++) {
            FeelerLine line = survey.lines().get(i);
            double away = away(j, line, survey.box());
            if (away < least && !line.stations().isEmpty()) {
                least = away;
                best = i;
            }
        }
        return best < 0 ? OptionalInt.empty() : OptionalInt.of(best);
    }

    /** The line that may be bent most: an untried one, or the one with the greatest possible bow. */
    private Try next(List<Bow> bows) {
        Bow worst = bows.stream()
                .max(Comparator.comparingDouble(
                                (Bow b) -> b.tried() ? b.size().orElseThrow().most() : Double.POSITIVE_INFINITY)
                        .thenComparing(b -> !b.tried())
                        .thenComparing(b -> -b.line().ordinal()))
                .orElseThrow();
        Range k = worst.quarterK().orElseThrow();
        OptionalInt laid = laid(worst.line());
        boolean crowned = laid.isPresent() && -k.least() > k.most();
        Range size = worst.size().orElseThrow();
        double limit = survey.limit();
        boolean limitTells =
                survey.kind() == FeelerSurvey.Kind.GAP && size.least() < limit - SLACK && limit < size.most() - SLACK;
        double went = laid.isPresent() ? went(survey.lines().get(laid.getAsInt()), crowned) : 0;
        double blade = limitTells || !Double.isFinite(size.most()) ? limit : (size.least() + size.most()) / 2;
        if (blade <= went && went < size.most()) {
            blade = (went + size.most()) / 2;
        }
        // A line that can have no bow at all tells by the thinnest blade or by none.
        blade = blade <= SLACK ? survey.thinnest() : blade;
        Spot from = corner(worst.line(), false);
        Spot to = corner(worst.line(), true);
        if (laid.isPresent()) {
            from = survey.lines().get(laid.getAsInt()).from();
            to = survey.lines().get(laid.getAsInt()).to();
        }
        return new Try(worst.line(), laid, from, to, crowned ? 0 : 0.5, blade);
    }

    /** Thickest blade that went in where the next one would be tried. */
    private static double went(FeelerLine line, boolean ends) {
        if (ends) {
            return line.ends().goes().orElse(0);
        }
        return line.stations().stream()
                .filter(s -> s.at() == 0.5)
                .mapToDouble(s -> s.tried().goes().orElse(0))
                .max()
                .orElse(0);
    }

    /** Ends of a judged line on the box of the face. */
    private Spot corner(Judged j, boolean end) {
        Box b = survey.box();
        return switch (j) {
            case LOWER_EDGE -> new Spot(end ? b.x1() : b.x0(), b.y0());
            case UPPER_EDGE -> new Spot(end ? b.x1() : b.x0(), b.y1());
            case CROSSWISE -> new Spot((b.x0() + b.x1()) / 2, end ? b.y1() : b.y0());
            case RISING_DIAGONAL -> end ? new Spot(b.x1(), b.y1()) : new Spot(b.x0(), b.y0());
            case FALLING_DIAGONAL -> end ? new Spot(b.x1(), b.y0()) : new Spot(b.x0(), b.y1());
        };
    }

    private OptionalInt triesAtBest(Verdict verdict, Optional<Try> next) {
        if (verdict != Verdict.NOT_PROVEN || next.isEmpty()) {
            return OptionalInt.empty();
        }
        FeelerSurvey then = survey;
        Try attempt = next.get();
        for (int tries = 1; tries <= MOST_TRIES; tries++) {
            if (attempt.line().isPresent()
                    && went(then.lines().get(attempt.line().getAsInt()), attempt.underBothEnds()) >= attempt.blade()) {
                return OptionalInt.empty();
            }
            then = then.with(refused(then, attempt));
            FeelerResult result = new Feelers(then, terms, leftOpen).result(false);
            if (result.verdict() == Verdict.WITHIN) {
                return OptionalInt.of(tries);
            }
            if (result.next().isEmpty() || !result.consistent()) {
                return OptionalInt.empty();
            }
            attempt = result.next().get();
        }
        return OptionalInt.empty();
    }

    /** The lines as they would stand if the blade were refused. */
    private static List<FeelerLine> refused(FeelerSurvey survey, Try attempt) {
        List<FeelerLine> lines = new ArrayList<>(survey.lines());
        FeelerLine line = attempt.line().isPresent()
                ? lines.remove(attempt.line().getAsInt())
                : new FeelerLine(attempt.from(), attempt.to(), Rest.NOT_NOTED, Tried.NOTHING, List.of());
        Tried refused = new Tried(OptionalDouble.empty(), OptionalDouble.of(attempt.blade()));
        if (attempt.underBothEnds()) {
            lines.add(new FeelerLine(
                    line.from(),
                    line.to(),
                    line.rest(),
                    new Tried(line.ends().goes(), refused.refuses()),
                    line.stations()));
        } else {
            List<Station> stations = new ArrayList<>(line.stations());
            stations.add(new Station(attempt.at(), refused));
            Rest rest = line.rest() == Rest.NOT_NOTED && line.stations().isEmpty() ? Rest.SITS_STILL : line.rest();
            lines.add(new FeelerLine(line.from(), line.to(), rest, line.ends(), stations));
        }
        return lines;
    }

    private static boolean finite(Range range) {
        return Double.isFinite(range.least()) && Double.isFinite(range.most());
    }
}
