/**
 * Straightedge and feelers at the bench: the lines laid, what blades said, and what the core makes of it. What blades say is
 * kept as it was keyed and never changed; the interval at a place comes from replaying it.
 */
@ApplicationModule
package homalon.app.check.feelers;

import org.springframework.modulith.ApplicationModule;
