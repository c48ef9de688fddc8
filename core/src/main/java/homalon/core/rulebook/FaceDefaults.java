package homalon.core.rulebook;

import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What a face may have where nothing was entered for it: the shop's own figures, else general values, each of them one round value in
 * the shop's unit. General engineering values, shown as defaults.
 *
 * @param unit of the shop
 * @param own the shop's own figures
 */
public record FaceDefaults(BenchUnit unit, Map<Item, Own> own) {
    private static final int SHORT = 2;
    private static final int USUAL = 4;

    public FaceDefaults {
        own = own.isEmpty() ? Map.of() : new EnumMap<>(own);
    }

    /** The general values, in that unit. */
    public static FaceDefaults of(BenchUnit unit) {
        return new FaceDefaults(unit, Map.of());
    }

    /** A figure that a shop may set. */
    public enum Item {
        ONE_OR_TWO("0.03", "1.2"),
        THREE_OR_FOUR("0.05", "2"),
        FIVE_AND_MORE("0.08", "3"),
        LEAST_ACROSS("0.02", "0.8"),
        IN_SQUARE("0.02", "0.8"),
        SQUARE("100", "4000"),
        LAYERED_STEEL("0.03", "1.2"),
        COMPOSITE,
        COPPER,
        RACE;

        private final Message words = Message.of(this);
        private final Message used = Message.of(this, "used");
        private final Optional<Length> mm;
        private final Optional<Length> thou;

        /** Nothing is asked by it but what is asked anyway. */
        Item() {
            mm = Optional.empty();
            thou = Optional.empty();
        }

        Item(String mm, String thou) {
            this.mm = Optional.of(Length.ofMm(mm));
            this.thou = Optional.of(Length.ofThou(thou));
        }

        public Message words() {
            return words;
        }

        /** Where it is used. */
        public Message used() {
            return used;
        }

        /** The general value, round in that unit; empty where there is none. */
        public Optional<Length> usual(BenchUnit unit) {
            return unit == BenchUnit.MM ? mm : thou;
        }

        /** Keyed as a size (a square's side), not as a limit. */
        public boolean size() {
            return this == SQUARE;
        }

        static Item of(GasketKind gasket) {
            return switch (gasket) {
                case COMPOSITE -> COMPOSITE;
                case LAYERED_STEEL -> LAYERED_STEEL;
                case COPPER -> COPPER;
                case RACE -> RACE;
            };
        }
    }

    /**
     * A shop's own figure.
     *
     * @param from where the shop has it from
     */
    public record Own(Length value, String from) {}

    /** The shop's own, else the general one; empty where there is neither. */
    public Optional<Length> value(Item item) {
        return Optional.ofNullable(own.get(item)).map(Own::value).or(() -> item.usual(unit));
    }

    private Length required(Item item) {
        return value(item).orElseThrow();
    }

    private Source source(Item item) {
        return own.containsKey(item) ? Source.SHOP_DEFAULT : Source.DEFAULT;
    }

    private static Item overallItem(int cylinders) {
        return cylinders <= SHORT ? Item.ONE_OR_TWO : cylinders <= USUAL ? Item.THREE_OR_FOUR : Item.FIVE_AND_MORE;
    }

    /** Overall flatness by how many cylinders lie in a line. */
    public Length overall(int cylinders) {
        return required(overallItem(cylinders));
    }

    /** Side of the square in which a face is asked to be flat. */
    public Length square() {
        return required(Item.SQUARE);
    }

    /** What it may have in any such square. */
    public Length inSquare() {
        return required(Item.IN_SQUARE);
    }

    /** Half of what the whole face may have, and never less than the least: a face bends less across than along. */
    private FlatnessLimit across(Length overall) {
        Length half = Length.ofNanometres(overall.nanometres() / 2);
        Length least = required(Item.LEAST_ACROSS);
        return half.compareTo(least) < 0
                ? FlatnessLimit.across(least, source(Item.LEAST_ACROSS))
                : FlatnessLimit.across(half, Source.DEFAULT);
    }

    /** For a face of so many cylinders in a line. */
    public List<FlatnessLimit> limits(int cylinders) {
        return List.of(
                FlatnessLimit.overall(overall(cylinders), source(overallItem(cylinders))),
                across(overall(cylinders)),
                FlatnessLimit.inAny(square(), inSquare(), source(Item.IN_SQUARE)));
    }

    /** What a kind of gasket asks of the whole face; empty where no more than usual. */
    public Optional<Length> of(GasketKind gasket) {
        return value(Item.of(gasket));
    }

    /**
     * The limits in force: for each question the one from the strongest source (of two from the same source, the tighter one),
     * defaults where nothing was entered.
     *
     * @param entered for this face
     * @param gasket kind that goes on the face: what such gaskets ask comes before the defaults
     * @param cylinders in a line
     */
    public List<FlatnessLimit> inForce(List<FlatnessLimit> entered, Optional<GasketKind> gasket, int cylinders) {
        List<FlatnessLimit> all = new ArrayList<>(entered);
        gasket.ifPresent(g -> of(g).ifPresent(f -> all.add(
                FlatnessLimit.overall(f, own.containsKey(Item.of(g)) ? Source.SHOP_GASKET_KIND : Source.GASKET_KIND))));
        // Across follows what stands for the whole face, whoever said it.
        Length whole = Stream.concat(all.stream(), limits(cylinders).stream())
                .filter(l -> l.scope() == FlatnessLimit.Scope.OVERALL)
                .min(Comparator.comparing(FlatnessLimit::source).thenComparing(FlatnessLimit::most))
                .map(FlatnessLimit::most)
                .orElseThrow();
        limits(cylinders).stream()
                .map(l -> l.scope() == FlatnessLimit.Scope.ACROSS ? across(whole) : l)
                .forEach(all::add);
        all.sort(Comparator.comparing(FlatnessLimit::source).thenComparing(FlatnessLimit::most));
        List<FlatnessLimit> strongest = new ArrayList<>();
        for (FlatnessLimit limit : all) {
            boolean answered = strongest.stream().anyMatch(limit::sameQuestionAs);
            boolean windowAnswered =
                    limit.source().usual() && strongest.stream().anyMatch(s -> s.scope() == limit.scope());
            if (!answered && !windowAnswered) {
                strongest.add(limit);
            }
        }
        strongest.sort(Comparator.comparing(FlatnessLimit::scope));
        return List.copyOf(strongest);
    }
}
