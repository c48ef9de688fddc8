/**
 * What every table shares: evidence as lines that are only ever added, their numbers and stamps, and how quantities stand in
 * columns. Lengths stand in whole nanometres.
 */
@ApplicationModule
package homalon.app.foundation.store;

import org.springframework.modulith.ApplicationModule;
