package homalon.core.cut;

import homalon.core.input.Problems;
import homalon.core.words.Message;
import java.util.OptionalDouble;

/**
 * Theoretical finish and time of a pass with one round or rounded insert cutting the surface: Rt = f^2 / (8 r) and
 * Ra = f^2 / (31.2 r) for feed per revolution f and nose radius r, valid for f well below r; spindle speed
 * n = 1000 v / (pi D).
 *
 * @param noseRadius r, mm
 * @param feedPerRev f, mm
 * @param ra arithmetic mean roughness, micrometres
 * @param rt peak to valley, micrometres
 * @param rpm spindle speed; empty without a cutter and a cutting speed
 * @param tableFeed mm per minute; empty without a speed
 * @param minutes of one pass; empty without a feed and a length
 */
public record Finish(
        double noseRadius,
        double feedPerRev,
        double ra,
        double rt,
        OptionalDouble rpm,
        OptionalDouble tableFeed,
        OptionalDouble minutes) {

    private static final double RT = 8;
    private static final double RA = 31.2;
    private static final double MICROMETRES = 1000;

    /**
     * What turns the tool and moves the table.
     *
     * @param diameter of the cutter, mm
     * @param speed wanted at the cutter's edge, m/min
     * @param maxRpm of the spindle, never exceeded
     */
    public record Spindle(OptionalDouble diameter, OptionalDouble speed, OptionalDouble maxRpm) {
        public static final Spindle NONE =
                new Spindle(OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty());

        OptionalDouble rpm() {
            if (diameter.isEmpty() || speed.isEmpty()) {
                return OptionalDouble.empty();
            }
            double wanted = 1000 * speed.getAsDouble() / (Math.PI * diameter.getAsDouble());
            return OptionalDouble.of(Math.min(wanted, maxRpm.orElse(wanted)));
        }
    }

    /**
     * What the table runs.
     *
     * @param length of the face, mm
     * @param overrun beyond it, mm
     */
    public record Run(OptionalDouble length, double overrun) {
        public static final Run NONE = new Run(OptionalDouble.empty(), 0);
    }

    /** @throws homalon.core.input.BadInputException when a value is not above zero */
    public static Finish ofFeed(double noseRadius, double feedPerRev, Spindle spindle, Run run) {
        Problems problems = new Problems();
        above(problems, "feedPerRev", OptionalDouble.of(feedPerRev), Message.of("cut.mm-per-turn-such-as-0-2"));
        check(problems, noseRadius, spindle, run);
        problems.throwIfAny();
        double square = feedPerRev * feedPerRev;
        OptionalDouble rpm = spindle.rpm();
        OptionalDouble feed =
                rpm.isPresent() ? OptionalDouble.of(rpm.getAsDouble() * feedPerRev) : OptionalDouble.empty();
        OptionalDouble minutes = feed.isPresent() && run.length().isPresent()
                ? OptionalDouble.of((run.length().getAsDouble() + run.overrun()) / feed.getAsDouble())
                : OptionalDouble.empty();
        return new Finish(
                noseRadius,
                feedPerRev,
                MICROMETRES * square / (RA * noseRadius),
                MICROMETRES * square / (RT * noseRadius),
                rpm,
                feed,
                minutes);
    }

    /** The feed that gives the wanted Ra. */
    public static Finish ofRa(double noseRadius, double wantedRa, Spindle spindle, Run run) {
        Problems problems = new Problems();
        above(problems, "wantedRa", OptionalDouble.of(wantedRa), Message.of("cut.micrometres-such-as-0-8"));
        check(problems, noseRadius, spindle, run);
        problems.throwIfAny();
        return ofFeed(noseRadius, Math.sqrt(wantedRa / MICROMETRES * RA * noseRadius), spindle, run);
    }

    private static void check(Problems problems, double noseRadius, Spindle spindle, Run run) {
        above(problems, "noseRadius", OptionalDouble.of(noseRadius), Message.of("cut.mm-such-as-6-35"));
        above(problems, "cutterDiameter", spindle.diameter(), Message.of("cut.mm-such-as-250"));
        above(problems, "cuttingSpeed", spindle.speed(), Message.of("cut.m-min-such-as-600"));
        above(problems, "maxRpm", spindle.maxRpm(), Message.of("cut.turns-per-minute-such-as-1200"));
        above(problems, "length", run.length(), Message.of("cut.mm-such-as-412"));
        problems.require(
                Double.isFinite(run.overrun()) && run.overrun() >= 0,
                "overrun",
                "cut.overrun-must-be-0-mm-or-more-such-as");
    }

    private static void above(Problems problems, String field, OptionalDouble value, Message unit) {
        problems.require(
                value.isEmpty() || (Double.isFinite(value.getAsDouble()) && value.getAsDouble() > 0),
                field,
                "cut.must-be-a-number-above-zero-in",
                field,
                unit);
    }

    /** True while the formula holds: feed per revolution at most a quarter of the nose radius. */
    public boolean holds() {
        return feedPerRev <= noseRadius / 4;
    }
}
