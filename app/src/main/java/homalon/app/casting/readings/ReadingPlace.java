package homalon.app.casting.readings;

import homalon.core.geometry.Spot;
import java.util.Optional;

/**
 * A place of a walk.
 *
 * @param key by which it is keyed
 * @param words as on the screen
 * @param spot on the face, mm; empty where the place is none of the face
 * @param typed what stands there as it was typed; empty where nothing does
 */
public record ReadingPlace(String key, String words, Optional<Spot> spot, Optional<String> typed) {}
