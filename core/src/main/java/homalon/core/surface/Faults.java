package homalon.core.surface;

import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;
import homalon.core.part.Ground;
import homalon.core.part.Land;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.DoubleStream;
import org.locationtech.jts.geom.Coordinate;

/** Every way in which a fault may lie on one face, as closely as tells them apart: for each kind its places, sizes and directions. */
final class Faults {
    /** Between the places at which one is tried, mm: about the radius of the smallest. */
    private static final double APART = 12;

    /** More on one side than on any casting: a box beyond that is no casting, and is looked at all the same. */
    private static final double MOST_APART = 120;

    private static final double[] DIPS = {14, 24, 40};
    private static final double[] GONE = {12, 20, 32};
    private static final double[] WAVES = {50, 80, 130};
    private static final double[] PULLED = {14, 24};
    private static final int PHASES = 4;
    /** Over which a step rises, mm. */
    private static final double EDGE = 2;

    private final Ground ground;
    private final SurfacePrior prior;
    private final List<FaultShape> all = new ArrayList<>();

    private Faults(Ground ground, SurfacePrior prior) {
        this.ground = ground;
        this.prior = prior;
    }

    /** @param gone where a gasket was seen to be gone; mostly none */
    static List<FaultShape> of(Ground ground, SurfacePrior prior, List<Spot> gone) {
        Faults faults = new Faults(ground, prior);
        faults.dips();
        faults.gone(gone);
        faults.waves();
        faults.steps();
        faults.bolts();
        return List.copyOf(faults.all);
    }

    private record Way(FaultShape.Height shape, Spot middle) {}

    private void add(Fault fault, List<Way> ways) {
        double rate = prior.rate(fault);
        double size = prior.size(fault);
        if (rate > 0 && size > 0) {
            for (Way way : ways) {
                all.add(new FaultShape(fault, rate / ways.size(), size, way.shape(), way.middle()));
            }
        }
    }

    private void dips() {
        List<Way> ways = new ArrayList<>();
        Land land = ground.land();
        Box box = ground.box();
        for (double x : steps(box.x0(), box.x1())) {
            for (double y : steps(box.y0(), box.y1())) {
                if (land.holds(new Coordinate(x, y))) {
                    dip(ways, new Spot(x, y), DIPS);
                }
            }
        }
        add(Fault.DIP, ways);
    }

    private static void dip(List<Way> ways, Spot centre, double[] radii) {
        for (double radius : radii) {
            ways.add(new Way(FaultShape.dip(centre, radius), centre));
        }
    }

    private void gone(List<Spot> told) {
        List<Way> ways = new ArrayList<>();
        for (Spot spot : told) {
            for (double off : new double[] {-APART, 0, APART}) {
                dip(ways, new Spot(spot.x(), spot.y() + off), GONE);
            }
        }
        add(Fault.GASKET, ways);
    }

    private void waves() {
        List<Way> ways = new ArrayList<>();
        Box box = ground.box();
        Spot middle = new Spot((box.x0() + box.x1()) / 2, (box.y0() + box.y1()) / 2);
        for (double length : WAVES) {
            for (int phase = 0; phase < PHASES; phase++) {
                double at = Math.PI * phase / PHASES;
                ways.add(new Way((x, y) -> Math.cos(2 * Math.PI * (x - box.x0()) / length + at), middle));
                ways.add(new Way((x, y) -> Math.cos(2 * Math.PI * (y - box.y0()) / length + at), middle));
            }
        }
        add(Fault.WAVES, ways);
    }

    private void steps() {
        List<Way> ways = new ArrayList<>();
        Box box = ground.box();
        double middleX = (box.x0() + box.x1()) / 2;
        double middleY = (box.y0() + box.y1()) / 2;
        for (double at : steps(box.x0(), box.x1())) {
            ways.add(new Way((x, y) -> 0.5 * Math.tanh((x - at) / EDGE), new Spot(at, middleY)));
        }
        for (double at : steps(box.y0(), box.y1())) {
            ways.add(new Way((x, y) -> 0.5 * Math.tanh((y - at) / EDGE), new Spot(middleX, at)));
        }
        add(Fault.STEP, ways);
    }

    private void bolts() {
        List<Way> ways = new ArrayList<>();
        Box box = ground.box();
        List<Spot> holes = ground.bolts();
        Spot middle = new Spot((box.x0() + box.x1()) / 2, (box.y0() + box.y1()) / 2);
        for (double radius : PULLED) {
            List<FaultShape.Height> hollows =
                    holes.stream().map(h -> FaultShape.dip(h, radius)).toList();
            if (!hollows.isEmpty()) {
                ways.add(new Way(
                        (x, y) -> {
                            double sum = 0;
                            for (FaultShape.Height hollow : hollows) {
                                sum -= hollow.at(x, y);
                            }
                            return sum;
                        },
                        middle));
            }
        }
        add(Fault.BOLTS, ways);
    }

    private static double[] steps(double from, double to) {
        int count = Math.max(1, (int) Math.round(Math.min((to - from) / APART, MOST_APART)));
        double step = (to - from) / count;
        return DoubleStream.iterate(from + step / 2, s -> s + step).limit(count).toArray();
    }
}
