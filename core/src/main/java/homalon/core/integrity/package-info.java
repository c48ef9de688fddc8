/**
 * Whether a casting is whole: what it may be cleaned with, cracks and what becomes of them, pressure tests. Lengths are
 * {@code Length} or double millimetres, pressures bar above the air around, temperatures degrees Celsius, times minutes. May use:
 * input, quantity, geometry, part, verdict.
 */
package homalon.core.integrity;
