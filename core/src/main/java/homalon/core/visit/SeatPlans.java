package homalon.core.visit;

import homalon.core.input.BadInputException;
import homalon.core.part.Valve;
import homalon.core.part.ValveKind;
import homalon.core.quantity.Length;
import homalon.core.rulebook.BenchFigure;
import homalon.core.seats.SeatPlan;
import homalon.core.seats.SeatPlan.Way;
import homalon.core.seats.ValveHeights;
import homalon.core.valves.BookItem;
import homalon.core.valves.Measure;
import homalon.core.valves.ValveBook;
import homalon.core.valves.ValveJudge;
import homalon.core.valves.ValveReadings;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** Plans of the seats of one casting, each by the way chosen for it, and all heights together. */
public final class SeatPlans {
    private final ValveFile file;
    private final Length toCut;
    private final Map<String, SeatPlan> own = new LinkedHashMap<>();
    private final Map<String, ValveHeights.One> heights = new LinkedHashMap<>();

    /** @param toCut what the face still loses by the plan */
    public SeatPlans(ValveFile file, Length toCut) {
        this.file = file;
        this.toCut = toCut;
        for (Valve v : file.valves()) {
            if (file.seat(v) == ValveFile.Work.DUE && !file.bareRing(v)) {
                asked(v, way(v)).ifPresent(q -> own.put(v.key(), least(v, q)));
            }
        }
        level();
    }

    public Length toCut() {
        return toCut;
    }

    public Way way(Valve v) {
        return file.text(v, Said.SEAT_WAY).map(Way::valueOf).orElse(Way.STONE);
    }

    /** Highest less lowest place of the old top edge; where nobody measured it, what the runout lifts it by. */
    public double uneven(Valve v) {
        return file.length(v, Said.UNEVEN).map(Length::mm).orElseGet(() -> {
            OptionalDouble tir = file.readings(v).figure(Measure.RUNOUT);
            return tir.isEmpty()
                    ? 0
                    : SeatPlan.refaced(tir.getAsDouble(), file.book(v).value(BookItem.FACE_ANGLE));
        });
    }

    /** Empty until both edges of the seat and the valve's head are known. */
    public Optional<SeatPlan.Asked> asked(Valve v, Way way) {
        try {
            return ValveJudge.seatAsked(file.readings(v), file.book(v)).map(q -> q.by(way, uneven(v)));
        } catch (BadInputException e) {
            return Optional.empty();
        }
    }

    /** Why no plan can be made of what was read; empty where one can, or nothing was read. */
    public Optional<Message> refused(Valve v) {
        try {
            ValveJudge.seatAsked(file.readings(v), file.book(v)).ifPresent(q -> q.by(way(v), uneven(v)));
            return Optional.empty();
        } catch (BadInputException e) {
            return Optional.of(e.sentence());
        }
    }

    /**
     * Where a valve has to stand whose seat is cut from nothing in a new ring: as deep as the deepest of its kind will be.
     *
     * @return recession below the face once the seats are made; empty where no other of its kind was read
     */
    public OptionalDouble standsAt(Valve v) {
        return file.valves().stream()
                .filter(o -> o.kind() == v.kind() && !o.equals(v))
                .flatMap(o -> height(o).stream())
                .mapToDouble(ValveHeights.One::after)
                .max();
    }

    /** The same by the tips, where those were read. */
    public OptionalDouble tipAt(Valve v) {
        return file.valves().stream()
                .filter(o ->
                        o.kind() == v.kind() && !o.equals(v) && file.readings(o).has(Measure.TIP) && !file.bareRing(o))
                .mapToDouble(o -> file.readings(o).get(Measure.TIP) + sink(o))
                .max();
    }

    /** By itself, before the heights of the head are looked at. */
    public Optional<SeatPlan> alone(Valve v, Way way) {
        if (file.bareRing(v)) {
            return Optional.empty();
        }
        Optional<SeatPlan.Asked> plain = asked(v, way);
        // Nothing asks for a tool: what it takes at the least is not taken.
        return file.seat(v) == ValveFile.Work.DUE
                ? plain.map(q -> least(v, q))
                : read(v).map(q -> least(v, q))
                        .filter(p -> p.binds() == SeatPlan.Binds.NOTHING)
                        .or(() -> plain.map(q -> least(v, q)));
    }

    private SeatPlan least(Valve v, SeatPlan.Asked q) {
        return SeatPlan.least(q, file.book(v).seat().orElseThrow());
    }

    private Optional<SeatPlan.Asked> read(Valve v) {
        return ValveJudge.seatAsked(file.readings(v), file.book(v));
    }

    /** With what it is sunk to stand level with the others; of a seat that is to be made. */
    public Optional<SeatPlan> of(Valve v) {
        return Optional.ofNullable(own.get(v.key()))
                .map(p -> height(v)
                        .filter(h -> h.extra() > 0)
                        .map(h -> least(v, p.asked().atLeast(p.seatSink() + h.extra())))
                        .orElse(p));
    }

    /** What the valve goes in by: its seat's plan and its own reface. */
    public double sink(Valve v) {
        return of(v).map(SeatPlan::valveSink).orElse(0.0) + refaced(v);
    }

    public double refaced(Valve v) {
        return file.length(v, Said.REFACED)
                .map(t -> SeatPlan.refaced(t.mm(), file.book(v).value(BookItem.FACE_ANGLE)))
                .orElse(0.0);
    }

    public Optional<ValveHeights.One> height(Valve v) {
        return Optional.ofNullable(heights.get(v.key()));
    }

    private void level() {
        List<ValveHeights.Valve> read = new ArrayList<>();
        for (Valve v : file.valves()) {
            ValveReadings r = file.readings(v);
            // What was read of the old seat says nothing of the one in a new ring.
            if (r.has(Measure.RECESSION) && !file.bareRing(v)) {
                double sink = Optional.ofNullable(own.get(v.key()))
                                .map(SeatPlan::valveSink)
                                .orElse(0.0)
                        + refaced(v);
                read.add(new ValveHeights.Valve(
                        v.key(),
                        v.kind() == ValveKind.EXHAUST,
                        r.get(Measure.RECESSION),
                        sink,
                        file.seat(v) == ValveFile.Work.DUE));
            }
        }
        ValveBook exhaust = file.setup().book(ValveKind.EXHAUST);
        ValveHeights.of(
                        read,
                        BenchFigure.HEIGHTS_APART.value(file.part().rules().books()),
                        toCut.mm(),
                        exhaust.figure(BookItem.OFFSET))
                .each()
                .forEach(h -> heights.put(h.name(), h));
    }
}
