package homalon.app.foundation.drawing;

import homalon.app.foundation.drawing.Svg.Anchor;
import homalon.core.cut.Consequence;

/** Small drawings of what a cut moves: where to look, with the figure at its place. Not to scale. */
public final class ConsequenceDrawing {
    private final Svg svg = new Svg();
    private final String first;
    private final String second;

    private ConsequenceDrawing(String first, String second) {
        this.first = first;
        this.second = second;
    }

    /**
     * @param first the figure, written; empty where it is not known
     * @param second another one, for the drawing that has two
     */
    public static String svg(Consequence.Kind kind, String first, String second) {
        return new ConsequenceDrawing(first, second).draw(kind);
    }

    private String draw(Consequence.Kind kind) {
        svg.picture("brings", 170, 112, null, "aria-hidden", "true");
        switch (kind) {
            case CAM -> cam();
            case INTAKE, EXHAUST -> valve(kind == Consequence.Kind.INTAKE);
            case MANIFOLD -> manifold();
            case PUSHROD -> pushrod();
            case ROOM -> sideValve();
            case RECESSION -> recession();
            case SQUEEZE -> squeeze();
            case BOLTS -> bolt();
            case PROUD -> proud();
        }
        return svg.close("svg").toString();
    }

    private void path(String look, String d) {
        svg.path(look, d);
    }

    private void say(double x, double y, String words) {
        svg.words(null, x, y, Anchor.MIDDLE, words);
    }

    /** A dimension from one height to another. */
    private void gap(double x, double from, double to) {
        path("gap", "M" + x + " " + from + "V" + to + "M" + (x - 7) + " " + from + "h14M" + (x - 7) + " " + to + "h14");
    }

    /** The head comes down; the slack side is taken up, the driving side turns the cam back. */
    private void cam() {
        svg.circle("metal", 52, 34, 24);
        svg.circle("metal", 52, 94, 12);
        path("line", "M28 34L40 94M76 34L64 94");
        path("was", "M52 34V12");
        path("mark", "M52 34L61 13");
        path("gap", "M52 8A26 26 0 0 1 64 11");
        path("gap", "M96 20v24m0 0l-4 -7m4 7l4 -7");
        say(128, 60, first);
        say(128, 78, "at the cam");
    }

    private void valve(boolean intake) {
        path("metal", "M20 104V74H120V104Z");
        double lean = intake ? -18 : 18;
        svg.group(null, "transform", "translate(70 46) rotate(" + lean + ")");
        path("valve", "M-2 -44V-6L-24 3V8H24V3L2 -6V-44Z");
        svg.closeGroup();
        gap(intake ? 48 : 92, 60, 74);
        say(142, 70, first);
    }

    /** Two heads on their decks, the manifold in the valley between them; what comes off it is dark. */
    private void manifold() {
        path("metal", "M20 84L62 42L46 22L4 64ZM150 84L108 42L124 22L166 64Z");
        path("line", "M20 84L62 42L78 60H92L108 42L150 84");
        path("metal", "M69 37L56 22H114L101 37Z");
        path("taken", "M62 42L46 22H56L69 37ZM108 42L124 22H114L101 37Z");
        path("taken", "M69 37H101L105 42H65Z");
        say(85, 14, "flange " + first);
        say(85, 80, "rails " + second);
    }

    private void pushrod() {
        path("metal", "M64 104V62H100V104Z");
        path("line", "M40 104V30");
        path("line", "M30 28H120");
        svg.circle("metal", 80, 28, 7);
        path("line", "M80 35V62");
        path("gap", "M112 66v22m0 0l-4 -7m4 7l4 -7");
        say(140, 84, first);
    }

    private void sideValve() {
        path("metal", "M10 64H44V104H10ZM92 64H160V104H92Z");
        path("metal", "M10 54V14H160V54H150Q150 30 128 30H40V54Z");
        path("valve", "M66 104V50L46 46V42H90V46L70 50V104Z");
        gap(68, 30, 42);
        say(116, 42, first);
    }

    private void recession() {
        path("metal", "M10 40H42L56 62H96L110 40H160V104H10Z");
        path("valve", "M74 104V66L54 60V54H98V60L78 66V104Z");
        path("was", "M10 40H160");
        gap(120, 40, 54);
        say(120, 30, first);
    }

    private void squeeze() {
        path("metal", "M20 10H150V36H20Z");
        path("metal", "M20 52H36V108H20ZM134 52H150V108H134Z");
        path("valve", "M38 58H132V108H38Z");
        gap(85, 36, 58);
        say(118, 51, first);
    }

    private void bolt() {
        path("metal", "M10 10H118V44H10Z");
        path("metal", "M10 48H52V92L65 104L78 92V48H118V108H10Z");
        path("valve", "M56 4H74V82H56Z");
        gap(132, 82, 104);
        say(142, 76, first);
    }

    private void proud() {
        path("metal", "M20 60H150V108H20Z");
        path("was", "M20 46H150");
        path("valve", "M66 34H92V96H66Z");
        gap(120, 46, 60);
        say(120, 36, first);
    }
}
