/** What a casting comes to, what may still turn up, and what its customer was shown and chose. */
@ApplicationModule
package homalon.app.outcome.estimate;

import org.springframework.modulith.ApplicationModule;
