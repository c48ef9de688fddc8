/**
 * Surveys of a face and what they say: flatness, shape, maps and verdicts.
 *
 * <p>Lengths are double millimetres; z points out of the face towards the cutter, so high is positive and a hollow shows
 * as low. Minimum-zone flatness has the meaning of ISO 1101; bow and twist are the coefficients of the quadratic shape
 * over the box of the face. Points are a lower bound of a face: what lies between them is unseen, so <em>within</em> needs
 * cover. May use: input, quantity, geometry, numeric, part, rulebook, verdict.
 */
package homalon.core.face;
