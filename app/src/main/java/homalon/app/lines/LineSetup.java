package homalon.app.lines;

import homalon.app.sheets.SheetFile;
import homalon.core.input.Problems;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.NotALengthException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * How a shaft's line is measured. A casting carries any number of shafts; each has a name, and its readings are its own.
 *
 * @param prefix of the keys of its places: readings stay with the shaft for which they were taken
 * @param at of each bore from the first, along the line
 * @param clearance of the shaft in each bore, on the diameter
 * @param running least clearance with which it may run
 * @param way an indicator's heights, or feelers under a straightedge in the saddles
 * @param sideways whether bores are read sideways as well; with an indicator only
 */
record LineSetup(
        String name,
        String prefix,
        List<Length> at,
        List<Length> clearance,
        Length running,
        Way way,
        boolean sideways) {
    /** A second one of the same name is the same shaft, measured anew. */
    private static final String DROPPED = "dropped";

    enum Way {
        INDICATOR,
        FEELERS
    }

    /** A place to key. */
    record Place(String key, String name) {}

    static LineSetup of(Map<String, String> kept) {
        return new LineSetup(
                kept.get("name"),
                kept.getOrDefault("prefix", ""),
                lengths(kept.get("at")),
                lengths(kept.get("clearance")),
                Length.ofNanometres(Long.parseLong(kept.get("running"))),
                Way.valueOf(kept.get("way")),
                Boolean.parseBoolean(kept.get("sideways")));
    }

    /** Every shaft of a casting, in the order in which they were first set up; those that were dropped are not among them. */
    static List<LineSetup> all(SheetFile sheet) {
        Map<String, LineSetup> byName = new LinkedHashMap<>();
        for (Map<String, String> kept : sheet.setups()) {
            String name = kept.get("name").toLowerCase(Locale.ROOT);
            if (kept.containsKey(DROPPED)) {
                byName.remove(name);
            } else {
                byName.put(name, of(kept));
            }
        }
        return List.copyOf(byName.values());
    }

    /** The shaft is not on this casting, or was set up under a wrong name; its readings stay in the record. */
    static Map<String, String> dropped(String name) {
        return Map.of("name", name, DROPPED, "true");
    }

    /**
     * The same with keys of its own. Set up again with its bores where they were and read the same way, a shaft keeps its
     * readings; otherwise what was read stands in the record and is read anew.
     */
    LineSetup beside(SheetFile sheet) {
        Optional<LineSetup> same = all(sheet).stream()
                .filter(l -> l.name.equalsIgnoreCase(name))
                .filter(l -> l.at.equals(at) && l.way == way && l.sideways == sideways)
                .findFirst();
        String own = same.map(LineSetup::prefix)
                .orElse(sheet.setups().isEmpty() ? "" : (sheet.setups().size() + 1) + "-");
        return new LineSetup(name, own, at, clearance, running, way, sideways);
    }

    /** As typed at the bench: lists with blanks between; one clearance stands for all. */
    static LineSetup typed(
            String name, String at, String clearance, String running, Way way, boolean sideways, BenchUnit unit) {
        Problems problems = new Problems();
        List<Length> places = list("at", at, unit, problems, true);
        List<Length> rooms = list("clearance", clearance, unit, problems, false);
        List<Length> least = list("running", running, unit, problems, false);
        problems.require(places.size() >= 2, "at", "Key where each bore stands from the first, such as: 0 98 196 294.");
        problems.require(
                places.stream().distinct().count() == places.size(),
                "at",
                "Two bores stand at the same place: key how far each is from the first.");
        problems.require(
                rooms.size() == 1 || rooms.size() == places.size(),
                "clearance",
                "Key one clearance for all bores, or one for each.");
        problems.require(
                rooms.stream().allMatch(r -> r.signum() > 0),
                "clearance",
                "A shaft needs clearance in each bore, above zero.");
        problems.require(least.size() == 1, "running", "Key one least running clearance.");
        problems.throwIfAny();
        List<Length> each =
                rooms.size() == 1 ? places.stream().map(p -> rooms.get(0)).toList() : rooms;
        String words = name == null || name.isBlank() ? "Line" : name.strip();
        return new LineSetup(words, "", places, each, least.get(0), way, sideways && way == Way.INDICATOR);
    }

    private static List<Length> list(String field, String typed, BenchUnit unit, Problems problems, boolean sizes) {
        List<Length> all = new ArrayList<>();
        for (String one : (typed == null ? "" : typed.strip()).split("[ ;]+")) {
            try {
                if (!one.isEmpty()) {
                    all.add(sizes ? Length.parseSize(one, unit) : Length.parse(one, unit));
                }
            } catch (NotALengthException e) {
                problems.require(false, field, e.getMessage());
            }
        }
        return all;
    }

    Map<String, String> kept() {
        return Map.of(
                "name", name,
                "prefix", prefix,
                "at", joined(at),
                "clearance", joined(clearance),
                "running", Long.toString(running.nanometres()),
                "way", way.name(),
                "sideways", Boolean.toString(sideways));
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
    List<Place> places(boolean told) {
        List<Place> all = new ArrayList<>();
        String of = told ? name + ", bore " : "Bore ";
        for (int i = 0; i < at.size(); i++) {
            String bore = of + (i + 1);
            if (way == Way.FEELERS) {
                all.add(new Place(key("go", i), bore + ", thickest blade that goes"));
                all.add(new Place(key("no", i), bore + ", thinnest blade refused"));
            } else {
                all.add(new Place(key("h", i), bore + ", height"));
            }
        }
        if (sideways) {
            for (int i = 0; i < at.size(); i++) {
                all.add(new Place(key("s", i), of + (i + 1) + ", sideways"));
            }
        }
        return all;
    }

    String key(String what, int bore) {
        return prefix + what + bore;
    }
}
