/**
 * The one drawing of a face: layers of land, map, touched metal, holes, places and supports, written as SVG for the pages
 * and for print. Colours come from style classes, so that light, dim and paper each have their own. Uses the core only.
 */
@ApplicationModule
package homalon.app.foundation.drawing;

import org.springframework.modulith.ApplicationModule;
