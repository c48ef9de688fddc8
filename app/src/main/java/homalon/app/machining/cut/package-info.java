/** The cut of a visit: set-ups compared, a plan chosen, passes logged against it. Plans are superseded, never changed. */
@ApplicationModule
package homalon.app.machining.cut;

import org.springframework.modulith.ApplicationModule;
