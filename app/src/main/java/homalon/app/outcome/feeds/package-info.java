/** Days of the shop for calendars outside, under addresses that can be taken back. */
@ApplicationModule
package homalon.app.outcome.feeds;

import org.springframework.modulith.ApplicationModule;
