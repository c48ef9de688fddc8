/**
 * The castings: heads and decks, what they are made of, and the layout of a face drawn from a few numbers. x runs along
 * the casting from its front end, y across it from the lower edge of the drawing; lengths are
 * {@link homalon.core.quantity.Length} at the edges and double millimetres in the outlines. May use: input, quantity,
 * geometry, numeric.
 */
package homalon.core.part;
