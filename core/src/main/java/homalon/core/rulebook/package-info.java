/**
 * Limits and shop rules, each with the source it comes from, and the layered look-up: the maker's book wins over the
 * gasket maker, that over the shop's rule, that over a general default. May use: input, quantity, geometry, numeric, part.
 */
package homalon.core.rulebook;
