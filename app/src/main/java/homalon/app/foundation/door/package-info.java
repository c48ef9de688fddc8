/** The door of the shop: sign-in, first visit, change of person by PIN, own settings, and the owner's page. */
@ApplicationModule
package homalon.app.foundation.door;

import org.springframework.modulith.ApplicationModule;
