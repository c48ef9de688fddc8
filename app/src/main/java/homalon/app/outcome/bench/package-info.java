/** The bench page: what to do next, what is stuck and on whom, what left lately. */
@ApplicationModule
package homalon.app.outcome.bench;

import org.springframework.modulith.ApplicationModule;
