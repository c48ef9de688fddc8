/** The bench day as people see it: one person's list, the rule with its pins, the wall. */
@ApplicationModule
package homalon.app.outcome.day;

import org.springframework.modulith.ApplicationModule;
