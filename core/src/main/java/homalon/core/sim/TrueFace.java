package homalon.core.sim;

import homalon.core.geometry.Box;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.part.Layout;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/**
 * A face of which every height is known, drawn at random: bow, twist and slow unevenness as heads and decks have them, and what its
 * kind adds. What a judgement says of such faces is held against what is so.
 */
public final class TrueFace {
    /** What a face has beside bow, twist and slow unevenness. */
    public enum Kind {
        PLAIN(0.635),
        /** One hollow of which nothing tells. */
        DIP(0.005),
        /** One hollow at a bridge where the gasket was seen to be gone. */
        GASKET(0.06),
        WAVES(0.02),
        STEP(0.02),
        /** Hollow one way and crowned the other. */
        SADDLE(0.05),
        /** One long edge bows, the other does not. */
        ONE_EDGE(0.05),
        BOLTS(0.05),
        /** Crowned lengthwise by heat: warmer on one side when it was read. */
        THERMAL(0.06),
        /** Hollow across and constant along: cut by a spindle that stood out of square. */
        DISHED(0.05),
        /** Held by no prior: two hollows of which nothing tells. */
        TWO_DIPS(0),
        /** Held by no prior: a narrow groove from edge to edge. */
        GROOVE(0),
        /** Held by no prior: ripples shorter than any that are looked for. */
        SHORT_WAVES(0);

        private final double rate;

        Kind(double rate) {
            this.rate = rate;
        }

        /** Share of faces at the declared rates. */
        public double rate() {
            return rate;
        }
    }

    /** How often each kind is drawn. */
    public enum Mix {
        /** At the declared rates. */
        DECLARED,
        /** Each fault twice as often as declared. */
        DOUBLED,
        /** Only what no prior holds, each as often. */
        NOT_HELD;

        double share(Kind kind) {
            double faults = 1 - Kind.PLAIN.rate();
            return switch (this) {
                case DECLARED -> kind.rate();
                case DOUBLED -> kind == Kind.PLAIN ? 1 - 2 * faults : 2 * kind.rate();
                case NOT_HELD -> kind.rate() == 0 ? 1.0 / 3 : 0;
            };
        }
    }

    private interface Term {
        double at(double x, double y);
    }

    private final Kind kind;
    private final Layout layout;
    private final Box box;
    private final List<Term> terms = new ArrayList<>();
    private Optional<Spot> gone = Optional.empty();

    private TrueFace(Kind kind, Layout layout) {
        this.kind = kind;
        this.layout = layout;
        this.box = layout.box();
    }

    /** Of a kind that is drawn at the declared rates. */
    public static TrueFace draw(Layout layout, double limit, Random random) {
        return draw(Mix.DECLARED, layout, limit, random);
    }

    /** Of a kind that is drawn as often as the mix says. */
    public static TrueFace draw(Mix mix, Layout layout, double limit, Random random) {
        double at = random.nextDouble();
        Kind kind = mix == Mix.NOT_HELD ? Kind.SHORT_WAVES : Kind.PLAIN;
        for (Kind k : Kind.values()) {
            if (at < mix.share(k)) {
                kind = k;
                break;
            }
            at -= mix.share(k);
        }
        return draw(kind, layout, limit, random);
    }

    /** @param limit the tightest, mm: slow unevenness is a part of it */
    public static TrueFace draw(Kind kind, Layout layout, double limit, Random random) {
        TrueFace face = new TrueFace(kind, layout);
        face.bend(random);
        face.uneven(limit * (0.1 + 0.3 * random.nextDouble()), random);
        face.add(random);
        return face;
    }

    /** Half of all faces are all but straight, a third bent a little, the rest as far as heads bend. */
    private void bend(Random random) {
        double share = random.nextDouble();
        double scale = share < 0.5 ? 0.15 : share < 0.8 ? 0.4 : 1;
        double tiltX = 0.2 * random.nextGaussian();
        double tiltY = 0.1 * random.nextGaussian();
        double e = 0.08 * scale * random.nextGaussian();
        double f = 0.03 * scale * random.nextGaussian();
        double d = 0.03 * scale * random.nextGaussian();
        terms.add((x, y) -> {
            double u = box.u(x);
            double v = box.v(y);
            return tiltX * u + tiltY * v + e * u * u + f * v * v + d * u * v;
        });
    }

    /** A sum of plane waves in every direction, half of a metre to a few centimetres long. */
    private void uneven(double height, Random random) {
        int waves = 40;
        double[] kx = new double[waves];
        double[] ky = new double[waves];
        double[] phase = new double[waves];
        double length = 55 + 50 * random.nextDouble();
        for (int k = 0; k < waves; k++) {
            // The spectrum of a field of smoothness 5/2: a normal over the root of a gamma, five degrees of freedom.
            double gamma = 0;
            for (int j = 0; j < 5; j++) {
                double n = random.nextGaussian();
                gamma += n * n;
            }
            double scale = Math.sqrt(5 / gamma) / length;
            kx[k] = scale * random.nextGaussian();
            ky[k] = scale * random.nextGaussian();
            phase[k] = 2 * Math.PI * random.nextDouble();
        }
        double amplitude = height * Math.sqrt(2.0 / waves);
        terms.add((x, y) -> {
            double sum = 0;
            for (int k = 0; k < waves; k++) {
                sum += Math.cos(kx[k] * x + ky[k] * y + phase[k]);
            }
            return amplitude * sum;
        });
    }

    private void add(Random random) {
        switch (kind) {
            case PLAIN -> {
                // Nothing more.
            }
            case DIP -> dip(onLand(random), random);
            case TWO_DIPS -> {
                dip(onLand(random), random);
                dip(onLand(random), random);
            }
            case GASKET -> gone(random);
            case WAVES -> waves(45 + 95 * random.nextDouble(), 0.008 * random.nextGaussian(), random);
            case SHORT_WAVES -> waves(14 + 12 * random.nextDouble(), 0.008 * random.nextGaussian(), random);
            case STEP -> step(random);
            case SADDLE -> {
                double a = 0.02 * random.nextGaussian();
                terms.add((x, y) -> a * (box.u(x) * box.u(x) - box.v(y) * box.v(y)));
            }
            case ONE_EDGE -> {
                double a = 0.02 * random.nextGaussian();
                double edge = random.nextBoolean() ? 1 : -1;
                terms.add((x, y) -> a * box.u(x) * box.u(x) * (1 + edge * box.v(y)) / 2);
            }
            case BOLTS -> bolts(random);
            case THERMAL -> {
                double a = -0.02 * Math.abs(random.nextGaussian());
                terms.add((x, y) -> a * box.u(x) * box.u(x));
            }
            case DISHED -> {
                double a = 0.015 * Math.abs(random.nextGaussian());
                terms.add((x, y) -> a * box.v(y) * box.v(y));
            }
            case GROOVE -> {
                double at = box.x0() + box.width() * random.nextDouble();
                double depth = 0.04 * Math.abs(random.nextGaussian());
                terms.add((x, y) -> -depth * Math.exp(-(x - at) * (x - at) / 18));
            }
        }
    }

    private Spot onLand(Random random) {
        while (true) {
            Spot spot = new Spot(
                    box.x0() + box.width() * random.nextDouble(), box.y0() + box.height() * random.nextDouble());
            if (layout.askedLand().holds(new org.locationtech.jts.geom.Coordinate(spot.x(), spot.y()))) {
                return spot;
            }
        }
    }

    private void dip(Spot centre, Random random) {
        hollow(centre, 0.06 * Math.abs(random.nextGaussian()), 12 + 32 * random.nextDouble());
    }

    private void hollow(Spot centre, double depth, double radius) {
        SeededFace only = new SeededFace(box, 0, 0, 0, 0, 0, List.of(new SeededFace.Dip(centre, depth, radius)));
        terms.add(only::at);
    }

    /** Half of the bridges at which the gasket was gone are eroded. */
    private void gone(Random random) {
        int bores = layout.bores().size();
        if (bores < 2) {
            return;
        }
        int k = random.nextInt(bores - 1);
        Spot a = layout.bores().get(k).centre();
        Spot b = layout.bores().get(k + 1).centre();
        Spot bridge = new Spot((a.x() + b.x()) / 2, (a.y() + b.y()) / 2);
        gone = Optional.of(bridge);
        if (random.nextBoolean()) {
            Spot there = new Spot(bridge.x(), bridge.y() + 24 * (random.nextDouble() - 0.5));
            hollow(there, 0.06 * Math.abs(random.nextGaussian()), 12 + 20 * random.nextDouble());
        }
    }

    private void waves(double length, double height, Random random) {
        double phase = 2 * Math.PI * random.nextDouble();
        boolean along = random.nextBoolean();
        terms.add((x, y) -> height * Math.cos(2 * Math.PI * (along ? x : y) / length + phase));
    }

    private void step(Random random) {
        double height = 0.02 * random.nextGaussian();
        boolean along = random.nextBoolean();
        double at =
                along ? box.x0() + box.width() * random.nextDouble() : box.y0() + box.height() * random.nextDouble();
        terms.add((x, y) -> height / 2 * Math.tanh(((along ? x : y) - at) / 2));
    }

    private void bolts(Random random) {
        double height = 0.03 * Math.abs(random.nextGaussian());
        double radius = 12 + 14 * random.nextDouble();
        for (Layout.Hole hole : layout.boltHoles()) {
            hollow(hole.centre(), -height, radius);
        }
    }

    public Kind kind() {
        return kind;
    }

    /** Where the gasket was seen to be gone, which is told at intake. */
    public List<Spot> gone() {
        return gone.stream().toList();
    }

    /** Height at a place, without noise, mm. */
    public double at(double x, double y) {
        double sum = 0;
        for (Term term : terms) {
            sum += term.at(x, y);
        }
        return sum;
    }

    /** A place as a gauge of that standard uncertainty reads it, mm. */
    public double read(Spot spot, double noise, Random random) {
        return at(spot.x(), spot.y()) + noise * random.nextGaussian();
    }

    /** Every height of these places, mm. */
    public double[] heights(List<Spot> spots) {
        double[] all = new double[spots.size()];
        Arrays.setAll(all, i -> at(spots.get(i).x(), spots.get(i).y()));
        return all;
    }

    /** The same as points. */
    public Points points(List<Spot> spots) {
        return Points.of(
                spots.stream().mapToDouble(Spot::x).toArray(),
                spots.stream().mapToDouble(Spot::y).toArray(),
                heights(spots));
    }
}
