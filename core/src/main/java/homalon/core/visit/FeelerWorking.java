package homalon.core.visit;

import homalon.core.face.FeelerResult.Bow;
import homalon.core.face.FeelerSurvey;
import homalon.core.face.FeelerWords;
import homalon.core.geometry.Range;
import homalon.core.verdict.Working;

/** The working under what blades allow: the inequalities, and what bounds what. */
public final class FeelerWorking {
    private FeelerWorking() {}

    public static Working of(FeelerReading read) {
        Working.Builder w = Working.of("Straightedge and feelers")
                .line("Under an edge on a smooth face z = e u² + f v² + d u v the gap is K t (1 − t), "
                        + "K = e du² + f dv² + d du dv, with u and v from −1 to 1 over the face")
                .line("A blade that goes: K t (1 − t) is at least as much; one that refuses: at most. "
                        + "Rocks: K below 0; sits still: K / 4 above minus the thinnest blade")
                .line(
                        "Thinnest blade of the set: {}",
                        read.survey().blades().thinnest().mm());
        int said = read.survey().lines().stream()
                .mapToInt(l -> l.stations().size())
                .sum();
        w.line("Places tried: " + said + "; all of them together are linear inequalities in e, f and d, and linear "
                + "programmes give the least and the greatest that they allow");
        bounds(w, read);
        w.line(
                "Limit {}, from: " + read.limit().source().words() + ", asked of "
                        + (read.survey().limitKind() == FeelerSurvey.Kind.GAP ? "the gap under the edge" : "the zone"),
                read.limit().most().mm());
        if (Double.isFinite(read.result().gapPossible())) {
            w.line(
                    "Greatest bow that they allow under any edge from side to side, laid or not: {}",
                    read.result().gapPossible());
        }
        return w.line("Within needs an edge laid on all five lines and nothing unexplained; a local dip off every "
                        + "line stays unseen")
                .done();
    }

    private static void bounds(Working.Builder w, FeelerReading read) {
        read.result().shape().ifPresent(a -> {
            bounds(w, "Long bow e", a.longBow());
            bounds(w, "Cross bow f", a.crossBow());
            bounds(w, "Fourth-corner lift 4 d", a.fourthCornerLift());
            bounds(w, "Zone, the range of e u² + f v² + d u v over the face", a.zone());
        });
        for (Bow b : read.result().bows()) {
            b.quarterK().ifPresent(k -> bounds(w, "K / 4 on the " + FeelerWords.line(b.line(), read.layout()), k));
        }
    }

    private static void bounds(Working.Builder w, String name, Range range) {
        if (Double.isInfinite(range.least()) || Double.isInfinite(range.most())) {
            w.line(name + ": not bounded on both sides yet");
        } else {
            w.line(name + ": from {} to {}", range.least(), range.most());
        }
    }
}
