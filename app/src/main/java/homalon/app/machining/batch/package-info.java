/** Castings that are cut together: one list of passes, a line in every ledger. */
@ApplicationModule
package homalon.app.machining.batch;

import org.springframework.modulith.ApplicationModule;
