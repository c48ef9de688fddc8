/**
 * A whole shop as one file, to be kept, looked at with other programs, or read into a shop that was never opened. Tables as lines of
 * JSON and as CSV, photos and scans as files, and a JSON Schema of all of it (docs/everything.md).
 */
@ApplicationModule
package homalon.app.foundation.carry;

import org.springframework.modulith.ApplicationModule;
