/**
 * Valve guides and the stems that run in them: clearance, wear and shape, the ladder of repairs, the press of a new guide and
 * the height it is set at. Lengths are double millimetres; clearances on the diameter, + when the stem is the smaller. May use:
 * input, quantity, geometry, numeric, part, rulebook, verdict, catalogue.
 */
package homalon.core.guides;
