/** What every page shares: who is signed in, unit and theme, errors in sentences, the shop's own name. */
@ApplicationModule
package homalon.app.foundation.web;

import org.springframework.modulith.ApplicationModule;
