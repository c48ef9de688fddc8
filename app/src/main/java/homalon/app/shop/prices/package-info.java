/** What the shop asks: how it counts money, what an hour, the look and a piece of work come to. Versions are added to, never changed. */
@ApplicationModule
package homalon.app.shop.prices;

import org.springframework.modulith.ApplicationModule;
