/** What was agreed with a customer about a visit: days that they were told, what they owe, and when somebody rang. */
@ApplicationModule
package homalon.app.casting.agreed;

import org.springframework.modulith.ApplicationModule;
