/** Castings that are cut together: one list of passes, a line in every ledger. */
package homalon.app.batch;
