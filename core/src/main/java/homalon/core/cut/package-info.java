/**
 * Set-up planes, shims, clean-up and passes. Lengths are double millimetres inside the sums; z points towards the cutter,
 * a depth of cut is positive. Depths are counted along z, as the machine counts them. May use: every package above it.
 */
package homalon.core.cut;
