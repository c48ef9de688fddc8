package homalon.core.face;

import homalon.core.face.FeelerLine.Rest;
import homalon.core.face.FeelerLine.Station;
import homalon.core.face.FeelerLine.Tried;
import homalon.core.face.FeelerResult.Allowed;
import homalon.core.face.FeelerResult.Bow;
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
    private final double leftOpen;
    private final List<Band> bands = new ArrayList<>();

    private Feelers(FeelerSurvey survey, double leftOpen) {
        this.survey = survey;
        this.leftOpen = leftOpen;
        survey.lines().forEach(l -> merge(lineBand(l)));
    }

    public static FeelerResult judge(FeelerSurvey survey) {
        return new Feelers(survey, 0).result(true);
    }

    /** All that one line says, as one band of its K. */
    private Band lineBand(FeelerLine line) {
        double least = Double.NEGATIVE_INFINITY;
        double most = Double.POSITIVE_INFINITY;
        for (Said said : said(line, 0, survey)) {
            least = Math.max(least, (said.band().least() - leftOpen) * said.perK());
            most = Math.min(most, (said.band().most() + leftOpen) * said.perK());
        }
        return new Band(line.form(survey.box()), least, most);
    }

    private void merge(Band band) {
        for (int i = 0; i < bands.size(); i++) {
            Band there = bands.get(i);
            if (same(there.form(), band.form())) {
                bands.set(
                        i,
                        new Band(
                                there.form(),
                                Math.max(there.least(), band.least()),
                                Math.min(there.most(), band.most())));
                return;
            }
        }
        bands.add(band);
    }

    private static boolean same(double[] a, double[] b) {
        double off = 0;
        for (int i = 0; i < a.length; i++) {
            off = Math.max(off, Math.abs(a[i] - b[i]));
        }
        return off < 1e-12;
    }

    /**
     * One reading as a band in gap units.
     *
     * @param perK what turns the band's value into K
     */
    private record Said(int line, OptionalInt station, Band band, double perK) {}

    private static List<Said> said(FeelerLine line, int index, FeelerSurvey survey) {
        List<Said> all = new ArrayList<>();
        double[] form = line.form(survey.box());
        Range rest = rest(line, survey.thinnest());
        all.add(new Said(index, OptionalInt.empty(), band(form, 0.25, rest.least(), rest.most()), 4));
        for (int i = 0; i < line.stations().size(); i++) {
            Station s = line.stations().get(i);
            double share = s.at() * (1 - s.at());
            double most = s.tried().isEmpty()
                    ? survey.thinnest()
                    : s.tried().refuses().orElse(Double.POSITIVE_INFINITY);
            double least = s.tried().goes().orElse(Double.NEGATIVE_INFINITY);
            all.add(new Said(index, OptionalInt.of(i), band(form, share, least, most), 1 / share));
        }
        return all;
    }

    /** What rocking, sitting still and end blades say of K / 4. */
    private static Range rest(FeelerLine line, double thinnest) {
        double least = line.rest() == Rest.SITS_STILL ? -thinnest : Double.NEGATIVE_INFINITY;
        double most = line.rest() == Rest.ROCKS ? 0 : Double.POSITIVE_INFINITY;
        Tried ends = line.ends();
        if (ends.goes().isPresent()) {
            most = Math.min(most, -ends.goes().getAsDouble());
        }
        if (ends.refuses().isPresent()) {
            least = Math.max(least, -ends.refuses().getAsDouble());
        }
        return new Range(least, most);
    }

    private static Band band(double[] form, double times, double least, double most) {
        double[] scaled = Arrays.stream(form).map(c -> c * times).toArray();
        return new Band(scaled, least, most);
    }

    private FeelerResult result(boolean lookAhead) {
        LinearBounds bounds = new LinearBounds(bands, 3);
        double gapProven = survey.lines().stream()
                .flatMap(l -> l.stations().stream())
                .mapToDouble(s -> s.tried().goes().orElse(0))
                .max()
                .orElse(0);
        Optional<Range> longBow = bounds.of(1, 0, 0);
        if (longBow.isEmpty()) {
            return leftOpen == 0 ? contradiction(gapProven, lookAhead) : contradicts(gapProven, giveWay());
        }
        Range crossBow = bounds.of(0, 1, 0).orElseThrow();
        Range lift = bounds.of(0, 0, 4).orElseThrow();
        boolean bounded = finite(longBow.get()) && finite(crossBow) && finite(lift);
        Allowed allowed = new Allowed(longBow.get(), crossBow, lift, BowTwistZone.over(bands, bounded));
        List<Bow> bows = Arrays.stream(Judged.values())
                .map(j -> new Bow(
                        j, bounds.of(Arrays.stream(formOf(j)).map(c -> c / 4).toArray()), laid(j).isPresent()))
                .toList();
        Range gap = ChordGap.over(bands, bounded);
        Verdict verdict = verdict(gapProven, gap, bows, allowed);
        Optional<Try> next = verdict == Verdict.NOT_PROVEN ? Optional.of(next(bows)) : Optional.empty();
        return new FeelerResult(
                verdict,
                gapProven,
                gap.most(),
                Optional.of(allowed),
                bows,
                List.of(),
                next,
                lookAhead ? triesAtBest(verdict, next) : OptionalInt.empty());
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
        return open ? new Feelers(survey, LEFT_OPEN).result(lookAhead) : contradicts(gapProven, odd);
    }

    /** Those that give way when all must be explained as far as possible. */
    private List<Odd> giveWay() {
        List<Said> all = new ArrayList<>();
        for (int i = 0; i < survey.lines().size(); i++) {
            all.addAll(said(survey.lines().get(i), i, survey));
        }
        double[] slack = new LinearBounds(all.stream().map(Said::band).toList(), 3).giveWay();
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
                gapProven,
                Double.POSITIVE_INFINITY,
                Optional.empty(),
                bows,
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

    /** The judged line that an edge lies closest to. */
    private Judged nearest(FeelerLine line) {
        return Arrays.stream(Judged.values())
                .min(Comparator.comparingDouble(j -> away(j, line)))
                .orElseThrow();
    }

    private static double[] formOf(Judged j) {
        return FeelerLine.form(j.du, j.dv);
    }

    /** How far an edge lies from a judged line, in u and v; turning the edge end for end changes nothing. */
    private double away(Judged j, FeelerLine line) {
        Box box = survey.box();
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
            double away = away(j, line);
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
        double blade = limitTells || !Double.isFinite(size.most()) ? limit : (size.least() + size.most()) / 2;
        Spot from = corner(worst.line(), false);
        Spot to = corner(worst.line(), true);
        if (laid.isPresent()) {
            from = survey.lines().get(laid.getAsInt()).from();
            to = survey.lines().get(laid.getAsInt()).to();
        }
        return new Try(worst.line(), laid, from, to, crowned ? 0 : 0.5, blade);
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
            then = then.with(refused(then, attempt));
            FeelerResult result = new Feelers(then, leftOpen).result(false);
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
