package homalon.core.lines;

/**
 * What it takes to bore a line straight again: the caps lose metal, and the line moves into the casting.
 *
 * <p>The new line lies s_i from the old centre of bore i towards the saddle; a saddle cleans when s_i &gt;= t, and its cap when the
 * caps were cut by s_i + t at the least. Of all straight lines with s_i &gt;= t everywhere, the one whose greatest s_i is least is
 * the straightness zone w of the heights moved to the saddle's side: s_i between t and t + w. All in millimetres.
 *
 * @param caps what the faces of the caps lose: w + 2 t
 * @param least how far the centre line moves where it moves least: t
 * @param most and where it moves most: t + w
 */
public record LineBore(double caps, double least, double most) {
    /** Least cut that cleans a saddle, mm: a general default. */
    public static final double LEAST_CUT = 0.02;

    /** @param zone straightness of the heights, mm, zero or more */
    public static LineBore of(double zone) {
        if (!(zone >= 0)) {
            throw new IllegalArgumentException("a zone is zero or more: " + zone);
        }
        return new LineBore(zone + 2 * LEAST_CUT, LEAST_CUT, LEAST_CUT + zone);
    }
}
