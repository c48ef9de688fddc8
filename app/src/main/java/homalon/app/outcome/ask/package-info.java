/** Asks a customer how it goes on: by an address of its own, by a letter, by post. */
@ApplicationModule
package homalon.app.outcome.ask;

import org.springframework.modulith.ApplicationModule;
