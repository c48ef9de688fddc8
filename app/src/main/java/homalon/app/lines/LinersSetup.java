package homalon.app.lines;

import homalon.app.sheets.SheetFile;
import homalon.core.input.BadInputException;
import homalon.core.lines.Liners;
import homalon.core.part.Layout;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.GasketKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How liners shall stand.
 *
 * @param usual whether the range is the general default of its school
 */
record LinersSetup(Liners.School school, Length least, Length most, boolean usual) {
    static final int[] CLOCK = {12, 3, 6, 9};

    static LinersSetup of(Map<String, String> kept) {
        return new LinersSetup(
                Liners.School.valueOf(kept.get("school")),
                Length.ofNanometres(Long.parseLong(kept.get("least"))),
                Length.ofNanometres(Long.parseLong(kept.get("most"))),
                Boolean.parseBoolean(kept.get("usual")));
    }

    /** Blank limits take those of the school. */
    static LinersSetup typed(Liners.School school, String least, String most, BenchUnit unit) {
        boolean usual = least.isBlank() && most.isBlank();
        Length low = least.isBlank() ? Length.roundedFromMm(school.usual().least()) : Length.parse(least, unit);
        Length high = most.isBlank() ? Length.roundedFromMm(school.usual().most()) : Length.parse(most, unit);
        if (low.compareTo(high) >= 0) {
            throw new BadInputException("most", "The most protrusion must be above the least: key both from the book.");
        }
        return new LinersSetup(school, low, high, usual);
    }

    /** What the gasket that was chosen at the door asks. */
    static Liners.School proposed(Optional<GasketKind> gasket) {
        return gasket.filter(g -> g == GasketKind.LAYERED_STEEL).isPresent()
                ? Liners.School.FLUSH
                : Liners.School.PROUD;
    }

    Map<String, String> kept() {
        return Map.of(
                "school", school.name(),
                "least", Long.toString(least.nanometres()),
                "most", Long.toString(most.nanometres()),
                "usual", Boolean.toString(usual));
    }

    Liners.Range range() {
        Liners.Range of = school.usual();
        return usual ? of : new Liners.Range(least.mm(), most.mm(), (least.mm() + most.mm()) / 2, of.step(), of.tilt());
    }

    static List<LineSetup.Place> places(Layout layout) {
        List<LineSetup.Place> all = new ArrayList<>();
        for (Layout.Bore b : layout.bores()) {
            for (int hour : CLOCK) {
                all.add(new LineSetup.Place(
                        b.number() + "@" + hour, "Liner " + b.number() + " at " + hour + " o'clock"));
            }
        }
        return all;
    }

    Liners of(SheetFile sheet, Layout layout, Length deckCut) {
        int n = layout.bores().size();
        int[] numbers = new int[n];
        double[][] read = new double[n][CLOCK.length];
        for (int i = 0; i < n; i++) {
            numbers[i] = layout.bores().get(i).number();
            for (int k = 0; k < CLOCK.length; k++) {
                read[i][k] = sheet.mm(numbers[i] + "@" + CLOCK[k]);
            }
        }
        return Liners.of(numbers, read, deckCut.mm(), range());
    }
}
