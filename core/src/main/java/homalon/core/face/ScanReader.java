package homalon.core.face;

import homalon.core.geometry.Points;
import homalon.core.input.BadInputException;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntConsumer;
import java.util.regex.Pattern;

/**
 * Reads points from text as it streams in, in millimetres; never more than a line of it is held besides the points. Numbers are
 * read exactly (fewer than 16 digits are a whole number over a power of ten; longer ones go the slow way).
 */
public final class ScanReader {
    public static final int MOST_POINTS = 2_000_000;
    private static final int LONGEST_LINE = 2000;
    private static final int TELL_EVERY = 50_000;
    private static final double[] TENS = new double[23];

    static {
        TENS[0] = 1;
        for (int i = 1; i < TENS.length; i++) {
            TENS[i] = TENS[i - 1] * 10;
        }
    }

    /** Where the bytes come from. */
    public interface Source {
        /** Fills some of the buffer; zero or less at the end. */
        int read(byte[] buffer);
    }

    /**
     * What was read.
     *
     * @param points in mm
     * @param left lines that held no point
     * @param notes what to know about the file, in sentences
     */
    public record Read(Points points, int left, List<Message> notes) {}

    private final Source in;
    private final ScanFormat format;
    private final IntConsumer progress;
    private final byte[] buffer = new byte[1 << 16];
    private int at;
    private int filled;

    private final byte[] line = new byte[LONGEST_LINE];
    private int length;
    private double[] x = new double[1 << 16];
    private double[] y = new double[1 << 16];
    private double[] z = new double[1 << 16];
    private int size;
    private int left;
    private int lastBad = -1;
    private int number;
    private final double[] row;

    private ScanReader(Source in, ScanFormat format, IntConsumer progress) {
        this.in = in;
        this.format = format;
        this.progress = progress;
        this.row = new double[format.columns()];
    }

    /**
     * @param progress told now and then how many points were read
     * @throws BadInputException when there are too many points or hardly any, or too many lines hold none
     */
    public static Read read(Source in, ScanFormat format, IntConsumer progress) {
        format.problem().ifPresent(p -> {
            throw new BadInputException("columns", p);
        });
        return new ScanReader(in, format, progress).read();
    }

    private Read read() {
        boolean more = true;
        while (more) {
            more = nextLine();
            number++;
            if (number > format.skip() && !blank()) {
                point();
            }
        }
        List<Message> notes = new ArrayList<>();
        if (size < 4) {
            throw new BadInputException("file", "face.only-points-could-be-read-at-least-four", size);
        }
        if (left > 0) {
            boolean cut = left == 1 && lastBad == number;
            if (!cut && left * 100L > size) {
                throw new BadInputException("file", "face.lines-hold-no-point-the-last-of-them", left, lastBad);
            }
            notes.add(
                    cut
                            ? Message.of("face.the-last-line-is-cut-short-the-file-may", size)
                            : Message.of("face.lines-without-a-point-were-left-out-the", left, lastBad));
        }
        Points points = Points.of(Arrays.copyOf(x, size), Arrays.copyOf(y, size), Arrays.copyOf(z, size));
        return new Read(points, left, List.copyOf(notes));
    }

    /** Reads up to the end of the line; false when that was the last one. */
    private boolean nextLine() {
        length = 0;
        while (true) {
            if (at == filled) {
                filled = in.read(buffer);
                at = 0;
                if (filled <= 0) {
                    filled = 0;
                    return false;
                }
            }
            byte b = buffer[at++];
            if (b == '\n') {
                return true;
            }
            if (b == 0) {
                throw new BadInputException("file", "face.there-is-no-text-on-line-the-file-is", number + 1);
            }
            if (b != '\r') {
                if (length == LONGEST_LINE) {
                    throw new BadInputException("file", "face.line-is-longer-than-any-point-is-this", number + 1);
                }
                line[length++] = b;
            }
        }
    }

    private boolean blank() {
        int i = 0;
        while (i < length && (line[i] == ' ' || line[i] == '\t')) {
            i++;
        }
        return i == length || line[i] == '#' || (line[i] == '/' && i + 1 < length && line[i + 1] == '/');
    }

    private void point() {
        if (!parse()) {
            left++;
            lastBad = number;
            return;
        }
        if (size == MOST_POINTS) {
            throw new BadInputException("file", "face.the-file-holds-more-than-2-000-000");
        }
        if (size == x.length) {
            int larger = Math.min(MOST_POINTS, size + size / 2);
            x = Arrays.copyOf(x, larger);
            y = Arrays.copyOf(y, larger);
            z = Arrays.copyOf(z, larger);
        }
        x[size] = row[format.x()] * format.places().mm();
        y[size] = row[format.y()] * format.places().mm();
        z[size] = row[format.z()] * format.heights().mm();
        size++;
        if (size % TELL_EVERY == 0) {
            progress.accept(size);
        }
    }

    /** Every column of the line into the row; false when one is no number, or there are too few or too many. */
    private boolean parse() {
        int i = 0;
        for (int column = 0; column < row.length; column++) {
            while (i < length && (line[i] == ' ' || (line[i] == '\t' && format.separator() != '\t'))) {
                i++;
            }
            int from = i;
            while (i < length && !ends(line[i])) {
                i++;
            }
            if (!number(from, i, column)) {
                return false;
            }
            while (i < length && line[i] == ' ') {
                i++;
            }
            if (i < length && format.separator() != ' ') {
                if (line[i] != format.separator()) {
                    return false;
                }
                i++;
            }
        }
        while (i < length && (line[i] == ' ' || line[i] == '\t')) {
            i++;
        }
        return i == length;
    }

    private boolean ends(byte b) {
        return b == format.separator() || b == ' ' || b == '\t';
    }

    private boolean number(int from, int to, int column) {
        int i = from;
        boolean minus = i < to && line[i] == '-';
        if (i < to && (line[i] == '-' || line[i] == '+')) {
            i++;
        }
        long digits = 0;
        int count = 0;
        int after = -1;
        int point = format.decimalComma() ? ',' : '.';
        for (; i < to; i++) {
            byte b = line[i];
            if (b >= '0' && b <= '9') {
                digits = digits * 10 + (b - '0');
                count++;
                after += after >= 0 ? 1 : 0;
                if (count > 15) {
                    return slow(from, to, column);
                }
            } else if (b == point && after < 0) {
                after = 0;
            } else {
                return slow(from, to, column);
            }
        }
        if (count == 0) {
            return false;
        }
        double value = after > 0 ? digits / TENS[after] : digits;
        row[column] = minus ? -value : value;
        return true;
    }

    private boolean slow(int from, int to, int column) {
        String text = text(from, to);
        if (format.decimalComma()) {
            text = text.indexOf('.') >= 0 ? "" : text.replace(',', '.');
        }
        if (!text.matches("[+-]?[0-9]*\\.?[0-9]+([eE][+-]?[0-9]{1,3})?|[+-]?[0-9]+\\.([eE][+-]?[0-9]{1,3})?")) {
            return false;
        }
        row[column] = Double.parseDouble(text);
        return Double.isFinite(row[column]);
    }

    private String text(int from, int to) {
        StringBuilder text = new StringBuilder(to - from);
        for (int i = from; i < to; i++) {
            text.append((char) (line[i] & 0xff));
        }
        return text.toString();
    }

    /** Splits a line as the reader would. */
    static List<String> split(String line, char separator) {
        String[] cells = separator == ' '
                ? line.strip().split("[ \t]+")
                : line.split(Pattern.quote(String.valueOf(separator)), -1);
        return Arrays.stream(cells).map(String::strip).toList();
    }
}
