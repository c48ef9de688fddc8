/**
 * What leaves the shop with a part: the report as a page and as PDF, the whole record as JSON, readings and ledger as CSV.
 * Everything is written from the views and files of the other features; nothing is worked out here.
 */
@ApplicationModule
package homalon.app.outcome.report;

import org.springframework.modulith.ApplicationModule;
