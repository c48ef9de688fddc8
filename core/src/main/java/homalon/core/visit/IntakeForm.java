package homalon.core.visit;

import homalon.core.face.Causes;
import homalon.core.input.BadInputException;
import homalon.core.input.Problems;
import homalon.core.part.BoltRows;
import homalon.core.part.ChamberShape;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.quantity.NotALengthException;
import homalon.core.route.Happened;
import homalon.core.rulebook.FaceDefaults;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.GasketKind;
import homalon.core.rulebook.Source;
import homalon.core.words.Message;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The intake sheet as text, field by field, so that what was keyed stays on the screen when something is refused. Sizes
 * left empty are proposed from bore and spacing.
 */
public final class IntakeForm {
    /** The field that a limit's own fields are named after. */
    private static final Map<FlatnessLimit.Scope, String> LIMITS = Map.of(
            FlatnessLimit.Scope.OVERALL, "overall",
            FlatnessLimit.Scope.ALONG, "along",
            FlatnessLimit.Scope.ACROSS, "across",
            FlatnessLimit.Scope.WINDOW, "window",
            FlatnessLimit.Scope.BORE, "bore");

    /** What no other casting has in common with it. */
    private static final List<String> OF_THE_JOB =
            List.of("tag", "customer", "stamps", "due", "history", "happened", "wishes", "gasket");

    private static final List<String> FIELDS = List.of(
            "tag",
            "kind",
            "name",
            "customer",
            "material",
            "castingNumber",
            "stamps",
            "cylinders",
            "firstNumber",
            "numberStep",
            "bore",
            "spacing",
            "length",
            "width",
            "boltRows",
            "boltHole",
            "waterHoles",
            "dowels",
            "chambers",
            "intakeSide",
            "history",
            "happened",
            "shafts",
            "wishes",
            "gasket",
            "gasketKind",
            "due",
            "overall",
            "overallSource",
            "along",
            "alongSource",
            "across",
            "acrossSource",
            "window",
            "windowSide",
            "windowSource",
            "boreLimit",
            "boreSource",
            "version");

    private final Map<String, String> values = new LinkedHashMap<>();

    public IntakeForm(Map<String, String> given) {
        FIELDS.forEach(f -> values.put(f, given.getOrDefault(f, "").strip()));
        if (get("happened").isEmpty()) {
            // Each tick is a field of its own.
            values.put(
                    "happened",
                    Arrays.stream(Happened.values())
                            .map(Happened::name)
                            .filter(h -> given.containsKey("happened." + h))
                            .collect(Collectors.joining(" ")));
        }
    }

    /** A blank sheet with the usual choices made. */
    public static IntakeForm blank(String tag) {
        Map<String, String> start = new LinkedHashMap<>();
        start.put("tag", tag);
        start.put("kind", PartKind.HEAD.name());
        start.put("material", Material.CAST_IRON.name());
        start.put("cylinders", "4");
        start.put("firstNumber", "1");
        start.put("numberStep", "1");
        start.put("boltRows", BoltRows.TWO.name());
        start.put("waterHoles", "4");
        start.put("chambers", ChamberShape.CUT_OFF.name());
        start.put("intakeSide", "bottom");
        sources(start);
        return new IntakeForm(start);
    }

    /**
     * A blank sheet filled as another casting's: its second head, the next of a batch, one more of a layout that the shop knows by
     * name.
     *
     * @param job true when it came from the same customer with the same wishes
     */
    public static IntakeForm as(PartFile like, String tag, boolean job, BenchUnit unit) {
        Map<String, String> v = new LinkedHashMap<>(of(like, unit).values);
        List<String> own = job
                ? List.of("history", "happened", "stamps", "version")
                : List.of("history", "happened", "stamps", "version", "customer", "wishes", "due", "gasket");
        own.forEach(v::remove);
        v.put("tag", tag);
        return new IntakeForm(v);
    }

    /**
     * A sheet that was begun, with the rest filled as a casting of the same kind: what is its own or its job's stays as keyed.
     *
     * @param keyed so far
     */
    public static IntakeForm filled(IntakeForm keyed, PartFile like, BenchUnit unit) {
        Map<String, String> v = new LinkedHashMap<>(of(like, unit).values);
        OF_THE_JOB.forEach(f -> v.put(f, keyed.get(f)));
        v.put("version", "");
        for (String known : List.of("name", "castingNumber", "gasketKind")) {
            if (!keyed.get(known).isEmpty()) {
                v.put(known, keyed.get(known));
            }
        }
        return new IntakeForm(v);
    }

    /** The same sheet with another tag. */
    public IntakeForm withTag(String tag) {
        return with(Map.of("tag", tag));
    }

    /** The same sheet with these fields in place of its own. */
    public IntakeForm with(Map<String, String> keyed) {
        Map<String, String> v = new LinkedHashMap<>(values);
        v.putAll(keyed);
        return new IntakeForm(v);
    }

    /** The sheet of a part that is here, in the reader's unit. */
    public static IntakeForm of(PartFile part, BenchUnit unit) {
        Map<String, String> v = new LinkedHashMap<>();
        v.put("tag", part.tag());
        v.put("kind", part.kind().name());
        v.put("name", part.name());
        v.put("customer", part.customer());
        v.put("material", part.material().name());
        v.put("castingNumber", part.castingNumber());
        v.put("stamps", part.stamps());
        sizes(part.numbers(), unit, v);
        asked(part, v);
        v.put("version", Integer.toString(part.version()));
        sources(v);
        part.entered().forEach(limit -> limit(limit, unit, v));
        return new IntakeForm(v);
    }

    /** Where limits usually come from. */
    private static void sources(Map<String, String> v) {
        LIMITS.forEach((scope, name) ->
                v.put(name + "Source", (scope == FlatnessLimit.Scope.BORE ? Source.GASKET : Source.MAKER).name()));
    }

    private static void sizes(LayoutNumbers n, BenchUnit unit, Map<String, String> v) {
        v.put("cylinders", Integer.toString(n.cylinders()));
        v.put("firstNumber", Integer.toString(n.firstNumber()));
        v.put("numberStep", Integer.toString(n.numberStep()));
        v.put("bore", exact(n.bore(), unit));
        v.put("spacing", exact(n.spacing(), unit));
        v.put("length", exact(n.length(), unit));
        v.put("width", exact(n.width(), unit));
        v.put("boltRows", n.boltRows().name());
        v.put("boltHole", exact(n.boltHole(), unit));
        v.put("waterHoles", Integer.toString(n.waterHoles()));
        v.put("chambers", n.chambers().name());
        v.put("intakeSide", n.intakeAtTop() ? "top" : "bottom");
        v.put("dowels", Integer.toString(n.dowels()));
    }

    private static void asked(PartFile part, Map<String, String> v) {
        v.put("history", part.visit().history());
        CameWith came = part.visit().came().orElseGet(() -> told(part));
        v.put("happened", came.happenedKept());
        v.put("shafts", came.shaftsKept());
        v.put("wishes", part.visit().wishes());
        v.put("gasket", part.visit().gasket());
        v.put("gasketKind", part.visit().gasketKind().map(Enum::name).orElse(""));
        v.put("due", part.visit().due().map(LocalDate::toString).orElse(""));
    }

    private static void limit(FlatnessLimit limit, BenchUnit unit, Map<String, String> v) {
        String name = LIMITS.get(limit.scope());
        String most = new LengthWriter(unit).exact(limit.most()) + " " + (unit == BenchUnit.MM ? "mm" : "th");
        // "bore" is the bore's diameter.
        v.put(limit.scope() == FlatnessLimit.Scope.BORE ? "boreLimit" : name, most);
        limit.window().ifPresent(side -> v.put("windowSide", exact(side, unit)));
        v.put(name + "Source", limit.source().name());
    }

    /** Booked before it was asked: what its words made owed is ticked, so that keeping the sheet takes no check away. */
    private static CameWith told(PartFile part) {
        return Causes.mayBeBent(part.kind(), part.story())
                ? new CameWith(Set.of(Happened.OVERHEATED), List.of("Cam"))
                : new CameWith(Set.of(), List.of());
    }

    /** A size that reads back to the same length: in mm where inches would be rounded. */
    private static String exact(Length length, BenchUnit unit) {
        String text = new LengthWriter(unit).size(length).replace("\u2212", "-");
        return Length.parse(text, unit).equals(length) ? text : new LengthWriter(BenchUnit.MM).size(length);
    }

    private Set<Happened> happened() {
        Set<Happened> all = EnumSet.noneOf(Happened.class);
        for (Happened h : Happened.values()) {
            if (ticked(h)) {
                all.add(h);
            }
        }
        return all;
    }

    public boolean ticked(Happened what) {
        return Arrays.asList(get("happened").split(" ")).contains(what.name());
    }

    public String get(String field) {
        return values.getOrDefault(field, "");
    }

    /** Of the casting that was on the screen; 0 for what is no number. */
    public int version() {
        return get("version").matches("\\d{1,9}") ? Integer.parseInt(get("version")) : 0;
    }

    /**
     * @param defaults of the shop, for a square whose side was not keyed
     * @throws BadInputException naming everything that cannot be read
     */
    public Booking read(BenchUnit unit, FaceDefaults defaults) {
        Problems problems = new Problems();
        Optional<LayoutNumbers> numbers = numbers(unit, problems);
        List<FlatnessLimit> limits = limits(unit, defaults, problems);
        Optional<LocalDate> due = Optional.empty();
        try {
            due = get("due").isEmpty() ? due : Optional.of(LocalDate.parse(get("due")));
        } catch (DateTimeParseException e) {
            problems.require(false, "due", "visit.due-key-a-date-as-year-month-day-such");
        }
        problems.throwIfAny();
        return new Booking(
                get("tag"),
                choice("kind", PartKind.class, PartKind.HEAD),
                get("name"),
                get("customer"),
                choice("material", Material.class, Material.CAST_IRON),
                get("castingNumber"),
                get("stamps"),
                numbers.orElseThrow(),
                limits,
                get("history"),
                Optional.of(CameWith.of(happened(), get("shafts"))),
                get("wishes"),
                get("gasket"),
                choice("gasketKind", GasketKind.class),
                due);
    }

    /** The layout alone, for the drawing beside the sheet. */
    public LayoutNumbers layout(BenchUnit unit) {
        Problems problems = new Problems();
        Optional<LayoutNumbers> numbers = numbers(unit, problems);
        problems.throwIfAny();
        return numbers.orElseThrow();
    }

    /** Empty where a problem was told. */
    private Optional<LayoutNumbers> numbers(BenchUnit unit, Problems problems) {
        int cylinders = whole("cylinders", 4);
        Optional<Length> bore = size("bore", Message.of("visit.bore-size"), unit, problems);
        Optional<Length> spacing = size("spacing", Message.of("visit.bore-spacing"), unit, problems);
        Optional<Length> length = size("length", Message.of("visit.length"), unit, problems);
        Optional<Length> width = size("width", Message.of("visit.width"), unit, problems);
        Optional<Length> bolt = size("boltHole", Message.of("visit.bolt-hole"), unit, problems);
        problems.require(
                bore.isPresent() || !get("bore").isEmpty(), "bore", "visit.bore-key-its-diameter-such-as-87-mm-or");
        boolean needsSpacing =
                cylinders > 1 && spacing.isEmpty() && get("spacing").isEmpty();
        problems.require(!needsSpacing, "spacing", "visit.bore-spacing-key-it-centre-to-centre");
        if (!problems.none()) {
            return Optional.empty();
        }
        PartKind kind = choice("kind", PartKind.class, PartKind.HEAD);
        return proposed(problems, kind, cylinders, bore.orElseThrow(), spacing)
                .flatMap(p -> chosen(p, kind, length, width, bolt, problems));
    }

    /** What was keyed in the place of what bore and spacing propose. */
    private Optional<LayoutNumbers> chosen(
            LayoutNumbers proposed,
            PartKind kind,
            Optional<Length> length,
            Optional<Length> width,
            Optional<Length> bolt,
            Problems problems) {
        ChamberShape shape = kind == PartKind.DECK
                ? ChamberShape.ROUND
                : choice("chambers", ChamberShape.class, ChamberShape.CUT_OFF);
        try {
            return Optional.of(new LayoutNumbers(
                    proposed.cylinders(),
                    whole("firstNumber", 1),
                    whole("numberStep", 1),
                    proposed.bore(),
                    proposed.spacing(),
                    length.orElse(proposed.length()),
                    width.orElse(proposed.width()),
                    choice("boltRows", BoltRows.class, BoltRows.TWO),
                    bolt.orElse(proposed.boltHole()),
                    whole("waterHoles", 4),
                    shape,
                    get("intakeSide").equals("top"),
                    whole("dowels", 0)));
        } catch (BadInputException e) {
            e.problems().forEach(p -> problems.require(false, p.field(), p.sentence()));
            return Optional.empty();
        }
    }

    private static Optional<LayoutNumbers> proposed(
            Problems problems, PartKind kind, int cylinders, Length bore, Optional<Length> spacing) {
        try {
            return Optional.of(LayoutNumbers.proposed(kind, cylinders, bore, spacing.orElse(bore)));
        } catch (BadInputException e) {
            e.problems().stream()
                    .filter(p -> List.of("cylinders", "bore", "spacing").contains(p.field()))
                    .forEach(p -> problems.require(false, p.field(), p.sentence()));
            problems.require(!problems.none(), "bore", "visit.these-sizes-make-no-face-that-can-be");
            return Optional.empty();
        }
    }

    private List<FlatnessLimit> limits(BenchUnit unit, FaceDefaults defaults, Problems problems) {
        List<FlatnessLimit> limits = new ArrayList<>();
        limit("overall", Message.of("visit.flatness-overall"), unit, problems)
                .ifPresent(m -> limits.add(FlatnessLimit.overall(m, source("overallSource"))));
        limit("along", Message.of("visit.straight-along"), unit, problems)
                .ifPresent(m -> limits.add(FlatnessLimit.along(m, source("alongSource"))));
        limit("across", Message.of("visit.straight-across"), unit, problems)
                .ifPresent(m -> limits.add(FlatnessLimit.across(m, source("acrossSource"))));
        Optional<Length> side = size("windowSide", Message.of("visit.side-of-the-square"), unit, problems);
        Optional<Length> window = limit("window", Message.of("visit.flatness-in-any-square"), unit, problems);
        boolean sideFits = problems.require(
                side.isEmpty() || (side.get().mm() >= 10 && side.get().mm() <= 1000),
                "windowSide",
                "visit.side-of-the-square-key-from-10-to-1000");
        if (window.isPresent() && sideFits) {
            limits.add(FlatnessLimit.inAny(side.orElse(defaults.square()), window.get(), source("windowSource")));
        }
        limit("boreLimit", Message.of("visit.flatness-around-a-bore"), unit, problems)
                .ifPresent(m -> limits.add(FlatnessLimit.aroundBores(m, source("boreSource"))));
        return limits;
    }

    private Optional<Length> limit(String field, Message name, BenchUnit unit, Problems problems) {
        if (get(field).isEmpty()) {
            return Optional.empty();
        }
        try {
            Length most = Length.parse(get(field), unit);
            boolean fits = problems.require(
                    most.signum() > 0 && most.mm() <= 5, field, "visit.key-a-limit-above-zero-and-at-most-5-mm", name);
            return fits ? Optional.of(most) : Optional.empty();
        } catch (NotALengthException e) {
            problems.require(false, field, "text.colon", name, e.sentence());
            return Optional.empty();
        }
    }

    private Optional<Length> size(String field, Message name, BenchUnit unit, Problems problems) {
        if (get(field).isEmpty()) {
            return Optional.empty();
        }
        try {
            return Optional.of(Length.parseSize(get(field), unit));
        } catch (NotALengthException e) {
            problems.require(false, field, "text.colon", name, e.sentence());
            return Optional.empty();
        }
    }

    private Source source(String field) {
        Source chosen = choice(field, Source.class, Source.MAKER);
        return chosen.entered() ? chosen : Source.SHOP;
    }

    private int whole(String field, int otherwise) {
        if (get(field).isEmpty()) {
            return otherwise;
        }
        return get(field).matches("\\d{1,3}") ? Integer.parseInt(get(field)) : -1;
    }

    private <E extends Enum<E>> E choice(String field, Class<E> type, E otherwise) {
        return choice(field, type).orElse(otherwise);
    }

    private <E extends Enum<E>> Optional<E> choice(String field, Class<E> type) {
        return Stream.of(type.getEnumConstants())
                .filter(e -> e.name().equals(get(field)))
                .findFirst();
    }
}
