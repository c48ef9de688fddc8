package homalon.core.visit;

import homalon.core.geometry.Spot;
import homalon.core.part.Ground;
import homalon.core.part.Layout;
import homalon.core.rulebook.BenchFigure;
import homalon.core.rulebook.BookDefaults;
import homalon.core.rulebook.GasketKind;
import homalon.core.rulebook.Source;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What a face is asked for to be called within, beside readings under its limits.
 *
 * @param risk chance of being out that is allowed; empty for what was handed over while the rule of cover alone was asked
 * @param cover within which every place of the land must have a measured one, mm; empty where no such rule is kept
 * @param gone bridges, by the number of the bore before them, at which the gasket was told to be gone
 */
public record FaceRule(OptionalDouble risk, OptionalDouble cover, List<Integer> gone) {
    private static final Pattern GONE = Pattern.compile(
            "(gasket|leak|blew|blown|burn|gone|eroded|etched)[^.;]{0,60}?between (?:bores? |cylinders? )?(\\d{1,2}) and (\\d{1,2})");

    public FaceRule {
        gone = List.copyOf(gone);
    }

    public static FaceRule of(PartFile part) {
        return of(part, part.rules().before().byCover());
    }

    /** What a face that was scanned is asked for. */
    public static FaceRule ofScan(PartFile part) {
        return of(part, part.rules().before().byCover() || part.rules().before().byScan());
    }

    private static FaceRule of(PartFile part, boolean coverAlone) {
        BookDefaults books = part.rules().books();
        double cover = BenchFigure.FACE_COVER.value(books);
        boolean race =
                part.visit().gasketKind().filter(g -> g == GasketKind.RACE).isPresent();
        boolean sea = part.entered().stream().anyMatch(l -> l.source() == Source.RULES);
        BenchFigure asked = race || sea ? BenchFigure.FACE_RISK_SMALL : BenchFigure.FACE_RISK;
        return coverAlone
                ? new FaceRule(OptionalDouble.empty(), OptionalDouble.of(OLD_COVER), List.of())
                : new FaceRule(
                        OptionalDouble.of(1 / asked.value(books)),
                        cover > 0 ? OptionalDouble.of(cover) : OptionalDouble.empty(),
                        told(part.story()));
    }

    /** The rule of cover as it stood while it was all that was asked, mm. */
    private static final double OLD_COVER = 75;

    /** Bridges that the story tells of: <em>gasket gone between 2 and 3</em>. */
    static List<Integer> told(String story) {
        List<Integer> all = new ArrayList<>();
        Matcher matcher = GONE.matcher(story.toLowerCase(Locale.ROOT));
        while (matcher.find()) {
            int a = Integer.parseInt(matcher.group(2));
            int b = Integer.parseInt(matcher.group(3));
            if (Math.abs(a - b) == 1) {
                all.add(Math.min(a, b));
            }
        }
        return all;
    }

    /** Where those bridges lie on a face. */
    public List<Spot> spots(Ground ground) {
        List<Spot> all = new ArrayList<>();
        for (int i = 0; i + 1 < ground.bores().size(); i++) {
            Layout.Bore before = ground.bores().get(i);
            Layout.Bore after = ground.bores().get(i + 1);
            int least = Math.min(before.number(), after.number());
            if (Math.abs(before.number() - after.number()) == 1 && gone.contains(least)) {
                all.add(new Spot(
                        (before.centre().x() + after.centre().x()) / 2,
                        (before.centre().y() + after.centre().y()) / 2));
            }
        }
        return all;
    }
}
