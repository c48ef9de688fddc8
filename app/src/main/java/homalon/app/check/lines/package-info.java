/** Sheets of figures keyed at named places: a shaft's line, liners above the deck, the deck's height over the crank line. */
@ApplicationModule
package homalon.app.check.lines;

import org.springframework.modulith.ApplicationModule;
