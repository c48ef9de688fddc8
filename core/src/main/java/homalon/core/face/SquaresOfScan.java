package homalon.core.face;

import homalon.core.geometry.Points;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.verdict.Verdict;
import homalon.core.verdict.Working;
import homalon.core.words.Message;
import java.util.Optional;
import java.util.OptionalDouble;

/** Any square of a scan: each lies within one of a grid of larger ones, and the grid's own squares are squares. */
final class SquaresOfScan {
    private SquaresOfScan() {}

    static LimitVerdict judge(Points points, FaceJudge.Settings settings, FlatnessLimit limit) {
        double side = limit.window().orElseThrow().mm();
        WindowBounds.Bounds b = WindowBounds.of(points, settings.layout().box(), side);
        Working.Builder working = Working.of(Message.of("face.flatness-in-any-square-of-a-stated-side"))
                .line(Message.of("face.squares-of-side-a-quarter-of-it-apart"), side, b.least())
                .line(Message.of("face.any-square-lies-within-one-of-side-the"), b.larger(), b.most())
                .line(
                        Message.of("face.limit-from", limit.source().words()),
                        limit.most().mm());
        double limitMm = limit.most().mm() + FlatnessSettings.VERDICT_SLACK_MM;
        boolean out = b.least() - settings.uncertainty() > limitMm;
        boolean under = b.most() + settings.uncertainty() <= limitMm;
        LimitVerdict.Readings stand = out
                ? LimitVerdict.Readings.OVER
                : settings.byRule() && !b.filled()
                        ? LimitVerdict.Readings.TOO_FEW
                        : under ? LimitVerdict.Readings.UNDER : LimitVerdict.Readings.CLOSE;
        Message why = switch (stand) {
            case OVER -> Message.NONE;
            case UNDER ->
                settings.byRule() ? Message.NONE : Message.of("face.what-lies-between-the-places-is-worked-out");
            case CLOSE -> Message.of("face.close-to-the-limit-in-some-square");
            case TOO_FEW -> Message.of("face.some-squares-hold-fewer-than-four");
        };
        return new LimitVerdict(
                limit,
                stand,
                out
                        ? Verdict.OUT
                        : settings.byRule() && stand == LimitVerdict.Readings.UNDER
                                ? Verdict.WITHIN
                                : Verdict.NOT_PROVEN,
                OptionalDouble.of(b.least()),
                why,
                Optional.empty(),
                working.done());
    }
}
