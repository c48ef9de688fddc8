package homalon.core.visit;

import homalon.core.face.FeelerLine.Rest;
import homalon.core.face.FeelerProposal;
import homalon.core.part.Layout;
import homalon.core.part.PlaceNames;
import homalon.core.quantity.Length;
import homalon.core.verdict.Verdict;
import homalon.core.visit.FeelerFile.LineFile;
import homalon.core.visit.FeelerFile.PlaceFile;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** The walk of a survey by straightedge and feelers: what is asked where, and what was said. */
public final class FeelerWalk {
    /**
     * One place of the walk.
     *
     * @param line name of the line, when this is its first place; empty otherwise
     * @param blade to try here next, as it is keyed, exact; empty when nothing more is to be tried
     * @param shown the same as it is read
     * @param note before the edge is laid: dowels to pull
     */
    public record Place(
            UUID id,
            int number,
            String line,
            Message name,
            String state,
            Message value,
            String blade,
            String shown,
            long seen,
            boolean rest,
            Message note) {}

    private final FeelerReading read;
    private final boolean dowelsOut;

    /** @param dowelsOut somebody signed that no dowel stands in the face */
    public FeelerWalk(FeelerReading read, boolean dowelsOut) {
        this.read = read;
        this.dowelsOut = dowelsOut;
    }

    /** A place where a thinner blade would tell more, though the one that was asked for has been tried there. */
    private record More(PlaceFile place, Length blade) {}

    /** Once every place is tried and the limit is still not proven: the hand goes where it narrows most. */
    private Optional<More> more() {
        if (read.result().verdict() != Verdict.NOT_PROVEN
                || !read.survey().complete(read.limit().most())) {
            return Optional.empty();
        }
        if (read.finding().sureness().isPresent()) {
            return read.result()
                    .next()
                    .flatMap(n -> read.place(n)
                            .filter(p -> !p.skipped())
                            .map(p -> new More(p, Length.roundedFromMm(n.blade()))));
        }
        return read.result()
                .next()
                .flatMap(n -> read.place(n)
                        .filter(p -> !p.skipped() && p.gap().refuses().isPresent())
                        .flatMap(p ->
                                read.thinner(p, Length.roundedFromMm(n.blade())).map(b -> new More(p, b))));
    }

    public List<Place> walk() {
        List<Place> walk = new ArrayList<>();
        Optional<More> more = more();
        for (LineFile line : read.survey().lines()) {
            for (PlaceFile place : line.asked()) {
                Optional<Length> thinner =
                        more.filter(m -> m.place().equals(place)).map(More::blade);
                walk.add(at(walk.size() + 1, line, place, thinner));
            }
        }
        return walk;
    }

    private Place at(int number, LineFile line, PlaceFile p, Optional<Length> thinner) {
        boolean rest = p.asked() == Asked.REST;
        boolean open = !read.survey().done(p, read.limit().most()) || thinner.isPresent();
        Optional<Length> blade = rest || !open
                ? Optional.empty()
                : thinner.or(() -> p.gap()
                        .next(
                                read.survey().blades(),
                                read.survey()
                                        .first(
                                                line,
                                                p,
                                                read.layout().box(),
                                                read.limit().most())));
        return new Place(
                p.id(),
                number,
                rest ? line.name() : "",
                Message.of("text.dot", line.name(), asked(line, p)),
                open ? "open" : p.skipped() ? "skipped" : "read",
                rest
                        ? p.rest() == Rest.NOT_NOTED ? Message.NONE : FeelerReading.rest(p.rest())
                        : p.gap().isTried() ? read.value(p.gap()) : Message.NONE,
                blade.map(read.writer()::exact).orElse(""),
                blade.map(read.writer()::number).orElse(""),
                p.seen(),
                rest,
                rest ? dowels(line) : Message.NONE);
    }

    private Message asked(LineFile line, PlaceFile p) {
        return switch (p.asked()) {
            case REST ->
                read.survey().way() == FeelerWay.LIMIT
                        ? Message.of(
                                "visit.how-does-it-rest-slide-the-blade-along",
                                read.writer()
                                        .number(read.survey()
                                                .along(
                                                        line,
                                                        read.layout().box(),
                                                        read.limit().most())))
                        : Message.of("visit.how-does-it-rest");
            case STATION -> Message.plain(read.where(line, p));
            case ENDS -> Message.of("visit.equal-blades-under-both-ends");
            case SLID -> Message.of("visit.where-the-blade-was-slid-to");
        };
    }

    /** Which dowels an edge on that line would ride on; empty when none is in its way. */
    private Message dowels(LineFile line) {
        List<Layout.Hole> under = dowelsOut ? List.of() : FeelerProposal.dowels(read.layout(), line.from(), line.to());
        return under.isEmpty()
                ? Message.NONE
                : Message.of(
                        "visit.pull-the-dowel-at-the-first-the-edge",
                        under.stream()
                                .map(d -> Message.plain(PlaceNames.corner(read.layout(), d.centre())))
                                .collect(Message.joining("text.and")));
    }
}
