package homalon.app.shop.prices;

import homalon.app.foundation.load.TextTable;
import homalon.app.foundation.words.Words;
import homalon.core.input.BadInputException;
import homalon.core.money.Price;
import homalon.core.money.PriceForm;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.joda.money.CurrencyUnit;

/** The prices of the list as a table of text, in the shop's currency. */
final class PricesCsv {
    private static final int MOST_ROWS = 400;
    private static final int MOST_TOLD = 8;

    private PricesCsv() {}

    static String write(List<Price> prices) {
        StringWriter text = new StringWriter();
        try (CSVPrinter out = new CSVPrinter(
                text,
                CSVFormat.DEFAULT
                        .builder()
                        .setHeader(PriceForm.COLUMNS.toArray(String[]::new))
                        .get())) {
            for (Price price : prices) {
                out.printRecord(PriceForm.cells(price));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }

    /** @throws BadInputException naming each line that cannot be, and what would be right */
    static List<Price> read(byte[] sent, CurrencyUnit in) {
        TextTable table = TextTable.read(sent, MOST_ROWS);
        List<String> heads =
                table.heads().stream().map(h -> h.toLowerCase(Locale.ROOT)).toList();
        for (String column : List.of("work", "each")) {
            if (!heads.contains(column)) {
                throw new BadInputException(
                        "file",
                        "app.stock.the-first-line-must-name-the-columns",
                        String.join(", ", PriceForm.COLUMNS),
                        column);
            }
        }
        List<Price> prices = new ArrayList<>();
        List<String> wrong = new ArrayList<>();
        for (TextTable.Line line : table.lines()) {
            try {
                prices.add(PriceForm.price(column -> cell(heads, line, column), in));
            } catch (BadInputException e) {
                wrong.add("Line " + line.number() + ": " + Words.of(e.sentence()));
            }
        }
        if (!wrong.isEmpty()) {
            String more = wrong.size() > MOST_TOLD ? " And " + (wrong.size() - MOST_TOLD) + " more." : "";
            throw new BadInputException(
                    "file",
                    "app.stock.nothing-was-taken",
                    String.join(" ", wrong.subList(0, Math.min(MOST_TOLD, wrong.size()))),
                    more);
        }
        return prices;
    }

    private static String cell(List<String> heads, TextTable.Line line, String column) {
        int at = heads.indexOf(column);
        return at >= 0 && at < line.cells().size() ? line.cells().get(at).strip() : "";
    }
}
