package homalon.core.valves;

import homalon.core.gauge.Uncertain;
import homalon.core.guides.Guide;
import homalon.core.guides.GuideLimits;
import homalon.core.guides.Rocking;
import homalon.core.rulebook.BenchGauges;
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
    private final BenchGauges gauges;

    GuideJudge(ValveReadings read, ValveBook book, Aspects aspects, BenchGauges gauges) {
        this.read = read;
        this.book = book;
        this.aspects = aspects;
        this.gauges = gauges;
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

    /** A figure of the guide against its limit, how it is called, and what is said where it is out. */
    private record Held(Uncertain figure, BookItem limit, Verdict verdict, Message what, Message out) {}

    /** What is worst comes first: one verdict for the guide. */
    private void judge(Guide g, Working working) {
        GuideLimits limits = book.guide();
        double mouth = Math.max(g.bellMouthTop().orElse(0), g.bellMouthBottom().orElse(0));
        Uncertain worn = gauges.fit(g.clearanceGoverning());
        Uncertain opens = gauges.betweenMeans(mouth);
        Uncertain oval = gauges.betweenBores(g.ovality());
        Uncertain tight = gauges.fit(g.clearanceLeast());
        List<Held> all = List.of(
                new Held(
                        worn,
                        BookItem.CLEARANCE_SERVICE,
                        worn.atMost(limits.service()),
                        Message.of("valves.the-clearance"),
                        Message.of("valves.worn-beyond-service", ends(g, g.wear() / 2, Message.of("valves.worn-at")))),
                new Held(
                        opens,
                        BookItem.BELL_MOUTH,
                        opens.atMost(limits.bellMouth()),
                        Message.of("valves.the-bell-mouth"),
                        Message.of(
                                "valves.bell-mouthed",
                                ends(g, limits.bellMouth() + SLACK, Message.of("valves.bell-mouthed-at")))),
                new Held(
                        oval,
                        BookItem.OVALITY,
                        oval.atMost(limits.ovality()),
                        Message.of("valves.the-ovality"),
                        oval(g)),
                new Held(
                        tight,
                        BookItem.CLEARANCE_LEAST,
                        tight.atLeast(limits.least()),
                        Message.of("valves.the-least-clearance"),
                        Message.of("valves.tight-it-may-seize-when-hot")));
        Optional<Held> out = first(all, Verdict.OUT);
        Optional<Held> near = first(all, Verdict.NOT_PROVEN);
        if (out.isPresent()) {
            Held h = out.get();
            say(Verdict.OUT, h.figure(), h.limit(), h.out(), working);
        } else if (g.oneEndOnly()) {
            say(Verdict.NOT_PROVEN, worn, BookItem.CLEARANCE_SERVICE, unread(read.bore()), working);
        } else if (near.isPresent()) {
            Held h = near.get();
            aspects.near(Subject.GUIDE, h.figure(), h.limit(), h.what(), working);
        } else {
            say(Verdict.WITHIN, worn, BookItem.CLEARANCE_SERVICE, Message.of("valves.guide-within"), working);
        }
    }

    private static Optional<Held> first(List<Held> all, Verdict verdict) {
        return all.stream().filter(h -> h.verdict() == verdict).findFirst();
    }

    private void say(Verdict verdict, Uncertain value, BookItem limit, Message words, Working working) {
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
        if (gauges.bore() > 0 || gauges.outside() > 0) {
            w.line(
                    Message.of("valves.gauges-leave-open-on-a-clearance"),
                    gauges.bore(),
                    gauges.outside(),
                    gauges.fit(0).kept());
        }
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
        // The play grows with the reach, and what the indicator leaves open of it does not.
        Uncertain clearance =
                gauges.byIndicator(read.get(Measure.PLAY)).times(Rocking.clearance(1, read.get(Measure.REACH), length));
        Verdict verdict = clearance.atMost(book.value(BookItem.CLEARANCE_SERVICE));
        Working working = Working.of(Message.of("valves.rocking-check"))
                .line(
                        Message.of("valves.clearance-play-1-2-x-reach-guide-length"),
                        read.get(Measure.PLAY),
                        read.get(Measure.REACH),
                        length,
                        c)
                .done();
        if (verdict == Verdict.NOT_PROVEN) {
            aspects.near(
                    Subject.GUIDE, clearance, BookItem.CLEARANCE_SERVICE, Message.of("valves.the-clearance"), working);
            return;
        }
        say(
                verdict,
                clearance,
                BookItem.CLEARANCE_SERVICE,
                verdict == Verdict.OUT
                        ? Message.of("valves.worn-beyond-service-by-rocking")
                        : Message.of("valves.within-by-rocking-shape-not-read"),
                working);
    }
}
