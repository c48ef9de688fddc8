package homalon.app.check.integrity;

import homalon.app.foundation.web.Blanks;
import homalon.app.foundation.web.FormTicks;
import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.integrity.Crack;
import homalon.core.integrity.CrackMethod;
import homalon.core.integrity.CrackPlace;
import homalon.core.integrity.CrackSpots;
import homalon.core.integrity.Reach;
import homalon.core.part.Layout;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.visit.PartFile;
import jakarta.validation.constraints.NotNull;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A crack as it is marked.
 *
 * @param bore number of the bore it lies at; 0 for none
 * @param length blank where it was not measured: what both ends say, if they were keyed
 * @param suspect nobody saw it: a place that has to be looked at
 * @param x1 first end on the drawing, mm from the front and the lower edge; null when none was tapped, as are the others
 * @param front1 first end as keyed, from the front edge, in the bench's unit; blank when it was not, as are the others
 * @param across1 the same, from the lower edge of the drawing
 */
record CrackForm(
        @NotNull(message = "Say where it lies.") CrackPlace place,
        Integer bore,
        String length,
        Set<Reach> reaches,

        @NotNull(message = "Say what it was looked for with.")
        CrackMethod method,

        Boolean suspect,
        Double x1,
        Double y1,
        Double x2,
        Double y2,
        String front1,
        String across1,
        String front2,
        String across2) {
    CrackForm {
        front1 = Blanks.of(front1);
        across1 = Blanks.of(across1);
        front2 = Blanks.of(front2);
        across2 = Blanks.of(across2);
        bore = bore == null ? Integer.valueOf(0) : bore;
        length = Blanks.of(length);
        reaches = reaches == null ? Set.of() : FormTicks.ticks(reaches);
        suspect = Blanks.of(suspect);
    }

    Crack crack(PartFile part, BenchUnit unit) {
        double mm = length.isBlank()
                ? between(unit)
                : Length.parseSize(length, unit).mm();
        return new Crack(part.kind(), part.material(), place, suspect ? 0 : mm, reaches, method, suspect);
    }

    /** How far its ends are apart, where both were keyed; else nothing. */
    private double between(BenchUnit unit) {
        boolean both = Stream.of(front1, across1, front2, across2).noneMatch(String::isBlank);
        return both ? Math.hypot(mm(front2, unit) - mm(front1, unit), mm(across2, unit) - mm(across1, unit)) : 0;
    }

    private static double mm(String typed, BenchUnit unit) {
        return Length.parseSize(typed, unit).mm();
    }

    /** Where its ends were keyed, else where it was tapped, else where such a crack usually lies at that bore. */
    CrackSpots.Tips tips(Layout layout, Crack crack, BenchUnit unit) {
        if (!(front1 + across1 + front2 + across2).isBlank()) {
            Spot from = keyed(layout, 1, front1, across1, unit);
            boolean second = !(front2 + across2).isBlank();
            return new CrackSpots.Tips(from, second ? keyed(layout, 2, front2, across2, unit) : from);
        }
        if (x1 == null || y1 == null) {
            return CrackSpots.of(layout, place, bore, crack.length());
        }
        Spot from = onDrawing(layout, x1, y1);
        return new CrackSpots.Tips(from, x2 == null || y2 == null ? from : onDrawing(layout, x2, y2));
    }

    private static Spot keyed(Layout layout, int end, String front, String across, BenchUnit unit) {
        if (front.isBlank() || across.isBlank()) {
            throw new BadInputException(
                    front.isBlank() ? "front" + end : "across" + end, "app.integrity.key-both-figures-of-an-end", end);
        }
        return onDrawing(layout, mm(front, unit), mm(across, unit));
    }

    private static Spot onDrawing(Layout layout, double x, double y) {
        boolean on = x >= 0
                && y >= 0
                && x <= layout.box().width()
                && y <= layout.box().height();
        if (!on) {
            throw new BadInputException("place", "app.integrity.that-spot-is-not-on-the-casting-tap-on");
        }
        return new Spot(x, y);
    }
}
