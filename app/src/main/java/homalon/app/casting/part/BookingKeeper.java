package homalon.app.casting.part;

import homalon.core.visit.PartFile;
import homalon.core.words.Message;
import java.util.Optional;

/** A feature's word on what of a visit cannot be undone, so that its booking was no mistake. */
public interface BookingKeeper {
    /** Empty where nothing of it stands in the way. */
    Optional<Message> keeps(PartFile part);
}
