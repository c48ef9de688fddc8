package homalon.core.chambers;

import homalon.core.input.Problems;
import homalon.core.verdict.Working;
import homalon.core.words.Message;

/**
 * One cylinder with all that lies above its piston at top dead centre. Lengths mm, areas mm2, volumes cm3.
 *
 * @param chamberCc of the head
 * @param gasket opening and thickness, compressed
 * @param deck piston below the deck, + below, - proud
 * @param crownCc dish and pockets +, dome -
 * @param creviceCc between crown and top ring; often left out
 */
public record Cylinder(
        double bore, double stroke, double chamberCc, Gasket gasket, double deck, double crownCc, double creviceCc) {

    /**
     * @param areaMm2 of its opening
     * @param thickness compressed
     */
    public record Gasket(double areaMm2, double thickness) {
        public static Gasket round(double bore, double thickness) {
            return new Gasket(circle(bore), thickness);
        }

        public double cc() {
            return areaMm2 * thickness / 1000;
        }

        public Gasket thicker(double by) {
            return new Gasket(areaMm2, thickness + by);
        }
    }

    /** @throws homalon.core.input.BadInputException naming every figure that no cylinder has */
    public Cylinder {
        Problems problems = new Problems();
        problems.require(bore > 0 && bore <= 1000, "bore", "chambers.bore-above-0-and-at-most-1000-mm");
        problems.require(stroke > 0 && stroke <= 3000, "stroke", "chambers.stroke-above-0-and-at-most-3000-mm");
        problems.require(
                chamberCc >= 0 && chamberCc <= 1e5, "chamberCc", "chambers.chamber-volume-not-below-0-at-most");
        problems.require(
                gasket.areaMm2() > 0 && gasket.areaMm2() <= 2e6,
                "gasketBore",
                "chambers.gasket-opening-above-0-as-a-bore-in-mm");
        problems.require(
                gasket.thickness() >= 0 && gasket.thickness() <= 20,
                "gasketThickness",
                "chambers.gasket-compressed-from-0-to-20-mm");
        problems.require(Math.abs(deck) <= 100, "deck", "chambers.piston-below-the-deck-at-most-100-mm");
        problems.require(Math.abs(crownCc) <= 1e5, "crownCc", "chambers.crown-dish-and-pockets-with-dome-with");
        problems.require(creviceCc >= 0 && creviceCc <= 1e4, "creviceCc", "chambers.crevice-volume-not-below-0");
        problems.throwIfAny();
        double clearance = clearance(bore, chamberCc, gasket, deck, crownCc, creviceCc);
        problems.require(
                clearance > 0, "chamberCc", "chambers.chamber-gasket-deck-crown-and-crevice", Ratios.cc(clearance));
        problems.throwIfAny();
    }

    /** Area of a circle. */
    public static double circle(double diameter) {
        return Math.PI / 4 * diameter * diameter;
    }

    private static double clearance(
            double bore, double chamberCc, Gasket gasket, double deck, double crownCc, double creviceCc) {
        return chamberCc + gasket.cc() + circle(bore) * deck / 1000 + crownCc + creviceCc;
    }

    /**
     * Volume between the crown's side and the bore down to the top ring.
     *
     * @param clearance of the piston in its bore, on the diameter, mm
     * @param land from the crown down to the top ring, mm
     */
    public static double creviceCc(double bore, double clearance, double land) {
        return Math.PI * (bore - clearance / 2) * clearance / 2 * land / 1000;
    }

    public double boreArea() {
        return circle(bore);
    }

    public double sweptCc() {
        return boreArea() * stroke / 1000;
    }

    public double deckCc() {
        return boreArea() * deck / 1000;
    }

    public double clearanceCc() {
        return clearance(bore, chamberCc, gasket, deck, crownCc, creviceCc);
    }

    /** (Vs + Vc) / Vc. */
    public double ratio() {
        return (sweptCc() + clearanceCc()) / clearanceCc();
    }

    /** Chamber volume that would give a ratio, all else as it is; negative when no chamber does. */
    public double chamberFor(double ratio) {
        return chamberCc + sweptCc() / (ratio - 1) - clearanceCc();
    }

    /** The ratio with no chamber left at all; infinite when the piston would touch. */
    public double highest() {
        double least = clearanceCc() - chamberCc;
        return least <= 0 ? Double.POSITIVE_INFINITY : (sweptCc() + least) / least;
    }

    public Cylinder withChamber(double cc) {
        return new Cylinder(bore, stroke, cc, gasket, deck, crownCc, creviceCc);
    }

    public Cylinder withGasket(Gasket other) {
        return new Cylinder(bore, stroke, chamberCc, other, deck, crownCc, creviceCc);
    }

    public Cylinder withDeck(double other) {
        return new Cylinder(bore, stroke, chamberCc, gasket, other, crownCc, creviceCc);
    }

    public Cylinder withCrown(double cc) {
        return new Cylinder(bore, stroke, chamberCc, gasket, deck, cc, creviceCc);
    }

    /** Every volume of it, and the ratio. */
    public Working working(Message title) {
        return Working.of(title)
                .line(Message.of("chambers.swept-4", Ratios.exactCc(sweptCc())), bore, stroke)
                .line(Message.of("chambers.chamber", Ratios.exactCc(chamberCc)))
                .line(
                        Message.of("chambers.gasket", new Message.Mm2(gasket.areaMm2()), Ratios.exactCc(gasket.cc())),
                        gasket.thickness())
                .line(Message.of("chambers.piston-below-the-deck-4", Ratios.exactCc(deckCc())), bore, deck)
                .line(Message.of("chambers.crown-crevice", Ratios.signedCc(crownCc), Ratios.signedCc(creviceCc)))
                .line(Message.of("chambers.above-the-piston-in-all", Ratios.exactCc(clearanceCc())))
                .line(Message.of(
                        "chambers.ratio-of-spaces",
                        Ratios.exactCc(sweptCc()),
                        Ratios.exactCc(clearanceCc()),
                        Ratios.exactCc(clearanceCc()),
                        Ratios.ratio(ratio())))
                .done();
    }
}
