/** What was done to a casting beside measuring and cutting: the log of its work, and timers that go on without a page. */
@ApplicationModule
package homalon.app.casting.work;

import org.springframework.modulith.ApplicationModule;
