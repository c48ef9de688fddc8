package homalon.core.seats;

import homalon.core.catalogue.Metal;
import homalon.core.geometry.Spot;
import homalon.core.input.Problems;
import homalon.core.rulebook.BenchGauges;
import homalon.core.verdict.Verdict;
import homalon.core.verdict.Working;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * A ring pressed into a counterbore: press now, hot, and while it is fitted; pressure and stress by the thick-ring formulas of
 * Lame. Millimetres, degrees C, MPa.
 *
 * @param press interference at 20 C on the diameter, + holds
 * @param hot what is left of it at the running temperature
 * @param goneAt temperature above which nothing is left; empty when the ring grows as much as the head
 * @param fitting gap with the ring chilled and the head warmed; below zero it has to be driven
 * @param pressure between the two at 20 C
 * @param hoop stress in the head at the bore, where its wall to water is thinnest
 */
public record PressFit(
        Asked asked, double press, double hot, OptionalDouble goneAt, double fitting, double pressure, double hoop) {
    public static final double ROOM = 20;
    /** A gap above which a ring drops in by itself. */
    public static final double DROPS_IN = 0.02;

    private static final double COLDEST = -200;
    /** Below this a metal shrinks less for each kelvin. */
    private static final double COLD = -50;
    /** The chill of which the catalogue knows the mean. */
    private static final double NITROGEN = -196;

    private static final double MICRO = 1e-6;

    /**
     * What is pressed into what.
     *
     * @param counterbore bore in the head, mm
     * @param outer of the ring
     * @param inner of the ring
     * @param wall thinnest metal from the bore to water
     * @param chillTo temperature the ring is chilled to; 20 when it is not
     * @param warmTo temperature the head is warmed to
     * @param runAt worst temperature in service
     * @param leastHot press that must be left at it
     */
    public record Asked(
            Metal head,
            Metal insert,
            double counterbore,
            double outer,
            double inner,
            double wall,
            double chillTo,
            double warmTo,
            double runAt,
            double leastHot) {
        /** @throws homalon.core.input.BadInputException naming each figure that cannot be */
        public Asked {
            Problems problems = new Problems();
            problems.require(
                    counterbore >= 5 && counterbore <= 200,
                    "counterbore",
                    "seats.counterbore-key-its-diameter-5-to-200");
            problems.require(outer >= counterbore, "insertOuter", "seats.the-insert-is-smaller-than-its-hole-it");
            problems.require(outer - counterbore <= 1, "insertOuter", "seats.the-insert-is-more-than-1-mm-larger");
            problems.require(
                    inner > 0 && inner < Math.min(counterbore, outer),
                    "insertInner",
                    "seats.the-inserts-inside-must-be-smaller-than");
            problems.require(wall > 0 && wall <= 500, "wallToWater", "seats.wall-to-water-key-what-is-left-between");
            problems.require(
                    chillTo >= COLDEST && chillTo <= ROOM, "chillTo", "seats.chill-key-200-to-20-c-20-when-the");
            problems.require(warmTo >= ROOM && warmTo <= 350, "warmTo", "seats.warm-key-20-to-350-c-20-when-the-head");
            problems.require(runAt >= ROOM && runAt <= 500, "runAt", "seats.running-temperature-key-20-to-500-c");
            problems.throwIfAny();
        }

        /** The same place with another ring or hole, chilled and warmed so. */
        public Asked with(double hole, double ring, double chill, double warm) {
            return new Asked(head, insert, hole, ring, inner, wall, chill, warm, runAt, leastHot);
        }
    }

    /** How a ring goes in. */
    public enum Goes {
        DROPS,
        QUICK,
        DRIVEN;

        private final Message words = Message.of(this);

        public Message words() {
            return words;
        }
    }

    public static PressFit of(Asked q) {
        double d = q.counterbore();
        double press = q.outer() - d;
        double grows = (q.head().alpha() - q.insert().alpha()) * MICRO * d;
        double outside = d + 2 * q.wall();
        double ringHead = (outside * outside + d * d) / (outside * outside - d * d);
        double ringInsert = (d * d + q.inner() * q.inner()) / (d * d - q.inner() * q.inner());
        double give = (ringHead + q.head().poisson()) / (q.head().modulus() * 1000)
                + (ringInsert - q.insert().poisson()) / (q.insert().modulus() * 1000);
        double pressure = press / (d * give);
        return new PressFit(
                q,
                press,
                press - grows * (q.runAt() - ROOM),
                grows > 0 ? OptionalDouble.of(ROOM + press / grows) : OptionalDouble.empty(),
                -press + q.head().alpha() * MICRO * d * (q.warmTo() - ROOM) - strain(q.insert(), q.chillTo()) * d,
                pressure,
                pressure * ringHead);
    }

    /**
     * The same with hole and ring as they were measured, in the place of what was planned.
     *
     * @throws homalon.core.input.BadInputException for a ring that is smaller than its hole
     */
    public PressFit measured(double counterbore, double outer) {
        return of(asked.with(counterbore, outer, asked.chillTo(), asked.warmTo()));
    }

    public Goes goes() {
        return fitting > DROPS_IN ? Goes.DROPS : fitting >= 0 ? Goes.QUICK : Goes.DRIVEN;
    }

    public boolean holdsHot() {
        return hot > asked.leastHot();
    }

    /**
     * The same of a hole and a ring that were measured: what the gauges leave open of the press is open of what is left of it.
     *
     * @return not proven where the press that is left lies too near the least
     */
    public Verdict holdsHot(BenchGauges gauges) {
        Verdict holds = gauges.fit(hot).atLeast(asked.leastHot());
        return holds == Verdict.WITHIN && !holdsHot() ? Verdict.OUT : holds;
    }

    /** How the casting stands the stress at the bore, as a share of its tensile strength. */
    public enum Strain {
        BEARS(0),
        WARNS(0.6),
        SIGNED(0.9),
        BARRED(1.3);

        private final Message words = Message.of(this);
        private final double over;

        Strain(double over) {
            this.over = over;
        }

        public Message words() {
            return words;
        }

        /** Share of the tensile strength over which it stands so; a general default. */
        public double over() {
            return over;
        }

        static Strain of(double share) {
            Strain strain = BEARS;
            for (Strain s : values()) {
                strain = share > s.over + 1e-9 ? s : strain;
            }
            return share <= 0 ? BEARS : strain;
        }
    }

    /** Of the casting's tensile strength, cold. The thick ring is as thin all round as the wall is at its thinnest place. */
    public double shareCold() {
        return hoop / asked.head().strength(ROOM);
    }

    /** The same at the worst temperature in service; zero once nothing is left of the press. */
    public double shareHot() {
        return press > 0 ? Math.max(0, hot) / press * hoop / asked.head().strength(asked.runAt()) : 0;
    }

    /** By how much the ring may run hotter than the head around it, K. */
    public static final double RING_HOTTER = 100;

    /** The same with the ring hotter than the head: the press grows, and a ring that yields to it is loose afterwards. */
    public double shareRingHotter() {
        return press > 0
                ? (Math.max(0, hot) + asked.insert().alpha() * MICRO * asked.counterbore() * RING_HOTTER)
                        / press
                        * hoop
                        / asked.head().strength(asked.runAt())
                : 0;
    }

    /** By cold and by running heat; a ring that runs hotter than the head only warns. */
    public Strain strain() {
        Strain strain = Strain.of(Math.max(shareCold(), shareHot()));
        return strain == Strain.BEARS && Strain.of(shareRingHotter()) != Strain.BEARS ? Strain.WARNS : strain;
    }

    /** Press with head and ring at one temperature. */
    public double at(double temperature) {
        return press - (strain(asked.head(), temperature) - strain(asked.insert(), temperature)) * asked.counterbore();
    }

    /**
     * Growth from 20 C, of one curve for every chill: the expansion of heat down to -50 C, and below it as much less as makes the
     * mean down to -196 C that of deep cold. It never turns, so that a colder ring is never a larger one.
     */
    static double strain(Metal metal, double temperature) {
        double warm = metal.alpha() * (Math.max(COLD, temperature) - ROOM);
        double deep = (metal.alphaCold() * (ROOM - NITROGEN) - metal.alpha() * (ROOM - COLD)) / (COLD - NITROGEN);
        return MICRO * (warm + deep * Math.min(0, temperature - COLD));
    }

    /** The same from -200 to 350 C: x temperature, y press. */
    public List<Spot> curve() {
        List<Spot> all = new ArrayList<>();
        for (int t = -200; t <= 350; t += 10) {
            all.add(new Spot(t, at(t)));
        }
        return List.copyOf(all);
    }

    public Working working() {
        return Working.of(Message.of("seats.press"))
                .line(Message.of("seats.expansion-stiffness-and-the-like-of-the"))
                .line(
                        Message.of("seats.insert-less-counterbore-leaves-a-press"),
                        asked.outer(),
                        asked.counterbore(),
                        press)
                .line(
                        Message.of(
                                "seats.left-at-c-press-less-less-millionths-x",
                                new Message.Celsius(asked.runAt()),
                                asked.head().alpha(),
                                asked.insert().alpha(),
                                whole(asked.runAt() - ROOM)),
                        asked.counterbore(),
                        hot,
                        asked.leastHot())
                .line(
                        Message.of(
                                "seats.chilled-to-c-head-at-c-gap-below-zero",
                                new Message.Celsius(asked.chillTo()),
                                new Message.Celsius(asked.warmTo())),
                        fitting)
                .line(
                        Message.of(
                                "seats.thick-rings-wall-to-water-mpa-between",
                                Math.round(pressure),
                                Math.round(hoop),
                                percent(shareCold()),
                                percent(shareHot()),
                                new Message.Celsius(asked.runAt()),
                                percent(shareRingHotter()),
                                new Message.Kelvin(RING_HOTTER)),
                        asked.wall())
                .done();
    }

    private static String percent(double share) {
        return Math.round(100 * share) + " %";
    }

    private static String whole(double value) {
        return Long.toString(Math.round(value)).replace('-', '\u2212');
    }
}
