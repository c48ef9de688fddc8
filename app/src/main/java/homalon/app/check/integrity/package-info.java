/** Whether a casting is whole: cleaning, cracks and what becomes of them, pressure tests. */
@ApplicationModule
package homalon.app.check.integrity;

import org.springframework.modulith.ApplicationModule;
