package homalon.core.face;

import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;

/** The terms by which a smooth face is told, u and v from -1 to 1 over it. */
enum FaceTerms {
    /** z = e u^2 + f v^2 + d u v. */
    ONE_BOW(3),
    /** With g u^2 v as well: the two long edges bow by e + g and e - g, as castings do that were bolted or heated along one side. */
    EDGES_APART(4);

    final int count;

    FaceTerms(int count) {
        this.count = count;
    }

    /**
     * Weights of the terms in the gap at a place under an edge that touches at both ends, divided by t (1 - t): the curvature K
     * where it is the same all along the line.
     *
     * @param t along it, between 0 and 1
     */
    double[] form(double u0, double v0, double u1, double v1, double t) {
        double du = u1 - u0;
        double dv = v1 - v0;
        double[] form = new double[count];
        form[0] = du * du;
        form[1] = dv * dv;
        form[2] = du * dv;
        if (this == EDGES_APART) {
            double u = u0 + t * du;
            double v = v0 + t * dv;
            form[3] = ((1 - t) * u0 * u0 * v0 + t * u1 * u1 * v1 - u * u * v) / (t * (1 - t));
        }
        return form;
    }

    double[] form(FeelerLine line, Box box, double t) {
        Spot from = line.from();
        Spot to = line.to();
        return form(box.u(from.x()), box.v(from.y()), box.u(to.x()), box.v(to.y()), t);
    }

    /** True when the gap under the line is a parabola, so that the edge rests on its ends or rocks on its middle. */
    boolean parabola(FeelerLine line, Box box) {
        return this == ONE_BOW || Math.abs(line.du(box)) < 1e-9 || Math.abs(line.dv(box)) < 1e-9;
    }

    /** Weights that pick one term. */
    double[] only(int term, double weight) {
        double[] form = new double[count];
        form[term] = weight;
        return form;
    }
}
