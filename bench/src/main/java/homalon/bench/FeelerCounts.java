package homalon.bench;

import homalon.core.face.FeelerLine;
import homalon.core.face.FeelerResult;
import homalon.core.face.FeelerSurvey;
import homalon.core.face.Feelers;
import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;
import homalon.core.sim.FeelerHand;
import homalon.core.sim.SeededFace;
import homalon.core.verdict.Verdict;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * Counts how often a simulated machinist with a real set of feelers comes to a false verdict, to none, and how many more tries
 * settle it: on smooth faces, and on the same with local dips, which no smooth face explains. Prints a table for
 * docs/performance.md. What is true is found by laying the edge on every line of a fine fan, not from the verdict's own model.
 */
public final class FeelerCounts {
    private static final int FACES = 5000;
    private static final int MOST_TRIES = 12;
    private static final Box BOX = new Box(0, 0, 412, 150);
    private static final double LIMIT = 0.05;

    private FeelerCounts() {}

    public static void main(String[] args) {
        System.out.println(
                "| faces | false within | false out | within | out | not proven at first | settled by more tries | tries |");
        System.out.println("|---|---|---|---|---|---|---|---|");
        count("smooth: bow and twist", false);
        count("with one to three local dips", true);
    }

    private static void count(String name, boolean dips) {
        Random random = new Random(2026);
        int falseWithin = 0;
        int falseOut = 0;
        int within = 0;
        int out = 0;
        int open = 0;
        int settled = 0;
        int tries = 0;
        for (int i = 0; i < FACES; i++) {
            SeededFace face = face(random, dips);
            List<FeelerLine> lines = new ArrayList<>(FeelerHand.lines(BOX, 5));
            lines.replaceAll(l -> FeelerHand.findGap(face, l));
            FeelerResult r = judge(lines);
            int more = 0;
            if (r.verdict() == Verdict.NOT_PROVEN) {
                open++;
                while (r.verdict() == Verdict.NOT_PROVEN && r.next().isPresent() && more < MOST_TRIES) {
                    lines = FeelerHand.attempt(face, lines, r.next().get());
                    r = judge(lines);
                    more++;
                }
                settled += r.verdict() == Verdict.NOT_PROVEN ? 0 : 1;
                tries += r.verdict() == Verdict.NOT_PROVEN ? 0 : more;
            }
            double worst = worst(face, dips);
            within += r.verdict() == Verdict.WITHIN ? 1 : 0;
            out += r.verdict() == Verdict.OUT ? 1 : 0;
            falseWithin += r.verdict() == Verdict.WITHIN && worst > LIMIT + 1e-9 ? 1 : 0;
            falseOut += r.verdict() == Verdict.OUT && worst < LIMIT - 1e-9 ? 1 : 0;
        }
        System.out.printf(
                "| %d, %s | %d | %d | %d | %d | %.1f %% | %d of %d | %.1f |%n",
                FACES,
                name,
                falseWithin,
                falseOut,
                within,
                out,
                100.0 * open / FACES,
                settled,
                open,
                settled == 0 ? 0 : (double) tries / settled);
    }

    private static FeelerResult judge(List<FeelerLine> lines) {
        return Feelers.judge(new FeelerSurvey(BOX, FeelerHand.THINNEST, lines, LIMIT, FeelerSurvey.Kind.GAP));
    }

    private static SeededFace face(Random random, boolean dips) {
        double reach = 0.15 * random.nextDouble();
        List<SeededFace.Dip> all = new ArrayList<>();
        for (int i = 0; dips && i < 1 + random.nextInt(3); i++) {
            all.add(new SeededFace.Dip(
                    new Spot(412 * random.nextDouble(), 150 * random.nextDouble()),
                    0.01 + 0.06 * random.nextDouble(),
                    12 + 30 * random.nextDouble()));
        }
        return new SeededFace(
                BOX,
                0.2 * random.nextGaussian(),
                0.1 * random.nextGaussian(),
                reach * random.nextGaussian() / 2,
                reach * random.nextGaussian() / 3,
                reach * random.nextGaussian() * 2,
                all);
    }

    /** Worst bow on the five lines of a smooth face; with dips the worst gap or rock along a fan of lines. */
    private static double worst(SeededFace face, boolean dips) {
        double e = face.longBow();
        double f = face.crossBow();
        double d = face.fourthCornerLift() / 4;
        if (!dips) {
            return Math.max(Math.max(Math.abs(e), Math.abs(f)), Math.max(Math.abs(e + f + d), Math.abs(e + f - d)));
        }
        double worst = 0;
        for (FeelerLine line : fan()) {
            FeelerHand.Laid laid = FeelerHand.lay(face, line.from(), line.to());
            worst = Math.max(worst, laid.rock());
            for (int k = 1; k < 60; k++) {
                worst = Math.max(worst, laid.gap(k / 60.0));
            }
        }
        return worst;
    }

    private static List<FeelerLine> fan() {
        List<FeelerLine> fan = new ArrayList<>(FeelerHand.lines(BOX, 25));
        for (int i = 0; i <= 20; i++) {
            double y = 150.0 * i / 20;
            fan.add(new FeelerLine(
                    new Spot(0, y),
                    new Spot(412, 150 - y),
                    FeelerLine.Rest.NOT_NOTED,
                    FeelerLine.Tried.NOTHING,
                    List.of()));
            fan.add(new FeelerLine(
                    new Spot(0, y), new Spot(412, y), FeelerLine.Rest.NOT_NOTED, FeelerLine.Tried.NOTHING, List.of()));
        }
        return fan;
    }
}
