/** One way in and out for whatever is read of a casting: a walk's page, a table of text and another program use the same. */
@ApplicationModule
package homalon.app.casting.readings;

import org.springframework.modulith.ApplicationModule;
