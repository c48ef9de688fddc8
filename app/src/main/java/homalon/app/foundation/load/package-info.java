/**
 * What many at once may take: how many requests are worked on, who waits, in what order and for how long; where a body waits
 * until it is whole; that big files come one after the other. Knows nothing of the shop; times in milliseconds, sizes in bytes.
 */
@ApplicationModule
package homalon.app.foundation.load;

import org.springframework.modulith.ApplicationModule;
