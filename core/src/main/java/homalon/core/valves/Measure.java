package homalon.core.valves;

import homalon.core.words.Message;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** What is measured of one valve, in the order in which it is keyed. */
public enum Measure {
    STEM_TOP(Walk.STEMS, Unit.SIZE, 3, 40),
    STEM_MIDDLE(Walk.STEMS, Unit.SIZE, 3, 40),
    STEM_BOTTOM(Walk.STEMS, Unit.SIZE, 3, 40),
    GUIDE_TOP_ALONG(Walk.GUIDE_TOPS, Unit.SIZE, 3, 40),
    GUIDE_TOP_ACROSS(Walk.GUIDE_TOPS, Unit.SIZE, 3, 40),
    GUIDE_MIDDLE_ALONG(Walk.GUIDE_MIDDLES, Unit.SIZE, 3, 40),
    GUIDE_MIDDLE_ACROSS(Walk.GUIDE_MIDDLES, Unit.SIZE, 3, 40),
    GUIDE_BOTTOM_ALONG(Walk.GUIDE_BOTTOMS, Unit.SIZE, 3, 40),
    GUIDE_BOTTOM_ACROSS(Walk.GUIDE_BOTTOMS, Unit.SIZE, 3, 40),
    PLAY(Walk.ROCKING, Unit.SMALL, 0, 10),
    REACH(Walk.ROCKING, Unit.SIZE, 0, 300),
    FEEL(Walk.FEEL, Unit.FEEL, 1, 2),
    SEAT_OUTER(Walk.SEATS, Unit.SIZE, 8, 150),
    SEAT_INNER(Walk.SEATS, Unit.SIZE, 5, 150),
    SEAT_WIDTH(Walk.WIDTHS, Unit.SMALL, 0.2, 15),
    RUNOUT(Walk.RUNOUT, Unit.SMALL, 0, 5),
    PITS(Walk.PITS, Unit.SMALL, 0, 5),
    RECESSION(Walk.HEIGHTS, Unit.SIGNED, -20, 20),
    TIP(Walk.HEIGHTS, Unit.SIZE, 5, 200),
    MARGIN(Walk.MARGINS, Unit.SMALL, 0, 20),
    VACUUM(Walk.VACUUM, Unit.KPA, 0, 101),
    FALL(Walk.FALLS, Unit.SECONDS, 0, 600),
    INSTALLED(Walk.SPRINGS, Unit.SIZE, 5, 200),
    SEAL_GAP(Walk.SPRINGS, Unit.SIZE, 0, 60),
    LOOKS(Walk.LOOKS, Unit.DIGITS, 0, 0);

    /** Measures taken in one walk down the head. */
    public enum Walk {
        STEMS,
        GUIDE_TOPS,
        GUIDE_MIDDLES,
        GUIDE_BOTTOMS,
        ROCKING,
        FEEL,
        SEATS,
        WIDTHS,
        RUNOUT,
        PITS,
        HEIGHTS,
        MARGINS,
        VACUUM,
        FALLS,
        SPRINGS,
        LOOKS;

        private final Message words = Message.of(this, "words");
        private final Message with = Message.of(this, "with");

        public Message words() {
            return words;
        }

        /** Instrument. */
        public Message with() {
            return with;
        }

        /** Taken only where another walk could not be. */
        public boolean instead() {
            return this == ROCKING || this == FEEL || this == WIDTHS || this == FALLS;
        }

        public List<Measure> measures() {
            return Walks.BY_WALK.getOrDefault(this, List.of());
        }
    }

    /** Held apart, since an enum cannot look at itself while it is made. */
    private static final class Walks {
        static final Map<Walk, List<Measure>> BY_WALK = Arrays.stream(Measure.values())
                .collect(Collectors.collectingAndThen(
                        Collectors.groupingBy(Measure::walk, () -> new EnumMap<>(Walk.class), Collectors.toList()),
                        Collections::unmodifiableMap));
    }

    /** What its figures are in. */
    public enum Unit {
        /** A nominal size: a bare number at a thou bench is inches. */
        SIZE,
        /** A small length: a bare number at a thou bench is thou. */
        SMALL,
        /** A small length with a sign. */
        SIGNED,
        KPA,
        SECONDS,
        /** 1 for no play to speak of, 2 for one that rocks. */
        FEEL,
        /** Digits of {@link Look}. */
        DIGITS
    }

    private final Walk walk;
    private final Message words = Message.of(this);
    private final Unit unit;
    private final double least;
    private final double most;

    Measure(Walk walk, Unit unit, double least, double most) {
        this.walk = walk;
        this.unit = unit;
        this.least = least;
        this.most = most;
    }

    public Walk walk() {
        return walk;
    }

    public Message words() {
        return words;
    }

    public Unit unit() {
        return unit;
    }

    /** Least that can be, in mm, kPa or seconds. */
    public double least() {
        return least;
    }

    public double most() {
        return most;
    }

    public boolean isLength() {
        return unit == Unit.SIZE || unit == Unit.SMALL || unit == Unit.SIGNED;
    }
}
