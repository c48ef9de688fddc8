package homalon.app.check.feelers;

import homalon.app.casting.part.Faces;
import homalon.app.casting.work.WorkLog;
import homalon.app.check.face.FaceView;
import homalon.app.foundation.drawing.FaceDrawing;
import homalon.app.foundation.web.Workings;
import homalon.app.foundation.words.Words;
import homalon.app.shop.instruments.HandView;
import homalon.core.face.FeelerResult;
import homalon.core.face.FeelerResult.Try;
import homalon.core.face.FeelerSurvey;
import homalon.core.face.FeelerWords;
import homalon.core.geometry.Range;
import homalon.core.integrity.SmallCheck;
import homalon.core.part.Layout;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.rulebook.BladeSet;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.sure.FeelerSureness;
import homalon.core.sure.Odds;
import homalon.core.verdict.Verdict;
import homalon.core.visit.FeelerFile;
import homalon.core.visit.FeelerFile.LineFile;
import homalon.core.visit.FeelerFile.PlaceFile;
import homalon.core.visit.FeelerFinding;
import homalon.core.visit.FeelerReading;
import homalon.core.visit.FeelerWalk;
import homalon.core.visit.FeelerWorking;
import homalon.core.visit.PartFile;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Writes a feeler survey for the screen and the report. */
@Component
@RequiredArgsConstructor
public class FeelerViews {
    private final Faces faces;
    private final FeelerFindings findings;
    private final WorkLog work;

    public FeelerView of(PartFile part, FeelerFile survey, BenchUnit unit) {
        return of(part, survey, findings.of(part, survey), unit);
    }

    /** What the blades say by themselves: the chance that it is out between the edges follows when it is known. */
    FeelerView atOnce(PartFile part, FeelerFile survey, BenchUnit unit) {
        return of(part, survey, findings.byBlades(part, survey), unit);
    }

    private FeelerView of(PartFile part, FeelerFile survey, FeelerFinding finding, BenchUnit unit) {
        FeelerReading reading = FeelerReading.of(part, survey, faces.layout(part.numbers()), finding, unit);
        return new Writing(reading, work.isTicked(part, SmallCheck.DOWELS_OUT)).view();
    }

    private static final String EXHAUSTED =
            "Blades tell no more of this face: read it with the indicator, or lay the edge on another line.";

    /** One survey being written. */
    private static final class Writing {
        private final FeelerReading read;
        private final boolean dowelsOut;
        private final FeelerFile survey;
        private final LengthWriter writer;
        private final Layout layout;
        private final FlatnessLimit limit;
        private final FeelerResult result;
        private final FeelerRows figures;

        Writing(FeelerReading read, boolean dowelsOut) {
            this.read = read;
            this.dowelsOut = dowelsOut;
            this.survey = read.survey();
            this.writer = read.writer();
            this.layout = read.layout();
            this.limit = read.limit();
            this.result = read.result();
            this.figures = new FeelerRows(read);
        }

        FeelerView view() {
            FaceView.Headline headline = marked(headline());
            FaceDrawing drawing = FaceDrawing.of(
                            layout, survey.kind().path(), headline.words() + ". " + headline.sentence())
                    .edges(FeelerEdges.of(read), Math.max(limit.most().mm(), 0.02));
            return new FeelerView(
                    survey,
                    drawing,
                    survey.begun() ? figures.bows() : "",
                    headline,
                    survey.begun() ? Words.of(FeelerWords.shape(result, layout)).orElse("") : "",
                    result.next()
                            .map(this::next)
                            .orElse(
                                    result.verdict() == Verdict.NOT_PROVEN
                                                    && read.finding().sureness().isPresent()
                                            ? EXHAUSTED
                                            : ""),
                    result.next().flatMap(read::place).map(PlaceFile::id).orElse(null),
                    result.odd().stream().map(this::odd).toList(),
                    survey.begun() ? figures.rows() : List.of(),
                    new FeelerWalk(read, dowelsOut).walk(),
                    survey.begun() ? Workings.of(List.of(FeelerWorking.of(read)), writer) : Workings.NONE,
                    survey.complete(limit.most()),
                    read.finding().awaited());
        }

        /** What is said of an edge or of feelers that are not to be relied on. */
        private FaceView.Headline marked(FaceView.Headline said) {
            List<String> marks = survey.begun() ? HandView.marks(survey.instruments(), writer) : List.of();
            return marks.isEmpty()
                    ? said
                    : new FaceView.Headline(
                            said.style(), said.words(), said.sentence() + " " + String.join(" ", marks));
        }

        private FaceView.Headline headline() {
            if (!survey.begun()) {
                return new FaceView.Headline(
                        "open", "Not measured yet", "Lay the edge on the first line and say how it rests.");
            }
            String limitWords =
                    writer.full(limit.most()) + " " + Words.of(limit.source().words());
            if (read.finding().awaited()) {
                return new FaceView.Headline(
                        "open", "Not proven yet", "What may lie between the edges is being looked at.");
            }
            if (read.finding().sureness().isPresent() && result.verdict() != Verdict.OUT) {
                return between(read.finding().sureness().get(), limitWords);
            }
            return switch (result.verdict()) {
                case WITHIN ->
                    new FaceView.Headline(
                            "within",
                            "Within " + writer.full(limit.most()),
                            (survey.limitKind() == FeelerSurvey.Kind.GAP
                                            ? "No more than " + writer.full(result.gapPossible())
                                                    + " can be under the edge anywhere, flat to "
                                                    + writer.full(zone().most()) + " at worst"
                                            : "Two planes " + writer.full(zone().most()) + " apart hold the face")
                                    + "; limit " + limitWords + ".");
                case OUT ->
                    new FaceView.Headline(
                            "out", out(), "Limit " + limitWords + ". Stop here: no other blade can bring it back.");
                case NOT_PROVEN ->
                    new FaceView.Headline(
                            "open",
                            "Not proven yet",
                            result.consistent() ? unproven(limitWords) : "The readings contradict each other.");
            };
        }

        private FaceView.Headline between(FeelerSureness known, String limitWords) {
            String chance = "Over somewhere between the edges: " + Words.of(known.odds());
            if (result.verdict() == Verdict.WITHIN) {
                return new FaceView.Headline(
                        "within",
                        "Within " + writer.full(limit.most()),
                        chance + ". Most likely flat to " + writer.full(known.toClean()) + "; limit " + limitWords
                                + ".");
            }
            String asked = known.asGoodAsOut()
                    ? ". As good as out: cut it, or read it with the indicator"
                    : known.withinRisk()
                            ? ". Lay an edge on all five lines first"
                            : "; " + Words.of(Odds.of(known.risk(), Integer.MAX_VALUE)) + " is allowed";
            return new FaceView.Headline("open", "Not proven yet", chance + asked + ". Limit " + limitWords + ".");
        }

        private String unproven(String limitWords) {
            String most = Double.isInfinite(result.gapPossible())
                    ? "Nothing bounds the bow on every line yet"
                    : "Up to " + writer.full(result.gapPossible()) + " may still be there";
            String tries = result.triesAtBest().isPresent()
                    ? "; at best " + result.triesAtBest().getAsInt()
                            + (result.triesAtBest().getAsInt() == 1 ? " more try" : " more tries")
                    : "";
            return most + "; limit " + limitWords + tries + ".";
        }

        private String out() {
            if (result.gapProven() >= limit.most().mm() - 1e-9) {
                return "Out: a " + writer.full(result.gapProven()) + " blade went in";
            }
            double under = survey.survey(layout.box(), limit.most()).proven();
            if (under >= limit.most().mm() - 1e-9) {
                return "Out: blades of " + writer.full(under) + " went under both ends";
            }
            double least = survey.limitKind() == FeelerSurvey.Kind.ZONE
                    ? zone().least()
                    : result.bows().stream()
                            .flatMap(b -> b.size().stream())
                            .mapToDouble(Range::least)
                            .max()
                            .orElse(0);
            return "Out: bent by " + writer.full(least) + " at the least";
        }

        private Range zone() {
            return result.shape().orElseThrow().zone();
        }

        private String settling(Try next, PlaceFile place) {
            LineFile line = read.lineOf(place);
            Length thick = Length.roundedFromMm(next.blade());
            String blade = writer.number(thick);
            String where = ", " + line.name().toLowerCase(Locale.ROOT)
                    + (next.underBothEnds() ? "" : ", " + read.where(line, place));
            String attempt = next.underBothEnds()
                    ? "Try equal " + blade + " blades under both ends" + where + "."
                    : "Try the " + blade + " blade" + where + ".";
            return survey.blades().blades().contains(thick)
                    ? attempt
                    : "No blade of this set tells more. " + attempt + " Shim stock will do.";
        }

        private String next(Try next) {
            Optional<PlaceFile> place = read.place(next);
            if (read.finding().sureness().isPresent() && place.isPresent()) {
                return settling(next, place.get());
            }
            String line = place.isPresent()
                    ? read.lineOf(place.get()).name()
                    : Words.of(FeelerWords.line(next.judged(), layout));
            Length wanted = Length.roundedFromMm(next.blade());
            Length blade = place.map(p -> p.gap().refuses().isPresent()
                            ? read.thinner(p, wanted).orElse(wanted)
                            : survey.proving(read.lineOf(p), p, layout.box(), wanted))
                    .orElse(survey.blades().asThickAs(wanted));
            if (place.filter(p -> p.gap().refuses().isPresent()
                            && survey.complete(limit.most())
                            && read.thinner(p, wanted).isEmpty())
                    .isPresent()) {
                return "No blade of this set is thin enough to tell more: try a thinner one on the "
                        + line.toLowerCase(Locale.ROOT).replace("across,", "line across,")
                        + ", and key its thickness with + when it goes or - when it is refused, such as "
                        + writer.exact(BladeSet.SHIM) + "-.";
            }
            String where = next.underBothEnds() ? "equal blades under both ends" : "in the middle";
            if (place.isEmpty()) {
                return "Lay the edge on the " + line + ", say how it rests, and try the " + writer.number(blade)
                        + " blade in the middle.";
            }
            return "Try the " + writer.number(blade) + " blade " + where + " of the "
                    + line.toLowerCase(Locale.ROOT).replace("across,", "line across,") + ".";
        }

        private String odd(FeelerResult.Odd odd) {
            LineFile line = survey.lines().get(odd.line());
            OptionalInt station = odd.station();
            if (station.isEmpty()) {
                return line.name() + ": how the edge rests does not fit the rest, by " + writer.full(odd.by()) + ".";
            }
            PlaceFile place = line.stations().get(station.getAsInt());
            return line.name() + ", " + read.where(line, place) + ": " + writer.full(odd.by())
                    + " away from what the other places allow. Clean it and try again; if it stays, it is a local dip.";
        }
    }

    /** {@code within}, {@code out}, {@code not proven}: for the strip of steps. */
    public static String words(Verdict verdict) {
        return switch (verdict) {
            case WITHIN -> "within";
            case OUT -> "out";
            case NOT_PROVEN -> "not proven";
        };
    }
}
