package homalon.app.machining.valves;

import homalon.app.casting.sheets.Sheets;
import homalon.app.foundation.web.Keyed;
import homalon.core.input.BadInputException;
import homalon.core.part.Valve;
import homalon.core.quantity.LengthWriter;
import homalon.core.valves.Measure;
import homalon.core.visit.Figure;
import homalon.core.visit.PartFile;
import homalon.core.visit.Sheet;
import homalon.core.visit.ValveFile;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Gives what was keyed last on a walk to all valves of the same kind that have nothing there yet: eight new valves of one batch are
 * keyed once.
 */
@Component
@RequiredArgsConstructor
class SameForAll {
    private final ValveFiles files;
    private final ValveKeys keys;
    private final Sheets sheets;

    /**
     * What could be given.
     *
     * @param from the valve that was keyed last
     * @param keyed its places on this walk that have a figure
     * @param open places that would get one of them
     * @param last number of the figure that was keyed last: by it a page says what it saw
     */
    record Offer(ValveFile file, Valve from, List<ValveViews.Place> keyed, List<ValveViews.Place> open, long last) {

        /** How many valves would get something. */
        long valves() {
            return open.stream().map(ValveViews.Place::valve).distinct().count();
        }

        /** {@code the other 7 open intake valves the same: 6.975, 6.974}. */
        String words(LengthWriter writer) {
            String kind = from.kind().name().toLowerCase(Locale.ROOT);
            String others = valves() == 1
                    ? "the other open " + kind + " valve"
                    : "the other " + valves() + " open " + kind + " valves";
            return others + " the same: "
                    + keyed.stream()
                            .map(p -> ValveViews.written(
                                    p.measure(), p.standing(file).orElseThrow(), writer))
                            .distinct()
                            .collect(Collectors.joining(", "));
        }
    }

    /** Empty while nothing was keyed on the walk, or nothing is open beside it. */
    Optional<Offer> offer(ValveFile file, Measure.Walk walk) {
        Optional<ValveViews.Place> last = ValveViews.places(file, walk).stream()
                .filter(p -> keyed(file, p).isPresent())
                .max(Comparator.comparingLong(p -> keyed(file, p).orElseThrow().seq()));
        if (last.isEmpty()) {
            return Optional.empty();
        }
        Valve from = last.get().valve();
        List<ValveViews.Place> keyed = new ArrayList<>();
        List<ValveViews.Place> open = new ArrayList<>();
        for (ValveViews.Place p : ValveViews.places(file, walk)) {
            boolean given = keyed(file, new ValveViews.Place(from, p.measure())).isPresent();
            if (given && p.valve().equals(from)) {
                keyed.add(p);
            } else if (given
                    && p.valve().kind() == from.kind()
                    && p.standing(file).isEmpty()) {
                open.add(p);
            }
        }
        return open.isEmpty()
                ? Optional.empty()
                : Optional.of(new Offer(
                        file,
                        from,
                        keyed,
                        open,
                        keyed(file, last.get()).orElseThrow().seq()));
    }

    private static Optional<Figure> keyed(ValveFile file, ValveViews.Place place) {
        return place.standing(file).filter(f -> f.kind() == Figure.Kind.KEYED);
    }

    /**
     * @param id of the whole; each place gets one of its own made from it
     * @param seen number of the figure that was offered: one that was keyed since is not given unseen
     * @return how many places were filled
     * @throws BadInputException when there is nothing to give, another was keyed since, or one of them cannot have it; nothing is
     *     kept then
     */
    @Transactional
    public int give(PartFile part, UUID id, Measure.Walk walk, long seen, UUID by) {
        ValveFile file = files.require(part);
        Offer offer = offer(file, walk)
                .orElseThrow(() -> new BadInputException("same", "app.valves.key-one-valve-first-then-all-the-others"));
        if (offer.last() != seen) {
            throw new BadInputException("same", "app.valves.another-was-keyed-since-look-at-what");
        }
        for (ValveViews.Place p : offer.open()) {
            Figure as =
                    keyed(file, new ValveViews.Place(offer.from(), p.measure())).orElseThrow();
            // A vacuum is kept in kPa, whatever unit it was keyed in.
            String typed = p.measure().unit() == Measure.Unit.KPA ? as.typed() + " kPa" : as.typed();
            Keyed given = Keyed.sure(own(id, p), p.key(), typed, as.unit());
            keys.key(file, p.valve(), p.measure(), given, by);
        }
        return offer.open().size();
    }

    /**
     * Takes back what was given at once.
     *
     * @param given id of that
     */
    @Transactional
    public void takeBack(PartFile part, UUID id, UUID given, Measure.Walk walk, UUID by) {
        ValveFile file = files.require(part);
        for (ValveViews.Place p : ValveViews.places(file, walk)) {
            if (keyed(file, p).filter(f -> f.id().equals(own(given, p))).isPresent()) {
                sheets.undo(part, Sheet.VALVES, own(id, p), by, p.key()::equals);
            }
        }
    }

    private static UUID own(UUID id, ValveViews.Place place) {
        return UUID.nameUUIDFromBytes((id + place.key()).getBytes(StandardCharsets.UTF_8));
    }
}
