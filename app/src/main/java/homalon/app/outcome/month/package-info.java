/** The shop's month: hours by kind of work, set-ups, what castings waited for, and promises kept. */
@ApplicationModule
package homalon.app.outcome.month;

import org.springframework.modulith.ApplicationModule;
