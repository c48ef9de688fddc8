package homalon.app.foundation.web;

import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** What the help of a page is about: a section of docs/at-the-bench.md, under the pages that it serves. */
public enum HelpTopic {
    KEYING("Keying"),
    FACE("Verdicts", "face", "proof", "thickness", "thickness-after", "compare"),
    INSTRUMENTS("Instruments", "instruments"),
    FEELERS("Straightedge and feelers", "feelers", "proof-feelers"),
    SCANS("Scans", "scan"),
    CUT("At the machine", "cut", "batch"),
    PLAN("Set-ups", "plan"),
    ROUTE("The route", "route", "life", "report", "visits"),
    CLEAN("Clean, cracks, pressure", "clean", "cracks", "pressure"),
    LINES("Lines, decks, liners", "line", "liners", "index"),
    VALVES("Valves", "valves", "guides", "inserts", "seats", "parts-list", "stock"),
    CHAMBERS("Chambers and what may come off", "chambers", "budget"),
    SHOP("The shop's own limits", "settings"),
    DAY("The bench day", "day", "crew", "ready", "calls", "wall", "times"),
    MONEY("Estimates", "estimate", "prices"),
    BOOKING("Finding and booking in", "intake", "new", "find", "customers"),
    TABLES("Tables that you bring along", "tables"),
    PAPER("Tag and traveller", "tag", "traveller");

    private static final Map<String, HelpTopic> BY_PAGE = new TreeMap<>();

    static {
        for (HelpTopic topic : values()) {
            for (String page : topic.pages) {
                BY_PAGE.put(page, topic);
            }
        }
    }

    private final String heading;
    private final String[] pages;

    HelpTopic(String heading, String... pages) {
        this.heading = heading;
        this.pages = pages;
    }

    /** As it stands over its section. */
    public String heading() {
        return heading;
    }

    /** In an address. */
    public String path() {
        return name().toLowerCase(java.util.Locale.ROOT);
    }

    static Optional<HelpTopic> byPath(String path) {
        return Arrays.stream(values()).filter(t -> t.path().equals(path)).findFirst();
    }

    /** Of a page, by its address; how to key where a page has no section of its own. */
    static HelpTopic of(String address) {
        HelpTopic found = KEYING;
        for (String word : address.split("/")) {
            found = BY_PAGE.getOrDefault(word, found);
        }
        return found;
    }
}
