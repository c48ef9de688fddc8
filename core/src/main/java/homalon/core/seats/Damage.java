package homalon.core.seats;

import homalon.core.input.Problems;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * What is broken out of a counterbore's wall, as arcs with how far each reaches beyond the wall. Angles in degrees clockwise from
 * 12 o'clock, an arc may run over 12; millimetres.
 */
public record Damage(List<Arc> arcs) {
    public static final Damage NONE = new Damage(List.of());
    /** Metal that must be left beyond the deepest place. */
    public static final double BEYOND = 0.25;
    /** Share of the arc that must bear when a machinist accepts less than a whole one; a general default. */
    public static final double LEAST_SHARE = 0.85;

    /** @param beyond how far it reaches past the present wall, square to it */
    public record Arc(double from, double to, double beyond) {
        /** @throws homalon.core.input.BadInputException for an arc that cannot be */
        public Arc {
            Problems problems = new Problems();
            problems.require(
                    from >= 0 && from <= 360 && to >= 0 && to <= 360,
                    "arc",
                    "seats.damage-key-from-and-to-as-hours-of-a");
            problems.require(beyond > 0 && beyond <= 20, "beyond", "seats.damage-key-how-far-it-reaches-past-the");
            problems.throwIfAny();
        }

        /** As hours of a clock. */
        public static Arc ofHours(double from, double to, double beyond) {
            Problems problems = new Problems();
            problems.require(
                    from >= 0 && from <= 12 && to >= 0 && to <= 12,
                    "arc",
                    "seats.damage-key-from-and-to-as-hours-of-a");
            problems.throwIfAny();
            return new Arc(from % 12 * 30, to % 12 * 30, beyond);
        }
    }

    public Damage {
        arcs = List.copyOf(arcs);
    }

    /** Deepest reach past the present wall, mm; 0 for none. */
    public double deepest() {
        return arcs.stream().mapToDouble(Arc::beyond).max().orElse(0);
    }

    /** Smallest counterbore that cleans it up with metal to spare: 2 (deepest radius + 0.25). */
    public double cleanedBy(double counterbore) {
        return arcs.isEmpty() ? counterbore : counterbore + 2 * (deepest() + BEYOND);
    }

    /** Share of the circle that bears once the bore is cut out to a size: 0 to 1. */
    public double bearing(double counterbore, double cutTo) {
        List<double[]> spans = new ArrayList<>();
        for (Arc a : arcs) {
            if (counterbore / 2 + a.beyond() > cutTo / 2 + 1e-9) {
                if (a.from() < a.to()) {
                    spans.add(new double[] {a.from(), a.to()});
                } else {
                    spans.add(new double[] {a.from(), 360});
                    spans.add(new double[] {0, a.to()});
                }
            }
        }
        spans.sort(Comparator.comparingDouble(s -> s[0]));
        double open = 0;
        double reached = 0;
        for (double[] s : spans) {
            open += Math.max(0, s[1] - Math.max(s[0], reached));
            reached = Math.max(reached, s[1]);
        }
        return 1 - open / 360;
    }
}
