/** One face beside another: as it came and after the cut, and a head on its block deck with the gap that both leave open. */
@ApplicationModule
package homalon.app.check.mating;

import org.springframework.modulith.ApplicationModule;
