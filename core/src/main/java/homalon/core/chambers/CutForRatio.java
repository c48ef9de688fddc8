package homalon.core.chambers;

import homalon.core.input.Problems;
import homalon.core.words.Message;

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
        double headCut, double blockCut, double openingArea, double chamberCcAfter, boolean possible, Message why) {
    private static final double SLACK = 1e-9;

    /**
     * @param openingArea mm2, the same at every depth
     * @param blockOpening mm2
     * @throws homalon.core.input.BadInputException for a ratio of 1 or less, or openings not above 0
     */
    public static CutForRatio of(Cylinder cylinder, double wanted, double openingArea, double blockOpening) {
        check(wanted, openingArea, blockOpening);
        double take = cylinder.chamberCc() - cylinder.chamberFor(wanted);
        Message why = why(cylinder, wanted, take);
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
        Message why = why(brim, wanted, take);
        double block = take / blockOpening * 1000;
        if (take <= SLACK) {
            double cut = fills.area(0) <= 0 ? 0 : take / fills.area(0) * 1000;
            return new CutForRatio(cut, block, fills.area(0), fills.brim() - take, why.isEmpty(), why);
        }
        DepthFills.Cut cut = fills.to(fills.brim() - take);
        if (!cut.reached() && why.isEmpty()) {
            why = Message.of(
                    "chambers.the-deepest-fill-still-holds-which",
                    Ratios.cc(cut.cc()),
                    Ratios.ratio(brim.withChamber(cut.cc()).ratio()));
        }
        return new CutForRatio(
                cut.cut(), block, fills.area(0), cut.reached() ? fills.brim() - take : cut.cc(), why.isEmpty(), why);
    }

    private static void check(double wanted, double openingArea, double blockOpening) {
        Problems problems = new Problems();
        problems.require(wanted > 1 && wanted <= 1e6, "wantedRatio", "chambers.wanted-ratio-key-a-number-above-1-such");
        problems.require(
                openingArea > 0 && openingArea <= 2e6, "openingArea", "chambers.opening-of-the-chamber-above-0-mm");
        problems.require(
                blockOpening > 0 && blockOpening <= 2e6,
                "blockOpeningArea",
                "chambers.opening-of-the-block-above-0-mm-leave");
        problems.throwIfAny();
    }

    private static Message why(Cylinder cylinder, double wanted, double take) {
        if (take < -SLACK) {
            return Message.of(
                    "chambers.it-stands-at-already-a-cut-only-raises",
                    Ratios.ratio(cylinder.ratio()),
                    thicker(cylinder, take),
                    Ratios.ratio(wanted));
        }
        if (take > cylinder.chamberCc() + SLACK) {
            return Message.of("chambers.even-with-no-chamber-left-the-ratio-is", Ratios.ratio(cylinder.highest()));
        }
        return Message.NONE;
    }

    private static String thicker(Cylinder cylinder, double take) {
        return String.format(
                java.util.Locale.ROOT, "%.2f", -take / cylinder.gasket().areaMm2() * 1000);
    }
}
