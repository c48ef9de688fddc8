package homalon.app.check.face;

import homalon.app.foundation.words.Words;
import homalon.core.face.BowAndTwist;
import homalon.core.face.FaceWords;
import homalon.core.face.FlatnessResult;
import homalon.core.face.LimitVerdict;
import homalon.core.part.Layout;
import homalon.core.quantity.LengthWriter;
import homalon.core.rulebook.Soak;
import homalon.core.sure.Odds;
import homalon.core.verdict.Verdict;
import homalon.core.visit.FaceFinding;
import homalon.core.visit.SurveyFile;
import java.util.ArrayList;
import java.util.List;
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

    /** The same with the temperature, where it was noted. */
    /** What belongs with the figures: what it was read with, and how warm it was. */
    static List<FaceView.Row> beside(SurveyFile survey, List<FaceView.Row> rows, LengthWriter writer) {
        List<FaceView.Row> all = new ArrayList<>(rows);
        boolean moved = survey.with().closing().filter(c -> !c.held()).isPresent();
        if (moved || !survey.with().instruments().isEmpty()) {
            boolean marked = moved || !ReadWithView.marks(survey.with(), writer).isEmpty();
            String note = moved ? "something moved while it was read" : ReadWithView.called(survey.with());
            all.add(new FaceView.Row(
                    "A reading keeps", writer.number(survey.uncertainty()), note, marked ? "out" : ""));
        }
        if (survey.soak().isEmpty()) {
            return all;
        }
        Soak soak = survey.soak().get();
        String note = soak.marks()
                ? "between part and room: not soaked, it may bow. More than " + writer.apart(Soak.MOST.doubleValue())
                        + " marks the survey"
                : "between part and room, soaked";
        all.add(new FaceView.Row(
                "Temperature", writer.apart(soak.difference().doubleValue()), note, soak.marks() ? "out" : ""));
        return all;
    }
}
