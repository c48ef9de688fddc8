/** Tables that a shop brings along: customers, castings, metal removed before, readings; looked at first, then taken in whole. */
@ApplicationModule
package homalon.app.outcome.tables;

import org.springframework.modulith.ApplicationModule;
