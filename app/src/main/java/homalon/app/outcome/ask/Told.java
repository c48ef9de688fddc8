package homalon.app.outcome.ask;

import java.util.List;
import java.util.UUID;

/**
 * What stands on a customer's page beside the estimate, in the words of the day on which its address was made.
 *
 * @param shop its name
 * @param reach how the shop is reached: lines of its address, telephone, mail
 * @param came when and with what it came in, in words
 * @param found what was found, a sentence each
 * @param map of the face as a drawing; empty where it was not read
 * @param photos of this visit
 */
record Told(
        String shop,
        List<String> reach,
        String tag,
        String casting,
        List<String> came,
        List<String> found,
        String map,
        List<Photo> photos) {
    /** @param note what it shows; may be empty */
    record Photo(UUID id, String note) {}

    Told {
        reach = List.copyOf(reach);
        came = List.copyOf(came);
        found = List.copyOf(found);
        photos = List.copyOf(photos);
    }
}
