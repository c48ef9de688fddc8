package homalon.core.visit;

import homalon.core.catalogue.Metal;
import homalon.core.input.BadInputException;
import homalon.core.part.Valve;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.seats.Damage;
import homalon.core.seats.InsertChoice;
import homalon.core.seats.InsertChoice.Neighbour;
import homalon.core.seats.InsertLimits;
import homalon.core.valves.BookItem;
import homalon.core.valves.ValveBook;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** The place of an insert as it was keyed. */
public final class InsertPlace {
    private static final Pattern HOURS = Pattern.compile("([0-9.]{1,4})\\s*(?:-|to)\\s*([0-9.]{1,4})\\s+(\\S+)");
    private static final Pattern NEIGHBOUR = Pattern.compile("([0-9]{1,2}[IEie][1-3]?)\\s+(\\S+)\\s+(\\S+)");
    /** How far a ring reaches past a throat where neither head nor inset of the valve is known. */
    private static final double SEAT_OVER_THROAT = 4;

    private InsertPlace() {}

    /** Empty until counterbore, floor, wall and throat are all keyed: without a wall nothing is called good. */
    public static Optional<InsertChoice.Asked> of(ValveFile file, Valve v) {
        Optional<Length> bore = file.length(v, Said.COUNTERBORE);
        Optional<Length> floor = file.length(v, Said.FLOOR);
        Optional<Length> wall = file.length(v, Said.WALL);
        Optional<Length> throat = file.length(v, Said.THROAT);
        if (bore.isEmpty() || floor.isEmpty() || wall.isEmpty() || throat.isEmpty()) {
            return Optional.empty();
        }
        ValveBook book = file.book(v);
        double seat = book.entry(BookItem.HEAD_DIAMETER).isPresent()
                ? book.value(BookItem.HEAD_DIAMETER) - 2 * book.value(BookItem.INSET)
                : throat.get().mm() + SEAT_OVER_THROAT;
        String signed = file.text(v, Said.SIGNED).orElse("");
        return Optional.of(new InsertChoice.Asked(
                new InsertLimits(file.part().material(), file.part().rules().books()),
                bore.get().mm(),
                floor.get().mm(),
                wall.get().mm(),
                throat.get().mm(),
                seat,
                file.length(v, Said.PROUD).map(Length::mm).orElse(0.0),
                runAt(file, v),
                file.figure(v, Said.NEIGHBOURS)
                        .map(f -> neighbours(f.typed(), f.unit()))
                        .orElse(List.of()),
                file.figure(v, Said.DAMAGE)
                        .map(f -> damage(f.typed(), f.unit()))
                        .orElse(Damage.NONE),
                file.text(v, Said.METAL).map(Metal::valueOf),
                signed.contains(JUDGED),
                signs(signed, file.text(v, Said.OVERSTRAIN).isPresent())));
    }

    /** What stands in the kept words where the wall was judged, not measured. */
    public static final String JUDGED = "judged";

    /** What a machinist may sign for, by the words that it is kept under. */
    public static final Map<String, InsertChoice.Sign> SIGNS = Map.of(
            "partial", InsertChoice.Sign.PARTIAL,
            "thin", InsertChoice.Sign.THIN_WALL,
            "strain", InsertChoice.Sign.STRAIN);

    private static Set<InsertChoice.Sign> signs(String kept, boolean owner) {
        Set<InsertChoice.Sign> signs = EnumSet.noneOf(InsertChoice.Sign.class);
        SIGNS.forEach((word, sign) -> {
            if (List.of(kept.split(" ")).contains(word)) {
                signs.add(sign);
            }
        });
        if (owner) {
            signs.add(InsertChoice.Sign.OVERSTRAIN);
        }
        return signs;
    }

    public static double runAt(ValveFile file, Valve v) {
        return file.text(v, Said.RUN_AT)
                .map(Double::parseDouble)
                .orElse(InsertChoice.usualHeat(file.part().material()));
    }

    /** @throws BadInputException saying how damage is keyed */
    public static Damage damage(String typed, BenchUnit unit) {
        List<Damage.Arc> arcs = new ArrayList<>();
        for (String one : typed.split(";")) {
            if (one.isBlank()) {
                continue;
            }
            Matcher m = HOURS.matcher(one.strip());
            if (!m.matches() || !number(m.group(1)) || !number(m.group(2))) {
                throw new BadInputException("damage", "visit.damage-key-hours-and-how-far-past-the");
            }
            arcs.add(Damage.Arc.ofHours(
                    Double.parseDouble(m.group(1)),
                    Double.parseDouble(m.group(2)),
                    Length.parse(m.group(3), unit).mm()));
        }
        return new Damage(arcs);
    }

    /**
     * How lines of damage are kept; one without anything in it is none.
     *
     * @throws BadInputException for a line that is no damage
     */
    public static String damage(List<PlaceLine> lines, BenchUnit unit) {
        String kept = kept(lines, "-");
        damage(kept, unit);
        return kept;
    }

    /**
     * How lines of neighbours are kept.
     *
     * @throws BadInputException for a line that is no neighbour
     */
    public static String neighbours(List<PlaceLine> lines, BenchUnit unit) {
        String kept = kept(lines, " ");
        neighbours(kept, unit);
        return kept;
    }

    private static String kept(List<PlaceLine> lines, String between) {
        return lines.stream()
                .filter(l -> !l.blank())
                .map(l -> l.first() + between + l.second() + " " + l.third())
                .collect(Collectors.joining("; "));
    }

    /** The lines of damage as they are keyed again at that bench. */
    public static List<PlaceLine> damageLines(ValveFile file, Valve v, BenchUnit unit) {
        return lines(file, v, Said.DAMAGE, HOURS, m -> {
            String past = beside(file, v, Said.DAMAGE, m.group(3), unit, "th");
            return new PlaceLine(m.group(1), m.group(2), past);
        });
    }

    /** The same of neighbours. */
    public static List<PlaceLine> neighbourLines(ValveFile file, Valve v, BenchUnit unit) {
        return lines(
                file,
                v,
                Said.NEIGHBOURS,
                NEIGHBOUR,
                m -> new PlaceLine(
                        m.group(1).toUpperCase(Locale.ROOT),
                        beside(file, v, Said.NEIGHBOURS, m.group(2), unit, "in"),
                        beside(file, v, Said.NEIGHBOURS, m.group(3), unit, "in")));
    }

    private static List<PlaceLine> lines(
            ValveFile file, Valve v, Said what, Pattern pattern, Function<Matcher, PlaceLine> line) {
        return Arrays.stream(file.text(v, what).orElse("").split(";"))
                .map(one -> pattern.matcher(one.strip()))
                .filter(Matcher::matches)
                .map(line)
                .toList();
    }

    /** A bare figure of another bench has its unit beside it, so that it stays what it is. */
    private static String beside(ValveFile file, Valve v, Said what, String typed, BenchUnit unit, String imperial) {
        BenchUnit of = file.figure(v, what).orElseThrow().unit();
        boolean foreign = of != unit && typed.matches("[-+]?[0-9.,]+");
        return foreign ? typed + (of == BenchUnit.MM ? "mm" : imperial) : typed;
    }

    private static boolean number(String typed) {
        return typed.matches("[0-9]{1,2}(\\.[0-9])?");
    }

    /** @throws BadInputException saying how neighbours are keyed */
    public static List<Neighbour> neighbours(String typed, BenchUnit unit) {
        List<Neighbour> all = new ArrayList<>();
        for (String one : typed.split(";")) {
            if (one.isBlank()) {
                continue;
            }
            Matcher m = NEIGHBOUR.matcher(one.strip());
            if (!m.matches()) {
                throw new BadInputException("neighbours", "visit.neighbours-key-valve-distance-of");
            }
            all.add(new Neighbour(
                    m.group(1).toUpperCase(Locale.ROOT),
                    Length.parseSize(m.group(2), unit).mm(),
                    Length.parseSize(m.group(3), unit).mm()));
        }
        return all;
    }

    /**
     * Chill and warm as kept: two temperatures.
     *
     * @throws BadInputException when they are none
     */
    public static double[] temperatures(String typed) {
        String[] two = typed.split(" ");
        return new double[] {Double.parseDouble(two[0]), Double.parseDouble(two[1])};
    }
}
