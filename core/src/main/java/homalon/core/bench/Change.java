package homalon.core.bench;

/**
 * What it takes to set a station up for something else.
 *
 * @param from what it was set up for; empty for anything
 * @param to what for; empty for anything
 * @param minutes of somebody at it
 */
public record Change(String station, String from, String to, int minutes) {}
