package homalon.app.foundation.web;

import homalon.app.foundation.drawing.Markup;

/**
 * The list of places that the keying walks along. It is written here, not by the template engine: sixty places come with a
 * reading, and its way of writing them would take longer than the verdict.
 */
public final class WalkRows {
    /** What stands at a place. */
    public enum State {
        OPEN("open", "not read"),
        READ("read", ""),
        SKIPPED("skipped", "skipped");

        private final String name;
        private final String words;

        State(String name, String words) {
            this.name = name;
            this.words = words;
        }

        /** Nothing was keyed yet, it was left out, or there is a value. */
        public static State of(boolean keyed, boolean skipped) {
            return !keyed ? OPEN : skipped ? SKIPPED : READ;
        }
    }

    /**
     * One place.
     *
     * @param key what a reading names it by
     * @param name as it is asked for
     * @param listed as it stands in the list
     * @param aside said softly after it, or nothing
     * @param value as it was keyed; empty until it is read
     * @param seen number of the line that stands there; 0 for none
     */
    public record Place(String key, String name, String listed, String aside, State state, String value, long seen) {
        public Place(String key, String name, State state, String value, long seen) {
            this(key, name, name, "", state, value, seen);
        }
    }

    private final Markup list = new Markup();
    private int count;

    /** @param more what the walk is told beside, as name, value, name, value; a name without its {@code data-} */
    public void add(Place place, Object... more) {
        add(++count, place, more);
    }

    /** @param number its place in the list, from 1 */
    public void add(int number, Place p, Object... more) {
        Object[] own = {
            "type",
            "button",
            "data-place",
            p.key(),
            "data-name",
            p.name(),
            "data-state",
            p.state().name,
            "data-value",
            p.value(),
            "data-seen",
            p.seen()
        };
        Object[] all = new Object[own.length + more.length];
        System.arraycopy(own, 0, all, 0, own.length);
        for (int i = 0; i < more.length; i += 2) {
            all[own.length + i] = "data-" + more[i];
            all[own.length + i + 1] = more[i + 1];
        }
        list.open("li").open("button", all);
        list.open("span").text(Integer.toString(number)).close("span");
        list.open("span").text(p.listed());
        if (!p.aside().isEmpty()) {
            list.open("span", "class", "text-soft").text(" · " + p.aside()).close("span");
        }
        list.close("span").open("span", "class", "value");
        list.text(p.state() == State.READ ? p.value() : p.state().words).close("span");
        list.close("button").close("li");
    }

    public String html() {
        return list.toString();
    }
}
