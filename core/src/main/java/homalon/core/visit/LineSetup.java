package homalon.core.visit;

import homalon.core.face.Gap;
import homalon.core.input.Problems;
import homalon.core.lines.SaddleGap;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.NotALengthException;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * How a shaft's line is measured. A casting carries any number of shafts; each has a name, and its readings are its own.
 *
 * @param prefix of the keys of its places: readings stay with the shaft for which they were taken
 * @param at of each bore from the first, along the line
 * @param clearance of the shaft in each bore, on the diameter
 * @param running least clearance with which it may run
 * @param way an indicator's heights, feelers under a straightedge in the saddles, or one limit blade under it
 * @param blade that limit blade
 * @param bothSides whether blades are tried at the front and at the rear of each saddle, as narrow ones want it
 * @param sideways whether bores are read sideways as well; with an indicator only
 */
public record LineSetup(
        String name,
        String prefix,
        List<Length> at,
        List<Length> clearance,
        Length running,
        Way way,
        Optional<Length> blade,
        boolean bothSides,
        boolean sideways) {
    /** A second one of the same name is the same shaft, measured anew. */
    private static final String DROPPED = "dropped";

    public enum Way {
        INDICATOR,
        FEELERS,
        LIMIT_BLADE
    }

    private static final List<String> SIDES = List.of("", "b");

    /** A place to key. */
    public record Place(String key, Message name) {}

    public static LineSetup of(Map<String, String> kept) {
        return new LineSetup(
                Objects.requireNonNull(kept.get("name")),
                kept.getOrDefault("prefix", ""),
                lengths(Objects.requireNonNull(kept.get("at"))),
                lengths(Objects.requireNonNull(kept.get("clearance"))),
                Length.ofNanometres(Long.parseLong(Objects.requireNonNull(kept.get("running")))),
                Way.valueOf(Objects.requireNonNull(kept.get("way"))),
                Optional.ofNullable(kept.get("blade")).map(Long::parseLong).map(Length::ofNanometres),
                Boolean.parseBoolean(kept.get("bothSides")),
                Boolean.parseBoolean(kept.get("sideways")));
    }

    /** Every shaft of a casting, in the order in which they were first set up; those that were dropped are not among them. */
    public static List<LineSetup> all(SheetFile sheet) {
        Map<String, LineSetup> byName = new LinkedHashMap<>();
        for (Map<String, String> kept : sheet.setups()) {
            String name = Objects.requireNonNull(kept.get("name")).toLowerCase(Locale.ROOT);
            if (kept.containsKey(DROPPED)) {
                byName.remove(name);
            } else {
                byName.put(name, of(kept));
            }
        }
        return List.copyOf(byName.values());
    }

    /** The shaft is not on this casting, or was set up under a wrong name; its readings stay in the record. */
    public static Map<String, String> dropped(String name) {
        return Map.of("name", name, DROPPED, "true");
    }

    /**
     * The same with keys of its own. Set up again with its bores where they were and read the same way, a shaft keeps its
     * readings; otherwise what was read stands in the record and is read anew.
     */
    public LineSetup beside(SheetFile sheet) {
        Optional<LineSetup> same = all(sheet).stream()
                .filter(l -> l.name.equalsIgnoreCase(name))
                .filter(l -> l.at.equals(at) && l.way == way && l.bothSides == bothSides && l.sideways == sideways)
                .findFirst();
        String own = same.map(LineSetup::prefix)
                .orElse(sheet.setups().isEmpty() ? "" : (sheet.setups().size() + 1) + "-");
        return new LineSetup(name, own, at, clearance, running, way, blade, bothSides, sideways);
    }

    /**
     * As typed at the bench: lists with blanks between; one clearance stands for all.
     *
     * @param blade limit blade; blank for the thickest whose refusal everywhere proves that the shaft runs
     */
    public record Typed(
            String name,
            String at,
            String clearance,
            String running,
            Way way,
            String blade,
            boolean bothSides,
            boolean sideways) {}

    public static LineSetup typed(Typed typed, BenchUnit unit) {
        Problems problems = new Problems();
        List<Length> places = list("at", typed.at(), unit, problems, true);
        List<Length> rooms = list("clearance", typed.clearance(), unit, problems, false);
        List<Length> least = list("running", typed.running(), unit, problems, false);
        List<Length> blades = list("blade", typed.blade(), unit, problems, false);
        boolean limit = typed.way() == Way.LIMIT_BLADE;
        bores(places, rooms, problems);
        problems.require(least.size() == 1, "running", "visit.key-one-least-running-clearance");
        problems.require(
                !limit || (blades.size() < 2 && blades.stream().allMatch(b -> b.signum() > 0)),
                "blade",
                "visit.key-one-limit-blade-above-zero-or-leave");
        problems.throwIfAny();
        List<Length> each =
                rooms.size() == 1 ? places.stream().map(p -> rooms.get(0)).toList() : rooms;
        String name = typed.name() == null || typed.name().isBlank()
                ? "Line"
                : typed.name().strip();
        boolean indicator = typed.way() == Way.INDICATOR;
        return new LineSetup(
                name,
                "",
                places,
                each,
                least.get(0),
                typed.way(),
                limit ? Optional.of(blades.isEmpty() ? proving(rooms, least.get(0)) : blades.get(0)) : Optional.empty(),
                typed.bothSides() && !indicator,
                typed.sideways() && indicator);
    }

    private static void bores(List<Length> places, List<Length> rooms, Problems problems) {
        problems.require(places.size() >= 2, "at", "visit.key-where-each-bore-stands-from-the");
        problems.require(
                places.stream().distinct().count() == places.size(),
                "at",
                "visit.two-bores-stand-at-the-same-place-key");
        problems.require(
                rooms.size() == 1 || rooms.size() == places.size(),
                "clearance",
                "visit.key-one-clearance-for-all-bores-or-one");
        problems.require(
                rooms.stream().allMatch(r -> r.signum() > 0),
                "clearance",
                "visit.a-shaft-needs-clearance-in-each-bore");
    }

    /** The blade that proves the tightest bore: its clearance less what the shaft needs to run. */
    private static Length proving(List<Length> rooms, Length least) {
        Length blade =
                rooms.stream().min(Comparator.naturalOrder()).orElseThrow().minus(least);
        Problems problems = new Problems();
        problems.require(blade.signum() > 0, "blade", "visit.with-no-more-clearance-than-it-needs-to");
        problems.throwIfAny();
        return blade;
    }

    private static List<Length> list(String field, String typed, BenchUnit unit, Problems problems, boolean sizes) {
        List<Length> all = new ArrayList<>();
        for (String one : (typed == null ? "" : typed.strip()).split("[ ;]+")) {
            try {
                if (!one.isEmpty()) {
                    all.add(sizes ? Length.parseSize(one, unit) : Length.parse(one, unit));
                }
            } catch (NotALengthException e) {
                problems.require(false, field, e.sentence());
            }
        }
        return all;
    }

    public Map<String, String> kept() {
        Map<String, String> kept = new LinkedHashMap<>();
        kept.put("name", name);
        kept.put("prefix", prefix);
        kept.put("at", joined(at));
        kept.put("clearance", joined(clearance));
        kept.put("running", Long.toString(running.nanometres()));
        kept.put("way", way.name());
        blade.ifPresent(b -> kept.put("blade", Long.toString(b.nanometres())));
        kept.put("bothSides", Boolean.toString(bothSides));
        kept.put("sideways", Boolean.toString(sideways));
        return kept;
    }

    private static String joined(List<Length> all) {
        return all.stream().map(l -> Long.toString(l.nanometres())).collect(Collectors.joining(" "));
    }

    private static List<Length> lengths(String joined) {
        List<Length> all = new ArrayList<>();
        for (String one : joined.split(" ")) {
            all.add(Length.ofNanometres(Long.parseLong(one)));
        }
        return all;
    }

    /** @param told whether the name of the shaft stands before each place, as it must where there are several */
    public List<Place> places(boolean told) {
        List<Place> all = new ArrayList<>();
        Message of = told ? Message.of("visit.bore-of-a-named-shaft", name) : Message.of("visit.bore-of-the-one-shaft");
        for (int i = 0; i < at.size(); i++) {
            Message bore = Message.of("text.beside", of, i + 1);
            if (way == Way.INDICATOR) {
                all.add(new Place(key("h", i), Message.of("visit.height", bore)));
                continue;
            }
            for (String side : sides()) {
                Message where = Message.of(
                        "text.beside",
                        bore,
                        !bothSides
                                ? Message.NONE
                                : side.isEmpty() ? Message.of("visit.at-the-front") : Message.of("visit.at-the-rear"));
                if (way == Way.LIMIT_BLADE) {
                    all.add(new Place(key("b", i) + side, Message.of("visit.limit-blade-goes-refused", where)));
                } else {
                    all.add(new Place(key("go", i) + side, Message.of("visit.thickest-blade-that-goes", where)));
                    all.add(new Place(key("no", i) + side, Message.of("visit.thinnest-blade-refused", where)));
                }
            }
        }
        if (sideways) {
            for (int i = 0; i < at.size(); i++) {
                all.add(new Place(key("s", i), Message.of("visit.sideways", of, i + 1)));
            }
        }
        return all;
    }

    /** What is added to a bore's key for each side of its saddle that is tried. */
    public List<String> sides() {
        return bothSides ? SIDES : SIDES.subList(0, 1);
    }

    /** True for a place where a blade is said to go or to be refused. */
    public boolean takesBlade(String place) {
        return way == Way.LIMIT_BLADE
                && places(false).stream().anyMatch(p -> p.key().equals(place));
    }

    /** What blades have said in a saddle. */
    public SaddleGap saddle(SheetFile sheet, int bore) {
        return new SaddleGap(
                sides().stream().map(side -> gap(sheet, bore, side)).toList());
    }

    private Gap gap(SheetFile sheet, int bore, String side) {
        if (way == Way.FEELERS) {
            Optional<Length> goes = sheet.value(key("go", bore) + side);
            Optional<Length> refused = sheet.value(key("no", bore) + side);
            return goes.isEmpty() || refused.isEmpty() ? Gap.UNTRIED : new Gap(goes, refused);
        }
        Gap gap = Gap.UNTRIED;
        for (Figure f : sheet.at(key("b", bore) + side)) {
            gap = new SaddleGap.Tried(f.value().orElseThrow(), f.typed().endsWith("+")).after(gap);
        }
        return gap;
    }

    public String key(String what, int bore) {
        return prefix + what + bore;
    }
}
