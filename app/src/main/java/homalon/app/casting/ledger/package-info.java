/** The ledger of what was cut: the cutting log of a visit and the life of the part. Lines are written once. */
@ApplicationModule
package homalon.app.casting.ledger;

import org.springframework.modulith.ApplicationModule;
