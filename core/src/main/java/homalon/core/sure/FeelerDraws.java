package homalon.core.sure;

import homalon.core.face.FeelerEvidence;
import homalon.core.face.FeelerLine;
import homalon.core.face.FeelerLine.Rest;
import homalon.core.face.FeelerLine.Station;
import homalon.core.face.FeelerLine.Tried;
import homalon.core.face.FeelerResult.Try;
import homalon.core.face.FeelerSurvey;
import homalon.core.face.Feelers;
import homalon.core.geometry.Spot;
import homalon.core.surface.LikelyFaces;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.ToDoubleFunction;

/** Whole faces that agree with what was tried, and what can be counted among them. */
final class FeelerDraws {
    /** Drawn at first, then where the answer is not clear; the last only where it is asked strictly. */
    private static final int[] ROUNDS = {120, 360, 1000, 2500};
    /** Of the faces drawn one after another so many tell as much as if each were drawn anew. */
    private static final double TELLING = 0.25;

    /** So many standard errors from the risk, the answer is clear. */
    private static final double SURE = 2.5;
    /** How near to its limit a face still speaks for either side, in limits. */
    private static final double SOFT = 0.08;
    /** From here on the face is taken for out, and proof of that is looked for. */
    private static final double LIKELY_OUT = 0.6;
    /** A blade that is less likely to go than this is not worth looking for. */
    private static final double PROVES = 0.1;

    /** One drawn face: what each place of the lines has, what is judged, how far it speaks for being out, how much it counts of 1. */
    private record Drawn(double[] under, double[] asked, double figure, double zone, double side, double weight) {}

    private final FeelerSureness.Question question;
    private final FeelerEvidence evidence;
    private final FeelerEvidence places;
    private final EdgesAnywhere anywhere;
    private final List<Drawn> faces = new ArrayList<>();
    /** Of faces that were looked at in a round before. */
    private final IdentityHashMap<double[], Double> known = new IdentityHashMap<>();

    FeelerDraws(FeelerSureness.Question question) {
        this.question = question;
        FaceGrid grid = question.grid();
        this.evidence = new FeelerEvidence(question.survey().lines(), grid.ground(), question.tools());
        this.places = new FeelerEvidence(question.asked(), grid.ground(), question.tools());
        this.anywhere = new EdgesAnywhere(grid);
        List<Spot> all = new ArrayList<>(evidence.spots());
        all.addAll(places.spots());
        all.addAll(anywhere.spots());
        LikelyFaces likely = new LikelyFaces(question.prior(), grid.ground(), all, evidence, question.gone());
        for (int round = 0; round < ROUNDS.length - (question.strictly() ? 0 : 1); round++) {
            faces.clear();
            likely.draw(ROUNDS[round]).forEach(this::look);
            if (clear()) {
                break;
            }
        }
    }

    private void look(LikelyFaces.Face face) {
        double[] z = face.heights();
        double[] under = Arrays.copyOf(z, evidence.places());
        double[] asked = Arrays.copyOfRange(z, under.length, under.length + places.places());
        double[] everywhere = Arrays.copyOfRange(z, under.length + asked.length, z.length);
        double[] grid = Arrays.copyOf(everywhere, question.grid().spots().size());
        double zone = known.computeIfAbsent(
                z, k -> question.grid().whole().zone(question.grid().whole().level(grid)));
        double figure = question.survey().kind() == FeelerSurvey.Kind.ZONE ? zone : anywhere.widest(everywhere);
        double side = 1 / (1 + Math.exp(-(figure / question.survey().limit() - 1) / SOFT));
        faces.add(new Drawn(under, asked, figure, zone, side, face.weight()));
    }

    /** Standard error of the chance: faces that are drawn one after another tell less than as many that are not. */
    double error() {
        double over = chance();
        double telling = telling();
        return Math.sqrt(over * (1 - over) / telling);
    }

    /** So many faces, each drawn anew, would tell as much. */
    private double telling() {
        return TELLING
                / faces.stream().mapToDouble(f -> f.weight() * f.weight()).sum();
    }

    private boolean clear() {
        double over = chance();
        double telling = telling();
        double error = Math.sqrt(Math.max(over * (1 - over), 1 / telling) / telling);
        return over - SURE * error > question.risk() || over + SURE * error < question.risk();
    }

    private boolean over(Drawn face) {
        return face.figure() > question.survey().limit();
    }

    /** The chance that the limit is broken. */
    double chance() {
        return faces.stream().filter(this::over).mapToDouble(Drawn::weight).sum();
    }

    int drawn() {
        return faces.size();
    }

    /** The zones, mm. */
    Quantiles zones() {
        return new Quantiles(
                faces.stream().mapToDouble(Drawn::zone).toArray(),
                faces.stream().mapToDouble(Drawn::weight).toArray());
    }

    /**
     * Answers that all the rest speaks against, the likeliest wrong one first.
     *
     * @param least chance of being wrong that is told
     */
    List<FeelerEvidence.Doubted> doubted(double least) {
        return evidence.doubted(
                faces.stream().map(Drawn::under).toList(),
                faces.stream().mapToDouble(Drawn::weight).toArray(),
                least);
    }

    /**
     * The blade, and where to try it, whose answer settles most; once out is likelier than not, the one that is likeliest to prove it.
     * Empty where every blade at hand was tried everywhere, or none is likely to prove it.
     */
    Optional<Try> next() {
        boolean prove = chance() > LIKELY_OUT;
        List<Attempt> all = new ArrayList<>();
        for (int l = 0; l < question.asked().size(); l++) {
            int line = l;
            if (rest(line) == Rest.ROCKS) {
                add(all, line, 0, of(f -> places.rock(f.asked(), line)));
            }
            List<Station> stations = question.asked().get(l).stations();
            double[][] gaps =
                    faces.stream().map(f -> places.gaps(f.asked(), line)).toArray(double[][]::new);
            for (int s = 0; s < stations.size(); s++) {
                int station = s;
                double[] there = new double[gaps.length];
                Arrays.setAll(there, f -> gaps[f][station]);
                add(all, line, stations.get(s).at(), there);
            }
        }
        return all.stream()
                .filter(a -> !prove || (a.blade() >= question.survey().limit() && a.goes() >= PROVES))
                .max(Comparator.comparingDouble(prove ? Attempt::goes : Attempt::worth))
                .map(this::attempt);
    }

    private Rest rest(int line) {
        List<FeelerLine> lines = question.survey().lines();
        return line < lines.size() ? lines.get(line).rest() : Rest.NOT_NOTED;
    }

    /** What was said there; the ends at 0. */
    private Tried tried(int line, double at) {
        List<FeelerLine> lines = question.survey().lines();
        if (line >= lines.size()) {
            return Tried.NOTHING;
        }
        return at == 0
                ? lines.get(line).ends()
                : lines.get(line).stations().stream()
                        .filter(s -> s.at() == at)
                        .map(Station::tried)
                        .findFirst()
                        .orElse(Tried.NOTHING);
    }

    /**
     * @param goes the chance that the blade does
     * @param worth what is expected to go of p (1 - p): the spread of p between faces in which it goes and those in which not
     */
    private record Attempt(int line, double at, double blade, double goes, double worth) {}

    private double[] of(ToDoubleFunction<Drawn> gap) {
        return faces.stream().mapToDouble(gap).toArray();
    }

    /**
     * Of the blades that were not answered for there.
     *
     * @param gaps one a face, mm
     */
    private void add(List<Attempt> all, int line, double at, double[] gaps) {
        Tried tried = tried(line, at);
        double went = tried.goes().orElse(0);
        double refused = tried.refuses().orElse(Double.POSITIVE_INFINITY);
        for (double blade : question.blades()) {
            if (blade > went && blade < refused) {
                all.add(attempt(line, at, blade, gaps));
            }
        }
    }

    private Try attempt(Attempt best) {
        FeelerLine line = question.asked().get(best.line());
        return new Try(
                Feelers.nearest(line, question.survey().box()),
                OptionalInt.of(best.line()),
                line.from(),
                line.to(),
                best.at(),
                best.blade());
    }

    private Attempt attempt(int line, double at, double blade, double[] gaps) {
        double[] mass = new double[2];
        double[] out = new double[2];
        for (int f = 0; f < gaps.length; f++) {
            Drawn face = faces.get(f);
            int side = gaps[f] >= blade ? 1 : 0;
            mass[side] += face.weight();
            out[side] += face.weight() * face.side();
        }
        double all = out[0] + out[1];
        double worth = -all * all;
        for (int k = 0; k < 2; k++) {
            worth += mass[k] > 0 ? out[k] * out[k] / mass[k] : 0;
        }
        return new Attempt(line, at, blade, mass[1], worth);
    }
}
