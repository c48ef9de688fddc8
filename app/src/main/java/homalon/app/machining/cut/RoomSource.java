package homalon.app.machining.cut;

import homalon.core.quantity.LengthWriter;
import homalon.core.visit.PartFile;
import java.util.Optional;

/** Says what may come off a face, to whoever plans or makes a cut. */
public interface RoomSource {
    /**
     * @param style within, out or open
     * @param sentence which limit ends it
     */
    record Room(String style, String words, String sentence) {}

    /**
     * @param cut mm still to come off
     * @return empty where nothing is known of the engine
     */
    Optional<Room> of(PartFile part, double cut, LengthWriter writer);

    /**
     * How much may still come off the face, mm.
     *
     * @return infinite where nothing is known that ends it
     */
    double mayComeOff(PartFile part);
}
