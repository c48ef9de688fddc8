/** A casting and what is known of it: booking, layout, visits, its papers, the log of its work, the ledger, sheets. */
package homalon.app.casting;
