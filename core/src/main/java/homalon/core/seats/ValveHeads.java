package homalon.core.seats;

import java.util.List;

/** The heads of the valves of one cylinder, as they lie in its chamber. Diameters and sinks in mm. */
public record ValveHeads(List<Head> heads) {
    /** @param sink that seat work still to come sets it deeper by */
    public record Head(double diameter, double sink) {
        double area() {
            return Math.PI / 4 * diameter * diameter;
        }
    }

    public ValveHeads {
        heads = List.copyOf(heads);
    }

    /** mm2 of all of them together. */
    public double area() {
        return heads.stream().mapToDouble(Head::area).sum();
    }

    /** What sinking them adds to the chamber, cm3. */
    public double cc() {
        return heads.stream().mapToDouble(h -> h.area() * h.sink()).sum() / 1000;
    }
}
