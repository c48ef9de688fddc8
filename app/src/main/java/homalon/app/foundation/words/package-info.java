/** The words of what the core has to say. */
@ApplicationModule
package homalon.app.foundation.words;

import org.springframework.modulith.ApplicationModule;
