/**
 * Whether a casting is square and straight, not only flat: thickness and taper. Lengths are double millimetres. May use:
 * input, quantity, geometry, numeric, part, rulebook, verdict, face.
 */
package homalon.core.lines;
