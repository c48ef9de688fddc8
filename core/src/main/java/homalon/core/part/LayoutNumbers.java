package homalon.core.part;

import homalon.core.input.Problems;
import homalon.core.quantity.Length;
import homalon.core.words.Message;

/**
 * The few numbers that a face is drawn from. All lengths positive; checked together, so that a person hears all that is
 * wrong at once.
 *
 * @param cylinders bores of this face, 1 to 8
 * @param firstNumber number of the bore nearest the front
 * @param numberStep what is added for the next bore: 1 in line, often 2 on one bank of a V
 * @param bore bore diameter, 20 to 500 mm
 * @param spacing from bore centre to bore centre (with one bore: not used)
 * @param length of the face along the bores
 * @param width of the face across
 * @param boltRows how the head bolts run
 * @param boltHole diameter of a bolt hole
 * @param waterHoles water holes around each bore: 0, 2 or 4
 * @param chambers how the opening at each bore is drawn
 * @param intakeAtTop true when the intake side is the upper edge of the drawing (front at the left)
 * @param dowels 0, or 2 at opposite corners: hollow ones around bolt holes where there are bolts
 */
public record LayoutNumbers(
        int cylinders,
        int firstNumber,
        int numberStep,
        Length bore,
        Length spacing,
        Length length,
        Length width,
        BoltRows boltRows,
        Length boltHole,
        int waterHoles,
        ChamberShape chambers,
        boolean intakeAtTop,
        int dowels) {

    private static final double LEAST_BRIDGE = 2;

    /** A face without dowels. */
    public LayoutNumbers(
            int cylinders,
            int firstNumber,
            int numberStep,
            Length bore,
            Length spacing,
            Length length,
            Length width,
            BoltRows boltRows,
            Length boltHole,
            int waterHoles,
            ChamberShape chambers,
            boolean intakeAtTop) {
        this(
                cylinders,
                firstNumber,
                numberStep,
                bore,
                spacing,
                length,
                width,
                boltRows,
                boltHole,
                waterHoles,
                chambers,
                intakeAtTop,
                0);
    }

    /** @throws homalon.core.input.BadInputException naming every number that cannot be drawn */
    public LayoutNumbers {
        Problems problems = new Problems();
        problems.require(cylinders >= 1 && cylinders <= 8, "cylinders", "part.cylinders-key-1-to-8-for-one-face");
        problems.require(
                firstNumber >= 1 && firstNumber <= 16, "firstNumber", "part.first-cylinders-number-key-1-to-16");
        problems.require(
                numberStep == 1 || numberStep == 2, "numberStep", "part.numbering-1-in-line-2-for-every-second");
        problems.require(
                waterHoles == 0 || waterHoles == 2 || waterHoles == 4,
                "waterHoles",
                "part.water-holes-0-2-or-4-a-bore");
        problems.require(dowels == 0 || dowels == 2, "dowels", "part.dowels-0-or-2-on-one-face");
        boolean boreFits = between(problems, "bore", Message.of("part.bore"), bore, 20, 500);
        boolean lengthFits = between(problems, "length", Message.of("part.length-of-the-face"), length, 40, 3000);
        boolean widthFits = between(problems, "width", Message.of("part.width-of-the-face"), width, 30, 1000);
        if (boltRows != BoltRows.NONE) {
            between(problems, "boltHole", Message.of("part.bolt-hole"), boltHole, 3, 60);
        }
        if (boreFits
                && cylinders > 1
                && between(problems, "spacing", Message.of("part.bore-spacing"), spacing, 20, 1000)) {
            problems.require(
                    spacing.mm() >= bore.mm() + LEAST_BRIDGE,
                    "spacing",
                    "part.bore-spacing-must-be-more-than-the-bore");
            if (lengthFits) {
                problems.require(
                        length.mm() > (cylinders - 1) * spacing.mm() + bore.mm(),
                        "length",
                        "part.the-bores-do-not-fit-on-that-length-key");
            }
        }
        if (boreFits && widthFits) {
            problems.require(width.mm() > bore.mm(), "width", "part.the-bore-is-wider-than-the-face-key-the");
        }
        if (boreFits && lengthFits && cylinders == 1) {
            problems.require(length.mm() > bore.mm(), "length", "part.the-bore-is-longer-than-the-face-key");
        }
        problems.throwIfAny();
    }

    private static boolean between(Problems problems, String field, Message name, Length value, int least, int most) {
        return problems.require(
                value != null && value.mm() >= least && value.mm() <= most,
                field,
                "part.key-a-size-from-to-mm",
                name,
                least,
                most);
    }

    /**
     * Sizes proposed from bore and spacing alone, to be overwritten by what is measured.
     *
     * @param kind heads are drawn with a flat on the intake side, decks with full bores
     */
    public static LayoutNumbers proposed(PartKind kind, int cylinders, Length bore, Length spacing) {
        double d = bore.mm();
        double pitch = cylinders > 1 ? spacing.mm() : d;
        return new LayoutNumbers(
                cylinders,
                1,
                1,
                bore,
                cylinders > 1 ? spacing : bore,
                wholeMm((cylinders - 1) * pitch + d * 1.42),
                wholeMm(d * 1.75),
                BoltRows.TWO,
                wholeMm(Math.max(7, d * 0.14)),
                4,
                kind == PartKind.DECK ? ChamberShape.ROUND : ChamberShape.CUT_OFF,
                false);
    }

    private static Length wholeMm(double mm) {
        return Length.ofMm(Long.toString(Math.round(mm)));
    }
}
