package homalon.app.check.face;

import homalon.app.foundation.words.Words;
import homalon.core.face.BowAndTwist;
import homalon.core.face.FaceWords;
import homalon.core.face.FlatnessResult;
import homalon.core.face.LimitVerdict;
import homalon.core.gauge.Corrections;
import homalon.core.gauge.Scale;
import homalon.core.gauge.Uncertain;
import homalon.core.gauge.Warmth;
import homalon.core.part.Layout;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.quantity.Quantity;
import homalon.core.rulebook.Soak;
import homalon.core.sure.Odds;
import homalon.core.verdict.Verdict;
import homalon.core.visit.FaceFinding;
import homalon.core.visit.SurveyFile;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;

/** The figures of a survey, one row each: limits with their chances, bow and twist, temperature. */
final class FaceRows {
    private FaceRows() {}

    /** None while nothing can be worked out. */
    static List<FaceView.Row> of(Optional<FaceFinding> finding, Layout layout, LengthWriter writer) {
        List<FaceView.Row> rows = new ArrayList<>();
        if (finding.isEmpty()) {
            return rows;
        }
        FlatnessResult flat = finding.get().judgement().flatness();
        List<LimitVerdict> limits = finding.get().judgement().limits();
        for (int l = 0; l < limits.size(); l++) {
            rows.add(limitRow(limits.get(l), chance(finding.get(), l), writer));
        }
        rows.add(new FaceView.Row("Least squares", writer.number(flat.leastSquares()), "about the average plane", ""));
        rows.addAll(bends(flat.bend(), finding.get().judgement().uncertainty(), layout, writer));
        return rows;
    }

    private static List<FaceView.Row> bends(BowAndTwist bend, double one, Layout layout, LengthWriter writer) {
        BowAndTwist.Errors error = bend.error();
        String high = Words.of(FaceWords.highCorners(1, layout));
        String low = Words.of(FaceWords.highCorners(-1, layout));
        return List.of(
                bow("Long bow", bend.longBow(), one * error.longBow(), writer, "hollow", "crowned"),
                bow("Cross bow", bend.crossBow(), one * error.crossBow(), writer, "hollow", "crowned"),
                bow("Fourth corner", bend.fourthCornerLift(), one * error.fourthCornerLift(), writer, high, low),
                new FaceView.Row("Local, what is left", writer.number(bend.local()), "after bow and twist", ""));
    }

    /** That a limit is broken somewhere; nothing once it is proven to be. */
    private static String chance(FaceFinding finding, int limit) {
        boolean proven = finding.judgement().limits().get(limit).verdict() == Verdict.OUT;
        return finding.sureness()
                .filter(s -> !proven)
                .map(s -> ", " + Words.of(Odds.of(s.chance(limit), s.drawn())) + " over")
                .orElse("");
    }

    private static FaceView.Row limitRow(LimitVerdict l, String chance, LengthWriter writer) {
        String name = switch (l.limit().scope()) {
            case OVERALL -> "Flatness";
            case ALONG -> "Straight along";
            case ACROSS -> "Straight across";
            case WINDOW -> "Any " + writer.size(l.limit().window().orElseThrow());
            case BORE -> "Around a bore";
        };
        String source = switch (l.limit().source()) {
            case MAKER -> "maker";
            case GASKET -> "gasket";
            case SHOP -> "shop rule";
            case RULES -> "class rules";
            case OWNER -> "owner's wish";
            case SHOP_GASKET_KIND -> "shop, for its gasket";
            case GASKET_KIND -> "default for its gasket";
            case SHOP_DEFAULT -> "shop default";
            case DEFAULT -> "default";
        };
        String verdict = switch (l.verdict()) {
            case OUT -> "out";
            case WITHIN -> "within";
            case NOT_PROVEN -> "not proven";
        };
        return new FaceView.Row(
                name,
                l.value().isPresent() ? writer.number(l.value().getAsDouble()) : "—",
                verdict + chance + ", limit " + writer.number(l.limit().most()) + " " + source,
                verdict.replace("not proven", "open"));
    }

    private static FaceView.Row bow(
            String name, OptionalDouble value, double unsure, LengthWriter writer, String plus, String minus) {
        if (value.isEmpty()) {
            return new FaceView.Row(name, "—", "not determined by these places", "");
        }
        double v = value.getAsDouble();
        String words = Math.abs(v) < 5e-5 ? "none" : v > 0 ? plus : minus;
        return new FaceView.Row(name, writer.number(Math.abs(v)), words + ", ± " + writer.number(unsure), "");
    }

    /** What belongs with the figures: what it was read with, how warm it was, and what was taken off for either. */
    static List<FaceView.Row> beside(SurveyFile survey, List<FaceView.Row> rows, Layout layout, LengthWriter writer) {
        List<FaceView.Row> all = new ArrayList<>(rows);
        Corrections known = survey.with().corrections();
        boolean moved = survey.with().closing().filter(c -> !c.held()).isPresent();
        if (moved || !survey.with().instruments().isEmpty()) {
            boolean marked = moved || !ReadWithView.marks(survey.with(), writer).isEmpty();
            String note = moved ? "something moved while it was read" : ReadWithView.called(survey.with());
            all.add(new FaceView.Row(
                    "A reading keeps", writer.number(survey.uncertainty()), note, marked ? "out" : ""));
        }
        if (known.angle() > 0) {
            all.add(new FaceView.Row(
                    "Indicator's angle",
                    Quantity.ANGLE.number(known.angle(), writer.unit()) + "°",
                    "from square: heights are " + String.format(Locale.ROOT, "%.3f", known.cosine()) + " of its travel",
                    ""));
        }
        survey.soak().ifPresent(soak -> all.add(temperature(soak, writer)));
        known.warmth().ifPresent(w -> all.add(bent(w, layout, writer)));
        known.scale().ifPresent(s -> thickest(survey).ifPresent(t -> all.add(at20(s, t, writer))));
        return all;
    }

    private static FaceView.Row temperature(Soak soak, LengthWriter writer) {
        String note = soak.marks()
                ? "between part and room: not soaked, it may bow. More than " + writer.apart(Soak.MOST.doubleValue())
                        + " marks the survey"
                : "between part and room, soaked";
        return new FaceView.Row(
                "Temperature", writer.apart(soak.difference().doubleValue()), note, soak.marks() ? "out" : "");
    }

    private static FaceView.Row bent(Warmth warmth, Layout layout, LengthWriter writer) {
        double apart = warmth.face() - warmth.back();
        Uncertain bow = warmth.bow(layout.box().width());
        boolean much = Math.abs(apart) > Soak.MOST.doubleValue();
        String note = Math.abs(apart) < 0.05
                ? "both sides are as warm, ± " + writer.number(bow.kept()) + " is kept"
                : "taken off: this side " + writer.apart(Math.abs(apart))
                        + (apart > 0 ? " warmer, crowned" : " colder, hollow")
                        + " end to end, ± " + writer.number(bow.kept()) + " is kept"
                        + (much ? ". Let it soak to be surer" : "");
        return new FaceView.Row("Bent by warmth", writer.number(Math.abs(bow.value())), note, much ? "out" : "");
    }

    private static Optional<Length> thickest(SurveyFile survey) {
        return survey.readPlaces().stream().map(SurveyFile.PlaceFile::value).max(Length::compareTo);
    }

    private static FaceView.Row at20(Scale scale, Length size, LengthWriter writer) {
        return new FaceView.Row(
                "At " + writer.temperature(Scale.REFERENCE),
                writer.signed(scale.at20(size.mm()) - size.mm()),
                "added to each size, over " + writer.size(size) + ": part " + writer.temperature(scale.part())
                        + ", gauge " + writer.temperature(scale.scale()),
                "");
    }
}
