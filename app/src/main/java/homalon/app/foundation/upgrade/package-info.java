/**
 * Brings the tables of a home to this version: migrations, forward only, and the mends for the three that were changed after homes
 * had been made with them. Runs by itself before the application, which never holds the password of the tables' owner.
 */
@ApplicationModule
package homalon.app.foundation.upgrade;

import org.springframework.modulith.ApplicationModule;
