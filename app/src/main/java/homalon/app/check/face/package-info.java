/**
 * Surveys of a casting read place by place: the face before and after the cut, and the thickness at the corners. Readings
 * are stored as they are keyed and never changed; what counts at a place is its last reading that was not taken back.
 */
@ApplicationModule
package homalon.app.check.face;

import org.springframework.modulith.ApplicationModule;
