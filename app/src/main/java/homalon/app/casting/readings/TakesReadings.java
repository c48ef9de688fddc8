package homalon.app.casting.readings;

import homalon.app.foundation.web.AskAgainException;
import homalon.app.foundation.web.Keyed;
import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.visit.PartFile;
import java.util.List;
import java.util.UUID;

/** Takes what is read on some walks of a casting, whoever sends it. */
public interface TakesReadings extends TellsReadings {
    /** A walk's name as it stands in the address of its page. */
    List<String> walks();

    /** Where something is read, in the order of the hand; none before the walk was begun. */
    List<ReadingPlace> places(PartFile part, String walk);

    /**
     * Begins a walk that has not begun, where that needs no more than to be said: with these places, or with its usual ones.
     *
     * @param at places on the face, mm; none for the usual ones
     * @throws BadInputException where it is begun on its page only, or these cannot be its places
     */
    default void begin(PartFile part, String walk, List<Spot> at, UUID by) {
        throw new BadInputException("walk", "app.tables.that-walk-has-no-places-yet", walk, part.tag());
    }

    /**
     * Keeps a reading as its page does.
     *
     * @throws BadInputException for what cannot be, and where the walk was not begun, with what to key instead
     * @throws AskAgainException for what is odd, or stands otherwise since, and was not said to be sure
     */
    void key(PartFile part, String walk, Keyed keyed, UUID by);
}
