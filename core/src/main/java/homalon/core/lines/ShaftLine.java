package homalon.core.lines;

import homalon.core.gauge.Propagation;
import homalon.core.gauge.Uncertain;
import homalon.core.input.Problems;
import homalon.core.numeric.LinearBounds;
import homalon.core.rulebook.BenchGauges;
import homalon.core.verdict.Verdict;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Whether a straight shaft turns in a row of bores: cam line or main line. Bore i stands h_i off a straight datum and leaves a
 * diametral clearance c_i; a straight shaft fits when a line passes within c_i / 2 of every centre. The clearance left is twice
 * the largest m for which some line stays within c_i / 2 - m of all of them: exact, by the dual of that linear programme, whose
 * corners are single bores (m = c_i / 2) and bores i &lt; j &lt; k where the middle one is held against the outer two:
 *
 * <p>2 m = (t c_i + (1 - t) c_k + c_j) / 2 - |h_j - t h_i - (1 - t) h_k|, t = (x_k - x_j) / (x_k - x_i).
 *
 * <p>With sideways readings a centre is off by the root of both squares: a convex programme, solved by cutting planes to
 * 1e-9 mm. All lengths in millimetres; heights + high, of the casting as its face lies up.
 *
 * @param clearanceLeft on the diameter, in the tightest place of the best line; negative when no straight shaft fits
 * @param zone straightness of the heights: least distance of two parallel lines that hold them
 * @param bow of the middle against the line through the end bores, + high; zero with two bores
 * @param snakes how often the heights change side of the line through the ends, from bore to bore
 * @param worst index of the bore that has least left on the best line, in the order given
 * @param line best line: where a straight shaft would lie
 * @param left at each bore on that line, on the diameter, in the order given
 * @param verdict against the least running clearance
 */
public record ShaftLine(
        double clearanceLeft,
        double zone,
        double bow,
        int snakes,
        int worst,
        Line line,
        List<Double> left,
        Turns verdict) {
    /** More bores no engine has in one line. */
    public static final int MOST = 60;

    private static final double SLACK = 1e-9;

    /**
     * One bore.
     *
     * @param at along the line, mm
     * @param height of its centre off the datum, + high
     * @param sideways of its centre off the datum; 0 for all where it was not read
     * @param clearance of the shaft in it, on the diameter, above zero
     */
    public record Bore(double at, double height, double sideways, double clearance) {}

    /** Height and sideways of a straight line: value at the datum and rise per millimetre. */
    public record Line(double height, double rise, double sideways, double drift) {
        public double heightAt(double x) {
            return height + rise * x;
        }

        public double sidewaysAt(double x) {
            return sideways + drift * x;
        }
    }

    /** Does it turn? */
    public enum Turns {
        FREE,
        TIGHT,
        BINDS,
        /** What was read allows more than one of these. */
        NOT_PROVEN;

        /** Of several shafts the first of these is what is said of the casting. */
        public static final List<Turns> WORST_FIRST = List.of(BINDS, TIGHT, NOT_PROVEN, FREE);
    }

    /**
     * A bore whose height is known between two figures only, as feelers under a straightedge give it.
     *
     * @param least and most that its height may be; least is minus infinity where every blade went in
     */
    public record Between(double at, double least, double most, double clearance) {
        /** Where nothing says how low, as high as it may be. */
        public double middle() {
            return Double.isInfinite(least) ? most : (least + most) / 2;
        }
    }

    /**
     * What intervals allow.
     *
     * @param least clearance left for the worst heights that the readings allow, exact
     * @param most for the best ones, exact
     * @param middle the line through the middles of the intervals
     */
    public record Span(double least, double most, ShaftLine middle, Turns verdict) {}

    /**
     * From intervals. The worst case is the least of the dual's corners with each height at its worse end, which is reached since
     * a corner fixes its heights by itself; in the best case each interval only widens the room of its bore, but no bore ever
     * leaves more than its own clearance.
     */
    public static Span between(List<Between> bores, double running) {
        Problems problems = new Problems();
        problems.require(
                bores.stream().allMatch(b -> b.least() <= b.most()),
                "height",
                "lines.a-bores-least-height-lies-above-its");
        problems.throwIfAny();
        ShaftLine middle = of(
                bores.stream()
                        .map(b -> new Bore(b.at(), b.middle(), 0, b.clearance()))
                        .toList(),
                running);
        List<Between> along =
                bores.stream().sorted(Comparator.comparingDouble(Between::at)).toList();
        double worst = along.stream().mapToDouble(Between::clearance).min().orElseThrow();
        double best = worst;
        for (int i = 0; i < along.size(); i++) {
            for (int k = i + 2; k < along.size(); k++) {
                for (int j = i + 1; j < k; j++) {
                    worst = Math.min(worst, held(along.get(i), along.get(j), along.get(k), 1));
                    best = Math.min(best, held(along.get(i), along.get(j), along.get(k), -1));
                }
            }
        }
        Turns verdict = Turns.NOT_PROVEN;
        if (verdict(worst, running) == verdict(best, running)) {
            verdict = verdict(worst, running);
        }
        return new Span(worst, best, middle, verdict);
    }

    /** @param worse 1 for the heights at their worse ends, -1 for the better ones */
    private static double held(Between i, Between j, Between k, int worse) {
        double t = (k.at() - j.at()) / (k.at() - i.at());
        double room = (t * i.clearance() + (1 - t) * k.clearance() + j.clearance()) / 2;
        double low = j.least() - t * i.most() - (1 - t) * k.most();
        double high = j.most() - t * i.least() - (1 - t) * k.least();
        double off = worse > 0 ? Math.max(Math.abs(low), Math.abs(high)) : Math.max(0, Math.max(low, -high));
        return room - off;
    }

    /**
     * @param running least clearance with which a shaft may run, zero or more, mm
     * @throws homalon.core.input.BadInputException for fewer than two bores, two at one place, or what is no number
     */
    public static ShaftLine of(List<Bore> bores, double running) {
        check(bores, running);
        boolean sideways = bores.stream().anyMatch(b -> b.sideways() != 0);
        List<Bore> along =
                bores.stream().sorted(Comparator.comparingDouble(Bore::at)).toList();
        double m = reach(along);
        Line line = sideways ? inSpace(along) : upright(along, m);
        if (sideways) {
            m = along.stream().mapToDouble(b -> slack(b, line)).min().orElseThrow();
        }
        List<Double> left = bores.stream().map(b -> 2 * slack(b, line)).toList();
        int worst = 0;
        for (int i = 1; i < left.size(); i++) {
            worst = left.get(i) < left.get(worst) - SLACK ? i : worst;
        }
        return new ShaftLine(2 * m, zone(along), bow(along), snakes(along), worst, line, left, verdict(2 * m, running));
    }

    /**
     * The same with what the gauges leave open: heights by the indicator, a bore's clearance by bore gauge and micrometer.
     *
     * @return what is left, and its verdict by three values; all else as with exact readings
     */
    public static ShaftLine of(List<Bore> bores, double running, BenchGauges gauges) {
        ShaftLine line = of(bores, running);
        Uncertain left = open(bores, line, gauges);
        return new ShaftLine(
                line.clearanceLeft(),
                line.zone(),
                line.bow(),
                line.snakes(),
                line.worst(),
                line.line(),
                line.left(),
                turns(left, running));
    }

    /** What is left with what the gauges leave open of it, to first order over every height and clearance. */
    public static Uncertain open(List<Bore> bores, ShaftLine line, BenchGauges gauges) {
        boolean sideways = bores.stream().anyMatch(b -> b.sideways() != 0);
        List<Uncertain> figures = new ArrayList<>();
        for (Bore b : bores) {
            figures.add(gauges.byIndicator(b.height()));
            figures.add(gauges.fit(b.clearance()));
            figures.add(sideways ? gauges.byIndicator(b.sideways()) : Uncertain.exact(0));
        }
        double standard =
                Propagation.of(figures, v -> left(bores, v, sideways)).result().standard();
        return new Uncertain(line.clearanceLeft(), standard);
    }

    private static double left(List<Bore> bores, double[] v, boolean sideways) {
        List<Bore> moved = IntStream.range(0, bores.size())
                .mapToObj(i -> new Bore(bores.get(i).at(), v[3 * i], v[3 * i + 2], v[3 * i + 1]))
                .sorted(Comparator.comparingDouble(Bore::at))
                .toList();
        if (!sideways) {
            return 2 * reach(moved);
        }
        Line line = inSpace(moved);
        return 2 * moved.stream().mapToDouble(b -> slack(b, line)).min().orElseThrow();
    }

    private static Turns turns(Uncertain left, double running) {
        Verdict enters = left.atLeast(0);
        Verdict runs = left.atLeast(running);
        if (enters == Verdict.OUT) {
            return Turns.BINDS;
        }
        if (runs == Verdict.WITHIN) {
            return Turns.FREE;
        }
        return enters == Verdict.WITHIN && runs == Verdict.OUT ? Turns.TIGHT : Turns.NOT_PROVEN;
    }

    /** Bowed by no more than half of its least clearance: only then is it called straight, whatever is left. */
    public static boolean straight(double bow, List<Bore> bores) {
        double clearance = bores.stream().mapToDouble(Bore::clearance).min().orElse(0);
        return Math.abs(bow) <= clearance / 2 + SLACK;
    }

    private static Turns verdict(double left, double running) {
        if (left < -SLACK) {
            return Turns.BINDS;
        }
        return left >= running - SLACK ? Turns.FREE : Turns.TIGHT;
    }

    private static void check(List<Bore> bores, double running) {
        Problems problems = new Problems();
        problems.require(
                bores.size() >= 2 && bores.size() <= MOST, "at", "lines.a-line-needs-two-bores-or-more-and-at", MOST);
        problems.require(
                bores.stream()
                        .allMatch(b -> Double.isFinite(b.at())
                                && Double.isFinite(b.height())
                                && Double.isFinite(b.sideways())
                                && Double.isFinite(b.clearance())),
                "height",
                "lines.places-heights-and-clearances-must-be");
        if (problems.none()) {
            problems.require(
                    bores.stream().mapToDouble(Bore::at).distinct().count() == bores.size(),
                    "at",
                    "lines.two-bores-stand-at-the-same-place-key");
            problems.require(
                    bores.stream().allMatch(b -> b.clearance() > 0 && b.clearance() <= 5),
                    "clearance",
                    "lines.a-shaft-needs-clearance-in-each-bore");
            problems.require(
                    bores.stream().allMatch(b -> Math.abs(b.height()) <= 50 && Math.abs(b.sideways()) <= 50),
                    "height",
                    "lines.a-bore-does-not-stand-more-than-50-mm");
        }
        problems.require(
                Double.isFinite(running) && running >= 0,
                "runningClearance",
                "lines.the-least-running-clearance-must-be");
        problems.throwIfAny();
    }

    /** The largest m by the corners of the dual. */
    private static double reach(List<Bore> b) {
        double m = b.stream().mapToDouble(x -> x.clearance() / 2).min().orElseThrow();
        for (int i = 0; i < b.size(); i++) {
            for (int k = i + 2; k < b.size(); k++) {
                for (int j = i + 1; j < k; j++) {
                    m = Math.min(m, held(b.get(i), b.get(j), b.get(k)));
                }
            }
        }
        return m;
    }

    private static double held(Bore i, Bore j, Bore k) {
        double t = (k.at() - j.at()) / (k.at() - i.at());
        double room = (t * i.clearance() + (1 - t) * k.clearance() + j.clearance()) / 2;
        return (room - Math.abs(j.height() - t * i.height() - (1 - t) * k.height())) / 2;
    }

    /** A line that leaves m at every bore: rises that do so are an interval; its middle is taken. */
    private static Line upright(List<Bore> b, double m) {
        double low = Double.NEGATIVE_INFINITY;
        double high = Double.POSITIVE_INFINITY;
        for (Bore p : b) {
            for (Bore q : b) {
                double run = q.at() - p.at();
                if (run > 0) {
                    double room = p.clearance() / 2 + q.clearance() / 2 - 2 * m;
                    low = Math.max(low, (q.height() - p.height() - room) / run);
                    high = Math.min(high, (q.height() - p.height() + room) / run);
                }
            }
        }
        double rise = (low + high) / 2;
        double least = Double.NEGATIVE_INFINITY;
        double most = Double.POSITIVE_INFINITY;
        for (Bore p : b) {
            double off = p.height() - rise * p.at();
            least = Math.max(least, off - (p.clearance() / 2 - m));
            most = Math.min(most, off + (p.clearance() / 2 - m));
        }
        return new Line((least + most) / 2, rise, 0, 0);
    }

    /** The line with the most left in space; places are scaled to about one, so that the programme is well set. */
    private static Line inSpace(List<Bore> b) {
        double from = b.get(0).at();
        double run = b.get(b.size() - 1).at() - from;
        double widest = b.stream().mapToDouble(Bore::clearance).max().orElseThrow() / 2;
        double[] x = new LinearBounds(List.of(), 4)
                .lowest(v -> touch(b, v, from, run, widest))
                .orElseThrow(() -> new ArithmeticException("a line always exists"));
        double rise = x[1] / run;
        double drift = x[3] / run;
        return new Line(x[0] - rise * from, rise, x[2] - drift * from, drift);
    }

    private static LinearBounds.Touch touch(List<Bore> b, double[] v, double from, double run, double widest) {
        double worst = Double.NEGATIVE_INFINITY;
        double[] slope = new double[4];
        for (Bore bore : b) {
            double t = (bore.at() - from) / run;
            double up = v[0] + v[1] * t - bore.height();
            double side = v[2] + v[3] * t - bore.sideways();
            double off = Math.hypot(up, side);
            double value = off - bore.clearance() / 2 + widest;
            if (value > worst) {
                worst = value;
                double cos = off == 0 ? 0 : up / off;
                double sin = off == 0 ? 0 : side / off;
                slope = new double[] {cos, cos * t, sin, sin * t};
            }
        }
        return new LinearBounds.Touch(worst, slope);
    }

    private static double slack(Bore b, Line line) {
        return b.clearance() / 2
                - Math.hypot(b.height() - line.heightAt(b.at()), b.sideways() - line.sidewaysAt(b.at()));
    }

    /** Of three bores the middle one's distance from the line through the outer two; the largest of all threes. */
    private static double zone(List<Bore> b) {
        double zone = 0;
        for (int i = 0; i < b.size(); i++) {
            for (int k = i + 2; k < b.size(); k++) {
                for (int j = i + 1; j < k; j++) {
                    zone = Math.max(
                            zone,
                            Math.abs(chord(b.get(i), b.get(j).at(), b.get(k))
                                    - b.get(j).height()));
                }
            }
        }
        return zone;
    }

    private static double chord(Bore from, double at, Bore to) {
        return from.height() + (to.height() - from.height()) * (at - from.at()) / (to.at() - from.at());
    }

    private static double bow(List<Bore> b) {
        Bore first = b.get(0);
        Bore last = b.get(b.size() - 1);
        double middle = (first.at() + last.at()) / 2;
        for (int i = 0; i + 1 < b.size(); i++) {
            if (b.get(i + 1).at() >= middle) {
                return chord(b.get(i), middle, b.get(i + 1)) - chord(first, middle, last);
            }
        }
        return 0;
    }

    private static int snakes(List<Bore> b) {
        Bore first = b.get(0);
        Bore last = b.get(b.size() - 1);
        List<Double> off = new ArrayList<>();
        for (Bore bore : b) {
            double d = bore.height() - chord(first, bore.at(), last);
            if (Math.abs(d) > 1e-6) {
                off.add(d);
            }
        }
        int changes = 0;
        for (int i = 0; i + 1 < off.size(); i++) {
            changes += Math.signum(off.get(i)) != Math.signum(off.get(i + 1)) ? 1 : 0;
        }
        return changes;
    }
}
