package homalon.core.face;

import homalon.core.geometry.Box;
import homalon.core.input.BadInputException;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * A first look at a file of points: what separates its numbers, which columns they are and in what unit, and what cannot be
 * told from it and has to be asked.
 *
 * @param format as far as it could be told, with guesses where it could not
 * @param sample first lines of numbers, split
 * @param names of the columns from the header; empty strings without one
 * @param asks what is a guess, in sentences
 */
public record ScanLook(ScanFormat format, List<List<String>> sample, List<String> names, List<Message> asks) {
    private static final int MOST_HEADER = 60;
    private static final int SAMPLE = 6;
    private static final Pattern UNIT =
            Pattern.compile("(?i)\\b(mm|millimet\\w*|µm|μm|um|micro\\w*|inch\\w*|in|thou|mil|m|met\\w*)\\b");

    /**
     * @param head first 64 kB of the file or so, decoded
     * @param whole true when that is all of it
     * @param face box of the face that was scanned, to tell units by
     * @throws BadInputException when these are no points
     */
    public static ScanLook at(String head, boolean whole, Box face) {
        refuseArchives(head);
        List<String> lines =
                new ArrayList<>(Arrays.asList(head.replace("\uFEFF", "").split("\r\n|\n|\r", -1)));
        if (!whole && lines.size() > 1) {
            lines.remove(lines.size() - 1);
        }
        for (char separator : new char[] {';', '\t', ',', ' '}) {
            for (boolean comma : new boolean[] {false, true}) {
                if (separator == ',' && comma) {
                    continue;
                }
                Optional<ScanLook> look = tryAs(lines, separator, comma, face);
                if (look.isPresent()) {
                    return look.get();
                }
            }
        }
        throw new BadInputException("file", "face.no-points-were-found-in-this-file-send");
    }

    private static void refuseArchives(String head) {
        if (head.isEmpty()) {
            throw new BadInputException("file", "face.the-file-is-empty-export-the-points");
        }
        if (head.startsWith("PK") || head.charAt(0) == 0x1f || head.indexOf(0) >= 0) {
            throw new BadInputException("file", "face.this-is-an-archive-or-a-binary-file");
        }
    }

    private static Optional<ScanLook> tryAs(List<String> lines, char separator, boolean comma, Box face) {
        int first = -1;
        int columns = 0;
        List<double[]> rows = new ArrayList<>();
        List<List<String>> sample = new ArrayList<>();
        int bad = 0;
        for (int i = 0; i < lines.size(); i++) {
            String line = lines.get(i).strip();
            if (line.isEmpty() || line.startsWith("#") || line.startsWith("//")) {
                continue;
            }
            List<String> cells = ScanReader.split(line, separator);
            double[] row = numbers(cells, comma);
            if (first < 0) {
                if (row == null || row.length < 3) {
                    if (i > MOST_HEADER) {
                        return Optional.empty();
                    }
                    continue;
                }
                first = i;
                columns = row.length;
            }
            if (row == null || row.length != columns) {
                bad++;
                continue;
            }
            rows.add(row);
            if (sample.size() < SAMPLE) {
                sample.add(cells);
            }
        }
        if (rows.isEmpty() || bad * 20 > rows.size() + 20) {
            return Optional.empty();
        }
        refuseTwoCommas(separator, columns, rows);
        List<String> names = header(lines, first, separator, columns);
        return Optional.of(told(separator, comma, first, columns, rows, sample, names, face));
    }

    private static void refuseTwoCommas(char separator, int columns, List<double[]> rows) {
        if (separator == ',' && columns == 6 && rows.stream().allMatch(ScanLook::whole)) {
            throw new BadInputException("file", "face.a-comma-is-used-both-between-numbers");
        }
    }

    private static boolean whole(double[] row) {
        return Arrays.stream(row).allMatch(v -> v == Math.rint(v));
    }

    private static double @Nullable [] numbers(List<String> cells, boolean comma) {
        double[] row = new double[cells.size()];
        for (int i = 0; i < row.length; i++) {
            String cell = cells.get(i);
            if (comma ? cell.indexOf('.') >= 0 : cell.indexOf(',') >= 0) {
                return null;
            }
            try {
                row[i] = Double.parseDouble(comma ? cell.replace(',', '.') : cell);
            } catch (NumberFormatException e) {
                return null;
            }
            if (!Double.isFinite(row[i]) || cell.endsWith("d") || cell.endsWith("f")) {
                return null;
            }
        }
        return row;
    }

    private static List<String> header(List<String> lines, int first, char separator, int columns) {
        for (int i = first - 1; i >= 0 && i >= first - 5; i--) {
            String line = lines.get(i).strip().replaceFirst("^(#|//)\\s*", "");
            List<String> cells = ScanReader.split(line, separator);
            if (cells.size() == columns) {
                return cells;
            }
        }
        List<String> none = new ArrayList<>();
        for (int i = 0; i < columns; i++) {
            none.add("");
        }
        return none;
    }

    private static ScanLook told(
            char separator,
            boolean comma,
            int first,
            int columns,
            List<double[]> rows,
            List<List<String>> sample,
            List<String> names,
            Box face) {
        List<Message> asks = new ArrayList<>();
        OptionalInt x = named(names, 'x');
        OptionalInt y = named(names, 'y');
        OptionalInt z = named(names, 'z');
        boolean byName = x.isPresent() && y.isPresent() && z.isPresent();
        if (!byName && columns > 3) {
            asks.add(Message.of("face.which-columns-are-along-across-and"));
        }
        int[] at = byName ? new int[] {x.getAsInt(), y.getAsInt(), z.getAsInt()} : new int[] {0, 1, 2};
        double length = span(rows, at[0]);
        double width = span(rows, at[1]);
        Optional<ScanUnit> ofPlaces = unit(names.get(at[0]));
        ScanUnit places = ofPlaces.orElseGet(() -> bySize(Math.max(length, width), face));
        double share = Math.max(length, width) * places.mm() / face.width();
        // The first lines of a file that is sorted reach over the width at least.
        if (ofPlaces.isEmpty() && (share < 0.3 || share > 1.3)) {
            asks.add(Message.of(
                    "face.in-what-unit-are-the-places-as-the-scan", places.words(), Math.round(share * 100)));
        }
        Optional<ScanUnit> ofHeights = unit(names.get(at[2]));
        ScanUnit heights = ofHeights.orElse(places);
        if (ofHeights.isEmpty() && span(rows, at[2]) * heights.mm() > 60) {
            asks.add(Message.of(
                    "face.in-what-unit-are-the-heights-as-they",
                    heights.words(),
                    Math.round(span(rows, at[2]) * heights.mm())));
        }
        return new ScanLook(
                new ScanFormat(separator, comma, first, columns, at[0], at[1], at[2], places, heights),
                List.copyOf(sample),
                List.copyOf(names),
                List.copyOf(asks));
    }

    private static double span(List<double[]> rows, int column) {
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (double[] row : rows) {
            least = Math.min(least, row[column]);
            most = Math.max(most, row[column]);
        }
        return most - least;
    }

    private static OptionalInt named(List<String> names, char axis) {
        Pattern name = Pattern.compile("(?i)(^|[^a-z])" + axis + "([^a-z]|$)");
        for (int i = 0; i < names.size(); i++) {
            if (name.matcher(names.get(i)).find()) {
                return OptionalInt.of(i);
            }
        }
        return OptionalInt.empty();
    }

    private static Optional<ScanUnit> unit(String name) {
        Matcher unit = UNIT.matcher(name.replaceAll("[_()\\[\\]]", " "));
        if (!unit.find()) {
            return Optional.empty();
        }
        String found = unit.group(1).toLowerCase(Locale.ROOT);
        if (found.startsWith("mm") || found.startsWith("milli")) {
            return Optional.of(ScanUnit.MM);
        }
        if (found.startsWith("mic") || (found.endsWith("m") && found.length() == 2)) {
            return Optional.of(ScanUnit.MICRON);
        }
        if (found.equals("thou") || found.equals("mil")) {
            return Optional.of(ScanUnit.THOU);
        }
        return Optional.of(found.startsWith("in") ? ScanUnit.INCH : ScanUnit.METRE);
    }

    /** The unit in which the first lines come closest to the face's length without going beyond it by much. */
    private static ScanUnit bySize(double span, Box face) {
        ScanUnit best = ScanUnit.MM;
        for (ScanUnit unit : ScanUnit.values()) {
            double off = Math.abs(Math.log(Math.max(1e-12, span * unit.mm()) / face.width()));
            double bestOff = Math.abs(Math.log(Math.max(1e-12, span * best.mm()) / face.width()));
            best = off < bestOff - 1.5 ? unit : best;
        }
        return best;
    }
}
