package homalon.core.bench;

/**
 * What a solver is asked.
 *
 * @param bench of which every work can have a place
 * @param known a legal timetable of it, which is made better
 */
public record SolverTask(Bench bench, Timetable known, Budget budget) {}
