package homalon.bench;

import homalon.core.face.EdgeAtRest;
import homalon.core.face.FeelerEvidence;
import homalon.core.face.FeelerLine;
import homalon.core.face.FeelerLine.Rest;
import homalon.core.face.FeelerLine.Station;
import homalon.core.face.FeelerLine.Tried;
import homalon.core.face.FeelerProposal;
import homalon.core.face.FeelerResult;
import homalon.core.face.FeelerResult.Try;
import homalon.core.face.FeelerSurvey;
import homalon.core.face.Feelers;
import homalon.core.geometry.Spot;
import homalon.core.part.Ground;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.Length;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.Source;
import homalon.core.sim.TrueFace;
import homalon.core.sure.EdgesAnywhere;
import homalon.core.sure.FaceGrid;
import homalon.core.sure.FeelerSureness;
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
import java.util.OptionalDouble;
import java.util.Random;
import java.util.SplittableRandom;
import java.util.concurrent.atomic.LongAdder;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;
import org.locationtech.jts.geom.Coordinate;

/**
 * Tries faces of known truth with straightedge and feelers where the program says, until it is settled; counts how often a verdict was
 * false, and beside it what the rule of five lines said of the same answers. Arguments: faces, first seed, GAP or ZONE, whether a place
 * is tried with the one blade that is named or with each until one is refused (ONE, EACH), and a file that keeps each face, so that
 * a run that was stopped goes on.
 */
public final class HowSureByFeelers {
    private static final double LIMIT = 0.05;
    private static final double RISK = 0.01;
    private static final double FEEL = 0.003;
    private static final double BLADE = 0.002;
    private static final double FELT = 0.008;
    private static final double FELT_SPREAD = 0.004;
    private static final List<Double> BLADES =
            List.of(0.013, 0.02, 0.025, 0.03, 0.04, 0.05, 0.06, 0.08, 0.1, 0.15, 0.2);

    private static final LongAdder CHANCES = new LongAdder();
    private static final LongAdder NANOS = new LongAdder();

    private HowSureByFeelers() {}

    /** How a place is tried. */
    private enum Way {
        ONE(40),
        EACH(24);

        private final int most;

        Way(int most) {
            this.most = most;
        }
    }

    record Told(TrueFace.Kind kind, double ratio, Verdict verdict, int tries, double[] chances, Verdict old) {
        String line() {
            return kind + " " + ratio + " " + verdict + " " + tries + " " + old + " "
                    + Arrays.stream(chances).mapToObj(Double::toString).collect(Collectors.joining(","));
        }

        static Told of(String line) {
            String[] p = line.split(" ", -1);
            return new Told(
                    TrueFace.Kind.valueOf(p[0]),
                    Double.parseDouble(p[1]),
                    Verdict.valueOf(p[2]),
                    Integer.parseInt(p[3]),
                    Arrays.stream(p[5].split(","))
                            .filter(c -> !c.isEmpty())
                            .mapToDouble(Double::parseDouble)
                            .toArray(),
                    Verdict.valueOf(p[4]));
        }
    }

    public static void main(String[] args) throws IOException {
        int faces = args.length > 0 ? Integer.parseInt(args[0]) : 10_000;
        long seed = args.length > 1 ? Long.parseLong(args[1]) : 1;
        FeelerSurvey.Kind kind = args.length > 2 ? FeelerSurvey.Kind.valueOf(args[2]) : FeelerSurvey.Kind.ZONE;
        Way way = args.length > 3 ? Way.valueOf(args[3]) : Way.EACH;
        Kept<Told> kept =
                Kept.in(args.length > 4 ? Path.of(args[4]) : Files.createTempFile("feelers", ".txt"), Told::of);
        Layout layout = Layout.of(LayoutNumbers.proposed(PartKind.HEAD, 4, Length.ofMm("86"), Length.ofMm("94")));
        List<FlatnessLimit> limits = List.of(FlatnessLimit.overall(Length.ofMm("0.05"), Source.MAKER));
        FaceGrid grid = FaceGrid.of(Ground.of(layout), limits);
        FaceGrid fine = FaceGrid.fine(Ground.of(layout), limits);
        long begun = System.nanoTime();
        kept.missing(faces).parallel().forEach(i -> {
            Random random = new Random(new SplittableRandom(seed * 1_000_003L + i).nextLong());
            TrueFace face = TrueFace.draw(layout, LIMIT, random);
            Told told = new Hand(face, random, layout, grid, kind, way).walk(truth(face, fine, kind));
            kept.keep(i, told, told.line());
        });
        List<Told> all = kept.all();
        System.out.printf(
                "%d faces, %.0f s, %d chances of %.0f ms%n",
                all.size(),
                (System.nanoTime() - begun) / 1e9,
                CHANCES.sum(),
                NANOS.sum() / 1e6 / Math.max(1, CHANCES.sum()));
        report(all);
    }

    /** What the limit is asked of, in limits: the zone, or the widest gap under an edge, on a grid twice as fine. */
    private static double truth(TrueFace face, FaceGrid fine, FeelerSurvey.Kind kind) {
        if (kind == FeelerSurvey.Kind.ZONE) {
            return fine.zones(face.heights(fine.spots()))[0] / LIMIT;
        }
        EdgesAnywhere anywhere = new EdgesAnywhere(fine);
        return anywhere.widest(face.heights(anywhere.spots())) / LIMIT;
    }

    private static final class Hand {
        private final TrueFace face;
        private final Random random;
        private final Layout layout;
        private final FaceGrid grid;
        private final FeelerSurvey.Kind kind;
        private final Way way;
        private final List<FeelerLine> lines;
        private final List<FeelerLine> asked;
        private final double[] bladeErrors = new double[BLADES.size()];

        Hand(TrueFace face, Random random, Layout layout, FaceGrid grid, FeelerSurvey.Kind kind, Way way) {
            this.face = face;
            this.random = random;
            this.layout = layout;
            this.grid = grid;
            this.kind = kind;
            this.way = way;
            Arrays.setAll(bladeErrors, i -> BLADE * random.nextGaussian());
            List<FeelerProposal.Line> proposed = FeelerProposal.of(layout);
            this.lines = new ArrayList<>();
            this.asked = new ArrayList<>();
            for (FeelerProposal.Line line : proposed) {
                lines.add(new FeelerLine(line.from(), line.to(), Rest.NOT_NOTED, Tried.NOTHING, List.of()));
                asked.add(new FeelerLine(
                        line.from(),
                        line.to(),
                        Rest.NOT_NOTED,
                        Tried.NOTHING,
                        line.places().stream()
                                .map(t -> new Station(t, Tried.NOTHING))
                                .toList()));
            }
        }

        /** The five lines first, half of the limit in the middle of each; then what is named. */
        Told walk(double ratio) {
            int tries = 0;
            for (int l = 0; l < 5; l++) {
                double middle = asked.get(l).stations().stream()
                        .mapToDouble(Station::at)
                        .boxed()
                        .min((a, b) -> Double.compare(Math.abs(a - 0.5), Math.abs(b - 0.5)))
                        .orElseThrow();
                attempt(l, middle, 0.025);
                tries++;
            }
            Verdict verdict = Verdict.NOT_PROVEN;
            Verdict old = Verdict.NOT_PROVEN;
            List<Double> chances = new ArrayList<>();
            while (tries < way.most) {
                FeelerSurvey survey = new FeelerSurvey(layout.box(), 0.013, lines, LIMIT, kind);
                FeelerResult rule = Feelers.look(survey);
                old = old == Verdict.NOT_PROVEN ? rule.verdict() : old;
                if (rule.gapProven() >= LIMIT - 1e-9) {
                    verdict = Verdict.OUT;
                    break;
                }
                long from = System.nanoTime();
                FeelerSureness sure = FeelerSureness.of(new FeelerSureness.Question(
                        survey,
                        grid,
                        SurfacePrior.usual(LIMIT),
                        face.gone(),
                        RISK,
                        asked,
                        BLADES,
                        FeelerEvidence.Tools.USUAL,
                        true));
                chances.add(sure.chance());
                var next = sure.next();
                NANOS.add(System.nanoTime() - from);
                CHANCES.increment();
                if (sure.withinRisk()) {
                    verdict = Verdict.WITHIN;
                    break;
                }
                if (next.isEmpty() || sure.chance() > 0.95) {
                    break;
                }
                Try wanted = next.get();
                attempt(wanted.line().getAsInt(), wanted.at(), wanted.blade());
                tries++;
            }
            return new Told(
                    face.kind(),
                    ratio,
                    verdict,
                    tries,
                    chances.stream().mapToDouble(c -> c).toArray(),
                    old);
        }

        private void attempt(int number, double at, double blade) {
            FeelerLine line = lines.get(number);
            int parts = 200;
            double[] places = DoubleStream.concat(
                            DoubleStream.iterate(0, i -> i <= parts, i -> i + 1)
                                    .map(i -> i / parts)
                                    .filter(t -> metal(line, t)),
                            DoubleStream.of(at == 0 ? 0.5 : at))
                    .sorted()
                    .distinct()
                    .toArray();
            double[] z = Arrays.stream(places)
                    .map(t -> face.heights(List.of(spot(line, t)))[0])
                    .toArray();
            EdgeAtRest edge = EdgeAtRest.of(places, z);
            Rest rest = line.rest();
            if (rest == Rest.NOT_NOTED) {
                rest = edge.rock() > FELT + FELT_SPREAD * random.nextGaussian() ? Rest.ROCKS : Rest.SITS_STILL;
            }
            double gap = at == 0 ? edge.rock() : edge.gap(Arrays.binarySearch(places, at));
            List<Double> blades = way == Way.ONE ? List.of(blade) : BLADES;
            if (at == 0) {
                lines.set(
                        number,
                        new FeelerLine(line.from(), line.to(), rest, tried(line.ends(), blades, gap), line.stations()));
                return;
            }
            List<Station> stations = new ArrayList<>(line.stations());
            Tried before = stations.stream()
                    .filter(s -> s.at() == at)
                    .map(Station::tried)
                    .findFirst()
                    .orElse(Tried.NOTHING);
            stations.removeIf(s -> s.at() == at);
            stations.add(new Station(at, tried(before, blades, gap)));
            lines.set(number, new FeelerLine(line.from(), line.to(), rest, line.ends(), stations));
        }

        /** One blade after the other until one is refused. */
        private Tried tried(Tried before, List<Double> blades, double gap) {
            Tried now = before;
            for (double blade : blades) {
                double error = bladeErrors[Math.max(0, BLADES.indexOf(blade))];
                boolean goes = gap > blade + error + FEEL * random.nextGaussian();
                now = with(now, blade, goes);
                if (!goes) {
                    break;
                }
            }
            return now;
        }

        private static Tried with(Tried before, double blade, boolean goes) {
            double least = before.goes().orElse(0);
            double most = before.refuses().orElse(Double.POSITIVE_INFINITY);
            // The last answer stands where it speaks against one before.
            if (goes) {
                return new Tried(
                        OptionalDouble.of(Math.max(least, blade)),
                        most > Math.max(least, blade) && most < 9 ? OptionalDouble.of(most) : OptionalDouble.empty());
            }
            double refused = Math.min(most, blade);
            return new Tried(
                    least > 0 && least < refused ? OptionalDouble.of(least) : OptionalDouble.empty(),
                    OptionalDouble.of(refused));
        }

        private boolean metal(FeelerLine line, double t) {
            Spot s = spot(line, t);
            return grid.ground().land().holds(new Coordinate(s.x(), s.y()));
        }

        private static Spot spot(FeelerLine line, double t) {
            return new Spot(
                    line.from().x() + t * (line.to().x() - line.from().x()),
                    line.from().y() + t * (line.to().y() - line.from().y()));
        }
    }

    private static void report(List<Told> all) {
        Map<TrueFace.Kind, List<Told>> kinds = new EnumMap<>(TrueFace.Kind.class);
        all.forEach(t -> kinds.computeIfAbsent(t.kind(), k -> new ArrayList<>()).add(t));
        System.out.println(
                "| kind | faces | out in truth | within | of these out | out | of these within | open | rule: within | of these out | rule: out | of these within |");
        row("all", all);
        kinds.forEach((k, list) -> row(k.name(), list));
        for (double[] part : new double[][] {{0, 0.4}, {0.4, 0.6}, {0.6, 0.8}, {0.8, 1}}) {
            List<Told> list = all.stream()
                    .filter(t -> t.ratio() >= part[0] && t.ratio() < part[1])
                    .toList();
            int[] tries = list.stream()
                    .filter(t -> t.verdict() == Verdict.WITHIN)
                    .mapToInt(Told::tries)
                    .sorted()
                    .toArray();
            System.out.printf(
                    "%.1f to %.1f of the limit: %d, within %d, median tries %d%n",
                    part[0], part[1], list.size(), tries.length, tries.length == 0 ? 0 : tries[tries.length / 2]);
        }
        ChancesSaid.print(all.stream()
                .map(t -> new ChancesSaid.Walk(t.ratio(), t.chances()))
                .toList());
    }

    private static void row(String name, List<Told> list) {
        System.out.printf(
                "| %s | %d | %d | %d | %d | %d | %d | %d | %d | %d | %d | %d |%n",
                name,
                list.size(),
                list.stream().filter(t -> t.ratio() > 1).count(),
                count(list, Told::verdict, Verdict.WITHIN, false),
                count(list, Told::verdict, Verdict.WITHIN, true),
                count(list, Told::verdict, Verdict.OUT, false),
                list.stream()
                        .filter(t -> t.verdict() == Verdict.OUT && t.ratio() <= 1)
                        .count(),
                count(list, Told::verdict, Verdict.NOT_PROVEN, false),
                count(list, Told::old, Verdict.WITHIN, false),
                count(list, Told::old, Verdict.WITHIN, true),
                count(list, Told::old, Verdict.OUT, false),
                list.stream()
                        .filter(t -> t.old() == Verdict.OUT && t.ratio() <= 1)
                        .count());
    }

    private static long count(
            List<Told> list, java.util.function.Function<Told, Verdict> of, Verdict verdict, boolean outOnly) {
        return list.stream()
                .filter(t -> of.apply(t) == verdict && (!outOnly || t.ratio() > 1))
                .count();
    }
}
