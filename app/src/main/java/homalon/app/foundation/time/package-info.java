/** The shop's clock. */
@ApplicationModule
package homalon.app.foundation.time;

import org.springframework.modulith.ApplicationModule;
