package homalon.core.surface;

/**
 * How alike the heights of the smooth local part are at two places: the Matern covariance of smoothness 5/2, under which a face has
 * slope and curvature everywhere but no more than that (Rasmussen and Williams, Gaussian Processes for Machine Learning, 4.17).
 */
final class Matern {
    private static final double ROOT_5 = Math.sqrt(5);

    private Matern() {}

    /**
     * Correlation, 1 at no distance, falling to about 0.52 at one length and 0.14 at two.
     *
     * @param distance mm, not negative
     * @param length over which it falls, mm, above zero
     */
    static double of(double distance, double length) {
        double r = ROOT_5 * distance / length;
        return (1 + r + r * r / 3) * Math.exp(-r);
    }
}
