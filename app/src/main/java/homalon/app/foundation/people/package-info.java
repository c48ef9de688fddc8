/** People of the shop: accounts, roles, their unit and theme, PINs and the bench devices on which PINs work. */
@ApplicationModule
package homalon.app.foundation.people;

import org.springframework.modulith.ApplicationModule;
