package homalon.core.valves;

import homalon.core.guides.Guide;
import homalon.core.guides.GuideLimits;
import homalon.core.guides.Rocking;
import homalon.core.valves.Aspect.Subject;
import homalon.core.verdict.Verdict;
import homalon.core.verdict.Working;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;

/** Judges a guide with its stem: by bores where they were read, else by the rocking check. */
final class GuideJudge {
    private static final double SLACK = 1e-9;

    private final ValveReadings read;
    private final ValveBook book;
    private final Aspects aspects;

    GuideJudge(ValveReadings read, ValveBook book, Aspects aspects) {
        this.read = read;
        this.book = book;
        this.aspects = aspects;
    }

    Optional<Guide> judge() {
        double[] stem = read.stem();
        if (!read.gauged()) {
            rocking();
            return Optional.empty();
        }
        Guide g = Guide.ofSome(stem, read.bore());
        judge(g, working(g, stem));
        return Optional.of(g);
    }

    /** What is worst comes first: one verdict for the guide. */
    private void judge(Guide g, Working working) {
        GuideLimits limits = book.guide();
        double mouth = Math.max(g.bellMouthTop().orElse(0), g.bellMouthBottom().orElse(0));
        double clearance = g.clearanceGoverning();
        if (clearance > limits.service() + SLACK) {
            String words = "worn beyond service" + ends(g, g.wear() / 2, ", at ");
            say(Verdict.OUT, clearance, BookItem.CLEARANCE_SERVICE, words, working);
        } else if (mouth > limits.bellMouth() + SLACK) {
            String words = "bell-mouthed" + ends(g, limits.bellMouth() + SLACK, " at ");
            say(Verdict.OUT, mouth, BookItem.BELL_MOUTH, words, working);
        } else if (g.ovality() > limits.ovality() + SLACK) {
            say(Verdict.OUT, g.ovality(), BookItem.OVALITY, oval(g), working);
        } else if (g.clearanceLeast() < limits.least() - SLACK) {
            say(Verdict.OUT, g.clearanceLeast(), BookItem.CLEARANCE_LEAST, "tight: it may seize when hot", working);
        } else if (g.oneEndOnly()) {
            say(Verdict.NOT_PROVEN, clearance, BookItem.CLEARANCE_SERVICE, unread(read.bore()), working);
        } else {
            say(Verdict.WITHIN, clearance, BookItem.CLEARANCE_SERVICE, "guide within", working);
        }
    }

    private void say(Verdict verdict, double value, BookItem limit, String words, Working working) {
        aspects.add(Subject.GUIDE, verdict, value, limit, words, working);
    }

    /** At which ends it opens by more; nothing where neither does. */
    private static String ends(Guide g, double more, String at) {
        boolean top = g.bellMouthTop().orElse(0) > more;
        boolean bottom = g.bellMouthBottom().orElse(0) > more;
        if (top && bottom) {
            return at + "both ends";
        }
        return top ? at + "the top, the spring side" : bottom ? at + "the bottom, the port side" : "";
    }

    private static String oval(Guide g) {
        String where = List.of("top", "middle", "bottom").get(g.ovalAt());
        return "oval at the " + where
                + (g.ovalAcross()
                        ? ", across the rocker line: side load; look at the valve gear, not only the guide"
                        : ", along the rocker line");
    }

    /** What of the guide nobody read, and what to do. */
    private static String unread(double[][] bore) {
        if (bore[0] != null && bore[2] != null) {
            return "the middle not read: read it as well";
        }
        List<String> missing = new ArrayList<>();
        List<String> names = List.of("the top", "the middle", "the bottom");
        for (int i = 0; i < 3; i++) {
            if (bore[i] == null) {
                missing.add(names.get(i));
            }
        }
        return "one end only: read " + String.join(" and ", missing) + " as well";
    }

    private Working working(Guide g, double[] stem) {
        Working.Builder w = Working.of("Guide")
                .line(
                        "clearance: largest bore less smallest stem {} = {}",
                        DoubleStream.of(stem).min().orElse(0),
                        g.clearanceGoverning())
                .line("at the least: smallest bore less largest stem = {}", g.clearanceLeast())
                .line(
                        "new {} to {}, service {}; " + book.source(BookItem.CLEARANCE_SERVICE),
                        book.guide().least(),
                        book.guide().most(),
                        book.guide().service())
                .line("wear: largest bore less smallest = {}", g.wear())
                .line("ovality: largest difference of two directions at one place = {}", g.ovality());
        g.bellMouthTop()
                .ifPresent(m -> w.line("bell-mouth at the top: mean of the top less mean of the middle = {}", m));
        g.bellMouthBottom().ifPresent(m -> w.line("bell-mouth at the bottom = {}", m));
        return w.done();
    }

    /** By hand: kept under that name, and proof of nothing. */
    private void feel() {
        if (read.feltAlone()) {
            String says = read.rocks()
                    ? "rocks by feel, not measured: read it, or choose what is done to it"
                    : "good by feel, not measured";
            aspects.seen(Subject.GUIDE, Verdict.NOT_PROVEN, says);
        }
    }

    private void rocking() {
        double length = book.value(BookItem.GUIDE_LENGTH);
        if (!read.rocked()) {
            feel();
            return;
        }
        if (Double.isNaN(length)) {
            aspects.seen(Subject.GUIDE, Verdict.NOT_PROVEN, "rocked: key the guide's length in the book");
            return;
        }
        double c = Rocking.clearance(read.get(Measure.PLAY), read.get(Measure.REACH), length);
        boolean out = c > book.value(BookItem.CLEARANCE_SERVICE) + SLACK;
        aspects.add(
                Subject.GUIDE,
                out ? Verdict.OUT : Verdict.WITHIN,
                c,
                BookItem.CLEARANCE_SERVICE,
                out ? "worn beyond service, by rocking" : "within, by rocking: shape not read",
                Working.of("Rocking check")
                        .line(
                                "clearance = play {} / (1 + 2 x reach {} / guide length {}) = {}",
                                read.get(Measure.PLAY),
                                read.get(Measure.REACH),
                                length,
                                c)
                        .done());
    }
}
