package homalon.core.numeric;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.jspecify.annotations.Nullable;

/**
 * A linear programme in few variables and up to some hundred rows: min c . x with a . x &lt;= b, by R. Seidel's incremental
 * method (1991): rows are added one by one in a shuffled order; while the optimum so far fits the next row nothing happens,
 * else the new optimum lies on that row, which takes one variable away. Expected time is linear in the rows.
 *
 * <p>Written out because a general simplex solver called programmes with nearly parallel rows infeasible, which cutting planes
 * make as they close in. All x are kept within {@link #FAR} of zero: an optimum out there means that nothing bounds it.
 */
final class SmallProgram {
    /** Far beyond any warp of a casting, mm. */
    static final double FAR = 1e4;

    private static final double FITS = 1e-11;
    private static final double AGREES = 1e-9;
    private static final double NOTHING = 1e-13;
    private static final long SHUFFLE = 7;

    /** a . x &lt;= b; a has unit length. */
    private record Row(double[] a, double b) {
        static Row of(double[] a, double b) {
            double size = 0;
            for (double each : a) {
                size = Math.max(size, Math.abs(each));
            }
            if (size <= NOTHING) {
                return new Row(new double[a.length], b);
            }
            double[] unit = new double[a.length];
            for (int j = 0; j < a.length; j++) {
                unit[j] = a[j] / size;
            }
            return new Row(unit, b / size);
        }

        boolean isEmpty() {
            for (double each : a) {
                if (each != 0) {
                    return false;
                }
            }
            return true;
        }
    }

    private final List<Row> rows = new ArrayList<>();

    void atMost(double[] form, double most) {
        rows.add(Row.of(form, most));
    }

    void atLeast(double[] form, double least) {
        double[] minus = new double[form.length];
        for (int j = 0; j < form.length; j++) {
            minus[j] = -form[j];
        }
        rows.add(Row.of(minus, -least));
    }

    /** Where c . x is least; null when no x fits all rows. */
    double @Nullable [] minimum(double[] c) {
        List<Row> shuffled = new ArrayList<>(rows);
        Collections.shuffle(shuffled, new Random(SHUFFLE));
        return solve(shuffled, c);
    }

    private static double @Nullable [] solve(List<Row> rows, double[] c) {
        if (c.length == 1) {
            return line(rows, c[0]);
        }
        double @Nullable [] x = new double[c.length];
        for (int j = 0; j < x.length; j++) {
            x[j] = Math.abs(c[j]) <= NOTHING ? 0 : -FAR * Math.signum(c[j]);
        }
        for (int i = 0; i < rows.size(); i++) {
            Row row = rows.get(i);
            if (row.isEmpty()) {
                if (row.b() < -AGREES) {
                    return null;
                }
            } else if (dot(row.a(), x) > row.b() + FITS) {
                x = onRow(rows.subList(0, i), row, c);
                if (x == null) {
                    return null;
                }
            }
        }
        return x;
    }

    /** The optimum on one row, over the rows before it: its largest variable is written by the others. */
    private static double @Nullable [] onRow(List<Row> before, Row row, double[] c) {
        int k = 0;
        for (int j = 1; j < c.length; j++) {
            k = Math.abs(row.a()[j]) > Math.abs(row.a()[k]) ? j : k;
        }
        List<Row> fewer = new ArrayList<>();
        for (Row other : before) {
            fewer.add(without(other.a(), other.b(), row, k));
        }
        double[] only = new double[c.length];
        only[k] = 1;
        fewer.add(without(only, FAR, row, k));
        only[k] = -1;
        fewer.add(without(only, FAR, row, k));
        double @Nullable [] y = solve(fewer, without(c, 0, row, k, false).a());
        if (y == null) {
            return null;
        }
        double @Nullable [] x = new double[c.length];
        double rest = row.b();
        for (int j = 0, m = 0; j < c.length; j++) {
            if (j != k) {
                x[j] = y[m++];
                rest -= row.a()[j] * x[j];
            }
        }
        x[k] = rest / row.a()[k];
        return x;
    }

    private static Row without(double[] a, double b, Row row, int k) {
        return without(a, b, row, k, true);
    }

    private static Row without(double[] a, double b, Row row, int k, boolean scaled) {
        double times = a[k] / row.a()[k];
        double[] left = new double[a.length - 1];
        for (int j = 0, m = 0; j < a.length; j++) {
            if (j != k) {
                double v = a[j] - times * row.a()[j];
                left[m++] = Math.abs(v) <= NOTHING ? 0 : v;
            }
        }
        return scaled ? Row.of(left, b - times * row.b()) : new Row(left, 0);
    }

    private static double @Nullable [] line(List<Row> rows, double c) {
        double least = -FAR;
        double most = FAR;
        for (Row row : rows) {
            double a = row.a()[0];
            if (a > 0) {
                most = Math.min(most, row.b() / a);
            } else if (a < 0) {
                least = Math.max(least, row.b() / a);
            } else if (row.b() < -AGREES) {
                return null;
            }
        }
        if (least > most + AGREES) {
            return null;
        }
        if (least > most) {
            return new double[] {(least + most) / 2};
        }
        return new double[] {c > 0 ? least : c < 0 ? most : Math.max(least, Math.min(most, 0))};
    }

    private static double dot(double[] a, double[] b) {
        double sum = 0;
        for (int j = 0; j < a.length; j++) {
            sum += a[j] * b[j];
        }
        return sum;
    }
}
