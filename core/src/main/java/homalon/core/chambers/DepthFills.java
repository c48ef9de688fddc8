package homalon.core.chambers;

import homalon.core.input.Problems;
import homalon.core.numeric.QuadraticFit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Fills of one chamber to several depths below the face: what it would hold after a cut of that depth. Two depths give a straight
 * line; three or more a parabola by least squares, since a chamber with sloping walls narrows with depth. Either goes through the
 * mean of the fills to the brim, so that a wish near what it holds asks for a cut near none.
 */
public final class DepthFills {
    /**
     * @param depth of the liquid's level below the face, mm
     * @param cc what it holds then
     */
    public record Level(double depth, double cc) {}

    private final List<Level> levels;
    private final QuadraticFit fit;

    private DepthFills(List<Level> levels, QuadraticFit fit) {
        this.levels = levels;
        this.fit = fit;
    }

    /** @throws homalon.core.input.BadInputException without a fill to the brim, with one depth only, or when a deeper fill holds more */
    public static DepthFills of(List<Level> fills) {
        Problems problems = new Problems();
        List<Level> sorted = new ArrayList<>(fills);
        boolean numbers = problems.require(
                fills.stream().allMatch(l -> l.depth() >= 0 && l.depth() <= 100 && l.cc() > 0 && l.cc() <= 1e5),
                "fills",
                "chambers.fills-depth-below-the-face-from-0-to");
        if (numbers) {
            sorted.sort(Comparator.comparingDouble(Level::depth));
            problems.require(
                    !sorted.isEmpty() && sorted.get(0).depth() == 0,
                    "fills",
                    "chambers.fills-one-to-the-brim-at-depth-0-is");
            problems.require(
                    sorted.stream().mapToDouble(Level::depth).distinct().count() >= 2,
                    "fills",
                    "chambers.fills-at-least-two-different-depths-are");
            for (int i = 1; i < sorted.size(); i++) {
                boolean falls = sorted.get(i).depth() == sorted.get(i - 1).depth()
                        || sorted.get(i).cc() < sorted.get(i - 1).cc();
                problems.require(falls, "fills", "chambers.fills-a-deeper-level-must-hold-less-key");
            }
        }
        problems.throwIfAny();
        List<Level> below = sorted.stream().filter(l -> l.depth() > 0).toList();
        return new DepthFills(
                List.copyOf(sorted),
                QuadraticFit.from(
                        brim(sorted),
                        below.stream().mapToDouble(Level::depth).toArray(),
                        below.stream().mapToDouble(Level::cc).toArray()));
    }

    public List<Level> levels() {
        return levels;
    }

    /** What it holds to the brim: the mean of the fills at depth 0. */
    public double brim() {
        return brim(levels);
    }

    private static double brim(List<Level> levels) {
        return levels.stream()
                .filter(l -> l.depth() == 0)
                .mapToDouble(Level::cc)
                .average()
                .orElseThrow();
    }

    public double deepest() {
        return levels.get(levels.size() - 1).depth();
    }

    /** Opening at a depth, mm2: how fast the volume falls there. */
    public double area(double depth) {
        return -fit.slope(depth) * 1000;
    }

    /** Opening as the mean from the face down to a depth, mm2. */
    public double meanArea(double depth) {
        return depth <= 0 ? area(0) : (fit.at(0) - fit.at(depth)) / depth * 1000;
    }

    /** What it holds after a cut, by the fit. */
    public double after(double cut) {
        return fit.at(cut);
    }

    /**
     * @param cut mm; never past the deepest fill
     * @param cc what the chamber holds after it
     * @param reached false when the deepest fill still holds more than was wanted: nothing is known below it
     */
    public record Cut(double cut, double cc, boolean reached) {}

    /** The smallest cut after which the chamber holds no more than this. */
    public Cut to(double cc) {
        double cut = fit.firstAbove(cc);
        boolean reached = cut <= deepest() + 1e-12;
        return reached ? new Cut(cut, cc, true) : new Cut(deepest(), fit.at(deepest()), false);
    }
}
