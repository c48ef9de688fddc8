package homalon.app.check.scan;

import homalon.app.foundation.web.Blanks;
import homalon.core.face.ScanFormat;
import homalon.core.face.ScanUnit;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import jakarta.validation.constraints.NotNull;

/**
 * How a scan is to be read, as the look at its first lines found it and the hand corrected it.
 *
 * @param skip lines before the first point
 * @param x number of the column, from 0, as y and z
 * @param highIsMinus the scanner counts downwards
 * @param uncertainty what the scanner is good to; blank for the usual
 */
record ScanForm(
        @NotNull(message = AGAIN) String name,
        @NotNull(message = AGAIN) Character separator,
        @NotNull(message = AGAIN) Boolean decimalComma,
        @NotNull(message = AGAIN) Integer skip,
        @NotNull(message = AGAIN) Integer columns,
        @NotNull(message = AGAIN) Integer x,
        @NotNull(message = AGAIN) Integer y,
        @NotNull(message = AGAIN) Integer z,

        @NotNull(message = "Say in which unit the places are.")
        ScanUnit places,

        @NotNull(message = "Say in which unit the heights are.")
        ScanUnit heights,

        Boolean highIsMinus,
        String uncertainty) {
    static final Length USUAL = Length.ofMm("0.005");
    private static final String AGAIN = "Choose the file again: it is looked at anew.";

    ScanForm {
        highIsMinus = Blanks.of(highIsMinus);
        uncertainty = Blanks.of(uncertainty);
    }

    /** @throws BadInputException for what no file can be */
    ScanFormat format() {
        if (columns < 3 || columns > 100 || skip < 0) {
            throw new BadInputException("columns", "app.scan.look-at-the-file-again-it-has-3-to-100");
        }
        return new ScanFormat(separator, decimalComma, skip, columns, x, y, z, places, heights);
    }

    Length unsure(BenchUnit unit) {
        return uncertainty.isBlank() ? USUAL : Length.parse(uncertainty, unit);
    }
}
