package homalon.app.outcome.tables;

import homalon.app.casting.part.Parts;
import homalon.app.casting.readings.ReadingPlace;
import homalon.app.casting.readings.TakesReadings;
import homalon.app.casting.readings.Walks;
import homalon.app.foundation.web.AskAgainException;
import homalon.app.foundation.web.Keyed;
import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.quantity.Length;
import homalon.core.quantity.NotALengthException;
import homalon.core.table.TableKind;
import homalon.core.visit.PartFile;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Readings, each kept as if it had been keyed on its page. */
@Component
@RequiredArgsConstructor
class ReadingsIn implements TakesLines {
    /** Two spots within this are one place, mm. */
    private static final double SAME = 1;

    private final Parts parts;
    private final Walks walks;

    @Override
    public TableKind kind() {
        return TableKind.READINGS;
    }

    private record Walked(String tag, String walk) {}

    @Override
    public void take(List<Line> lines, Hand hand, Told told) {
        Map<Walked, List<Line>> byWalk = new LinkedHashMap<>();
        lines.forEach(l -> byWalk.computeIfAbsent(
                        new Walked(l.at("tag"), Walks.tidy(l.at("walk"))), w -> new ArrayList<>())
                .add(l));
        byWalk.forEach((which, own) -> {
            try {
                walk(which, own, hand, told);
            } catch (BadInputException | NotALengthException e) {
                told.refused(own.get(0), e);
            }
        });
    }

    private void walk(Walked which, List<Line> lines, Hand hand, Told told) {
        PartFile part = parts.find(which.tag())
                .orElseThrow(() -> new BadInputException("tag", "app.tables.name-a-casting-that-is-here", which.tag()));
        TakesReadings room = walks.of(which.walk());
        if (room.places(part, which.walk()).isEmpty()) {
            List<Spot> at = new ArrayList<>();
            for (Line line : lines) {
                spot(line, hand).ifPresent(at::add);
            }
            room.begin(part, which.walk(), at, hand.by());
        }
        for (Line line : lines) {
            try {
                key(part, room, which.walk(), line, hand, told);
            } catch (BadInputException | NotALengthException e) {
                told.refused(line, e);
            }
        }
    }

    /** Where both are said. */
    private static Optional<Spot> spot(Line line, Hand hand) {
        return line.at("x").isEmpty() || line.at("y").isEmpty()
                ? Optional.empty()
                : Optional.of(new Spot(
                        Length.parseSize(line.at("x"), hand.unit()).mm(),
                        Length.parseSize(line.at("y"), hand.unit()).mm()));
    }

    private void key(PartFile part, TakesReadings room, String walk, Line line, Hand hand, Told told) {
        ReadingPlace place = place(room.places(part, walk), walk, line, hand);
        if (place.typed().isPresent()) {
            throw new BadInputException("place", "app.tables.that-place-is-read-already", place.words(), part.tag());
        }
        String typed = line.at("reading");
        UUID id = UUID.randomUUID();
        if (hand.looks()) {
            try {
                room.key(part, walk, new Keyed(id, place.key(), typed, hand.unit(), 0L, false), hand.by());
            } catch (AskAgainException odd) {
                told.odd(line, odd.getMessage().replaceAll(" Press Enter.*", ""));
            }
        }
        room.key(part, walk, Keyed.sure(id, place.key(), typed, hand.unit()), hand.by());
        told.made(line, part.tag() + ", " + walk + ", " + place.words() + ": " + typed);
    }

    private static ReadingPlace place(List<ReadingPlace> places, String walk, Line line, Hand hand) {
        String name = line.at("place");
        Optional<Spot> spot = spot(line, hand);
        if (name.isEmpty() && spot.isEmpty()) {
            throw new BadInputException("place", "app.tables.a-place-or-x-and-y");
        }
        if (spot.isPresent() && places.stream().allMatch(p -> p.spot().isEmpty())) {
            throw new BadInputException("x", "app.tables.x-and-y-are-of-a-face");
        }
        return places.stream()
                .filter(p -> spot.isPresent()
                        ? p.spot().filter(s -> s.distance(spot.get()) < SAME).isPresent()
                        : p.words().equalsIgnoreCase(name) || p.key().equalsIgnoreCase(name))
                .findFirst()
                .orElseThrow(() -> new BadInputException(
                        "place",
                        "app.tables.no-place-of-that-name",
                        walk,
                        name.isEmpty() ? line.at("x") + ", " + line.at("y") : name));
    }
}
