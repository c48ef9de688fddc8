package homalon.core.visit;

import homalon.core.cut.TouchCells;
import homalon.core.cut.TouchComparison;
import homalon.core.cut.Tram;
import homalon.core.face.Cover;
import homalon.core.face.FaceJudge;
import homalon.core.face.FaceMap;
import homalon.core.face.FaceWords;
import homalon.core.face.ScanFace;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.part.Land;
import homalon.core.part.LandRaster;
import homalon.core.part.Layout;
import homalon.core.quantity.Length;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.RuleBook;
import homalon.core.sure.CleanUp;
import homalon.core.sure.FaceGrid;
import homalon.core.sure.Sureness;
import homalon.core.surface.Noise;
import homalon.core.words.Message;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiFunction;

/**
 * What a survey says of a face.
 *
 * @param all every place that was read, with what its reading says once what bends it is taken off
 * @param points their heights, in that order
 * @param judgement from the sealing places
 * @param map through every place that was read
 * @param shape in words
 * @param limit overall, in force
 * @param noise what is open of its readings
 * @param sureness how sure it is within its limits; empty while only the readings are looked at
 */
public record FaceFinding(
        List<SurveyFile.PlaceFile> all,
        Points points,
        FaceJudge.Judgement judgement,
        Optional<FaceMap> map,
        Message shape,
        Length limit,
        Noise noise,
        Optional<Sureness> sureness) {

    /**
     * What the readings by themselves say: out, or not proven. Empty while fewer than four sealing places are read, or all on one line.
     *
     * @param limits in force
     * @param rule that within asks for
     * @param covers of places, kept or worked out
     * @param kept what of a map depends on where the places are alone
     */
    public static Optional<FaceFinding> of(
            SurveyFile survey,
            LandRaster land,
            List<FlatnessLimit> limits,
            FaceRule rule,
            BiFunction<Points, Land, Cover> covers,
            FaceMap.Kept kept) {
        List<SurveyFile.PlaceFile> all = survey.corrected();
        List<SurveyFile.PlaceFile> sealing =
                all.stream().filter(SurveyFile.PlaceFile::sealing).toList();
        if (sealing.size() < 4) {
            return Optional.empty();
        }
        Points seal = SurveyFile.points(sealing);
        if (seal.onOneLine()) {
            return Optional.empty();
        }
        FaceJudge.Judgement judgement = FaceJudge.judge(
                seal,
                sealing.stream().map(SurveyFile.PlaceFile::name).toList(),
                new FaceJudge.Settings(
                        land.layout(),
                        limits,
                        rule.cover().orElse(Double.POSITIVE_INFINITY),
                        survey.uncertainty().mm(),
                        survey.with().corrections().curvature(),
                        rule.risk().isEmpty()),
                covers);
        Noise noise = new Noise(
                Sureness.noise(survey.uncertainty().mm()),
                survey.with().corrections().curvature());
        Points points = SurveyFile.points(all);
        Optional<FaceMap> map =
                FaceMap.of(points, judgement.flatness().minimumZone().middle(), land, kept);
        Message shape = FaceWords.shape(judgement.flatness(), seal, land.layout());
        return Optional.of(
                new FaceFinding(all, points, judgement, map, shape, RuleBook.overall(limits), noise, Optional.empty()));
    }

    /**
     * What a scan says, with what lies where nothing was scanned if the rule asks for it; no place of it has a name.
     *
     * @param uncertainty that the scanner is good to
     */
    public static FaceFinding ofScan(
            ScanFace scan, List<FlatnessLimit> limits, FaceRule rule, FaceModel model, Length uncertainty) {
        return new FaceFinding(
                        List.of(),
                        scan.thinned(),
                        scan.judgement(),
                        scan.map(),
                        scan.shape(),
                        RuleBook.overall(limits),
                        Noise.of(Sureness.noise(uncertainty.mm())),
                        Optional.empty())
                .knowing(rule, model, scan.thinned());
    }

    /** The same with what lies between the places, where the rule asks for it. */
    public FaceFinding knowing(PartFile part, FaceModel model) {
        return knowing(FaceRule.of(part), model, SurveyFile.points(sealing()));
    }

    private FaceFinding knowing(FaceRule rule, FaceModel model, Points sealing) {
        if (rule.risk().isEmpty()) {
            return this;
        }
        Sureness known = Sureness.of(
                question(model, rule.spots(model.grid().ground()), rule.risk().getAsDouble()), sealing);
        return new FaceFinding(all, points, known.judge(judgement), map, shape, limit, noise, Optional.of(known));
    }

    private Sureness.Question question(FaceModel model, List<Spot> gone, double risk) {
        return new Sureness.Question(model.grid(), model.prior(), noise, gone, risk);
    }

    private List<SurveyFile.PlaceFile> sealing() {
        return all.stream().filter(SurveyFile.PlaceFile::sealing).toList();
    }

    /**
     * How much of the face a cut cleans, with what lies between its places and what the cutter was seen to touch; empty for what was handed
     * over while that was not asked.
     *
     * @param plane that is level with the cutter
     * @param looks after passes, in their order
     * @param depths from first touch that are asked about, mm
     */
    public Optional<CleanUp> cleanUp(
            PartFile part,
            FaceModel model,
            LandRaster land,
            Plane plane,
            List<TouchComparison.Look> looks,
            List<Double> depths) {
        FaceRule rule = FaceRule.of(part);
        if (rule.risk().isEmpty()) {
            return Optional.empty();
        }
        FaceGrid grid = model.grid();
        List<Spot> spots = grid.spots();
        boolean[] seals = seals(land, spots);
        boolean[] clean = seals.clone();
        // A place that was read and seals has to come clean wherever it lies.
        sealing().stream()
                .map(SurveyFile.PlaceFile::spot)
                .filter(s -> !land.bands().leavesOut(land.layout(), s))
                .forEach(s -> clean[nearest(spots, s)] = true);
        TouchCells cells = TouchCells.of(land);
        Sureness.Question question =
                question(model, rule.spots(grid.ground()), rule.risk().getAsDouble());
        return Optional.of(CleanUp.of(
                question,
                SurveyFile.points(sealing()),
                new CleanUp.Cut(plane, clean, seals),
                looks.stream().map(l -> cells.seen(l, spots)).toList(),
                depths.stream().mapToDouble(Double::doubleValue).toArray()));
    }

    /** Which places lie where the gasket seals, but for those that lie nearest to one that was marked as not sealing; all where none does. */
    private boolean[] seals(LandRaster land, List<Spot> spots) {
        List<Spot> read = all.stream().map(SurveyFile.PlaceFile::spot).toList();
        boolean[] seals = new boolean[spots.size()];
        boolean any = false;
        for (int i = 0; i < seals.length; i++) {
            seals[i] = land.bands().seals(land.layout(), spots.get(i))
                    && all.get(nearest(read, spots.get(i))).sealing();
            any = any || seals[i];
        }
        if (!any) {
            Arrays.fill(seals, true);
        }
        return seals;
    }

    private static int nearest(List<Spot> spots, Spot to) {
        int best = 0;
        for (int i = 1; i < spots.size(); i++) {
            best = spots.get(i).distance(to) < spots.get(best).distance(to) ? i : best;
        }
        return best;
    }

    /** Whether the low place among the sealing ones that the shape names lies between two bores. */
    public boolean lowBetweenBores(Layout layout) {
        return FaceWords.lowBetweenBores(judgement.flatness(), SurveyFile.points(sealing()), layout);
    }

    /**
     * Whether a face that was cut is shaped as a spindle out of square leaves it.
     *
     * @param cutter over its edges, mm; empty where none was noted with the pass
     */
    public Optional<Tram> tram(Layout layout, OptionalDouble cutter) {
        return Tram.seen(points, layout.box(), cutter, noise.each());
    }

    /** Heights that the map's full colours stand for at the least, mm: a zone of the limit spans them. */
    public double colourReach() {
        return limit.mm() / 2;
    }
}
