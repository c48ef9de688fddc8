/**
 * Instruments and what is live: the gateway that takes lines of wireless indicators, and the bus that carries changes to the
 * browsers of every instance through the database's own notifications.
 */
@ApplicationModule
package homalon.app.foundation.devices;

import org.springframework.modulith.ApplicationModule;
