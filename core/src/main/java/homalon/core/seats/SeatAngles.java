package homalon.core.seats;

import homalon.core.input.Problems;
import java.util.OptionalDouble;

/**
 * Angles of a seat's cuts from the plane of the seat, degrees: top, face (where the valve rests), throat, and a fourth below the
 * throat where one is cut.
 */
public record SeatAngles(double top, double face, double throat, OptionalDouble bowl) {
    /** @throws homalon.core.input.BadInputException when they do not grow from the chamber into the port */
    public SeatAngles {
        Problems problems = new Problems();
        problems.require(face > 0 && face < 80, "faceAngle", "seats.face-angle-key-15-to-75-degrees-such-as");
        problems.require(top >= 0 && top < face, "topAngle", "seats.angles-are-out-of-order-the-top-cut-is");
        problems.require(throat > face && throat < 89, "throatAngle", "seats.angles-are-out-of-order-the-throat-is");
        problems.require(
                bowl.isEmpty() || (bowl.getAsDouble() > throat && bowl.getAsDouble() < 89),
                "bowlAngle",
                "seats.angles-are-out-of-order-a-fourth-cut-is");
        problems.throwIfAny();
    }

    public static SeatAngles of(double top, double face, double throat) {
        return new SeatAngles(top, face, throat, OptionalDouble.empty());
    }

    /** Tangent of an angle in degrees. */
    static double tan(double degrees) {
        return Math.tan(Math.toRadians(degrees));
    }

    double cosFace() {
        return Math.cos(Math.toRadians(face));
    }
}
