/**
 * Who may call a handler: each controller says it, for all it answers or method by method, and what says nothing is closed. The
 * whole table is docs/who-may-what.md.
 */
@ApplicationModule
package homalon.app.foundation.opened;

import org.springframework.modulith.ApplicationModule;
