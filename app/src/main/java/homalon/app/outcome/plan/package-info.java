/** The plan of the bench day: made from what is written, kept, and made anew by itself when something changes (ADR 52, 53, 54). */
@ApplicationModule
package homalon.app.outcome.plan;

import org.springframework.modulith.ApplicationModule;
