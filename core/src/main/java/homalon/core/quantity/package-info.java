/**
 * Exact quantities and how they are keyed and written.
 *
 * <p>A {@link homalon.core.quantity.Length} is a whole number of nanometres, so that sums of thou, tenths and hundredths
 * of a millimetre stay exact (1 thou = 0.001 in = 25 400 nm, by the definition 1 in = 25.4 mm). May use: the JDK.
 */
package homalon.core.quantity;
