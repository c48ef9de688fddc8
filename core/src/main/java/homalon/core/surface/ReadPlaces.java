package homalon.core.surface;

import homalon.core.geometry.Box;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/** Where readings lie and what they are, and what of it hangs on no level of a {@link SurfacePrior}: worked out once for all of them. */
final class ReadPlaces {
    private final Box box;
    private final Points read;
    private final double[][] terms;
    private final double[][] alike;

    /** @param length over which the local part falls, mm */
    ReadPlaces(Box box, Points read, double length) {
        this.box = box;
        this.read = read;
        List<Spot> places = IntStream.range(0, read.size())
                .mapToObj(i -> new Spot(read.x(i), read.y(i)))
                .toList();
        this.terms = Terms.of(box, places);
        Arrays.setAll(terms[Terms.SHARED], this::bent);
        this.alike = new Correlations(places, length).with(read);
    }

    Points read() {
        return read;
    }

    int size() {
        return read.size();
    }

    Box box() {
        return box;
    }

    /** {@link Terms} of the readings: one row a term, one column a reading. */
    double[][] terms() {
        return terms;
    }

    /** How alike the local part is at the place of one reading and at all of them. */
    double[] alike(int reading) {
        return alike[reading];
    }

    /** How far the place lies under the middle of the box, of a face bent to one over a millimetre. */
    private double bent(int reading) {
        double x = read.x(reading) - (box.x0() + box.x1()) / 2;
        double y = read.y(reading) - (box.y0() + box.y1()) / 2;
        return (x * x + y * y) / 2;
    }
}
