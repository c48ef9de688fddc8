/**
 * The one memory of the application: what was worked out, under all that it was worked out from, and what was read from the store,
 * under the version at which it was read (ADR 18). Nothing else in the house remembers anything between two answers.
 */
@ApplicationModule
package homalon.app.foundation.memory;

import org.springframework.modulith.ApplicationModule;
