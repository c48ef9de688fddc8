/** Scans: files of points taken in as they stream, kept as they came, and judged by the core from every point on the land. */
@ApplicationModule
package homalon.app.check.scan;

import org.springframework.modulith.ApplicationModule;
