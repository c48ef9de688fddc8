/** What a shop has for its bench days: hours, stations, who works there, days off. Defaults are shown as defaults until it says. */
@ApplicationModule
package homalon.app.shop.crew;

import org.springframework.modulith.ApplicationModule;
