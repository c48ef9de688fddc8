package homalon.core.chambers;

import homalon.core.input.Problems;

/**
 * The cut that brings a cylinder to a wanted ratio: off the head, or instead off the block.
 *
 * @param headCut mm; negative when metal would have to be put on
 * @param blockCut mm, the same by the block alone
 * @param openingArea of the chamber at the face, mm2
 * @param chamberCcAfter what the chamber holds after the head cut, cm3
 * @param possible whether the wanted ratio is reached; the figures are given either way
 * @param why what stops it, and what is possible; empty when nothing does
 */
public record CutForRatio(
        double headCut, double blockCut, double openingArea, double chamberCcAfter, boolean possible, String why) {
    private static final double SLACK = 1e-9;

    /**
     * @param openingArea mm2, the same at every depth
     * @param blockOpening mm2
     * @throws homalon.core.input.BadInputException for a ratio of 1 or less, or openings not above 0
     */
    public static CutForRatio of(Cylinder cylinder, double wanted, double openingArea, double blockOpening) {
        check(wanted, openingArea, blockOpening);
        double take = cylinder.chamberCc() - cylinder.chamberFor(wanted);
        String why = why(cylinder, wanted, take);
        return new CutForRatio(
                take / openingArea * 1000,
                take / blockOpening * 1000,
                openingArea,
                cylinder.chamberCc() - take,
                why.isEmpty(),
                why);
    }

    /**
     * From fills to a depth, the one to the brim in the place of the cylinder's chamber. Never past the deepest fill.
     *
     * @param blockOpening mm2
     */
    public static CutForRatio of(Cylinder cylinder, double wanted, DepthFills fills, double blockOpening) {
        check(wanted, 1, blockOpening);
        Cylinder brim = cylinder.withChamber(fills.brim());
        double take = fills.brim() - brim.chamberFor(wanted);
        String why = why(brim, wanted, take);
        double block = take / blockOpening * 1000;
        if (take <= SLACK) {
            double cut = fills.area(0) <= 0 ? 0 : take / fills.area(0) * 1000;
            return new CutForRatio(cut, block, fills.area(0), fills.brim() - take, why.isEmpty(), why);
        }
        DepthFills.Cut cut = fills.to(fills.brim() - take);
        if (!cut.reached() && why.isEmpty()) {
            why = "The deepest fill still holds " + Ratios.cc(cut.cc()) + ", which gives "
                    + Ratios.ratio(brim.withChamber(cut.cc()).ratio())
                    + ": fill deeper before more is cut; the cut to the deepest fill is given.";
        }
        return new CutForRatio(
                cut.cut(), block, fills.area(0), cut.reached() ? fills.brim() - take : cut.cc(), why.isEmpty(), why);
    }

    private static void check(double wanted, double openingArea, double blockOpening) {
        Problems problems = new Problems();
        problems.require(
                wanted > 1 && wanted <= 1e6, "wantedRatio", "Wanted ratio: key a number above 1, such as 9.5.");
        problems.require(openingArea > 0 && openingArea <= 2e6, "openingArea", "Opening of the chamber: above 0 mm².");
        problems.require(
                blockOpening > 0 && blockOpening <= 2e6,
                "blockOpeningArea",
                "Opening of the block: above 0 mm²; leave it out for the bore's.");
        problems.throwIfAny();
    }

    private static String why(Cylinder cylinder, double wanted, double take) {
        if (take < -SLACK) {
            return "It stands at " + Ratios.ratio(cylinder.ratio())
                    + " already: a cut only raises the ratio. A gasket thicker by " + thicker(cylinder, take)
                    + " mm lowers it to " + Ratios.ratio(wanted) + ".";
        }
        if (take > cylinder.chamberCc() + SLACK) {
            return "Even with no chamber left the ratio is " + Ratios.ratio(cylinder.highest())
                    + ": gasket, deck and crown hold the rest. Ask for less, or change those.";
        }
        return "";
    }

    private static String thicker(Cylinder cylinder, double take) {
        return String.format(
                java.util.Locale.ROOT, "%.2f", -take / cylinder.gasket().areaMm2() * 1000);
    }
}
