package homalon.app.foundation.drawing;

/** Writes SVG and lists of many rows as text; every text and attribute value is escaped here and nowhere else. */
public class Markup {
    private final StringBuilder out = new StringBuilder(16_384);

    /** An element without content; attributes as name, value, name, value. */
    public Markup empty(String name, Object... attributes) {
        open(name, attributes);
        out.setLength(out.length() - 1);
        out.append("/>");
        return this;
    }

    /** An attribute whose value is null is left out. */
    public Markup open(String name, Object... attributes) {
        out.append('<').append(name);
        for (int i = 0; i < attributes.length; i += 2) {
            if (attributes[i + 1] == null) {
                continue;
            }
            out.append(' ').append(attributes[i]).append("=\"");
            Object value = attributes[i + 1];
            if (value instanceof Double d) {
                append(out, Math.round(d * 100), 100);
            } else {
                escape(String.valueOf(value), out);
            }
            out.append('"');
        }
        out.append('>');
        return this;
    }

    public Markup text(String content) {
        escape(content, out);
        return this;
    }

    public Markup close(String name) {
        out.append("</").append(name).append('>');
        return this;
    }

    /** To a hundredth. */
    static String number(double value) {
        StringBuilder text = new StringBuilder(8);
        append(text, Math.round(value * 100), 100);
        return text.toString();
    }

    /** To a tenth, straight into a path: a tenth of a millimetre on a face is a fifth of a pixel. */
    static StringBuilder point(StringBuilder path, double x, double y) {
        append(path, Math.round(x * 10), 10);
        path.append(' ');
        return append(path, Math.round(y * 10), 10);
    }

    private static StringBuilder append(StringBuilder to, long parts, int whole) {
        if (parts < 0) {
            to.append('-');
        }
        long size = Math.abs(parts);
        to.append(size / whole);
        long rest = size % whole;
        if (rest != 0) {
            to.append('.');
            for (int unit = whole / 10; rest != 0; unit /= 10) {
                to.append((char) ('0' + rest / unit));
                rest %= unit;
            }
        }
        return to;
    }

    /**
     * What need not be escaped, nearly all of it, is copied in one piece. Letters beyond Latin are written by their number: one
     * such letter would make the whole text twice as large in memory and slow to write out.
     */
    private static void escape(String text, StringBuilder to) {
        int copied = 0;
        for (int i = 0; i < text.length(); i++) {
            char letter = text.charAt(i);
            if (letter > '>' && letter <= '\u00ff') {
                continue;
            }
            String safe = safe(letter);
            if (safe != null) {
                to.append(text, copied, i).append(safe);
                copied = i + 1;
            } else if (letter > '\u00ff') {
                int point = text.codePointAt(i);
                to.append(text, copied, i).append("&#").append(point).append(';');
                i += Character.charCount(point) - 1;
                copied = i + 1;
            }
        }
        to.append(text, copied, text.length());
    }

    /** Null for a letter that may stand as it is. */
    private static String safe(char letter) {
        return switch (letter) {
            case '&' -> "&amp;";
            case '<' -> "&lt;";
            case '>' -> "&gt;";
            case '"' -> "&quot;";
            case '\'' -> "&#39;";
            default -> null;
        };
    }

    @Override
    public String toString() {
        return out.toString();
    }
}
