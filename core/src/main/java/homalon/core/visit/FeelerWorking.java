package homalon.core.visit;

import homalon.core.face.FeelerResult.Bow;
import homalon.core.face.FeelerSurvey;
import homalon.core.face.FeelerWords;
import homalon.core.geometry.Range;
import homalon.core.verdict.Working;
import homalon.core.words.Message;

/** The working under what blades allow: the inequalities, and what bounds what. */
public final class FeelerWorking {
    private FeelerWorking() {}

    public static Working of(FeelerReading read) {
        Working.Builder w = Working.of(Message.of("visit.straightedge-and-feelers"))
                .line(Message.of("visit.under-an-edge-on-a-smooth-face-z-e-u-f"))
                .line(Message.of("visit.a-blade-that-goes-k-t-1-t-is-at-least"))
                .line(
                        Message.of("visit.thinnest-blade-of-the-set"),
                        read.survey().blades().thinnest().mm());
        int said = read.survey().lines().stream()
                .mapToInt(l -> l.stations().size())
                .sum();
        w.line(Message.of("visit.places-tried-all-of-them-together-are", said));
        bounds(w, read);
        if (read.edge().isPresent()) {
            FeelerReading.Edge edge = read.edge().get();
            w.line(
                    Message.of("visit.the-edge-hangs-down", edge.source().words()),
                    edge.height(),
                    edge.longest(),
                    edge.hangs());
        }
        w.line(
                Message.of(
                        "visit.limit-from-asked-of",
                        read.limit().source().words(),
                        read.survey().limitKind() == FeelerSurvey.Kind.GAP
                                ? Message.of("visit.the-gap-under-the-edge")
                                : Message.of("visit.the-zone")),
                read.limit().most().mm());
        if (Double.isFinite(read.result().gapPossible())) {
            w.line(
                    Message.of("visit.greatest-bow-that-they-allow-under-any"),
                    read.result().gapPossible());
        }
        return w.line(Message.of("visit.within-needs-an-edge-laid-on-all-five")).done();
    }

    private static void bounds(Working.Builder w, FeelerReading read) {
        read.result().shape().ifPresent(a -> {
            bounds(w, Message.of("visit.long-bow-e"), a.longBow());
            bounds(w, Message.of("visit.cross-bow-f"), a.crossBow());
            bounds(w, Message.of("visit.fourth-corner-lift"), a.fourthCornerLift());
            bounds(w, Message.of("visit.zone-the-range-over-the-face"), a.zone());
        });
        for (Bow b : read.result().bows()) {
            b.quarterK()
                    .ifPresent(k -> bounds(
                            w, Message.of("visit.quarter-k-on-the", FeelerWords.line(b.line(), read.layout())), k));
        }
    }

    private static void bounds(Working.Builder w, Message name, Range range) {
        if (Double.isInfinite(range.least()) || Double.isInfinite(range.most())) {
            w.line(Message.of("visit.not-bounded-on-both-sides-yet", name));
        } else {
            w.line(Message.of("visit.from-to", name), range.least(), range.most());
        }
    }
}
