package homalon.core.visit;

import homalon.core.face.FeelerLine;
import homalon.core.face.FeelerLine.Rest;
import homalon.core.face.FeelerLine.Station;
import homalon.core.face.FeelerLine.Tried;
import homalon.core.face.FeelerResult;
import homalon.core.face.FeelerSurvey;
import homalon.core.face.Feelers;
import homalon.core.geometry.Box;
import homalon.core.quantity.Length;
import homalon.core.rulebook.BladeSet;
import homalon.core.rulebook.RuleBook;
import homalon.core.sure.FaceGrid;
import homalon.core.sure.FeelerSureness;
import homalon.core.verdict.Verdict;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/**
 * What a survey by straightedge and feelers says of a face.
 *
 * @param byBlades what bow and twist make of the blades
 * @param result the same with the verdict that stands
 * @param sureness of the face between the edges; empty where it is not asked, or not known yet
 * @param awaited the verdict waits for it
 */
public record FeelerFinding(
        FeelerResult byBlades, FeelerResult result, Optional<FeelerSureness> sureness, boolean awaited) {

    private static final double SLACK = 1e-9;

    /** What the blades say by themselves, at once: out when one as thick as the limit went in, else not proven. */
    public static FeelerFinding byBlades(PartFile part, FeelerFile survey, Box box) {
        FeelerSurvey tried = survey.survey(box, limit(part));
        FeelerResult said = Feelers.look(tried);
        boolean byRisk = risk(part).isPresent();
        if (byRisk && tried.proven() >= tried.limit() - SLACK) {
            FeelerResult out = said.judged(Verdict.OUT, said.odd(), Optional.empty());
            return new FeelerFinding(said, out, Optional.empty(), false);
        }
        if (!byRisk || !asked(part, survey, said)) {
            return new FeelerFinding(said, said, Optional.empty(), false);
        }
        FeelerResult open = said.judged(Verdict.NOT_PROVEN, said.odd(), Optional.empty());
        return new FeelerFinding(said, open, Optional.empty(), true);
    }

    /** The same with what lies between the edges, where the verdict waits for it. */
    public FeelerFinding knowing(PartFile part, FeelerFile survey, FaceModel model) {
        FaceGrid grid = model.grid();
        FeelerSureness known = FeelerSureness.of(new FeelerSureness.Question(
                survey.survey(grid.ground().box(), limit(part)),
                grid,
                model.prior(),
                FaceRule.of(part).spots(grid.ground()),
                risk(part).getAsDouble(),
                survey.lines().stream().map(FeelerFinding::asked).toList(),
                Stream.concat(Stream.of(BladeSet.SHIM), survey.blades().blades().stream())
                        .distinct()
                        .map(Length::mm)
                        .toList(),
                survey.tools(part.rules()),
                !part.rules().before().byStiffEdge()));
        return new FeelerFinding(byBlades, known.judge(byBlades), Optional.of(known), false);
    }

    private static Length limit(PartFile part) {
        return RuleBook.overall(part.limits());
    }

    private static OptionalDouble risk(PartFile part) {
        return part.rules().before().byBlades()
                ? OptionalDouble.empty()
                : FaceRule.of(part).risk();
    }

    /** Once all was tried that was to be, or where the blades would settle it with bow and twist alone. */
    private static boolean asked(PartFile part, FeelerFile survey, FeelerResult said) {
        boolean tried = said.bows().stream().anyMatch(FeelerResult.Bow::tried);
        return tried && (said.verdict() != Verdict.NOT_PROVEN || survey.complete(limit(part)));
    }

    /** Every place of a line at which a blade can be tried. */
    private static FeelerLine asked(FeelerFile.LineFile line) {
        return new FeelerLine(
                line.from(),
                line.to(),
                Rest.NOT_NOTED,
                Tried.NOTHING,
                line.places().stream()
                        .filter(p -> p.asked() == Asked.STATION && !p.skipped())
                        .map(p -> new Station(p.at(), Tried.NOTHING))
                        .toList());
    }
}
