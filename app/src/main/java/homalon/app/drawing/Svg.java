package homalon.app.drawing;

import java.util.Locale;

/** Writes SVG text; every text and attribute value is escaped here and nowhere else. */
final class Svg {
    private final StringBuilder out = new StringBuilder(16_384);

    /** The outermost element; width and height in mm of paper, or 0 to leave its size to the page. */
    Svg picture(String viewBox, double width, double height, Object... attributes) {
        open("svg", attributes);
        out.setLength(out.length() - 1);
        out.append(" xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"")
                .append(viewBox)
                .append('"');
        if (width > 0) {
            out.append(" width=\"")
                    .append(number(width))
                    .append("mm\" height=\"")
                    .append(number(height))
                    .append("mm\"");
        }
        out.append('>');
        return this;
    }

    /** A style sheet of ours inside the picture; nothing for an empty one. */
    Svg style(String css) {
        if (!css.isEmpty()) {
            open("style").text(css).close("style");
        }
        return this;
    }

    /** An element without content; attributes as name, value, name, value. */
    Svg empty(String name, Object... attributes) {
        open(name, attributes);
        out.insert(out.length() - 1, '/');
        return this;
    }

    Svg open(String name, Object... attributes) {
        out.append('<').append(name);
        for (int i = 0; i < attributes.length; i += 2) {
            out.append(' ').append(attributes[i]).append("=\"");
            Object value = attributes[i + 1];
            out.append(value instanceof Double d ? number(d) : escaped(String.valueOf(value)));
            out.append('"');
        }
        out.append('>');
        return this;
    }

    Svg text(String content) {
        out.append(escaped(content));
        return this;
    }

    Svg close(String name) {
        out.append("</").append(name).append('>');
        return this;
    }

    static String number(double value) {
        double tenths = Math.rint(value * 100) / 100;
        return tenths == Math.rint(tenths) ? Long.toString((long) tenths) : String.format(Locale.ROOT, "%.2f", tenths);
    }

    static String escaped(String text) {
        StringBuilder safe = new StringBuilder(text.length() + 8);
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            switch (c) {
                case '&' -> safe.append("&amp;");
                case '<' -> safe.append("&lt;");
                case '>' -> safe.append("&gt;");
                case '"' -> safe.append("&quot;");
                case '\'' -> safe.append("&#39;");
                default -> safe.append(c);
            }
        }
        return safe.toString();
    }

    @Override
    public String toString() {
        return out.toString();
    }
}
