/** Who may come in and what the browser is told: sign-in, counted tries, headers, and the interface's accounts. */
@ApplicationModule
package homalon.app.foundation.security;

import org.springframework.modulith.ApplicationModule;
