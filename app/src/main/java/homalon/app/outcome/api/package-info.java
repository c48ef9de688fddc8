/** Read access to parts, surveys and ledgers for other programs. */
@ApplicationModule
package homalon.app.outcome.api;

import org.springframework.modulith.ApplicationModule;
