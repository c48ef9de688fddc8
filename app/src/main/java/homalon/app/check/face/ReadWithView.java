package homalon.app.check.face;

import homalon.app.shop.instruments.HandView;
import homalon.app.shop.instruments.Hands;
import homalon.core.gauge.Closing;
import homalon.core.gauge.Corrections;
import homalon.core.gauge.Scale;
import homalon.core.quantity.LengthWriter;
import homalon.core.quantity.Quantity;
import homalon.core.rulebook.RuleBook;
import homalon.core.visit.ReadWith;
import homalon.core.visit.SurveyFile;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * What a survey is read with, as its page shows it.
 *
 * @param words what is in hand, and what each reading keeps
 * @param marks what is said of instruments that are not to be relied on
 * @param kinds that may be taken in hand
 * @param again the place that is to be read once more; empty while nothing was read
 * @param moved what came of that
 * @param angle from square at which the indicator stands or last stood, in degrees; empty where it is not asked
 * @param taken off each reading, in a sentence each
 */
public record ReadWithView(
        String words,
        List<String> marks,
        List<HandView.Kind> kinds,
        Optional<String> again,
        Optional<Moved> moved,
        Optional<String> angle,
        List<String> taken) {

    /** @param held whether it was no more than the gauge itself leaves open */
    public record Moved(boolean held, String words) {}

    /** @param angle at which the indicator stands or last stood, degrees */
    static ReadWithView of(SurveyFile survey, List<Hands.Choice> choices, double angle, LengthWriter writer) {
        ReadWith with = survey.with();
        return new ReadWithView(
                words(with, writer),
                marks(with, writer),
                HandView.kinds(choices, with.instruments()),
                SurveyGauges.first(survey).map(SurveyFile.PlaceFile::name),
                with.closing().map(c -> moved(c, writer)),
                survey.kind().ofHeights() ? Optional.of(Quantity.ANGLE.number(angle, writer.unit())) : Optional.empty(),
                taken(with.corrections(), writer));
    }

    /** What is taken off each reading, in a sentence each. */
    static List<String> taken(Corrections known, LengthWriter writer) {
        List<String> all = new ArrayList<>();
        if (known.angle() > 0) {
            all.add("The indicator stands " + Quantity.ANGLE.number(known.angle(), writer.unit()) + "°"
                    + " from square: of what it travels " + String.format(Locale.ROOT, "%.3f", known.cosine())
                    + " is height (cosine).");
        }
        known.warmth()
                .ifPresent(w ->
                        all.add("The bow that warmth makes (this side " + writer.temperature(w.face()) + ", the other "
                                + writer.temperature(w.back()) + ", " + writer.size(w.height())
                                + " apart) is taken off; what that leaves open is kept on both sides of each limit."));
        known.scale()
                .ifPresent(s -> all.add("Sizes are brought to " + writer.temperature(Scale.REFERENCE) + ": part "
                        + writer.temperature(s.part()) + ", gauge " + writer.temperature(s.scale()) + "."));
        return all;
    }

    /** What it was read with in words, and what each reading keeps. */
    static String words(ReadWith with, LengthWriter writer) {
        String kept = "each reading keeps " + writer.full(with.kept()) + " on both sides of a limit";
        if (with.instruments().isEmpty()) {
            String from = with.keyed().equals(RuleBook.DEFAULT_UNCERTAINTY) ? "the general value" : "as it was keyed";
            return "No instrument noted; " + kept + ", " + from + ".";
        }
        return "Read with " + called(with) + "; " + kept + ".";
    }

    /** For the report: what it was read with, what that keeps, and what is said against it. */
    public static String told(ReadWith with, LengthWriter writer) {
        String told = with.instruments().isEmpty()
                ? "instrument good to " + writer.full(with.kept())
                : "read with " + called(with) + ", each reading good to " + writer.full(with.kept());
        List<String> more = new ArrayList<>(marks(with, writer));
        more.addAll(taken(with.corrections(), writer));
        with.closing().map(c -> moved(c, writer).words()).ifPresent(more::add);
        return more.isEmpty() ? told : told + ". " + String.join(" ", more);
    }

    /** All of them, by code and name. */
    static String called(ReadWith with) {
        return HandView.called(with.instruments());
    }

    /** What is said of instruments that were past due, never compared, or found out. */
    public static List<String> marks(ReadWith with, LengthWriter writer) {
        return HandView.marks(with.instruments(), writer);
    }

    private static Moved moved(Closing closing, LengthWriter writer) {
        String apart = writer.full(Math.abs(closing.moved()));
        return new Moved(
                closing.held(),
                closing.held()
                        ? "Read once more it is " + apart + " apart: nothing moved."
                        : "Read once more it is " + apart + " apart, where " + writer.full(closing.allowed())
                                + " is the gauge's own. Something moved, and every reading leaves that much more open: "
                                + "look at the stand and the zero, then read the face again.");
    }
}
