package homalon.core.face;

import homalon.core.words.Message;
import java.util.Optional;

/**
 * How a text file of points is to be read.
 *
 * @param separator between numbers; a blank stands for any run of blanks and tabs
 * @param decimalComma true when 0,05 is meant as 0.05
 * @param skip lines before the first point
 * @param columns numbers on a line
 * @param x column of the place along the face, from 0
 * @param y column of the place across it
 * @param z column of the height
 * @param places unit of x and y
 * @param heights unit of z
 */
public record ScanFormat(
        char separator,
        boolean decimalComma,
        int skip,
        int columns,
        int x,
        int y,
        int z,
        ScanUnit places,
        ScanUnit heights) {

    public ScanFormat with(int newX, int newY, int newZ, ScanUnit ofPlaces, ScanUnit ofHeights) {
        return new ScanFormat(separator, decimalComma, skip, columns, newX, newY, newZ, ofPlaces, ofHeights);
    }

    /** What is wrong with it, as a sentence. */
    public Optional<Message> problem() {
        boolean inside = x >= 0 && y >= 0 && z >= 0 && x < columns && y < columns && z < columns;
        if (!inside || x == y || y == z || x == z) {
            return Optional.of(Message.of("face.along-across-and-height-must-be-three"));
        }
        return Optional.empty();
    }
}
