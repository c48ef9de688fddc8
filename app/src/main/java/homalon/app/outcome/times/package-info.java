/** How long work takes in this shop: said by hand, or seen from what is written anyway. */
@ApplicationModule
package homalon.app.outcome.times;

import org.springframework.modulith.ApplicationModule;
