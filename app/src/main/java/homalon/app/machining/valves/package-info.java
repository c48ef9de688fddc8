/**
 * Valves of a casting: measured in walks down the head, judged, and worked on: guides, inserts, seats, springs. Kept on the sheet
 * of figures; what the sums are is in the core.
 */
@ApplicationModule
package homalon.app.machining.valves;

import org.springframework.modulith.ApplicationModule;
