package homalon.core.part;

import homalon.core.geometry.Spot;

/**
 * One valve of a face to scale.
 *
 * @param key cylinder, letter, and a number where a cylinder has several of the kind: {@code 3E}, {@code 2I1}
 * @param name the same as a machinist says it: {@code 3 exhaust}, {@code 2 intake, front}
 * @param cylinder number of its bore
 * @param centre on the face, mm
 * @param diameter as drawn, mm
 */
public record Valve(String key, String name, int cylinder, ValveKind kind, Spot centre, double diameter) {}
