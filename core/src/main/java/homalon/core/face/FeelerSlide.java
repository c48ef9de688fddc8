package homalon.core.face;

import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * One blade slid along under a laid edge: it goes from one mark to another and is refused beyond. Where it begins to be refused
 * the gap is as thick as the blade, which tells more of the bow than many blades at one place.
 *
 * @param blade that was slid
 * @param from where it begins to go, as a share of the line
 * @param to where it ends to go, as a share of the line
 */
public record FeelerSlide(Length blade, double from, double to) {
    /** As near as chalk marks the end of a run, mm. */
    public static final double MARKED = 2;

    private static final Pattern TYPED = Pattern.compile("(\\S+)\\s+(\\S+?)\\s*(?:\\.\\.|to)\\s*(\\S+)");

    /** A place at the end of the run, and whether the blade goes there. */
    public record End(double at, boolean goes) {}

    /**
     * As keyed: {@code 0.05 120..260}, the blade and from where to where it goes, from the beginning of the line.
     *
     * @param length of the line, mm
     * @return empty when what was keyed is no slide
     * @throws BadInputException when the marks do not lie along the line, too near to each other, or at an end of the edge, which
     *     touches there when it sits still
     */
    public static Optional<FeelerSlide> parse(String typed, BenchUnit unit, double length) {
        Matcher m = TYPED.matcher(typed.strip());
        if (!m.matches()) {
            return Optional.empty();
        }
        Length blade = Length.parse(m.group(1), unit);
        double from = Length.parseSize(m.group(2), unit).mm();
        double to = Length.parseSize(m.group(3), unit).mm();
        if (blade.signum() <= 0) {
            throw new BadInputException("typed", "face.key-the-blade-that-was-slid-first-such");
        }
        if (from < 0 || to > length + MARKED || to - from < 3 * MARKED) {
            throw new BadInputException("typed", "face.the-marks-lie-along-the-line-mm-long", Math.round(length));
        }
        if (from < 2 * MARKED || to > length - 2 * MARKED) {
            throw new BadInputException("typed", "face.a-blade-that-goes-right-to-the-end-of");
        }
        return Optional.of(new FeelerSlide(blade, from / length, to / length));
    }

    /** Whether the blade went at a place of the line. */
    public boolean goesAt(double at) {
        return at >= from && at <= to;
    }

    /** Places that the marks add to the line, just within and just beyond each. */
    public List<End> ends(double length) {
        double room = MARKED / length;
        return List.of(
                new End(from - room, false),
                new End(from + room, true),
                new End(to - room, true),
                new End(to + room, false));
    }
}
