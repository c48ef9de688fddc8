package homalon.app.foundation.drawing;

import java.util.stream.Stream;

/**
 * Writes a picture: one method for each shape. Places and sizes are in the picture's own units, x to the right, y down; a style
 * is the class by which a style sheet knows the shape, or null; a stroke is its line's width. What a shape needs beyond these
 * follows as name, value, name, value.
 */
final class Svg extends Markup {
    /** Where a text stands at its place: begins, is centred or ends there. */
    enum Anchor {
        START("start"),
        MIDDLE("middle"),
        END("end");

        private final String word;

        Anchor(String word) {
            this.word = word;
        }
    }

    /** The outermost element of a picture that fills the room the page gives it. */
    Svg picture(String style, double width, double height, String label, Object... more) {
        return frame("0 0 " + number(width) + " " + number(height), 0, 0, style, label, more);
    }

    /**
     * The outermost element.
     *
     * @param width in mm of paper, as the height; 0 to leave its size to the page
     */
    Svg frame(String viewBox, double width, double height, String style, String label, Object... more) {
        Object[] names = {"xmlns", "http://www.w3.org/2000/svg", "xmlns:xlink", "http://www.w3.org/1999/xlink"};
        String wide = width > 0 ? number(width) + "mm" : null;
        String high = width > 0 ? number(height) + "mm" : null;
        Object[] size = {"viewBox", viewBox, "width", wide, "height", high};
        Object[] said = {"class", style, "role", label == null ? null : "img", "aria-label", label};
        open("svg", join(names, size, said, more));
        return this;
    }

    private static Object[] join(Object[]... all) {
        return Stream.of(all).flatMap(Stream::of).toArray();
    }

    private Svg shape(String name, String style, Object[] own, Object... more) {
        empty(name, join(new Object[] {"class", style}, own, more));
        return this;
    }

    /** A group of shapes, which is to be closed. */
    Svg group(String style, Object... more) {
        open("g", join(new Object[] {"class", style}, more));
        return this;
    }

    void closeGroup() {
        close("g");
    }

    /** A square that is laid side by side, which is to be closed; shapes are filled with it by its name. */
    Svg pattern(String id, double size, Object... more) {
        Object[] own = {"id", id, "width", size, "height", size, "patternUnits", "userSpaceOnUse"};
        open("pattern", join(own, more));
        return this;
    }

    /** A style sheet of ours inside the picture; nothing for an empty one. */
    void style(String css) {
        if (!css.isEmpty()) {
            open("style").text(css).close("style");
        }
    }

    /** What the shape that is open is called, for whoever points at it or has it read out. */
    Svg title(String words) {
        open("title").text(words).close("title");
        return this;
    }

    Svg circle(String style, double x, double y, double r, Object... more) {
        return shape("circle", style, new Object[] {"cx", x, "cy", y, "r", r}, more);
    }

    Svg circle(String style, double x, double y, double r, double stroke) {
        return circle(style, x, y, r, "stroke-width", stroke);
    }

    /** @param dash lengths of the strokes and gaps of its line */
    Svg dashed(String style, double x, double y, double r, double stroke, String dash) {
        return circle(style, x, y, r, "stroke-width", stroke, "stroke-dasharray", dash);
    }

    Svg line(String style, double x1, double y1, double x2, double y2) {
        return shape("line", style, new Object[] {"x1", x1, "y1", y1, "x2", x2, "y2", y2});
    }

    Svg line(String style, double x1, double y1, double x2, double y2, double stroke) {
        return shape("line", style, new Object[] {"x1", x1, "y1", y1, "x2", x2, "y2", y2, "stroke-width", stroke});
    }

    Svg rect(String style, double x, double y, double width, double height, Object... more) {
        return shape("rect", style, new Object[] {"x", x, "y", y, "width", width, "height", height}, more);
    }

    /** @param corner radius of its corners */
    Svg rounded(String style, double x, double y, double width, double height, double corner, Object... more) {
        return shape(
                "rect", style, new Object[] {"x", x, "y", y, "width", width, "height", height, "rx", corner}, more);
    }

    Svg path(String style, CharSequence way) {
        return shape("path", style, new Object[] {"d", way});
    }

    Svg path(String style, CharSequence way, double stroke, Object... more) {
        return shape("path", style, new Object[] {"stroke-width", stroke, "d", way}, more);
    }

    /** Rings in rings: what lies within an even number of them is left out. */
    Svg rings(String style, CharSequence way) {
        return shape("path", style, new Object[] {"fill-rule", "evenodd", "d", way});
    }

    Svg rings(String style, CharSequence way, double stroke) {
        return path(style, way, stroke, "fill-rule", "evenodd");
    }

    /** A text as large as the style sheet says. */
    Svg words(String style, double x, double y, Anchor anchor, String words) {
        open("text", "class", style, "x", x, "y", y, "text-anchor", anchor.word)
                .text(words)
                .close("text");
        return this;
    }

    Svg words(String style, double x, double y, Anchor anchor, double size, String words) {
        open("text", "class", style, "x", x, "y", y, "text-anchor", anchor.word, "font-size", size)
                .text(words)
                .close("text");
        return this;
    }
}
