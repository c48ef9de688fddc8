/**
 * What was taken off a casting in its life. Lines are never edited or removed: a mistake is reversed by a second line that
 * names the first; totals come from replaying all lines. Depths are whole nanometres and positive. May use: input,
 * quantity, geometry, numeric, part, rulebook, verdict, face.
 */
package homalon.core.ledger;
