/** Where a visit stands: the state of every step and what is next, from what the other features know. */
@ApplicationModule
package homalon.app.outcome.route;

import org.springframework.modulith.ApplicationModule;
