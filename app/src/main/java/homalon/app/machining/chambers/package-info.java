/**
 * Chambers: filled with a burette, and what follows from their volume: compression, what may come off, what a cut brings with it.
 * Kept on the sheet of figures; what the sums are is in the core.
 */
@ApplicationModule
package homalon.app.machining.chambers;

import org.springframework.modulith.ApplicationModule;
