/**
 * Who may call a handler: each controller says it, for all it answers or method by method, and what says nothing is closed. The
 * whole table is docs/who-may-what.md.
 */
package homalon.app.opened;
