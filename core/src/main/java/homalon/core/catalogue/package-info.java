/**
 * What a shop can buy or has on its shelf: inserts, guides, shims. Sizes in millimetres. May use: input, quantity, part.
 */
package homalon.core.catalogue;
