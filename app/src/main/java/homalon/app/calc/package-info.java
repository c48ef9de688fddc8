/** The calculation interface: the core's sums for other programs, JSON in and out, no state. Lengths are millimetres. */
package homalon.app.calc;
