package homalon.core.face;

import homalon.core.part.PartKind;
import homalon.core.words.Message;
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
     * @param lowBetweenBores whether the lowest of what bow and twist leave lies between two bores
     * @param story what was told at the door, and the part's name
     * @param kind head or deck
     */
    public record Seen(FlatnessResult flatness, boolean lowBetweenBores, String story, PartKind kind) {}

    /**
     * One sentence.
     *
     * @param words what it may come from, or what to check
     * @param from figures and words that it was drawn from
     */
    public record Cause(Message words, Message from) {}

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

    private void add(Message words, Message from) {
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
                    Message.of(
                            "face.may-have-been-skimmed-while-bent-check",
                            shape == Shape.FLAT
                                    ? Message.of("face.a-flat-face-does-not-say-that-the-head")
                                    : Message.of("face.it")),
                    Message.of("face.an-overhead-cam-and-heat-in-the-story"));
        }
        if (shape != Shape.FLAT) {
            add(
                    seen.kind() == PartKind.HEAD
                            ? Message.of("face.read-the-deck-as-well-where-a-head-is")
                            : Message.of("face.read-the-head-as-well-where-a-deck-is"),
                    Message.of("face.the-face-is-not-flat"));
        }
    }

    private void hollow() {
        Message figure = Message.of(
                "face.a-hollow-above",
                seen.flatness().shape() == Shape.HOLLOW_CROSSWISE
                        ? Message.of("face.cross-bow")
                        : Message.of("face.long-bow"));
        if (told(HOT)) {
            add(Message.of("face.low-in-the-middle-fits-what-was-told-it"), Message.of("face.and-the-story", figure));
        } else {
            add(
                    Message.of("face.low-in-the-middle-overheated-once-or"),
                    Message.of("face.the-story-says-nothing-of-heat", figure));
        }
    }

    private void crowned() {
        add(
                told(WELDED)
                        ? Message.of("face.high-in-the-middle-fits-the-weld-that")
                        : Message.of("face.high-in-the-middle-welded-heated-from"),
                Message.of("face.a-crown-bow-above", told(WELDED) ? Message.of("face.the-story-too") : Message.NONE));
    }

    private void twisted() {
        add(
                told(LOOSE)
                        ? Message.of("face.two-corners-low-fits-what-was-told-of")
                        : Message.of("face.two-corners-low-stored-or-stacked-loose"),
                Message.of(
                        "face.the-fourth-corner-above", told(LOOSE) ? Message.of("face.the-story-too") : Message.NONE));
        if (told(CUT)) {
            add(Message.of("face.it-was-cut-before-a-cut-with-the"), Message.of("face.the-story"));
        }
    }

    private void local() {
        if (told(LEAK) && seen.lowBetweenBores()) {
            add(
                    Message.of("face.low-between-two-bores-where-a-gasket"),
                    Message.of("face.what-bow-and-twist-leave-and-the-story"));
        } else {
            add(Message.of("face.one-low-or-high-place-a-burr-a-dent"), Message.of("face.what-bow-and-twist-leave"));
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
