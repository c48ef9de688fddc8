package homalon.core.guides;

import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The ladder of repairs for a guide, from leaving it to replacing it, each rung with whether it helps here and what it needs.
 *
 * @param rungs in the order of the ladder
 */
public record Ladder(List<Step> rungs) {
    /** A repair. */
    public enum Rung {
        AS_IS,
        HONE,
        OVERSIZE,
        KNURL,
        LINER,
        REPLACE;

        private final Message words = Message.of(this);

        public Message words() {
            return words;
        }

        /** The guide's bore is made anew, so that the old seat is no longer concentric with it. */
        public boolean movesAxis() {
            return this == OVERSIZE || this == LINER || this == REPLACE || this == KNURL;
        }
    }

    /** Whether a rung helps. */
    public enum Helps {
        YES,
        NO,
        /** Something has to be measured before it can be said. */
        MEASURE
    }

    /**
     * One rung.
     *
     * @param ream finished size of the guide for it, mm; empty where nothing is reamed
     */
    public record Step(Rung rung, Helps helps, Message why, OptionalDouble ream) {}

    /**
     * What the shop holds to.
     *
     * @param knurls false where a shop rule refuses knurling
     * @param racing the engine is raced: a knurled guide does not last
     * @param oversizes of stems that are to be had, mm, smallest first
     */
    public record Shop(boolean knurls, boolean racing, List<Double> oversizes) {
        /** Common stem oversizes; a general default. */
        public static final List<Double> USUAL_OVERSIZES = List.of(0.076, 0.127, 0.25, 0.38, 0.5);
    }

    /** A hone takes burrs and this much. */
    public static final double HONE_ADDS = 0.005;
    /** A guide worn further than this cannot be knurled. */
    public static final double KNURL_MOST = 0.15;
    /** What reaming must take off the most worn place to make it round. */
    public static final double CLEAN_UP = 0.005;

    /**
     * @param guide as measured
     * @param stem smallest diameter of the stem that was measured
     * @param housing the bore in the casting was measured
     */
    public static Ladder of(Guide guide, double stem, GuideLimits limits, Shop shop, boolean housing) {
        double worst =
                Math.max(guide.bellMouthTop().orElse(0), guide.bellMouthBottom().orElse(0));
        boolean shape = worst <= limits.bellMouth() + 1e-9 && guide.ovality() <= limits.ovality() + 1e-9;
        boolean clear = guide.clearanceGoverning() <= limits.service() + 1e-9;
        boolean free = guide.clearanceLeast() >= limits.least() - 1e-9;
        List<Step> rungs = new ArrayList<>();
        rungs.add(asIs(guide, clear, shape, free));
        rungs.add(hone(guide, limits, clear, shape, free));
        rungs.add(oversize(guide, stem, limits, shop));
        rungs.add(knurl(guide, stem, limits, shop));
        rungs.add(new Step(
                Rung.LINER,
                Helps.YES,
                said(Message.of("guides.needs-the-old-guide-sound-in-the")),
                OptionalDouble.of(stem + limits.wanted())));
        rungs.add(new Step(
                Rung.REPLACE,
                housing ? Helps.YES : Helps.MEASURE,
                said(
                        housing
                                ? Message.of("guides.new-guide-pressed-in-then-sized-to-the")
                                : Message.of("guides.measure-the-bore-in-the-casting-before")),
                OptionalDouble.of(stem + limits.wanted())));
        return new Ladder(List.copyOf(rungs));
    }

    private static Step oversize(Guide guide, double stem, GuideLimits limits, Shop shop) {
        double largest = stem + guide.clearanceGoverning();
        return shop.oversizes().stream()
                .filter(o -> stem + o + limits.wanted() >= largest + CLEAN_UP)
                .findFirst()
                .map(o -> new Step(
                        Rung.OVERSIZE,
                        Helps.YES,
                        said(Message.of("guides.needs-valves-with-stems-that-much-over")),
                        OptionalDouble.of(stem + o + limits.wanted())))
                .orElseGet(() -> new Step(
                        Rung.OVERSIZE,
                        Helps.NO,
                        said(Message.of("guides.no-stem-is-had-that-large-the-worn")),
                        OptionalDouble.empty()));
    }

    private static Step asIs(Guide guide, boolean clear, boolean shape, boolean free) {
        Message why = guide.oneEndOnly()
                ? Message.of("guides.read-at-one-end-only-the-far-end-may-be")
                : !clear
                        ? Message.of("guides.beyond-the-service-limit")
                        : !shape
                                ? Message.of("guides.mouth-or-ovality-beyond-its-limit")
                                : free
                                        ? Message.of("guides.within")
                                        : Message.of("guides.tight-somewhere-it-may-seize");
        boolean yes = clear && shape && free && !guide.oneEndOnly();
        return new Step(
                Rung.AS_IS,
                yes ? Helps.YES : guide.oneEndOnly() && clear ? Helps.MEASURE : Helps.NO,
                said(why),
                OptionalDouble.empty());
    }

    private static Step hone(Guide guide, GuideLimits limits, boolean clear, boolean shape, boolean free) {
        boolean room = guide.clearanceGoverning() + HONE_ADDS <= limits.service() + 1e-9;
        // Burrs are taken out of a good guide as well, as long as there is room for what the hone takes.
        boolean yes = clear && shape && room && guide.clearanceLeast() + HONE_ADDS >= limits.least() - 1e-9;
        Message why = !clear || !shape
                ? Message.of("guides.it-takes-burrs-not-wear")
                : free
                        ? yes
                                ? Message.of("guides.takes-burrs-nothing-is-tight")
                                : Message.of("guides.no-room-for-a-hone")
                        : yes
                                ? Message.of("guides.takes-burrs-and-a-few-thousandths-with")
                                : Message.of("guides.not-enough-to-free-it");
        return new Step(Rung.HONE, yes ? Helps.YES : Helps.NO, said(why), OptionalDouble.empty());
    }

    private static Step knurl(Guide guide, double stem, GuideLimits limits, Shop shop) {
        Message why = !shop.knurls()
                ? Message.of("guides.refused-by-this-shops-rule")
                : shop.racing()
                        ? Message.of("guides.not-for-racing-it-does-not-last")
                        : guide.clearanceGoverning() > KNURL_MOST + 1e-9
                                ? Message.of("guides.worn-beyond-too-far-to-raise", new Message.Mm(KNURL_MOST))
                                : Message.of("guides.short-lived-and-only-to-be-told-to-the");
        boolean yes = shop.knurls() && !shop.racing() && guide.clearanceGoverning() <= KNURL_MOST + 1e-9;
        return new Step(
                Rung.KNURL,
                yes ? Helps.YES : Helps.NO,
                why,
                yes ? OptionalDouble.of(stem + limits.wanted()) : OptionalDouble.empty());
    }

    private static Message said(Message words) {
        return words;
    }

    /** The lowest rung that helps; empty when the first thing is to measure more. */
    public Optional<Step> lowest() {
        Step first = rungs.get(0);
        return first.helps() == Helps.MEASURE
                ? Optional.empty()
                : rungs.stream().filter(s -> s.helps() == Helps.YES).findFirst();
    }

    public Step rung(Rung of) {
        return rungs.stream().filter(s -> s.rung() == of).findFirst().orElseThrow();
    }
}
