/**
 * When the shop is open and who is there: weeks with their hours, days off, and the line of open minutes on which the work of a bench day
 * is placed. Nights and dinner are cut out of that line, so that work which is left lying overnight is as long on it as it is in hands.
 * Moments are {@link java.time.Instant}; local times become moments by the rules of the shop's time zone, so that a day of a clock change
 * has as many minutes as it has. No clock: whoever asks says from when. May use: everything below.
 */
package homalon.core.hours;
