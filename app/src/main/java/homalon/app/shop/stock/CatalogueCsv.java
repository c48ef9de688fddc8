package homalon.app.shop.stock;

import homalon.app.foundation.load.TextTable;
import homalon.app.foundation.words.Words;
import homalon.core.catalogue.Item;
import homalon.core.catalogue.Metal;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.quantity.NotALengthException;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.util.StringUtils;

/**
 * The shop's list as a table of text. Sizes in mm unless they say otherwise: {@code 1-7/16}, {@code 1.437in} and {@code 36.5}
 * may stand in one column. An insert that is sold by its hole says {@code nominal}, its hole as outer size and its own press.
 */
final class CatalogueCsv {
    static final String[] COLUMNS = {
        "code", "kind", "what", "outer", "inner", "height", "metal", "sizing", "press", "shelf"
    };
    private static final int MOST_ROWS = 5_000;
    private static final int MOST_TOLD = 8;

    private CatalogueCsv() {}

    /** @throws BadInputException naming each line that cannot be, and what would be right */
    static List<Catalogue.Row> read(byte[] sent) {
        TextTable table = TextTable.read(sent, MOST_ROWS);
        List<String> heads =
                table.heads().stream().map(h -> h.toLowerCase(Locale.ROOT)).toList();
        for (String column : List.of("code", "kind", "outer", "inner", "height")) {
            if (!heads.contains(column)) {
                throw new BadInputException(
                        "file", "app.stock.the-first-line-must-name-the-columns", String.join(", ", COLUMNS), column);
            }
        }
        List<Catalogue.Row> rows = new ArrayList<>();
        List<String> wrong = new ArrayList<>();
        Set<String> codes = new HashSet<>();
        for (TextTable.Line line : table.lines()) {
            try {
                Catalogue.Row row = row(column -> cell(heads, line, column), BenchUnit.MM);
                if (!codes.add(row.item().code())) {
                    throw new BadInputException(
                            "code", "app.stock.stands-there-twice", row.item().code());
                }
                rows.add(row);
            } catch (BadInputException | NotALengthException e) {
                wrong.add("Line " + line.number() + ": " + Words.of(e.sentence()));
            }
        }
        if (!wrong.isEmpty()) {
            String more = wrong.size() > MOST_TOLD ? " And " + (wrong.size() - MOST_TOLD) + " more." : "";
            List<String> told = wrong.subList(0, Math.min(MOST_TOLD, wrong.size()));
            throw new BadInputException("file", "app.stock.nothing-was-taken", String.join(" ", told), more);
        }
        return rows;
    }

    /**
     * One line of the list.
     *
     * @param cell what stands in a column; empty where nothing does
     * @param unit of bare numbers
     * @throws BadInputException naming the column that cannot be
     */
    static Catalogue.Row row(UnaryOperator<String> cell, BenchUnit unit) {
        Item.Kind kind = one(Item.Kind.values(), cell.apply("kind"), "kind", "insert, guide, liner or shim");
        String ofMetal = cell.apply("metal");
        Optional<Metal> metal = ofMetal.isEmpty()
                ? Optional.empty()
                : Optional.of(one(Metal.values(), ofMetal, "metal", "such as powder metal, hard iron or bronze"));
        String sizing = cell.apply("sizing");
        boolean nominal = sizing.equalsIgnoreCase("nominal");
        if (!nominal && !sizing.isEmpty() && !sizing.equalsIgnoreCase("true")) {
            throw new BadInputException("sizing", "app.stock.sizing-is-true-or-nominal");
        }
        double outer = mm(cell, "outer", unit);
        OptionalDouble hole = OptionalDouble.empty();
        if (nominal) {
            if (cell.apply("press").isEmpty()) {
                throw new BadInputException("press", "app.stock.a-nominal-size-needs-the-rings-own");
            }
            hole = OptionalDouble.of(outer);
            outer += mm(cell, "press", unit);
        }
        return new Catalogue.Row(
                new Item(
                        cell.apply("code").toUpperCase(Locale.ROOT),
                        kind,
                        cell.apply("what"),
                        outer,
                        mm(cell, "inner", unit),
                        mm(cell, "height", unit),
                        metal,
                        hole),
                shelf(cell.apply("shelf")));
    }

    private static int shelf(String typed) {
        if (typed.isEmpty()) {
            return 0;
        }
        if (!typed.matches("[0-9]{1,4}")) {
            throw new BadInputException("shelf", "app.stock.shelf-is-a-number-of-pieces-0-to-9999");
        }
        return Integer.parseInt(typed);
    }

    private static double mm(UnaryOperator<String> cell, String column, BenchUnit unit) {
        try {
            return Length.parseSize(cell.apply(column), unit).mm();
        } catch (NotALengthException e) {
            throw new BadInputException(column, "text.colon", StringUtils.capitalize(column), e.sentence());
        }
    }

    private static String cell(List<String> heads, TextTable.Line line, String column) {
        int at = heads.indexOf(column);
        return at >= 0 && at < line.cells().size() ? line.cells().get(at) : "";
    }

    private static <E extends Enum<E>> E one(E[] all, String typed, String column, String such) {
        for (E e : all) {
            if (e.name()
                    .replace('_', ' ')
                    .equalsIgnoreCase(typed.replace('_', ' ').replace('-', ' '))) {
                return e;
            }
        }
        throw new BadInputException(column, "app.stock.must-be-one-of", StringUtils.capitalize(column), such);
    }

    /** A list to be filled: its columns, and a line of each kind to go by. */
    static String template() {
        return String.join(",", COLUMNS) + """

                RING-38,insert,example: its own size is given,38.10,31.5,7.0,hard iron,true,,0
                RING-1.500,insert,example: sold by its hole,1-1/2,1.25in,0.281in,powder metal,nominal,0.10,0
                GUIDE-8,guide,example,13.05,7.9,45,bronze,,,0
                SHIM-1,shim,example,30,20,1,,,,0
                """;
    }

    static String write(List<Catalogue.Row> rows) {
        LengthWriter mm = new LengthWriter(BenchUnit.MM);
        StringWriter text = new StringWriter();
        try (CSVPrinter out = new CSVPrinter(
                text, CSVFormat.DEFAULT.builder().setHeader(COLUMNS).get())) {
            for (Catalogue.Row row : rows) {
                Item i = row.item();
                double own = i.nominal() ? i.counterbore().getAsDouble() : i.outer();
                out.printRecord(
                        i.code(),
                        i.kind().name().toLowerCase(Locale.ROOT),
                        i.words(),
                        exact(own, mm),
                        exact(i.inner(), mm),
                        exact(i.height(), mm),
                        i.metal()
                                .map(m -> m.name().toLowerCase(Locale.ROOT).replace('_', ' '))
                                .orElse(""),
                        i.kind() == Item.Kind.INSERT ? (i.nominal() ? "nominal" : "true") : "",
                        i.nominal() ? exact(i.outer() - own, mm) : "",
                        row.shelf());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }

    private static String exact(double value, LengthWriter mm) {
        return mm.exact(Length.roundedFromMm(value));
    }
}
