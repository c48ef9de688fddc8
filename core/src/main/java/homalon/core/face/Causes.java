package homalon.core.face;

import homalon.core.part.PartKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;

/**
 * What a shape may come from, and what to look at next. Rules of the trade, not proofs: each says from which figures and from
 * which words of the story at the door it was drawn.
 */
public final class Causes {
    private static final Pattern HOT =
            Pattern.compile("overheat|boil|hot\\b|coolant|steam|ran dry|seized|lost (its |the )?water|cooked");
    private static final Pattern LOOSE = Pattern.compile("stor|stack|shed|lean|dropp|lay |sat ");
    private static final Pattern LEAK = Pattern.compile("gasket|leak|blew|blown|pressur");
    private static final Pattern CUT = Pattern.compile("skim|cut|faced|machined|angle|others");
    private static final Pattern WELDED = Pattern.compile("weld|brazed|repaired");
    private static final Pattern OVERHEAD_CAM = Pattern.compile("\\bcam\\b|twin-cam|overhead|camshaft");

    /** In millimetres: a figure smaller than this is no shape. */
    private static final double SPEAKS = 0.008;

    /**
     * What the rules look at.
     *
     * @param flatness of the face
     * @param shape in words, for places
     * @param story what was told at the door, and the part's name
     * @param kind head or deck
     */
    public record Seen(FlatnessResult flatness, String shape, String story, PartKind kind) {}

    /**
     * One sentence.
     *
     * @param words what it may come from, or what to check
     * @param from figures and words that it was drawn from
     */
    public record Cause(String words, String from) {}

    private final Seen seen;
    private final String story;
    private final List<Cause> causes = new ArrayList<>();

    private Causes(Seen seen) {
        this.seen = seen;
        this.story = seen.story().toLowerCase(Locale.ROOT);
    }

    public static List<Cause> of(Seen seen) {
        return new Causes(seen).all();
    }

    private boolean told(Pattern pattern) {
        return pattern.matcher(story).find();
    }

    private void add(String words, String from) {
        causes.add(new Cause(words, from));
    }

    private List<Cause> all() {
        BowAndTwist bend = seen.flatness().bend();
        Shape shape = seen.flatness().shape();
        switch (shape) {
            case HOLLOW_LENGTHWISE, HOLLOW_CROSSWISE -> hollow();
            case CROWNED_LENGTHWISE, CROWNED_CROSSWISE -> crowned();
            case TWISTED -> twisted();
            case LOCAL -> local();
            case MIXED -> {
                if (bend.longBow().orElse(0) > SPEAKS && told(HOT)) {
                    hollow();
                }
                if (Math.abs(bend.fourthCornerLift().orElse(0)) > 2 * SPEAKS && told(LOOSE)) {
                    twisted();
                }
                if (bend.local() > SPEAKS && told(LEAK)) {
                    local();
                }
            }
            case FLAT -> {
                // Nothing to explain; what heat did elsewhere is below.
            }
        }
        besides(shape);
        return List.copyOf(causes);
    }

    /** What else is to be looked at. */
    private void besides(Shape shape) {
        if (seen.kind() == PartKind.HEAD && told(HOT) && told(OVERHEAD_CAM)) {
            add(
                    (shape == Shape.FLAT ? "A flat face does not say that the head is straight: it" : "It")
                            + " may have been skimmed while bent. Check the cam line before it is cut.",
                    "an overhead cam and heat, in the story");
        }
        if (shape != Shape.FLAT) {
            add(
                    seen.kind() == PartKind.HEAD
                            ? "Read the deck as well: where a head is low, its block often is."
                            : "Read the head as well: where a deck is low, its head often is.",
                    "the face is not flat");
        }
    }

    private void hollow() {
        String figure = "a hollow, " + (seen.flatness().shape() == Shape.HOLLOW_CROSSWISE ? "cross bow" : "long bow")
                + " above";
        if (told(HOT)) {
            add(
                    "Low in the middle fits what was told: it was hot, and the bolts held its ends.",
                    figure + ", and the story");
        } else {
            add(
                    "Low in the middle: overheated once, or pulled by its bolts. Ask whether it was hot.",
                    figure + "; the story says nothing of heat");
        }
    }

    private void crowned() {
        add(
                told(WELDED)
                        ? "High in the middle fits the weld that was told of."
                        : "High in the middle: welded, heated from outside, or rubbed down at its ends by hand.",
                "a crown, bow above" + (told(WELDED) ? ", and the story" : ""));
    }

    private void twisted() {
        add(
                told(LOOSE)
                        ? "Two corners low fits what was told of how it lay: stored or stacked loose."
                        : "Two corners low: stored or stacked loose, or cut with its corners set level.",
                "the fourth corner above" + (told(LOOSE) ? ", and the story" : ""));
        if (told(CUT)) {
            add("It was cut before: a cut with the corners set level leaves a twist.", "the story");
        }
    }

    private void local() {
        if (told(LEAK) && seen.shape().contains("between")) {
            add(
                    "Low between two bores where a gasket leaked: look for etched or pitted metal there before you trust the depth.",
                    "what bow and twist leave, and the story");
        } else {
            add(
                    "One low or high place: a burr, a dent, dirt or a gouge. Clean it, look at it, read it again.",
                    "what bow and twist leave");
        }
    }

    /** Whether the story tells of heat on a head that carries its cam: then its line is in question whatever the face says. */
    public static boolean mayBeBent(PartKind kind, String story) {
        String told = story.toLowerCase(java.util.Locale.ROOT);
        return kind == PartKind.HEAD
                && HOT.matcher(told).find()
                && OVERHEAD_CAM.matcher(told).find();
    }
}
