/**
 * Volumes of combustion chambers, what is filled and what is worked out from it: compression, the cut that a ratio asks for, how
 * chambers are made equal, class rules. Lengths are double millimetres, areas mm2, volumes cm3. Deck is + when the piston stands
 * below the deck at top dead centre; crown is + for a dish or pockets, - for a dome. A plus-minus is one standard deviation and is
 * carried on to first order. May use everything below it.
 *
 * <p>Sources: the definition of the compression ratio, (swept + clearance) / clearance; first-order propagation of independent
 * errors as in the Guide to the Expression of Uncertainty in Measurement.
 */
package homalon.core.chambers;
