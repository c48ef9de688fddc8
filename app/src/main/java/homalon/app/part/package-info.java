/**
 * Castings and their visits: booking in, layout, limits, what holds a part up, and the strip of steps that every page of a
 * part shows. Features report their own step through {@link homalon.app.part.StepSource}.
 */
package homalon.app.part;
