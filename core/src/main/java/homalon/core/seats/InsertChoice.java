package homalon.core.seats;

import homalon.core.catalogue.Item;
import homalon.core.catalogue.Metal;
import homalon.core.input.Problems;
import homalon.core.part.Material;
import homalon.core.words.Message;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The step-up through a list of inserts from the smallest, each judged by every rule, until one passes or a rule that a larger
 * ring only breaks further stops it. Millimetres.
 *
 * @param steps in the order of the step-up
 * @param chosen the smallest that passes
 * @param stop when none passes: the rule that stopped it, and by how much
 */
public record InsertChoice(List<Step> steps, Optional<Step> chosen, Optional<Check> stop) {
    /** What is asked of an insert; those marked growing are broken further by every larger one. */
    public enum Rule {
        CLEANS(false),
        CARRIES(false),
        THROAT(false),
        METAL(false),
        DEPTH(false),
        PRESS(false),
        HOT(false),
        STRENGTH(true),
        WALL(true),
        BRIDGE(true);

        private final Message words = Message.of(this);
        private final boolean growing;

        Rule(boolean growing) {
            this.growing = growing;
        }

        public Message words() {
            return words;
        }
    }

    /**
     * One rule on one insert.
     *
     * @param spare how much is left before it breaks; negative by how much it is broken, mm
     * @param says why, with its figures
     */
    public record Check(Rule rule, boolean holds, double spare, Message says) {}

    /**
     * One insert.
     *
     * @param cutTo counterbore to cut for it
     * @param bearing share of the arc that bears
     * @param fit its press at the cut size and the thinnest wall; empty where no wall is left to work it out with
     */
    public record Step(Item insert, double cutTo, double bearing, Optional<PressFit> fit, List<Check> checks) {
        public boolean passes() {
            return checks.stream().allMatch(Check::holds);
        }

        public List<Check> broken() {
            return checks.stream().filter(c -> !c.holds()).toList();
        }
    }

    /** What somebody answers for with a name. */
    public enum Sign {
        /** Less than a whole clean-up. */
        PARTIAL,
        /** A wall thinner than wanted; the press is brought down to its least. */
        THIN_WALL,
        /** A press that strains the casting beyond {@link PressFit.Strain#SIGNED}: the machinist. */
        STRAIN,
        /** Beyond {@link PressFit.Strain#BARRED}: the owner. */
        OVERSTRAIN
    }

    /** A neighbouring insert or seat. */
    public record Neighbour(String name, double centres, double diameter) {}

    /**
     * The place.
     *
     * @param counterbore present diameter
     * @param floor depth of the original floor below the chamber
     * @param wall thinnest metal from the present counterbore to water
     * @param throat diameter of the throat that the insert's inside is opened to
     * @param seatOuter diameter of the seat's outer edge that the ring has to carry
     * @param proud how far the insert shall stand out of its counterbore; negative for shy
     * @param runAt worst temperature in service
     * @param metal wanted; empty for any
     * @param judged the wall was judged, not measured
     * @param signed what somebody answers for
     */
    public record Asked(
            InsertLimits limits,
            double counterbore,
            double floor,
            double wall,
            double throat,
            double seatOuter,
            double proud,
            double runAt,
            List<Neighbour> neighbours,
            Damage damage,
            Optional<Metal> metal,
            boolean judged,
            Set<Sign> signed) {
        public Asked {
            neighbours = List.copyOf(neighbours);
            signed = Set.copyOf(signed);
            Problems problems = new Problems();
            problems.require(
                    counterbore >= 5 && counterbore <= 200,
                    "counterbore",
                    "seats.counterbore-key-its-diameter-5-to-200");
            problems.require(floor > 0 && floor <= 60, "floor", "seats.depth-key-the-counterbores-floor-0-to");
            problems.require(wall > 0 && wall <= 200, "wall", "seats.wall-to-water-key-what-is-left-beside");
            problems.require(throat > 0 && throat < 200, "throat", "seats.throat-key-its-diameter-such-as-33");
            problems.require(seatOuter > throat, "seatOuter", "seats.the-seats-outer-edge-lies-outside-the");
            problems.require(Math.abs(proud) <= 5, "proud", "seats.proud-or-shy-key-5-to-5-mm");
            problems.require(runAt >= 20 && runAt <= 500, "runAt", "seats.running-temperature-key-20-to-500-c");
            problems.throwIfAny();
        }
    }

    /** General default: worst temperature of a head in service. */
    public static double usualHeat(Material head) {
        return head == Material.ALUMINIUM ? 220 : 200;
    }
    /** A ring thinner than this beside the seat does not carry it. */
    private static final double LEAST_CARRY = 0.5;

    private static final double SLACK = 1e-9;

    /** @param list the shop's; what is no insert is passed over */
    public static InsertChoice of(Asked q, List<Item> list) {
        List<Step> steps = list.stream()
                .filter(i -> i.kind() == Item.Kind.INSERT && i.outer() > q.counterbore())
                .sorted(Comparator.comparingDouble(Item::outer).thenComparing(Item::code))
                .map(i -> step(q, i))
                .toList();
        Optional<Step> chosen = steps.stream().filter(Step::passes).findFirst();
        Optional<Check> stop = chosen.isPresent() ? Optional.empty() : stopped(steps);
        return new InsertChoice(steps, chosen, stop);
    }

    /** The growing rule that the first ring breaks which would do otherwise; else what the nearest one breaks. */
    private static Optional<Check> stopped(List<Step> steps) {
        Optional<Check> growing = steps.stream()
                .filter(s -> s.broken().stream().allMatch(c -> c.rule().growing))
                .findFirst()
                .flatMap(s -> s.broken().stream().min(Comparator.comparingDouble(Check::spare)));
        return growing.isPresent()
                ? growing
                : steps.stream()
                        .min(Comparator.comparingInt(s -> s.broken().size()))
                        .flatMap(s -> s.broken().stream().findFirst());
    }

    private static Step step(Asked q, Item insert) {
        double[] usual = q.limits()
                .press(insert.metal().orElseThrow(), insert.counterbore().orElse(insert.outer()), q.runAt());
        double press = insert.nominal()
                ? insert.outer() - insert.counterbore().getAsDouble()
                : q.signed().contains(Sign.THIN_WALL) ? usual[0] : (usual[0] + usual[1]) / 2;
        double cutTo = insert.outer() - press;
        double wall = q.wall() - (cutTo - q.counterbore()) / 2;
        double bearing = q.damage().bearing(q.counterbore(), cutTo);
        Optional<PressFit> fit = fit(q, insert, cutTo, wall);
        List<Check> checks = List.of(
                cleans(q, cutTo, bearing),
                check(
                        Rule.CARRIES,
                        (insert.outer() - q.seatOuter()) / 2 - LEAST_CARRY,
                        Message.of("seats.the-ring-reaches-beyond-the-seats-outer"),
                        (insert.outer() - q.seatOuter()) / 2),
                check(
                        Rule.THROAT,
                        q.throat() - insert.inner(),
                        Message.of("seats.inside-opened-to-the-throat"),
                        insert.inner()),
                metal(q, insert),
                check(
                        Rule.DEPTH,
                        q.floor() + q.proud() - insert.height() + trimmable(insert),
                        Message.of("seats.height-on-the-floor-that-is-there"),
                        insert.height()),
                new Check(
                        Rule.PRESS,
                        press >= usual[0] - SLACK && press <= usual[1] + SLACK,
                        Math.min(press - usual[0], usual[1] - press),
                        line(
                                Message.of(
                                        "seats.to-from",
                                        q.limits().pressSource().words()),
                                press,
                                usual[0],
                                usual[1])),
                hot(q, cutTo, fit),
                strength(q, fit),
                wall(q, wall),
                bridge(q, cutTo));
        return new Step(insert, cutTo, bearing, fit, checks);
    }

    /** Empty where the ring cannot stand in that hole at all. */
    private static Optional<PressFit> fit(Asked q, Item insert, double cutTo, double wall) {
        boolean stands = wall > 0 && cutTo >= q.counterbore() - SLACK && insert.inner() < cutTo;
        return stands
                ? Optional.of(PressFit.of(new PressFit.Asked(
                        Metal.of(q.limits().head()),
                        insert.metal().orElseThrow(),
                        cutTo,
                        insert.outer(),
                        insert.inner(),
                        wall,
                        PressFit.ROOM,
                        PressFit.ROOM,
                        q.runAt(),
                        q.limits().hot())))
                : Optional.empty();
    }

    private static Check metal(Asked q, Item insert) {
        boolean wanted = q.metal().isEmpty() || q.metal().equals(insert.metal());
        return new Check(
                Rule.METAL,
                wanted,
                wanted ? 0 : -1,
                line(insert.metal().map(Metal::words).orElse(Message.of("seats.unknown"))));
    }

    private static Check hot(Asked q, double cutTo, Optional<PressFit> fit) {
        if (fit.isEmpty()) {
            return new Check(
                    Rule.HOT,
                    false,
                    -1,
                    line(
                            cutTo < q.counterbore()
                                    ? Message.of("seats.the-hole-that-is-there-is-larger")
                                    : Message.of("seats.no-wall-to-hold-it")));
        }
        double hot = fit.get().hot();
        return new Check(
                Rule.HOT,
                fit.get().holdsHot(),
                hot - q.limits().hot(),
                line(Message.of("seats.left-at-c", new Message.Celsius(q.runAt())), hot));
    }

    private static Check wall(Asked q, double wall) {
        double least = q.limits().wall();
        boolean thin = q.signed().contains(Sign.THIN_WALL);
        return new Check(
                Rule.WALL,
                wall >= least - SLACK || (thin && wall > 0),
                wall - least,
                line(
                        Message.of(
                                "seats.left-wanted-from",
                                q.limits().wallSource().words(),
                                wall < least && thin ? Message.of("seats.signed-for-press-reduced") : Message.NONE,
                                q.judged() ? Message.of("seats.judged-not-measured") : Message.NONE),
                        wall,
                        least));
    }

    /** Whether the casting stands it, or somebody who may answers for it. */
    private static Check strength(Asked q, Optional<PressFit> fit) {
        if (fit.isEmpty()) {
            return new Check(Rule.STRENGTH, false, -1, line(Message.of("seats.no-wall-to-hold-it")));
        }
        PressFit.Strain strain = fit.get().strain();
        double share = Math.max(fit.get().shareCold(), fit.get().shareHot());
        boolean signed = (strain == PressFit.Strain.SIGNED && !Collections.disjoint(q.signed(), MAY_SIGN))
                || (strain == PressFit.Strain.BARRED && q.signed().contains(Sign.OVERSTRAIN));
        boolean holds = strain.compareTo(PressFit.Strain.SIGNED) < 0 || signed;
        return new Check(
                Rule.STRENGTH,
                holds,
                PressFit.Strain.SIGNED.over() - share,
                line(Message.of(
                        "seats.of-its-tensile-strength-general-value",
                        Math.round(100 * share),
                        signed ? Message.of("seats.signed-for") : strain.words())));
    }

    private static final Set<Sign> MAY_SIGN = Set.of(Sign.STRAIN, Sign.OVERSTRAIN);

    /** A tall ring is trimmed once it is in; up to a third of it. */
    private static double trimmable(Item insert) {
        return insert.height() / 3;
    }

    private static Check cleans(Asked q, double cutTo, double bearing) {
        double spare = cutTo - q.damage().cleanedBy(q.counterbore());
        boolean enough = q.damage().arcs().isEmpty() ? cutTo >= q.counterbore() - SLACK : spare >= -SLACK;
        boolean signed = q.signed().contains(Sign.PARTIAL) && bearing >= Damage.LEAST_SHARE - SLACK;
        Message share = Message.of("seats.of-the-arc-bears", Math.round(bearing * 100));
        return new Check(
                Rule.CLEANS,
                enough || signed,
                spare,
                enough
                        ? line(Message.of("seats.cut-to", share), cutTo)
                        : line(
                                signed
                                        ? Message.of("seats.cut-to-signed-for-would-clean-it", share)
                                        : Message.of("seats.cut-to-cleans-it", share),
                                cutTo,
                                cutTo - spare));
    }

    private static Check bridge(Asked q, double cutTo) {
        double least = q.limits().bridge();
        double worst = Double.POSITIVE_INFINITY;
        String at = "";
        for (Neighbour n : q.neighbours()) {
            double left = n.centres() - (cutTo + n.diameter()) / 2;
            if (left < worst) {
                worst = left;
                at = n.name();
            }
        }
        return new Check(
                Rule.BRIDGE,
                worst >= least - SLACK,
                worst - least,
                at.isEmpty()
                        ? line(Message.of("seats.no-neighbour-keyed"))
                        : line(
                                Message.of(
                                        "seats.left-to-wanted-from",
                                        at,
                                        q.limits().bridgeSource().words()),
                                worst,
                                least));
    }

    private static Check check(Rule rule, double spare, Message text, double figure) {
        return new Check(rule, spare >= -SLACK, spare, line(text, figure));
    }

    private static Message line(Message text, double... figures) {
        return text.with(figures);
    }

    /**
     * What to take off a ring's top once it is in: height less depth and what shall stand proud. Below zero it stands too low by
     * that much.
     */
    public static double trim(double height, double depth, double proud) {
        return height - (depth + proud);
    }
}
