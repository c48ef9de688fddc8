/**
 * Timetables by constraint programming: a {@link homalon.core.bench.Bench} as a model of CP-SAT, solved aim after aim, in a process of its
 * own, so that nothing native can take the server down. What comes out is held to be nothing before {@link homalon.core.bench.Checker} has
 * seen it.
 */
package homalon.planner;
