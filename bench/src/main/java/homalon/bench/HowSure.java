package homalon.bench;

import homalon.core.face.FaceJudge;
import homalon.core.face.LimitVerdict;
import homalon.core.face.PlaceProposal;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.part.Ground;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.FaceDefaults;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.sim.TrueFace;
import homalon.core.sure.FaceChance;
import homalon.core.sure.FaceGrid;
import homalon.core.sure.FirstPlaces;
import homalon.core.sure.NextPlace;
import homalon.core.surface.Surface;
import homalon.core.surface.SurfaceDraws;
import homalon.core.surface.SurfacePrior;
import homalon.core.verdict.Verdict;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.SplittableRandom;
import java.util.concurrent.atomic.LongAdder;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Reads faces of known truth as somebody at the bench does, place after place where the program says, until it is settled, and counts
 * how often a verdict was false, how many readings it took, and what came of chances that were told; beside it what the rule of cover said
 * of the same face, read once at a close fixed set. Prints the tables of docs/how-sure.md. Arguments: faces, first seed, how often each
 * kind is drawn (DECLARED, DOUBLED, NOT_HELD), and a file that keeps each face that was read, so that a run that was stopped goes on.
 */
public final class HowSure {
    private static final double NOISE = 0.002;
    private static final double RISK = 0.01;
    private static final int FIRST = Integer.getInteger("first", 9);
    private static final int MOST = 40;

    private static final LongAdder STEPS = new LongAdder();
    private static final LongAdder DRAWN = new LongAdder();

    private HowSure() {}

    record Told(TrueFace.Kind kind, double ratio, Verdict verdict, int readings, Verdict rule, double[] chances) {
        String line() {
            return kind + " " + ratio + " " + verdict + " " + readings + " " + rule + " "
                    + Arrays.stream(chances).mapToObj(Double::toString).collect(Collectors.joining(","));
        }

        static Told of(String line) {
            String[] p = line.split(" ", -1);
            return new Told(
                    TrueFace.Kind.valueOf(p[0]),
                    Double.parseDouble(p[1]),
                    Verdict.valueOf(p[2]),
                    Integer.parseInt(p[3]),
                    Verdict.valueOf(p[4]),
                    p[5].isEmpty()
                            ? new double[0]
                            : Arrays.stream(p[5].split(","))
                                    .mapToDouble(Double::parseDouble)
                                    .toArray());
        }
    }

    public static void main(String[] args) throws IOException {
        int faces = args.length > 0 ? Integer.parseInt(args[0]) : 10_000;
        long seed = args.length > 1 ? Long.parseLong(args[1]) : 1;
        Layout layout = Layout.of(LayoutNumbers.proposed(PartKind.HEAD, 4, Length.ofMm("86"), Length.ofMm("94")));
        List<FlatnessLimit> limits = FaceDefaults.of(BenchUnit.MM).limits(4);
        double tightest = limits.stream().mapToDouble(l -> l.most().mm()).min().orElseThrow();
        SurfacePrior prior = SurfacePrior.usual(tightest);
        FaceGrid grid = FaceGrid.of(Ground.of(layout), limits);
        FaceGrid fine = FaceGrid.fine(Ground.of(layout), limits);
        List<Spot> first = FirstPlaces.of(grid, prior, FIRST, NOISE);
        System.out.println(
                "grid " + grid.spots().size() + ", fine " + fine.spots().size());
        TrueFace.Mix mix = args.length > 2 ? TrueFace.Mix.valueOf(args[2]) : TrueFace.Mix.DECLARED;
        Path file = args.length > 3 ? Path.of(args[3]) : Files.createTempFile("how-sure", ".txt");
        Kept<Told> kept = Kept.in(file, Told::of);
        long begun = System.nanoTime();
        kept.missing(faces).parallel().forEach(i -> {
            Random random = new Random(new SplittableRandom(seed * 1_000_003L + i).nextLong());
            TrueFace face = TrueFace.draw(mix, layout, tightest, random);
            Told told = walk(face, random, layout, limits, prior, grid, fine, first);
            kept.keep(i, told, told.line());
        });
        List<Told> all = kept.all();
        System.out.printf("%d faces, %.0f s%n", all.size(), (System.nanoTime() - begun) / 1e9);
        System.out.printf(
                "%d chances, %.0f faces drawn for each%n", STEPS.sum(), 1.0 * DRAWN.sum() / Math.max(1, STEPS.sum()));
        report(all);
    }

    /** As it was judged before: a close fixed set, 75 mm of cover, four places in each square, the dial's 0.002 kept as guard band. */
    private static Verdict byRule(TrueFace face, Random random, Layout layout, List<FlatnessLimit> limits) {
        List<PlaceProposal.Place> places = PlaceProposal.of(layout, PlaceProposal.Density.CLOSE);
        Points points = Points.of(places.stream()
                .map(p -> new double[] {p.spot().x(), p.spot().y(), face.read(p.spot(), NOISE, random)})
                .toArray(double[][]::new));
        return FaceJudge.judge(
                        points,
                        places.stream().map(PlaceProposal.Place::name).toList(),
                        new FaceJudge.Settings(layout, limits, 75, NOISE))
                .worst();
    }

    private static Told walk(
            TrueFace face,
            Random random,
            Layout layout,
            List<FlatnessLimit> limits,
            SurfacePrior prior,
            FaceGrid grid,
            FaceGrid fine,
            List<Spot> first) {
        double[] zones = fine.zones(face.heights(fine.spots()));
        double ratio = 0;
        for (int l = 0; l < zones.length; l++) {
            ratio = Math.max(ratio, zones[l] / limits.get(l).most().mm());
        }
        List<double[]> read = new ArrayList<>();
        List<Double> chances = new ArrayList<>();
        Verdict verdict = Verdict.NOT_PROVEN;
        Spot next = first.get(0);
        while (read.size() < MOST) {
            read.add(new double[] {next.x(), next.y(), face.read(next, NOISE, random)});
            if (read.size() < 4) {
                next = first.get(read.size());
                continue;
            }
            Points points = Points.of(read.toArray(new double[0][]));
            FaceJudge.Judgement judged = FaceJudge.judge(
                    points,
                    IntStream.range(0, points.size())
                            .mapToObj(Integer::toString)
                            .toList(),
                    FaceJudge.Settings.ofReadings(layout, limits, 2 * NOISE));
            if (judged.worst() == Verdict.OUT) {
                verdict = Verdict.OUT;
                break;
            }
            if (read.size() < FIRST) {
                next = first.get(read.size());
                continue;
            }
            boolean close = judged.limits().stream().anyMatch(HowSure::close);
            Surface surface = Surface.given(prior, Ground.of(layout), level(points), NOISE, face.gone());
            SurfaceDraws draws = surface.over(grid.spots());
            FaceChance chance = FaceChance.of(draws, grid, RISK);
            double last = chance.any();
            STEPS.increment();
            DRAWN.add(chance.faces());
            chances.add(last);
            if (!close && last <= RISK) {
                verdict = Verdict.WITHIN;
                break;
            }
            next = NextPlace.of(chance, draws, points, NOISE).orElse(first.get(0));
        }
        return new Told(
                face.kind(),
                ratio,
                verdict,
                read.size(),
                byRule(face, random, layout, limits),
                chances.stream().mapToDouble(c -> c).toArray());
    }

    private static boolean close(LimitVerdict v) {
        return v.value().isPresent()
                && v.value().getAsDouble() + 2 * NOISE > v.limit().most().mm();
    }

    private static Points level(Points points) {
        var plane = homalon.core.numeric.LeastSquaresPlane.fit(points);
        double[] z = new double[points.size()];
        Arrays.setAll(z, i -> points.above(plane, i));
        return Points.of(points.xs(), points.ys(), z);
    }

    private static void report(List<Told> all) {
        Map<TrueFace.Kind, List<Told>> kinds = new EnumMap<>(TrueFace.Kind.class);
        all.forEach(t -> kinds.computeIfAbsent(t.kind(), k -> new ArrayList<>()).add(t));
        System.out.println(
                "| kind | faces | out in truth | within | of these out | out | of these within | open | rule: within | of these out | rule: out | of these within |");
        row("all", all);
        kinds.forEach((k, list) -> row(k.name(), list));
        System.out.println("good under 60 %:");
        settled(all.stream().filter(t -> t.ratio() < 0.6).toList());
        System.out.println("good 60 to 80 %:");
        settled(all.stream().filter(t -> t.ratio() >= 0.6 && t.ratio() < 0.8).toList());
        System.out.println("good 80 to 100 %:");
        settled(all.stream().filter(t -> t.ratio() >= 0.8 && t.ratio() < 1).toList());
        List<Told> bad = all.stream().filter(t -> t.ratio() >= 1.5).toList();
        int[] n = bad.stream()
                .filter(t -> t.verdict() == Verdict.OUT)
                .mapToInt(Told::readings)
                .sorted()
                .toArray();
        System.out.printf(
                "out by half or more: %d, proven %d, readings median %d, 90 %% %d%n",
                bad.size(), n.length, n.length == 0 ? 0 : n[n.length / 2], n.length == 0 ? 0 : n[n.length * 9 / 10]);
        ChancesSaid.print(all.stream()
                .map(t -> new ChancesSaid.Walk(t.ratio(), t.chances()))
                .toList());
    }

    private static void settled(List<Told> list) {
        for (int most : new int[] {10, 12, 15, 20, 25, 30, 40}) {
            long n = list.stream()
                    .filter(t -> t.verdict() == Verdict.WITHIN && t.readings() <= most)
                    .count();
            System.out.printf("  within by %d: %.3f of %d%n", most, (double) n / Math.max(1, list.size()), list.size());
        }
    }

    private static void row(String name, List<Told> list) {
        long outTrue = list.stream().filter(t -> t.ratio() > 1).count();
        long within = list.stream().filter(t -> t.verdict() == Verdict.WITHIN).count();
        long falseWithin = list.stream()
                .filter(t -> t.verdict() == Verdict.WITHIN && t.ratio() > 1)
                .count();
        long out = list.stream().filter(t -> t.verdict() == Verdict.OUT).count();
        long falseOut = list.stream()
                .filter(t -> t.verdict() == Verdict.OUT && t.ratio() <= 1)
                .count();
        System.out.printf(
                "| %s | %d | %d | %d | %d | %d | %d | %d | %d | %d | %d | %d |%n",
                name,
                list.size(),
                outTrue,
                within,
                falseWithin,
                out,
                falseOut,
                list.size() - within - out,
                list.stream().filter(t -> t.rule() == Verdict.WITHIN).count(),
                list.stream()
                        .filter(t -> t.rule() == Verdict.WITHIN && t.ratio() > 1)
                        .count(),
                list.stream().filter(t -> t.rule() == Verdict.OUT).count(),
                list.stream()
                        .filter(t -> t.rule() == Verdict.OUT && t.ratio() <= 1)
                        .count());
    }
}
