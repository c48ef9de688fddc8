package homalon.app.check.face;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.Faces;
import homalon.core.geometry.Plane;
import homalon.core.ledger.Ledger;
import homalon.core.ledger.ThicknessCheck;
import homalon.core.lines.Taper;
import homalon.core.part.Layout;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.rulebook.FaceDefaults;
import homalon.core.rulebook.RuleBook;
import homalon.core.visit.PartFile;
import homalon.core.visit.SquareReference;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Writes the thickness: how even it is, and after the cut whether micrometer and ledger agree. */
@Component
@RequiredArgsConstructor
public class ThicknessViews {
    private final SquareReference square;
    private final Faces faces;
    private final Surveys surveys;
    private final Ledgers ledgers;

    /** Empty until one place was read both before and after the cut. */
    public Optional<ThicknessCheck> check(PartFile part) {
        return surveys.find(part, SurveyKind.THICKNESS_AFTER).flatMap(after -> check(part, after));
    }

    private Optional<ThicknessCheck> check(PartFile part, SurveyFile after) {
        Ledger.CornerTotals booked =
                ledgers.of(part).ledger().corners(part.visit().id());
        return surveys.find(part, SurveyKind.THICKNESS)
                .flatMap(before -> ThicknessCheck.of(
                        read(before),
                        read(after),
                        booked.thisJob(),
                        layout(part).box()));
    }

    private static List<ThicknessCheck.Read> read(SurveyFile survey) {
        return survey.corrected().stream()
                .map(p -> new ThicknessCheck.Read(p.name(), p.spot(), p.value()))
                .toList();
    }

    private Layout layout(PartFile part) {
        return faces.layout(part.numbers());
    }

    /** In words for the report: empty until it can be said. */
    public Optional<String> sentence(PartFile part, LengthWriter writer) {
        return check(part)
                .map(c -> c.agrees()
                        ? "Thickness before and after the cut agrees with the ledger to "
                                + writer.full(Math.abs(c.worst().apart())) + "."
                        : "Thickness and ledger disagree: " + apart(c, writer));
    }

    FaceView.Headline headline(PartFile part, SurveyFile survey, LengthWriter writer) {
        if (survey.kind() == SurveyKind.THICKNESS_AFTER && survey.read() > 0) {
            return afterHeadline(check(part, survey), writer);
        }
        Optional<Taper> taper = taper(part, survey);
        if (taper.isEmpty()) {
            return new FaceView.Headline("open", "Not measured yet", "Key the thickness at three corners or more.");
        }
        SurveyFile.PlaceFile thin = survey.corrected().get(taper.get().thinnest());
        return new FaceView.Headline(
                "open",
                "Thinnest " + writer.number(thin.value()),
                "At the " + thin.name().toLowerCase(Locale.ROOT) + ".");
    }

    private static FaceView.Headline afterHeadline(Optional<ThicknessCheck> check, LengthWriter writer) {
        if (check.isEmpty()) {
            return new FaceView.Headline(
                    "open",
                    "Nothing to compare",
                    "The thickness was not read at these places before the cut: the ledger stands alone.");
        }
        return check.get().agrees()
                ? new FaceView.Headline(
                        "within",
                        "Agrees with the ledger",
                        "Nowhere further apart than "
                                + writer.full(Math.abs(check.get().worst().apart())) + ".")
                : new FaceView.Headline("out", "Not what the ledger says", apart(check.get(), writer));
    }

    private static String apart(ThicknessCheck check, LengthWriter writer) {
        ThicknessCheck.At worst = check.worst();
        String place = worst.name().toLowerCase(Locale.ROOT);
        return "at the " + place + " the micrometer says " + writer.full(worst.byMicrometer())
                + " came off, the ledger "
                + writer.full(worst.byLedger()) + "; more than " + writer.full(RuleBook.THICKNESS_APART)
                + " apart (default). Read both again, look for a pass that was not logged, or for a casting that moved.";
    }

    List<FaceView.Row> rows(PartFile part, SurveyFile survey, LengthWriter writer) {
        List<FaceView.Row> rows = new ArrayList<>();
        if (survey.kind() == SurveyKind.THICKNESS_AFTER) {
            check(part, survey).ifPresent(c -> c.places().forEach(p -> rows.add(placeRow(p, writer))));
        }
        taper(part, survey).ifPresent(t -> rows.addAll(taperRows(t, layout(part), writer)));
        return rows;
    }

    private static FaceView.Row placeRow(ThicknessCheck.At p, LengthWriter writer) {
        boolean apart = Math.abs(p.apart()) > RuleBook.THICKNESS_APART.mm() + 1e-9;
        return new FaceView.Row(
                "Off, " + p.name().toLowerCase(Locale.ROOT),
                writer.number(p.byMicrometer()),
                "ledger " + writer.number(p.byLedger()) + ", apart " + writer.signed(p.apart()),
                apart ? "out" : "within");
    }

    private static List<FaceView.Row> taperRows(Taper taper, Layout layout, LengthWriter writer) {
        boolean intakeThick = taper.across() > 0 == layout.numbers().intakeAtTop();
        return List.of(
                taperRow(
                        "Taper, end to end",
                        taper.along(),
                        taper.along() > 0 ? "thicker at the rear" : "thicker at the front",
                        layout.box().width(),
                        writer),
                taperRow(
                        "Taper, across",
                        taper.across(),
                        intakeThick ? "thicker on the intake side" : "thicker on the exhaust side",
                        layout.box().height(),
                        writer));
    }

    /** Over the whole face, which says how long it is: the same slope is another figure over another length. */
    private static FaceView.Row taperRow(String name, double taper, String side, double over, LengthWriter writer) {
        Length span = FaceDefaults.Item.SQUARE.usual(writer.unit()).orElseThrow();
        return new FaceView.Row(
                name,
                writer.number(Math.abs(taper)),
                side + ", over " + writer.size(Length.roundedFromMm(over)) + ": "
                        + writer.number(Math.abs(taper) / over * span.mm()) + " in any " + writer.size(span),
                "");
    }

    /** Of the places of the thickness that were read, mm; empty until it was. */
    Optional<Double> mean(PartFile part) {
        return surveys.find(part, SurveyKind.THICKNESS)
                .map(s ->
                        s.corrected().stream().mapToDouble(p -> p.value().mm()).average())
                .filter(OptionalDouble::isPresent)
                .map(OptionalDouble::getAsDouble);
    }

    /** Plane of the thickness as it came; empty until it was read. */
    Optional<Plane> plane(PartFile part) {
        return square.over(part)
                .or(() -> surveys.find(part, SurveyKind.THICKNESS)
                        .flatMap(s -> taper(part, s))
                        .map(Taper::plane));
    }

    private Optional<Taper> taper(PartFile part, SurveyFile survey) {
        return Taper.of(SurveyFile.points(survey.corrected()), layout(part).box());
    }
}
