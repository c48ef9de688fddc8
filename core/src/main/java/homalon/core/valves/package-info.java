/**
 * Valves of a head taken together: what is measured of each and in which order, what the book says, what the findings are, and
 * what follows. Lengths are double millimetres. May use everything below it, guides and seats among them.
 */
package homalon.core.valves;
