/**
 * Whether a casting is square and straight, not only flat: thickness and taper, shafts through bores, a deck's height over its
 * crank line, liners above their deck. Lengths are double millimetres. May use:
 * input, quantity, geometry, numeric, part, rulebook, verdict, face.
 */
package homalon.core.lines;
