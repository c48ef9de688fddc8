package homalon.core.visit;

import homalon.core.input.BadInputException;
import homalon.core.lines.Liners;
import homalon.core.part.Layout;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.BenchGauges;
import homalon.core.rulebook.GasketKind;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * How liners shall stand.
 *
 * @param aim what a trimmed one is brought to; empty for the middle of the range
 * @param usual whether the range is the general default of its school
 */
public record LinersSetup(
        Liners.School school, Liners.Held held, Length least, Length most, Optional<Length> aim, boolean usual) {
    public static final List<Integer> CLOCK = List.of(12, 3, 6, 9);

    public static LinersSetup of(Map<String, String> kept) {
        return new LinersSetup(
                Liners.School.valueOf(Objects.requireNonNull(kept.get("school"))),
                Liners.Held.valueOf(kept.getOrDefault("held", Liners.Held.LOOSE.name())),
                Length.ofNanometres(Long.parseLong(kept.get("least"))),
                Length.ofNanometres(Long.parseLong(kept.get("most"))),
                Optional.ofNullable(kept.get("aim")).map(Long::parseLong).map(Length::ofNanometres),
                Boolean.parseBoolean(kept.get("usual")));
    }

    /** Blank limits take those of the school. */
    public static LinersSetup typed(
            Liners.School school, Liners.Held held, String least, String most, String aim, BenchUnit unit) {
        boolean usual = least.isBlank() && most.isBlank();
        Length low = least.isBlank() ? Length.roundedFromMm(school.usual().least()) : Length.parse(least, unit);
        Length high = most.isBlank() ? Length.roundedFromMm(school.usual().most()) : Length.parse(most, unit);
        if (low.compareTo(high) >= 0) {
            throw new BadInputException("most", "visit.the-most-protrusion-must-be-above-the");
        }
        Optional<Length> aimed = aim.isBlank() ? Optional.empty() : Optional.of(Length.parse(aim, unit));
        if (aimed.filter(a -> a.compareTo(low) < 0 || a.compareTo(high) > 0).isPresent()) {
            throw new BadInputException("aim", "visit.the-aim-lies-between-the-least-and-the");
        }
        return new LinersSetup(school, held, low, high, aimed, usual);
    }

    /** What the gasket that was chosen at the door asks. */
    public static Liners.School proposed(Optional<GasketKind> gasket) {
        return gasket.filter(g -> g == GasketKind.LAYERED_STEEL).isPresent()
                ? Liners.School.FLUSH
                : Liners.School.PROUD;
    }

    public Map<String, String> kept() {
        Map<String, String> kept = new LinkedHashMap<>();
        kept.put("school", school.name());
        kept.put("held", held.name());
        kept.put("least", Long.toString(least.nanometres()));
        kept.put("most", Long.toString(most.nanometres()));
        aim.ifPresent(a -> kept.put("aim", Long.toString(a.nanometres())));
        kept.put("usual", Boolean.toString(usual));
        return kept;
    }

    public Liners.Range range() {
        Liners.Range of = school.usual();
        double middle = usual ? of.aim() : (least.mm() + most.mm()) / 2;
        return new Liners.Range(
                usual ? of.least() : least.mm(),
                usual ? of.most() : most.mm(),
                aim.map(Length::mm).orElse(middle),
                of.step(),
                of.tilt());
    }

    public static List<LineSetup.Place> places(Layout layout) {
        List<LineSetup.Place> all = new ArrayList<>();
        for (Layout.Bore b : layout.bores()) {
            for (int hour : CLOCK) {
                all.add(new LineSetup.Place(
                        b.number() + "@" + hour, Message.of("visit.liner-at-oclock", b.number(), hour)));
            }
        }
        return all;
    }

    public Liners of(SheetFile sheet, Layout layout, Length deckCut, BenchGauges gauges) {
        List<Liners.Read> read = layout.bores().stream()
                .map(b -> new Liners.Read(
                        b.number(),
                        CLOCK.stream().map(k -> sheet.mm(b.number() + "@" + k)).toList()))
                .toList();
        return Liners.of(read, deckCut.mm(), range(), held, gauges);
    }
}
