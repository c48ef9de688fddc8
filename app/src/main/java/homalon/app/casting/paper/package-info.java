/** What hangs on a casting and travels with it: its tag and its traveller, printed. */
@ApplicationModule
package homalon.app.casting.paper;

import org.springframework.modulith.ApplicationModule;
