/**
 * What a face may be between the places that were read: a prior of bow, twist, a smooth local part and the kinds of local faults, and
 * what readings make of it. May use: geometry, numeric, part and rulebook.
 */
package homalon.core.surface;
