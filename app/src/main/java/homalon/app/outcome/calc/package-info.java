/** The calculation interface: the core's sums for other programs, JSON in and out, no state. Lengths are millimetres. */
@ApplicationModule
package homalon.app.outcome.calc;

import org.springframework.modulith.ApplicationModule;
