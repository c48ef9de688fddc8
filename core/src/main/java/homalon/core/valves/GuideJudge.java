package homalon.core.valves;

import homalon.core.guides.Guide;
import homalon.core.guides.GuideLimits;
import homalon.core.guides.Rocking;
import homalon.core.valves.Aspect.Subject;
import homalon.core.verdict.Verdict;
import homalon.core.verdict.Working;
import homalon.core.words.Message;
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
            Message words =
                    Message.of("valves.worn-beyond-service", ends(g, g.wear() / 2, Message.of("valves.worn-at")));
            say(Verdict.OUT, clearance, BookItem.CLEARANCE_SERVICE, words, working);
        } else if (mouth > limits.bellMouth() + SLACK) {
            Message words = Message.of(
                    "valves.bell-mouthed", ends(g, limits.bellMouth() + SLACK, Message.of("valves.bell-mouthed-at")));
            say(Verdict.OUT, mouth, BookItem.BELL_MOUTH, words, working);
        } else if (g.ovality() > limits.ovality() + SLACK) {
            say(Verdict.OUT, g.ovality(), BookItem.OVALITY, oval(g), working);
        } else if (g.clearanceLeast() < limits.least() - SLACK) {
            say(
                    Verdict.OUT,
                    g.clearanceLeast(),
                    BookItem.CLEARANCE_LEAST,
                    Message.of("valves.tight-it-may-seize-when-hot"),
                    working);
        } else if (g.oneEndOnly()) {
            say(Verdict.NOT_PROVEN, clearance, BookItem.CLEARANCE_SERVICE, unread(read.bore()), working);
        } else {
            say(Verdict.WITHIN, clearance, BookItem.CLEARANCE_SERVICE, Message.of("valves.guide-within"), working);
        }
    }

    private void say(Verdict verdict, double value, BookItem limit, Message words, Working working) {
        aspects.add(Subject.GUIDE, verdict, value, limit, words, working);
    }

    /** At which ends it opens by more; nothing where neither does. */
    private static Message ends(Guide g, double more, Message at) {
        boolean top = g.bellMouthTop().orElse(0) > more;
        boolean bottom = g.bellMouthBottom().orElse(0) > more;
        if (top && bottom) {
            return Message.of("valves.both-ends", at);
        }
        return top
                ? Message.of("valves.the-top-the-spring-side", at)
                : bottom ? Message.of("valves.the-bottom-the-port-side", at) : Message.NONE;
    }

    private static Message oval(Guide g) {
        String where = List.of("top", "middle", "bottom").get(g.ovalAt());
        return Message.of(
                "valves.oval-at-the",
                where,
                g.ovalAcross()
                        ? Message.of("valves.across-the-rocker-line-side-load-look")
                        : Message.of("valves.along-the-rocker-line"));
    }

    /** What of the guide nobody read, and what to do. */
    private static Message unread(double[][] bore) {
        if (bore[0] != null && bore[2] != null) {
            return Message.of("valves.the-middle-not-read-read-it-as-well");
        }
        List<Message> missing = new ArrayList<>();
        List<Message> names =
                List.of(Message.of("valves.the-top"), Message.of("valves.the-middle"), Message.of("valves.the-bottom"));
        for (int i = 0; i < 3; i++) {
            if (bore[i] == null) {
                missing.add(names.get(i));
            }
        }
        return Message.of("valves.one-end-only-read-as-well", missing.stream().collect(Message.joining("text.and")));
    }

    private Working working(Guide g, double[] stem) {
        Working.Builder w = Working.of(Message.of("valves.guide"))
                .line(
                        Message.of("valves.clearance-largest-bore-less-smallest"),
                        DoubleStream.of(stem).min().orElse(0),
                        g.clearanceGoverning())
                .line(Message.of("valves.at-the-least-smallest-bore-less-largest"), g.clearanceLeast())
                .line(
                        Message.of("valves.new-to-service", book.source(BookItem.CLEARANCE_SERVICE)),
                        book.guide().least(),
                        book.guide().most(),
                        book.guide().service())
                .line(Message.of("valves.wear-largest-bore-less-smallest"), g.wear())
                .line(Message.of("valves.ovality-largest-difference-of-two"), g.ovality());
        g.bellMouthTop().ifPresent(m -> w.line(Message.of("valves.bell-mouth-at-the-top-mean-of-the-top"), m));
        g.bellMouthBottom().ifPresent(m -> w.line(Message.of("valves.bell-mouth-at-the-bottom"), m));
        return w.done();
    }

    /** By hand: kept under that name, and proof of nothing. */
    private void feel() {
        if (read.feltAlone()) {
            Message says = read.rocks()
                    ? Message.of("valves.rocks-by-feel-not-measured-read-it-or")
                    : Message.of("valves.good-by-feel-not-measured");
            aspects.seen(Subject.GUIDE, Verdict.NOT_PROVEN, says);
        }
    }

    private void rocking() {
        if (!read.rocked()) {
            feel();
            return;
        }
        if (book.entry(BookItem.GUIDE_LENGTH).isEmpty()) {
            aspects.seen(Subject.GUIDE, Verdict.NOT_PROVEN, Message.of("valves.rocked-key-the-guides-length-in-the"));
            return;
        }
        double length = book.value(BookItem.GUIDE_LENGTH);
        double c = Rocking.clearance(read.get(Measure.PLAY), read.get(Measure.REACH), length);
        boolean out = c > book.value(BookItem.CLEARANCE_SERVICE) + SLACK;
        aspects.add(
                Subject.GUIDE,
                out ? Verdict.OUT : Verdict.WITHIN,
                c,
                BookItem.CLEARANCE_SERVICE,
                out
                        ? Message.of("valves.worn-beyond-service-by-rocking")
                        : Message.of("valves.within-by-rocking-shape-not-read"),
                Working.of(Message.of("valves.rocking-check"))
                        .line(
                                Message.of("valves.clearance-play-1-2-x-reach-guide-length"),
                                read.get(Measure.PLAY),
                                read.get(Measure.REACH),
                                length,
                                c)
                        .done());
    }
}
