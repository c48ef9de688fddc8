package homalon.core.surface;

import homalon.core.geometry.Box;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import java.util.Arrays;
import java.util.List;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.decomposition.TriangularSolver_DDRM;
import org.ejml.dense.row.factory.DecompositionFactory_DDRM;

/**
 * What readings make of a face whose local part has one height. Given the kind of fault, heights and amplitude are jointly normal, so
 * that all of it is exact: a mixture over every way in which a fault may lie ({@link Faults}), each with what it has for itself from the readings.
 *
 * <p>With K the covariance of the readings (prior and noise), z the readings and b a fault's heights at them, a two-way amplitude of
 * variance t has the evidence (1 + t q)^(-1/2) exp(t r^2 / (2 (1 + t q))) over no fault, q = b' K^-1 b and r = b' K^-1 z; its
 * posterior is normal about t r / (1 + t q) with variance t / (1 + t q). A one-way amplitude is that, cut at nothing.
 */
final class Conditioned {
    /** Variance of the plane on which the part lies, mm2: far more than any support leaves. */
    private static final double PLANE = 1;
    /** Terms of the covariance that are not local: plane and bends. */
    private static final int TERMS = 8;

    private final SurfacePrior prior;
    private final Box box;
    private final double[] termVariances;
    private final Points read;
    private final double[][] terms;
    private final double[] lower;
    /** L^-1 z. */
    private final double[] whitened;

    private final FaultsRead faults;
    /** L^-1 b: one row a reading, one column a fault that comes near one. */
    private final double[] whitenedFaults;

    private final double[] weights;
    private final double[] means;
    private final double[] variances;
    private final double logEvidence;

    Conditioned(SurfacePrior prior, Box box, Points read, Noise noise, FaultsRead ways) {
        this.prior = prior;
        this.box = box;
        this.read = read;
        this.termVariances = termVariances(prior);
        int n = read.size();
        this.terms = new double[n][];
        Arrays.setAll(terms, i -> terms(read.x(i), read.y(i)));
        this.lower = factor(noise);
        this.whitened = read.zs().clone();
        TriangularSolver_DDRM.solveL(lower, whitened, n);
        double log = 0;
        for (int i = 0; i < n; i++) {
            log -= Math.log(lower[i * n + i]) + 0.5 * whitened[i] * whitened[i] + 0.5 * Math.log(2 * Math.PI);
        }
        this.faults = ways;
        int count = ways.ways().size();
        this.whitenedFaults = ways.heights().clone();
        this.weights = new double[count + 1];
        this.means = new double[count];
        this.variances = new double[count];
        this.logEvidence = log + weigh();
    }

    private static double[] termVariances(SurfacePrior prior) {
        double[] all = new double[TERMS];
        Arrays.fill(all, 0, 3, PLANE);
        List<Double> bends = prior.bends().all();
        for (int k = 3; k < TERMS; k++) {
            all[k] = bends.get(k - 3) * bends.get(k - 3);
        }
        return all;
    }

    private double[] terms(double x, double y) {
        double u = box.u(x);
        double v = box.v(y);
        return new double[] {1, u, v, u * u, v * v, u * v, u * u * v, u * v * v};
    }

    /** Covariance of the heights at two places, before any reading and without faults, mm2. */
    private double covariance(double[] termsA, double xa, double ya, double[] termsB, double xb, double yb) {
        double sum = prior.local()
                * prior.local()
                * Matern.of(Math.sqrt((xa - xb) * (xa - xb) + (ya - yb) * (ya - yb)), prior.length());
        for (int k = 0; k < TERMS; k++) {
            sum += termVariances[k] * termsA[k] * termsB[k];
        }
        return sum;
    }

    /** How far the place lies under the middle of the box, of a face bent to one over a millimetre. */
    private double bent(int i) {
        double x = read.x(i) - (box.x0() + box.x1()) / 2;
        double y = read.y(i) - (box.y0() + box.y1()) / 2;
        return (x * x + y * y) / 2;
    }

    private double[] factor(Noise noise) {
        int n = read.size();
        double shared = noise.curvature() * noise.curvature();
        DMatrixRMaj k = new DMatrixRMaj(n, n);
        for (int i = 0; i < n; i++) {
            for (int j = 0; j <= i; j++) {
                double c = covariance(terms[i], read.x(i), read.y(i), terms[j], read.x(j), read.y(j));
                c += shared > 0 ? shared * bent(i) * bent(j) : 0;
                k.set(i, j, c);
                k.set(j, i, c);
            }
            k.add(i, i, noise.each() * noise.each());
        }
        var cholesky = DecompositionFactory_DDRM.chol(n, true);
        if (n > 0 && !cholesky.decompose(k)) {
            throw new IllegalStateException("the covariance of the readings has no factor");
        }
        return n == 0 ? new double[0] : cholesky.getT(null).data;
    }

    /** Fills weights, means and variances; answers the logarithm of what faults add to the evidence. */
    private double weigh() {
        int near = faults.near().length;
        solve(whitenedFaults, near);
        double[] q = new double[near];
        double[] r = new double[near];
        for (int i = 0; i < read.size(); i++) {
            double z = whitened[i];
            for (int j = 0; j < near; j++) {
                double b = whitenedFaults[i * near + j];
                q[j] += b * b;
                r[j] += b * z;
            }
        }
        List<FaultShape> ways = faults.ways();
        double[] logs = new double[ways.size() + 1];
        double none = 1;
        int j = 0;
        for (int f = 0; f < ways.size(); f++) {
            boolean told = j < near && faults.near()[j] == f;
            none -= ways.get(f).weight();
            logs[f + 1] = weigh(f, ways.get(f), told ? q[j] : 0, told ? r[j] : 0);
            j += told ? 1 : 0;
        }
        logs[0] = Math.log(none);
        double most = Arrays.stream(logs).max().orElseThrow();
        double sum = Arrays.stream(logs).map(l -> Math.exp(l - most)).sum();
        for (int f = 0; f < logs.length; f++) {
            weights[f] = Math.exp(logs[f] - most) / sum;
        }
        return most + Math.log(sum);
    }

    /** Fills mean and variance of its amplitude; answers the logarithm of its share of the faces and of what it has for itself. */
    private double weigh(int f, FaultShape fault, double q, double r) {
        double t = fault.size() * fault.size();
        variances[f] = t / (1 + t * q);
        means[f] = variances[f] * r;
        double log = Math.log(fault.weight()) - 0.5 * Math.log1p(t * q) + 0.5 * variances[f] * r * r;
        return fault.fault().oneWay() ? log + Math.log(2 * Normal.below(means[f] / Math.sqrt(variances[f]))) : log;
    }

    /** Natural logarithm of the density of the readings under the prior. */
    double logEvidence() {
        return logEvidence;
    }

    /** How likely it is that the face has a fault of that kind. */
    double chanceOf(Fault fault) {
        double sum = 0;
        for (int f = 0; f < faults.ways().size(); f++) {
            sum += faults.ways().get(f).fault() == fault ? weights[f + 1] : 0;
        }
        return sum;
    }

    // What the draws are made of.

    int readings() {
        return read.size();
    }

    List<FaultShape> faults() {
        return faults.ways();
    }

    double weight(int component) {
        return weights[component];
    }

    double amplitudeMean(int fault) {
        return means[fault];
    }

    double amplitudeVariance(int fault) {
        return variances[fault];
    }

    double[] whitened() {
        return whitened;
    }

    /** Empty where no reading comes near. */
    double[] whitenedFault(int fault) {
        int near = faults.near().length;
        int column = Arrays.binarySearch(faults.near(), fault);
        double[] b = new double[column < 0 ? 0 : read.size()];
        for (int i = 0; i < b.length; i++) {
            b[i] = whitenedFaults[i * near + column];
        }
        return b;
    }

    /** Terms of many places, to be handed back. */
    double[][] termsOf(List<Spot> places) {
        double[][] all = new double[places.size()][];
        Arrays.setAll(all, i -> terms(places.get(i).x(), places.get(i).y()));
        return all;
    }

    double covariance(double[][] termsOf, List<Spot> places, int a, int b) {
        Spot p = places.get(a);
        Spot q = places.get(b);
        return covariance(termsOf[a], p.x(), p.y(), termsOf[b], q.x(), q.y());
    }

    /** L^-1 K(read, places): one row a reading, one column a place. */
    double[] whitenedCross(double[][] termsOf, List<Spot> places) {
        int n = read.size();
        int m = places.size();
        double[] cross = new double[n * m];
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < m; j++) {
                Spot p = places.get(j);
                cross[i * m + j] = covariance(terms[i], read.x(i), read.y(i), termsOf[j], p.x(), p.y());
            }
        }
        solve(cross, m);
        return cross;
    }

    /** Forward substitution for many columns at once, row by row: along a row the columns lie side by side in memory. */
    private void solve(double[] rows, int columns) {
        int n = read.size();
        for (int i = 0; i < n; i++) {
            int row = i * columns;
            for (int k = 0; k < i; k++) {
                double by = lower[i * n + k];
                int other = k * columns;
                for (int j = 0; j < columns; j++) {
                    rows[row + j] -= by * rows[other + j];
                }
            }
            double diagonal = lower[i * n + i];
            for (int j = 0; j < columns; j++) {
                rows[row + j] /= diagonal;
            }
        }
    }
}
