/**
 * What is known of a casting in one visit: what it is, the sheets on which its figures were keyed, as they stand now, and what
 * the judges of the single features make of them. Nothing here knows how figures are stored or shown.
 *
 * <p>Lengths are {@link homalon.core.quantity.Length}s; bare numbers are millimetres. Signs
 * are those of the feature that a sheet is read for.
 */
@NullMarked
package homalon.core.visit;

import org.jspecify.annotations.NullMarked;
