/**
 * Customers as records: a name that is corrected once for all, how they are reached, the unit they think in. What hangs on a
 * customer is told of a new name through {@link homalon.app.casting.customer.NamedAfter}.
 */
@ApplicationModule
package homalon.app.casting.customer;

import org.springframework.modulith.ApplicationModule;
