/** The shop's customers on their pages: how to reach them, their castings, two records made one, and one who asks to be erased. */
@ApplicationModule
package homalon.app.outcome.customers;

import org.springframework.modulith.ApplicationModule;
