package homalon.core.valves;

import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** What is measured of one valve, in the order in which it is keyed. */
public enum Measure {
    STEM_TOP(Walk.STEMS, "stem, top", Unit.SIZE, 3, 40),
    STEM_MIDDLE(Walk.STEMS, "stem, middle", Unit.SIZE, 3, 40),
    STEM_BOTTOM(Walk.STEMS, "stem, bottom", Unit.SIZE, 3, 40),
    GUIDE_TOP_ALONG(Walk.GUIDE_TOPS, "guide top, along", Unit.SIZE, 3, 40),
    GUIDE_TOP_ACROSS(Walk.GUIDE_TOPS, "guide top, across", Unit.SIZE, 3, 40),
    GUIDE_MIDDLE_ALONG(Walk.GUIDE_MIDDLES, "guide middle, along", Unit.SIZE, 3, 40),
    GUIDE_MIDDLE_ACROSS(Walk.GUIDE_MIDDLES, "guide middle, across", Unit.SIZE, 3, 40),
    GUIDE_BOTTOM_ALONG(Walk.GUIDE_BOTTOMS, "guide bottom, along", Unit.SIZE, 3, 40),
    GUIDE_BOTTOM_ACROSS(Walk.GUIDE_BOTTOMS, "guide bottom, across", Unit.SIZE, 3, 40),
    PLAY(Walk.ROCKING, "rocking play", Unit.SMALL, 0, 10),
    REACH(Walk.ROCKING, "reach below the guide", Unit.SIZE, 0, 300),
    FEEL(Walk.FEEL, "guide by feel", Unit.FEEL, 1, 2),
    SEAT_OUTER(Walk.SEATS, "seat, outer edge", Unit.SIZE, 8, 150),
    SEAT_INNER(Walk.SEATS, "seat, inner edge", Unit.SIZE, 5, 150),
    SEAT_WIDTH(Walk.WIDTHS, "seat, width along the face", Unit.SMALL, 0.2, 15),
    RUNOUT(Walk.RUNOUT, "runout over the pilot", Unit.SMALL, 0, 5),
    PITS(Walk.PITS, "deepest pit", Unit.SMALL, 0, 5),
    RECESSION(Walk.HEIGHTS, "head below the face", Unit.SIGNED, -20, 20),
    TIP(Walk.HEIGHTS, "stem tip above the spring seat", Unit.SIZE, 5, 200),
    MARGIN(Walk.MARGINS, "margin", Unit.SMALL, 0, 20),
    VACUUM(Walk.VACUUM, "vacuum held", Unit.KPA, 0, 101),
    FALL(Walk.FALLS, "seconds to fall between the marks", Unit.SECONDS, 0, 600),
    INSTALLED(Walk.SPRINGS, "spring, installed height", Unit.SIZE, 5, 200),
    SEAL_GAP(Walk.SPRINGS, "retainer to seal", Unit.SIZE, 0, 60),
    LOOKS(Walk.LOOKS, "looks", Unit.DIGITS, 0, 0);

    /** Measures taken in one walk down the head. */
    public enum Walk {
        STEMS("Stems", "a micrometer"),
        GUIDE_TOPS("Guide tops", "a split-ball gauge set against the micrometer"),
        GUIDE_MIDDLES("Guide middles", "a split-ball gauge set against the micrometer"),
        GUIDE_BOTTOMS("Guide bottoms", "a split-ball gauge set against the micrometer"),
        ROCKING("Rocking check", "an indicator at the head of the lifted valve; only where no bore gauge is at hand"),
        FEEL("Guides by feel", "your hand at the lifted valve; only where no gauge is at hand, and never proven"),
        SEATS("Seat edges", "calipers over the blued contact"),
        WIDTHS("Seat widths", "calipers; only where the inner edge was not read"),
        RUNOUT("Runout", "an indicator over a pilot in the guide; whole travel"),
        PITS("Pits", "a lens; square to the face"),
        HEIGHTS("Heights", "a depth gauge"),
        MARGINS("Margins", "calipers at the valve's edge"),
        VACUUM("Vacuum", "a cup and gauge on the port"),
        FALLS("Vacuum falls", "a cup, a gauge and a clock; only where it does not hold long enough to be read"),
        SPRINGS("Springs", "a height gauge with retainer and locks on"),
        LOOKS("Looks", "your eyes, a lens, and a tap on the insert");

        private final String words;
        private final String with;

        Walk(String words, String with) {
            this.words = words;
            this.with = with;
        }

        public String words() {
            return words;
        }

        /** Instrument. */
        public String with() {
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
    private final String words;
    private final Unit unit;
    private final double least;
    private final double most;

    Measure(Walk walk, String words, Unit unit, double least, double most) {
        this.walk = walk;
        this.words = words;
        this.unit = unit;
        this.least = least;
        this.most = most;
    }

    public Walk walk() {
        return walk;
    }

    public String words() {
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
