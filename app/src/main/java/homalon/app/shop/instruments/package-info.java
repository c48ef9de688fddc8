/** Instruments of the shop: what each is good to, when it is due, what it was compared with, and what was read with it. */
@ApplicationModule
package homalon.app.shop.instruments;

import org.springframework.modulith.ApplicationModule;
