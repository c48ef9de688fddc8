package homalon.core.visit;

import homalon.core.face.FeelerEvidence;
import homalon.core.face.FeelerLine;
import homalon.core.face.FeelerLine.Rest;
import homalon.core.face.FeelerLine.Station;
import homalon.core.face.FeelerSurvey;
import homalon.core.face.Gap;
import homalon.core.gauge.InUse;
import homalon.core.gauge.InstrumentKind;
import homalon.core.gauge.Sag;
import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.BenchFigure;
import homalon.core.rulebook.BladeSet;
import homalon.core.rulebook.ShopRules;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * A face tried with straightedge and feelers, as it stands.
 *
 * @param limitKind what its limit is asked of
 * @param blades that were used
 * @param lines in the order in which they are laid
 * @param history everything ever keyed, in order
 * @param instruments in hand, and those that an answer which stands was given with
 * @param revision goes up with every change
 */
public record FeelerFile(
        UUID id,
        UUID visit,
        FeelerKind kind,
        FeelerSurvey.Kind limitKind,
        FeelerWay way,
        BladeSet blades,
        UUID startedBy,
        Instant startedAt,
        List<LineFile> lines,
        List<TryFile> history,
        List<InUse> instruments,
        long revision) {

    /** One laid edge. */
    public record LineFile(UUID id, String name, Spot from, Spot to, List<PlaceFile> places) {
        public Rest rest() {
            return places.stream()
                    .filter(p -> p.asked() == Asked.REST)
                    .map(PlaceFile::rest)
                    .findFirst()
                    .orElse(Rest.NOT_NOTED);
        }

        /** Blades under both ends are asked for where the edge rocks only. */
        public List<PlaceFile> asked() {
            boolean rocks = rest() == Rest.ROCKS;
            return places.stream()
                    .filter(p -> p.asked() != Asked.SLID && (p.asked() != Asked.ENDS || rocks))
                    .toList();
        }

        /** For the sum: tried stations only. */
        FeelerLine line() {
            Gap ends = asked().stream()
                    .filter(p -> p.asked() == Asked.ENDS)
                    .map(PlaceFile::gap)
                    .findFirst()
                    .orElse(Gap.UNTRIED);
            return new FeelerLine(
                    from,
                    to,
                    rest(),
                    ends.tried(),
                    stations().stream()
                            .map(p -> new Station(p.at(), p.gap().tried()))
                            .toList());
        }

        /** Tried stations, in the order of the sum's. */
        public List<PlaceFile> stations() {
            return places.stream()
                    .filter(p -> p.along() && p.gap().isTried())
                    .sorted(Comparator.comparingDouble(PlaceFile::at))
                    .toList();
        }

        /** Length of the edge's run, mm. */
        public double length() {
            return from.distance(to);
        }

        public Spot spot(PlaceFile place) {
            double t = place.along() ? place.at() : 0.5;
            return new Spot(from.x() + t * (to.x() - from.x()), from.y() + t * (to.y() - from.y()));
        }
    }

    /**
     * What was asked at one place of a line, and what was said.
     *
     * @param at from 0 to 1 along the line, for a station
     * @param seen number of the last line keyed here, 0 for none
     */
    public record PlaceFile(
            UUID id, Asked asked, double at, Gap gap, Rest rest, boolean skipped, long seen, Optional<UUID> by) {
        /** True for a place of the line itself, not for how the edge rests or for its ends. */
        public boolean along() {
            return asked == Asked.STATION || asked == Asked.SLID;
        }
    }

    /** A line of the record. */
    public record TryFile(
            long seq,
            UUID id,
            UUID place,
            FeelerSaid said,
            Optional<Length> goes,
            Optional<Length> refuses,
            String typed,
            BenchUnit unit,
            UUID by,
            Instant at,
            boolean stands) {}

    /**
     * True when nothing more is wanted at a place.
     *
     * @param limit in force
     */
    public boolean done(PlaceFile place, Length limit) {
        if (place.skipped()) {
            return true;
        }
        Gap gap = place.gap();
        return switch (place.asked()) {
            case REST -> place.rest() != Rest.NOT_NOTED;
            case SLID -> true;
            case STATION, ENDS ->
                way == FeelerWay.FIND
                        ? gap.isFound(blades)
                        : gap.refuses().isPresent()
                                || gap.goes()
                                        .filter(g -> g.compareTo(limit) >= 0)
                                        .isPresent();
        };
    }

    /**
     * What edge and blades leave open: of a kind that was changed the coarser, the usual where none was noted. An edge hangs down as its
     * height makes it, where that was asked when it was handed over.
     */
    public FeelerEvidence.Tools tools(ShopRules rules) {
        return new FeelerEvidence.Tools(
                standard(InstrumentKind.FEELERS, FeelerEvidence.Tools.USUAL.blade()),
                standard(InstrumentKind.STRAIGHTEDGE, FeelerEvidence.Tools.USUAL.edge()),
                rules.before().byStiffEdge() ? Sag.NONE : Sag.ofHeight(BenchFigure.EDGE_HEIGHT.value(rules.books())),
                Optional.of(blades));
    }

    private double standard(InstrumentKind kind, double usual) {
        return instruments.stream()
                .filter(i -> i.kind() == kind)
                .mapToDouble(InUse::standard)
                .max()
                .orElse(usual);
    }

    public int handled(Length limit) {
        return (int) asked().stream().filter(p -> done(p, limit)).count();
    }

    public List<PlaceFile> asked() {
        return lines.stream().flatMap(l -> l.asked().stream()).toList();
    }

    public boolean begun() {
        return history.stream().anyMatch(TryFile::stands);
    }

    public boolean complete(Length limit) {
        return begun() && handled(limit) == asked().size();
    }

    /**
     * The blade to begin with at a place: refused in the middle of a line it is to prove that the line's bow is within the
     * limit, elsewhere it is as thick as the limit.
     */
    public Length first(LineFile line, PlaceFile place, Box box, Length limit) {
        boolean midmost = line.places().stream()
                .filter(p -> p.asked() == Asked.STATION)
                .min(Comparator.comparingDouble(p -> Math.abs(p.at() - 0.5)))
                .filter(place::equals)
                .isPresent();
        return midmost ? proving(line, place, box, limit) : blades.asThickAs(limit);
    }

    /** The one blade that is slid along a whole line when only a limit is asked: refused everywhere, it proves that line. */
    public Length along(LineFile line, Box box, Length limit) {
        return line.places().stream()
                .filter(p -> p.asked() == Asked.STATION)
                .map(p -> first(line, p, box, limit))
                .min(Comparator.naturalOrder())
                .orElseGet(() -> blades.asThickAs(limit));
    }

    /**
     * The thickest blade whose refusal at a place proves that the bow over the whole face is at most so much. An edge cannot
     * be laid right out to the rim, and where the middle of a line is a hole the blade is tried beside it: the gap seen is
     * smaller than the bow, and so must the blade be.
     */
    public Length proving(LineFile line, PlaceFile place, Box box, Length bow) {
        double t = place.along() ? place.at() : 0.5;
        double seen = 4 * t * (1 - t) * FeelerLine.reach(line.from(), line.to(), box);
        return blades.asThickAs(Length.ofNanometres((long) Math.floor(bow.nanometres() * seen)));
    }

    /** The sum that the core is asked for. */
    public FeelerSurvey survey(Box box, Length limit) {
        return new FeelerSurvey(
                box, blades.thinnest().mm(), lines.stream().map(LineFile::line).toList(), limit.mm(), limitKind);
    }
}
