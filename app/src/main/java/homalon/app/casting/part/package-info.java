/**
 * Castings and their visits: booking in, layout, limits, what holds a part up, and the strip of steps that every page of a
 * part shows. Features report their own step through {@link homalon.app.casting.part.StepSource}.
 */
@ApplicationModule
package homalon.app.casting.part;

import org.springframework.modulith.ApplicationModule;
