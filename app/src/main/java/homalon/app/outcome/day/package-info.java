/** The bench day: what is done when, by whom, on what; planned anew by itself when something changes (ADR 52, 53). */
@ApplicationModule
package homalon.app.outcome.day;

import org.springframework.modulith.ApplicationModule;
