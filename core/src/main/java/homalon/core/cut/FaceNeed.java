package homalon.core.cut;

import java.util.OptionalDouble;

/**
 * What a face still has to lose, from here on, mm; zero or more.
 *
 * @param planned by the passes of the plan, which may go deeper than clean; empty without a plan
 * @param asSetUp to come clean as it is set up; without a plan by the set-up of least removal
 * @param least to come clean by the set-up of least removal
 * @param zone between two planes that hold its sealing places: no set-up takes less
 */
public record FaceNeed(OptionalDouble planned, double asSetUp, double least, double zone) {
    /** One depth that no set-up can lessen. */
    public static FaceNeed of(double depth) {
        return new FaceNeed(OptionalDouble.empty(), depth, depth, depth);
    }

    /** What is to come off as things stand. */
    public double toCome() {
        return planned.orElse(asSetUp);
    }

    /** What may be done where the set-up that is planned needs more than may come off. */
    public enum Advice {
        /** It comes clean as planned. */
        FITS,
        /** Least removal fits. */
        LEAST_REMOVAL,
        /** No set-up brings all of it clean; its sealing places would be. */
        STOP_AT_THE_BANDS,
        /** Even the zone of its sealing places is more. */
        DO_NOT_CUT
    }

    /** @param may come off, mm */
    public Advice advice(double may) {
        double most = may + 1e-9;
        if (asSetUp <= most) {
            return Advice.FITS;
        }
        if (least <= most) {
            return Advice.LEAST_REMOVAL;
        }
        return zone <= most ? Advice.STOP_AT_THE_BANDS : Advice.DO_NOT_CUT;
    }
}
