/**
 * Least squares, minimax fits and splines in the shapes that the trade needs: thin wrappers over a linear algebra
 * library, and the one fit that is the heart of flatness written out. May use: quantity, geometry.
 */
package homalon.core.numeric;
