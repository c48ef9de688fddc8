/** What the shop set for itself: its unit, and what a face may have where nothing was entered. Added to only; each day keeps its own. */
@ApplicationModule
package homalon.app.foundation.settings;

import org.springframework.modulith.ApplicationModule;
