/**
 * The bench day: which work is done when, by whom, on what. A {@link homalon.core.bench.Bench} holds all that is to be placed and what it
 * is placed on; a {@link homalon.core.bench.Timetable} says when. Whoever made a timetable, {@link homalon.core.bench.Checker} tells whether
 * it is legal and {@link homalon.core.bench.Score} how good it is. Times are open minutes of {@link homalon.core.hours.OpenTime}: whole
 * numbers, 0 the first open minute; a stretch does not hold its last. No clock, no chance: the same bench gives the same timetable. May use:
 * everything below.
 */
package homalon.core.bench;
