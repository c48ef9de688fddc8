/** The page on which an owner sets what the shop goes by. */
@ApplicationModule
package homalon.app.shop.settings;

import org.springframework.modulith.ApplicationModule;
