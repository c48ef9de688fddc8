/** The ledger of what was cut: the cutting log of a visit and the life of the part. Lines are written once. */
package homalon.app.ledger;
