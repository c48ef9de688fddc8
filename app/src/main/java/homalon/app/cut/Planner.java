package homalon.app.cut;

import homalon.app.face.Findings;
import homalon.app.face.SurveyFile;
import homalon.app.face.SurveyKind;
import homalon.app.face.Surveys;
import homalon.app.part.Faces;
import homalon.app.part.PartFile;
import homalon.core.cut.School;
import homalon.core.cut.SetUp;
import homalon.core.cut.SetUpSettings;
import homalon.core.cut.SetUps;
import homalon.core.cut.Slopes;
import homalon.core.face.FaceMap;
import homalon.core.geometry.Box;
import homalon.core.geometry.Points;
import homalon.core.geometry.Raster;
import homalon.core.geometry.Spot;
import homalon.core.lines.Taper;
import homalon.core.numeric.LeastSquaresPlane;
import homalon.core.part.Layout;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.RuleBook;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Asks the core for the set-ups of a face that was read. */
@Component
public class Planner {
    private static final Length HALF_THOU = Length.ofThou("0.5");
    private static final Length DIAL_MM = Length.ofMm("0.005");

    private final Surveys surveys;
    private final Findings findings;
    private final Faces faces;

    Planner(Surveys surveys, Findings findings, Faces faces) {
        this.surveys = surveys;
        this.findings = findings;
        this.faces = faces;
    }

    /**
     * @param setups side by side; parallel only when the thickness was read
     * @param supports A, B, C
     * @param reference slopes of the other deck, when the thickness was read
     */
    public record Compared(
            SurveyFile survey,
            Findings.Finding finding,
            FaceMap map,
            List<SetUp> setups,
            List<Spot> supports,
            Optional<Slopes> reference,
            Layout layout) {

        public Optional<SetUp> with(School school) {
            return setups.stream().filter(s -> s.school() == school).findFirst();
        }

        /** From first touch until every sealing place is clean, on the rounded shims, mm. */
        public double toClean(SetUp setup) {
            return setup.firstTouch() + setup.depthWithShims();
        }

        /** Height over the set-up's plane at which the cutter first touches, mm. */
        public double highest(SetUp setup) {
            return finding.points().range(setup.plane()).most();
        }

        public Raster heights(SetUp setup) {
            return map.heightsAbove(setup.plane());
        }
    }

    /** Empty while the face cannot be judged. */
    public Optional<Compared> compare(PartFile part, BenchUnit unit) {
        Optional<SurveyFile> survey = surveys.find(part, SurveyKind.FACE);
        Optional<Findings.Finding> finding = survey.flatMap(s -> findings.of(part, s));
        if (finding.isEmpty() || finding.get().map().isEmpty()) {
            return Optional.empty();
        }
        Layout layout = faces.layout(part.numbers());
        Points points = finding.get().points();
        Optional<Taper> taper = surveys.find(part, SurveyKind.THICKNESS)
                .flatMap(t -> Taper.of(SurveyFile.points(t.readPlaces()), layout.box()));
        Optional<Slopes> reference = taper.map(t -> Slopes.ofReference(LeastSquaresPlane.fit(points), t.plane()));
        List<SurveyFile.PlaceFile> all = finding.get().all();
        boolean[] sealing = new boolean[all.size()];
        for (int i = 0; i < sealing.length; i++) {
            sealing[i] = all.get(i).sealing();
        }
        List<Spot> supports = supports(layout.box());
        SetUpSettings settings = new SetUpSettings(
                sealing,
                supports,
                corners(points, layout.box()),
                reference,
                shimStep(unit).mm(),
                new double[0]);
        return Optional.of(new Compared(
                survey.get(),
                finding.get(),
                finding.get().map().get(),
                SetUps.of(points, settings),
                supports,
                reference,
                layout));
    }

    /** The shim stock's step: a hundredth of a millimetre, or half a thou. */
    static Length shimStep(BenchUnit unit) {
        return unit == BenchUnit.MM ? RuleBook.DEFAULT_SHIM_STEP : HALF_THOU;
    }

    /** Steps in which depths of passes are planned, as the dial has them. */
    static Length dialStep(BenchUnit unit) {
        return unit == BenchUnit.MM ? DIAL_MM : HALF_THOU;
    }

    /** Two supports under one long edge, the third under the middle of the other. */
    private static List<Spot> supports(Box box) {
        double in = Math.min(25, box.height() * 0.18);
        return List.of(
                new Spot(box.x0() + in, box.y0() + in),
                new Spot(box.x1() - in, box.y0() + in),
                new Spot((box.x0() + box.x1()) / 2, box.y1() - in));
    }

    /** The measured places nearest to the four corners; three when two corners share one. */
    private static int[] corners(Points points, Box box) {
        List<Integer> nearest = new ArrayList<>();
        for (double x : new double[] {box.x0(), box.x1()}) {
            for (double y : new double[] {box.y0(), box.y1()}) {
                Spot corner = new Spot(x, y);
                int best = 0;
                for (int i = 1; i < points.size(); i++) {
                    best = points.spot(i).distance(corner) < points.spot(best).distance(corner) ? i : best;
                }
                if (!nearest.contains(best)) {
                    nearest.add(best);
                }
            }
        }
        return nearest.stream().mapToInt(Integer::intValue).toArray();
    }
}
