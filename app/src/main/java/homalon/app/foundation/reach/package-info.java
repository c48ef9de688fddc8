/** Where the shop is reached: the address that others use, the names it answers to, and the authority that vouches for it. */
@ApplicationModule
package homalon.app.foundation.reach;

import org.springframework.modulith.ApplicationModule;
