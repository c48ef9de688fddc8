package homalon.core.face;

import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.part.Land;
import homalon.core.part.Layout;
import homalon.core.part.PlaceNames;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.verdict.Verdict;
import homalon.core.verdict.Working;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Judges a survey against every limit in force. Points that do not seal are to be left out before; the rest is judged as
 * {@link Flatness} says, with the instrument's uncertainty kept as a guard band on both sides of each limit.
 */
public final class FaceJudge {

    /**
     * @param layout of the face
     * @param limits in force
     * @param cover within which every place of the land must have a measured one, mm; infinite where no such rule is kept
     * @param uncertainty of the instrument, mm
     * @param curvature standard uncertainty of a bend that all readings share, 1/mm: what is open of warmth that was taken off
     * @param byRule whether a rule of cover and of places enough is all that within asks for; else nothing is within by readings alone,
     *     and what lies between the places is for the caller to judge
     */
    public record Settings(
            Layout layout,
            List<FlatnessLimit> limits,
            double cover,
            double uncertainty,
            double curvature,
            boolean byRule) {

        /** By the rule of cover. */
        public Settings(Layout layout, List<FlatnessLimit> limits, double cover, double uncertainty) {
            this(layout, limits, cover, uncertainty, 0, true);
        }

        /** What readings alone say, with no rule of cover. */
        public static Settings ofReadings(Layout layout, List<FlatnessLimit> limits, double uncertainty) {
            return new Settings(layout, limits, Double.POSITIVE_INFINITY, uncertainty, 0, false);
        }
    }

    /**
     * @param flatness the figures
     * @param limits one verdict for each limit
     * @param worst the verdict of the whole: out when any is out, within only when all are
     * @param uncertainty of one reading, mm
     */
    public record Judgement(FlatnessResult flatness, List<LimitVerdict> limits, Verdict worst, double uncertainty) {
        /** The same with other verdicts on its limits, in their order. */
        public Judgement with(List<LimitVerdict> known) {
            return new Judgement(flatness, List.copyOf(known), worstOf(known), uncertainty);
        }
    }

    private final Points points;
    private final IntFunction<String> names;
    private final Settings settings;
    private final Guard guard;
    private final FlatnessResult flatness;

    private final boolean cloud;
    private @Nullable Spot shapeNext;

    private FaceJudge(
            Points points,
            IntFunction<String> names,
            Settings settings,
            boolean cloud,
            BiFunction<Points, Land, Cover> covering) {
        this.points = points;
        this.names = names;
        this.settings = settings;
        this.guard = new Guard(settings.layout(), settings.uncertainty(), settings.curvature());
        this.cloud = cloud;
        this.flatness = cloud
                ? Flatness.ofCloud(points, flatnessSettings())
                : Flatness.of(points, flatnessSettings(), covering);
    }

    /**
     * @param names what each point is called in the working
     * @throws homalon.core.input.BadInputException as {@link Flatness#of}
     */
    public static Judgement judge(Points points, List<String> names, Settings settings) {
        return judge(points, names, settings, Cover::of);
    }

    /**
     * The same.
     *
     * @param covering answers what {@link Cover#of} answers, from a store of the caller
     */
    public static Judgement judge(
            Points points, List<String> names, Settings settings, BiFunction<Points, Land, Cover> covering) {
        return new FaceJudge(points, names::get, settings, false, covering).judge();
    }

    /** The same for a scan of up to millions of points, at least four and not on one line; any square is bounded, not searched. */
    public static Judgement judgeCloud(Points points, Settings settings) {
        return new FaceJudge(points, i -> "point " + (i + 1), settings, true, Cover::of).judge();
    }

    private FlatnessSettings flatnessSettings() {
        Layout layout = settings.layout();
        FlatnessSettings base = FlatnessSettings.over(layout.box());
        Optional<FlatnessLimit> overall = settings.limits().stream()
                .filter(l -> l.scope() == FlatnessLimit.Scope.OVERALL)
                .findFirst();
        return new FlatnessSettings(
                layout.box(),
                layout.askedLand(),
                overall.map(l -> OptionalDouble.of(l.most().mm())).orElse(OptionalDouble.empty()),
                OptionalDouble.empty(),
                settings.cover(),
                layout.bores().stream()
                        .map(b -> new FlatnessSettings.Ring(b.centre(), b.diameter()))
                        .toList(),
                base.band(),
                settings.uncertainty(),
                base.slack());
    }

    private Judgement judge() {
        List<LimitVerdict> verdicts = new ArrayList<>();
        for (FlatnessLimit limit : settings.limits()) {
            verdicts.add(
                    switch (limit.scope()) {
                        case OVERALL -> overall(limit);
                        case ALONG -> rows(limit, true);
                        case ACROSS -> rows(limit, false);
                        case WINDOW -> window(limit);
                        case BORE -> bores(limit);
                    });
        }
        return new Judgement(flatness, List.copyOf(verdicts), worstOf(verdicts), settings.uncertainty());
    }

    private static Verdict worstOf(List<LimitVerdict> verdicts) {
        boolean out = verdicts.stream().anyMatch(v -> v.verdict() == Verdict.OUT);
        boolean within = !verdicts.isEmpty() && verdicts.stream().allMatch(v -> v.verdict() == Verdict.WITHIN);
        return out ? Verdict.OUT : within ? Verdict.WITHIN : Verdict.NOT_PROVEN;
    }

    private LimitVerdict overall(FlatnessLimit limit) {
        double zone = flatness.minimumZone().zone();
        return proven(limit, OptionalDouble.of(zone), zone, true, Message.NONE, zoneWorking(limit));
    }

    private LimitVerdict rows(FlatnessLimit limit, boolean lengthwise) {
        Optional<LineFlatness.Worst> worst = LineFlatness.of(cloud ? thinned() : points, lengthwise);
        Working.Builder working = Working.of(
                Message.of("face.straightness", lengthwise ? Message.of("face.along") : Message.of("face.across")));
        worst.ifPresentOrElse(
                w -> working.line(
                        Message.of(
                                "face.worst-of-rows-places-about-from-the",
                                w.rows(),
                                lengthwise ? Message.of("face.along") : Message.of("face.across"),
                                w.places()),
                        w.middle().x(),
                        w.middle().y(),
                        w.straightness()),
                () -> working.line(Message.of("face.no-row-holds-three-places")));
        working.line(
                Message.of("face.limit-from", limit.source().words()),
                limit.most().mm());
        return proven(
                limit,
                worst.isPresent() ? OptionalDouble.of(worst.get().straightness()) : OptionalDouble.empty(),
                worst.map(LineFlatness.Worst::straightness).orElse(0.0),
                worst.filter(w -> w.rows() >= 2).isPresent(),
                Message.of(
                        "face.fewer-than-two-rows-hold-three-places",
                        lengthwise ? Message.of("face.along") : Message.of("face.across")),
                working.done());
    }

    /** Rows of a scan are looked at in a part of its points, evenly taken: they lie far closer than any row needs. */
    private Points thinned() {
        int every = Math.max(1, points.size() / ENOUGH_FOR_ROWS);
        int[] picked =
                IntStream.iterate(0, i -> i < points.size(), i -> i + every).toArray();
        return points.pick(picked);
    }

    private static final int ENOUGH_FOR_ROWS = 20_000;

    private LimitVerdict window(FlatnessLimit limit) {
        if (cloud) {
            return SquaresOfScan.judge(points, settings, limit);
        }
        double side = limit.window().orElseThrow().mm();
        double slack = FlatnessSettings.VERDICT_SLACK_MM;
        Optional<WindowFlatness.Worst> worst = WindowFlatness.worst(points, side, slack);
        double whole = flatness.minimumZone().zone();
        boolean wholeFaceWithin = whole + guard.kept(limit) <= limit.most().mm() + slack;
        boolean filled = wholeFaceWithin
                || WindowFlatness.everyHolds(4, points, settings.layout().box(), side);
        double zone = worst.map(WindowFlatness.Worst::zone).orElse(wholeFaceWithin ? whole : 0.0);
        OptionalDouble value = worst.isPresent() || wholeFaceWithin ? OptionalDouble.of(zone) : OptionalDouble.empty();
        Working.Builder working = Working.of(Message.of("face.flatness-in-any-square-of-a-stated-side"));
        worst.ifPresentOrElse(
                w -> working.line(
                        Message.of("face.worst-square-of-side-lower-left-corner", w.points()),
                        side,
                        w.x0(),
                        w.y0(),
                        w.zone()),
                () -> working.line(Message.of("face.no-square-of-side-holds-four-measured"), side));
        if (wholeFaceWithin) {
            working.line(Message.of("face.the-whole-face-has-a-zone-of-so-no"), whole);
        }
        working.line(
                Message.of("face.limit-from", limit.source().words()),
                limit.most().mm());
        return proven(limit, value, zone, filled, Message.of("face.for-the-limit-in-any-square-some"), working.done());
    }

    private LimitVerdict bores(FlatnessLimit limit) {
        double worst = 0;
        boolean filled = true;
        boolean any = false;
        Working.Builder working = Working.of(Message.of("face.flatness-in-the-ring-around-each-bore"));
        for (int i = 0; i < flatness.bores().size(); i++) {
            BoreFlatness bore = flatness.bores().get(i);
            int number = settings.layout().bores().get(i).number();
            if (bore.zone().isPresent()) {
                any = true;
                worst = Math.max(worst, bore.zone().getAsDouble());
                working.line(
                        Message.of("face.bore-places-minimum-zone", number, bore.points()),
                        bore.zone().getAsDouble());
            } else {
                filled = false;
                working.line(Message.of("face.bore-places-four-are-needed", number, bore.points()));
            }
        }
        working.line(
                Message.of("face.limit-from", limit.source().words()),
                limit.most().mm());
        return proven(
                limit,
                any ? OptionalDouble.of(worst) : OptionalDouble.empty(),
                worst,
                filled,
                Message.of("face.not-every-bore-has-four-places-in-its"),
                working.done());
    }

    private LimitVerdict proven(
            FlatnessLimit limit, OptionalDouble value, double zone, boolean filled, Message unfilled, Working working) {
        boolean covered = flatness.cover().distance() <= settings.cover() + FlatnessSettings.VERDICT_SLACK_MM;
        boolean enough = !settings.byRule() || (filled && flatness.bend().determined());
        LimitVerdict.Readings stand = readings(limit, zone, covered && enough);
        return switch (stand) {
            case OVER -> new LimitVerdict(limit, stand, Verdict.OUT, value, Message.NONE, Optional.empty(), working);
            case CLOSE ->
                new LimitVerdict(
                        limit,
                        stand,
                        Verdict.NOT_PROVEN,
                        value,
                        Message.of("face.closer-to-the-limit-than-the-instrument"),
                        Optional.empty(),
                        working);
            case TOO_FEW -> tooFew(limit, value, covered, filled, unfilled, working);
            case UNDER ->
                settings.byRule()
                        ? new LimitVerdict(limit, stand, Verdict.WITHIN, value, Message.NONE, Optional.empty(), working)
                        : new LimitVerdict(
                                limit,
                                stand,
                                Verdict.NOT_PROVEN,
                                value,
                                Message.of("face.what-lies-between-the-places-is-worked-out"),
                                Optional.empty(),
                                working);
        };
    }

    private LimitVerdict.Readings readings(FlatnessLimit limit, double zone, boolean enough) {
        double most = limit.most().mm() + FlatnessSettings.VERDICT_SLACK_MM;
        if (zone - guard.kept(limit) > most) {
            return LimitVerdict.Readings.OVER;
        }
        if (zone + guard.kept(limit) > most) {
            return LimitVerdict.Readings.CLOSE;
        }
        return enough ? LimitVerdict.Readings.UNDER : LimitVerdict.Readings.TOO_FEW;
    }

    private LimitVerdict tooFew(
            FlatnessLimit limit,
            OptionalDouble value,
            boolean covered,
            boolean filled,
            Message unfilled,
            Working working) {
        Message why = uncovered();
        Spot next = flatness.cover().furthest();
        if (covered) {
            why = filled ? unshaped() : unfilled;
            next = filled
                    ? shapeNext()
                    : PlacesWanted.next(settings.layout(), points, limit, settings.cover())
                            .orElse(next);
        }
        return new LimitVerdict(
                limit, LimitVerdict.Readings.TOO_FEW, Verdict.NOT_PROVEN, value, why, Optional.of(next), working);
    }

    private Working zoneWorking(FlatnessLimit limit) {
        MinimumZone.Result zone = flatness.minimumZone();
        Plane plane = zone.middle();
        Working.Builder working = Working.of(Message.of("face.flatness-least-zone-between-two"))
                .line(Message.of("face.two-parallel-planes-as-close-as-they"));
        for (int k = 0; k < zone.support().length; k++) {
            int i = zone.support()[k];
            working.line(
                    Message.of(
                            "face.read",
                            zone.above()[k]
                                    ? Message.of("face.upper-plane-touches")
                                    : Message.of("face.lower-plane-touches"),
                            names.apply(i)),
                    points.z(i));
        }
        working.line(
                        Message.of("face.the-planes-rise-along-the-face-and"),
                        plane.a() * settings.layout().box().width(),
                        plane.b() * settings.layout().box().height())
                .line(Message.of("face.distance-between-them-square-to-them"), zone.zone())
                .line(Message.of("face.about-the-least-squares-plane-it-would"), flatness.leastSquares())
                .line(
                        Message.of("face.limit-from", limit.source().words()),
                        limit.most().mm())
                .line(Message.of("face.instruments-uncertainty-kept-on-both"), settings.uncertainty());
        if (settings.curvature() > 0) {
            working.line(Message.of("face.with-what-is-open-of-warmth"), guard.kept(limit));
        }
        if (Double.isFinite(settings.cover())) {
            working.line(
                    Message.of("face.land-furthest-from-a-measured-place-to"),
                    flatness.cover().distance(),
                    settings.cover());
        }
        return working.done();
    }

    /** The proposed place whose reading determines most of what is open; among equals the one furthest from all that was read. */
    private Spot shapeNext() {
        if (shapeNext == null) {
            shapeNext = PlaceProposal.of(settings.layout(), PlaceProposal.Density.CLOSE).stream()
                    .map(PlaceProposal.Place::spot)
                    .max(Comparator.comparingInt((Spot s) -> BowAndTwist.determinedWith(
                                    points, settings.layout().box(), s))
                            .thenComparingDouble(this::fromAll))
                    .orElse(flatness.cover().furthest());
        }
        return shapeNext;
    }

    private double fromAll(Spot s) {
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < points.size(); i++) {
            least = Math.min(least, Math.hypot(points.x(i) - s.x(), points.y(i) - s.y()));
        }
        return least;
    }

    private Message unshaped() {
        return Message.of(
                "face.these-places-leave-open-read-more", flatness.bend().open());
    }

    private Message uncovered() {
        String name = PlaceNames.name(settings.layout(), flatness.cover().furthest());
        return Message.of(
                "face.land-is-left-unmeasured-near", Character.toLowerCase(name.charAt(0)), name.substring(1));
    }
}
